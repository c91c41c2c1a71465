/** Films made anew from those of a set: chokes and traps mended, tiles joined, mirrored; each a TIFF of one bit at true scale. */

import { createHash } from 'node:crypto'
import { mkdir, readFile } from 'node:fs/promises'
import { dirname } from 'node:path'
import sharp from 'sharp'
import {
  baseOf,
  chokedBase,
  type FilmSet,
  type GreyImage,
  greyOf,
  joined,
  meetingOf,
  type PairFacts,
  type Plane,
  readFilm,
  settle,
  spreadUnder,
  tilesIn,
} from '@/core/artwork'
import { INCH } from '@/core/quantity'
import { decodeFilm, MOST_PIXELS } from '@/formats/film'

/** How the films of a set are drawn, and where what is made of them is kept. */
interface Order {
  readonly dpi: number
  readonly table: string
  readonly kept: readonly { readonly x: number; readonly y: number }[]
}

/** How a film is to be mended: a base drawn in under the films that need it, or a colour spread into another. */
export interface Mending {
  readonly film: number
  /** Metres. */
  readonly by: number
  readonly needing?: readonly number[] | undefined
  readonly into?: number | undefined
}

export interface Mended {
  readonly token: string
  readonly path: string
  /** Choke or trap as it was, and as it is read back. */
  readonly before: PairFacts['trap']
  readonly after: PairFacts['trap']
  /** What is read back is what was asked for, to a pixel. */
  readonly holds: boolean
}

export interface Joined {
  readonly path: string
  readonly width: number
  readonly height: number
  readonly films: readonly number[]
}

/** One bit a pixel at true scale: what a printer of films takes. */
const tiffOf = ({ width, height, grey }: GreyImage, dpi: number) =>
  sharp(grey, { raw: { width, height, channels: 1 }, limitInputPixels: MOST_PIXELS })
    .toColourspace('b-w')
    .tiff({
      bitdepth: 1,
      compression: 'ccittfax4',
      xres: dpi / 25.4,
      yres: dpi / 25.4,
      resolutionUnit: 'inch',
    })

async function write(path: string, plane: Plane, dpi: number): Promise<void> {
  await mkdir(dirname(path), { recursive: true })
  await tiffOf({ width: plane.width, height: plane.height, grey: greyOf(plane) }, dpi).toFile(path)
}

/** A film mended, and what is read back off it beside the others. */
export async function mendedFilm(
  set: FilmSet,
  order: Order,
  { film, by, needing, into }: Mending,
): Promise<Mended> {
  const read = (s: FilmSet) =>
    into === undefined ? baseOf(s, film, needing ?? [], []).choke : meetingOf(s, film, into).trap
  const plane =
    into === undefined ? chokedBase(set, film, needing ?? [], by) : spreadUnder(set, film, into, by)
  const asked = createHash('sha256')
    .update(JSON.stringify([film, by, needing, into]))
    .digest('hex')
  const token = asked.slice(0, 12)
  const path = `${order.table}-mend-${token}.tiff`
  await write(path, plane, order.dpi)
  const { width, height } = plane
  const image = await decodeFilm(new Uint8Array(await readFile(path)), { page: 0, width, height })
  const films = set.arts.map((a, i) => (i === film ? readFilm(image, order.dpi, false) : a.film))
  const [before, after] = [read(set), read(settle(films, order.kept))]
  const px = INCH / order.dpi
  return { token, path, before, after, holds: after !== undefined && after.median >= by - px }
}

/** Two tiles as one film, by the place of the first; undefined where it is none. */
export async function joinedFilm(set: FilmSet, order: Order, film: number): Promise<Joined | undefined> {
  const films = set.arts.map((a) => a.film)
  const found = tilesIn(films).find((t) => t.a === film)
  if (!found) return undefined
  const plane = joined(films, found)
  const { width, height } = plane
  if (width * height > MOST_PIXELS) return undefined
  const path = `${order.table}-joined-${found.a}-${found.b}.tiff`
  await write(path, plane, order.dpi)
  return { path, width, height, films: [found.a, found.b] }
}

/** A film for the side of the emulsion. */
export async function mirroredFilm(path: string, dpi: number): Promise<Uint8Array> {
  const { data, info } = await sharp(path, { limitInputPixels: MOST_PIXELS })
    .flop()
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true })
  return new Uint8Array(await tiffOf({ width: info.width, height: info.height, grey: data }, dpi).toBuffer())
}
