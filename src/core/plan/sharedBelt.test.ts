import { describe, expect, it } from 'vitest'
import { cureHeat } from './index'
import { INKS, planFor, SHOP } from './plan.fixtures'
import { sharedBelt } from './sharedBelt'

const dryer = SHOP.dryers[0]!
const plain = { words: 'Tern, tees', plan: planFor({ inks: [INKS.white, INKS.red], sizes: { M: 50 } }) }
const light = { words: 'Plover, totes', plan: planFor({ inks: [INKS.red], sizes: { M: 50 } }) }
const low = {
  words: 'Dunlin, jerseys',
  plan: planFor({ inks: [{ ...INKS.red, lowCure: true }], sizes: { M: 50 } }),
}
const rules = (jobs: Parameters<typeof sharedBelt>[0]) => sharedBelt(jobs, dryer).reasons.map((r) => r.rule)

describe('two jobs on one belt', () => {
  it('alike jobs share a belt that lies in the window of both, whichever is named first', () => {
    const { belt } = sharedBelt([plain, light], dryer)
    for (const { plan } of [plain, light]) {
      const { window } = cureHeat(plan, SHOP.dryers)!
      expect(belt).toBeLessThanOrEqual(window.most!)
      expect(belt).toBeGreaterThanOrEqual(window.least ?? 0)
    }
    expect(sharedBelt([light, plain], dryer).belt).toBe(belt)
    expect(rules([plain, light]).slice(1)).toEqual(['SHARED_FILM', 'SHARED_FILM'])
  })
  it('a low cure is spoiled by the heat that plastisol wants: one after the other (common practice, no source)', () => {
    expect(sharedBelt([plain, low], dryer).belt).toBeUndefined()
    expect(rules([plain, low])).toEqual(['SHARED_APART'])
    expect(rules([low, plain])).toEqual(['SHARED_APART'])
  })
  it('a tunnel too weak for one of them says so of that one', () => {
    const weak = { ...dryer, calibration: { on: '2026-11-20', gain: 0.3, filmSpread: 5, readings: [] } }
    const { belt, reasons } = sharedBelt([plain, light], weak)
    expect(belt).toBeUndefined()
    expect(new Set(reasons.map((r) => r.rule))).toEqual(new Set(['SHARED_NEVER']))
  })
  it('nothing to cure, nothing to say', () => {
    const bare = { words: '', plan: { ...light.plan, hits: [] } }
    expect(sharedBelt([plain, bare], dryer)).toEqual({ belt: undefined, reasons: [] })
  })
})
