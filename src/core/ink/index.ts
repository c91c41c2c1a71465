export {
  additivesFor,
  apart,
  doesOf,
  MOST_ADDITIVE,
  saidOfAdditives,
  withAdditives,
} from './additive'
export * from './base'
export * from './batch'
export { type Bench, type BenchPart, benchOf, isCanOf } from './bench'
export { type Correction, mendingFor } from './correct'
export { type BaseOrNone, INK, SECOND_WHITES, type SecondWhite, type Smooth } from './definition'
export { type InkDemand, inkDemand, type ToBuy } from './demand'
export {
  expectedLooks,
  type InkFacts,
  type InkOptics,
  isFilm,
  opticsOfInk,
} from './expected'
export { colourOn, inOrder, mixed, mixInk, partsOf, SMEAR } from './formula'
export { type Learnt, learntFrom, strangersIn } from './learnt'
export { type Missing, missingFor } from './missing'
export { BLACK_CARD, CONFIDENCE, colourOfCharacterisation, isRead, WHITE_CARD } from './optics'
export {
  changeWord,
  type Films,
  type Looks,
  looksOf,
  type Printed,
  type Tint,
  tintsOf,
} from './predict'
export * from './quantity'
export { type Aim, type Candidate, searchFormulas } from './search'
export * from './serve'
export { standOut } from './standOut'
export {
  type Batch,
  byColour,
  type Can,
  type ColourHistory,
  type Drawdown,
  ENTRY_KINDS,
  type Entry,
  type PastBatch,
  tubContents,
} from './stock'
export * from './wanted'
