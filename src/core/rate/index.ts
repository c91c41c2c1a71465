export * from './finish'
export * from './rate'
