/** Reads films in a thread of its own, one set at a time, and cuts what previews need out of those it keeps. */

import { createHash } from 'node:crypto'
import { mkdir, readFile, writeFile } from 'node:fs/promises'
import { dirname } from 'node:path'
import { parentPort } from 'node:worker_threads'
import { expose } from 'comlink'
import nodeEndpoint, { type NodeEndpoint } from 'comlink/dist/esm/node-adapter.mjs'
import sharp from 'sharp'
import {
  type BaseFacts,
  baseOf,
  chokedBase,
  type ExposureFacts,
  exposures,
  type FilmSet,
  type GreyImage,
  greyOf,
  joined,
  meetingOf,
  type OpenedFacts,
  opened,
  type PairFacts,
  type PeepingFacts,
  PIECE,
  type Push,
  pairsOf,
  peeping,
  readFilm,
  type SetFacts,
  SMALLEST,
  settle,
  sharesOf,
  spreadUnder,
  type Turn,
  tilesIn,
} from '@/core/artwork'
import { INCH } from '@/core/quantity'
import {
  ahead,
  decodeFilm,
  type FilmPage,
  FilmProblem,
  filmPages,
  MOST_PIXELS,
  platesOf,
} from '@/formats/film'
import { keepTable, keptTable, remembered, type Table } from './keptTable'

/** Films to be laid on each other, all drawn at one resolution on one sheet. */
export interface SetOrder {
  /** Names the films and how they are drawn. */
  readonly key: string
  /** Where what the light table shows of them is kept. */
  readonly table: string
  readonly dpi: number
  /** Pixels of the sheet. */
  readonly width: number
  readonly height: number
  readonly films: readonly {
    readonly path: string
    readonly page: number
    readonly width: number
    readonly height: number
    readonly negative?: boolean
    readonly opaque?: boolean
    readonly screened?: boolean
    readonly turn?: Turn
  }[]
  /** What looks like a mark or a label here, in pixels, is art. */
  readonly kept: readonly { readonly x: number; readonly y: number }[]
}

/** What comes of reading a set: its facts, or what is wrong with some of its films. */
export type Outcome =
  | ({ readonly ok: true } & SetFacts)
  | { readonly ok: false; readonly wrong: readonly { readonly film: number; readonly problem: string }[] }

/** What comes back while films are read. */
export type Report =
  | { readonly step: 'reading'; readonly film: number }
  | { readonly step: 'read'; readonly film: number }
  | ({ readonly step: 'films' } & Omit<SetFacts, 'pairs'>)
  | { readonly step: 'pair'; readonly pair: PairFacts }

/** A film's colour in a composed picture. */
export interface Paint {
  readonly hex: string
  /** Lets what lies below shine through, as process inks do. */
  readonly clear: boolean
}

