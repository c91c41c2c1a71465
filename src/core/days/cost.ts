/** What a plan costs, in minutes of a press (assumed: a late minute counts for more than any overtime that saves it). */
export const COST = {
  /** For each minute after it is due, and once for being late, by weight. */
  lateMinute: 10,
  late: 300,
  overtime: 4,
  changeOver: 1,
  /** For a run on another press than its sheet is made for: the sheet is made again, and people are told. */
  otherPress: 120,
  /** For a screen that is made twice. */
  remade: 20,
  sooner: 0.002,
  /** For each minute that a run begins later than the lead put it, beyond those that are near enough. */
  offPin: 20,
  nearPin: 15,
  /** For a run that cannot be placed, by weight; what weighs nothing counts a little. */
  refused: 1e7,
  least: 1e-3,
} as const
