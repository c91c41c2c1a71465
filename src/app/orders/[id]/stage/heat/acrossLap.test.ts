import { describe, expect, it } from 'vitest'
import { splitOrder } from '@/core/order'
import { heatOf, lapAt, lapTrace, noDecisions, plan as planned, type RunPlan } from '@/core/plan'
import { DEMO_SHOP, demoOrders } from '@/store/demo'
import { cellShares, stripCells } from '@/ui/lap/stripCells'
import { acrossLap } from './acrossLap'

const planOf = (id: string) => {
  const order = demoOrders('2026-11-23').find((o) => o.id === id)
  const [run] = order ? splitOrder(order) : []
  if (!order || !run) throw new Error(`no order ${id}`)
  return planned(order, DEMO_SHOP, noDecisions(run.id))
}
const traced = (plan: RunPlan) => {
  const heat = heatOf(plan)
  const lap = heat && lapAt(heat, 1)
  if (!heat || !lap) throw new Error('nothing is flashed')
  return lapTrace(heat.round, lap)
}

describe.each(['O-1001', 'O-1003'])('a lap along the strip, %s', (id) => {
  const plan = planOf(id)
  const trace = traced(plan)
  const { cells } = stripCells(plan)
  const whole = trace.moments.at(-1)!.at

  it('goes on from left to right, from edge to edge', () => {
    for (const shares of [undefined, cellShares(plan, cells, 'places'), cellShares(plan, cells, 'time')]) {
      const { xOf } = acrossLap(trace, cells, shares)
      const xs = trace.moments.map((m) => xOf(m.at))
      expect(xs).toEqual([...xs].sort((a, b) => a - b))
      expect(xs[0]).toBe(0)
      expect(xs.at(-1)).toBeCloseTo(1, 6)
    }
  })
  it('has each place of the strip where the strip has it', () => {
    const shares = cellShares(plan, cells, 'places')
    expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
    const { edges, xOf } = acrossLap(trace, cells, shares)
    expect(edges.map((e) => e.place)).toEqual(cells.map((c) => c.place))
    edges.forEach((e, i) => {
      expect(e.x).toBeCloseTo(
        shares.slice(0, i).reduce((a, b) => a + b, 0),
        9,
      )
    })
    // A flash is hottest where the strip shows a flash.
    const hottest = trace.moments.reduce((a, b) => (b.film > a.film ? b : a))
    const at = edges.findLast((e) => e.x < xOf(hottest.at) - 1e-9)
    expect(at?.cell.kind).toBe('flash')
  })
  it('to one scale of time without the strip', () => {
    const { edges, xOf } = acrossLap(trace, cells)
    expect(xOf(whole / 2)).toBeCloseTo(0.5, 6)
    for (const e of edges) expect(e.x).toBeCloseTo(e.at / whole, 6)
  })
})
