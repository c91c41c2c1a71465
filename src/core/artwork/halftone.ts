import type { Angle, Ruling, Share } from '../quantity'
import { INCH } from '../quantity'
import { grainIn } from './grain'
import { tileMap, tintsOf } from './halftoneTiles'
import { median } from './histogram'
import type { GreyImage } from './levels'
import type { Packed } from './pack'
import { FULL, TILE } from './plane'
import { type Repeat, repeatAt, type Wave } from './spectrum'

/** One halftone screen found on a film. */
export interface HalftoneScreen {
  readonly ruling: Ruling
  /** Of the rows of dots, or of the lines, from the horizontal; radians, 0..pi/2 for dots, 0..pi for lines. */
  readonly angle: Angle
  readonly shape: 'dots' | 'long dots' | 'lines'
  /** 0..1: windows that agree, how clearly, and how like a halftone it is. */
  readonly confidence: Share
  /** Below a stated confidence it may be a pattern of the art: nothing is planned from it. */
  readonly sure: boolean
  /** Dot sizes that occur: 5th and 95th per cent of the tints. */
  readonly tints: readonly [Share, Share]
  /** Tiles that show them; undefined where none lies whole inside it. */
  readonly lightest: number | undefined
  readonly darkest: number | undefined
  /** Area of the film in this screen, in tiles. */
  readonly tiles: number
}

export interface Halftone {
  readonly screens: readonly HalftoneScreen[]
  /** For each tile 0 where it is flat, else the number of its screen from 1; the number after the last is random dots. */
  readonly map: Uint8Array
  /** Tiles of random dots. */
  readonly grain: number
}

/** What repeats with less confidence is not taken for a halftone. */
export const SURE: Share = 0.4
/** Tones within this of each other are one tone. */
const ONE_TONE = 0.12
/** A coarse pattern of one tone may be holes, bricks or tiles; lines of one tone may be stripes. */
const COARSE_LPI = 30
const LIKE_ART: Share = 0.35

const LEAST_LPI = 15
const MOST_LPI = 85
const WINDOWS = 24
/** Fundamentals that hold less of a window's variation are chance. */
const VOTE = 0.22
const MOST_SCREENS = 4
/** What fewer tiles show is a pattern of the art. */
const LEAST_TILES = 4

/** Windows are larger on finer films, so that as many dots fall into them. */
const windowSide = (dpi: number) => (dpi > 400 ? 256 : 128)

interface Cluster {
  readonly repeats: readonly Repeat[]
  readonly frequency: number
  /** Of the first wave, folded to a quarter for dots, to a half for lines. */
  readonly angle: number
  readonly lines: boolean
}

const fold = (angle: number, turn: number) => ((angle % turn) + turn) % turn
const apart = (a: number, b: number, turn: number) => {
  const d = fold(a - b, turn)
  return Math.min(d, turn - d)
}
const turnOf = (lines: boolean) => (lines ? Math.PI : Math.PI / 2)

/** Direction of the rows as seen: the wave of lines stands across them; y is turned upward. */
function described(repeat: Repeat): Omit<Cluster, 'repeats'> {
  const [{ u, v }] = repeat.waves
  const lines = repeat.waves.length === 1
  const across = Math.atan2(-v, u)
  return {
    frequency: Math.hypot(u, v),
    lines,
    angle: fold(lines ? across + Math.PI / 2 : across, turnOf(lines)),
  }
}

const SAME_FREQUENCY = 0.03
const SAME_ANGLE = (2.5 * Math.PI) / 180

/** Gathers windows that show the same screen, the largest group first. */
function clusters(repeats: readonly Repeat[]): readonly Cluster[] {
  const found: Cluster[] = []
  let left = [...repeats]
  while (left.length > 0 && found.length < MOST_SCREENS) {
    const groups = left.map((seed) => {
      const a = described(seed)
      return left.filter((r) => {
        const b = described(r)
        return (
          a.lines === b.lines &&
          Math.abs(b.frequency / a.frequency - 1) < SAME_FREQUENCY &&
          apart(a.angle, b.angle, turnOf(a.lines)) < SAME_ANGLE
        )
      })
    })
    const best = groups.reduce((a, b) => (b.length > a.length ? b : a))
    if (best.length < 2) break
    const all = best.map(described)
    const first = all[0] as Omit<Cluster, 'repeats'>
    const turn = turnOf(first.lines)
    // Angles near 0 and near a whole turn are the same: taken about the first of them.
    const offsets = all.map((d) => fold(d.angle - first.angle + turn / 2, turn) - turn / 2)
    found.push({
      repeats: best,
      frequency: median(all.map((d) => d.frequency)),
      angle: fold(first.angle + median(offsets), turn),
      lines: first.lines,
    })
    left = left.filter((r) => !best.includes(r))
  }
  return found
}

/** The waves of a cluster in the frequency plane. */
function wavesOf({ frequency, angle, lines }: Cluster): readonly Wave[] {
  const across = lines ? angle - Math.PI / 2 : angle
  const wave = { u: frequency * Math.cos(across), v: -frequency * Math.sin(across) }
  return lines ? [wave] : [wave, { u: -wave.v, v: wave.u }]
}

/**
 * Finds halftone screens on a film: where, which ruling, which angle.
 *
 * @param dpi pixels per inch of the film; below 120 no ruling is looked for
 * @param said by a person: whether what repeats is a halftone
 */
