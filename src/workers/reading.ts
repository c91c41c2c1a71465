/** Reads the films of a set, and how they meet, with a second pair of hands: one film after another, whoever is free. */

import { readFile } from 'node:fs/promises'
import {
  arrived,
  type Film,
  type FilmSet,
  type GreyImage,
  meetingsOf,
  type PairFacts,
  pairsOf,
  readFilm,
  type Sent,
  settle,
  type Turn,
  toSend,
} from '@/core/artwork'
import { decodeFilm, FilmProblem } from '@/formats/film'

/** A film of a set, and how it is drawn. */
export interface FilmOrder {
  readonly path: string
  readonly page: number
  readonly width: number
  readonly height: number
  readonly negative?: boolean
  readonly opaque?: boolean
  readonly screened?: boolean
  readonly turn?: Turn
}

/** The sheet that all films of a set lie on. */
export interface SheetOrder {
  readonly dpi: number
  /** Pixels. */
  readonly width: number
  readonly height: number
}

/** A film as it was read, or what is wrong with it, for the person who brought it. */
export type ReadFilm = { readonly film: Film } | { readonly problem: string }

/** On a larger sheet than its own a film lies at the top left, until its marks or outlines tell where. */
function onSheet(image: GreyImage, width: number, height: number, clear: number): GreyImage {
  if (image.width === width && image.height === height) return image
  const sheet = { width: image.width, height: image.height }
  const grey = new Uint8Array(width * height).fill(clear)
  for (let y = 0; y < Math.min(height, image.height); y++)
    grey.set(image.grey.subarray(y * image.width, y * image.width + Math.min(width, image.width)), y * width)
  return { ...image, width, height, grey, sheet }
}

/** A film is being read, or was. */
export type Reading = { readonly step: 'reading' | 'read'; readonly film: number }

/** What a pair of hands does: it takes films and pairs by itself, so that none waits for the other. */
export interface Hand {
  /**
   * Reads films until none is left.
   *
   * @param shared by all hands: the number of the next film, and whether one of them decodes a large one
   */
  readonly read: (
    films: readonly FilmOrder[],
    sheet: SheetOrder,
    shared: Int32Array,
    report: (r: Reading) => void,
  ) => Promise<readonly (readonly [number: number, read: ReadFilm])[]>
  /** How those pairs of films meet. */
  readonly meet: (
    films: readonly Sent[],
    pairs: readonly (readonly [number, number])[],
  ) => Promise<readonly PairFacts[]>
}

/** Places of what hands share. */
const NEXT = 0
const BUSY = 1
/** Films of more pixels are decoded one at a time: two at once take 100 MB more, beyond what a small machine has to spare. */
const LARGE = 50e6
/** Between two looks whether the other is done, milliseconds: decoding such a film takes seconds. */
const LOOK = 20

/** Does what only one of all hands may do at once. */
async function alone<T>(shared: Int32Array, work: () => Promise<T>): Promise<T> {
  while (Atomics.compareExchange(shared, BUSY, 0, 1) !== 0)
    await new Promise((resume) => setTimeout(resume, LOOK))
  try {
    return await work()
  } finally {
    Atomics.store(shared, BUSY, 0)
  }
}

async function readOne(
  { path, negative, screened, ...how }: FilmOrder,
  { dpi, width, height }: SheetOrder,
  shared: Int32Array,
): Promise<ReadFilm> {
  try {
    const decode = async () => decodeFilm(new Uint8Array(await readFile(path)), how)
    const image = await (how.width * how.height > LARGE ? alone(shared, decode) : decode())
    return { film: readFilm(onSheet(image, width, height, negative ? 0 : 255), dpi, negative, screened) }
  } catch (error) {
    if (error instanceof FilmProblem) return { problem: error.message }
    throw error
  }
}

export const OWN_HAND: Hand = {
  async read(films, sheet, shared, report) {
    const done: (readonly [number, ReadFilm])[] = []
    for (;;) {
      const number = Atomics.add(shared, NEXT, 1)
      const film = films[number]
      if (!film) return done
      report({ step: 'reading', film: number })
      const read = await readOne(film, sheet, shared)
      done.push([number, read])
      if ('film' in read) report({ step: 'read', film: number })
    }
  },
  async meet(films, pairs) {
    return [...meetingsOf({ arts: films.map(arrived) }, pairs)]
  },
}

/** Films of a set, and the sheet they lie on. */
export interface FilmsOrder extends SheetOrder {
  readonly films: readonly FilmOrder[]
  /** What looks like a mark or a label here, in pixels, is art. */
  readonly kept: readonly { readonly x: number; readonly y: number }[]
}

/** What is wrong with films of a set. */
export interface WrongFilms {
  readonly ok: false
  readonly wrong: readonly { readonly film: number; readonly problem: string }[]
}

/**
 * Reads a set: decoding one film beside reading another where there is but one pair of hands.
 *
 * @returns the set, or which films are wrong and how
 */
export async function readSet(
  { films, kept, dpi, width, height }: FilmsOrder,
  hands: readonly Hand[],
  report: (r: Reading) => void = () => undefined,
): Promise<FilmSet | WrongFilms> {
  const shared = new Int32Array(new SharedArrayBuffer(8))
  const sheet = { dpi, width, height }
  const done = await Promise.all(hands.map((hand) => hand.read(films, sheet, shared, report)))
  const read = new Map(done.flat())
  const wrong: { film: number; problem: string }[] = []
  const right: Film[] = []
  films.forEach((_, film) => {
    const found = read.get(film)
    if (found && 'film' in found) right.push(found.film)
    else wrong.push({ film, problem: found?.problem ?? 'It was not read: try again.' })
  })
  return wrong.length > 0 ? { ok: false, wrong } : settle(right, kept)
}

/** Of four films from the last on the helper takes the first and the last: as many pairs as the others have. */
const THEIRS = [0, 3]

/**
 * How each two films of a set meet, in the order of `pairsOf`. What lies round the edges of a film is worked out once for all
 * that meet it: so the pairs are shared out by their second film.
 */
export async function meetings(
  set: FilmSet,
  helper: Hand,
  report: (pair: PairFacts) => void = () => undefined,
): Promise<readonly PairFacts[]> {
  const pairs = pairsOf(set.arts.map((_, i) => i))
  const isTheirs = ([, b]: readonly [number, number]) => THEIRS.includes((set.arts.length - 1 - b) % 4)
  const others = helper.meet(set.arts.map(toSend), pairs.filter(isTheirs))
  // What goes wrong there is told below, when it is waited for.
  others.catch(() => undefined)
  const own: PairFacts[] = []
  const ours = pairs.filter((pair) => !isTheirs(pair))
  for (const met of meetingsOf(set, ours)) {
    own.push(met)
    report(met)
    // Lets a word from outside come in between.
    await new Promise((resume) => setImmediate(resume))
  }
  const theirs = await others
  theirs.forEach(report)
  return [...own, ...theirs].sort((p, q) => p.a - q.a || p.b - q.b)
}
