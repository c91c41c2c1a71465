import { describe, expect, it } from 'vitest'
import { choiceOf, numberOf, type ShopMethod } from '../advice'
import type { ArtRelation, InkColour } from '../order'
import { lpi, mm, perCm } from '../quantity'
import { checkDecisions, handOf, loadOf, openingOf, plan, type RunPlan, screenJobOf } from './index'
import { CLOTHS, INKS, jobFor, PRESSES, planFor, rulesOf, SHOP } from './plan.fixtures'
import { printsInTurn } from './prints'

// Schools of practitioners, both sides of each: common practice, no source.
const order = (p: RunPlan) =>
  p.sequence.cells.flatMap((c) => (c.kind === 'print' ? [c.hitId] : c.kind === 'flash' ? ['flash'] : []))
const colours = (p: RunPlan) => order(p).filter((id) => !['flash', 'base', 'base2', 'smoothing'].includes(id))
const meet = (a: string, b: string, how: ArtRelation['how'], width = 0.0003): ArtRelation => ({
  ...{ a, b, how },
  ...(how === 'overlap' && { width }),
})
const withMethod = (
  method: Partial<ShopMethod>,
  inks?: readonly InkColour[],
  relations?: readonly ArtRelation[],
) => planFor({ method, ...(inks && { inks }), ...(relations && { relations }) })

describe('the highlight white', () => {
  const inks = [INKS.white, INKS.yellow, INKS.red]
  const blends = [meet('white', 'yellow', 'blend'), meet('white', 'red', 'blend')]
  it('last, though it would blend; first, though a flash more is needed where it overlaps', () => {
    expect(colours(withMethod({ highlight: 'last' }, inks, blends)).at(-1)).toBe('white')
    expect(colours(withMethod({ highlight: 'first' }, inks, blends))[0]).toBe('white')
    const overlaps = [meet('white', 'yellow', 'overlap')]
    const first = withMethod({ highlight: 'first' }, inks, overlaps)
    expect(colours(first)[0]).toBe('white')
    const last = withMethod({ highlight: 'last' }, inks, overlaps)
    expect(colours(last).at(-1)).toBe('white')
    for (const p of [first, last]) expect(p.sequence.fits).toBe(true)
    expect(rulesOf(last.hits.find((h) => h.hit.id === 'white')?.reasons ?? [])).toContain('HL_LAST')
    expect(rulesOf(first.hits.find((h) => h.hit.id === 'white')?.reasons ?? [])).toContain('HL_FIRST')
  })
  it('last is last before black', () => {
    const p = withMethod({ highlight: 'last' }, [INKS.white, INKS.yellow, INKS.black])
    expect(colours(p)).toEqual(['yellow', 'white', 'black'])
  })
  it('after a smoothing screen it follows whatever the school says', () => {
    const p = withMethod({ highlight: 'last', white: 'smoothing' }, inks)
    expect(p.sequence.fits).toBe(true)
    const all = order(p).filter((id) => id !== 'flash')
    expect(all[all.indexOf('smoothing') + 1]).toBe('white')
  })
  it('the lead’s own order goes before a practice of the house', () => {
    const p = planFor({
      method: { highlight: 'last' },
      inks,
      order: ['base', 'flash', 'white', 'yellow', 'red'],
    })
    expect(p.sequence.fits).toBe(true)
    expect(colours(p)).toEqual(['white', 'yellow', 'red'])
  })
  it('what the art says of it goes before', () => {
    const under = [{ ...meet('white', 'red', 'overlap'), over: 'red' }]
    const cells = colours(withMethod({ highlight: 'last' }, inks, under))
    expect(cells.indexOf('white')).toBeLessThan(cells.indexOf('red'))
  })
})

