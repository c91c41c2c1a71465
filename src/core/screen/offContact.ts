import {
  because,
  decideNumber,
  type NumberAdvice,
  type Overrides,
  q,
  ruleTable,
  type ShopMethod,
} from '../advice'
import type { Press, Proven } from '../equipment'
import type { Cloth } from '../order'
import { type Length, mm } from '../quantity'

export const OFF_CONTACT_RULES = ruleTable({
  OFF_MANUAL: { says: 'By hand with normal stencils.', source: 'common practice' },
  OFF_AUTOMATIC: { says: 'An automatic or a tight screen wants less.', source: 'common practice' },
  OFF_LOW: {
    says: 'As low as the stencil allows: watch for sticking and smears.',
    source: 'common practice',
  },
  OFF_FLEECE: { says: 'Thick fleece lifts the surface: more.', source: 'common practice' },
  OFF_PROVEN: {
    says: 'Found good at {press} on {on}: {words}. The usual is {usual}.',
    source: "the shop's choice",
  },
  OFF_SAME: { says: 'The same on all heads of a job.', source: 'common practice' },
})

/** Off-contact for the whole job: the gap between mesh and cloth, metres. */
export function offContactFor(
  press: Press,
  cloth: Cloth,
  method: ShopMethod,
  proven: readonly Proven[],
  overrides: Overrides,
): NumberAdvice {
  const automatic = press.kind === 'automatic'
  const rule = method.offContact === 'low' ? 'OFF_LOW' : automatic ? 'OFF_AUTOMATIC' : 'OFF_MANUAL'
  const [low, usual, high] = GAPS[rule]
  const fleece = cloth.weave === 'fleece' ? mm(1) : 0
  const found = proven.findLast((p) => p.pressId === press.id && p.fleece === fleece > 0)
  const advised = found?.offContact ?? usual + fleece
  return decideNumber(
    {
      key: 'offContact',
      label: 'Off-contact',
      kind: 'length',
      advised,
      range: [Math.min(low + fleece / 2, advised), Math.max(high + fleece, advised)],
      reasons: [
        ...(found
          ? [
              because(OFF_CONTACT_RULES, 'OFF_PROVEN', {
                press: press.name,
                on: found.on,
                words: found.words,
                usual: q('length', usual + fleece),
              }),
            ]
          : []),
        because(OFF_CONTACT_RULES, rule),
        ...(fleece > 0 ? [because(OFF_CONTACT_RULES, 'OFF_FLEECE')] : []),
        because(OFF_CONTACT_RULES, 'OFF_SAME'),
      ],
    },
    overrides,
  )
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
} as const
