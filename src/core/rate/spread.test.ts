import { describe, expect, it } from 'vitest'
import { USUAL_HOURS } from '../equipment'
import { type RunNeed, type Spread, spreadOf } from './spread'

// 400 pieces, four screens, six pallets and a loader, 40 min set-up.
const RUN: RunNeed = {
  cycle: {
    press: {
      id: 'p',
      name: 'Press',
      palletWidth: 0.4,
      palletHeight: 0.5,
      palletMaterial: 'aluminium',
      kind: 'manual',
      heads: 6,
      down: [],
      pallets: 6,
    },
    crew: { size: 'loader', skill: 'trained' },
    groups: [[2], [1, 1, 1]].map((g) => g.map((strokes) => ({ strokes, stroke: 1.3, flood: 1 }))),
    laps: 1,
    flash: 8,
    cool: 20,
    coolHeads: 0,
    offPallet: false,
    // 400 in strict turns, which take that much longer: the figures are of those.
    pieces: 420,
  },
  setup: [2400, 2400],
  most: undefined,
  driesIn: false,
  relief: false,
}
const START = 8 * 3600
function run(need: Partial<RunNeed> = {}, start = START, runs = 10_000): Spread {
  const steps = spreadOf({ ...RUN, ...need }, USUAL_HOURS, start, { runs, seed: 7 })
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
const min = (s: number) => s / 60

describe('a run many times over (inside figures, those of the model, which are assumptions)', () => {
  it('takes 201, 220, 234, 278 min in 10, 50, 80, 95 of a hundred, within 3.5 %: the naive 199 is at the lucky end', () => {
    const s = run()
    const worked = [201, 220, 234, 278]
    ;[s.tenth, s.middle, s.eighty, s.most].forEach((t, i) => {
      expect(Math.abs(min(t) / (worked[i] ?? 0) - 1)).toBeLessThan(0.035)
    })
    expect(min(s.middle)).toBeGreaterThan(199)
  })
  it('ink that dries in costs a wash-up when a break falls inside; relief saves it', () => {
    const from = 10 * 3600
    const [plain, dries, relief] = [
      run({}, from),
      run({ driesIn: true }, from),
      run({ driesIn: true, relief: true }, from),
    ]
    expect(dries.middle - plain.middle).toBeGreaterThan(15 * 60)
    expect(relief.middle).toBeLessThan(plain.middle)
  })
  it('a tighter belt, more pieces, a longer set-up never end sooner', () => {
    const s = run({}, START, 2000).middle
    expect(run({ most: 60 / 3600 }, START, 2000).middle).toBeGreaterThan(s)
    expect(run({ setup: [3600, 3600] }, START, 2000).middle).toBeGreaterThan(s)
    expect(run({ cycle: { ...RUN.cycle, pieces: 500 } }, START, 2000).middle).toBeGreaterThan(s)
  })
  it('free days stand still: a shop that works on Fridays only goes on a week later', () => {
    const friday = { ...USUAL_HOURS, days: [5] }
    const steps = spreadOf(RUN, friday, 15 * 3600, { runs: 1000, seed: 7 })
    let step = steps.next()
    while (!step.done) step = steps.next()
    // Two hours are left on Friday; the rest comes a week later.
    expect(step.value.middle).toBeGreaterThan(7 * 24 * 3600 - 7 * 3600)
    expect(step.value.middle).toBeLessThan(7 * 24 * 3600)
  })
  it('counts every run once, tells how far it is, and is the same for the same seed', () => {
    const steps = spreadOf(RUN, USUAL_HOURS, START, { runs: 2000, seed: 3 })
    expect(steps.next()).toEqual({ done: false, value: { done: 0.25 } })
    const s = run({}, START, 3000)
    expect(s.bins.reduce((a, b) => a + b, 0)).toBe(3000)
    expect(run({}, START, 3000)).toEqual(s)
    expect(s.tenth).toBeLessThanOrEqual(s.middle)
    expect(s.eighty).toBeLessThanOrEqual(s.most)
  })
})
