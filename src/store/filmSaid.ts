import { type BroughtFilm, type FilmSaid, TURNS, type Turn } from '@/core/artwork'
import type { Tables } from './schema'

/** What a person says of a film, in its row. */

/** What can be corrected of a film; null takes back what was said. */
export type FilmChange = { readonly [K in 'ink' | 'dpi' | 'kept']?: BroughtFilm[K] | undefined } & {
  readonly [K in Exclude<keyof FilmSaid, 'kept'>]?: BroughtFilm[K] | null | undefined
}

/** What cannot be read is forgotten: one bad row takes no page down. */
function placesIn(text: string): NonNullable<FilmSaid['kept']> {
  try {
    const read: unknown = JSON.parse(text)
    const isPlace = (p: unknown): p is { x: number; y: number } => {
      const { x, y } = (p ?? {}) as { x?: unknown; y?: unknown }
      return Number.isFinite(x) && Number.isFinite(y)
    }
    return Array.isArray(read) ? read.filter(isPlace) : []
  } catch {
    return []
  }
}

export function saidOf({ negative, opaque, screened, turn, kept, aside }: Tables['film']): FilmSaid {
  return {
    ...(negative === null ? {} : { negative: negative === 1 }),
    ...(opaque === null ? {} : { opaque: opaque === 1 }),
    ...(screened === null ? {} : { screened: screened === 1 }),
    ...(turn !== null && Object.hasOwn(TURNS, turn) ? { turn: turn as Turn } : {}),
    ...(aside === 1 ? { aside: true } : {}),
    ...(kept === null ? {} : { kept: placesIn(kept) }),
  }
}

/** The same as columns; what is not said is left as it is. */
export const saidIn = ({ negative, opaque, screened, turn, kept, aside }: FilmChange) => ({
  ...(negative === undefined ? {} : { negative: negative === null ? null : Number(negative) }),
  ...(opaque === undefined ? {} : { opaque: opaque === null ? null : Number(opaque) }),
  ...(screened === undefined ? {} : { screened: screened === null ? null : Number(screened) }),
  ...(turn === undefined ? {} : { turn }),
  ...(aside === undefined ? {} : { aside: aside ? 1 : null }),
  ...(kept === undefined ? {} : { kept: kept.length > 0 ? JSON.stringify(kept) : null }),
})
