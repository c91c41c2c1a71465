import { type NumberAdvice, type Overrides, q, type Reason } from '../advice'
import type { Fabric } from '../equipment'
import type { InkSystem } from '../order'
import type { MeshCount } from '../quantity'
import { SCREEN } from './definition'
import { dryFilm, fabricOf, inkVolume } from './fabric'

export interface FilmNeed {
  readonly hitId: string
  readonly name: string
  readonly mesh: MeshCount
  readonly strokes: number
  /** Ink laid by the way it is struck, against the usual. */
  readonly struck: number
  readonly system: InkSystem
  /** Printed on an earlier film, which drinks nothing. */
  readonly onFilm: boolean
}

/** Why more or less is laid than usual; nothing where it does not show in a rounded figure. */
export const whyStruck = (struck: number): readonly Reason[] =>
  Math.abs(struck - 1) < 0.0005 ? [] : [SCREEN.because('FILM_STRUCK', { struck: q('share', struck) })]

/** Dry deposit that one hit leaves, metres; the range spans 50 to 75 % transfer. */
export function depositFor(need: FilmNeed, fabrics: readonly Fabric[], overrides: Overrides): NumberAdvice {
  const fabric = fabricOf(fabrics, need.mesh)
  const advised = dryFilm(fabric, need.strokes, need.system, need.onFilm) * need.struck
  return SCREEN.number(
    'deposit',
    {
      of: { id: need.hitId, name: need.name },
      advised,
      range: [advised * (0.5 / 0.6), advised * (0.75 / 0.6)],
      reasons: [
        SCREEN.because('FILM_VOLUME', {
          mesh: q('meshCount', need.mesh),
          held: q('thickness', inkVolume(fabric)),
        }),
        SCREEN.because('FILM_LAID'),
        ...whyStruck(need.struck),
      ],
    },
    overrides,
  )
}
