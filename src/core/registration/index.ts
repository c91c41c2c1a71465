export * from './budget'
export * from './filmPosition'
export * from './placement'