describe('the same white screen again', () => {
  const way = (method: Partial<ShopMethod>, inks: readonly InkColour[]) => {
    const p = withMethod(method, inks)
    return { way: choiceOf(p.secondWhite), rules: rulesOf(p.secondWhite.reasons), hits: p.hits.length }
  }
  const bright = { ...INKS.white, hex: '#f6f6f4' }
  it('where white is all: a screen less; never: one of its own', () => {
    const alone = way({}, [bright])
    const never = way({ whiteAgain: 'never' }, [bright])
    expect([alone.way, never.way]).toEqual(['sameScreen', 'highlight'])
    expect(alone.rules).toContain('WHITE_ALONE')
    expect(never.rules).toContain('WHITE_NEVER')
  })
  it('beside colours only where it is preferred, and only where it is bright enough', () => {
    const inks = [bright, INKS.yellow]
    expect(way({}, inks).way).toBe('highlight')
    const preferred = way({ whiteAgain: 'preferred' }, inks)
    expect(preferred.way).toBe('sameScreen')
    expect(preferred.rules).toContain('WHITE_AGAIN')
    const dull = way({ whiteAgain: 'preferred' }, [
      { ...bright, hex: '#b0b0b0', opacity: 'ordinary' },
      INKS.yellow,
    ])
    expect(dull.way).toBe('highlight')
    expect(dull.rules).toContain('WHITE_SHORT')
  })
  it('what falls short is told of the way that is in force', () => {
    const p = withMethod({}, [{ ...bright, hex: '#b0b0b0', opacity: 'ordinary' }])
    const short = p.secondWhite.reasons.find((r) => r.rule === 'WHITE_SHORT')
    expect(choiceOf(p.secondWhite)).toBe('sameScreen')
    expect(short?.inputs.practice).toBe('Base twice')
  })
})

describe('flash between colours that touch, and only there', () => {
  it('one that touches is kept dry, one that lies apart stays wet', () => {
    const touch = [meet('yellow', 'red', 'touch')]
    const flashes = (p: RunPlan) => order(p).filter((id) => id === 'flash').length
    const inks = [INKS.yellow, INKS.red]
    expect(flashes(withMethod({ flash: 'touch' }, inks, touch))).toBe(
      flashes(withMethod({ flash: 'touch' }, inks, [])) + 1,
    )
    expect(flashes(withMethod({ flash: 'touch' }, inks, []))).toBe(flashes(withMethod({}, inks, [])))
    expect(flashes(withMethod({ flash: 'touch' }, inks, [meet('yellow', 'red', 'blend')]))).toBe(
      flashes(withMethod({ flash: 'touch' }, inks, [])),
    )
  })
})

describe('a metallic beside white', () => {
  it('prints first, and is flashed, where it touches', () => {
    const cells = order(
      planFor({ inks: [INKS.white, INKS.copper], relations: [meet('white', 'copper', 'touch')] }),
    )
    const [metal, white] = [cells.indexOf('copper'), cells.indexOf('white')]
    expect(metal).toBeLessThan(white)
    expect(cells.slice(metal, white)).toContain('flash')
  })
})

it('a white that must follow its smoothing screen may print before a metallic that touches it', () => {
  const p = withMethod({ white: 'smoothing' }, [INKS.white, INKS.copper], [meet('white', 'copper', 'touch')])
  expect(p.sequence.fits).toBe(true)
  const cells = order(p)
  expect(cells.indexOf('white')).toBeLessThan(cells.indexOf('copper'))
})

