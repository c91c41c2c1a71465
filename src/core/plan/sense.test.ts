import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { advicesIn, message, numberOf } from '../advice'
import { screensOf } from './index'
import { CLOTHS, INKS, PRESSES, planFor, SHOP } from './plan.fixtures'

/*
 * What a lead of twenty years would never believe otherwise: facts of the trade, from memory, held against whatever is asked.
 * More never makes less, help never makes slower, no number lies outside its own range.
 */
type Asked = NonNullable<Parameters<typeof planFor>[0]>
const press = fc.constantFrom(...(Object.keys(PRESSES) as (keyof typeof PRESSES)[]))
const cloth = fc.constantFrom(...Object.values(CLOTHS))
const inks = fc.subarray(Object.values(INKS), { minLength: 1, maxLength: 4 })
const pieces = fc.integer({ min: 1, max: 3000 })
const job = fc.record({ press, cloth, inks }).map(({ press, cloth, inks }): Asked => ({ press, cloth, inks }))
const minutesOf = (asked: Asked) => {
  const { time } = planFor(asked)
  return time && numberOf(time.total)
}
const inkOf = (asked: Asked) => planFor(asked).hits.reduce((sum, h) => sum + (h.ink ? numberOf(h.ink) : 0), 0)
const RUNS = { numRuns: 40 }

describe('more never makes less (property)', () => {
  it('more pieces take no less time and no less ink', () => {
    fc.assert(
      fc.property(job, pieces, pieces, (asked, a, b) => {
        const few = { ...asked, sizes: { M: Math.min(a, b) } }
        const many = { ...asked, sizes: { M: Math.max(a, b) } }
        expect(inkOf(many)).toBeGreaterThanOrEqual(inkOf(few) - 1e-9)
        const [short, long] = [minutesOf(few), minutesOf(many)]
        if (short !== undefined && long !== undefined) expect(long).toBeGreaterThanOrEqual(short - 1e-6)
      }),
      RUNS,
    )
  })
  it('a larger print takes no less ink', () => {
    fc.assert(
      fc.property(job, fc.double({ min: 0.05, max: 0.38, noNaN: true }), (asked, width) => {
        const of = (w: number) => inkOf({ ...asked, width: w })
        expect(of(width * 1.05)).toBeGreaterThanOrEqual(of(width) - 1e-9)
      }),
      RUNS,
    )
  })
  it('a colour more takes no fewer screens', () => {
    fc.assert(
      fc.property(job, (asked) => {
        const [last, ...rest] = [...(asked.inks ?? [])].reverse()
        if (!last || rest.length === 0) return
        const few = planFor({ ...asked, inks: rest.reverse() })
        expect(screensOf(planFor(asked))).toBeGreaterThanOrEqual(screensOf(few))
      }),
      RUNS,
    )
  })
})

describe('help never makes slower (property)', () => {
  it('a loader, or a better hand, takes no more time', () => {
    fc.assert(
      fc.property(job, (asked) => {
        const with_ = (overrides: NonNullable<Asked['overrides']>) => minutesOf({ ...asked, overrides })
        const [alone, helped] = [with_({ crew: 'alone' }), with_({ crew: 'loader' })]
        if (alone !== undefined && helped !== undefined) expect(helped).toBeLessThanOrEqual(alone + 1e-6)
        const hands = ['beginner', 'trained', 'good', 'top'].map((skill) => with_({ skill }) ?? 0)
        expect(hands).toEqual([...hands].sort((a, b) => b - a))
      }),
      { numRuns: 20 },
    )
  })
  it('one more pallet, or a wider belt, takes no more time', () => {
    const wider = fc.double({ min: 1, max: 2.5, noNaN: true })
    fc.assert(
      fc.property(cloth, inks, fc.integer({ min: 2, max: 7 }), wider, (cloth, inks, pallets, by) => {
        const at = (n: number, belt: number) =>
          minutesOf({
            cloth,
            inks,
            shop: {
              presses: [{ ...PRESSES.manual, pallets: n }],
              dryers: SHOP.dryers.map((d) => ({ ...d, beltWidth: belt })),
            },
          })
        const now = at(pallets, 0.6)
        if (now === undefined) return
        expect(at(pallets + 1, 0.6)).toBeLessThanOrEqual(now + 1e-6)
        expect(at(pallets, 0.6 * by)).toBeLessThanOrEqual(now + 1e-6)
      }),
      { numRuns: 20 },
    )
  })
  it('a longer tunnel takes no more time', () => {
    fc.assert(
      fc.property(job, fc.double({ min: 1, max: 4, noNaN: true }), (asked, longer) => {
        const dryers = SHOP.dryers.map((d) => ({ ...d, heatedLength: d.heatedLength * longer }))
        const [now, then] = [minutesOf(asked), minutesOf({ ...asked, shop: { dryers } })]
        if (now !== undefined && then !== undefined) expect(then).toBeLessThanOrEqual(now + 1e-6)
      }),
      RUNS,
    )
  })
})

