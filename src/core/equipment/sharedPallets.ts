import type { Where } from '../order'

/** Pallets that go from press to press: sleeve boards, say, of which a shop has fewer sets than presses. */
export interface SharedPallets {
  readonly id: string
  readonly name: string
  /** What is printed on them. */
  readonly where: Where
  /** Presses can print on them at the same time. */
  readonly sets: number
  /** Presses that print it on them; every press where none is named. All others have pallets of their own for it. */
  readonly presses: readonly string[]
}

/** A press prints it on these, and not on pallets of its own. */
export const isOnShared = (
  { where, presses }: Pick<SharedPallets, 'where' | 'presses'>,
  printed: Where,
  pressId: string,
): boolean => where === printed && (presses.length === 0 || presses.includes(pressId))
