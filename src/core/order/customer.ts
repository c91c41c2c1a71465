import type { InkColour } from './order'
import { type Order, type Placement, WHITE_LOOKS, type WhiteLook } from './order'

/** What a shop knows of a customer beyond their orders. */
export interface Customer {
  readonly name: string
  /** Days between printed and due; the shop's where none are said. */
  readonly leadDays?: number
  /** How their white is to look; bright where nothing is said. */
  readonly whiteLook?: WhiteLook
  /** What holds for all their jobs, in words: `always soft hand`. */
  readonly rules: string
}

/** One customer under every way a name is typed: case and blanks do not count. */
export const customerKey = (name: string): string => name.trim().replace(/\s+/g, ' ').toLowerCase()

export interface UsualPrint {
  readonly where: Placement['where']
  readonly width: number
  readonly height: number
  /** How many prints were there. */
  readonly times: number
}

const byTimes = <T>(rows: readonly T[], key: (row: T) => string): readonly (readonly T[])[] => {
  const groups = new Map<string, T[]>()
  for (const row of rows) groups.set(key(row), [...(groups.get(key(row)) ?? []), row])
  return [...groups.values()].sort((a, b) => b.length - a.length)
}

/** Where a customer has printed before, most often first, in the size of the last time. @param orders oldest first */
export const usualPrints = (orders: readonly Pick<Order, 'placements'>[]): readonly UsualPrint[] =>
  byTimes(
    orders.flatMap((o) => o.placements),
    (p) => p.where,
  ).flatMap((group) => {
    const last = group.at(-1)
    return last ? [{ where: last.where, width: last.width, height: last.height, times: group.length }] : []
  })

/** Inks that a customer has printed with before, most often first. @param orders oldest first */
export const usualInks = (
  orders: readonly Pick<Order, 'placements'>[],
): readonly (Pick<InkColour, 'name' | 'hex'> & { readonly times: number })[] =>
  byTimes(
    orders.flatMap((o) => o.placements.flatMap((p) => p.inks)),
    (i) => `${customerKey(i.name)} ${i.hex}`,
  ).flatMap((group) => {
    const last = group.at(-1)
    return last ? [{ name: last.name, hex: last.hex, times: group.length }] : []
  })

export const isWhiteLook = (x: unknown): x is WhiteLook =>
  typeof x === 'string' && Object.hasOwn(WHITE_LOOKS, x)