describe('mesh', () => {
  const meshOf = (method: Partial<ShopMethod>, id: string, inks: readonly InkColour[]) => {
    const found = withMethod(method, inks).hits.find((h) => h.hit.id === id)
    if (!found) throw new Error(`no ${id}`)
    return { mesh: numberOf(found.mesh), low: found.mesh.range[0], rules: rulesOf(found.mesh.reasons) }
  }
  it('3.1, 3.5 or 4.5 times the ruling', () => {
    const inks = [{ ...INKS.yellow, ruling: lpi(55) }]
    const low = (ruling: ShopMethod['ruling']) => meshOf({ ruling }, 'yellow', inks).low
    const times = (x: number) => Math.max(7900, x * lpi(55))
    expect(low('leanest')).toBeCloseTo(times(3.1), 0)
    expect(low('lean')).toBeCloseTo(times(3.5), 0)
    expect(low('four')).toBeCloseTo(times(4.5), 0)
  })
  it('a base as fine as the colours on it, coarse by default, never under ink that dries in the screen', () => {
    const inks = [INKS.yellow, INKS.red]
    const coarse = meshOf({}, 'base', inks)
    const finer = meshOf({ baseMesh: 'finer' }, 'base', inks)
    const top = meshOf({ baseMesh: 'finer' }, 'yellow', inks)
    expect(finer.low).toBeGreaterThanOrEqual(top.mesh - 1)
    expect(coarse.mesh).toBeLessThan(finer.mesh)
    expect(finer.rules).toContain('MESH_BASE_FINER')
    const water = meshOf({ baseMesh: 'finer', ink: 'waterBased' }, 'base', inks)
    expect(water.rules).toContain('MESH_BASE_WATER')
  })
})

describe('a neck label', () => {
  it('first or last of the prints, but always before raised ink', () => {
    const { order: asked, shop, decisions } = jobFor()
    const [print] = asked.placements
    const label = {
      ...print!,
      id: 'P2',
      where: 'neckLabel' as const,
      width: 0.06,
      height: 0.05,
      inks: [INKS.white],
    }
    const raised = { ...print!, id: 'P3', where: 'back' as const, inks: [INKS.raised] }
    const turn = (
      which: ShopMethod['label'],
      ...placements: (typeof label | typeof raised | typeof print)[]
    ) => {
      const all = { ...asked, placements: placements as typeof asked.placements }
      const { run } = plan(all, shop, { ...decisions, runId: 'R-1-P1-one' })
      return printsInTurn(all, run, { ...shop.method, label: which }).map((t) => [
        t.run.placement.id,
        t.reasons[0]?.rule,
      ])
    }
    expect(turn('first', print, label)).toEqual([
      ['P2', 'PRINTS_LABEL'],
      ['P1', 'PRINTS_SMALL'],
    ])
    expect(turn('last', print, label)).toEqual([
      ['P1', 'PRINTS_SMALL'],
      ['P2', 'PRINTS_LABEL_LAST'],
    ])
    expect(turn('last', print, label, raised).map(([id]) => id)).toEqual(['P1', 'P2', 'P3'])
  })
})

describe('a gap left on purpose', () => {
  const inks = [INKS.yellow, INKS.red]
  const gap = (width: number) => [{ a: 'yellow', b: 'red', how: 'gap' as const, width }]
  const told = (width: number) =>
    withMethod({}, inks, gap(width)).warnings.find((r) => r.rule.startsWith('GAP_'))
  it('is no meeting: it costs no flash, and touching may', () => {
    const touch = withMethod({ flash: 'touch' }, inks, [meet('yellow', 'red', 'touch')])
    const apart = withMethod({ flash: 'touch' }, inks, gap(0.0005))
    expect(order(apart).filter((id) => id === 'flash').length).toBeLessThan(
      order(touch).filter((id) => id === 'flash').length,
    )
  })
  it('holds or closes by what a set-up misses, wider never worse (property in steps)', () => {
    expect(told(0.003)?.rule).toBe('GAP_HOLDS')
    expect(told(0.0001)?.rule).toBe('GAP_CLOSES')
    const shares = [0.1, 0.2, 0.3, 0.5, 0.8, 1.2, 2].map((mm) => told(mm / 1000)?.inputs.share)
    const values = shares.map((s) => (typeof s === 'object' && 'value' in s ? s.value : Number.NaN))
    expect(values).toEqual([...values].sort((a, b) => b - a))
    const low = told(0.0001)?.inputs.low
    expect(low).toEqual({ kind: 'fine', value: 0 })
  })
})

