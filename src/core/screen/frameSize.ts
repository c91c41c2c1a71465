import type { Frame, Press } from '../equipment'
import { type Length, mm } from '../quantity'

/** Profile of the frame, each side. */
export const FRAME_WALL = mm(40)
/** From the print to the inside of the frame: blade and flood end on it, and the mesh gives evenly (common practice). */
export const ROOM = mm(50)

/** What is printed, and where the frames are mounted. */
interface Printed {
  readonly width: Length
  readonly height: Length
  readonly press?: Pick<Press, 'frameWidth' | 'frameHeight'> | undefined
}
type Sized = Pick<Frame, 'width' | 'height'>

/** Whether a frame holds a print, with the blade and the margins round it. */
export const holds = (frame: Sized, { width, height }: Printed): boolean => {
  const round = 2 * (FRAME_WALL + ROOM)
  return width <= frame.width - round + 1e-9 && height <= frame.height - round + 1e-9
}

/** Whether the press takes a frame of that size. */
export const fits = (frame: Sized, { press }: Printed): boolean => {
  const { frameWidth = Number.POSITIVE_INFINITY, frameHeight = Number.POSITIVE_INFINITY } = press ?? {}
  return frame.width <= frameWidth + 1e-9 && frame.height <= frameHeight + 1e-9
}

const MILLIMETRE = mm(1)
/** Frames that differ by less than this are of one size. */
const isAlike = (a: Sized, b: Sized): boolean =>
  Math.abs(a.width - b.width) < MILLIMETRE && Math.abs(a.height - b.height) < MILLIMETRE

/** Outer sizes among frames, one frame of each, the smallest first. */
export const sizesIn = (frames: readonly Frame[]): readonly Frame[] =>
  frames
    .filter((f, i) => frames.findIndex((other) => isAlike(other, f)) === i)
    .sort((a, b) => a.width * a.height - b.width * b.height)

/**
 * The frames a job chooses among: all of one outer size, the smallest that holds its print and fits its press. A size that lacks
 * fewer of its screens goes before; of two alike, that of the screens which are there already. Where no one size has all, every
 * size that holds it; where none holds it, the largest.
 *
 * @param held frames that carry screens of the job already
 * @param missing how many screens such frames leave without one
 */
export function sizeTaken(
  free: readonly Frame[],
  job: Printed,
  held: readonly Frame[],
  missing: (frames: readonly Frame[]) => number,
): readonly Frame[] {
  const sizes = sizesIn(free)
  if (sizes.length < 2) return free
  const hold = sizes.filter((s) => holds(s, job) && fits(s, job))
  const of = (size: Frame) => free.filter((f) => isAlike(f, size))
  const isHeld = (size: Frame) => held.some((f) => isAlike(f, size))
  if (hold.length === 0) {
    const fitting = sizes.filter((s) => fits(s, job))
    const largest = (fitting.length > 0 ? fitting : sizes).at(-1)
    return largest ? of(largest) : free
  }
  const [best] = hold
    .map((size, rank) => ({ frames: of(size), short: missing(of(size)), held: isHeld(size), rank }))
    .sort((a, b) => a.short - b.short || Number(b.held) - Number(a.held) || a.rank - b.rank)
  if (!best || best.short === 0) return best?.frames ?? free
  const all = hold.flatMap(of)
  return missing(all) < best.short ? all : best.frames
}
