import { copyPlane, type Plane, TILE } from './plane'

/** Words and rows of surroundings that a closing of at most 64 pixels can reach. */
const AROUND_WORDS = 2
const AROUND = 64
const ROWS = TILE + 2 * AROUND
const COLS = TILE / 32 + 2 * AROUND_WORDS

type Patch = Uint32Array

/** Moves a patch's bits by `n` pixels to the right, or to the left when negative; what comes in is 0. */
function shifted(row: Uint32Array, from: number, n: number, out: Uint32Array): void {
  const whole = Math.trunc(Math.abs(n) / 32)
  const part = Math.abs(n) % 32
  for (let c = 0; c < COLS; c++) {
    const at = n > 0 ? c - whole : c + whole
    const beyond = n > 0 ? at - 1 : at + 1
    const own = at >= 0 && at < COLS ? (row[from + at] as number) : 0
    const other = beyond >= 0 && beyond < COLS ? (row[from + beyond] as number) : 0
    out[c] =
      part === 0
        ? own
        : n > 0
          ? (own << part) | (other >>> (32 - part))
          : (own >>> part) | (other << (32 - part))
  }
}

/** Each pixel becomes ink when any of the `k` to its one side are, done in doublings. */
function spreadRows(p: Patch, k: number, direction: 1 | -1): void {
  const line = new Uint32Array(COLS)
  for (let y = 0; y < ROWS; y++) {
    const from = y * COLS
    for (let done = 1; done < k; ) {
      const step = Math.min(done, k - done)
      shifted(p, from, direction * step, line)
      for (let c = 0; c < COLS; c++) p[from + c] = (p[from + c] as number) | (line[c] as number)
      done += step
    }
  }
}

function spreadColumns(p: Patch, k: number, direction: 1 | -1): void {
  for (let done = 1; done < k; ) {
    const step = Math.min(done, k - done) * COLS
    if (direction > 0)
      for (let i = p.length - 1; i >= step; i--) p[i] = (p[i] as number) | (p[i - step] as number)
    else for (let i = 0; i < p.length - step; i++) p[i] = (p[i] as number) | (p[i + step] as number)
    done += step / COLS
  }
}

/** Closes a patch by a square of side `k`: gaps narrower than it fill, outer edges stay where they are. */
function close(p: Patch, k: number): void {
  spreadRows(p, k, 1)
  spreadColumns(p, k, 1)
  for (let i = 0; i < p.length; i++) p[i] = ~(p[i] as number)
  spreadRows(p, k, -1)
  spreadColumns(p, k, -1)
  for (let i = 0; i < p.length; i++) p[i] = ~(p[i] as number)
}

/**
 * Fills halftone tiles to the regions they tint, so that a tint has an outline.
 *
 * @param side in pixels for the tile, 0 leaves it; about 1.45 periods bridge the clear film between dots
 */
export function descreen(plane: Plane, side: (tile: number) => number): Plane {
  const out = copyPlane(plane)
  const patch = new Uint32Array(ROWS * COLS)
  for (let ty = 0; ty < plane.tilesY; ty++)
    for (let tx = 0; tx < plane.tilesX; tx++) {
      const k = Math.min(AROUND, Math.ceil(side(ty * plane.tilesX + tx)))
      if (k < 2) continue
      for (let y = 0; y < ROWS; y++)
        for (let c = 0; c < COLS; c++) {
          const py = ty * TILE - AROUND + y
          const pc = (tx * TILE) / 32 - AROUND_WORDS + c
          const inside = py >= 0 && py < plane.height && pc >= 0 && pc < plane.stride
          patch[y * COLS + c] = inside ? (plane.bits[py * plane.stride + pc] as number) : 0
        }
      close(patch, k)
      for (let y = 0; y < TILE; y++)
        for (let c = 0; c < TILE / 32; c++) {
          const at = (ty * TILE + y) * out.stride + (tx * TILE) / 32 + c
          out.bits[at] = patch[(y + AROUND) * COLS + c + AROUND_WORDS] as number
        }
    }
  return out
}
