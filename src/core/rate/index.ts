export * from './rate'
export * from './finish'
