export { asItIs } from './asItIs'
export { dryerWork, inkWork, screenWork } from './besides'
export { type Difference, offSheet, type Put, type Shift } from './compare'
export {
  afterAll,
  type DaysNow,
  DaysSearch,
  daysNow,
  letGo,
  MOVE_PRICES,
  type MovePrice,
  type Proposal,
  put,
  shiftedBy,
} from './decide'
export { decode } from './decode'
export { DAYS } from './definition'
export * from './facts'
export { firstPlan } from './firstPlan'
export { type DaysKept, daysKeptSchema, NOTHING_KEPT } from './kept'
export type { LaneRun, Lanes } from './lanes'
export type { Happened, Over } from './otherwise'
export { type Promised, promiseOf } from './promise'
export { type Rescue, Rescues } from './rescue'
export { Search } from './search'
export { screensKey } from './takes'
