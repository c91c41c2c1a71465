export {
  ACCOUNT_FACTS,
  type Account,
  type Against,
  accountOf,
  accountReasons,
  jobKindOf,
  meanAgainst,
  setupPerScreen,
  type TimeSpent,
  timeSpent,
} from './account'
export { alarmFactsOf, craftListsOf, foretold, recordNames, withPressValues } from './atPress'
export { pressNow } from './atPressNow'
export { type Besides, planWithBesides } from './besides'
export { COST_PARTS, costsOf } from './costs'
export { type CureHeat, cureHeat } from './cureHeat'
export { dayScreens } from './dayScreens'
export * from './decisions'
export { PLAN } from './definition'
export * from './dryerDesk'
export { keptGood, settingsOf } from './goodSample'
export { handOf } from './hand'
export { boardKindOf } from './heatedOf'
export { type HeatTried, heatTried, type Tried } from './heatTried'
export { jobWords } from './hitPlans'
export { orderable, screenNames } from './hits'
export type { InkNeedLine } from './inkNeeds'
export * from './lapStripShape'
export * from './lapTrace'
export { type Look, looksOfRun } from './looks'
export {
  framesAt,
  mountedAsPlanned,
  mountedAt,
  type PrintOf,
  stoodAt,
  takenDown,
} from './mounted'
export { flashBehind, handOrder, type Move, movesOf, putAt } from './moves'
export { COPY, type Near, nearest } from './nearest'
export { inTodaysWords, settingToday } from './olderWords'
export { keysToday, keyToday, planToday } from './oldKeys'
export { loadOf, OPENING, openingOf } from './opening'
export { runOf } from './ordering'
export * from './palletShape'
export { type PanelCure, panelCure } from './panelCure'
export { plan } from './plan'
export * from './planChanges'
export { type CycleStep, pressCycle } from './pressCycle'
export { printsInTurn } from './prints'
export * from './quote'
export { changeFor } from './remedyChange'
export { type Sides, type TroubleRun, troubleRun } from './remedySides'
export {
  choiceProblem,
  knownChoices,
  lostChoices,
  type Names,
  ROOMS,
  type RoomId,
  roomOfRule,
  settingOf,
  settingWords,
  shownWith,
  whatChanges,
} from './rooms'
export { exampleOf } from './ruleExamples'
export * from './runHeat'
export * from './runPlan'
export * from './screenRoom'
export { type SharedBelt, sharedBelt } from './sharedBelt'
export * from './sheetCode'
export { type SheetHeat, sheetHeatOf } from './sheetHeat'
export { showsOn } from './showsOn'
export { NO_SUMMARY, type RunAsk, type RunSummary, SUMMARY_FACTS, summarize } from './summary'
export { trialOf } from './trialOf'
export { troubleFacts } from './troubleFacts'
export { unusual } from './usual'
export { baseVariants, type Variant, type VariantAsk, whiteVariants } from './variants'
export { type Way, waysOf } from './ways'
