import { describe, expect, it } from 'vitest'
import { splitOrder } from '@/core/order'
import { noDecisions, plan } from '@/core/plan'
import { DEMO_DECISIONS, DEMO_SHOP, demoOrders } from '@/store/demo'
import { isStage, STAGE_NAMES, settledWords, stageOf } from './orders/[id]/stages'
import { todayLines } from './today'

const orders = demoOrders('2026-11-23')
const stored = orders.map((order) => ({ order, version: 1 }))
const decided = new Map(DEMO_DECISIONS.map((d) => [d.runId, { decisions: d, version: 2 }]))
const today = todayLines(stored, DEMO_SHOP, decided)
const line = (runId: string) => {
  const found = today.find((l) => l.run?.id === runId)
  if (!found) throw new Error(`no line ${runId}`)
  return found
}

describe('today', () => {
  it('has a line for every run, with press, screens and minutes', () => {
    expect(today).toHaveLength(orders.flatMap(splitOrder).length)
    for (const l of today) {
      expect(l.screens).toBeGreaterThan(0)
      expect(l.time?.[1]).toBeGreaterThan(l.time?.[0] ?? Number.POSITIVE_INFINITY)
    }
  })
  it('puts Stops before Watches, leaves Notes out, and leads to where the worst is settled', () => {
    const engine = line('R-1004-P1-light')
    expect(engine.open.map((r) => r.severity)).toEqual(['Stop', 'Watch'])
    expect(engine.href).toBe('/orders/O-1004/screens?run=R-1004-P1-light')
    expect(line('R-1010-P1-in-between').href).toMatch(/\/ink\?/)
    expect(line('R-1003-P1-dark').href).toMatch(/\/sequence\?/)
    expect(line('R-1007-P1-dark-poly')).toMatchObject({
      open: [],
      href: '/orders/O-1007/run?run=R-1007-P1-dark-poly',
    })
  })
  it('follows what the lead decided', () => {
    expect(line('R-1005-P1-dark').screens).toBe(1)
    const undecided = todayLines(stored, DEMO_SHOP, new Map()).find((l) => l.run?.id === 'R-1005-P1-dark')
    expect(undecided?.screens).toBe(2)
  })
  it('says what an order still misses', () => {
    const [order] = orders
    if (!order) throw new Error('no order')
    const missing = (change: Partial<typeof order>, shop = DEMO_SHOP) =>
      todayLines([{ order: { ...order, ...change }, version: 1 }], shop, decided)[0]?.missing
    expect(missing({ customer: '' })).toBe('Customer is missing')
    expect(missing({ lines: [] })).toBe('No quantities yet')
    expect(missing({ placements: order.placements.map((p) => ({ ...p, inks: [], relations: [] })) })).toBe(
      'No colours yet',
    )
    expect(missing({}, { ...DEMO_SHOP, presses: [] })).toBe('The shop has no press')
    expect(missing({})).toBe('')
    const [first] = order.placements
    if (!first) throw new Error('no print')
    const half = { placements: [first, { ...first, id: 'P2', inks: [], relations: [] }] }
    const lines = todayLines([{ order: { ...order, ...half }, version: 1 }], DEMO_SHOP, decided)
    expect(lines.map((l) => l.missing)).toEqual(['', 'No colours yet'])
  })
})

describe('the traveller', () => {
  const [order] = orders
  const [run] = order ? splitOrder(order) : []
  if (!order || !run) throw new Error('no run')
  const p = plan(order, DEMO_SHOP, noDecisions(run.id))
  it('says in a few words what each stage has settled, in either unit', () => {
    const words = (units: 'metric' | 'inch') => STAGE_NAMES.map((s) => settledWords(s, order, p, units))
    expect(words('metric')).toEqual([
      '144 pieces',
      '1 print',
      '4 screens',
      expect.stringMatching(/^\d+ g$/),
      'Carousel Four, 2 flashes',
      '70 mm',
      '160 °C',
      expect.stringMatching(/^\d+ min$/),
    ])
    expect(words('inch').slice(5, 7)).toEqual(['2 3/4 in', '320 °F'])
  })
  it('says nothing of a plan that is not there', () => {
    expect(STAGE_NAMES.map((s) => settledWords(s, order, undefined, 'metric'))).toEqual([
      '144 pieces',
      '1 print',
      '',
      '',
      '',
      '',
      '',
      '',
    ])
  })
  it('knows its stages, and where each warning is settled', () => {
    expect(STAGE_NAMES.every(isStage)).toBe(true)
    expect(isStage('toString')).toBe(false)
    expect(stageOf('FRAMES_SHORT')).toBe('screens')
    expect(stageOf('OFF_PALLET')).toBe('placement')
    expect(stageOf('BASE_MAYBE')).toBe('ink')
    expect(stageOf('BLADE_SHORT')).toBe('sequence')
    expect(stageOf('POLY_HOT')).toBe('heat')
    expect(stageOf('RATE_DRYER')).toBe('run')
  })
})
