/** What things cost this shop, in its own currency. */
export interface Prices {
  /** An hour of a press of each kind, without people. */
  readonly pressHour: number
  /** An hour of one person. */
  readonly personHour: number
  /** Coating, burning and reclaiming a screen, with its stencil. */
  readonly screen: number
  /** A kg of ink that is not mixed by a formula. */
  readonly ink: number
  /** A garment spoiled. */
  readonly garment: number
}

/** A start, invented: every shop enters its own. */
export const USUAL_PRICES: Prices = { pressHour: 12, personHour: 24, screen: 9, ink: 28, garment: 4 }
