export * from './filmPosition'
export * from './placement'
