export { plan, runOf } from './plan'
export * from './planChanges'
export * from './runPlan'
export * from './sheetCode'