/** What a file holds that came in. */
export interface Looked {
  readonly pages: readonly FilmPage[]
  readonly plates: readonly { readonly name: string; readonly path: string }[]
  readonly problem: string
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

async function writeTiff(path: string, image: GreyImage, dpi: number): Promise<void> {
  await mkdir(dirname(path), { recursive: true })
  await tiffOf(image, dpi).toFile(path)
}

/** Sets kept in memory: a few prints someone goes back and forth between. */
const KEPT = 3
const sets = new Map<string, FilmSet>()

/** On a larger sheet than its own a film lies at the top left, until its marks or outlines tell where. */
function onSheet(image: GreyImage, width: number, height: number, clear: number): GreyImage {
  if (image.width === width && image.height === height) return image
  const sheet = { width: image.width, height: image.height }
  const grey = new Uint8Array(width * height).fill(clear)
  for (let y = 0; y < Math.min(height, image.height); y++)
    grey.set(image.grey.subarray(y * image.width, y * image.width + Math.min(width, image.width)), y * width)
  return { ...image, width, height, grey, sheet }
}

/** A set, or what is wrong with its films. */
async function readSet(
  order: SetOrder,
  report?: (r: Report) => void,
): Promise<FilmSet | Extract<Outcome, { ok: false }>> {
  const films = []
  const wrong: { film: number; problem: string }[] = []
  let film = 0
  const decoded = order.films.map(({ path, ...how }) => async () => {
    const bytes = new Uint8Array(await readFile(path))
    return decodeFilm(bytes, how)
  })
  report?.({ step: 'reading', film })
  for await (const image of ahead(decoded)) {
    if (image.status === 'fulfilled') {
      const { negative, screened } = order.films[film] ?? {}
      const sheet = onSheet(image.value, order.width, order.height, negative ? 0 : 255)
      films.push(readFilm(sheet, order.dpi, negative, screened))
      report?.({ step: 'read', film })
    } else {
      if (!(image.reason instanceof FilmProblem)) throw image.reason
      wrong.push({ film, problem: image.reason.message })
    }
    film++
    if (film < order.films.length) report?.({ step: 'reading', film })
  }
  return wrong.length > 0 ? { ok: false, wrong } : settle(films, order.kept)
}

/** A set from memory, or read again. */
async function whole(
  order: SetOrder,
  report?: (r: Report) => void,
): Promise<FilmSet | Extract<Outcome, { ok: false }>> {
  const set = sets.get(order.key) ?? (await readSet(order, report))
  if ('ok' in set) return set
  if (!sets.has(order.key)) void keepTable(order.table, tableIn(set))
  remember(sets, order.key, set)
  return set
}

/** The last few, by when they were asked for. */
function remember<T>(kept: Map<string, T>, key: string, value: T): void {
  kept.delete(key)
  kept.set(key, value)
  for (const old of [...kept.keys()].slice(0, -KEPT)) kept.delete(old)
}

const tableIn = ({ print, arts }: FilmSet): Table => ({ print, planes: arts.map((a) => a.print) })
const tables = new Map<string, Table>()

/** What the light table shows: from memory, from the disk, or from the films read now. */
async function tableOf(order: SetOrder): Promise<Table | undefined> {
  const set = sets.get(order.key)
  const table = set ? tableIn(set) : (tables.get(order.key) ?? (await keptTable(order.table)))
  if (table) {
    if (!set) remember(tables, order.key, table)
    return table
  }
  const read = await known(order)
  return read && tableIn(read)
}

const known = async (order: SetOrder): Promise<FilmSet | undefined> => {
  const set = await whole(order)
  return 'ok' in set ? undefined : set
}

/** What is measured on a set, kept: what is asked when a page is opened asks for no reading. */
function measured<T>(
  order: SetOrder,
  question: readonly unknown[],
  measure: (set: FilmSet) => T | undefined,
): Promise<T | undefined> {
  const asked = createHash('sha256').update(JSON.stringify(question)).digest('hex').slice(0, 12)
  return remembered(`${order.table}-${asked}.json`, async () => {
    const set = await known(order)
    return set && measure(set)
  })
}

/** Clear border of a picture, as a share of the print. */
const BORDER = 0.06

const channels = (hex: string) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))