it('as many flashes as the lead wants stand in an order by hand, a screen once', () => {
  const decided = (order: readonly string[]) =>
    checkDecisions({ runId: 'R-1-P1-one', method: {}, overrides: {}, order }).ok
  expect(decided(['base', 'flash', 'yellow', 'flash', 'red'])).toBe(true)
  expect(decided(['base', 'flash', 'base'])).toBe(false)
  const p = planFor({ order: ['base', 'flash', 'yellow', 'flash', 'red', 'flash', 'white'] })
  expect(order(p).filter((id) => id === 'flash')).toHaveLength(3)
})

describe('raised ink by the height that is wanted', () => {
  const hit = (rise: string | undefined, line?: number) => {
    const raised = { ...INKS.raised, ...(line && { line }) }
    const p = planFor({ inks: [raised], overrides: rise ? { 'rise.raised': rise } : {} })
    const found = p.hits.find((h) => h.hit.id === 'raised')
    if (!found) throw new Error('no raised ink')
    return { found, warned: rulesOf(p.warnings) }
  }
  const of = (rise?: string) => {
    const { found } = hit(rise)
    return [numberOf(found.mesh), numberOf(found.stencil.coats), numberOf(found.stroke.strokes)] as const
  }
  it('higher: never a finer mesh, nor fewer coats or strokes', () => {
    const [subtle, usual, extreme] = [of('subtle'), of(), of('extreme')]
    for (const [less, more] of [
      [subtle, usual],
      [usual, extreme],
    ] as const) {
      expect(more[0]).toBeLessThanOrEqual(less[0])
      expect(more[1]).toBeGreaterThan(less[1])
      expect(more[2]).toBeGreaterThanOrEqual(less[2])
    }
    expect(of('usual')).toEqual(usual)
    expect(extreme[2]).toBeGreaterThan(subtle[2])
  })
  it('a line of a quarter of a millimetre does not stand up, whatever the height; one of 2 mm does', () => {
    for (const rise of ['subtle', undefined, 'extreme']) {
      expect(hit(rise, 0.00025).warned).toContain('RISE_LINE')
      expect(hit(rise, 0.002).warned).not.toContain('RISE_LINE')
    }
    expect(hit('subtle', 0.0007).warned).not.toContain('RISE_LINE')
    expect(hit('extreme', 0.0012).warned).toContain('RISE_LINE')
    expect(hit(undefined).warned).not.toContain('RISE_LINE')
  })
  it('a gap that swells shut is told, wider ones for more height', () => {
    const told = (rise: string, gap: number) =>
      rulesOf(
        planFor({ inks: [{ ...INKS.raised, gap }], overrides: { 'rise.raised': rise } }).warnings,
      ).includes('RISE_GAP')
    expect([told('subtle', 0.0007), told('subtle', 0.001)]).toEqual([true, false])
    expect([told('extreme', 0.002), told('extreme', 0.003)]).toEqual([true, false])
    expect(rulesOf(planFor({ inks: [INKS.raised] }).warnings)).not.toContain('RISE_GAP')
  })
  it('no other ink has a height, and no other word is one', () => {
    expect(planFor().hits.every((h) => h.rise === undefined)).toBe(true)
    expect(choiceOf(hit('mountain').found.rise!)).toBe('usual')
  })
})

describe('frames and films', () => {
  const sized = (width: number, height: number, id: string, mesh: number) => ({
    ...{ id, width: mm(width), height: mm(height), mesh: perCm(mesh) },
    ...{ tension: 2500, state: 'clean' as const, readings: [] },
  })
  const two = [43, 61, 90].flatMap((mesh) =>
    [1, 2, 3].flatMap((n) => [
      sized(580, 790, `S${mesh}-${n}`, mesh),
      sized(1190, 1320, `L${mesh}-${n}`, mesh),
    ]),
  )
  const on = (width: number, height: number) => planFor({ width, height, shop: { frames: two } })
  it('an all-over print is given the large frames, and all of one size; an everyday one the small', () => {
    const large = on(0.9, 1.0)
    expect(large.hits.every((h) => !h.frame || h.frame.width > 1)).toBe(true)
    expect(rulesOf(large.frames)).not.toContain('FRAME_SMALL')
    const small = on(0.28, 0.35)
    expect(small.hits.every((h) => !h.frame || h.frame.width < 0.6)).toBe(true)
    expect(rulesOf(small.frames)).toContain('FRAME_SIZE')
  })
  it('a film put on otherwise than told is followed by the next, and said', () => {
    const told = planFor()
    const put = planFor({ overrides: { filmLeft: numberOf(told.position.put.left) + mm(7) } })
    expect(put.position.left).toBeCloseTo(told.position.left + mm(7))
    expect(put.position.right).toBeCloseTo(told.position.right - mm(7))
    expect(rulesOf(put.position.reasons)).toContain('POSITION_PUT')
    expect(rulesOf(told.position.reasons)).not.toContain('POSITION_PUT')
  })
})

