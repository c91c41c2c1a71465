/** A film of a print as it was brought: a page of a file, for one colour. */
export interface BroughtFilm {
  readonly id: string
  /** An ink of the print, `base`, or empty while no one said. */
  readonly ink: string
  readonly name: string
  /** SHA-256 of the file, which goes by it. */
  readonly hash: string
  readonly page: number
  /** Size in pixels, or in the units of a drawing. */
  readonly across: number
  readonly down: number
  /** Pixels or units per inch; undefined while no one said. */
  readonly dpi?: number
  readonly raster: boolean
  /** Light on dark, when a person said so. */
  readonly negative?: boolean
}

/** The same with the order and print it is of. */
export interface FilmOfPrint extends BroughtFilm {
  readonly orderId: string
  readonly print: string
}
