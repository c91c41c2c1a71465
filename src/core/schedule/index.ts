export * from './clock'
export * from './screenSteps'
