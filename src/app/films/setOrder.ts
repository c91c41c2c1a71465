import { createHash } from 'node:crypto'
import { isLaid } from '@/core/artwork'
import { INCH } from '@/core/quantity'
import { MOST_PIXELS } from '@/formats/film'
import { filmFile, type StoredFilm } from '@/store/films'
import type { SetOrder } from '@/workers/films'

/** Drawings alone are drawn at this; finer rasters are read at most at the other, and vast sheets at what can be read. */
const DRAWN = 300
const FINEST = 600
/** What is read off films, counted up when it changes: what an older program read is read again. */
const READER = 6

/** How the films of a print are drawn for reading: all at the finest resolution that one of them has. */
export function setOrderOf(films: readonly StoredFilm[]): SetOrder {
  const sized = films.filter(isLaid)
  const finest = Math.max(0, ...sized.filter((f) => f.raster).map((f) => f.dpi))
  const inches = Math.max(0, ...sized.map((f) => (f.across / f.dpi) * (f.down / f.dpi)))
  const most = Math.floor(Math.sqrt(MOST_PIXELS / Math.max(inches, 1e-9)))
  const dpi = Math.min(most, finest === 0 ? DRAWN : Math.min(FINEST, finest))
  const drawn = sized.map((f) => ({
    path: filmFile(f.hash),
    page: f.page,
    width: Math.round((f.across / f.dpi) * dpi),
    height: Math.round((f.down / f.dpi) * dpi),
    ...(f.negative === undefined ? {} : { negative: f.negative }),
    ...(f.opaque === undefined ? {} : { opaque: f.opaque }),
    ...(f.screened === undefined ? {} : { screened: f.screened }),
    ...(f.turn === undefined ? {} : { turn: f.turn }),
  }))
  const rest = {
    dpi,
    width: Math.max(1, ...drawn.map((f) => f.width)),
    height: Math.max(1, ...drawn.map((f) => f.height)),
    films: drawn,
    kept: sized
      .flatMap((f) => f.kept ?? [])
      .map(({ x, y }) => ({ x: (x / INCH) * dpi, y: (y / INCH) * dpi })),
  }
  const key = createHash('sha256')
    .update(JSON.stringify([READER, rest]))
    .digest('hex')
    .slice(0, 16)
  return { key, table: filmFile(`kept/${key}`), ...rest }
}
