import { createHash } from 'node:crypto'
import { filmFile, type StoredFilm } from '@/store/films'
import type { SetOrder } from '@/workers/films'

/** Drawings alone are drawn at this; finer rasters are read at most at the other. */
const DRAWN = 300
const FINEST = 600
/** What is read off films, counted up when it changes: what an older program read is read again. */
const READER = 2

/** A film whose resolution no one said yet cannot be laid on the others. */
export const isSized = (film: StoredFilm): film is StoredFilm & { dpi: number } => film.dpi !== undefined

/** How the films of a print are drawn for reading: all at the finest resolution that one of them has. */
export function setOrderOf(films: readonly StoredFilm[]): SetOrder {
  const sized = films.filter(isSized)
  const finest = Math.max(0, ...sized.filter((f) => f.raster).map((f) => f.dpi))
  const dpi = finest === 0 ? DRAWN : Math.min(FINEST, finest)
  const drawn = sized.map((f) => ({
    path: filmFile(f.hash),
    page: f.page,
    width: Math.round((f.across / f.dpi) * dpi),
    height: Math.round((f.down / f.dpi) * dpi),
    ...(f.negative === undefined ? {} : { negative: f.negative }),
  }))
  const rest = {
    dpi,
    width: Math.max(1, ...drawn.map((f) => f.width)),
    height: Math.max(1, ...drawn.map((f) => f.height)),
    films: drawn,
  }
  return {
    key: createHash('sha256')
      .update(JSON.stringify([READER, rest]))
      .digest('hex')
      .slice(0, 16),
    ...rest,
  }
}
