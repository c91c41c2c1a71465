import { q, type Reason } from '../advice'
import { lightness } from '../color'
import { type Cloth, isBlend, isPolyester } from '../order'
import { celsius, type Temperature } from '../quantity'
import { HEAT } from './definition'

/** Nobody dyed it, as was said; else so light and so neutral that no dye is in it (assumed). */
export const isUndyed = ({ hex, dye }: Cloth): boolean => {
  if (dye) return dye === 'undyed'
  const { L, chroma } = lightness(hex)
  return L >= 88 && chroma < 12
}

/** Dye migration starts about here; cloth makers differ. */
export const BLEEDS = { polyester: celsius(130), blend: celsius(140) } as const
/** Cloth scorches, or shines, about here (trade). */
const SCORCHES = { cotton: celsius(200), synthetic: celsius(190) } as const

/** What heat does to the cloth itself. @param at kelvin, hottest; @param where under what, in words */
export function clothHeat(cloth: Cloth, at: Temperature, where: string): readonly Reason[] {
  const bleedsLow = isPolyester(cloth) || cloth.dye === 'bleeds'
  const synthetic = isPolyester(cloth) || isBlend(cloth)
  const scorches = synthetic ? SCORCHES.synthetic : SCORCHES.cotton
  const inputs = { where, cloth: q('temperature', at) }
  if (at > scorches) return [HEAT.because('CLOTH_SCORCHES', { ...inputs, limit: q('temperature', scorches) })]
  const bleeds = bleedsLow ? BLEEDS.polyester : BLEEDS.blend
  return (synthetic || bleedsLow) && !isUndyed(cloth) && at > bleeds
    ? [HEAT.because('CLOTH_BLEEDS', { ...inputs, limit: q('temperature', bleeds) })]
    : []
}
