import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { advicesIn, choiceOf, message, numberOf } from '../advice'
import type { InkColour } from '../order'
import { celsius, lpi } from '../quantity'
import { noDecisions, plan } from './index'
import { CLOTHS, INKS, ink, PRESSES, planFor, rulesOf, SHOP, sequenceOf } from './plan.fixtures'

const filmOf = (p: ReturnType<typeof planFor>, id: string) =>
  p.hits.find((h) => h.hit.id === id)?.deposit?.advised ?? 0
const warned = (p: ReturnType<typeof planFor>) => rulesOf(p.warnings)

describe('a plan', () => {
  it('is a function: the same in gives the same out, as plain data', () => {
    const one = planFor()
    expect(planFor()).toEqual(one)
    expect(JSON.parse(JSON.stringify(one))).toEqual(JSON.parse(JSON.stringify(planFor())))
  })
  it('gives every setting a range that holds the advice, and a reason', () => {
    for (const press of Object.keys(PRESSES) as (keyof typeof PRESSES)[]) {
      const all = advicesIn(planFor({ press }))
      expect(all.length).toBeGreaterThan(30)
      expect(new Set(all.map((a) => a.key)).size).toBe(all.length)
      for (const a of all) {
        expect(a.reasons.length, a.key).toBeGreaterThan(0)
        if (a.kind === 'choice') expect(a.choices.map((c) => c.value)).toContain(a.advised)
        else {
          expect(a.advised, a.key).toBeGreaterThanOrEqual(a.range[0] - 1e-9)
          expect(a.advised, a.key).toBeLessThanOrEqual(a.range[1] + 1e-9)
        }
      }
    }
  })
  it('refuses a run that is not there', () => {
    const { run } = planFor()
    const order = {
      id: 'O-1',
      customer: '',
      title: '',
      due: '',
      notes: '',
      lines: run.lines,
      placements: [run.placement],
    }
    expect(() => plan(order, SHOP, noDecisions('R-9'))).toThrow('no run R-9')
    expect(() => plan({ ...order }, { ...SHOP, presses: [] }, noDecisions('R-1-P1-one'))).toThrow('no press')
  })
  it('keeps every colour of the art in the hits, or in the base that shows it', () => {
    const anyInk = fc.constantFrom(INKS.yellow, INKS.red, INKS.white, INKS.black, INKS.raised, INKS.copper)
    const anyCloth = fc.constantFrom(...Object.values(CLOTHS))
    fc.assert(
      fc.property(
        fc.uniqueArray(anyInk, { minLength: 1, selector: (i) => i.id }),
        anyCloth,
        (inks, cloth) => {
          const p = planFor({ inks, cloth })
          const hits = p.hits.map((h) => h.hit.id)
          expect(new Set(hits).size).toBe(hits.length)
          for (const i of inks) {
            const shown =
              i.inkType === 'white' && hits.includes('base') && choiceOf(p.secondWhite) !== 'highlight'
            expect(hits.includes(i.id) || shown, i.id).toBe(true)
          }
          const based = p.colours.some((c) => choiceOf(c.base) === 'base')
          expect(hits.includes('base')).toBe(based)
          if (based) expect(hits[0]).toBe('base')
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('what the lead chooses', () => {
  it('stands beside the advice, and the rest follows', () => {
    const usual = planFor()
    const own = planFor({ overrides: { 'mesh.yellow': 12_000, cureDwell: 75 } })
    const yellow = own.hits.find((h) => h.hit.id === 'yellow')
    expect(yellow?.mesh).toMatchObject({ advised: 7700, chosen: 12_000 })
    expect(filmOf(own, 'yellow')).toBeLessThan(filmOf(usual, 'yellow'))
    expect(warned(own)).toContain('OVERRIDE_RANGE')
    expect(own.cure.belt && numberOf(own.cure.belt) * 60).toBeCloseTo((2.4 / 75) * 60)
  })
  it('a base taken away takes its screen, its flash and its white away', () => {
    const p = planFor({ inks: [INKS.yellow], overrides: { 'base.yellow': 'none' } })
    expect(sequenceOf(p)).toBe('yellow')
    expect(choiceOf(p.secondWhite)).toBe('none')
  })
  it('an order by hand is kept, or refused with the rule it breaks', () => {
    expect(sequenceOf(planFor())).toBe('base FLASH white yellow red')
    const swapped = planFor({ order: ['base', 'white', 'red', 'yellow'] })
    expect(sequenceOf(swapped)).toBe('base FLASH white red yellow')
    expect(swapped.sequence.byHand).toBe(true)
    const broken = planFor({ order: ['yellow', 'base', 'red', 'white'] })
    expect(broken.sequence.fits).toBe(false)
    expect(broken.time).toBeUndefined()
    expect(broken.flashes).toEqual([])
    expect(rulesOf(broken.sequence.reasons)).toEqual(expect.arrayContaining(['BY_HAND', 'BASE_FIRST']))
  })
  it('expanding ink put before another colour by hand is a Stop', () => {
    const p = planFor({ inks: [INKS.red, INKS.raised], order: ['base', 'raised', 'red'] })
    expect(p.warnings[0]).toMatchObject({ severity: 'Stop', rule: 'BY_HAND' })
    expect(rulesOf(p.sequence.reasons)).toContain('PUFF_LAST')
  })
  it('another press moves the stations, the off-contact and the time', () => {
    const [manual, automatic] = [planFor(), planFor({ press: 'automatic' })]
    expect(automatic.sequence.cells.map((c) => c.kind)).toEqual([
      'print',
      'flash',
      'cool',
      'print',
      'print',
      'print',
      'down',
      'free',
      'free',
      'free',
      'free',
      'free',
    ])
    expect(numberOf(automatic.offContact)).toBeLessThan(numberOf(manual.offContact))
    expect(automatic.time?.rate.advised).toBeGreaterThan(manual.time?.rate.advised ?? 1)
    expect(planFor({ press: 'single' }).sequence.fits).toBe(true)
    expect(sequenceOf(planFor({ press: 'bench' }))).toBe('base FLASH yellow FLASH red FLASH white')
  })
})

// Each practice changes the plan as its row in the table of practices says; common practice, no source.
describe('practices', () => {
  const hits = (p: ReturnType<typeof planFor>) => p.hits.map((h) => h.hit.id)
  it('bright white: highlight screen, same screen again, or smoothed first', () => {
    expect(hits(planFor())).toContain('white')
    const same = planFor({ method: { white: 'sameScreen' } })
    expect(sequenceOf(same)).toBe('base FLASH base2 FLASH yellow red')
    expect(same.hits.filter((h) => h.sameScreenAs === '')).toHaveLength(3)
    expect(
      planFor({ method: { white: 'sameScreen' }, press: 'automatic' }).hits.filter(
        (h) => h.sameScreenAs === '',
      ),
    ).toHaveLength(4)
    expect(sequenceOf(planFor({ method: { white: 'smoothing' } }))).toBe(
      'base FLASH smoothing white yellow red',
    )
  })
  it('base mesh: coarse or fine', () => {
    const base = (baseMesh: 'coarse' | 'fine') => planFor({ method: { baseMesh } }).hits[0]
    expect(numberOf(base('fine')?.mesh as never)).toBeGreaterThan(numberOf(base('coarse')?.mesh as never))
    expect(base('fine')?.deposit?.advised).toBeLessThan(base('coarse')?.deposit?.advised ?? 0)
  })
  it('in-between cloth: only where needed, or under all but black', () => {
    const inks = [ink('green', '#1d4d33'), ink('lime', '#93bf4f'), INKS.white, INKS.black]
    const bases = (inBetween: 'needed' | 'allButBlack') =>
      planFor({ cloth: CLOTHS.golden, inks, method: { inBetween } }).colours.map((c) => choiceOf(c.base))
    expect(bases('needed')).toEqual(['none', 'base', 'base', 'none'])
    expect(bases('allButBlack')).toEqual(['base', 'base', 'base', 'none'])
  })
  it('dark cloth: base, or opaque ink direct with a flash between colours that meet', () => {
    const inks = [INKS.red, ink('blue', '#1f3a7d', { opacity: 'opaque' })]
    const relations = [{ a: 'red', b: 'blue', how: 'touch' }] as const
    expect(sequenceOf(planFor({ inks, relations }))).toBe('base FLASH red blue')
    expect(sequenceOf(planFor({ inks, relations, method: { darkCloth: 'direct' } }))).toBe('red FLASH blue')
  })
  it('flash: where needed, after the base only, or every colour', () => {
    const inks = [INKS.yellow, INKS.red, INKS.black]
    const relations = [
      { a: 'yellow', b: 'black', how: 'overlap', width: 0.0003 },
      { a: 'red', b: 'black', how: 'overlap', width: 0.0003 },
    ] as const
    expect(sequenceOf(planFor({ inks, relations }))).toBe('base FLASH yellow red FLASH black')
    const afterBase = planFor({ inks, relations, method: { flash: 'afterBase' } })
    expect(sequenceOf(afterBase)).toBe('base FLASH yellow red black')
    expect(warned(afterBase)).toContain('FLASH_AFTER_BASE')
    expect(sequenceOf(planFor({ inks, relations, method: { flash: 'every' } }))).toBe(
      'base FLASH yellow FLASH red FLASH black',
    )
  })
  it('colour order: what overpowers, or light to dark', () => {
    const inks = [
      ink('large light', '#e8d870', { coverage: 0.6 }),
      ink('small dark', '#5a4a20', { coverage: 0.02 }),
    ]
    const order = (colourOrder: 'overpower' | 'light') =>
      sequenceOf(planFor({ cloth: CLOTHS.white, inks, method: { colourOrder } }))
    expect(order('overpower')).toBe('small dark large light')
    expect(order('light')).toBe('large light small dark')
  })
  it('ruling: four and a half times, or three and a half', () => {
    const inks = [ink('tone', '#5b9bc9', { ruling: lpi(60) })]
    const mesh = (ruling: 'four' | 'lean') =>
      planFor({ cloth: CLOTHS.white, inks, method: { ruling } }).hits[0]?.mesh.advised
    expect([mesh('four'), mesh('lean')]).toEqual([12_000, 9000])
  })
  it('off-contact, placement, stroke, cure, temperature, house ink', () => {
    expect(numberOf(planFor({ method: { offContact: 'low' } }).offContact) * 1000).toBeCloseTo(1.35)
    expect(planFor({ method: { placement: 'palm' } }).placement.groups[0]?.down.advised).toBeCloseTo(0.1)
    expect(choiceOf(planFor({ method: { stroke: 'pull' } }).direction as never)).toBe('pull')
    const panel = planFor({ method: { cure: 'panel' } })
    expect(panel.cure.belt).toBeUndefined()
    expect((panel.time?.rate.advised ?? 1) * 3600).toBeLessThanOrEqual(60)
    expect(numberOf(planFor({ method: { cureTemperature: 'hotter' } }).cure.inkFilm)).toBeGreaterThan(
      celsius(164),
    )
    const water = planFor({ method: { ink: 'waterBased' } })
    expect(numberOf(water.cure.dwell)).toBeGreaterThanOrEqual(90)
    expect(warned(water)).toEqual(expect.arrayContaining(['INK_FLOODED', 'FLASH_WATER']))
  })
  it('release of the smoothing screen: clear, or spray with its warning', () => {
    const rules = (release: 'clear' | 'spray') => warned(planFor({ method: { white: 'smoothing', release } }))
    expect(rules('clear')).not.toContain('RELEASE_SPRAY')
    expect(rules('spray')).toContain('RELEASE_SPRAY')
  })
})

describe('warnings', () => {
  const stops = (p: ReturnType<typeof planFor>) =>
    p.warnings.filter((w) => w.severity === 'Stop').map((w) => w.rule)
  it('polyester under a 160 °C ink stops; low-cure ink does not; a blend is watched', () => {
    expect(stops(planFor({ cloth: CLOTHS.maroon }))).toEqual(['POLY_HOT'])
    const low = planFor({
      cloth: CLOTHS.maroon,
      inks: [ink('white', '#f4f4f0', { inkType: 'white', lowCure: true })],
    })
    expect(stops(low)).toEqual([])
    expect(warned(low)).toContain('POLY_BASE')
    expect(warned(planFor({ cloth: CLOTHS.blend }))).toContain('BLEND_HOT')
  })
  it('a print wider than 305 mm with small sizes is watched, without them not', () => {
    expect(warned(planFor({ width: 0.32, sizes: { S: 5, L: 5 } }))).toContain('WIDTH_SMALL')
    expect(warned(planFor({ width: 0.32, sizes: { L: 5, XL: 5 } }))).not.toContain('WIDTH_SMALL')
    expect(warned(planFor({ width: 0.305, sizes: { S: 5 } }))).not.toContain('WIDTH_SMALL')
    expect(stops(planFor({ width: 0.5 }))).toContain('PALLET_NARROW')
  })
  it('too few frames of a mesh, no cool-down, no room, off the pallet', () => {
    // One frame of the wanted mesh: the others take another of their range, while there is one.
    const without = (gone: (mesh: number) => boolean) => ({
      shop: { frames: SHOP.frames.filter((f) => !gone(f.mesh) || f.id === 'F77-0') },
    })
    expect(stops(planFor(without((mesh) => mesh === 7700)))).toEqual([])
    expect(stops(planFor(without((mesh) => mesh !== 4300)))).toEqual(['FRAMES_SHORT'])
    const tight = { ...PRESSES.automatic, stations: PRESSES.automatic.stations.slice(0, 5) }
    const p = planFor({ press: 'automatic', shop: { presses: [tight] } })
    expect(warned(p)).toContain('NO_COOL')
    const tiny = { ...PRESSES.automatic, stations: PRESSES.automatic.stations.slice(0, 4) }
    expect(stops(planFor({ press: 'automatic', shop: { presses: [tiny] } }))).toEqual(['STATIONS_SHORT'])
    expect(stops(planFor({ where: 'offPallet', press: 'bench' }))).toEqual(['OFF_PALLET', 'NO_RACK'])
  })
  it('inks that no one heat cures', () => {
    const inks = [ink('a', '#b06a3d', { lowCure: true }), INKS.copper]
    expect(stops(planFor({ cloth: CLOTHS.white, inks }))).toEqual(['CURE_CLASH'])
  })
})

describe('the press that is advised', () => {
  const advised = (asked: Parameters<typeof planFor>[0]) =>
    planFor({ ...asked, overrides: { press: '' } }).pressAdvice.advised
  it('is not a matter of quantity alone (common practice, no source)', () => {
    const six = [INKS.yellow, INKS.red, ink('blue', '#1f3a7d'), INKS.white, INKS.black]
    expect(advised({ inks: six, sizes: { M: 24 } })).toBe('automatic')
    expect(advised({ inks: [INKS.yellow], sizes: { M: 24 } })).toBe('manual')
    const eleven = Array.from({ length: 11 }, (_, i) => ink(`c${i}`, '#b8232c'))
    const tooMany = planFor({ inks: eleven, overrides: { press: '' } })
    expect(tooMany.pressAdvice).toMatchObject({
      advised: 'automatic',
      reasons: [{ rule: 'PRESS_MANY' }, { rule: 'PRESS_NONE' }, {}],
    })
    expect(tooMany.sequence.fits).toBe(false)
    expect(advised({ inks: [INKS.yellow], sizes: { M: 400 } })).toBe('automatic')
    expect(
      advised({ inks: [INKS.white], where: 'offPallet', cloth: CLOTHS.canvas, sizes: { One: 200 } }),
    ).toBe('bench')
  })
})

describe('which colour lies over which', () => {
  const grey: InkColour = { ...INKS.yellow, id: 'grey', name: 'Grey', hex: '#c9c9c6' }
  const printed = (over: string | undefined, inks = [grey, INKS.red]) => {
    const relations = [
      { a: 'grey', b: inks[1]!.id, how: 'overlap' as const, width: 0.0003, ...(over && { over }) },
    ]
    const found = planFor({ inks, relations })
    const cells = found.sequence.cells.flatMap((c) => (c.kind === 'print' ? [c.hitId] : []))
    return { cells: cells.filter((id) => inks.some((i) => i.id === id)), found }
  }
  it('is obeyed, against light before dark and against black last, and the reason says so', () => {
    expect(printed(undefined).cells).toEqual(['grey', 'red'])
    const over = printed('grey')
    expect(over.cells).toEqual(['red', 'grey'])
    const why = over.found.hits.find((h) => h.hit.id === 'grey')?.reasons.map((r) => r.rule)
    expect(why).toContain('OVER')
    expect(printed('grey', [grey, INKS.black]).cells).toEqual(['black', 'grey'])
    expect(printed(undefined, [grey, INKS.black]).cells).toEqual(['grey', 'black'])
  })
  it('goes round in a circle: no order fits, and that is said', () => {
    const inks = [grey, INKS.red, { ...INKS.yellow, id: 'blue', name: 'Blue', hex: '#1f3a7d' }]
    const ring = (a: string, b: string) => ({ a, b, how: 'overlap' as const, width: 0.0003, over: a })
    const { sequence } = planFor({
      inks,
      relations: [ring('grey', 'red'), ring('red', 'blue'), ring('blue', 'grey')],
    })
    expect(sequence.fits).toBe(false)
    expect(sequence.reasons.map((r) => message(r, 'metric')).join(' ')).toMatch(/lies over/)
  })
})
