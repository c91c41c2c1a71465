import FFT from 'fft.js'
import type { GreyImage } from './levels'

/** A frequency in cycles per pixel; y grows downward. */
export interface Wave {
  readonly u: number
  readonly v: number
}

/** What repeats in one window of a film. */
export interface Repeat {
  /** Lattice vectors in the frequency plane: two for dots, one for lines. */
  readonly waves: readonly [Wave] | readonly [Wave, Wave]
  /** Power of the second fundamental against the first; 0 for lines. */
  readonly balance: number
  /** Share of the window's variation that the fundamentals hold. */
  readonly share: number
}

const hann = (n: number) =>
  Float64Array.from({ length: n }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / n))

/** The window's ink shares less their mean, faded out to its edges. */
function windowAt(image: GreyImage, table: Uint8Array, left: number, top: number, n: number): Float64Array {
  const fade = hann(n)
  const out = new Float64Array(n * n)
  let sum = 0
  let weight = 0
  for (let y = 0; y < n; y++)
    for (let x = 0; x < n; x++) {
      const ink = table[image.grey[(top + y) * image.width + left + x] ?? 0] ?? 0
      const w = (fade[x] ?? 0) * (fade[y] ?? 0)
      out[y * n + x] = ink
      sum += ink * w
      weight += w
    }
  const mean = sum / weight
  for (let y = 0; y < n; y++)
    for (let x = 0; x < n; x++)
      out[y * n + x] = ((out[y * n + x] ?? 0) - mean) * (fade[x] ?? 0) * (fade[y] ?? 0)
  return out
}

/** Power at each frequency, n x n, origin first (Cooley-Tukey by rows, then columns). */
function power(signal: Float64Array, n: number): Float64Array {
  const fft = new FFT(n)
  const rows = new Float64Array(n * n * 2)
  const line = new Array<number>(2 * n).fill(0)
  const out = fft.createComplexArray() as number[]
  for (let y = 0; y < n; y++) {
    for (let x = 0; x < n; x++) {
      line[2 * x] = signal[y * n + x] ?? 0
      line[2 * x + 1] = 0
    }
    fft.transform(out, line)
    for (let i = 0; i < 2 * n; i++) rows[y * 2 * n + i] = out[i] ?? 0
  }
  const p = new Float64Array(n * n)
  for (let x = 0; x <= n / 2; x++) {
    for (let y = 0; y < n; y++) {
      line[2 * y] = rows[y * 2 * n + 2 * x] ?? 0
      line[2 * y + 1] = rows[y * 2 * n + 2 * x + 1] ?? 0
    }
    fft.transform(out, line)
    for (let y = 0; y < n; y++) {
      const value = (out[2 * y] ?? 0) ** 2 + (out[2 * y + 1] ?? 0) ** 2
      p[y * n + x] = value
      // A real signal has the same power at the opposite frequency.
      p[((n - y) % n) * n + ((n - x) % n)] = value
    }
  }
  return p
}

/** Cosines and sines of a frequency at each of `n` pixels from a place on. */
export function phases(
  frequency: number,
  n: number,
  from = 0,
): { readonly cos: Float64Array; readonly sin: Float64Array } {
  const cos = new Float64Array(n)
  const sin = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    cos[i] = Math.cos(2 * Math.PI * frequency * (from + i))
    sin[i] = Math.sin(2 * Math.PI * frequency * (from + i))
  }
  return { cos, sin }
}

/** Gives the power of signals of `w` x `h` at a frequency, which need not be a whole bin. */
export function powerOver(w: number, h: number, { u, v }: Wave): (signal: Float64Array) => number {
  const rows = rowsAt(w, h, u)
  const sum = sumAt(h, v)
  return (signal) => sum(rows(signal))
}

/**
 * Gives each row's part at a frequency across: the real ones, then the imaginary ones. Phases are told from the middle of a
 * row, where two pixels share each cosine and sine.
 */
function rowsAt(w: number, h: number, u: number): (signal: Float64Array) => Float64Array {
  const half = w >> 1
  const odd = w % 2
  const { cos, sin } = phases(u, half, (1 + odd) / 2)
  return (signal) => {
    const rows = new Float64Array(2 * h)
    for (let y = 0; y < h; y++) {
      const right = y * w + half + odd
      const left = y * w + half - 1
      let re = odd ? (signal[y * w + half] ?? 0) : 0
      let im = 0
      for (let k = 0; k < half; k++) {
        const a = signal[right + k] ?? 0
        const b = signal[left - k] ?? 0
        re += (a + b) * (cos[k] ?? 0)
        im += (b - a) * (sin[k] ?? 0)
      }
      rows[y] = re
      rows[h + y] = im
    }
    return rows
  }
}

/** Gives the power of such rows at a frequency down them. */
function sumAt(h: number, v: number): (rows: Float64Array) => number {
  const down = phases(v, h)
  return (rows) => {
    let re = 0
    let im = 0
    for (let y = 0; y < h; y++) {
      const [a, b] = [rows[y] ?? 0, rows[h + y] ?? 0]
      const c = down.cos[y] ?? 0
      const q = -(down.sin[y] ?? 0)
      re += a * c - b * q
      im += a * q + b * c
    }
    return re * re + im * im
  }
}

