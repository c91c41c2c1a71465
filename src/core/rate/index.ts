export * from './rate'
