import type { Share } from '../quantity'

/** Grey values of a film: 0 is black as decoded. */
export interface Levels {
  /** Grey of full ink and of clear film, 0..255; ink may be the lighter one on a negative. */
  readonly ink: number
  readonly clear: number
  /** The film is light on dark. */
  readonly inverted: boolean
}

/** A film as decoded: one byte a pixel, row by row. */
export interface GreyImage {
  readonly width: number
  readonly height: number
  readonly grey: Uint8Array
  /** Ink is what is not transparent: the file is of one tone, as a white base is exported. */
  readonly opaque?: boolean
  /** Its ink is a colour and no black: as dark as that is, it is ink. */
  readonly coloured?: boolean
  /** Share of it that is half transparent. */
  readonly translucent?: Share
  /** Pixels of its own sheet, where it lies on a larger one. */
  readonly sheet?: { readonly width: number; readonly height: number }
}

const SAMPLE = 13

function histogram(grey: Uint8Array): Float64Array {
  const h = new Float64Array(256)
  for (let i = 0; i < grey.length; i += SAMPLE) {
    const v = grey[i] ?? 0
    h[v] = (h[v] ?? 0) + 1
  }
  return h
}

/** The grey that parts a histogram into two groups with the least spread within them (Otsu 1979). */
export function otsu(h: Float64Array): number {
  const total = h.reduce((a, b) => a + b, 0)
  const sum = h.reduce((a, b, i) => a + b * i, 0)
  let below = 0
  let belowSum = 0
  let best = -1
  let at = 127
  for (let i = 0; i < 255; i++) {
    below += h[i] ?? 0
    belowSum += (h[i] ?? 0) * i
    if (below === 0 || below === total) continue
    const apart = belowSum / below - (sum - belowSum) / (total - below)
    const between = below * (total - below) * apart * apart
    if (between > best) {
      best = between
      at = i
    }
  }
  return at
}

/** Greys of a frame of `margin` pixels round the film. */
function frameOf({ width, height, grey }: GreyImage, margin: number): Float64Array {
  const h = new Float64Array(256)
  for (let y = 0; y < height; y += 3)
    for (let x = 0; x < width; x += 3) {
      if (y >= margin && y < height - margin && x >= margin && x < width - margin) {
        x = width - margin - 1
        continue
      }
      const v = grey[y * width + x] ?? 0
      h[v] = (h[v] ?? 0) + 1
    }
  return h
}

const sumOf = (h: Float64Array, from = 0, to = 255) => h.subarray(from, to + 1).reduce((a, b) => a + b, 0)

/** Counts of each grey with those of its neighbours, so that noise makes no peaks. */
const smooth = (h: Float64Array) => h.map((_, v) => sumOf(h, Math.max(0, v - 2), Math.min(255, v + 2)))

/**
 * The outermost grey that many pixels share, between an extreme and the grey that parts ink from clear film: soft edges and
 * the insides of small dots lie further in.
 */
function outerPeak(h: Float64Array, extreme: 0 | 255, mid: number): number | undefined {
  const s = smooth(h)
  const least = PEAK * sumOf(h)
  const inward = extreme === 0 ? 1 : -1
  const end = extreme === 0 ? mid : mid + 1
  for (let v = extreme as number; v !== end; v += inward) {
    const own = s[v] ?? 0
    const near = s.subarray(Math.max(0, v - NEAR), Math.min(255, v + NEAR) + 1)
    if (own < least || own < Math.max(...near)) continue
    for (let w = v; w >= 0 && w <= 255; w += inward) if ((s[w] ?? 0) < VALLEY * own) return v
  }
  return undefined
}

/** The middle of what scatters about a grey: the grey alone is one or two off, which is a point of coverage. */
function middleAbout(h: Float64Array, v: number): number {
  let [n, sum] = [0, 0]
  for (let w = Math.max(0, v - NEAR); w <= Math.min(255, v + NEAR); w++) {
    n += h[w] ?? 0
    sum += w * (h[w] ?? 0)
  }
  return n > 0 ? sum / n : v
}

