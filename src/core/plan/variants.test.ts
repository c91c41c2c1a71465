import { describe, expect, it } from 'vitest'
import { choiceOf } from '../advice'
import { baseVariants, plan, whiteVariants } from './index'
import { CLOTHS, INKS, ink, jobFor } from './plan.fixtures'

const ask = (asked: Parameters<typeof jobFor>[0] = {}) => {
  const job = jobFor(asked)
  return { ...job, now: plan(job.order, job.shop, job.decisions) }
}

describe('the whole job done in other ways', () => {
  const light = ink('light', '#7fd67a')
  const dark = ink('dark', '#1d4d33')
  it('no base is thinnest and most changed; under all but black is least changed', () => {
    const ways = baseVariants(ask({ cloth: CLOTHS.golden, inks: [light, dark, INKS.black] }))
    expect(ways.map((v) => v.id)).toEqual(['none', 'needed', 'all'])
    const [none, needed, all] = ways
    expect(none!.hand).toBeLessThan(needed!.hand)
    expect(none!.screens).toBeLessThan(needed!.screens)
    expect(none!.worst!.change).toBeGreaterThan(needed!.worst!.change)
    expect(all!.worst!.change).toBeLessThanOrEqual(needed!.worst!.change)
    expect(ways.filter((v) => v.inForce).map((v) => v.id)).toEqual(['needed'])
  })
  it('taken, it is what the plan does; the one that is needed anyway takes the lead’s choices back', () => {
    const asked = ask({ cloth: CLOTHS.golden, inks: [light, dark, INKS.black] })
    for (const way of baseVariants(asked)) {
      const overrides = { ...asked.decisions.overrides, ...way.overrides }
      const taken = plan(asked.order, asked.shop, { ...asked.decisions, overrides })
      const again = baseVariants({ ...asked, decisions: { ...asked.decisions, overrides }, now: taken })
      expect(again.find((v) => v.id === way.id)?.inForce).toBe(true)
      expect(again.find((v) => v.id === way.id)?.screens).toBe(way.screens)
      if (way.id === 'needed') expect(way.overrides).toEqual({})
    }
  })
  it('black alone has one way', () => {
    expect(baseVariants(ask({ inks: [INKS.black] })).map((v) => v.id)).toEqual(['none'])
  })
  it('a white over colours has its screen anyway: highlight is told once', () => {
    const over = [{ a: 'white', b: 'red', how: 'overlap' as const }]
    const ways = whiteVariants(ask({ inks: [INKS.white, INKS.red], relations: over }))
    expect(ways.map((v) => v.id)).not.toEqual(expect.arrayContaining(['none', 'highlight']))
    expect(new Set(ways.map((v) => v.hits)).size).toBe(ways.length)
  })
  it('each second white is told with what it comes to and what it costs', () => {
    const asked = ask({ inks: [INKS.white, INKS.red] })
    const ways = new Map(whiteVariants(asked).map((v) => [v.id, v]))
    expect([...ways.keys()]).toEqual(['none', 'highlight', 'sameScreen', 'smoothing'])
    expect(ways.get('none')!.white!).toBeLessThan(ways.get('highlight')!.white!)
    expect(ways.get('highlight')!.white!).toBeLessThan(ways.get('sameScreen')!.white!)
    expect(ways.get('none')!.screens).toBeLessThan(ways.get('highlight')!.screens)
    expect(ways.get('smoothing')!.screens).toBeGreaterThan(ways.get('highlight')!.screens)
    expect(ways.get(choiceOf(asked.now.secondWhite))!.inForce).toBe(true)
    expect(whiteVariants(ask({ cloth: CLOTHS.white, inks: [INKS.red] }))).toEqual([])
  })
})
