import { describe, expect, it } from 'vitest'
import { celsius } from '../quantity'
import { panelCure } from './index'
import { INKS, planFor, SHOP } from './plan.fixtures'

type Asked = Parameters<typeof planFor>[0]
const cure = (asked: Asked = {}) => {
  const plan = planFor({ inks: [INKS.red], press: 'manual', method: { cure: 'panel' }, ...asked })
  return panelCure(plan, SHOP.flashes)
}
const rules = (found: ReturnType<typeof cure>) => found?.reasons.map((r) => r.rule)

describe('a print cured under the panel', () => {
  it('is none where a tunnel cures it', () => {
    expect(cure({ method: { cure: 'tunnel' } })).toBeUndefined()
  })
  it('takes about a minute for a small print (common practice)', () => {
    const small = cure({ width: 0.1, height: 0.1 })
    expect(small?.time).toBeGreaterThan(15)
    expect(small?.time).toBeLessThan(75)
    expect(small?.film).toBeGreaterThan(celsius(140))
  })
  it('a large print scorches in the middle before its corners are cured: lift the panel, or give it up', () => {
    const raised = { inks: [INKS.raised], width: 0.3, height: 0.35 }
    const at = (flashHeight: number) => cure({ ...raised, overrides: { flashHeight } })
    // Raised ink stands 180 °C.
    const large = at(0.05)
    expect(large?.film).toBeGreaterThan(celsius(180))
    expect(rules(large)?.[1]).toMatch(/^PANEL_(LIFT|SHUT)$/)
    const lift = large?.reasons.find((r) => r.rule === 'PANEL_LIFT')?.inputs.height
    if (typeof lift === 'object' && 'value' in lift)
      expect(at(lift.value)?.film).toBeLessThanOrEqual(celsius(180))
  })
  it('what is lifted takes longer and is cooler in the middle against its corners', () => {
    const at = (flashHeight: number) => cure({ width: 0.15, height: 0.15, overrides: { flashHeight } })
    const [near, far] = [at(0.05), at(0.1)]
    expect(far?.time ?? 0).toBeGreaterThan(near?.time ?? Number.POSITIVE_INFINITY)
  })
  it('a print the panel never cures says so', () => {
    const never = cure({ width: 0.4, height: 0.5, overrides: { flashHeight: 0.9 } })
    expect(never).toMatchObject({ time: undefined, film: undefined })
    expect(rules(never)).toEqual(['PANEL_NEVER'])
  })
  it('what is set is judged too: too long scorches, too short is not cured', () => {
    const set = (cureDwell: number) => cure({ width: 0.2, height: 0.2, overrides: { cureDwell } })
    const needed = set(60)?.time ?? 0
    expect(rules(set(needed + 1))).toEqual(['PANEL_CURES'])
    expect(rules(set(4 * needed))).toEqual(['PANEL_CURES', 'PANEL_LONG'])
    expect(rules(set(needed / 2))).toEqual(['PANEL_CURES', 'PANEL_SHORT'])
  })
  it('a stronger panel, once it was read, cures sooner', () => {
    const plan = planFor({ inks: [INKS.red], press: 'manual', method: { cure: 'panel' } })
    const times = [0.8, 1, 1.25].map((gain) => {
      const calibration = {
        on: '2026-11-20',
        above: 0.065,
        roomAir: 295,
        humidity: 0.5,
        readings: [],
        gain,
        contact: 1,
        loss: 1,
        dwellSpread: 0.4,
      }
      return panelCure(
        plan,
        SHOP.flashes.map((f) => ({ ...f, calibration })),
      )?.time
    })
    expect(times[0]).toBeGreaterThan(times[1] ?? 0)
    expect(times[1]).toBeGreaterThan(times[2] ?? 0)
  })
})