describe('the base of halftones', () => {
  it('carries the tones, or is as coarse as under flat colours', () => {
    const base = (method: Partial<ShopMethod>) => {
      const tones = { ...INKS.red, ruling: lpi(45) }
      return numberOf(planFor({ inks: [tones], method }).hits.find((h) => h.hit.id === 'base')!.mesh)
    }
    const flat = numberOf(planFor({ inks: [INKS.red] }).hits.find((h) => h.hit.id === 'base')!.mesh)
    expect(base({})).toBeGreaterThan(flat)
    expect(base({ baseTones: 'coarse' })).toBe(flat)
    expect(base({ baseTones: 'coarse', baseMesh: 'finer' })).toBeGreaterThan(flat)
  })
})

describe('squeegee and stroke', () => {
  const stroke = (asked: Parameters<typeof planFor>[0], id: string) => {
    const { stroke } = planFor(asked).hits.find((h) => h.hit.id === id)!
    return {
      blade: choiceOf(stroke.squeegee),
      angle: Math.round((stroke.angle.advised * 180) / Math.PI),
      flood: choiceOf(stroke.flood),
      rules: rulesOf([...stroke.squeegee.reasons, ...stroke.angle.reasons, ...stroke.flood.reasons]),
    }
  }
  const tones = { ...INKS.red, ruling: lpi(45) }
  it('halftones: hard and straight, or layered', () => {
    expect(stroke({ inks: [tones] }, 'red').blade).toBe('80')
    expect(stroke({ inks: [tones], method: { blade: 'layered' } }, 'red').blade).toBe('70/90/70')
    expect(stroke({ inks: [INKS.red], method: { blade: 'layered' } }, 'red').blade).not.toBe('80')
  })
  it('high-solids ink: layered for all of it; on an automatic upright, or laid down with more off-contact', () => {
    const water = { ...tones, system: 'highSolids' as const }
    const on = (highSolids: ShopMethod['highSolids'], press: 'automatic' | 'manual') => {
      const asked = { inks: [water], press, method: { highSolids } }
      return { ...stroke(asked, 'base'), off: numberOf(planFor(asked).offContact), top: stroke(asked, 'red') }
    }
    expect(on('upright', 'automatic')).toMatchObject({ blade: '70/90/70', angle: 5 })
    expect(on('layered', 'automatic')).toMatchObject({ blade: '70/90/70', angle: 15 })
    expect(on('upright', 'automatic').top.blade).toBe('70/90/70')
    expect(on('layered', 'automatic').off).toBeCloseTo(mm(3.2))
    expect(on('upright', 'automatic').off).toBeCloseTo(mm(1.6))
    expect(on('layered', 'manual').off).toBeCloseTo(on('upright', 'manual').off)
  })
  it('thin stencils drive off-contact and flood, base too', () => {
    const film = SHOP.screens.emulsions.map((e) => ({ ...e, kind: 'thermal' as const }))
    const asked = { inks: [INKS.red], shop: { screens: { ...SHOP.screens, emulsions: film } } }
    expect(numberOf(planFor(asked).offContact)).toBeCloseTo(mm(1.35))
    expect(stroke(asked, 'base')).toMatchObject({ flood: 'hard' })
    expect(stroke({ inks: [INKS.red] }, 'base')).toMatchObject({ flood: 'even' })
  })
  it('metallic: pushed slowly with a generous flood, stirred every so many prints', () => {
    const p = planFor({ inks: [INKS.copper] })
    expect(stroke({ inks: [INKS.copper] }, 'copper').flood).toBe('full')
    const stir = p.warnings.find((r) => r.rule === 'STIR')
    expect(stir?.inputs.every).toMatchObject({ value: 25 })
  })
})

