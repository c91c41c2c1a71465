import {
  because,
  type ChoiceAdvice,
  decideChoice,
  decideNumber,
  type NumberAdvice,
  type Overrides,
  q,
  type ShopMethod,
} from '../advice'
import type { Blade, Press } from '../equipment'
import { type Length, mm } from '../quantity'
import { STROKE_RULES } from './rules'
import { options } from './stroke'

/** One blade length for all heads of the job, metres. */
export function bladeLengthFor(width: Length, blades: readonly Blade[], overrides: Overrides): NumberAdvice {
  const range = [width + 2 * mm(25), width + 2 * mm(50)] as const
  const fitting = blades.map((b) => b.length).filter((l) => l >= range[0] && l <= range[1])
  const advised = fitting.length > 0 ? Math.min(...fitting) : width + 2 * mm(35)
  const inputs = { width: q('length', width) }
  return decideNumber(
    {
      key: 'bladeLength',
      label: 'Blade length',
      kind: 'length',
      advised,
      range,
      reasons: [
        because(STROKE_RULES, 'BLADE_LENGTH', inputs),
        ...(fitting.length > 0 ? [] : [because(STROKE_RULES, 'BLADE_SHORT', inputs)]),
      ],
    },
    overrides,
  )
}

/** Push or pull for the job, by the shop's school; nothing to choose on an automatic. */
export function directionFor(
  press: Press,
  method: ShopMethod,
  overrides: Overrides,
): ChoiceAdvice | undefined {
  if (press.kind === 'automatic') return undefined
  return decideChoice(
    {
      key: 'direction',
      label: 'Stroke direction',
      kind: 'choice',
      advised: method.stroke,
      choices: options('push', 'pull'),
      reasons: [because(STROKE_RULES, 'DIRECTION')],
    },
    overrides,
  )
}
