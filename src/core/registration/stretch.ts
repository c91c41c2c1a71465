import { q, type Reason } from '../advice'
import type { Length } from '../quantity'
import { REGISTRATION } from './definition'

/** A screen under its blade: free inside of the frame, the blade, the print in its middle; metres. */
export interface Stretched {
  /** Along the stroke and across it. */
  readonly length: Length
  readonly width: Length
  readonly blade: Length
  readonly gap: Length
  readonly print: { readonly width: Length; readonly height: Length }
}

/** Of what the mesh beside the blade gives, so much moves the image: between a blade that slides and one that sticks (estimate of the model). */
const MOVES = 0.8
/** Narrower margins are no screen any more, metres: nothing is divided by less. */
const LEAST: Length = 1e-3
/** What one head is likely to be off by, metres. */
const OFF: Length = 1e-3

/**
 * How far outward the edges of a print go as the blade presses the mesh through its gap, metres: along the stroke a point under a
 * frictionless blade, across it the mesh between blade and frame (geometry; the share that moves is an estimate).
 */
export function grownBy({ length, width, blade, gap, print }: Stretched): {
  readonly along: Length
  readonly across: Length
} {
  const x = Math.min(length - LEAST, length / 2 + print.height / 2)
  const along = (length * Math.hypot(x, gap)) / (Math.hypot(x, gap) + Math.hypot(length - x, gap))
  const margin = Math.max(LEAST, (width - blade) / 2)
  const strain = (2 * (Math.hypot(margin, gap) - margin)) / width
  return { along: Math.max(0, x - along), across: (MOVES * strain * print.width) / 2 }
}

/** What that is on this job, and what a head that hangs a millimetre higher adds: only that misses. */
export function stretchSaid(of: Stretched): { readonly adds: Length; readonly reasons: readonly Reason[] } {
  const now = grownBy(of)
  const more = grownBy({ ...of, gap: of.gap + OFF })
  const adds = Math.max(more.along - now.along, more.across - now.across)
  return {
    adds,
    reasons: [
      REGISTRATION.because('GAP_GROWS', {
        gap: q('length', of.gap),
        along: q('fine', now.along),
        across: q('fine', now.across),
        off: q('length', OFF),
        adds: q('fine', adds),
      }),
    ],
  }
}
