import type { ShopMethod } from '../advice'
import type { Optics } from '../color'
import type { InkRoom } from '../equipment'
import type { Cloth, InkColour, Where, WhiteLook } from '../order'
import { mixed, partsOf } from './formula'
import { opticsOf, type Read } from './optics'
import { type Films, type Looks, looksOf } from './predict'

/** Inks that do more than lie on the cloth as a film of one colour. */
const BEYOND: ReadonlySet<string> = new Set(['metallic', 'expanding', 'clear', 'fluorescent'])
export const isFilm = (ink: InkColour): boolean => !BEYOND.has(ink.inkType) && ink.system !== 'discharge'

/** What an ink of the order does to light, and how that is known. */
export interface InkOptics {
  readonly optics: Optics
  readonly how: Read
}

const SURENESS: readonly Read[] = ['class', 'labs', 'curves']
const classes = new Map<string, Optics>()
const KEPT = 400

/** By the shop's formula of that name if there is one and its inks are on the rack; else by colour and class. */
export function opticsOfInk(ink: InkColour, room: InkRoom): InkOptics {
  const formula = room.formulas.find((f) => f.name.toLowerCase() === ink.name.toLowerCase())
  const parts = formula && partsOf(formula.parts, room.rack)
  if (parts && parts.length > 0) {
    const least = Math.min(...parts.map((p) => SURENESS.indexOf(p.of.ink.characterisation.how as Read)))
    return { optics: mixed(parts), how: SURENESS[least] ?? 'class' }
  }
  const key = `${ink.hex} ${ink.opacity}`
  const optics = classes.get(key) ?? opticsOf(ink.hex, ink.opacity)
  if (classes.size >= KEPT) classes.clear()
  classes.set(key, optics)
  return { optics, how: 'class' }
}

/** What a verdict on colour is made from besides the order. */
export interface InkFacts {
  readonly room: InkRoom
  readonly method: ShopMethod
  /** A neck label is thin, an item off the pallet is printed in one pass: nothing goes under either. */
  readonly where: Where
  /** How white is to look. */
  readonly look: WhiteLook
  /** Films that would be printed of a colour and of whites under it. */
  readonly films: (ink: InkColour) => Films
}

export type Expected = Looks & { readonly how: Read }

/** How a colour is expected to look on a cloth before anything is decided; none where no film describes the ink. */
export function expectedLooks(ink: InkColour, cloth: Cloth, { room, films }: InkFacts): Expected | undefined {
  if (!isFilm(ink)) return undefined
  const { optics, how } = opticsOfInk(ink, room)
  return { ...looksOf(optics, cloth, films(ink)), how }
}
