import { writeFile } from 'node:fs/promises'
import sharp from 'sharp'
import type { Database } from '../database'
import { addFilms, incomingFile, keepFile, type StoredFilm } from '../films'
import { DEMO_ART } from './art'
import type { DemoFilm } from './filmSheet'
import { screened } from './screened'

/** A film of the demo as the file that a separator would send. */
export async function demoFile(film: DemoFilm): Promise<Buffer> {
  if ('svg' in film) return Buffer.from(film.svg)
  const { width, height, grey } = screened(film.halftone)
  return sharp(grey, { raw: { width, height, channels: 1 } })
    .withMetadata({ density: film.halftone.dpi })
    .png({ colours: 2 })
    .toBuffer()
}

const INCH = 25.4

/** Puts the films of the demo into the data folder and on their prints. */
export async function seedFilms(db: Database): Promise<void> {
  for (const [print, draw] of Object.entries(DEMO_ART)) {
    const [order = '', placement = ''] = print.split('/')
    const films: Omit<StoredFilm, 'id'>[] = []
    for (const film of draw()) {
      const incoming = await incomingFile()
      await writeFile(incoming, await demoFile(film))
      const { ink, name } = film
      const hash = await keepFile(incoming)
      const size =
        'svg' in film
          ? { across: 330, down: 483, dpi: INCH, raster: false }
          : {
              across: Math.round((film.halftone.width / INCH) * film.halftone.dpi),
              down: Math.round((film.halftone.height / INCH) * film.halftone.dpi),
              dpi: film.halftone.dpi,
              raster: true,
            }
      films.push({ ink, name, hash, page: 0, ...size })
    }
    await addFilms(db, order, placement, films)
  }
}
