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

const mostIn = (h: Float64Array, from: number, to: number) => {
  let best = from
  for (let i = from; i <= to; i++) if ((h[i] ?? 0) > (h[best] ?? 0)) best = i
  return best
}

/** Share of a frame of `margin` pixels round the film that is dark. */
function darkFrame({ width, height, grey }: GreyImage, margin: number, mid: number): Share {
  let dark = 0
  let n = 0
  for (let y = 0; y < height; y += 3)
    for (let x = 0; x < width; x += 3) {
      if (y >= margin && y < height - margin && x >= margin && x < width - margin) {
        x = width - margin - 1
        continue
      }
      n++
      if ((grey[y * width + x] ?? 0) < mid) dark++
    }
  return n === 0 ? 0 : dark / n
}

/** A negative shows a dark frame: this share of it, 1.5 mm wide. Full-bleed art shows one too, so it can be said. */
const DARK_FRAME = 0.7
/**
 * Extremes that occur are believed: fine halftones at low resolution hardly reach them, and lie between. They are
 * believed too where the group has no common grey: a scan has one, dots smaller than a pixel have not.
 */
const EXTREME = 6
const SEEN = 0.0002
const COMMON = 0.5
const NEAR = 12

/**
 * What is ink and what is clear film, from the grey values.
 *
 * @param margin pixels of the frame looked at to tell a negative
 * @param negative said by a person; undefined finds out
 */
export function levelsOf(image: GreyImage, margin: number, negative?: boolean): Levels {
  const h = histogram(image.grey)
  const total = h.reduce((a, b) => a + b, 0)
  const mid = otsu(h)
  const share = (from: number, to: number) => h.subarray(from, to + 1).reduce((a, b) => a + b, 0) / total
  const level = (extreme: number, from: number, to: number) => {
    if (share(Math.max(0, extreme - EXTREME), Math.min(255, extreme + EXTREME)) > SEEN) return extreme
    const mode = mostIn(h, from, to)
    const [low, high] = [Math.max(from, mode - NEAR), Math.min(to, mode + NEAR)]
    if (share(low, high) <= COMMON * share(from, to)) return extreme
    // The middle of what scatters about the mode: a mode alone is a grey or two off, which is a point of coverage.
    let sum = 0
    for (let v = low; v <= high; v++) sum += v * (h[v] ?? 0)
    return sum / (share(low, high) * total)
  }
  const dark = level(0, 0, mid)
  const light = level(255, mid + 1, 255)
  const inverted = negative ?? darkFrame(image, margin, (dark + light) / 2) > DARK_FRAME
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
