import { type Inputs, q } from '../advice'
import { fine, length, share, work } from './exampleQuantities'

const MOVED: Inputs = {
  dx: fine(0.41),
  side: 'right',
  dy: fine(0.14),
  fore: 'away from you',
  turn: q('turn', 0.002),
  way: 'counter-clockwise',
}
const BUDGET: Inputs = {
  choke: fine(0.17),
  share: share(0.2),
  holds: share(0.43),
  tries: q('count', 3),
  need: fine(0.25),
  size: fine(0.09),
  part: 'rounding the turns: finer steps of the knobs',
}
/** Of rules of placement and registration. */
export const PLACEMENT_EXAMPLES: Readonly<Record<string, Inputs>> = {
  AID_LIES: { ...MOVED, spread: fine(0.09) },
  AID_SETUP: { total: work(7), planned: work(6.5) },
  AID_MOVED: MOVED,
  AID_LOCKS: { ...MOVED, head: q('count', 3), locks: q('count', 6), spread: fine(0.08) },
  AID_AGAINST: { head: q('count', 3) },
  AID_UNSURE: { head: q('count', 3) },
  AID_OTHER: { head: q('count', 3), lock: q('count', 12) },
  AID_KNOB: { name: 'left', exact: q('turns', 0.31), turns: q('turns', 0.25), pitch: fine(1.25) },
  AID_HOLDS: { worst: fine(0.14), allows: fine(0.17) },
  AID_LEFT: { before: fine(0.48), left: fine(0.06) },
  AID_SCALE: { edge: fine(0.25) },
  AID_ANISO: { edge: fine(0.25) },
  AID_SHEAR: { edge: fine(0.25) },
  AID_SIGN: { name: 'left', way: 'towards or away' },
  AID_MARK: { name: 'top' },
  BUDGET_MISS: { cloth: fine(0.15) },
  PLACE_KIDS: { share: share(0.75) },
  BUDGET_CHOKE: BUDGET,
  BUDGET_TRIES: BUDGET,
  BUDGET_CHECK: BUDGET,
  BUDGET_HOLDS: BUDGET,
  POSITION_END: { least: length(50) },
  POSITION_OUT: { over: length(12) },
  POSITION_TOP: { frame: length(60) },
  WIDTH_SMALL: { limit: length(260), sizes: 'small sizes' },
  PLACE_HAND: { careful: length(3), hurried: length(5), seen: length(10) },
  PLACE_SIZED: { sizes: 'S, M, L, XL', share: share(0.97), distance: length(68) },
  SIZE_CLEAR: { size: 'M', chest: length(520), left: length(110) },
  SIZE_NEAR: { size: 'S', chest: length(470), left: length(42) },
  SIZE_OVER: { size: '9-11', chest: length(410), left: length(12) },
  SIZE_SECOND: { size: '9-11', width: length(310) },
}
