import { describe, expect, it } from 'vitest'
import { choiceOf, message, numberOf } from '../advice'
import { mm } from '../quantity'
import { CLOTHS, INKS, PRESSES, planFor, rulesOf, SHOP } from './plan.fixtures'

// Facts of the trade, from memory: a board takes the print or it does not, whatever the quantity says.
const ALL_OVER = {
  ...PRESSES.automatic,
  id: 'allOver',
  name: 'All-over',
  palletWidth: mm(700),
  palletHeight: mm(1118),
}
type Asked = NonNullable<Parameters<typeof planFor>[0]>
/** The press is advised, not chosen. */
const advised = (asked: Asked) => planFor({ ...asked, overrides: { press: '', ...asked.overrides } })
const stops = (asked: Asked) =>
  planFor(asked).warnings.flatMap((w) => (w.severity === 'Stop' ? [w.rule] : []))

describe('which press', () => {
  const wide = { width: mm(585), height: mm(815) }
  it('a print for large boards goes to the press that has them', () => {
    const shop = {
      presses: [...Object.values(PRESSES), ALL_OVER],
      flashes: [...SHOP.flashes, { ...SHOP.flashes[1], id: 'x', pressId: 'allOver' } as never],
    }
    const p = advised({ ...wide, inks: [INKS.black], cloth: CLOTHS.white, shop })
    expect(choiceOf(p.pressAdvice)).toBe('allOver')
    expect(rulesOf(p.pressAdvice.reasons)).toContain('PRESS_BOARD')
    expect(rulesOf(p.warnings)).not.toContain('PALLET_NARROW')
    // Large boards and a long way of the squeegee: about 250 an hour at most.
    expect(p.time && 3600 * p.time.burst).toBeLessThan(260)
  })
  it('a small print stays off the large boards', () => {
    const shop = { presses: [ALL_OVER, PRESSES.automatic] }
    expect(choiceOf(advised({ inks: [INKS.black], cloth: CLOTHS.white, shop }).pressAdvice)).toBe('automatic')
  })
  it('a print larger than every board is stopped, and no pace is told', () => {
    const p = advised({ ...wide, inks: [INKS.black], cloth: CLOTHS.white })
    expect(p.time).toBeUndefined()
    expect(rulesOf(p.pressAdvice.reasons)).toEqual(expect.arrayContaining(['PRESS_NO_BOARD', 'PRESS_NONE']))
    expect(rulesOf(p.warnings)).toContain('PALLET_NARROW')
  })
  it('the reason fits the press that is advised', () => {
    const many = { inks: Object.values(INKS).slice(0, 4), cloth: CLOTHS.navy }
    const byHand = advised({ ...many, sizes: { M: 400 }, shop: { presses: [PRESSES.manual] } })
    expect(rulesOf(byHand.pressAdvice.reasons)).toContain('PRESS_LONG_BY_HAND')
    const words = byHand.pressAdvice.reasons.map((r) => message(r, 'metric')).join(' ')
    expect(words).not.toMatch(/by hand it would/)
    const machine = advised({ ...many, sizes: { M: 400 } })
    expect(rulesOf(machine.pressAdvice.reasons)).toContain('PRESS_LONG')
    const only = advised({ inks: [INKS.black], cloth: CLOTHS.white, shop: { presses: [PRESSES.automatic] } })
    expect(rulesOf(only.pressAdvice.reasons)).toContain('PRESS_ONLY')
  })
})

describe('the pace is of what the plan strikes', () => {
  it.each(['manual', 'automatic', 'single', 'bench'] as const)('slower strokes slow a %s', (press) => {
    const asked = { press, inks: [INKS.black], cloth: CLOTHS.white } as const
    const now = planFor(asked).time
    const slow = planFor({ ...asked, overrides: { 'strokes.black': 2, 'time.black': 6 } }).time
    expect(slow?.burst).toBeLessThan(now?.burst ?? 0)
  })
  it('a taller print takes longer strokes', () => {
    const at = (height: number) => planFor({ height, inks: [INKS.black], cloth: CLOTHS.white })
    const [usual, tall] = [at(0.35), at(0.55)].map((p) => p.hits[0]?.stroke.time)
    expect(tall && numberOf(tall)).toBeGreaterThan(usual ? numberOf(usual) : 0)
    expect(rulesOf(tall?.reasons ?? [])).toContain('TIME_LONG')
  })
  it('the dryer counts the garments that lie on its belt, not the print', () => {
    const dryers = [{ id: 'd', name: 'Short', heatedLength: 1.2, beltWidth: 0.6 }]
    const at = (sizes: Record<string, number>) =>
      planFor({ sizes, inks: [INKS.black], cloth: CLOTHS.white, press: 'automatic', shop: { dryers } }).time
        ?.rate.advised ?? 0
    expect(at({ '3XL': 100 })).toBeLessThan(at({ '5-6': 100 }))
    expect(3600 * at({ M: 100 })).toBeCloseTo((1.2 * 60) / 0.75, 0)
  })
})

describe('a bench', () => {
  const bench = { press: 'bench', cloth: CLOTHS.white } as const
  it('plastisol on a rack is stopped: it does not dry there', () => {
    const { yellow, red } = INKS
    const two = [yellow, red]
    expect(stops({ ...bench, inks: two })).toEqual(['NO_RACK'])
    const gun = { flashes: [{ id: 'g', name: 'Gun', kind: 'gun', pressId: 'bench', takes: 1 } as const] }
    expect(stops({ ...bench, inks: two, shop: gun })).toEqual([])
    expect(stops({ ...bench, inks: two, method: { ink: 'waterBased' } })).toEqual([])
  })
  it('dries on the rack or under the unit, and says which', () => {
    const wet = planFor({ ...bench, inks: [INKS.yellow, INKS.red], method: { ink: 'waterBased' } })
    expect(wet.flashes.map((f) => rulesOf(f.dwell.reasons))).toEqual([['DRY_RACK']])
    expect(wet.coolDown).toBeUndefined()
    expect(wet.time?.need).toMatchObject({ flash: 0, cool: 240 })
  })
  it('more than two colours in register without a held garment are watched', () => {
    const three = planFor({ ...bench, inks: [INKS.yellow, INKS.red, INKS.black] })
    expect(three.warnings.find((w) => w.rule === 'BENCH_REGISTER')?.severity).toBe('Watch')
    expect(rulesOf(planFor({ ...bench, inks: [INKS.yellow, INKS.red] }).warnings)).not.toContain(
      'BENCH_REGISTER',
    )
  })
})

describe('what cures it', () => {
  it('a shop without a dryer, or without a panel, is told so', () => {
    expect(stops({ inks: [INKS.black], cloth: CLOTHS.white, shop: { dryers: [] } })).toEqual(['NO_DRYER'])
    expect(
      stops({ inks: [INKS.black], cloth: CLOTHS.white, shop: { flashes: [] }, method: { cure: 'panel' } }),
    ).toEqual(['NO_PANEL'])
  })
})
