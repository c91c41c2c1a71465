import FFT from 'fft.js'
import type { Coarse } from './coarse'
import type { Turn } from './orient'

/**
 * How the outlines of a film lie on those of the others: films of one print share edges, traps and corners, so that the right
 * way round and in the right place far more of its outline meets theirs than any other way.
 */

/** A film lies another way, or elsewhere, than the others: what would lay it right. */
export interface Mislaid {
  readonly turn: Turn | undefined
  /** To move it by once it is turned, in pixels. */
  readonly dx: number
  readonly dy: number
  /** Share of its outline that meets the others as it lies, and as proposed. */
  readonly now: number
  readonly then: number
}

/** Cells of the search are so many coarse ones wide. */
const STEP = 8
/** Proposed when so much of the outline would meet, and so much more of it than now. */
const MEETS = 0.6
const MORE = 0.25
const TIMES = 1.6
/** Outlines of fewer cells tell nothing. */
const LEAST_CELLS = 60

/** Cells of a sheet, by their numbers. */
interface Cells {
  readonly columns: number
  readonly rows: number
  readonly listed: readonly number[]
}

/** The same as a map: 1 for each of them. */
interface Grid {
  readonly columns: number
  readonly rows: number
  readonly cells: Uint8Array
}

/** Cells with ink beside cells without. */
function outlineOf({ columns, rows, filled }: Coarse): Cells {
  const listed: number[] = []
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns; x++) {
      const c = y * columns + x
      if (!filled[c]) continue
      const all =
        x > 0 &&
        x < columns - 1 &&
        y > 0 &&
        y < rows - 1 &&
        filled[c - 1] &&
        filled[c + 1] &&
        filled[c - columns] &&
        filled[c + columns]
      if (!all) listed.push(c)
    }
  return { columns, rows, listed }
}

/** Grown by one cell all round. */
function grown({ columns, rows, listed }: Cells): Grid {
  const cells = new Uint8Array(columns * rows)
  for (const c of listed) {
    const [x, y] = [c % columns, Math.floor(c / columns)]
    const [from, to] = [Math.max(0, x - 1), Math.min(columns - 1, x + 1)]
    for (let v = Math.max(0, y - 1); v <= Math.min(rows - 1, y + 1); v++)
      cells.fill(1, v * columns + from, v * columns + to + 1)
  }
  return { columns, rows, cells }
}

const TURNED: Readonly<Record<Turn | 'none', readonly [across: boolean, down: boolean]>> = {
  none: [false, false],
  mirrored: [true, false],
  'half turn': [true, true],
  flipped: [false, true],
}

/** Where cells come to lie on a sheet of so many cells. */
function turnedBy({ columns, rows, listed }: Cells, turn: Turn | 'none', wide: number, high: number): Cells {
  const [across, down] = TURNED[turn]
  const out: number[] = []
  for (const c of listed) {
    const [x, y] = [c % columns, Math.floor(c / columns)]
    const u = across ? wide - 1 - x : x
    const v = down ? high - 1 - y : y
    if (u >= 0 && v >= 0) out.push(v * columns + u)
  }
  return { columns, rows, listed: out }
}

/** Share of an outline, as a list of cells, that lies on another when it is moved by whole cells; by each `every`th of them. */
function meeting(
  own: readonly number[],
  { columns, rows, cells }: Grid,
  dx: number,
  dy: number,
  every = 1,
): number {
  let on = 0
  let seen = 0
  for (let i = 0; i < own.length; i += every, seen++) {
    const c = own[i] ?? 0
    const u = (c % columns) + dx
    const v = Math.floor(c / columns) + dy
    if (u >= 0 && v >= 0 && u < columns && v < rows) on += cells[v * columns + u] ?? 0
  }
  return seen === 0 ? 0 : on / seen
}

const power = (n: number) => 2 ** Math.ceil(Math.log2(Math.max(2, n)))

/** Sides of the larger cells: twice as many as the sheet has, so that nothing comes round from the other side. */
const sidesOf = ({ columns, rows }: Cells) => [power((2 * columns) / STEP), power((2 * rows) / STEP)] as const

function spectrumOf(g: Cells): Float64Array {
  const [w, h] = sidesOf(g)
  const data = new Float64Array(w * h * 2)
  for (const c of g.listed) {
    const at = 2 * (Math.floor(Math.floor(c / g.columns) / STEP) * w + Math.floor((c % g.columns) / STEP))
    data[at] = (data[at] ?? 0) + 1
  }
  return transform(data, w, h, false)
}

/** Where two outlines meet most, by their correlation on a grid of larger cells (through the Fourier transform). */
function bestShift(own: Cells, b: Float64Array): readonly [number, number] {
  const [w, h] = sidesOf(own)
  const a = spectrumOf(own)
  const product = new Float64Array(a.length)
  for (let i = 0; i < a.length; i += 2) {
    const [ar, ai, br, bi] = [a[i] ?? 0, a[i + 1] ?? 0, b[i] ?? 0, b[i + 1] ?? 0]
    product[i] = ar * br + ai * bi
    product[i + 1] = ar * bi - ai * br
  }
  const found = transform(product, w, h, true)
  let best = 0
  for (let i = 2; i < found.length; i += 2) if ((found[i] ?? 0) > (found[best] ?? 0)) best = i
  const at = best / 2
  const signed = (k: number, n: number) => (k > n / 2 ? k - n : k) * STEP
  return [signed(at % w, w), signed(Math.floor(at / w), h)]
}

