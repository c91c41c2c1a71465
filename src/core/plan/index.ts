export { plan, runOf } from './plan'
export * from './runPlan'
