import { describe, expect, it } from 'vitest'
import { heatOf, stickingIn } from './index'
import { INKS, planFor } from './plan.fixtures'

type Asked = Parameters<typeof planFor>[0]
const three = { inks: [INKS.white, INKS.red, INKS.yellow, INKS.black] }
const sticking = (asked: Asked) => {
  const found = heatOf(planFor({ ...three, ...asked }))
  if (!found) throw new Error('nothing is flashed')
  return { heat: found, found: stickingIn(found) }
}
const rulesOf = (reasons: readonly { readonly rule: string }[]) => reasons.map((r) => r.rule)
const sizes = (quantity: number) => ({ sizes: { M: quantity } })

describe('a print that sticks', () => {
  it('has a place for each print on a flashed film', () => {
    const { heat, found } = sticking({ press: 'manual', ...sizes(100) })
    expect(found.map((s) => s.name)).toEqual(heat.laps[0]?.prints.map((p) => p.name))
    expect(found.length).toBeGreaterThan(0)
  })
  it('long flashes at a fast pace make it too hot; the trace rules out under-gelled', () => {
    const { found } = sticking({
      press: 'manual',
      ...sizes(600),
      overrides: { 'dwell.base': 20, crew: 'loader', coolDown: 10 },
    })
    const [first] = found
    expect(first?.cause).toBe('hot')
    expect(rulesOf(first?.trace ?? [])).toEqual(['TRACE_HOT'])
    expect(rulesOf(first?.letsGo ?? [])).toEqual([
      'STICK_HOT',
      expect.stringMatching(/^COOL_(WAIT|HEADS|NEVER)$/),
    ])
    // Not by this run: then the unit is not what it is thought to be.
    expect(rulesOf(first?.tacky ?? [])).toEqual(['STICK_UNDER', 'STICK_READ'])
  })
  it('short flashes on cold boards leave it under-gelled; the trace rules out too hot', () => {
    const { found } = sticking({ press: 'manual', ...sizes(12), overrides: { 'dwell.base': 3 } })
    const [first] = found
    expect(first?.cause).toBe('gelled')
    expect(rulesOf(first?.tacky ?? [])).toEqual(['STICK_UNDER', 'STICK_LONGER'])
    expect(rulesOf(first?.letsGo ?? [])).toEqual(['STICK_HOT', 'STICK_READ'])
  })
  it('as advised it is neither', () => {
    const { found } = sticking({ press: 'manual', ...sizes(8), overrides: { 'dwell.base': 10.5 } })
    expect(found[0]?.cause).toBe('neither')
  })
  it('more cooling is told in the press’s own terms, enough of it, or not at all', () => {
    for (const press of ['manual', 'automatic'] as const) {
      const { heat, found } = sticking({ press, ...sizes(600), overrides: { 'dwell.base': 12 } })
      for (const s of found) {
        if (s.cause !== 'hot' && s.cause !== 'either') continue
        const [, how] = s.letsGo
        if (how?.rule === 'COOL_NEVER') continue
        expect(how?.rule).toBe(heat.pace.stop === undefined ? 'COOL_WAIT' : 'COOL_HEADS')
        expect(how?.inputs.time).toMatchObject({ kind: 'duration' })
      }
    }
  })
})
