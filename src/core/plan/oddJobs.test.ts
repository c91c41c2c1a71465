import fc from 'fast-check'
import { expect, it } from 'vitest'
import { advicesIn, choiceOf, message, numberOf, PRACTICES, type Reason, type ShopMethod } from '../advice'
import type { FlashUnit, Frame } from '../equipment'
import { type Can, type Cloth, type InkColour, WEAVES } from '../order'
import { keysOf, mm, perCm } from '../quantity'
import { heatOf, loadOf, openingOf } from './index'
import { CLOTHS, INKS, PRESSES, planFor, SHOP } from './plan.fixtures'

/*
 * Jobs that nobody asks for, any school of any shop: whatever comes in, every number lies in its own range, every reason can be
 * read, and more pieces never take less time.
 */
const some = <T>(...all: readonly T[]) => fc.constantFrom(...all)

const can: fc.Arbitrary<Can> = fc.record({
  stretches: some(true, undefined),
  flashesFast: some(true, undefined),
  noGun: some(true, undefined),
  pvcFree: some(true, undefined),
  airDry: some(undefined, 0, 3600, 86_400, 7 * 86_400),
  maker: some(undefined, 'A', 'b'),
  additive: some(undefined, 'x'),
  additiveMaker: some(undefined, 'B', 'a'),
})
const ink = (id: string): fc.Arbitrary<InkColour> =>
  fc
    .record({
      kind: some(...Object.values(INKS)),
      can,
      system: some('house' as const, 'highSolids' as const, 'waterBased' as const, 'discharge' as const),
      coverage: fc.double({ min: 0.001, max: 1, noNaN: true }),
      ruling: some(undefined, 1800),
      line: some(undefined, 0.0001, 0.002),
    })
    .map(({ kind, ruling, line, ...more }) => ({
      ...kind,
      ...more,
      ...{ id, name: id },
      ...(ruling && { ruling }),
      ...(line && { line }),
    }))
const inks = fc
  .integer({ min: 1, max: 5 })
  .chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => ink(`i${i}`))))
const cloth: fc.Arbitrary<Cloth> = fc
  .record({
    like: some(...Object.values(CLOTHS)),
    weave: some(...keysOf(WEAVES)),
    elastane: some(undefined, 0, 0.05, 0.3),
    dye: some(undefined, 'undyed' as const, 'bleeds' as const),
    weight: some(0.02, 0.11, 0.18, 0.6),
  })
  .map(({ like, elastane, dye, ...more }) => ({
    ...like,
    ...more,
    ...{ cotton: 0.6, polyester: 0.1 },
    ...(elastane !== undefined && { elastane }),
    ...(dye && { dye }),
  }))
const method = fc.record(
  Object.fromEntries(Object.entries(PRACTICES).map(([k, p]) => [k, some(...Object.keys(p.options))])),
) as fc.Arbitrary<ShopMethod>
const flashes = fc
  .array(
    fc.record({
      kind: some('panel' as const, 'quartz' as const, 'air' as const, 'gun' as const),
      pressId: some(...keysOf(PRESSES)),
      suits: some(undefined, 'plastisol' as const, 'water' as const),
      mount: some('timed' as const, 'swings' as const, 'fixed' as const),
    }),
    { maxLength: 6 },
  )
  .map((rows) => rows.map((f, i): FlashUnit => ({ ...f, id: `f${i}`, name: `F${i}`, takes: 1 })))
const frames = fc
  .array(
    fc.record({
      width: some(mm(300), mm(580), mm(1190)),
      height: some(mm(400), mm(790), mm(1320)),
      mesh: some(perCm(21), perCm(43), perCm(61), perCm(90), perCm(120)),
      standing: some(undefined, 'smoothing' as const),
    }),
    { maxLength: 20 },
  )
  .map((rows) =>
    rows.map((f, i): Frame => ({ ...f, id: `F${i}`, tension: 2500, state: 'clean', readings: [] })),
  )
const job = fc.record({
  inks,
  cloth,
  method,
  flashes,
  frames,
  press: some(...keysOf(PRESSES)),
  pieces: some(1, 2, 11, 100, 10_000),
  width: some(0.05, 0.28, 1.1),
  where: some('front' as const, 'neckLabel' as const, 'offPallet' as const, 'allOver' as const),
  clothDraws: some('dark' as const, 'light' as const, undefined),
  pvcFree: some(true, undefined),
  smooth: some(undefined, 'base', 'no'),
  laps: some(undefined, 'two', 'one'),
  whiteLook: some('bright' as const, 'soft' as const, 'worn' as const, 'flattest' as const),
  medium: some('film' as const, 'vellum' as const, 'paper' as const),
  emulsion: some('thermal' as const, 'dual' as const),
})

const planned = ({ pieces, ...j }: typeof job extends fc.Arbitrary<infer J> ? J : never) =>
  planFor({
    ...{ inks: j.inks, cloth: j.cloth, method: j.method, press: j.press, where: j.where },
    ...{ width: j.width, height: j.width, sizes: { M: pieces }, print: { clothDraws: j.clothDraws } },
    said: { pvcFree: j.pvcFree, whiteLook: j.whiteLook },
    overrides: { press: j.press, ...(j.smooth && { smooth: j.smooth }), ...(j.laps && { laps: j.laps }) },
    shop: {
      flashes: j.flashes,
      frames: j.frames,
      screens: {
        ...SHOP.screens,
        medium: j.medium,
        emulsions: SHOP.screens.emulsions.map((e) => ({ ...e, kind: j.emulsion })),
      },
    },
  })

const readable = (r: Reason) => {
  for (const units of ['metric', 'inch'] as const)
    expect(message(r, units)).not.toMatch(/NaN|undefined|Infinity|\{\w+\}/)
}

it('odd jobs: numbers in their ranges, reasons that read, and more never takes less', () => {
  fc.assert(
    fc.property(job, (asked) => {
      const p = planned(asked)
      for (const a of advicesIn(p)) {
        a.reasons.forEach(readable)
        if (a.kind === 'choice') {
          expect(
            a.choices.map((c) => c.value),
            a.key,
          ).toContain(choiceOf(a))
          continue
        }
        expect(Number.isFinite(numberOf(a)), a.key).toBe(true)
        expect(a.range[0], a.key).toBeLessThanOrEqual(a.advised + 1e-9)
        expect(a.range[1], a.key).toBeGreaterThanOrEqual(a.advised - 1e-9)
      }
      p.warnings.forEach(readable)
      for (const h of p.hits) {
        const load = loadOf(h, asked.pieces)
        if (load) expect(Math.min(load.first, load.again?.mass ?? 1)).toBeGreaterThan(0)
      }
      for (const o of openingOf(p)) expect(Math.min(o.time, o.ink)).toBeGreaterThanOrEqual(0)
      expect(() => heatOf(p)).not.toThrow()
      const more = planned({ ...asked, pieces: asked.pieces * 2 })
      if (p.time && more.time)
        expect(numberOf(more.time.total)).toBeGreaterThanOrEqual(numberOf(p.time.total) - 1e-6)
    }),
    { numRuns: 80 },
  )
}, 240_000)
