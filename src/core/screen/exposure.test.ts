import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { numberOf } from '../advice'
import {
  type Emulsion,
  type Lamp,
  type Medium,
  type ScreenRoom,
  type StepTest,
  USUAL_SCREENS,
} from '../equipment'
import { mm, perCm } from '../quantity'
import {
  byDistance,
  emulsionAge,
  exposureFor,
  readScale,
  readStrips,
  SCALE_STEP,
  sensitiserFor,
  strips,
  unsuitable,
} from './index'

const lamp = (kind: Lamp['kind'], distance = mm(400)): Lamp => ({ id: 'L', name: 'Lamp', kind, distance })
const emulsion: Emulsion = { id: 'E', name: 'Dual', kind: 'dual', water: 'resistant', build: 5e-6 }
const test: StepTest = {
  id: 'T1',
  on: '2026-10-05',
  lampId: 'L',
  emulsionId: 'E',
  mesh: perCm(43),
  coats: 2,
  distance: mm(400),
  time: 100,
  low: 71,
  high: 100,
}
const room = (l: Lamp, tests: readonly StepTest[] = [test]): ScreenRoom => ({
  ...USUAL_SCREENS,
  lamps: [l],
  tests,
})
const need = { hitId: 'x', name: 'Red', mesh: perCm(43), coats: 2, fine: false }
const expose = (n: object = {}, l = lamp('bulb'), tests?: readonly StepTest[], e = emulsion) =>
  exposureFor({ ...need, ...n }, room(l, tests), e, {})
const time = (...asked: Parameters<typeof expose>) => {
  const found = expose(...asked)
  return found ? numberOf(found.time) : Number.NaN
}
const rules = (...asked: Parameters<typeof expose>) => expose(...asked)?.time.reasons.map((r) => r.rule)

