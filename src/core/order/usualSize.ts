import { type Length, mm } from '../quantity'
import type { Where } from './order'

/** A print's size, metres. */
export interface PrintSize {
  readonly width: Length
  readonly height: Length
}

const size = (width: number, height: number): PrintSize => ({ width: mm(width), height: mm(height) })

/** Sizes that a print of each place usually has: all-over as common practice has it, the others from memory. */
const USUAL: Readonly<Record<Where, PrintSize>> = {
  front: size(280, 330),
  back: size(280, 330),
  leftChest: size(90, 90),
  pocket: size(90, 50),
  backNeck: size(80, 60),
  hemCorner: size(100, 100),
  pouch: size(150, 60),
  allOver: size(585, 815),
  sleeve: size(75, 75),
  hood: size(100, 100),
  leg: size(80, 250),
  neckLabel: size(60, 50),
  offPallet: size(250, 250),
}

export const usualSize = (where: Where): PrintSize => USUAL[where]

/** A nought of a millimetre: what is that near is the same size. */
const NEAR: Length = mm(0.5)

export const isSize = (a: PrintSize, b: PrintSize): boolean =>
  Math.abs(a.width - b.width) < NEAR && Math.abs(a.height - b.height) < NEAR

/**
 * The size of a print that goes to another place: one that was as is usual there becomes what is usual here, one of its own stays.
 *
 * @example sizeMoved('front', 'sleeve', { width: 0.28, height: 0.33 }) // { width: 0.075, height: 0.075 }
 */
export const sizeMoved = (from: Where, to: Where, is: PrintSize): PrintSize =>
  isSize(is, USUAL[from]) ? USUAL[to] : is
