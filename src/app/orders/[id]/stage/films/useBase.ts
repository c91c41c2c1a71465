import { settled } from '@/core/advice'
import type { InkColour } from '@/core/order'
import type { StoredFilm } from '@/store/films'
import { useOrder } from '../../orderContext'

/** Places of films in their set: the base, the colours that must have it under them, and those that could do without. */
export interface OnBase {
  readonly base: number
  readonly needing: readonly number[]
  readonly others: readonly number[]
}

/** Which film is the base and what it is for, as the plan decides; undefined without a film for a base. */
export function useBase(films: readonly StoredFilm[], inks: readonly InkColour[]): OnBase | undefined {
  const { plan } = useOrder()
  const at = (ink: string) => films.findIndex((f) => f.ink === ink)
  const base = at('base')
  if (base < 0) return undefined
  const needs = (ink: InkColour) => {
    const own = plan?.colours.find((c) => c.inkId === ink.id)
    return !own || settled(own.base) !== 'none'
  }
  const places = (list: readonly InkColour[]) => list.map((i) => at(i.id)).filter((n) => n >= 0)
  return { base, needing: places(inks.filter(needs)), others: places(inks.filter((i) => !needs(i))) }
}
