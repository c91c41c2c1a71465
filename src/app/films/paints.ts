import type { InkColour, Placement } from '@/core/order'
import type { StoredFilm } from '@/store/films'
import type { Paint } from '@/workers/films'

/** A base as it looks on the cloth. */
export const BASE_HEX = '#f3f2ee'

/** Process inks are looked through. */
const CLEAR: ReadonlySet<InkColour['inkType']> = new Set(['yellow', 'magenta', 'cyan', 'key', 'clear'])

export const paintOf = (ink: InkColour): Paint => ({ hex: ink.hex, clear: CLEAR.has(ink.inkType) })

/** How films are laid on each other in a picture: the base first, then the colours as the print lists them. */
export function paintsOf(
  films: readonly StoredFilm[],
  placement: Placement,
  based = true,
): readonly (Paint & { film: number })[] {
  const of = (ink: string) => films.findIndex((f) => f.ink === ink)
  return [
    { hex: BASE_HEX, clear: false, film: based ? of('base') : -1 },
    ...placement.inks.map((ink) => ({ ...paintOf(ink), film: of(ink.id) })),
  ].filter((p) => p.film >= 0)
}
