import type { FlashKind } from '../equipment'
import {
  AS_TABLED,
  BOARDS,
  CLOTH_TAKES,
  FABRICS,
  INK_TAKES,
  INKS,
  type InkKind,
  USUAL_AMBIENT,
  type Waiting,
} from './model'

/** A full front on a black tee over an aluminium board. */
export const waiting = (
  kind: FlashKind,
  ink: InkKind = 'base',
  print = { width: 0.3, height: 0.35 },
): Waiting => ({
  board: BOARDS.aluminium,
  fabric: FABRICS.cotton,
  fitted: AS_TABLED,
  ambient: USUAL_AMBIENT,
  ink: INKS[ink],
  below: [],
  takes: { ink: INK_TAKES.white, cloth: CLOTH_TAKES.dark, lets: INKS[ink].lets },
  unit: { kind, print, height: 0.065 },
})