/** Top of a parabola through three equidistant points, in steps from the middle one. */
const top3 = (a: number, b: number, c: number): number => {
  const bend = a - 2 * b + c
  return bend >= 0 ? 0 : Math.min(0.5, Math.max(-0.5, (a - c) / (2 * bend)))
}

/** Sharpens a peak found at a whole bin: first by its neighbours, then by the power between the bins. */
function refine(signal: Float64Array, p: Float64Array, n: number, i: number, j: number): Wave {
  const log = (x: number, y: number) => Math.log((p[((y + n) % n) * n + ((x + n) % n)] ?? 0) + 1e-9)
  let u = i + top3(log(i - 1, j), log(i, j), log(i + 1, j))
  let v = j + top3(log(i, j - 1), log(i, j), log(i, j + 1))
  const step = 0.35
  const rowsOf = (x: number) => rowsAt(n, n, x / n)(signal)
  const at = (rows: Float64Array, y: number) => Math.log(sumAt(n, y / n)(rows) + 1e-9)
  let rows = rowsOf(u)
  for (let round = 0; round < 2; round++) {
    u += step * top3(at(rowsOf(u - step), v), at(rows, v), at(rowsOf(u + step), v))
    // Along one column the rows stay what they are.
    rows = rowsOf(u)
    v += step * top3(at(rows, v - step), at(rows, v), at(rows, v + step))
  }
  return { u: u / n, v: v / n }
}

/** Share of a window's power round a bin, with its opposite. */
function around(p: Float64Array, n: number, { u, v }: Wave, total: number): number {
  let sum = 0
  const i = Math.round(u * n)
  const j = Math.round(v * n)
  for (let y = j - 2; y <= j + 2; y++)
    for (let x = i - 2; x <= i + 2; x++) sum += p[((y + n) % n) * n + ((x + n) % n)] ?? 0
  return (2 * sum) / total
}

/** Partner at a right angle with more than this share of the first one's power makes dots of lines. */
const PARTNER = 0.02

/**
 * What repeats in a square window of a film between two frequencies.
 *
 * @param n side in pixels, a power of 2
 * @param least cycles per pixel
 * @returns undefined when the window is even, or its strongest wave lies outside
 */
export function repeatAt(
  image: GreyImage,
  table: Uint8Array,
  left: number,
  top: number,
  n: number,
  least: number,
  most: number,
): Repeat | undefined {
  const signal = windowAt(image, table, left, top, n)
  const p = power(signal, n)
  const total = p.reduce((a, b) => a + b, 0)
  if (total < 1) return undefined
  let best = 0
  let i = 0
  let j = 0
  for (let y = 0; y < n; y++)
    for (let x = 0; x <= n / 2; x++) {
      const v = (y > n / 2 ? y - n : y) / n
      const f = Math.hypot(x / n, v)
      const here = p[y * n + x] ?? 0
      if (f < least || f > most || here <= best) continue
      best = here
      i = x
      j = y > n / 2 ? y - n : y
    }
  if (best === 0) return undefined
  ;[i, j] = fundamental(p, n, i, j, best, least)
  const first = refine(signal, p, n, i, j)
  const second = partner(signal, p, n, first)
  const one = around(p, n, first, total)
  if (!second || second.power < PARTNER * best) return { waves: [first], balance: 0, share: one }
  // Both vectors of a square lattice say the same: their mean is better than either.
  const w = { u: (first.u + second.wave.v) / 2, v: (first.v - second.wave.u) / 2 }
  const turned = { u: -w.v, v: w.u }
  return {
    waves: [w, turned],
    balance: Math.min(1, second.power / best),
    share: one + around(p, n, turned, total),
  }
}

/** Small dots hold nearly as much power in their overtones: a coarser wave of this share of the power is the first. */
const OVERTONE = 0.5

function strongestNear(p: Float64Array, n: number, i: number, j: number) {
  let power = 0
  let at: [number, number] = [i, j]
  for (let y = j - 1; y <= j + 1; y++)
    for (let x = i - 1; x <= i + 1; x++) {
      const here = p[((y + n) % n) * n + ((x + n) % n)] ?? 0
      if (here <= power) continue
      power = here
      at = [x, y]
    }
  return { power, at }
}

/** The coarsest wave of the lattice that a peak belongs to: the peak may be its diagonal or its double. */
function fundamental(
  p: Float64Array,
  n: number,
  i: number,
  j: number,
  power: number,
  least: number,
): [number, number] {
  const coarser = [
    [i / 2, j / 2],
    [(i - j) / 2, (i + j) / 2],
  ] as const
  for (const [x, y] of coarser) {
    if (Math.hypot(x, y) / n < least) continue
    const near = strongestNear(p, n, Math.round(x), Math.round(y))
    if (near.power > OVERTONE * power) return near.at
  }
  return [i, j]
}

/** The peak at a right angle to a wave, turned so that it is the wave turned by a quarter. */
function partner(signal: Float64Array, p: Float64Array, n: number, { u, v }: Wave) {
  const ci = Math.round(-v * n)
  const cj = Math.round(u * n)
  const { power, at } = strongestNear(p, n, ci, cj)
  return power === 0 ? undefined : { wave: refine(signal, p, n, ...at), power }
}
