import type { Length, Share } from '../quantity'
import { type Peeping, peepingOf } from './base'
import type { FilmSet, InMetres } from './facts'
import { type Exposure, exposureOf, type Opened, openedBy, type Push, STILL } from './misregister'
import { artIn, metresOf, pairsOf } from './set'

/** What prints that miss each other would show, in metres. */

export interface ExposureFacts extends InMetres<Pick<Exposure, 'edge' | 'trap' | 'more'>> {
  readonly a: number
  readonly b: number
  /** Shares of the edge that show cloth, and base. */
  readonly cloth: Share
  readonly base: Share
}

/** What would show between any two films that meet, if prints missed each other by up to `tolerance`. */
export function exposures(
  set: FilmSet,
  base: number | undefined,
  tolerance: Length,
): readonly ExposureFacts[] {
  const first = set.arts[0]
  if (!first) return []
  const px = 0.0254 / first.film.dpi
  const colours = set.arts.map((_, i) => i).filter((i) => i !== base)
  return pairsOf(colours).flatMap(([a, b]): ExposureFacts[] => {
    const others = colours.filter((i) => i !== a && i !== b).map((i) => artIn(set, i))
    const white = base === undefined ? undefined : artIn(set, base)
    const e = exposureOf(artIn(set, a), artIn(set, b), others, white, tolerance / px)
    return e
      ? [{ a, b, cloth: e.cloth, base: e.base, edge: e.edge * px, trap: e.trap * px, more: e.more * px }]
      : []
  })
}

export type PeepingFacts = InMetres<Pick<Peeping, 'edge' | 'more'>> & Pick<Peeping, 'base'>

/** What of a base would show beside the colours that need it, if their prints missed it by up to `tolerance`. */
export function peeping(
  set: FilmSet,
  base: number,
  needing: readonly number[],
  tolerance: Length,
): PeepingFacts | undefined {
  const white = artIn(set, base)
  const px = 0.0254 / white.film.dpi
  const found = peepingOf(
    white,
    needing.map((i) => artIn(set, i)),
    tolerance / px,
  )
  return found && { base: found.base, edge: found.edge * px, more: found.more * px }
}

export interface OpenedFacts extends InMetres<Opened> {
  readonly a: number
  readonly b: number
}

/** What opens between films once each is pushed; `pushes` in metres and radians, one for each film. */
export function opened(set: FilmSet, pushes: readonly Push[]): readonly OpenedFacts[] {
  const first = set.arts[0]
  if (!first) return []
  const px = 0.0254 / first.film.dpi
  const inPixels = pushes.map((p) => ({ dx: p.dx / px, dy: p.dy / px, rotation: p.rotation }))
  const still = (i: number) => inPixels[i] ?? STILL
  return pairsOf(set.arts.map((_, i) => i)).flatMap(([a, b]): OpenedFacts[] => {
    const o = openedBy(artIn(set, a), still(a), artIn(set, b), still(b))
    return o ? [{ a, b, ...metresOf(o, px) }] : []
  })
}
