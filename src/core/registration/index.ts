export * from './budget'
export { REGISTRATION } from './definition'
export * from './filmPosition'
export * from './placement'
