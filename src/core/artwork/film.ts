import { INCH, type Share } from '../quantity'
import { type Coarse, coarseOf } from './coarse'
import { descreen } from './descreen'
import { type Distances, distancesOf } from './distance'
import { takeDust } from './dust'
import { greyIn } from './grey'
import { findHalftone, type Halftone } from './halftone'
import { type GreyImage, inkTable, type Levels, levelsOf, shareTable } from './levels'
import { boxOf, findMarks, type Mark } from './marks'
import { around, type Box, inkIn, meets, type Packed, pack, within } from './pack'
import { copyPlane, despeckle, type Plane, TILE, tileCounts, tileEdges } from './plane'
import { type Thin, thinStrokes } from './thickness'
import { type Tints, tintsOf } from './tints'

/** What one film shows by itself, before it is laid beside the others. */
export interface Film {
  /** Pixels per inch. */
  readonly dpi: number
  /** Pixels of its own sheet. */
  readonly sheet: { readonly width: number; readonly height: number }
  /** What the file's transparency says. */
  readonly opaque: boolean
  readonly translucent: Share
  readonly levels: Levels
  /** Whether it is a negative was not said. */
  readonly guessed: boolean
  readonly packed: Packed
  /** Regions of ink: halftones filled to what they tint, specks taken away. */
  readonly regions: Plane
  readonly halftone: Halftone
  /** What looks like a registration mark; `agreement` tells which are. */
  readonly marks: readonly Mark[]
  /** Cells with ink, and which of them hang together. */
  readonly coarse: Coarse
  readonly pieces: readonly (readonly number[])[]
  /** Round all ink that does not look like a mark, or a line beside it; undefined without any. */
  readonly art: Box | undefined
  readonly lines: readonly Thin[]
  readonly gaps: readonly Thin[]
  /** Single pixels and pinholes in flat art, and dust. */
  readonly specks: number
  /** Ink that stands alone and is too small to be art, in pixels. */
  readonly dust: number
  /** Film that is grey all over, neither screened nor solid, in pixels. */
  readonly grey: number
}

const FRAME_MM = 1.5
/** Clear film between dots is bridged up to this many periods. */
const BRIDGE = 1.45
/** And between random dots as if they stood so far apart. */
const GRAIN_INCH = 1 / 45

/**
 * Reads one film. The grey image is not kept: what follows needs one bit a pixel.
 *
 * @param image 0 is black
 * @param dpi pixels per inch, 60..1200
 * @param negative light ink on dark, when a person says so
 * @param screened whether what repeats is a halftone, when a person says so
 */
export function readFilm(image: GreyImage, dpi: number, negative?: boolean, screened?: boolean): Film {
  const levels = levelsOf(image, Math.round((FRAME_MM * dpi) / 25.4), negative)
  const table = inkTable(levels)
  const packed = pack(image, shareTable(levels))
  const counts = tileCounts(packed.bits)
  const halftone = findHalftone(image, table, packed, tileEdges(packed.bits, counts), dpi, screened)
  const flat = farFromHalftone(halftone.map, packed.bits.tilesX)
  const { plane: clean, specks: single } = despeckle(packed.bits, flat)
  const coarse = coarseOf(clean)
  const dusty = takeDust(clean, coarse, packed, dpi)
  const period = [...halftone.screens.map((s) => dpi / INCH / s.ruling), GRAIN_INCH * dpi]
  const regions = descreen(clean, (tile) => {
    const screen = halftone.map[tile] ?? 0
    return screen === 0 ? 0 : BRIDGE * (period[screen - 1] ?? 0)
  })
  const { pieces, dust } = dusty
  const specks = single + dusty.specks
  const marks = findMarks(clean, coarse, pieces, dpi, (tile) => halftone.map[tile] !== 0)
  const rest = pieces
    .map((cells) => boxOf(cells, coarse.columns))
    .filter((box) => !marks.some((m) => meets(m.box, box)))
  const art = rest.length > 0 ? rest.reduce(around) : undefined
  const strokes = (kind: 0 | 1) => thinStrokes(clean, image, table, kind, dpi, flat)
  const [lines, gaps] = [strokes(1), strokes(0)]
  const grey = greyIn(image, packed, table)
  return {
    ...{ dpi, levels, packed, regions, halftone, marks, coarse, pieces, art, lines, gaps },
    ...{ specks, dust, grey },
    sheet: image.sheet ?? { width: image.width, height: image.height },
    guessed: negative === undefined,
    opaque: image.opaque ?? false,
    translucent: image.translucent ?? 0,
  }
}

/** Beside a halftone the rim of its dots looks like thin lines. */
function farFromHalftone(map: Uint8Array, tilesX: number): (tile: number) => boolean {
  return (tile) => {
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++) if (map[tile + dy * tilesX + dx]) return false
    return true
  }
}

/** What of the art of a film is asked for where it meets another. */
export interface MeetingArt {
  readonly film: Pick<Film, 'dpi' | 'halftone'>
  /** Regions of ink, halftones filled. */
  readonly regions: Plane
  readonly counts: Uint16Array
  readonly coarse: Coarse
  /** Round the ink; undefined for an empty film. */
  readonly box: Box | undefined
  readonly distances: Distances
  readonly tints: () => Tints
}