/** A negative shows a dark frame: this share of it, 1.5 mm wide. Full-bleed art shows one too, so it can be said. */
const DARK_FRAME = 0.7
/** So much of the frame is bare film when its greys tell what bare film is. */
const BARE = 0.8
/**
 * Extremes that occur are believed: fine halftones at low resolution hardly reach them, and lie between. They are
 * believed too where no grey is common: a scan has one, dots smaller than a pixel have not.
 */
const EXTREME = 6
const SEEN = 0.0002
const COMMON = 0.5
const NEAR_BLACK = 90
const NEAR = 12
/** A peak holds so much of all pixels, and falls to this share of its height further in. */
const PEAK = 0.0005
const VALLEY = 0.5

/**
 * What is ink and what is clear film, from the grey values.
 *
 * @param margin pixels of the frame looked at to tell a negative
 * @param negative said by a person; undefined finds out
 */
export function levelsOf(image: GreyImage, margin: number, negative?: boolean): Levels {
  const h = histogram(image.grey)
  const frame = frameOf(image, margin)
  const total = sumOf(h)
  const mid = otsu(h)
  const occurs = (extreme: 0 | 255) =>
    sumOf(h, Math.max(0, extreme - EXTREME), Math.min(255, extreme + EXTREME)) > SEEN * total
  // A drawing has one of them at the least: its greys are the rims of shapes.
  const scan = !occurs(0) && !occurs(255)
  const level = (extreme: 0 | 255, from: number, to: number) => {
    if (occurs(extreme)) return extreme
    // The frame is bare film, or bare ink: nothing soft lies in it.
    const own = frame.map((n, v) => (v >= from && v <= to ? n : 0))
    const bare = sumOf(own) > BARE * sumOf(frame) ? own : h
    const peak = outerPeak(bare, extreme, mid)
    if (peak === undefined) return extreme
    const common =
      sumOf(h, Math.max(from, peak - NEAR), Math.min(to, peak + NEAR)) > COMMON * sumOf(h, from, to)
    // A drawing's own black is near black; what is lighter in it is a grey that was never screened.
    const meant = common && (image.coloured || Math.abs(peak - extreme) < NEAR_BLACK)
    return scan || meant ? middleAbout(bare, peak) : extreme
  }
  const dark = level(0, 0, mid)
  const light = level(255, mid + 1, 255)
  const darkFrame = sumOf(frame, 0, Math.ceil((dark + light) / 2) - 1) / Math.max(1, sumOf(frame))
  const inverted = negative ?? darkFrame > DARK_FRAME
  return inverted ? { ink: light, clear: dark, inverted } : { ink: dark, clear: light, inverted }
}

/** Beyond clear film and beyond full ink a scan scatters by so much; what is further off is no grey of either. */
const SCATTER: Share = 0.25

/**
 * Ink share of each grey value, 255 for all ink, below 0 where a scan is lighter than its clear film: sums of it are true,
 * as what scatters about clear film and about full ink cancels out, and soft edges and small dots lose nothing.
 */
export function shareTable({ ink, clear }: Levels): Int16Array {
  const span = ink - clear || -255
  return Int16Array.from({ length: 256 }, (_, v) => {
    const share = (v - clear) / span
    return Math.round(255 * Math.min(1 + SCATTER, Math.max(-SCATTER, share)))
  })
}

/** Ink share of each grey value as its shape counts, 0..255 for 0..1: linear between clear film and full ink (area, as dots are counted). */
export function inkTable({ ink, clear }: Levels): Uint8Array {
  const span = ink - clear || -255
  // On a scan the greys scatter about their modes: a fifth at either end is not yet ink, or all ink.
  const scanned = Math.abs(span) < 255 - 2 * EXTREME
  const slack = scanned ? 0.2 : 0
  return Uint8Array.from({ length: 256 }, (_, v) => {
    const t = ((v - clear) / span - slack) / (1 - 2 * slack)
    return Math.round(255 * Math.min(1, Math.max(0, t)))
  })
}
