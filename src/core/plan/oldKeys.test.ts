import { describe, expect, it } from 'vitest'
import { numberOf } from '../advice'
import { keysToday, keyToday, planChanges } from './index'
import { planFor } from './plan.fixtures'

describe('the dwell of a flash', () => {
  const plan = planFor()
  const [flash] = plan.flashes
  if (!flash) throw new Error('a job with a flash')
  it('is kept with the hit that it stands behind', () => {
    expect(flash.dwell.key).toMatch(/^dwell\.(?!\d+$)/)
    const hit = plan.hits.find((h) => `dwell.${h.hit.id}` === flash.dwell.key)
    expect(flash.dwell.label).toBe(`Flash after ${hit?.hit.name}`)
  })
  it('goes with its hit where the lead prints in another order', () => {
    const own = { [flash.dwell.key]: 9.5 }
    const other = planFor({ overrides: own, method: { flash: 'every' } })
    const behind = other.flashes.filter((f) => f.dwell.chosen !== undefined)
    expect(behind.map((f) => f.dwell.key)).toEqual([flash.dwell.key])
    expect(other.flashes.length).toBeGreaterThan(1)
  })
  it('chosen by its place, as once, still stands, and moves to its hit with the next choice', () => {
    const old = planFor({ overrides: { 'dwell.1': 7.5 } })
    expect(numberOf((old.flashes[0] as typeof flash).dwell)).toBe(7.5)
    expect(keysToday({ 'dwell.1': 7.5, offContact: 0.003 }, old)).toEqual({
      [flash.dwell.key]: 7.5,
      offContact: 0.003,
    })
    // What was chosen since goes before.
    expect(keysToday({ 'dwell.1': 7.5, [flash.dwell.key]: 8 }, old)).toEqual({ [flash.dwell.key]: 8 })
    const both = planFor({ overrides: { 'dwell.1': 7.5, [flash.dwell.key]: 8 } })
    expect(numberOf((both.flashes[0] as typeof flash).dwell)).toBe(8)
  })
  it('of a flash that is not there is left as it is', () => {
    expect(keyToday('dwell.9', plan)).toBe('dwell.9')
    expect(keyToday('mesh.base', plan)).toBe('mesh.base')
    expect(keysToday({ 'dwell.9': 3 }, undefined)).toEqual({ 'dwell.9': 3 })
  })
  it('in a revision of old is the same setting as today', () => {
    const frozen = JSON.parse(
      JSON.stringify(plan)
        .replaceAll(`"${flash.dwell.key}"`, '"dwell.1"')
        .replaceAll(flash.dwell.label, 'Flash 1'),
    ) as typeof plan
    expect(planChanges(frozen, plan)).toEqual([])
    const own = planFor({ overrides: { [flash.dwell.key]: 9 } })
    expect(planChanges(frozen, own).map((c) => c.label)).toEqual([flash.dwell.label])
  })
})
