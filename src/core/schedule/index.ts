export * from './clock'
export { SCHEDULE } from './definition'
export * from './screenSteps'