describe('before the first good print', () => {
  it('more pieces never open with less, and what is loaded comes to what is ready', () => {
    for (const pieces of [1, 12, 100, 10_000]) {
      const p = planFor({ sizes: { M: pieces } })
      for (const h of p.hits) {
        const load = loadOf(h, pieces)
        if (!load) continue
        const all = load.first + (load.again ? load.again.mass * load.again.times : 0)
        expect(all).toBeCloseTo(numberOf(h.ink!), 6)
        expect(load.again === undefined || load.again.every >= 12).toBe(true)
      }
    }
  })
  it('strokes, squares, garments, and wet inks to settle: each with time and ink', () => {
    const rows = openingOf(planFor({ inks: [INKS.yellow, INKS.red, INKS.white] }))
    expect(rows.map((r) => r.what).slice(0, 3)).toEqual(['open', 'squares', 'scrap'])
    for (const r of rows) {
      expect(r.time).toBeGreaterThan(0)
      expect(r.ink).toBeGreaterThan(0)
      expect(r.reasons).toHaveLength(1)
    }
    // On a rack the squares dry together: no unit at the bench.
    const racked = openingOf(planFor({ press: 'bench', overrides: { press: 'bench' } }))
    const dry = planFor({ press: 'bench', overrides: { press: 'bench' } }).flashes
    const waits = dry.reduce((all, f) => all + numberOf(f.dwell), 0)
    expect(waits).toBeGreaterThan(0)
    expect(racked[1]!.time).toBeLessThan(2 * waits)
    const few = openingOf(planFor({ inks: [INKS.red] }))
    expect(few[0]!.time).toBeLessThan(rows[0]!.time)
    expect(few.map((r) => r.what)).not.toContain('first')
  })
})

