export { type Difference, differenceOf, type Put, type Shift } from './compare'
export {
  type DaysNow,
  DaysSearch,
  daysNow,
  letGo,
  MOVE_PRICES,
  type MovePrice,
  type Proposal,
  put,
  standStill,
  worksAgain,
} from './decide'
export { decode } from './decode'
export { DAYS } from './definition'
export * from './facts'
export { type DaysAnswer, firstPlan } from './firstPlan'
export { type DaysKept, daysKeptSchema, NOTHING_KEPT } from './kept'
export { choiceOf, type KeptChoice, keptOf, type LaneRun, type Lanes, lanesOf, shownDays } from './lanes'
export { Search } from './search'
export { daysOfShop, printedBy, screensKey } from './shopDays'
