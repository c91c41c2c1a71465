import type { TrialPlan } from './trialPlan'

/** Ink of one screen over the print: shares of 255, row by row. */
export interface Mask {
  readonly side: number
  readonly ink: Uint8Array
}

/** Pixels of a drawn print, a square. */
export const SIDE = 176

/**
 * A stand-in for films that are not there: a badge of the plan's own colours, each a part of it as large as it covers, halftones
 * as blends, the base under all of them.
 */
export function motif({ screens }: TrialPlan): readonly Mask[] {
  const colours = screens.filter((s) => s.role !== 'base' && s.role !== 'smoothing')
  return screens.map((s) => {
    const ink = new Uint8Array(SIDE * SIDE)
    const at = colours.indexOf(s)
    for (let y = 0; y < SIDE; y++)
      for (let x = 0; x < SIDE; x++) {
        const [u, v] = [(x / SIDE) * 2 - 1, (y / SIDE) * 2 - 1]
        const r = Math.hypot(u, v)
        if (r > 0.86) continue
        ink[y * SIDE + x] = Math.round(
          255 * (at < 0 ? (r < 0.8 ? 1 : 0) : share(u, v, r, at, colours.length, s.ruling !== undefined)),
        )
      }
    return { side: SIDE, ink }
  })
}

/** The part of the badge that a colour draws: a ring for the first, sectors for the others; each lies a little on the next. */
function share(u: number, v: number, r: number, at: number, of: number, blends: boolean): number {
  if (at === 0) return r > 0.56 && r < 0.8 ? 1 : 0
  if (r > 0.58) return 0
  const angle = (Math.atan2(v, u) / (2 * Math.PI) + 1) % 1
  const width = 1 / Math.max(1, of - 1)
  const place = (angle - (at - 1) * width + 1) % 1
  if (place > width * 1.06) return 0
  return blends ? Math.max(0.15, 1 - place / width) : 1
}
