import { describe, expect, it } from 'vitest'
import { isoOf, momentOf } from '../schedule'
import { asItIs } from './asItIs'
import { afterAll, DaysSearch, daysNow, shiftedBy } from './decide'
import { daysKeptSchema, NOTHING_KEPT } from './kept'
import { type Happened, happened, type Over, over } from './otherwise'
import { on, runOf, shopOf } from './shopDays.fixtures'

const at = (time: string) => momentOf(`2026-12-01T${time}`)
const people = [
  { id: 'ida', name: 'Ida', presses: ['a'], away: [] },
  { id: 'bo', name: 'Bo', presses: ['b'], away: [] },
]
const runs = [runOf(1, { on: [on('a')] }), runOf(2, { on: [on('b')] })]
const asked = shopOf({ runs, shop: { people } })
const now = daysNow(asked, NOTHING_KEPT)
const laneOf = (lanes: typeof now.lanes, id: string) => lanes.runs.find((r) => r.facts.orderId === id)

const ALL: readonly (readonly [Happened, Over])[] = [
  [
    { kind: 'down', pressId: 'a', from: at('08:00'), to: at('14:00') },
    { kind: 'down', pressId: 'a' },
  ],
  [
    { kind: 'away', personId: 'ida', first: '2026-12-01', last: '2026-12-01' },
    { kind: 'away', personId: 'ida' },
  ],
  [
    { kind: 'garments', orderId: 'O-1', on: '2026-12-02' },
    { kind: 'garments', orderId: 'O-1' },
  ],
  [
    { kind: 'longer', runId: 'R-1-P1-dark', by: 3600 },
    { kind: 'longer', runId: 'R-1-P1-dark' },
  ],
]

describe.each(ALL)('what happened: %o', (what, end) => {
  const shifted = shiftedBy(now, what)
  it('only what it happened to is later; nothing else moves', () => {
    expect(laneOf(shifted.lanes, 'O-1')?.end).toBeGreaterThan(laneOf(now.lanes, 'O-1')?.end ?? 0)
    expect(laneOf(shifted.lanes, 'O-2')?.setUp).toBe(laneOf(now.lanes, 'O-2')?.setUp)
    expect(shifted.difference.moved).toEqual([])
  })
  it('is kept, read back, and brings the same days', () => {
    const kept = daysKeptSchema.validateSync(JSON.parse(JSON.stringify(shifted.kept)))
    expect(kept).toEqual(JSON.parse(JSON.stringify(shifted.kept)))
    const { down, otherwise } = shifted.kept
    expect(daysNow({ ...asked, down, otherwise }, shifted.kept).lanes).toEqual(shifted.lanes)
  })
  it('over after all, everything is as it was', () => {
    const { down, otherwise } = shifted.kept
    const then = daysNow({ ...asked, down, otherwise }, shifted.kept)
    expect(afterAll(then, end).lanes.runs).toEqual(now.lanes.runs)
  })
  it('is told twice without being counted twice', () => {
    const twice = happened(asked, happened(asked, NOTHING_KEPT, what), what)
    expect(twice).toEqual(happened(asked, NOTHING_KEPT, what))
    expect(over(twice, end)).toEqual(over(happened(asked, NOTHING_KEPT, what), end))
  })
})

describe('how much later', () => {
  const endOf = (what: Happened, id = 'O-1') => isoOf(laneOf(shiftedBy(now, what).lanes, id)?.end ?? 0)
  it('an hour longer ends an hour later, and of a run that is half done too', () => {
    const longer: Happened = { kind: 'longer', runId: 'R-1-P1-dark', by: 3600 }
    expect([isoOf(laneOf(now.lanes, 'O-1')?.end ?? 0), endOf(longer)]).toEqual([
      '2026-12-01T09:31',
      '2026-12-01T10:31',
    ])
    const begun = [{ runId: 'R-1-P1-dark', pressId: 'a', since: at('07:30'), left: 0.5 }]
    const half = daysNow({ ...asked, begun }, NOTHING_KEPT)
    expect([half, shiftedBy(half, longer)].map((x) => isoOf(laneOf(x.lanes, 'O-1')?.end ?? 0))).toEqual([
      '2026-12-01T08:30',
      '2026-12-01T09:30',
    ])
  })
  it('whoever is away today prints tomorrow, and is named again then', () => {
    const gone = shiftedBy(now, ALL[1]?.[0] as Happened)
    expect(isoOf(laneOf(gone.lanes, 'O-1')?.setUp ?? 0)).toBe('2026-12-02T08:00')
    expect(laneOf(gone.lanes, 'O-1')?.crew).toEqual(['ida'])
  })
  it('garments that were counted in and are not here after all are said as expected', () => {
    const later = laneOf(shiftedBy(now, ALL[2]?.[0] as Happened).lanes, 'O-1')
    expect(isoOf(later?.start ?? 0).slice(0, 10)).toBe('2026-12-02')
    expect(later?.why[0]?.rule).toBe('WAITS_GARMENTS_ON')
  })
})

it('where another press can, it takes over what waits for somebody, and both are named', () => {
  const able = shopOf({
    runs: [runOf(1, { due: '2026-12-01', on: [on('a'), on('b')] })],
    shop: { people },
  })
  const then = daysNow(able, NOTHING_KEPT)
  const { kept } = shiftedBy(then, ALL[1]?.[0] as Happened)
  const search = new DaysSearch(then, kept, { price: 'free', evaluations: 500 })
  search.go(500)
  const { moved, lateBefore, lateAfter } = search.proposal(kept).difference
  expect(moved.map((s) => [s.from?.crew, s.to?.crew])).toEqual([[['ida'], ['bo']]])
  expect([lateBefore, lateAfter]).toEqual([0, 0])
})

it('what is over, or of runs that are gone, is forgotten with the next that happens', () => {
  const old = {
    ...NOTHING_KEPT,
    otherwise: {
      away: [{ personId: 'ida', first: '2026-11-01', last: '2026-11-02' }],
      garments: [{ orderId: 'gone', on: '2026-12-05' }],
      longer: [{ runId: 'gone', by: 600 }],
    },
  }
  const next = happened(asked, old, { kind: 'longer', runId: 'R-2-P1-dark', by: 600 })
  expect(next.otherwise).toEqual({
    ...{ away: [], garments: [] },
    longer: [{ runId: 'R-2-P1-dark', by: 600 }],
  })
  expect(asItIs(asked)).toBe(asked)
})

it.each([
  [{ away: [{ personId: 'ida', first: '2026-12-02', last: '2026-12-01' }], garments: [], longer: [] }],
  [{ away: [], garments: [{ orderId: 'O-1', on: 'soon' }], longer: [] }],
  [{ away: [], garments: [], longer: [{ runId: 'R-1-P1-dark', by: 0 }] }],
  [{ away: [], garments: [], longer: [{ runId: 'R-1-P1-dark', by: '3600' }] }],
  [{ away: 'ida', garments: [], longer: [] }],
  [[]],
])('is refused: %o', (otherwise) =>
  expect(daysKeptSchema.isValidSync({ pins: [], down: [], otherwise })).toBe(false),
)
