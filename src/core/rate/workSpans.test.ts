import { expect, it } from 'vitest'
import { USUAL_HOURS } from '../equipment'
import { workSpans } from './workSpans'

const h = (x: number) => x * 3600

it('the working parts of a day lie between its breaks (clock arithmetic)', () => {
  expect(workSpans(USUAL_HOURS)).toEqual([
    [h(8), h(12)],
    [h(12.5), h(17)],
  ])
  const odd = {
    ...USUAL_HOURS,
    breaks: [
      { from: h(16), to: h(18) },
      { from: h(7), to: h(9) },
      { from: h(8.5), to: h(10) },
    ],
  }
  expect(workSpans(odd)).toEqual([[h(10), h(16)]])
  expect(workSpans({ ...USUAL_HOURS, breaks: [{ from: 0, to: h(24) }] })).toEqual([])
})
