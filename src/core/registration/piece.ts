import { type Size, sizeOf, type Where } from '../order'
import { type Length, mm } from '../quantity'

/** What of a garment lies on the pallet. */
export type PieceKind = 'body' | 'sleeve' | 'hood' | 'leg'

/** That part laid flat, metres: as wide at the pallet's end, where it is laid by its collar, hem or edge, and at its other end. */
export interface Piece {
  readonly kind: PieceKind
  readonly near: Length
  readonly far: Length
  readonly length: Length
}

const KINDS: Readonly<Partial<Record<Where, PieceKind>>> = { sleeve: 'sleeve', hood: 'hood', leg: 'leg' }

/** As shares of the chest laid flat; a leg's length as a share of the garment's (from memory; makers differ). */
const SHARES = {
  sleeve: { near: 0.34, far: 0.42, length: 0.38 },
  hood: { near: 0.62, far: 0.5, length: 0.45 },
  leg: { near: 0.32, far: 0.55, length: 1.05 },
} as const

/** No one knows a sleeve, a hood or a leg closer than to 5 mm. */
export const about = (metres: number): Length => mm(5 * Math.round(metres * 200))

const body = ({ halfChest, length }: Size): Piece => ({
  kind: 'body',
  near: halfChest,
  far: halfChest,
  length,
})

/** The part of a garment of a size that a print lies on; none for an item of which nothing is known. */
export function pieceOf(where: Where, size: string): Piece | undefined {
  if (where === 'offPallet') return undefined
  const own = sizeOf(size)
  const kind = KINDS[where] ?? 'body'
  if (kind === 'body') return body(own)
  const { near, far, length } = SHARES[kind]
  const long = kind === 'leg' ? own.length : own.halfChest
  return {
    kind,
    near: about(near * own.halfChest),
    far: about(far * own.halfChest),
    length: about(length * long),
  }
}

/** How wide a piece is, `y` from the end it is laid by. */
export const widthAt = ({ near, far, length }: Piece, y: Length): Length =>
  near + (far - near) * Math.min(1, Math.max(0, y / length))
