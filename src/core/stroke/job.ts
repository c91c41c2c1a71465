import { type ChoiceAdvice, type NumberAdvice, type Overrides, q, type ShopMethod } from '../advice'
import type { Press, Squeegee } from '../equipment'
import { type Length, mm } from '../quantity'
import { STROKE } from './definition'

/** One squeegee length for all heads of the job, metres. */
export function squeegeeLengthFor(
  width: Length,
  squeegees: readonly Squeegee[],
  overrides: Overrides,
): NumberAdvice {
  const range = [width + 2 * mm(25), width + 2 * mm(50)] as const
  const fitting = squeegees.map((b) => b.length).filter((l) => l >= range[0] && l <= range[1])
  const advised = fitting.length > 0 ? Math.min(...fitting) : width + 2 * mm(35)
  const inputs = { width: q('length', width) }
  return STROKE.number(
    'squeegeeLength',
    {
      advised,
      range,
      reasons: [
        STROKE.because('SQUEEGEE_LENGTH', inputs),
        ...(fitting.length > 0 ? [] : [STROKE.because('SQUEEGEE_SHORT', inputs)]),
      ],
    },
    overrides,
  )
}

/** Push or pull for the job, by the shop's practice; nothing to choose on an automatic. */
export function directionFor(
  press: Press,
  method: ShopMethod,
  overrides: Overrides,
): ChoiceAdvice<'push' | 'pull'> | undefined {
  if (press.kind === 'automatic') return undefined
  return STROKE.choice(
    'direction',
    { advised: method.stroke, reasons: [STROKE.because('DIRECTION')] },
    overrides,
  )
}
