import {
  because,
  decideNumber,
  type NumberAdvice,
  type Overrides,
  q,
  type Reason,
  ruleTable,
} from '../advice'
import type { Fabric } from '../equipment'
import type { MeshCount } from '../quantity'
import { dryFilm, fabricOf, inkVolume, type Solids } from './fabric'

export const FILM_RULES = ruleTable({
  FILM_VOLUME: { says: '{mesh} holds {held} of ink: open area x thickness.', source: 'published' },
  FILM_LAID: {
    says: '60 % of it is laid, a second stroke adds a quarter; the cloth drinks a share of the first hit and water leaves. Tuned to common practice, never measured: yours may be entered.',
    source: 'common practice',
  },
  FILM_STRUCK: {
    says: 'Blade, edge, angle, pressure, time and flood lay {struck} of what usual ones do. Which way each works is common practice, how much is assumed.',
    source: 'from memory',
  },
})

export interface FilmNeed {
  readonly hitId: string
  readonly name: string
  readonly mesh: MeshCount
  readonly strokes: number
  /** Ink laid by the way it is struck, against the usual. */
  readonly struck: number
  readonly system: Solids
  /** Printed on an earlier film, which drinks nothing. */
  readonly onFilm: boolean
}

/** Why more or less is laid than usual; nothing where it does not show in a rounded figure. */
export const whyStruck = (struck: number): readonly Reason[] =>
  Math.abs(struck - 1) < 0.0005 ? [] : [because(FILM_RULES, 'FILM_STRUCK', { struck: q('share', struck) })]

/** Dry film that one hit leaves, metres; the range spans 50 to 75 % transfer. */
export function filmFor(need: FilmNeed, fabrics: readonly Fabric[], overrides: Overrides): NumberAdvice {
  const fabric = fabricOf(fabrics, need.mesh)
  const advised = dryFilm(fabric, need.strokes, need.system, need.onFilm) * need.struck
  return decideNumber(
    {
      key: `film.${need.hitId}`,
      label: `Dry film, ${need.name}`,
      kind: 'film',
      advised,
      range: [advised * (0.5 / 0.6), advised * (0.75 / 0.6)],
      reasons: [
        because(FILM_RULES, 'FILM_VOLUME', {
          mesh: q('meshCount', need.mesh),
          held: q('film', inkVolume(fabric)),
        }),
        because(FILM_RULES, 'FILM_LAID'),
        ...whyStruck(need.struck),
      ],
    },
    overrides,
  )
}
