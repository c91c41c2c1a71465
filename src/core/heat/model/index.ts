export { emptyFlashes } from './empty'
export { type Takes, USUAL_AMBIENT } from './garment'
export { boardsAlong, runLaps, trace } from './lap'
export {
  AS_TABLED,
  BOARDS,
  type Board,
  type BoardKind,
  CLOTH_TAKES,
  FABRICS,
  type Fabric,
  type Fitted,
  INK_TAKES,
  INKS,
  type InkKind,
  PANELS,
  type Shade,
  type WetInk,
} from './materials'
export { cureUnder, type Dwells, dwellInGoes, dwellOn, filmAfter, type Waiting } from './onWarm'
export type { Happening, Lap, Moment, Round } from './round'
export {
  type BeltWindow,
  beltWindow,
  type Load,
  type Passed,
  pass,
  shiftFor,
  tunnelOf,
  WATER_LEFT,
} from './tunnel'
export type { UnitOver } from './unit'
