import type { Area } from '../quantity'
import { agree } from './agreement'
import { type BaseCheck, checkBase, type Spot } from './base'
import { fadeStops } from './blend'
import type { Detail, FilmFacts, FilmSet, InMetres, PairFacts, Place, Rectangle } from './facts'
import { type Art, cutArt, type Film, type MeetingArt } from './film'
import { median, type Spread } from './histogram'
import { isTold, leftOut } from './leftOut'
import { type Mislaid, mislaidIn } from './matching'
import type { Box } from './pack'
import { pairOf } from './pairs'
import { CELL, FULL, TILE } from './plane'
import type { Thin } from './thickness'
import { tilesIn } from './tiles'

/** Marks this far from their place are an error of the film, in pixels: half a pixel is read, half is room. */
const SAME_PLACE = 1
const PLACES = 8
/** A film turned over about its marks lies no farther off than this, 6 mm; what fits elsewhere is a pattern that repeats. */
const TURNED_ABOUT = 0.006
const CHOSEN = 16
const LOWEST = 0.1

/**
 * Lays the films of a print on each other. All must have the same size in pixels and the same resolution.
 *
 * @param kept points in pixels of the sheet: what looks like a mark or a label there is art, as someone said
 * @throws RangeError for films of different size or resolution
 */
export function settle(
  films: readonly Film[],
  kept: readonly { readonly x: number; readonly y: number }[] = [],
): FilmSet {
  const first = films[0]
  if (!first) return { arts: [], facts: [], print: undefined, reference: 0, tiles: [] }
  const { width, height } = first.packed.bits
  for (const { dpi, packed } of films)
    if (dpi !== first.dpi || packed.bits.width !== width || packed.bits.height !== height)
      throw new RangeError('Films of one print must have one size and one resolution')
  const agreement = agree(films, kept)
  const px = 0.0254 / first.dpi
  const cuts = films.map((film, i) => {
    const { marks, misfit } = agreement.films[i] as (typeof agreement.films)[number]
    const off = misfit && Math.hypot(misfit.dx, misfit.dy) > SAME_PLACE
    const shift = off ? ([-Math.round(misfit.dx), -Math.round(misfit.dy)] as const) : ([0, 0] as const)
    const back = (p: { readonly x: number; readonly y: number }) => ({ x: p.x - shift[0], y: p.y - shift[1] })
    // Where this film has no mark of its own, or one grown together with its art, the place is cleared all the same.
    const places = agreement.places.map((m) => ({ ...m, ...back(m), box: movedBox(m.box, shift) }))
    const out = leftOut(film, places, kept.map(back))
    return { out, shift, clear: [...marks.map((m) => m.box), ...out.map((o) => o.box)] }
  })
  const asLaid = films.map((film, i) => cutArt(film, cuts[i] as (typeof cuts)[number]))
  const mislaid = mislaidIn(
    asLaid.map((a) => ({ coarse: a.coarse, ...a.film.sheet })),
    CELL,
  ).map((m, i) => {
    // Marks say better where a film lies than its outlines do; which way round it lies they do not say.
    const byMarks = agreement.films[i]?.misfit !== undefined
    const inPlace = Math.hypot(m?.dx ?? 0, m?.dy ?? 0) * px < TURNED_ABOUT
    if (!m || (byMarks && (!m.turn || !inPlace))) return undefined
    // On a sheet of the same size it may be meant: a shadow is what casts it, moved.
    const { sheet } = films[i] as Film
    return { ...m, laid: !m.turn && (sheet.width !== width || sheet.height !== height) }
  })
  const arts = films.map((film, i) => {
    const m = mislaid[i]
    const cut = cuts[i] as (typeof cuts)[number]
    return m?.laid
      ? cutArt(film, { ...cut, shift: [cut.shift[0] + m.dx, cut.shift[1] + m.dy] })
      : (asLaid[i] as Art)
  })
  const rectangle = (box: Art['box']): Rectangle | undefined => box && inMetres(box, px)
  const facts = arts.map((a, i): FilmFacts => {
    const { marks, misfit } = agreement.films[i] as (typeof agreement.films)[number]
    return {
      width: a.film.sheet.width * px,
      height: a.film.sheet.height * px,
      dpi: first.dpi,
      negative: a.film.levels.inverted,
      either: a.film.guessed && a.film.levels.inverted && marks.length === 0,
      opaque: a.film.opaque,
      translucent: a.film.translucent,
      mislaid: mislaidFacts(mislaid[i], px),
      inkArea: a.ink * px * px,
      box: rectangle(a.box),
      halftones: a.film.halftone.screens.map(({ tiles, lightest, darkest, ...screen }) => ({
        ...screen,
        area: tiles * FULL * px * px,
        ...(lightest === undefined ? {} : { lightest: tilePlace(a, lightest, px) }),
        ...(darkest === undefined ? {} : { darkest: tilePlace(a, darkest, px) }),
      })),
      grain: a.film.halftone.grain * FULL * px * px,
      line: detail(a.lines, px),
      gap: detail(a.gaps, px),
      specks: a.film.specks,
      dust: a.film.dust * px * px,
      grey: a.film.grey * px * px,
      marks: marks.map((m) => ({ x: m.x * px, y: m.y * px, shape: m.shape })),
      leftOut: (cuts[i] as (typeof cuts)[number]).out
        .filter((o) => isTold(o, a.film))
        .map(({ kind, box }) => ({
          kind,
          ...inMetres(movedBack(box, (cuts[i] as (typeof cuts)[number]).shift), px),
        })),
      misfit: misfit && {
        dx: misfit.dx * px,
        dy: misfit.dy * px,
        rotation: misfit.rotation,
        scale: misfit.scale,
        worst: misfit.worst * px,
      },
    }
  })
  const boxes = arts.flatMap(({ box }) => (box ? [box] : []))
  const round = boxes.length > 0 && {
    left: Math.min(...boxes.map((b) => b.left)),
    top: Math.min(...boxes.map((b) => b.top)),
    right: Math.max(...boxes.map((b) => b.right)),
    bottom: Math.max(...boxes.map((b) => b.bottom)),
  }
  const tiles = tilesIn(films).map(({ a, b }) => ({ a, b }))
  return { arts, facts, print: rectangle(round || undefined), reference: agreement.reference, tiles }
}

