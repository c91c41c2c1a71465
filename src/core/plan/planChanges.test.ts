import { describe, expect, it } from 'vitest'
import { inputText, message } from '../advice'
import { looksLikeSheetCode, planChanges, planToday, type RunPlan, sheetCode } from './index'
import { CLOTHS, INKS, planFor, SHOP } from './plan.fixtures'

const told = (...args: Parameters<typeof planChanges>) =>
  planChanges(...args).map((c) =>
    [
      c.label,
      inputText(c.from, 'metric'),
      inputText(c.to, 'metric'),
      c.because ? message(c.because, 'metric') : '',
    ].join(' | '),
  )

describe('what changed since a revision', () => {
  const before = planFor()
  it('is nothing when nothing changed, also for a plan read back from a file', () => {
    expect(planChanges(before, planFor())).toEqual([])
    expect(planChanges(JSON.parse(JSON.stringify(before)), planFor())).toEqual([])
  })
  it('a plan from before the air of the shop was known reads as one of a usual day', () => {
    const { ambient: _, ...older } = planFor()
    expect(planChanges(planToday(older as RunPlan), planFor())).toEqual([])
    const warmer = planChanges(planToday(older as RunPlan), planFor({ overrides: { air: 303.15 } }))
    expect(warmer.map((c) => c.label)).toContain('Air of the shop')
    expect(planToday(planFor())).toEqual(planFor())
  })
  it('a plan from before panels and sides by size reads as what it was: nothing has changed', () => {
    for (const asked of [{}, { where: 'leftChest', width: 0.09, height: 0.09 } as const]) {
      const now = planFor(asked)
      const { panelTemperature: _, ...older } = now
      const side = now.placement.groups[0]?.side
      const groups = now.placement.groups.map(({ side: _own, ...g }) => g)
      const hits = now.hits.map(({ lowCure: _own, ...h }) => h)
      const kept = { ...older, hits, placement: { ...now.placement, groups, ...(side && { side }) } }
      const read = planToday(JSON.parse(JSON.stringify(kept)) as RunPlan)
      expect(planChanges(read, now)).toEqual([])
      expect(read.placement.groups.map((g) => g.side?.advised)).toEqual([side?.advised])
    }
  })
  it('names the setting, both values and why it is so now', () => {
    const quartz = SHOP.flashes.map((f) => (f.pressId === 'manual' ? { ...f, kind: 'quartz' as const } : f))
    const list = told(before, planFor({ shop: { flashes: quartz } }))
    expect(list.find((c) => c.startsWith('Flash after'))).toMatch(
      /^Flash after .+ \| 8 s \| 4 s \| .*quartz/i,
    )
  })
  it('tells the lead’s own choice with the reason that came with it', () => {
    const list = told(before, planFor({ overrides: { offContact: 0.009 } }))
    expect(list).toEqual([
      'Off-contact | 3.2 mm | 9 mm | Off-contact: the lead chose 9 mm; advised is 2.5 mm to 4 mm.',
    ])
  })
  it('tells a choice inside the range as a choice', () => {
    expect(told(before, planFor({ overrides: { offContact: 0.003 } }))).toEqual([
      'Off-contact | 3.2 mm | 3 mm | the lead chose it; advised is 3.2 mm.',
    ])
  })
  it('tells pieces by size, before the settings that follow', () => {
    const list = told(before, planFor({ sizes: { M: 60, L: 20, XL: 5 } }))
    expect(list.slice(0, 2)).toEqual([
      'Pieces, Tee, Navy, L | 40 | 20 | ',
      'Pieces, Tee, Navy, XL | 0 | 5 | ',
    ])
  })
  it('tells a screen that is gone, and the new order of printing', () => {
    const list = told(before, planFor({ inks: [INKS.yellow, INKS.white] }))
    expect(list.some((c) => /^Print order \| .*red.* \| (?!.*red)/.test(c))).toBe(true)
    expect(list.some((c) => /^Mesh, red \| .+ \| {2}\| $/.test(c))).toBe(true)
  })
  it('tells another cloth', () => {
    expect(told(before, planFor({ cloth: CLOTHS.white }))[0]).toBe('Cloth | Navy | White | ')
  })
})

describe('the code on a sheet', () => {
  it('is short, the same for the same sheet, and seldom the same for two', () => {
    const codes = Array.from({ length: 2000 }, (_, i) => sheetCode(`R-${1000 + i}-P1-dark 1`))
    expect(codes.every(looksLikeSheetCode)).toBe(true)
    expect(sheetCode('R-1000-P1-dark 1')).toBe(codes[0])
    expect(new Set(codes).size).toBeGreaterThan(1990)
  })
  it('is told from other words', () => {
    expect(looksLikeSheetCode(' k7q2m ')).toBe(true)
    for (const text of ['', 'K7Q2', 'O-1001', 'NAVY1']) expect(looksLikeSheetCode(text)).toBe(false)
  })
})
