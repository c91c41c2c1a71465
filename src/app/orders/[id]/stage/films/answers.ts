import { type FilmFinding, TURNS, turnedAgain } from '@/core/artwork'
import type { FilmChange, StoredFilm } from '@/store/films'

/** What can be answered to a finding about a film, and what is then corrected. */
type Answer = readonly [says: string, change: FilmChange]

export function answersTo(
  { reason: { rule } }: FilmFinding,
  film: StoredFilm,
  turn: StoredFilm['turn'],
): readonly Answer[] {
  if (rule === 'FILM_EITHER')
    return [
      ['A negative', { negative: true }],
      ['Art that bleeds', { negative: false }],
    ]
  if (rule === 'FILM_NEGATIVE' && film.negative === undefined) return [['It is none', { negative: false }]]
  if (rule === 'FILM_OPAQUE' && film.opaque === undefined) return [['Read what is dark', { opaque: false }]]
  if (rule === 'FILM_REPEATS')
    return [
      ['A halftone', { screened: true }],
      ['A pattern', { screened: false }],
    ]
  if (rule === 'FILM_TURNED' && turn) return [['Turn it', { turn: turnedAgain(film.turn, turn) ?? null }]]
  return []
}

/** What someone said of a film, and how it is taken back. */
export function saidOf({ negative, opaque, screened, turn, aside }: StoredFilm): readonly Answer[] {
  return [
    ...(negative === undefined
      ? []
      : [[negative ? 'a negative' : 'no negative', { negative: null }] as const]),
    ...(opaque === undefined
      ? []
      : [[opaque ? 'ink is what is opaque' : 'ink is what is dark', { opaque: null }] as const]),
    ...(screened === undefined
      ? []
      : [[screened ? 'a halftone' : 'a pattern of the art', { screened: null }] as const]),
    ...(aside ? [['set aside, another in its place', { aside: false }] as const] : []),
    ...(turn === undefined ? [] : [[`turned back: it lay ${TURNS[turn]}`, { turn: null }] as const]),
  ]
}
