/** A film that cannot be read, in words for the person who brought it. */
export class FilmProblem extends Error {}

/** Largest film that is laid on others: 330 x 483 mm at 600 dpi is 89 million pixels. */
export const MOST_PIXELS = 120e6
/** Largest picture that is opened, to be read at fewer pixels: 330 x 483 mm at 720 x 1440 dpi is 256 million. */
export const MOST_SOURCE = 320e6
/** Pages of one file. */
export const MOST_PAGES = 24
export const MOST_BYTES = 256 * 1024 * 1024

export const tooLarge = (width: number, height: number): FilmProblem =>
  new FilmProblem(
    `${width} x ${height} pixels is more than can be read (${MOST_SOURCE / 1e6} million). Export it at 300 dpi.`,
  )
