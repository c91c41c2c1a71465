import { type Coarse, components } from './coarse'
import type { Packed } from './pack'
import { CELL, clearCells, inkInCells, type Plane, TILE } from './plane'

/** Less ink than this, by itself in clear film, is dust: 0.03 square millimetres, a dot of 0.2 mm. */
const DUST_MM2 = 0.03
/** It lies in so few cells. */
const DUST_CELLS = 4

interface Dusted {
  /** What is left, by cells that hang together. */
  readonly pieces: readonly (readonly number[])[]
  readonly specks: number
  /** Ink in pixels. */
  readonly dust: number
}

/**
 * Takes away ink that stands alone and is too small to be art: out of the clean plane, its cells, and the sums of ink. Dots of a
 * halftone stand beside others.
 */
export function takeDust(clean: Plane, coarse: Coarse, packed: Packed, dpi: number): Dusted {
  const most = DUST_MM2 * (dpi / 25.4) ** 2
  const pieces: (readonly number[])[] = []
  const gone: number[] = []
  let specks = 0
  for (const cells of components(coarse, Number.POSITIVE_INFINITY)) {
    if (cells.length > DUST_CELLS || inkInCells(clean, cells, coarse.columns) > most) pieces.push(cells)
    else {
      specks++
      gone.push(...cells)
    }
  }
  const dust = inkInCells(packed.bits, gone, coarse.columns)
  clearCells(clean, gone, coarse.columns)
  for (const c of gone) coarse.filled[c] = 0
  forget(packed, gone)
  return { pieces, specks, dust }
}

/** Takes cells out of the sums of ink. */
function forget({ bits, cells, inkSums }: Packed, gone: readonly number[]): void {
  const across = TILE / CELL
  const columns = bits.tilesX * across
  for (const c of gone) {
    const tile =
      Math.floor(Math.floor(c / columns) / across) * bits.tilesX + Math.floor((c % columns) / across)
    inkSums[tile] = (inkSums[tile] ?? 0) - (cells[c] ?? 0) / 255
    cells[c] = 0
  }
}
