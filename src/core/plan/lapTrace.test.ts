import { describe, expect, it } from 'vitest'
import { celsius } from '../quantity'
import { heatOf, lapAt, lapTrace } from './index'
import { INKS, planFor } from './plan.fixtures'

const three = { inks: [INKS.white, INKS.red, INKS.yellow, INKS.black], sizes: { M: 60 } }
const trace = (asked: Parameters<typeof planFor>[0]) => {
  const plan = planFor(asked)
  const heat = heatOf(plan)
  const lap = heat && lapAt(heat, plan.run.quantity)
  if (!heat || !lap) throw new Error('nothing is flashed')
  return { plan, heat, lap, ...lapTrace(heat.round, lap) }
}

describe('the places of a lap', () => {
  it.each(['manual', 'automatic'] as const)('%s: one after the other, without a gap', (press) => {
    const { cells, moments, plan } = trace({ ...three, press })
    expect(cells[0]!.from).toBe(0)
    expect(cells.at(-1)!.to).toBeCloseTo(moments.at(-1)!.at, 6)
    for (const [i, c] of cells.entries()) {
      expect(c.to).toBeGreaterThan(c.from)
      if (i > 0) expect(c.from).toBeCloseTo(cells[i - 1]!.to, 9)
      if (i > 0) expect(c.cell).toBeGreaterThan(cells[i - 1]!.cell)
    }
    const flashes = plan.sequence.cells.flatMap((c, i) => (c.kind === 'flash' ? [i] : []))
    for (const i of flashes) expect(cells.map((c) => c.cell)).toContain(i)
  })
  it('of an automatic are its stops, the first and the last with loading and unloading', () => {
    const { cells, heat } = trace({ ...three, press: 'automatic' })
    for (const [i, c] of cells.entries()) {
      const stops = i === 0 || i === cells.length - 1 ? 2 : 1
      expect(c.to - c.from).toBeCloseTo(stops * heat.pace.stop!, 6)
    }
  })
})

describe('a flashed film', () => {
  it('of plastisol gels at 105 to 130 °C (common practice), and closes hotter than that', () => {
    for (const { gels, closes } of trace({ ...three, press: 'manual' }).films) {
      expect(gels![0]).toBeCloseTo(celsius(105), 0)
      expect(gels![1]).toBeCloseTo(celsius(130), 0)
      expect(closes).toBeGreaterThan(gels![1])
    }
  })
  it('is past its line where its flash is past its limit, and not where it is not', () => {
    for (const dwell of [5, 8, 11, 14, 20]) {
      const { lap, films } = trace({ ...three, press: 'manual', overrides: { 'dwell.base': dwell } })
      const [flash] = lap.flashes
      expect(flash!.peak > films[0]!.closes!, `${dwell} s`).toBe(flash!.time > flash!.limit!)
    }
  })
  it('low-cure ink gels cooler; ink with water in it has no such band', () => {
    const low = trace({ ...three, inks: three.inks.map((i) => ({ ...i, lowCure: true })), press: 'manual' })
    expect(low.films.some((f) => f.gels && f.gels[0] < celsius(100))).toBe(true)
    const water = trace({ ...three, method: { ink: 'waterBased' }, press: 'manual' })
    expect(water.films.map((f) => f.gels)).toEqual(water.films.map(() => undefined))
  })
  it('lies from its print to the next one', () => {
    const { films, moments } = trace({ ...three, press: 'manual' })
    for (const f of films) {
      expect(f.from).toBeLessThan(f.to)
      expect(f.to).toBeLessThanOrEqual(moments.at(-1)!.at)
    }
  })
  it('has fallen 3 s after its flash by 20 K and more, and is warmer than its board', () => {
    const { reads, lap } = trace({ ...three, press: 'manual' })
    expect(reads.map((r) => r.name)).toEqual(lap.flashes.map((f) => f.name))
    for (const [i, r] of reads.entries()) {
      expect(r.later).toBeLessThan(lap.flashes[i]!.peak - 20)
      expect(r.later).toBeGreaterThan(lap.board)
    }
  })
})
