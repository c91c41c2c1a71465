import { copyPlane, type Plane, TILE } from './plane'

/** Widest closing in pixels. */
const WIDEST = 64

/** A tile with what lies round it. */
interface Patch {
  readonly bits: Uint32Array
  readonly rows: number
  /** Words in a row. */
  readonly cols: number
}

/** Room for a tile and all that a closing by `k` can reach. */
function patchFor(k: number): Patch {
  const rows = TILE + 2 * k
  const cols = TILE / 32 + 2 * Math.ceil(k / 32)
  return { bits: new Uint32Array(rows * cols), rows, cols }
}

/** Furthest that a row is moved at once: less than a word. */
const FURTHEST = 31

/** Each pixel becomes ink when any of the `k` to its one side are, done in doublings. */
function spreadRows({ bits, rows, cols }: Patch, k: number, direction: 1 | -1): void {
  for (let done = 1; done < k; ) {
    const n = Math.min(done, k - done, FURTHEST)
    for (let row = 0; row < rows; row++) {
      const [first, last] = [row * cols, row * cols + cols - 1]
      // Begun at the end that no later word looks at.
      if (direction > 0)
        for (let i = last; i >= first; i--) {
          const w = bits[i] ?? 0
          bits[i] = w | (w << n) | (i > first ? (bits[i - 1] ?? 0) >>> (32 - n) : 0)
        }
      else
        for (let i = first; i <= last; i++) {
          const w = bits[i] ?? 0
          bits[i] = w | (w >>> n) | (i < last ? (bits[i + 1] ?? 0) << (32 - n) : 0)
        }
    }
    done += n
  }
}

function spreadColumns({ bits, cols }: Patch, k: number, direction: 1 | -1): void {
  for (let done = 1; done < k; ) {
    const step = Math.min(done, k - done) * cols
    if (direction > 0)
      for (let i = bits.length - 1; i >= step; i--) bits[i] = (bits[i] ?? 0) | (bits[i - step] ?? 0)
    else for (let i = 0; i < bits.length - step; i++) bits[i] = (bits[i] ?? 0) | (bits[i + step] ?? 0)
    done += step / cols
  }
}

/** Closes a patch by a square of side `k`: gaps narrower than it fill, outer edges stay where they are. */
function close(p: Patch, k: number): void {
  const turn = () => {
    for (let i = 0; i < p.bits.length; i++) p.bits[i] = ~(p.bits[i] ?? 0)
  }
  spreadRows(p, k, 1)
  spreadColumns(p, k, 1)
  turn()
  spreadRows(p, k, -1)
  spreadColumns(p, k, -1)
  turn()
}

/**
 * Fills halftone tiles to the regions they tint, so that a tint has an outline.
 *
 * @param side in pixels for the tile, 0 leaves it; about 1.45 periods bridge the clear film between dots
 */
export function descreen(plane: Plane, side: (tile: number) => number): Plane {
  const out = copyPlane(plane)
  const patches = new Map<number, Patch>()
  for (let ty = 0; ty < plane.tilesY; ty++)
    for (let tx = 0; tx < plane.tilesX; tx++) {
      const k = Math.min(WIDEST, Math.ceil(side(ty * plane.tilesX + tx)))
      if (k < 2) continue
      const patch = patches.get(k) ?? patchFor(k)
      patches.set(k, patch)
      const { bits, rows, cols } = patch
      const around = (cols - TILE / 32) / 2
      const top = ty * TILE - k
      const left = (tx * TILE) / 32 - around
      for (let y = 0; y < rows; y++)
        for (let c = 0; c < cols; c++) {
          const py = top + y
          const pc = left + c
          const inside = py >= 0 && py < plane.height && pc >= 0 && pc < plane.stride
          bits[y * cols + c] = inside ? (plane.bits[py * plane.stride + pc] ?? 0) : 0
        }
      close(patch, k)
      for (let y = 0; y < TILE; y++)
        for (let c = 0; c < TILE / 32; c++) {
          const at = (ty * TILE + y) * out.stride + (tx * TILE) / 32 + c
          out.bits[at] = bits[(y + k) * cols + c + around] ?? 0
        }
    }
  return out
}
