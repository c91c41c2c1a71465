import { CELL, type Plane, TILE } from './plane'

/** Which cells of 8 x 8 pixels hold ink. */
export interface Coarse {
  readonly columns: number
  readonly rows: number
  readonly filled: Uint8Array
}

export function coarseOf(plane: Plane): Coarse {
  const columns = (plane.tilesX * TILE) / CELL
  const rows = (plane.tilesY * TILE) / CELL
  const filled = new Uint8Array(columns * rows)
  for (let y = 0; y < plane.height; y++) {
    const row = Math.floor(y / CELL) * columns
    for (let w = 0; w < plane.stride; w++) {
      const word = plane.bits[y * plane.stride + w] ?? 0
      if (word === 0) continue
      for (let b = 0; b < 4; b++) if ((word >>> (8 * b)) & 0xff) filled[row + w * 4 + b] = 1
    }
  }
  return { columns, rows, filled }
}

/** Cells joined by side or corner, as lists of cell numbers; those of more than `most` cells are left out. */
export function components({ columns, rows, filled }: Coarse, most: number): readonly (readonly number[])[] {
  const seen = new Uint8Array(filled.length)
  const found: number[][] = []
  for (let start = 0; start < filled.length; start++) {
    if (!filled[start] || seen[start]) continue
    const cells: number[] = []
    const stack = [start]
    seen[start] = 1
    while (stack.length > 0) {
      const cell = stack.pop() ?? 0
      cells.push(cell)
      const cx = cell % columns
      const cy = Math.floor(cell / columns)
      for (let y = Math.max(0, cy - 1); y <= Math.min(rows - 1, cy + 1); y++)
        for (let x = Math.max(0, cx - 1); x <= Math.min(columns - 1, cx + 1); x++) {
          const next = y * columns + x
          if (!filled[next] || seen[next]) continue
          seen[next] = 1
          stack.push(next)
        }
    }
    if (cells.length <= most) found.push(cells)
  }
  return found
}

const DIAGONAL = 1.4
const FAR = 1e6

/** Distance of each cell to the nearest filled one in cells, good to about one (two passes, 5-7 chamfer). */
export function coarseDistance({ columns, rows, filled }: Coarse): Float32Array {
  // A rim of one cell spares asking for the border at every step.
  const wide = columns + 2
  const d = new Float32Array(wide * (rows + 2)).fill(FAR)
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns; x++) if (filled[y * columns + x]) d[(y + 1) * wide + x + 1] = 0
  const relax = (at: number, s: number) => {
    const own = d[at] ?? 0
    if (own === 0) return
    const beside = Math.min(d[at - s] ?? 0, d[at - s * wide] ?? 0) + 1
    const aslant = Math.min(d[at - s * (wide + 1)] ?? 0, d[at - s * (wide - 1)] ?? 0) + DIAGONAL
    if (beside < own || aslant < own) d[at] = Math.min(beside, aslant)
  }
  for (let y = 1; y <= rows; y++) for (let x = 1; x <= columns; x++) relax(y * wide + x, 1)
  for (let y = rows; y >= 1; y--) for (let x = columns; x >= 1; x--) relax(y * wide + x, -1)
  const out = new Float32Array(columns * rows)
  for (let y = 0; y < rows; y++)
    out.set(d.subarray((y + 1) * wide + 1, (y + 1) * wide + 1 + columns), y * columns)
  return out
}
