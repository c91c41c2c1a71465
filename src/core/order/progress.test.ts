import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  isOffPress,
  isReady,
  isToPrint,
  ORDER_STATES,
  type OrderState,
  PROGRESS,
  type Progress,
  saidAlso,
  stateBefore,
} from './progress'

const marks = Object.keys(PROGRESS) as Progress[]
const states = Object.keys(ORDER_STATES) as OrderState[]

describe('how far an order is', () => {
  it('to print, or off the press, or only asked for: never two of them', () => {
    expect(states.filter(isToPrint)).toEqual(['open', 'printing'])
    expect(states.filter(isOffPress)).toEqual(['printed', 'packed', 'done'])
    expect(states.filter((s) => !isToPrint(s) && !isOffPress(s))).toEqual(['asked'])
  })

  it('going back to an earlier state takes back what was said of the later ones, and keeps what was waited for', () => {
    const said = { open: '1', garments: '2', printing: '3', printed: '4' }
    expect(saidAlso(said, 'open', true, '9')).toEqual({ open: '1', garments: '2' })
    expect(saidAlso(said, 'printing', false, '9')).toEqual({ open: '1', garments: '2' })
    expect(saidAlso(said, 'garments', false, '9')).toEqual({ open: '1', printing: '3', printed: '4' })
    expect(states.map(stateBefore)).toEqual(['asked', 'asked', 'open', 'printing', 'printed', 'packed'])
  })

  it('said once more it keeps its day; said and taken back nothing of it is left (property)', () => {
    const some = fc.dictionary(fc.constantFrom(...marks), fc.constantFrom('1', '2', '3'))
    fc.assert(
      fc.property(some, fc.constantFrom(...marks), (said, mark) => {
        const now = saidAlso(said, mark, true, '9')
        expect(now[mark]).toBe(said[mark] ?? '9')
        expect(saidAlso(now, mark, true, '10')).toEqual(now)
        const back = saidAlso(now, mark, false, '10')
        expect(back[mark]).toBeUndefined()
        // Nothing but states in their turn ever goes with it.
        for (const kept of marks.filter(isReady)) if (kept !== mark) expect(back[kept]).toBe(said[kept])
      }),
    )
  })
})
