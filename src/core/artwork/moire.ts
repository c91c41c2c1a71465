import type { Angle, Length, MeshCount, Ruling, Share } from '../quantity'

/** A pattern that a halftone and a mesh make together. */
export interface Beat {
  readonly period: Length
  /** 0..1: how plain it would be; a guess, never measured. */
  readonly strength: Share
}

const HIGHEST_ORDER = 12
const MESH_ORDER = 2
/** Patterns finer than the first of these are not seen, from the second on fully; from the third on they are wider than the print. */
const SEEN: readonly [Length, Length, Length] = [0.001, 0.006, 0.3]

function seen(period: Length): Share {
  const [from, full, gone] = SEEN
  if (period >= gone) return 0
  return Math.min(1, Math.max(0, (period - from) / (full - from)))
}

/**
 * The plainest pattern between a halftone and a mesh: |i f1 + j f2 - (m, n) mesh| over the low orders.
 *
 * @param lines the halftone is of lines: one set of waves, not two
 */
export function beatOf(ruling: Ruling, angle: Angle, mesh: MeshCount, lines = false): Beat {
  const u = ruling * Math.cos(angle)
  const v = ruling * Math.sin(angle)
  let best: Beat = { period: Number.POSITIVE_INFINITY, strength: 0 }
  for (let i = -HIGHEST_ORDER; i <= HIGHEST_ORDER; i++)
    for (let j = lines ? 0 : -HIGHEST_ORDER; j <= (lines ? 0 : HIGHEST_ORDER); j++) {
      const order = Math.abs(i) + Math.abs(j)
      if (order === 0 || order > HIGHEST_ORDER) continue
      const fu = lines ? -i * v : i * u - j * v
      const fv = lines ? i * u : i * v + j * u
      // The nearest of the mesh's own waves in each direction is the only one that can beat slowly.
      const m = Math.round(fu / mesh)
      const n = Math.round(fv / mesh)
      const meshOrder = Math.abs(m) + Math.abs(n)
      if (meshOrder === 0 || meshOrder > MESH_ORDER) continue
      const period = 1 / Math.hypot(fu - m * mesh, fv - n * mesh)
      const strength = (order ** -1.5 / meshOrder) * seen(period)
      if (
        strength > best.strength ||
        (strength === best.strength && period > best.period && best.strength > 0)
      )
        best = { period, strength }
    }
  return best
}

/** How a beat's strength is spoken of; the bands are guesses. */
export const moireRisk = ({ strength }: Beat): 'plain' | 'possible' | 'none' =>
  strength > 0.12 ? 'plain' : strength > 0.05 ? 'possible' : 'none'
