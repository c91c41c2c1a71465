import type { Coarse } from './coarse'
import { markShape, type Shaped } from './markShape'
import type { Box } from './pack'
import { CELL, emptyPlane, type Plane, TILE } from './plane'

/** What may be a registration mark, in pixels from the film's top left corner. */
export interface Mark extends Shaped {
  readonly box: Box
}

const LEAST_MM = 3
const MOST_MM = 22
const THIN_MM = 1.2
const MOST_SCREENED = 0.6

export function boxOf(cells: readonly number[], columns: number): Box {
  let [left, top, right, bottom] = [columns, Number.POSITIVE_INFINITY, 0, 0]
  for (const c of cells) {
    const x = c % columns
    const y = Math.floor(c / columns)
    left = Math.min(left, x)
    right = Math.max(right, x)
    top = Math.min(top, y)
    bottom = Math.max(bottom, y)
  }
  return { left: left * CELL, top: top * CELL, right: (right + 1) * CELL, bottom: (bottom + 1) * CELL }
}

/**
 * What may be registration marks by its shape: small crosses, targets, corners and lines that stand alone, outside of
 * halftones. Whether they are is told by where they lie, on all films together.
 *
 * @param pieces cells with ink that hang together
 * @param dpi pixels per inch
 * @param inScreen whether a tile lies in a halftone
 * @returns centres to a fraction of a pixel; 0.5 is the middle of the first pixel
 */
export function findMarks(
  plane: Plane,
  coarse: Coarse,
  pieces: readonly (readonly number[])[],
  dpi: number,
  inScreen: (tile: number) => boolean,
): readonly Mark[] {
  const px = dpi / 25.4
  const least = LEAST_MM * px - CELL
  const most = MOST_MM * px + 2 * CELL
  const mostCells = (most / CELL + 1) ** 2
  return pieces.flatMap((cells): Mark[] => {
    if (cells.length > mostCells) return []
    const box = boxOf(cells, coarse.columns)
    const long = Math.max(box.right - box.left, box.bottom - box.top)
    if (long > most || long < least) return []
    const tile = (cell: number) =>
      Math.floor((Math.floor(cell / coarse.columns) * CELL) / TILE) * plane.tilesX +
      Math.floor(((cell % coarse.columns) * CELL) / TILE)
    // A halftone beside a mark reaches into its tiles.
    if (cells.filter((c) => inScreen(tile(c))).length > MOST_SCREENED * cells.length) return []
    const shaped = markShape(pieceOf(plane, cells, coarse.columns, box), THIN_MM * px)
    return shaped ? [{ ...shaped, x: shaped.x + box.left, y: shaped.y + box.top, box }] : []
  })
}

/** A piece of ink by itself, without what else reaches into its box. */
function pieceOf(plane: Plane, cells: readonly number[], columns: number, box: Box): Plane {
  const piece = emptyPlane(box.right - box.left, box.bottom - box.top)
  for (const c of cells) {
    const x = (c % columns) * CELL
    const y = Math.floor(c / columns) * CELL
    for (let row = y; row < y + CELL; row++) {
      const byte = ((plane.bits[row * plane.stride + (x >> 5)] ?? 0) >>> (x & 31)) & 0xff
      const at = (row - box.top) * piece.stride + ((x - box.left) >> 5)
      piece.bits[at] = (piece.bits[at] ?? 0) | (byte << ((x - box.left) & 31))
    }
  }
  return piece
}