export function findHalftone(
  image: GreyImage,
  table: Uint8Array,
  { bits, inkSums }: Packed,
  edges: Uint16Array,
  dpi: number,
  said?: boolean,
): Halftone {
  const busy = dpi > 400 ? 110 : 150
  const candidates: number[] = []
  for (let t = 0; t < edges.length; t++) {
    const ink = inkSums[t] ?? 0
    if ((edges[t] ?? 0) >= busy && ink >= 60 && ink <= FULL - 60) candidates.push(t)
  }
  const screens =
    said === false ? [] : screensIn(image, table, { bits, inkSums, candidates }, dpi, said === true)
  const map = new Uint8Array(edges.length)
  screens.forEach((s, i) => {
    if (s.screen.sure) for (const t of s.tiles) map[t] = i + 1
  })
  const grain = said === false ? [] : grainIn({ bits, inkSums }, edges, candidates, map, dpi)
  for (const t of grain) map[t] = screens.length + 1
  return { screens: screens.map((s) => s.screen), map, grain: grain.length }
}

/** Dots of a halftone hold so much of what round dots of their size would in the fundamentals. */
const LIKE_DOTS = 0.8

/** Bessel's J1, by its integral (published: Abramowitz and Stegun 9.1.21). */
function besselJ1(x: number): number {
  const STEPS = 64
  let sum = 0
  for (let i = 0; i < STEPS; i++) {
    const t = ((i + 0.5) * Math.PI) / STEPS
    sum += Math.cos(t - x * Math.sin(t))
  }
  return sum / STEPS
}

/** Share of their variation that round dots on a square lattice hold in their fundamentals (Fourier series of a disc). */
export function shareOfDots(tint: Share): Share {
  // Where dots have grown together what is left are round holes.
  const t = Math.min(0.5, Math.max(0.02, Math.min(tint, 1 - tint)))
  const r = Math.sqrt(t / Math.PI)
  return (4 * (r * besselJ1(2 * Math.PI * r)) ** 2) / (t * (1 - t))
}

interface Found {
  readonly screen: HalftoneScreen
  readonly tiles: readonly number[]
}

/** Screens among the busy tiles of a film, and which tiles each fills. */
function screensIn(
  image: GreyImage,
  table: Uint8Array,
  {
    bits,
    inkSums,
    candidates,
  }: Pick<Packed, 'bits' | 'inkSums'> & { readonly candidates: readonly number[] },
  dpi: number,
  believed: boolean,
): readonly Found[] {
  const { tilesX, tilesY } = bits
  const n = windowSide(dpi)
  if (candidates.length === 0 || dpi < 120 || image.width < n || image.height < n) return []
  const repeats: Repeat[] = []
  const asked = Math.min(WINDOWS, candidates.length)
  for (let k = 0; k < asked; k++) {
    const place = asked === candidates.length ? k : Math.floor(((k * 0.6180339887) % 1) * candidates.length)
    const tile = candidates[place] ?? 0
    const left = Math.round((tile % tilesX) * TILE + TILE / 2 - n / 2)
    const top = Math.round(Math.floor(tile / tilesX) * TILE + TILE / 2 - n / 2)
    const x = Math.min(Math.max(0, left), image.width - n)
    const y = Math.min(Math.max(0, top), image.height - n)
    const repeat = repeatAt(image, table, x, y, n, LEAST_LPI / dpi, MOST_LPI / dpi)
    if (repeat && repeat.share > VOTE) repeats.push(repeat)
  }
  const groups = clusters(repeats)
  if (groups.length === 0) return []
  const all = tileMap(image, table, candidates, groups.map(wavesOf), tilesX, tilesY)
  const sizes = groups.map((_, i) => all.reduce((sum, m) => sum + (m === i + 1 ? 1 : 0), 0))
  const kept = groups.filter((_, i) => (sizes[i] ?? 0) >= LEAST_TILES)
  const map = all.map((m) => kept.indexOf(groups[m - 1] as Cluster) + 1)
  return kept.map((c, i): Found => {
    const share = median(c.repeats.map((r) => r.share))
    const balance = median(c.repeats.map((r) => r.balance))
    const { tints, lightest, darkest } = tintsOf(inkSums, map, i + 1, bits)
    const oneTone = tints[1] - tints[0] < ONE_TONE
    const artLike = oneTone && (c.lines || c.frequency * dpi < COARSE_LPI) ? LIKE_ART : 1
    const shown = Math.max(c.repeats.length / asked, (sizes[groups.indexOf(c)] ?? 0) / candidates.length)
    const alike = c.lines ? share / 0.5 : share / (LIKE_DOTS * shareOfDots((tints[0] + tints[1]) / 2))
    const confidence = shown * Math.min(1, alike) * artLike
    const tiles = [...map.keys()].filter((t) => map[t] === i + 1)
    const screen: HalftoneScreen = {
      ruling: (c.frequency * dpi) / INCH,
      angle: c.angle,
      shape: c.lines ? 'lines' : balance < 0.45 ? 'long dots' : 'dots',
      confidence,
      sure: believed || confidence >= SURE,
      tints,
      lightest,
      darkest,
      tiles: tiles.length,
    }
    return { screen, tiles }
  })
}