const inMetres = (box: Box, px: number): Rectangle => ({
  x: box.left * px,
  y: box.top * px,
  width: (box.right - box.left) * px,
  height: (box.bottom - box.top) * px,
})

const mislaidFacts = (m: (Mislaid & { readonly laid: boolean }) | undefined, px: number) =>
  m && { turn: m.turn, dx: m.dx * px, dy: m.dy * px, then: m.then, laid: m.laid }

/** The middle of a tile, where it lies once the film is laid on the others. */
const tilePlace = ({ print, shift }: Art, tile: number, px: number) => ({
  x: (((tile % print.tilesX) + 0.5) * TILE + shift[0]) * px,
  y: ((Math.floor(tile / print.tilesX) + 0.5) * TILE + shift[1]) * px,
})

const movedBack = (box: Box, [dx, dy]: readonly [number, number]) => movedBox(box, [-dx, -dy])

const movedBox = (b: Box, [dx, dy]: readonly [number, number]): Box => ({
  left: Math.max(0, b.left - dx),
  top: Math.max(0, b.top - dy),
  right: b.right - dx,
  bottom: b.bottom - dy,
})

function detail(thins: readonly Thin[], px: number): Detail | undefined {
  const chosen = thins.slice(0, CHOSEN)
  const typical = chosen[Math.floor(LOWEST * chosen.length)]
  if (!typical) return undefined
  return {
    width: typical.width * px,
    places: chosen
      .slice(0, PLACES)
      .map((t) => ({ x: t.x * px, y: t.y * px, width: t.width * px, length: t.length * px })),
  }
}

export const artIn = <A>(set: { readonly arts: readonly A[] }, i: number): A => {
  const found = set.arts[i]
  if (!found) throw new RangeError(`There is no film ${i}`)
  return found
}

export const metresOf = <T extends object>(widths: T, px: number): InMetres<T> =>
  Object.fromEntries(Object.entries(widths).map(([k, v]) => [k, v * px])) as InMetres<T>

/** How two films of a set meet. */
export function meetingOf(set: { readonly arts: readonly MeetingArt[] }, a: number, b: number): PairFacts {
  const [one, two] = [artIn(set, a), artIn(set, b)]
  const px = 0.0254 / one.film.dpi
  const { how, overlap, trap, gap, tight } = pairOf(one, two)
  return {
    a,
    b,
    how,
    overlap: overlap * px * px,
    trap: trap && metresOf(trap, px),
    gap: gap && { least: gap.least * px, rough: gap.rough },
    tight: tight.map((t) => ({ x: t.x * px, y: t.y * px, width: t.width * px, length: t.length * px })),
    stops: how === 'blending' ? stopsIn(one, two, a, b, px) : undefined,
  }
}

/** Where the fade of two films stops midway. */
function stopsIn(one: MeetingArt, two: MeetingArt, a: number, b: number, px: number): PairFacts['stops'] {
  const found = fadeStops(one, two)
  return (
    found && {
      of: found.of === 'a' ? a : b,
      tint: median(found.stops.map((s) => s.tint)),
      other: median(found.stops.map((s) => s.other)),
      places: found.stops.slice(0, PLACES).map((s) => ({ x: s.x * px, y: s.y * px })),
    }
  )
}

interface Found {
  readonly area: Area
  readonly places: readonly (Place & { readonly area: Area })[]
}

export interface BaseFacts extends Record<Exclude<keyof BaseCheck, 'choke'>, Found> {
  readonly choke: InMetres<Spread> | undefined
}

/**
 * What a base does under its colours.
 *
 * @param needing films that must have base under them; films neither base nor needing could do without
 */
export function baseOf(
  set: FilmSet,
  base: number,
  needing: readonly number[],
  others: readonly number[],
): BaseFacts {
  const white = artIn(set, base)
  const px = 0.0254 / white.film.dpi
  const all = (indexes: readonly number[]) => indexes.map((i) => artIn(set, i))
  const { choke, ...areas } = checkBase(white, all(needing), all(others))
  const found = ({ area, places }: { readonly area: number; readonly places: readonly Spot[] }): Found => ({
    area: area * px * px,
    places: places.map((p) => ({ x: p.x * px, y: p.y * px, area: p.area * px * px })),
  })
  return {
    uncovered: found(areas.uncovered),
    peep: found(areas.peep),
    bare: found(areas.bare),
    needless: found(areas.needless),
    choke: choke && metresOf(choke, px),
  }
}

/** How pairs of films meet, all with the same second film together: what is worked out round it serves them all, and is let go. */
export function* meetingsOf(
  set: { readonly arts: readonly MeetingArt[] },
  pairs: readonly (readonly [a: number, b: number])[],
): Generator<PairFacts> {
  for (const second of new Set(pairs.map(([, b]) => b))) {
    for (const [a, b] of pairs) if (b === second) yield meetingOf(set, a, b)
    artIn(set, second).distances.forget()
  }
}

/** Every two of a list, each once. */
export const pairsOf = <T>(list: readonly T[]): readonly (readonly [T, T])[] =>
  list.flatMap((a, i) => list.slice(i + 1).map((b) => [a, b] as const))
