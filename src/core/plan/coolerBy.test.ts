import { describe, expect, it } from 'vitest'
import { coolerBy } from './coolerBy'
import { heatOf, troubleRun } from './index'
import { INKS, planFor } from './plan.fixtures'

const three = { inks: [INKS.white, INKS.red, INKS.yellow, INKS.black], sizes: { M: 600 } }
const planned = (asked: Parameters<typeof planFor>[0]) => {
  const plan = planFor({ ...three, ...asked })
  const heat = heatOf(plan)
  if (!heat) throw new Error('nothing is flashed')
  return { plan, heat, prints: heat.laps.at(-1)?.prints ?? [] }
}
const HOT = { press: 'manual', overrides: { 'dwell.base': 20, crew: 'loader', coolDown: 10 } } as const

describe('more cooling before a print', () => {
  it('is told in the press’s own terms, enough of it, or not at all', () => {
    const asked = [
      HOT,
      { press: 'manual', overrides: { 'dwell.base': 12 } },
      { press: 'automatic', overrides: { 'dwell.base': 12 } },
    ] as const
    let told = 0
    for (const one of asked) {
      const { heat, prints } = planned(one)
      for (const print of prints) {
        const [how] = coolerBy(heat, print.name)
        expect(how === undefined, print.name).toBe(print.film <= heat.safe)
        if (!how) continue
        told++
        if (how.rule === 'SIDE_COOL_NEVER') continue
        expect(how.rule).toBe(heat.pace.stop === undefined ? 'SIDE_COOL_WAIT' : 'SIDE_COOL_HEADS')
        expect(how.inputs.time).toMatchObject({ kind: 'duration' })
      }
    }
    expect(told).toBeGreaterThan(0)
  })
  it('stands beside its remedy for a screen that meets a hot film, and for none where all is cool', () => {
    const cool = (asked: Parameters<typeof planFor>[0]) => {
      const { plan, prints } = planned(asked)
      const hit = plan.hits.find((h) => h.hit.name === prints[0]?.name)
      const sides = troubleRun(plan).sides[hit?.hit.id ?? '']?.coolLonger ?? []
      return sides.map((r) => r.rule).filter((r) => r.startsWith('SIDE_COOL'))
    }
    expect(cool(HOT)).toHaveLength(1)
    expect(cool({ press: 'manual', sizes: { M: 8 }, overrides: { 'dwell.base': 5 } })).toEqual([])
  })
})
