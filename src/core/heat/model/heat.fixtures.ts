import type { FlashKind } from '../../equipment'
import { last, limit, needed } from './flash'
import { type Ambient, inRoom, lossOf, onBoard, print, USUAL_AMBIENT } from './garment'
import {
  AS_TABLED,
  BOARDS,
  type BoardKind,
  CLOTH_TAKES,
  FABRICS,
  INK_TAKES,
  INKS,
  type InkKind,
  type Shade,
} from './materials'
import type { Happening, Round } from './round'
import { flashing, type Spot, seen, type UnitOver } from './unit'

export const C = 273.15

export interface Asked {
  readonly board?: BoardKind
  /** Degrees Celsius. */
  readonly warm?: number
  readonly kind?: FlashKind
  readonly ink?: InkKind
  readonly shade?: Shade
  readonly ambient?: Ambient
  readonly width?: number
  readonly height?: number
  readonly above?: number
  readonly fabric?: keyof typeof FABRICS
}

export const takesOf = (ink: InkKind, shade: Shade = 'white') => ({
  ink: INK_TAKES[shade],
  cloth: CLOTH_TAKES.dark,
  lets: INKS[ink].lets,
})

/** A garment that lay on its board for ten seconds and was printed five seconds ago, and the unit over it. */
export function underUnit({
  board = 'aluminium',
  warm = 45,
  kind = 'panel',
  ink = 'base',
  shade = 'white',
  ambient = USUAL_AMBIENT,
  width = 0.3,
  height = 0.35,
  above = 0.065,
  fabric = 'cotton',
}: Asked) {
  const loss = lossOf(BOARDS[board], AS_TABLED)
  const unit: UnitOver = { kind, print: { width, height }, height: above }
  const s = onBoard(FABRICS[fabric], BOARDS[board], AS_TABLED, ambient)
  s.t.fill(warm + C, 2)
  last(s, inRoom(ambient, loss), 10)
  print(s, INKS[ink], ambient.air)
  last(s, inRoom(ambient, loss), 5)
  const phase = (spot: Spot) => flashing(unit, seen(unit, spot), takesOf(ink, shade), ambient, loss)
  return {
    s,
    phase,
    room: inRoom(ambient, loss),
    needed: needed(s, phase('corner'), ambient, loss),
    limit: limit(s, phase('centre')),
  }
}

export const base: Happening = { kind: 'print', name: 'base', ink: INKS.base, takes: takesOf('base') }
export const top: Happening = { kind: 'print', name: 'top', ink: INKS.top, takes: takesOf('top') }
export const wait = (time: number, air?: number): Happening => ({
  kind: 'wait',
  time,
  ...(air !== undefined && { air }),
})
export const flash = (time: number | 'needed', kind: FlashKind = 'panel', least = 0): Happening => ({
  kind: 'flash',
  name: 'base',
  unit: { kind, print: { width: 0.3, height: 0.35 }, height: 0.065 },
  time,
  least,
})
export const round = (board: BoardKind, ...happenings: readonly Happening[]): Round => ({
  board: BOARDS[board],
  fabric: FABRICS.cotton,
  fitted: AS_TABLED,
  ambient: USUAL_AMBIENT,
  happenings: [{ kind: 'load' }, ...happenings],
})
