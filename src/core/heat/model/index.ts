export { type Ambient, type Takes, USUAL_AMBIENT } from './garment'
export {
  type Flashed,
  type Happening,
  type Lap,
  type Moment,
  type OnFilm,
  type Round,
  runLaps,
  trace,
} from './lap'
export * from './materials'
export { type BeltWindow, beltWindow, type Passed, pass, shiftFor, type TunnelKind, tunnelOf } from './tunnel'
export type { UnitOver } from './unit'