describe('exposure', () => {
  it('is what the step test found, for the same screen, and sure of it', () => {
    expect(expose()).toMatchObject({ confidence: 'tested', time: { advised: 100, range: [71, 100] } })
  })
  // Published: the inverse-square law of a small source; twice as far takes four times as long.
  it('goes with the square of the distance of a small lamp, not of a panel or the sun', () => {
    expect(byDistance(mm(800), mm(400))).toBe(4)
    expect(time({}, lamp('bulb', mm(800)))).toBeCloseTo(400)
    expect(time({}, lamp('metalHalide', mm(600)))).toBeCloseTo(225)
    for (const kind of ['led', 'sun'] as const) expect(time({}, lamp(kind, mm(800)))).toBe(100)
  })
  // Common practice, no source: 12.5 to 13 min at 110 tpi against 11.5 to 12 at 230 tpi under a slow lamp, 5 to 10 % less.
  it('takes 5 to 10 % less from 43 to 90 T/cm of the same colour', () => {
    const white = USUAL_SCREENS.fabrics.map((f) => ({ ...f, dyed: 'white' as const }))
    const found = exposureFor(
      { ...need, mesh: perCm(90) },
      { ...room(lamp('bulb')), fabrics: white },
      emulsion,
      {},
    )
    expect(found && numberOf(found.time)).toBeGreaterThan(90)
    expect(found && numberOf(found.time)).toBeLessThan(95)
    expect(found?.confidence).toBe('near')
  })
  it('takes longer for more coats and for dyed mesh, says each factor, and is less sure', () => {
    expect(time({ coats: 6 })).toBeCloseTo(300)
    const dyed = expose({ mesh: perCm(90) })
    expect(dyed?.confidence).toBe('far')
    expect(rules({ mesh: perCm(90), coats: 3 }, lamp('bulb', mm(500)))).toEqual([
      'EXPOSE_TESTED',
      'EXPOSE_DISTANCE',
      'EXPOSE_COATS',
      'EXPOSE_MESH',
      'EXPOSE_DYED',
      'EXPOSE_FAR',
    ])
  })
  it('yellow mesh takes 1.75 times as long as white of the same count (common practice, no source: 1.5 to 2)', () => {
    const dyedAs = (dyed: 'white' | 'yellow') => {
      const fabrics = USUAL_SCREENS.fabrics.map((f) => ({
        ...f,
        dyed: f.count === perCm(90) ? dyed : ('white' as const),
      }))
      const found = exposureFor(
        { ...need, mesh: perCm(90) },
        { ...room(lamp('bulb')), fabrics },
        emulsion,
        {},
      )
      return found ? numberOf(found.time) : Number.NaN
    }
    expect(dyedAs('yellow') / dyedAs('white')).toBeCloseTo(1.75, 6)
  })
  it('starts from the nearest test, and of two as near from the newer', () => {
    const other = { ...test, id: 'T2', mesh: perCm(90), time: 200, low: 140, high: 200 }
    const newer = { ...test, id: 'T3', on: '2026-11-01', time: 90 }
    expect(time({ mesh: perCm(90) }, lamp('bulb'), [test, other])).toBe(200)
    expect(time({}, lamp('bulb'), [test, other, newer])).toBe(90)
  })
  // Common practice, no source: very different lamps.
  it.each([
    ['sun', 10],
    ['led', 24],
    ['bulb', 300],
    ['halogen', 750],
  ] as const)(
    'without a test a %s gives only where one may start: about %d s, half to double',
    (kind, about) => {
      const found = expose({}, lamp(kind), [])
      expect(found).toMatchObject({
        confidence: 'none',
        time: { advised: about, range: [about / 2, about * 2] },
      })
      expect(found?.time.reasons[0]?.rule).toBe('EXPOSE_GUESS')
    },
  )
  it('refuses a halogen lamp with anything but dual cure, and warns of fine detail under it', () => {
    for (const kind of ['photopolymer', 'diazo'] as const) {
      expect(unsuitable(lamp('halogen'), { ...emulsion, kind })).toBe(true)
      expect(rules({}, lamp('halogen'), [], { ...emulsion, kind })).toContain('EXPOSE_UNFIT')
    }
    expect(rules({}, lamp('halogen'), [])).not.toContain('EXPOSE_UNFIT')
    expect(rules({ fine: true }, lamp('halogen'), [])).toContain('EXPOSE_COARSE')
    expect(rules({ fine: true }, lamp('led'), [])).not.toContain('EXPOSE_COARSE')
  })
  it('says nothing of film stencils and of a shop without a lamp', () => {
    expect(expose({}, lamp('led'), [], { ...emulsion, kind: 'thermal' })).toBeUndefined()
    expect(exposureFor(need, { ...USUAL_SCREENS, lamps: [] }, emulsion, {})).toBeUndefined()
  })
})

describe('a step test', () => {
  // Published: a 21-step scale rises by 0.15 density a step; density is the decimal logarithm of light (optics).
  it('steps by 1.41, which is 10^0.15: two steps double the light', () => {
    expect(SCALE_STEP).toBeCloseTo(1.4125, 4)
    expect(SCALE_STEP ** 2).toBeCloseTo(2, 2)
    expect(SCALE_STEP ** 20).toBeCloseTo(1000, 6)
  })
  it('lays strips about a time; what is added after each makes the total', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 1000, noNaN: true }),
        fc.integer({ min: 3, max: 11 }),
        (about, count) => {
          const laid = strips(about, count)
          expect(laid).toHaveLength(count)
          let sum = 0
          for (const { add, total } of laid) {
            expect(add).toBeGreaterThan(0)
            sum += add
            expect(sum).toBeCloseTo(total, 6)
          }
          if (count % 2 === 1) expect(laid[(count - 1) / 2]?.total).toBeCloseTo(about, 6)
        },
      ),
    )
  })
  it('is read by the first strip that holds: the truth lies between the one before and it', () => {
    const laid = strips(24, 7)
    expect(readStrips(laid, 3)).toEqual({ time: laid[3]?.total, low: laid[2]?.total, high: laid[3]?.total })
    expect(readStrips(laid, 0)?.low).toBeCloseTo((laid[0]?.total ?? 0) / SCALE_STEP)
    expect(readStrips(laid, 7)).toBeUndefined()
  })
  it('is read by its detail too: between the strip that first holds and the last that opens', () => {
    const laid = strips(24, 7)
    const [third = 0, fifth = 0] = [laid[2]?.total, laid[4]?.total]
    const found = readStrips(laid, 2, 4)
    expect(found).toMatchObject({ low: third, high: fifth })
    // Two steps of 1.41 apart: the middle is one of them away from either.
    expect((found?.time ?? 0) / third).toBeCloseTo(SCALE_STEP, 9)
    expect(readStrips(laid, 3, 3)?.time).toBeCloseTo(24, 9)
    expect(readStrips(laid, 4, 3)).toBeUndefined()
    expect(readStrips(laid, 4, 9)).toBeUndefined()
  })
  it('is read by the scale: step 7 is right, each step short asks for 1.41 times more', () => {
    expect(readScale(30, 7).time).toBe(30)
    expect(readScale(30, 5).time).toBeCloseTo(59.9, 1)
    expect(readScale(30, 9).time).toBeCloseTo(15.0, 1)
    const { low, time: right, high } = readScale(30, 6)
    expect(high / low).toBeCloseTo(SCALE_STEP)
    expect(low).toBeLessThan(right)
  })
})

