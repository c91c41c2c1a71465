export * from './base'
export * from './batch'
export { type Bench, type BenchPart, benchOf, isCanOf } from './bench'
export { type Correction, correction } from './correct'
export {
  expectedLooks,
  type InkFacts,
  type InkOptics,
  isFilm,
  opticsOfInk,
} from './expected'
export { coversAlone, inOrder, mixed, mixInk, partsOf } from './formula'
export { correctedNeed, type Learnt, learntFrom, strangersIn } from './learnt'
export { BLACK_CARD, CONFIDENCE, colourOfKnown, isRead, WHITE_CARD } from './optics'
export { changeWord, type Films, type Looks, looksOf, PREDICT_RULES, type Printed } from './predict'
export * from './quantity'
export { type Aim, type Candidate, searchFormulas } from './search'
export { type Batch, type Can, type Drawdown, ENTRY_KINDS, type Entry, pailOf } from './stock'
