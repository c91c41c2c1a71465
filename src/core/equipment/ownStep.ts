/** What a shop does otherwise in a list of the craft: other words, a step left out, or a step of its own. */
export interface OwnStep {
  /** `list.step`; one that no list has is the shop's own. */
  readonly step: string
  /** Empty: as it is usually called. */
  readonly name: string
  /** Empty: as it usually looks. */
  readonly good: string
  readonly off: boolean
}
