import type { Turn } from './orient'

/** What a person says of a film that its file does not, or says otherwise. */
export interface FilmSaid {
  /** Light on dark. */
  readonly negative?: boolean
  /** Ink is what is not transparent. */
  readonly opaque?: boolean
  /** What repeats on it is a halftone. */
  readonly screened?: boolean
  /** The way its file lies, which is turned back. */
  readonly turn?: Turn
  /** It lies beside the table: another stands in its place. */
  readonly aside?: boolean
  /** Places, metres from the top left of the sheet, of what looks like a mark or a label and is art. */
  readonly kept?: readonly { readonly x: number; readonly y: number }[]
}

/** A film of a print as it was brought: a page of a file, for one colour. */
export interface BroughtFilm extends FilmSaid {
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
}

/** Whether a film lies on the table: its size is known, and it was not set aside. */
export const isLaid = <F extends BroughtFilm>(film: F): film is F & { readonly dpi: number } =>
  film.dpi !== undefined && !film.aside

/** The same with the order and print it is of. */
export interface FilmOfPrint extends BroughtFilm {
  readonly orderId: string
  readonly print: string
}
