export * from './advice'
export * from './method'
export * from './reason'