/** Fourier transform of a grid, rows then columns. */
function transform(data: Float64Array, w: number, h: number, back: boolean): Float64Array {
  const along = (n: number, lines: number, index: (line: number, i: number) => number) => {
    const fft = new FFT(n)
    const [input, output] = [fft.createComplexArray(), fft.createComplexArray()]
    for (let line = 0; line < lines; line++) {
      for (let i = 0; i < n; i++) {
        const at = 2 * index(line, i)
        input[2 * i] = data[at] ?? 0
        input[2 * i + 1] = data[at + 1] ?? 0
      }
      if (back) fft.inverseTransform(output, input)
      else fft.transform(output, input)
      for (let i = 0; i < n; i++) {
        const at = 2 * index(line, i)
        data[at] = output[2 * i] ?? 0
        data[at + 1] = output[2 * i + 1] ?? 0
      }
    }
  }
  along(w, h, (line, i) => line * w + i)
  along(h, w, (line, i) => i * w + line)
  return data
}

/** One film of a set: its art on coarse cells, and its own sheet in pixels. */
export interface Sheet {
  readonly coarse: Coarse
  readonly width: number
  readonly height: number
}

/** Places round the best of the coarse search that are tried, in cells. */
const AROUND = STEP
/** A place is tried by so many cells first, spread over the outline: far below what counts, it is not tried by all. */
const GLANCE = 1000
/** More than four deviations of a share read from so many cells. */
const DOUBT = 0.08
/** A turn is named when it meets so much better than the film as it lies. */
const BETTER = 0.02

/**
 * Which films lie another way or elsewhere than the others.
 *
 * @param cell pixels of a coarse cell
 * @returns for each film undefined where nothing speaks against it
 */
export function mislaidIn(sheets: readonly Sheet[], cell: number): readonly (Mislaid | undefined)[] {
  const outlines = sheets.map((s) => outlineOf(s.coarse))
  const total = new Uint16Array(sheets[0]?.coarse.filled.length ?? 0)
  for (const { listed } of outlines) for (const c of listed) total[c] = (total[c] ?? 0) + 1
  const found = sheets.map((sheet, i): Mislaid | undefined => {
    const own = outlines[i] as Cells
    if (own.listed.length < LEAST_CELLS || sheets.length < 2) return undefined
    // What the others carry: all that is carried more often than by this one.
    const others = total.slice()
    for (const c of own.listed) others[c] = (others[c] ?? 0) - 1
    const listed: number[] = []
    for (let c = 0; c < others.length; c++) if (others[c]) listed.push(c)
    const all: Cells = { columns: own.columns, rows: own.rows, listed }
    const wide = grown(all)
    const now = meeting(own.listed, wide, 0, 0)
    if (now > 1 - MORE) return undefined
    const least = Math.max(MEETS, now + MORE, TIMES * now)
    const spectrum = spectrumOf(all)
    const tried = (['none', 'mirrored', 'half turn', 'flipped'] as const).map((turn) => {
      const turned = turnedBy(own, turn, Math.floor(sheet.width / cell), Math.floor(sheet.height / cell))
      const [x, y] = bestShift(turned, spectrum)
      const outline = turned.listed
      const every = Math.max(1, Math.floor(outline.length / GLANCE))
      let best = { turn, dx: 0, dy: 0, then: 0 }
      for (let dy = y - AROUND; dy <= y + AROUND; dy++)
        for (let dx = x - AROUND; dx <= x + AROUND; dx++) {
          if (meeting(outline, wide, dx, dy, every) < least - BETTER - DOUBT) continue
          const then = meeting(outline, wide, dx, dy)
          const nearer = Math.hypot(dx, dy) < Math.hypot(best.dx, best.dy)
          if (then > best.then + 1e-9 || (then === best.then && nearer)) best = { turn, dx, dy, then }
        }
      return best
    })
    // Art that is alike both ways round is not turned.
    const best = tried.reduce((a, b) => (b.then > a.then + BETTER ? b : a))
    if (best.turn === 'none' && Math.hypot(best.dx, best.dy) <= 2) return undefined
    if (best.then < least) return undefined
    return {
      turn: best.turn === 'none' ? undefined : best.turn,
      dx: best.dx * cell,
      dy: best.dy * cell,
      now,
      then: best.then,
    }
  })
  // Where one lies wrong the others miss it as well: the one that would gain most is named, the last of those alike.
  const named = found.filter((m) => m !== undefined)
  if (2 * named.length <= sheets.length) return found
  const gain = (m: Mislaid) => m.then - m.now
  const worst = named.reduce((a, b) => (gain(b) >= gain(a) ? b : a))
  return found.map((m) => (m === worst ? m : undefined))
}
