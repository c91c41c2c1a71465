import { type NumberAdvice, type Overrides, q, type ShopMethod } from '../advice'
import type { ApprovedSetting, Press } from '../equipment'
import type { Cloth } from '../order'
import { type Length, mm } from '../quantity'
import { SCREEN } from './definition'

/** Off-contact for the whole job: the gap between mesh and cloth, metres. */
export function offContactFor(
  press: Press,
  cloth: Cloth,
  method: ShopMethod,
  approved: readonly ApprovedSetting[],
  screens: { readonly thin: boolean; readonly highSolids: boolean },
  overrides: Overrides,
): NumberAdvice {
  const automatic = press.kind === 'automatic'
  const rule = ruleOf(automatic, method, screens)
  const [low, usual, high] = GAPS[rule]
  const fleece = cloth.weave === 'fleece' ? mm(1) : 0
  const found = approved.findLast((p) => p.pressId === press.id && p.fleece === fleece > 0)
  const advised = found?.offContact ?? usual + fleece
  return SCREEN.number(
    'offContact',
    {
      advised,
      range: [Math.min(low + fleece / 2, advised), Math.max(high + fleece, advised)],
      reasons: [
        ...(found
          ? [
              SCREEN.because('OFF_APPROVED', {
                press: press.name,
                on: found.on,
                words: found.words,
                usual: q('length', usual + fleece),
              }),
            ]
          : []),
        SCREEN.because(rule),
        ...(fleece > 0 ? [SCREEN.because('OFF_FLEECE')] : []),
        SCREEN.because('OFF_SAME'),
      ],
    },
    overrides,
  )
}

function ruleOf(
  automatic: boolean,
  method: ShopMethod,
  { thin, highSolids }: { readonly thin: boolean; readonly highSolids: boolean },
): keyof typeof GAPS {
  if (thin) return 'OFF_THIN'
  if (method.offContact === 'low') return 'OFF_LOW'
  if (!automatic) return 'OFF_MANUAL'
  return highSolids && method.highSolids === 'layered' ? 'OFF_STIFF' : 'OFF_AUTOMATIC'
}

const gaps = (low: number, usual: number, high: number): readonly [Length, Length, Length] => [
  mm(low),
  mm(usual),
  mm(high),
]
const GAPS = {
  OFF_MANUAL: gaps(2.5, 3.2, 4),
  OFF_AUTOMATIC: gaps(1.2, 1.6, 2.4),
  OFF_LOW: gaps(1, 1.35, 1.6),
  OFF_THIN: gaps(1, 1.35, 1.6),
  OFF_STIFF: gaps(2.5, 3.2, 4),
} as const