describe('every number (property)', () => {
  it('lies in its own range, and says why in whole words', () => {
    fc.assert(
      fc.property(job, pieces, (asked, n) => {
        for (const a of advicesIn(planFor({ ...asked, sizes: { M: n } }))) {
          expect(a.reasons.length, a.key).toBeGreaterThan(0)
          for (const r of a.reasons)
            for (const units of ['metric', 'inch'] as const)
              expect(message(r, units), a.key).not.toMatch(/NaN|undefined|Infinity|[{}]/)
          if (a.kind === 'choice') continue
          const [low, high] = a.range
          const slack = 1e-9 * Math.max(1, Math.abs(high))
          expect(a.advised, a.key).toBeGreaterThanOrEqual(low - slack)
          expect(a.advised, a.key).toBeLessThanOrEqual(high + slack)
        }
      }),
      RUNS,
    )
  })
  it('a mesh has a range, not a point, whatever is drawn and whatever frames are there', () => {
    const frames = fc.subarray([...new Set(SHOP.frames.map((f) => f.mesh))], { minLength: 1 })
    const drawn = fc.record({
      ruling: fc.option(fc.integer({ min: 25, max: 85 }), { nil: undefined }),
      line: fc.option(fc.double({ min: 0.0001, max: 0.002, noNaN: true }), { nil: undefined }),
      particle: fc.option(fc.double({ min: 0.00001, max: 0.0003, noNaN: true }), { nil: undefined }),
    })
    fc.assert(
      fc.property(job, frames, drawn, (asked, meshes, { ruling, line, particle }) => {
        const inks = (asked.inks ?? []).map((i) => ({
          ...i,
          ...(ruling === undefined ? {} : { ruling: ruling / 0.0254 }),
          ...(line === undefined ? {} : { line }),
          ...(particle === undefined ? {} : { particle }),
        }))
        const shop = { frames: SHOP.frames.filter((f) => meshes.includes(f.mesh)) }
        for (const { mesh } of planFor({ ...asked, inks, shop }).hits) {
          expect(mesh.range[0], mesh.key).toBeLessThan(mesh.range[1])
          expect(mesh.advised, mesh.key).toBeGreaterThanOrEqual(mesh.range[0])
          expect(mesh.advised, mesh.key).toBeLessThanOrEqual(mesh.range[1])
        }
      }),
      { numRuns: 60 },
    )
  })
  it('warnings are said once, worst first', () => {
    const rank = { Stop: 0, Watch: 1, Note: 2 }
    fc.assert(
      fc.property(job, (asked) => {
        const { warnings } = planFor(asked)
        const told = warnings.map((w) => message(w, 'metric'))
        expect(new Set(told).size).toBe(told.length)
        const ranks = warnings.map((w) => rank[w.severity ?? 'Note'])
        expect(ranks).toEqual([...ranks].sort())
      }),
      RUNS,
    )
  })
})
