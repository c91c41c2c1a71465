export { COST_PARTS, COST_RULES, costsOf } from './costs'
export { type DanceStep, danceCard } from './danceCard'
export * from './decisions'
export * from './depends'
export { keptGood, settingsOf } from './goodSample'
export {
  framesAt,
  hungAsPlanned,
  hungAt,
  type PrintOf,
  stoodAt,
  takenDown,
} from './hanging'
export type { InkNeedLine } from './inkNeeds'
export * from './lapStripShape'
export { type Look, looksOfRun } from './looks'
export { flashBehind, handOrder, type Move, movesOf, putAt } from './moves'
export * from './palletShape'
export { plan, runOf } from './plan'
export * from './planChanges'
export { printsInTurn } from './prints'
export * from './ruleBook'
export * from './runPlan'
export * from './screenRoom'
export * from './sheetCode'
export { NO_SUMMARY, type RunAsk, type RunSummary, SUMMARY_FACTS, summarize } from './summary'
export { baseVariants, type Variant, type VariantAsk, whiteVariants } from './variants'
export { type Way, waysOf } from './ways'