/** The same as it can be sent to another thread: distances are worked out there anew. */
export type Sent = Omit<MeetingArt, 'distances' | 'tints'> & { readonly tints: Tints }

export const toSend = ({ film, regions, counts, coarse, box, tints }: Art): Sent => ({
  film: { dpi: film.dpi, halftone: film.halftone },
  ...{ regions, counts, coarse, box, tints: tints() },
})

export const arrived = (sent: Sent): MeetingArt => ({
  ...sent,
  distances: distancesOf(sent.regions, sent.counts, sent.coarse),
  tints: () => sent.tints,
})

/** The art of a film laid in the frame of its set: marks and labels taken away, shifted to agree with the others. */
export interface Art extends MeetingArt {
  readonly film: Film
  /** Whole pixels by which it was moved. */
  readonly shift: readonly [number, number]
  /** Every dot. */
  readonly print: Plane
  readonly lines: readonly Thin[]
  readonly gaps: readonly Thin[]
  /** Ink in pixels, greys by their share. */
  readonly ink: number
}

/** What of a film is no art, and where it lies. */
export interface Cut {
  readonly clear: readonly Box[]
  /** Whole pixels by which the film is moved to meet the others at the marks. */
  readonly shift: readonly [number, number]
}

export function cutArt(film: Film, { clear, shift }: Cut): Art {
  const inMark = (x: number, y: number) => clear.some((box) => within(box, x, y))
  const regions = moved(cleared(film.regions, clear), shift)
  const counts = tileCounts(regions)
  const coarse = coarseOf(regions)
  const print = moved(cleared(film.packed.bits, clear), shift)
  let tints: Tints | undefined
  const kept = (thins: readonly Thin[]) =>
    thins.filter((t) => !inMark(t.x, t.y)).map((t) => ({ ...t, x: t.x + shift[0], y: t.y + shift[1] }))
  return {
    film,
    shift,
    print,
    regions,
    counts,
    distances: distancesOf(regions, counts, coarse),
    coarse,
    tints: () => {
      tints ??= tintsOf(print, film, shift)
      return tints
    },
    lines: kept(film.lines),
    gaps: kept(film.gaps),
    ink: inkIn(film.packed, whole(film.packed.bits), clear),
    box: inkBox(regions, counts),
  }
}

const whole = ({ width, height }: Plane): Box => ({ left: 0, top: 0, right: width, bottom: height })

/** A copy without what lies in boxes. */
function cleared(plane: Plane, boxes: readonly Box[]): Plane {
  const out = copyPlane(plane)
  const clear = (y: number, from: number, to: number) => {
    for (let x = from; x < to; ) {
      const at = y * out.stride + (x >> 5)
      const n = Math.min(32 - (x & 31), to - x)
      const bits = (n === 32 ? 0xffffffff : (1 << n) - 1) << (x & 31)
      out.bits[at] = (out.bits[at] ?? 0) & ~bits
      x += n
    }
  }
  for (const box of boxes)
    for (let y = box.top; y < Math.min(box.bottom, out.height); y++)
      clear(y, box.left, Math.min(box.right, out.width))
  return out
}

/** A plane moved by whole pixels; what leaves the film is lost. */
export function moved(plane: Plane, [dx, dy]: readonly [number, number]): Plane {
  if (dx === 0 && dy === 0) return plane
  const out = { ...plane, bits: new Uint32Array(plane.bits.length) }
  for (let y = 0; y < plane.height; y++) {
    const from = y - dy
    if (from < 0 || from >= plane.height) continue
    for (let w = 0; w < plane.stride; w++) {
      const start = w * 32 - dx
      const word = Math.floor(start / 32)
      const part = start - word * 32
      const low = word >= 0 && word < plane.stride ? (plane.bits[from * plane.stride + word] ?? 0) : 0
      const high =
        word + 1 >= 0 && word + 1 < plane.stride ? (plane.bits[from * plane.stride + word + 1] ?? 0) : 0
      out.bits[y * plane.stride + w] = part === 0 ? low : (low >>> part) | (high << (32 - part))
    }
  }
  return out
}

/** Tiles with fewer pixels than this hold dust, not art. */
const DUST = 8

function inkBox(plane: Plane, counts: Uint16Array): Box | undefined {
  let left = plane.width
  let top = plane.height
  let right = 0
  let bottom = 0
  for (let t = 0; t < counts.length; t++) {
    if ((counts[t] ?? 0) < DUST) continue
    const x0 = (t % plane.tilesX) * TILE
    const y0 = Math.floor(t / plane.tilesX) * TILE
    // A tile inside what is known cannot widen it.
    if (x0 >= left && x0 + TILE <= right && y0 >= top && y0 + TILE <= bottom) continue
    for (let y = y0; y < y0 + TILE; y++)
      for (let w = 0; w < 2; w++) {
        const word = plane.bits[y * plane.stride + x0 / 32 + w] ?? 0
        if (word === 0) continue
        top = Math.min(top, y)
        bottom = Math.max(bottom, y + 1)
        left = Math.min(left, x0 + w * 32 + 31 - Math.clz32(word & -word))
        right = Math.max(right, x0 + w * 32 + 32 - Math.clz32(word))
      }
  }
  return right > left ? { left, top, right, bottom } : undefined
}
