import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { USUAL_HOURS } from '../equipment'
import { finishAt } from './index'

const h = (x: number) => x * 3600
const MONDAY = 1
const FRIDAY = 5

describe('when a run is done (clock arithmetic; 8 to 5 with half an hour at noon)', () => {
  it.each([
    ['inside the morning', MONDAY, h(8), h(3), { days: 0, clock: h(11) }],
    ['over the break', MONDAY, h(11), h(2), { days: 0, clock: h(13.5) }],
    ['up to closing', MONDAY, h(8), h(8.5), { days: 0, clock: h(17) }],
    ['into the next day', MONDAY, h(16), h(2), { days: 1, clock: h(9) }],
    ['over the weekend', FRIDAY, h(16), h(2), { days: 3, clock: h(9) }],
    ['begun before opening', MONDAY, h(6), h(1), { days: 0, clock: h(9) }],
    ['begun in the break', MONDAY, h(12.25), h(1), { days: 0, clock: h(13.5) }],
    ['begun after closing', FRIDAY, h(20), h(1), { days: 3, clock: h(9) }],
  ] as const)('%s', (_, day, start, work, end) =>
    expect(finishAt(USUAL_HOURS, day, start, work)).toEqual(end),
  )
  it('never comes where no one works', () => {
    expect(finishAt({ ...USUAL_HOURS, days: [] }, 1, 0, 60)).toBeUndefined()
    expect(finishAt({ ...USUAL_HOURS, breaks: [{ from: 0, to: h(24) }] }, 1, 0, 60)).toBeUndefined()
  })
  it('more work never ends earlier (property)', () => {
    const moment = (f: ReturnType<typeof finishAt>) => (f ? f.days * 86_400 + f.clock : Number.NaN)
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 7 }),
        fc.nat(86_399),
        fc.nat(200_000),
        fc.nat(50_000),
        (day, start, a, more) =>
          moment(finishAt(USUAL_HOURS, day, start, a + more)) >= moment(finishAt(USUAL_HOURS, day, start, a)),
      ),
    )
  })
})
