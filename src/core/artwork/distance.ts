import { type Coarse, coarseDistance, coarseOf } from './coarse'
import { bitAt, CELL, FULL, type Plane, TILE } from './plane'

/** Farthest that an edge is looked for, in pixels. */
export const REACH = 32
/** No change of ink within reach in this column. */
const NONE = 127

/** What lies nearest to a pixel on the other side of the ink's edge. */
export interface Nearest {
  readonly d: number
  readonly x: number
  readonly y: number
}

/** Distances to the nearest edge of a film's ink, worked out tile by tile where they are asked for. */
export interface Distances {
  readonly plane: Plane
  /** Distance of each cell to the nearest with ink, in cells. */
  readonly away: Float32Array
  /**
   * The nearest pixel that is ink when this one is not, or that is none when this one is. Exact Euclidean distance
   * between pixel centres; undefined beyond `REACH`.
   */
  readonly nearest: (x: number, y: number) => Nearest | undefined
  /** Lets go of what was worked out: a dense film's is as large as the film, and is soon made again. */
  readonly forget: () => void
}

/** A row that no film reaches. */
const FAR = 1e6
/** Tiles are 2^6 pixels wide. */
const SHIFT = Math.log2(TILE)

/** For each pixel of a tile the signed steps along its column to the nearest pixel of the other kind. */
function columnSteps(plane: Plane, tx: number, ty: number): Int8Array {
  const out = new Int8Array(TILE * TILE).fill(NONE)
  const words = TILE / 32
  /** Row in which each column changed last. */
  const last = new Int32Array(TILE)
  const top = ty * TILE
  const word = (y: number, w: number) =>
    y < 0 || y >= plane.height ? 0 : (plane.bits[y * plane.stride + tx * words + w] ?? 0)
  // Down the columns: how far above the last change lies; then up again.
  for (const direction of [1, -1] as const) {
    last.fill(-direction * FAR)
    const start = direction > 0 ? top - REACH : top + TILE + REACH - 1
    for (let i = 1; i < TILE + REACH; i++) {
      const y = start + direction * i
      const row = y - top
      for (let w = 0; w < words; w++) {
        // Most words do not change from row to row.
        let changed = word(y, w) ^ word(y - direction, w)
        while (changed !== 0) {
          const b = 31 - Math.clz32(changed & -changed)
          last[w * 32 + b] = y
          changed &= changed - 1
        }
      }
      if (row < 0 || row >= TILE) continue
      for (let x = 0; x < TILE; x++) {
        const steps = direction * (y - (last[x] ?? 0)) + 1
        const at = row * TILE + x
        if (steps <= REACH && steps < Math.abs(out[at] ?? 0)) out[at] = -direction * steps
      }
    }
  }
  return out
}

/** Tiles from which an edge can be in reach: not all of the tiles round them are clear, nor all full. */
function inReach({ tilesX, tilesY }: Plane, counts: Uint16Array): Uint8Array {
  const out = new Uint8Array(counts.length)
  for (let ty = 0; ty < tilesY; ty++)
    for (let tx = 0; tx < tilesX; tx++) {
      const own = counts[ty * tilesX + tx] ?? 0
      let mixed = own !== 0 && own !== FULL
      for (let y = Math.max(0, ty - 1); y <= Math.min(tilesY - 1, ty + 1) && !mixed; y++)
        for (let x = Math.max(0, tx - 1); x <= Math.min(tilesX - 1, tx + 1) && !mixed; x++)
          mixed = counts[y * tilesX + x] !== own
      if (mixed) out[ty * tilesX + tx] = 1
    }
  return out
}

/**
 * @param counts ink pixels in each tile
 * @param coarse its cells with ink
 */
export function distancesOf(plane: Plane, counts: Uint16Array, coarse: Coarse = coarseOf(plane)): Distances {
  const reach = inReach(plane, counts)
  // Cells of clear film this far from ink need no search; good to a cell and a half.
  const away = coarseDistance(coarse)
  const columns = (plane.tilesX * TILE) / CELL
  const tiles = new Map<number, Int8Array>()
  const tile = (tx: number, ty: number): Int8Array => {
    const at = ty * plane.tilesX + tx
    const known = tiles.get(at)
    if (known) return known
    const made = columnSteps(plane, tx, ty)
    tiles.set(at, made)
    return made
  }
  let best = 0
  let bx = 0
  let by = 0
  /** Looks for the nearest pixel of the other kind in the column `xx`. */
  const look = (xx: number, x: number, y: number, own: number) => {
    const dx = xx - x
    let dy = 0
    if (bitAt(plane, xx, y) === own) {
      dy = tile(xx >> SHIFT, y >> SHIFT)[(y % TILE) * TILE + (xx % TILE)] ?? 0
      if (dy === NONE) return
    }
    const d = dx * dx + dy * dy
    if (d >= best) return
    best = d
    bx = xx
    by = y + dy
  }
  const nearest = (x: number, y: number): Nearest | undefined => {
    if (!reach[Math.floor(y / TILE) * plane.tilesX + Math.floor(x / TILE)]) return undefined
    if (((away[Math.floor(y / CELL) * columns + Math.floor(x / CELL)] ?? 0) - 2) * CELL > REACH)
      return undefined
    const own = bitAt(plane, x, y)
    best = REACH * REACH + 1
    look(x, x, y, own)
    const most = Math.max(x, plane.width - 1 - x)
    for (let i = 1; i * i < best && i <= most; i++) {
      if (x - i >= 0) look(x - i, x, y, own)
      if (x + i < plane.width) look(x + i, x, y, own)
    }
    return best > REACH * REACH ? undefined : { d: Math.sqrt(best), x: bx, y: by }
  }
  return { plane, away, nearest, forget: () => tiles.clear() }
}