describe('what films are printed on, and emulsion that is mixed', () => {
  const tested = {
    ...USUAL_SCREENS,
    tests: [
      {
        ...{ id: 'T1', on: '2026-11-01', lampId: 'led', emulsionId: 'dual', mesh: 7700, coats: 2 },
        ...{ distance: 0.1, time: 30, low: 26, high: 36 },
      },
    ],
  }
  const [dual] = tested.emulsions
  const need = { hitId: 'a', name: 'a', mesh: 7700, coats: 2, fine: false }
  const on = (medium: Medium) => exposureFor({ ...need, medium }, tested, dual, {})!
  // Common practice: vellum and oiled paper are less clear and their black is thinner; how much is from memory.
  it('less clear wants more light, thinner black a narrower range', () => {
    const [film, vellum, paper] = (['film', 'vellum', 'paper'] as const).map((m) => on(m).time)
    expect(vellum!.advised).toBeGreaterThan(film!.advised)
    expect(paper!.advised).toBeGreaterThan(vellum!.advised)
    const wide = (t: typeof film) => t!.range[1] / t!.advised
    expect(wide(vellum)).toBeLessThan(wide(film))
    expect(wide(paper)).toBeLessThan(wide(vellum))
    expect(film!.reasons.map((r) => r.rule)).not.toContain('EXPOSE_MEDIUM')
    expect(paper!.reasons.map((r) => r.rule)).toContain('EXPOSE_MEDIUM')
  })
  it('a test on the very medium needs no factor', () => {
    const own = { ...tested, tests: tested.tests.map((t) => ({ ...t, medium: 'vellum' as const })) }
    expect(exposureFor({ ...need, medium: 'vellum' }, own, dual, {})!.time.advised).toBeCloseTo(30)
  })
  // 10 % by weight (common practice).
  it('sensitiser is a tenth of the weight', () => expect(sensitiserFor(0.9).mass).toBeCloseTo(0.09))
  it('emulsion past its days is watched, near its end told, else silent', () => {
    const mixed = { ...dual!, mixedOn: '2026-11-01', keeps: 28 }
    const rules = (today: string) => emulsionAge(mixed, today).map((r) => r.rule)
    expect(rules('2026-11-10')).toEqual([])
    expect(rules('2026-11-27')).toEqual(['EMULSION_SOON'])
    expect(rules('2026-11-29')).toEqual(['EMULSION_SOON'])
    expect(rules('2026-11-30')).toEqual(['EMULSION_OLD'])
    expect(emulsionAge({ ...mixed, mixedOn: 'soon' }, '2026-12-30')).toEqual([])
    expect(emulsionAge(dual!, '2026-12-30')).toEqual([])
  })
})
