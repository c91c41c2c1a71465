import { q, type Reason } from '../advice'
import { INK } from '../ink'
import { CLOTH_DRAWS, type Cloth, ORDER, type Placement, toneOf } from '../order'
import type { Separation } from './hits'

/** Cloth lighter than this lets ink through (from memory), kg/m2. */
const LETS_THROUGH = 0.13
/** So much elastane is felt as stretch (from memory). */
const STRETCHES = 0.03

/** What a cloth asks of the print on it. */
export function clothNotes(
  cloth: Cloth,
  { clothDraws, where }: Placement,
  separations: readonly Separation[],
): readonly Reason[] {
  const { weave, weight, elastane = 0, dye } = cloth
  const of = { cloth: cloth.name }
  const smoothed = separations.some((s) => s.hit.role === 'smoothing')
  const cracks = separations.filter((s) => s.hit.role !== 'smoothing' && !s.can.stretches)
  const bleached = separations.find((s) => s.system === 'discharge')
  const names = cracks.map((s) => s.hit.name).join(', ')
  return [
    ...(weave === 'openKnit' ? [ORDER.because('CLOTH_OPEN', of)] : []),
    ...(weight < LETS_THROUGH && weave !== 'openKnit'
      ? [ORDER.because('CLOTH_THIN', { ...of, weight: q('arealMass', weight) })]
      : []),
    ...((weave === 'fleece' || weave === 'coarse') && !smoothed && where !== 'neckLabel'
      ? [ORDER.because('CLOTH_FIBRES', of)]
      : []),
    ...(dye === 'bleeds' ? [ORDER.because('CLOTH_DYE', of)] : []),
    ...(dye === 'undyed' && bleached
      ? [ORDER.because('CLOTH_UNDYED', { ...of, ink: bleached.hit.name })]
      : []),
    ...(elastane >= STRETCHES && cracks.length > 0
      ? [INK.because('STRETCH', { ...of, share: q('share', elastane), names })]
      : []),
    ...(clothDraws ? drawn(cloth, clothDraws) : []),
  ]
}

/** Art in which the cloth is a colour: whether this one is. */
function drawn(cloth: Cloth, draws: keyof typeof CLOTH_DRAWS): readonly Reason[] {
  const tone = toneOf(cloth)
  if (tone === draws) return []
  const inputs = { cloth: cloth.name, parts: CLOTH_DRAWS[draws].toLowerCase(), tone }
  return [ORDER.because(tone === 'in-between' ? 'ART_CLOTH_WEAK' : 'ART_CLOTH', inputs)]
}
