import type { Cloth } from '../order'
import { gsm, mm, perCm } from '../quantity'
import type { Frame, FrameState, ShelfInk, Squeegee } from './equipment'

/** Frames of one mesh: tension in N/cm, and what is wrong with a frame if anything. 58 x 79 cm. */
export const frameStock = (
  meshPerCm: number,
  ...stock: readonly (readonly [tension: number, state?: FrameState])[]
): readonly Frame[] =>
  stock.map(([tension, state = 'clean'], i) => ({
    id: `F${meshPerCm}-${i + 1}`,
    width: mm(580),
    height: mm(790),
    mesh: perCm(meshPerCm),
    tension: tension * 100,
    state,
    readings: [],
  }))

/** Squeegees by hardness (Shore A, or layered) and length in mm. */
export const squeegeeStock = (
  ...rows: readonly (readonly [hardness: string, lengthMm: number])[]
): readonly Squeegee[] =>
  rows.map(([hardness, length], i) => ({ id: `B${i + 1}`, hardness, length: mm(length), edge: 'square' }))

export const shelfInk = (
  id: string,
  name: string,
  hex: string,
  opacity: ShelfInk['opacity'] = 'ordinary',
  inkType: ShelfInk['inkType'] = 'spot',
  system: ShelfInk['system'] = 'plastisol',
): ShelfInk => ({ id, name, hex, inkType, opacity, system })

/** A cloth by its weight in g/m2; what is not polyester is cotton. */
export const shelfCloth = (
  name: string,
  hex: string,
  weightGsm: number,
  weave: Cloth['weave'] = 'jersey',
  polyester = 0,
): Cloth => ({ name, hex, weave, cotton: 1 - polyester, polyester, weight: gsm(weightGsm) })
