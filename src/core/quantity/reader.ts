export type Measure = 'metric' | 'inch'

/** How days are written: `1 Dec`, `Dec 1`, `12-01`. */
export type DayOrder = 'dayFirst' | 'monthFirst' | 'yearFirst'

/** How a shop, or one of its devices, writes what is read. */
export interface Reader {
  readonly measure: Measure
  /** Inches in decimals; as fractions of a rule where it is not said. */
  readonly decimals?: boolean | undefined
  readonly dayOrder?: DayOrder | undefined
}

/** A bare word is a reader of fractions who writes the day first. */
export type System = Measure | Reader

export const measureOf = (system: System): Measure => (typeof system === 'string' ? system : system.measure)
export const dayOrderOf = (system: System): DayOrder =>
  (typeof system !== 'string' && system.dayOrder) || 'dayFirst'
