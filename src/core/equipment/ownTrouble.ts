/** A number of the tables of trouble that the shop has set itself. */
export interface OwnTrouble {
  /** `base underGel`, `sees underGel sticks`, `fixes flashLonger underGel`. */
  readonly row: string
  readonly value: number
}
