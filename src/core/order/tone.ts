import { lightness } from '../color'
import type { Cloth } from './order'

/** How much a cloth works against the ink: dark swallows colour, light carries it, in between it depends. */
export type Tone = 'light' | 'in-between' | 'dark'

/**
 * Dark below L* 40; light from L* 84 when nearly neutral; in between otherwise. Limits from common practice, no source:
 * natural counts as light; golden yellow, rust and heather grey as in between; navy, maroon and charcoal as dark.
 */
export function toneOf(cloth: Cloth): Tone {
  const { L, chroma } = lightness(cloth.hex)
  if (L < 40) return 'dark'
  return L >= 84 && chroma < 20 ? 'light' : 'in-between'
}

/** From this share of polyester the dye bleeds into hot ink: all-polyester and blends. */
export const isPolyester = (cloth: Cloth): boolean => cloth.polyester > 0.6
export const isBlend = (cloth: Cloth): boolean => cloth.polyester > 0.2 && !isPolyester(cloth)
