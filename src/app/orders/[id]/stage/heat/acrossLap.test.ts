import { describe, expect, it } from 'vitest'
import { heatOf, lapAt, lapTrace, type RunPlan } from '@/core/plan'
import { INKS, planFor } from '@/core/plan/plan.fixtures'
import { cellShares, stripCells } from '@/ui/lap/stripCells'
import { acrossLap } from './acrossLap'

const three = { inks: [INKS.white, INKS.red, INKS.yellow, INKS.black], sizes: { M: 90 } }
const traced = (plan: RunPlan) => {
  const heat = heatOf(plan)
  const lap = heat && lapAt(heat, 1)
  if (!heat || !lap) throw new Error('nothing is flashed')
  return lapTrace(heat.round, lap)
}

describe.each(['manual', 'automatic'] as const)('a lap along the strip, %s', (press) => {
  const plan = planFor({ ...three, press })
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