describe('smoothing a base for the colours on it', () => {
  const inks = [INKS.yellow, INKS.red]
  const smoothed = { overrides: { smooth: 'base' } }
  it('no, on rough cloth, always: and the lead may say otherwise', () => {
    const roles = (asked: Parameters<typeof planFor>[0]) =>
      planFor({ inks, ...asked }).hits.filter((h) => h.hit.role === 'smoothing').length
    expect(roles({})).toBe(0)
    expect(roles({ method: { smooth: 'rough' } })).toBe(0)
    expect(roles({ method: { smooth: 'rough' }, cloth: CLOTHS.hood })).toBe(1)
    expect(roles({ method: { smooth: 'always' } })).toBe(1)
    expect(roles({ overrides: { smooth: 'base' } })).toBe(1)
    expect(roles({ method: { smooth: 'always' }, overrides: { smooth: 'no' } })).toBe(0)
    // On light cloth nothing stands on a base.
    expect(roles({ method: { smooth: 'always' }, cloth: CLOTHS.white })).toBe(0)
  })
  it.each(['manual', 'automatic', 'single'] as const)(
    'on %s: straight after the flash of the base, then colours',
    (press) => {
      const p = planFor({ inks, press, overrides: { press, ...smoothed.overrides } })
      const cells = order(p)
      expect(p.sequence.fits).toBe(true)
      expect(cells.slice(0, 3)).toEqual(['base', 'flash', 'smoothing'])
      expect(cells[3]).not.toBe('flash')
      const s = p.hits.find((h) => h.hit.role === 'smoothing')!
      expect(numberOf(s.stroke.strokes)).toBe(1)
      expect(s.stroke.strokes.range[1]).toBe(2)
      const next = p.hits[p.hits.indexOf(s) + 1]!
      expect(rulesOf(next.reasons)).toContain('SMOOTH_BASE')
    },
  )
  it('in a second lap, where one has no room for it', () => {
    const few = { ...PRESSES.automatic, stations: PRESSES.automatic.stations.slice(0, 6) }
    const six = { inks, press: 'automatic' as const, shop: { presses: [few] } }
    const p = planFor({ ...six, overrides: { press: 'automatic', laps: 'two', ...smoothed.overrides } })
    expect(p.sequence.fits).toBe(true)
    const cells = order(p)
    expect(cells.indexOf('smoothing')).toBe(cells.indexOf('flash') + 1)
  })
  it('the same white screen may follow it', () => {
    const cells = order(planFor({ inks, overrides: { smooth: 'base', white: 'sameScreen' } }))
    expect(cells.slice(0, 4)).toEqual(['base', 'flash', 'smoothing', 'base2'])
  })
  it('a screen that the shop keeps is used, and the screen room makes none', () => {
    const kept = SHOP.frames.map((f, i) => (i === 9 ? { ...f, standing: 'smoothing' as const } : f))
    const asked = { inks, ...smoothed, shop: { frames: kept } }
    const s = planFor(asked).hits.find((h) => h.hit.role === 'smoothing')!
    expect(s.frame?.id).toBe(kept[9]!.id)
    expect(s.exposure).toBeUndefined()
    expect(rulesOf(planFor(asked).frames)).toContain('FRAME_STANDING')
    const made = (shop: Parameters<typeof planFor>[0]) =>
      screenJobOf(jobFor(shop).order, planFor(shop)).screens.map((x) => x.hitId)
    expect(made(asked)).not.toContain('smoothing')
    expect(made({ inks, ...smoothed })).toContain('smoothing')
    // Nor is it given to anything else.
    expect(planFor({ inks, shop: { frames: kept } }).hits.every((h) => h.frame?.id !== kept[9]!.id)).toBe(
      true,
    )
  })
})

describe('laps and cooling', () => {
  it('a second lap by wish: it takes longer, and is said; by hand there is nothing to wish', () => {
    const on = (laps?: string) =>
      planFor({ press: 'automatic', overrides: { press: 'automatic', ...(laps && { laps }) } })
    const [once, twice] = [on(), on('two')]
    expect([once.sequence.laps, twice.sequence.laps]).toEqual([1, 2])
    expect(twice.sequence.revolutions?.advised).toBe('one')
    expect(rulesOf(twice.sequence.reasons)).toContain('LAPS_WISHED')
    expect(numberOf(twice.time!.total)).toBeGreaterThan(numberOf(once.time!.total))
    expect(planFor().sequence.revolutions).toBeUndefined()
    expect(planFor({ overrides: { laps: 'two' } }).sequence.laps).toBe(1)
  })
  it('a single station waits, or prints straight on and is quicker', () => {
    const on = (cool: ShopMethod['cool']) =>
      planFor({ press: 'single', overrides: { press: 'single' }, method: { cool } })
    expect(numberOf(on('wait').coolDown!)).toBe(30)
    expect(numberOf(on('on').coolDown!)).toBe(0)
    expect(numberOf(on('on').time!.total)).toBeLessThan(numberOf(on('wait').time!.total))
  })
})

it('looks of white: worn is the softest hand, flattest the thickest; the word follows the thickness', () => {
  const hand = (whiteLook: 'bright' | 'soft' | 'worn' | 'flattest') =>
    handOf(planFor({ said: { whiteLook } }))!
  expect(hand('worn').film).toBeLessThan(hand('bright').film)
  expect(hand('soft').film).toBeLessThan(hand('flattest').film)
  const words = ['soft', 'felt', 'heavy', 'a plate']
  const rank = (look: Parameters<typeof hand>[0]) => words.indexOf(hand(look).word)
  expect(rank('worn')).toBeLessThanOrEqual(rank('bright'))
  expect(Math.min(...(['worn', 'soft', 'bright', 'flattest'] as const).map(rank))).toBeGreaterThanOrEqual(0)
})
