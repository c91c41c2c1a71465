/** Reads films in a thread of its own, one set at a time, and cuts what previews need out of those it keeps. */

import { createHash } from 'node:crypto'
import { readFile, writeFile } from 'node:fs/promises'
import { parentPort } from 'node:worker_threads'
import { expose } from 'comlink'
import nodeEndpoint, { type NodeEndpoint } from 'comlink/dist/esm/node-adapter.mjs'
import {
  type BaseFacts,
  baseOf,
  type ExposureFacts,
  exposures,
  type FilmSet,
  type OpenedFacts,
  opened,
  type PairFacts,
  type PeepingFacts,
  PIECE,
  type Push,
  peeping,
  type SetFacts,
  sharesOf,
} from '@/core/artwork'
import { type FilmPage, FilmProblem, filmPages, platesOf } from '@/formats/film'
import { composed, masksOf, type Paint } from './composing'
import { helperHand } from './helper'
import { keepTable, keptTable, remembered, type Table } from './keptTable'
import { type Joined, joinedFilm, type Mended, type Mending, mendedFilm, mirroredFilm } from './mending'
import { type FilmsOrder, meetings, OWN_HAND, type Reading, readSet, type WrongFilms } from './reading'

/** Films to be laid on each other, all drawn at one resolution on one sheet. */
export interface SetOrder extends FilmsOrder {
  /** Names the films and how they are drawn. */
  readonly key: string
  /** Where what the light table shows of them is kept. */
  readonly table: string
}

/** What comes of reading a set: its facts, or what is wrong with some of its films. */
export type Outcome = ({ readonly ok: true } & SetFacts) | WrongFilms

/** What comes back while films are read. */
export type Report =
  | Reading
  | ({ readonly step: 'films' } & Omit<SetFacts, 'pairs'>)
  | { readonly step: 'pair'; readonly pair: PairFacts }

/** What a file holds that came in. */
export interface Looked {
  readonly pages: readonly FilmPage[]
  readonly plates: readonly { readonly name: string; readonly path: string }[]
  readonly problem: string
}

/** Sets kept in memory: a few prints someone goes back and forth between. */
const KEPT = 3
const sets = new Map<string, FilmSet>()

/** A set from memory, or read again. */
async function whole(order: SetOrder, report?: (r: Report) => void): Promise<FilmSet | WrongFilms> {
  const hands = order.films.length > 1 ? [OWN_HAND, helperHand()] : [OWN_HAND]
  const set = sets.get(order.key) ?? (await readSet(order, hands, report))
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
    const hand = set.arts.length > 2 ? helperHand() : OWN_HAND
    const pairs = await meetings(set, hand, (pair) => report({ step: 'pair', pair }))
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

  async mend(order: SetOrder, asked: Mending): Promise<Mended | undefined> {
    const set = await known(order)
    return set && mendedFilm(set, order, asked)
  },

  /** Two tiles as one film; undefined where the film is no tile. */
  async join(order: SetOrder, film: number): Promise<Joined | undefined> {
    const set = await known(order)
    return set && joinedFilm(set, order, film)
  },

  mirrored: mirroredFilm,

  /** Ink of every film over the print, as squares of so many pixels; undefined for empty films. */
  async masks(order: SetOrder, side: number): Promise<readonly Uint8Array[] | undefined> {
    const table = await tableOf(order)
    return table?.print && masksOf({ print: table.print, planes: table.planes }, order.dpi, side)
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
    return composed({ print: table.print, planes: table.planes }, order.dpi, films, cloth, width)
  },
}

export type { Paint }
export type FilmsWorker = typeof api

const adapt = nodeEndpoint as unknown as (port: NodeEndpoint) => Parameters<typeof expose>[1]
if (parentPort) expose(api, adapt(parentPort as unknown as NodeEndpoint))
