import type { Fabric } from '../equipment'
import type { InkSystem, InkType, Weave } from '../order'
import { type ArealMass, type MeshCount, perCm, type Share } from '../quantity'
import { fabricOf, wetDeposit } from '../screen'

/** Ink that one hit takes out of the tub per area, through the mesh and with the strokes that are usual for it. */
interface Issued {
  readonly mass: ArealMass
  readonly mesh: MeshCount
  readonly strokes: number
}

/**
 * Plastisol issued by one hit, kg/m2: what lies on the cloth, what it drinks and what is pressed through. These are the films
 * that the heat has to warm. Assumed from practice, never weighed here; what a shop weighs back corrects them.
 */
const ISSUED = {
  base: { mass: 0.11, mesh: perCm(61), strokes: 2 },
  top: { mass: 0.06, mesh: perCm(77), strokes: 1 },
  metallic: { mass: 0.12, mesh: perCm(43), strokes: 1 },
  expanding: { mass: 0.14, mesh: perCm(43), strokes: 2 },
} as const satisfies Record<string, Issued>

/** Of that, by ink system: 100 and 80 g/m2 where plastisol takes 110 (assumed). */
const BY_SYSTEM: Readonly<Record<InkSystem, Share>> = {
  plastisol: 1,
  highSolids: 0.1 / 0.11,
  waterBased: 0.08 / 0.11,
  discharge: 0.08 / 0.11,
}

/** White is heavier by its pigment: about 1.34 g/ml against 1.17 of colours (from memory). */
const WHITE = 1.34 / 1.17

/** Rough and open cloth takes more of the first hit (assumed). */
const BY_WEAVE: Readonly<Record<Weave, number>> = {
  jersey: 1,
  coarse: 1.25,
  fleece: 1.35,
  canvas: 1.4,
  openKnit: 1.3,
}

/** From least to most of what is advised (assumed). */
export const ISSUED_RANGE = [0.7, 1.4] as const

/** A hit, as far as the ink it takes is concerned. */
export interface Hitting {
  readonly inkType: InkType
  /** A base, or the base again. */
  readonly isBase: boolean
  readonly system: InkSystem
  readonly weave: Weave
  /** Printed on an earlier film: no cloth drinks. */
  readonly onFilm: boolean
  readonly mesh: MeshCount
  readonly strokes: number
}

/** Ink that one hit takes per area, kg/m2: 0.02 to 0.3. More mesh opening and more strokes take more, as the mesh holds. */
export function issued(hit: Hitting, fabrics: readonly Fabric[]): ArealMass {
  const usual: Issued = hit.isBase
    ? ISSUED.base
    : hit.inkType === 'metallic' || hit.inkType === 'expanding'
      ? ISSUED[hit.inkType]
      : ISSUED.top
  const through = ({ mesh, strokes }: { readonly mesh: MeshCount; readonly strokes: number }) =>
    wetDeposit(fabricOf(fabrics, mesh), strokes)
  const white = hit.inkType === 'white' && !hit.isBase ? WHITE : 1
  return (
    usual.mass *
    (through(hit) / through(usual)) *
    BY_SYSTEM[hit.system] *
    white *
    (hit.onFilm ? 1 : BY_WEAVE[hit.weave])
  )
}
