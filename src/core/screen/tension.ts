import { q, type Reason } from '../advice'
import type { Fabric, Frame, ScreenRoom } from '../equipment'
import type { Length, Share } from '../quantity'
import { SCREEN } from './definition'
import { fabricOf } from './fabric'

/** Young's modulus of polyester thread and what weaving leaves of it (from memory). */
const MODULUS = 10e9
const CRIMP = 0.6
/** Poisson's ratio of the mesh (from memory). */
const POISSON = 0.2

/** Stiffness of a mesh, N/m per unit of strain: threads x section x modulus x crimp. Good to 40 %. */
export const stiffness = (f: Fabric): number => f.count * (Math.PI / 4) * f.thread ** 2 * MODULUS * CRIMP

/** How far a point moves when the tension of a frame changed by `lost` (N/m) since it was burnt. */
export const misfitOf = (lost: number, fabric: Fabric, half: Length): Length =>
  ((lost * (1 - POISSON)) / stiffness(fabric)) * half

/** A fifth of a tight screen (from memory). */
const LOST = 500

/** What a frame's readings say: usable, falling, or to be stretched anew. */
export function tensionOf(frame: Frame, leastTension: number): Reason {
  const first = frame.readings[0]
  if (frame.tension < leastTension)
    return SCREEN.because('TENSION_LOW', {
      frame: frame.id,
      tension: q('tension', frame.tension),
      least: q('tension', leastTension),
    })
  const lost = first ? first.tension - frame.tension : 0
  if (first && lost > LOST)
    return SCREEN.because('TENSION_FALLS', {
      frame: frame.id,
      lost: q('tension', lost),
      day: first.on,
    })
  return SCREEN.because('TENSION_HOLDS', { frame: frame.id, tension: q('tension', frame.tension) })
}

/** So far under the least a print smears whatever is done (assumed). */
const FAR: Share = 0.75

/** Frames of a job outside the range in which the shop works. */
export const slackFrames = (
  frames: readonly Frame[],
  { leastTension, mostTension }: Pick<ScreenRoom, 'leastTension' | 'mostTension'>,
): readonly Reason[] =>
  frames.flatMap((f) => {
    const told = {
      frame: f.id,
      tension: q('tension', f.tension),
      least: q('tension', leastTension),
      most: q('tension', mostTension),
    }
    if (f.tension < FAR * leastTension) return [SCREEN.because('FRAME_SLACK_FAR', told)]
    if (f.tension < leastTension) return [SCREEN.because('FRAME_SLACK', told)]
    return f.tension > mostTension ? [SCREEN.because('FRAME_TIGHT', told)] : []
  })

/** How the frames of a job fit each other. */
export interface TensionFit {
  /** N/m. */
  readonly spread: number
  /** At the edge of the print, if the spread came after burning. */
  readonly off: Length
  readonly reasons: readonly Reason[]
}

/** Spread of tension within a job, and what it may mean at the edge of the print. */
export function tensionFit(
  frames: readonly Frame[],
  fabrics: readonly Fabric[],
  width: Length,
  height: Length,
): TensionFit {
  const tensions = frames.map((f) => f.tension)
  const spread = tensions.length > 1 ? Math.max(...tensions) - Math.min(...tensions) : 0
  const half = Math.max(width, height) / 2
  const off = Math.max(0, ...frames.map((f) => misfitOf(spread, fabricOf(fabrics, f.mesh), half)))
  const told = { spread: q('tension', spread), half: q('length', half), off: q('fine', off) }
  // One screen has nothing to fit.
  const reasons = frames.length > 1 ? [SCREEN.because('TENSION_MISFIT', told)] : []
  return { spread, off, reasons }
}

/** No mesh stands more, N/m (assumed). */
const MOST = 10_000

/**
 * What stands against a reading of the meter, N/m: it cannot be, or lies so far from what the shop keeps that it is asked about.
 *
 * @returns between which tensions it should lie, N/m; undefined for a usual one
 */
export function readingDoubt(
  tension: number,
  { leastTension, mostTension }: Pick<ScreenRoom, 'leastTension' | 'mostTension'>,
): { readonly possible: boolean; readonly between: readonly [number, number] } | undefined {
  if (!(tension > 0 && tension <= MOST)) return { possible: false, between: [0, MOST] }
  // Half of the least and half as much again as the most (assumed).
  const between = [leastTension / 2, Math.min(MOST, 1.5 * mostTension)] as const
  return tension < between[0] || tension > between[1] ? { possible: true, between } : undefined
}