const api = {
  /** @returns pages, and the plates of a composite, each in a file beside it; or none and what is wrong with the file */
  async pages(path: string): Promise<Looked> {
    try {
      const bytes = new Uint8Array(await readFile(path))
      const pages = await filmPages(bytes)
      const plates = pages.length === 1 ? await platesOf(bytes) : []
      const files = plates.map(({ name }, i) => ({ name, path: `${path}-plate-${i}` }))
      for (const [i, { path: to }] of files.entries()) await writeFile(to, plates[i]?.bytes ?? '')
      return { pages, plates: files, problem: '' }
    } catch (error) {
      if (error instanceof FilmProblem) return { pages: [], plates: [], problem: error.message }
      throw error
    }
  },

  /** Reads all films and how each two of them meet. What was reported may arrive after the answer: the answer is whole. */
  async read(order: SetOrder, report: (r: Report) => void): Promise<Outcome> {
    const set = await whole(order, report)
    if ('ok' in set) return set
    const { facts, print, reference, tiles } = set
    report({ step: 'films', facts, print, reference, tiles })
    const pairs: PairFacts[] = []
    for (const [a, b] of pairsOf(set.arts.map((_, i) => i))) {
      const pair = meetingOf(set, a, b)
      pairs.push(pair)
      report({ step: 'pair', pair })
      // Lets a word from outside come in between.
      await new Promise((resume) => setImmediate(resume))
    }
    return { ok: true, facts, pairs, print, reference, tiles }
  },

  async base(
    order: SetOrder,
    base: number,
    needing: readonly number[],
    others: readonly number[],
  ): Promise<BaseFacts | undefined> {
    return measured(order, ['base', base, needing, others], (set) => baseOf(set, base, needing, others))
  },

  async exposed(
    order: SetOrder,
    base: number | undefined,
    tolerance: number,
  ): Promise<readonly ExposureFacts[]> {
    const ask = ['exposed', base ?? null, tolerance]
    return (await measured(order, ask, (set) => exposures(set, base, tolerance))) ?? []
  },

  async peeping(
    order: SetOrder,
    base: number,
    needing: readonly number[],
    tolerance: number,
  ): Promise<PeepingFacts | undefined> {
    const ask = ['peeping', base, needing, tolerance]
    return measured(order, ask, (set) => peeping(set, base, needing, tolerance))
  },

  async pushed(order: SetOrder, pushes: readonly Push[]): Promise<readonly OpenedFacts[]> {
    const set = await known(order)
    return set ? opened(set, pushes) : []
  },

  /** Ink of one tile of 256 x 256, a byte each; undefined where there is none. */
  async tile(
    order: SetOrder,
    film: number,
    level: number,
    x: number,
    y: number,
  ): Promise<Uint8Array | undefined> {
    const print = (await tableOf(order))?.planes[film]
    const shares = print && sharesOf(print, level, x * PIECE, y * PIECE, PIECE, PIECE)
    return shares?.some((s) => s > 0) ? shares : undefined
  },

  /**
   * A film mended: written as a TIFF of one bit, and what is read back off it beside the others.
   *
   * @returns undefined when a film cannot be read
   */
  async mend(order: SetOrder, { film, by, needing, into }: Mending): Promise<Mended | undefined> {
    const set = await known(order)
    if (!set) return undefined
    const read = (s: FilmSet) =>
      into === undefined ? baseOf(s, film, needing ?? [], []).choke : meetingOf(s, film, into).trap
    const plane =
      into === undefined ? chokedBase(set, film, needing ?? [], by) : spreadUnder(set, film, into, by)
    const asked = createHash('sha256')
      .update(JSON.stringify([film, by, needing, into]))
      .digest('hex')
    const token = asked.slice(0, 12)
    const path = `${order.table}-mend-${token}.tiff`
    await writeTiff(path, { width: plane.width, height: plane.height, grey: greyOf(plane) }, order.dpi)
    const image = await decodeFilm(new Uint8Array(await readFile(path)), {
      page: 0,
      width: plane.width,
      height: plane.height,
    })
    const films = set.arts.map((a, i) => (i === film ? readFilm(image, order.dpi, false) : a.film))
    const [before, after] = [read(set), read(settle(films, order.kept))]
    const px = INCH / order.dpi
    return { token, path, before, after, holds: after !== undefined && after.median >= by - px }
  },

  /** Two tiles as one film, written as a TIFF of one bit; undefined where the film is no tile. */
  async join(order: SetOrder, film: number): Promise<Joined | undefined> {
    const films = (await known(order))?.arts.map((a) => a.film)
    const found = films && tilesIn(films).find((t) => t.a === film)
    if (!found) return undefined
    const { width, height, ...plane } = joined(films, found)
    if (width * height > MOST_PIXELS) return undefined
    const path = `${order.table}-joined-${found.a}-${found.b}.tiff`
    await writeTiff(path, { width, height, grey: greyOf({ width, height, ...plane }) }, order.dpi)
    return { path, width, height, films: [found.a, found.b] }
  },

  async mirrored(path: string, dpi: number): Promise<Uint8Array> {
    const { data, info } = await sharp(path, { limitInputPixels: MOST_PIXELS })
      .flop()
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true })
    return new Uint8Array(
      await tiffOf({ width: info.width, height: info.height, grey: data }, dpi).toBuffer(),
    )
  },

  /** The print as it will look on the cloth, as a PNG of a given width; undefined for empty films. */
  async picture(
    order: SetOrder,
    films: readonly (Paint & { readonly film: number })[],
    cloth: string,
    width: number,
  ): Promise<Uint8Array | undefined> {
    const table = await tableOf(order)
    if (!table?.print) return undefined
    const px = order.dpi / INCH
    const border = Math.max(table.print.width, table.print.height) * BORDER
    const wide = (table.print.width + 2 * border) * px
    const level = Math.max(0, Math.min(SMALLEST, Math.floor(Math.log2(wide / (2 * width)))))
    const at = (metres: number) => Math.round((metres * px) / 2 ** level)
    const [left, top] = [at(table.print.x - border), at(table.print.y - border)]
    const [w, h] = [at(table.print.width + 2 * border), at(table.print.height + 2 * border)]
    const ground = channels(cloth)
    const rgb = new Uint8Array(w * h * 3)
    for (let i = 0; i < rgb.length; i++) rgb[i] = ground[i % 3] ?? 0
    for (const { film, hex, clear } of films) {
      const print = table.planes[film]
      if (!print) continue
      const ink = channels(hex)
      const shares = sharesOf(print, level, left, top, w, h)
      for (let i = 0; i < shares.length; i++) {
        const share = (shares[i] ?? 0) / 255
        if (share === 0) continue
        for (let c = 0; c < 3; c++) {
          const under = rgb[i * 3 + c] ?? 0
          const over = clear ? (under * (ink[c] ?? 0)) / 255 : (ink[c] ?? 0)
          rgb[i * 3 + c] = Math.round(under + share * (over - under))
        }
      }
    }
    return new Uint8Array(
      await sharp(rgb, { raw: { width: w, height: h, channels: 3 } })
        .resize({ width })
        .png({ palette: false })
        .toBuffer(),
    )
  },
}

export type FilmsWorker = typeof api

const adapt = nodeEndpoint as unknown as (port: NodeEndpoint) => Parameters<typeof expose>[1]
if (parentPort) expose(api, adapt(parentPort as unknown as NodeEndpoint))
