import { describe, expect, it } from 'vitest'
import { anyTrial } from './anyTrial.fixtures'
import { streamsOf } from './draw'
import { printPiece } from './piece'
import { begin, printOne } from './session'
import { severities } from './severity'
import { clears, gripAfter, grownBy, slipOf } from './strike'
import { freshSpot, heat, neededOn, setFor, through, ZERO } from './thermal'
import type { TrialPlan, TrialScreen } from './trialPlan'
import { truePress } from './truePress'

describe('heat, reduced for play', () => {
  // The full model of heat's own figures for aluminium at 22, 45 and 60 C: 7.2, 5.2 and 4.1 s (inside).
  it('needs what the full model needs', () => {
    for (const [board, seconds] of [
      [22, 7.2],
      [45, 5.2],
      [60, 4.1],
    ] as const)
      expect(Math.abs(neededOn(board, false, 1, 22) / seconds - 1)).toBeLessThan(0.05)
  })

  const under = { quartz: false, gain: 0.95, contact: 1, air: 22 + ZERO }
  const flashed = (dwell: number, cool: number) => {
    const spot = freshSpot(45 + ZERO, 22 + ZERO, 1)
    heat(spot, dwell, 45 + ZERO, under, true)
    heat(spot, cool, 45 + ZERO, under, false)
    return spot
  }
  // Handbook of the trade, common practice: cooled and not tacky any more was too hot; still tacky is under-gelled.
  it('too hot is dry within half a minute, under-gelled stays tacky, whatever one waits', () => {
    const [hot, waited, short] = [flashed(5.6, 2), flashed(5.6, 32), flashed(3.1, 30)]
    expect(hot.film - ZERO).toBeGreaterThan(80)
    expect(waited.film - ZERO).toBeLessThan(42)
    expect(waited.gel).toBeGreaterThan(0.93)
    expect(short.gel).toBeLessThan(0.4)
    expect(flashed(3.1 + 3, 30).gel).toBeGreaterThan(0.93)
  })

  // Handbook of the trade, common practice: 160 C cures plastisol; a dryer that is far below leaves it to crack and wash out.
  it('a film that reaches what it wants is cured, one 25 K below is not', () => {
    const set = setFor(166, 50, 60)
    expect(through(50, set, 60, 1, false).cure).toBeGreaterThan(0.95)
    expect(through(50, set - 25, 60, 1, false).cure).toBeLessThan(0.8)
  })
})

// Worked cases of the model of the rehearsal: inside figures.
it('strokes, gap and adhesive by their equations', () => {
  expect(clears(0.55)).toBeCloseTo(0.406, 2)
  expect(clears(1)).toBeCloseTo(0.98, 2)
  expect(grownBy(8, 3)).toBeCloseTo(0.222, 3)
  expect(gripAfter(40)).toBeCloseTo(0.082, 3)
  expect(slipOf(gripAfter(40))).toBeCloseTo(0.253, 3)
})

const screen = (role: TrialScreen['role'], more: Partial<TrialScreen> = {}): TrialScreen => ({
  ...{ id: role, name: role, role, hex: '#888888', opening: 85, wanted: 75, tension: 25, gap: 3 },
  ...{
    angle: 15,
    hardness: 75,
    strokes: 1,
    waterBased: false,
    overlap: 0,
    dominance: 0,
    coverage: 0.3,
    blackOnWhite: false,
  },
  ...more,
})
const PLAIN: TrialPlan = {
  ...{ hand: true, boards: 6, aluminium: true, pieces: 100, pace: 30, air: 22, cover: 1 },
  ...{ tackEvery: 10, inkEvery: 20, timer: true, choke: 0.3 },
  screens: [screen('base'), screen('top')],
  flashes: [{ quartz: false, dwell: 6, needed: 5.2, cool: 20 }],
  events: [
    { kind: 'print', screen: 0 },
    { kind: 'flash', flash: 0 },
    { kind: 'print', screen: 1 },
  ],
  cure: { target: 160, limit: 190, seconds: 60, low: false },
  cloth: { hex: '#1f2a44', dark: true, polyester: false, fibre: 0.4 },
}

it('a plan that is right, on a press that does what is planned, shows nothing in a hundred pieces', () => {
  const press = truePress(PLAIN, streamsOf(1), 0)
  const pieces = []
  let worst = ''
  for (let i = 0; i < 100; i++) {
    pieces.push(printPiece(press))
    for (const [s, { v }] of severities(press, pieces)) if (v >= 1) worst = `${s} ${v.toFixed(2)} at ${i + 1}`
  }
  expect(worst).toBe('')
})

it('the same seed, plan and fault make the same run; without the fault its twin goes as planned', () => {
  const run = (seed: number) => {
    const s = begin(anyTrial(9), seed, ['pressLow'])
    for (let i = 0; i < 40; i++) printOne(s)
    return { called: s.called, seen: s.seen, last: s.pieces.at(-1), twin: s.twins.at(-1) }
  }
  expect(run(5)).toEqual(run(5))
  expect(run(5).seen).not.toEqual(run(6).seen)
  const alone = begin(anyTrial(9), 5, [])
  for (let i = 0; i < 40; i++) printOne(alone)
  expect(alone.pieces.at(-1)).toEqual(run(5).twin)
})

it('on any plan every number is one: films, marks and severities finite, shares between nothing and one', () => {
  for (let seed = 1; seed <= 25; seed++) {
    const press = truePress(anyTrial(seed), streamsOf(seed))
    const pieces = Array.from({ length: 30 }, () => printPiece(press))
    for (const { struck, dryer, rise } of pieces) {
      expect(Number.isFinite(dryer.peak) && dryer.cure >= 0 && dryer.cure <= 1).toBe(true)
      expect(rise).toBeGreaterThanOrEqual(0)
      for (const s of struck) {
        for (const f of [...s.fill, ...s.clear, ...s.sticky]) {
          expect(f).toBeGreaterThanOrEqual(0)
          expect(f).toBeLessThanOrEqual(1)
        }
        expect(s.marks.flat().every(Number.isFinite)).toBe(true)
        expect(s.deposit).toBeGreaterThanOrEqual(0)
      }
    }
    for (const { v } of severities(press, pieces).values()) expect(Number.isFinite(v)).toBe(true)
  }
})
