/** What a scale says. Masses in kg, less the tare. */
export type Reading =
  | { readonly kind: 'weight'; readonly mass: number; readonly steady: boolean }
  | { readonly kind: 'overload' }
  /** The cable, the battery or the radio is gone. */
  | { readonly kind: 'gone' }

/** A scale, however it is reached. */
export interface Scale {
  readonly name: string
  /** It can set its display to nothing. */
  readonly tares: boolean
  /** kg that it carries at most. */
  readonly capacity: number
  /** Calls back at every reading until the returned function is called. */
  readonly listen: (hear: (reading: Reading) => void) => () => void
  readonly tare: () => void
}
