export { type DaysPlan, decode, isPlan } from './decode'
export { firstPlan } from './firstPlan'
