import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD, message, type NumberAdvice, type Reason } from '../advice'
import { beatOf, moireRisk } from '../artwork'
import { type ApprovedSetting, FABRICS, type Press } from '../equipment'
import type { Cloth } from '../order'
import { degrees, lpi, mm, perCm } from '../quantity'
import { meshFor, offContactFor, opening, type ScreenNeed, type ScreenUse } from './index'

// What each number says of itself: every rule that was at work, and none that was not. Ranges are common practice, no source.
const rules = (reasons: readonly Reason[]) => reasons.map((r) => r.rule)
const told = ({ reasons }: { readonly reasons: readonly Reason[] }, rule: string) =>
  reasons.find((r) => r.rule === rule)?.inputs ?? {}
const perCentimetre = (range: readonly number[]) => range.map((m) => Math.round(m / 100))

describe('a mesh says why', () => {
  const HELD = [43, 61, 77, 90, 120].map(perCm)
  const mesh = (use: ScreenUse, extra: Partial<ScreenNeed> = {}, held = HELD, own = {}, method = {}) =>
    meshFor(
      { hitId: 'x', name: 'Red', use, driesInScreen: false, system: 'plastisol', onFilm: false, ...extra },
      { ...DEFAULT_METHOD, ...method },
      held,
      FABRICS,
      own,
    )
  it.each([
    ['expanding', {}, [21, 43], 'MESH_EXPANDING'],
    ['metallic', {}, [24, 43], 'MESH_METALLIC'],
    ['oneHit', {}, [34, 49], 'MESH_ONE_HIT'],
    ['spot', {}, [61, 90], 'MESH_SPOT'],
    ['highlight', {}, [77, 120], 'MESH_HIGHLIGHT'],
    ['halftone', {}, [79, 120], 'MESH_HALFTONE'],
    ['process', {}, [110, 140], 'MESH_PROCESS'],
    ['smoothing', {}, [61, 90], 'MESH_SMOOTHING'],
    ['base', { driesInScreen: true }, [43, 61], 'MESH_BASE_WATER'],
    ['base', {}, [43, 64], 'MESH_BASE_COARSE'],
  ] as const)('%s %o: %o', (use, extra, range, rule) => {
    const advice = mesh(use, extra)
    expect(perCentimetre(advice.range)).toEqual(range)
    expect(rules(advice.reasons)).toEqual([rule, 'MESH_STOCK', 'MESH_DEPOSIT'])
    expect(told(advice, rule)).toEqual({
      low: { kind: 'meshCount', value: perCm(range[0]) },
      high: { kind: 'meshCount', value: perCm(range[1]) },
    })
  })
  it('with no frame in the house it takes what is wanted, and says nothing of frames', () => {
    const advice = mesh('spot', {}, [])
    expect(advice.advised).toBe(perCm(77))
    expect(rules(advice.reasons)).toEqual(['MESH_SPOT', 'MESH_DEPOSIT'])
  })
  it('frames at the very ends of the range are in it; none in it is told with what is nearest', () => {
    for (const end of [61, 90]) expect(rules(mesh('spot', {}, [perCm(end)]).reasons)).toContain('MESH_STOCK')
    const far = mesh('spot', {}, [34, 43].map(perCm))
    expect(far.advised).toBe(perCm(43))
    expect(rules(far.reasons)).toEqual(['MESH_SPOT', 'MESH_NOT_HELD', 'MESH_DEPOSIT'])
    expect(told(far, 'MESH_NOT_HELD').mesh).toEqual({ kind: 'meshCount', value: perCm(43) })
  })
  it('a ruling raises the least and is told with its practice; without an angle nothing is said of moire', () => {
    const advice = mesh('halftone', { ruling: lpi(55) })
    expect(rules(advice.reasons)).toEqual(['MESH_HALFTONE', 'MESH_RULING', 'MESH_STOCK', 'MESH_DEPOSIT'])
    expect(told(advice, 'MESH_RULING').factor).toBe('4.5')
    expect(told(advice, 'MESH_RULING').least).toEqual({ kind: 'meshCount', value: 4.5 * lpi(55) })
    const lean = mesh('halftone', { ruling: lpi(55) }, HELD, {}, { ruling: 'lean' })
    expect(told(lean, 'MESH_RULING').factor).toBe('3.5')
    expect(rules(mesh('halftone', { angle: degrees(45) }).reasons)).not.toContain('MESH_CLEAR')
  })
  it('the smallest line is told where it raises the mesh, and in the same words asked for nothing else', () => {
    expect(told(mesh('spot', { line: mm(0.25) }), 'MESH_LINE')).toEqual({
      line: { kind: 'fine', value: mm(0.25) },
      least: { kind: 'meshCount', value: 2 / mm(0.25) },
    })
    // 2 / 61 T/cm: the line just carried by the least mesh there is asks for nothing.
    expect(rules(mesh('spot', { line: 2 / perCm(61) }).reasons)).not.toContain('MESH_LINE')
  })
  it('a grain too large for every tabled mesh takes the widest opening there is', () => {
    const widest = Math.max(...FABRICS.map(opening))
    const advice = mesh('metallic', { particle: widest })
    const coarsest = Math.min(...FABRICS.map((f) => f.count))
    expect(told(advice, 'MESH_PARTICLE').most).toEqual({ kind: 'meshCount', value: coarsest })
    // The nearest frame is finer: it lies in the range of the choice, and the reason says what was wanted.
    expect(advice.range).toEqual([0.7 * coarsest, HELD[0]])
    expect(told(advice, 'MESH_NOT_HELD').high).toEqual({ kind: 'meshCount', value: coarsest })
    const justFits = FABRICS.find((f) => Math.round(f.count / 100) === 43)
    if (!justFits) throw new Error('no 43')
    expect(told(mesh('metallic', { particle: opening(justFits) / 3 }), 'MESH_PARTICLE').most).toEqual({
      kind: 'meshCount',
      value: justFits.count,
    })
  })
  const FILMS = [30, 35, 40, 45, 50, 55, 65].flatMap((ruling) =>
    [0, 7.5, 15, 22.5, 30, 45, 75].map((angle) => ({ ruling: lpi(ruling), angle: degrees(angle) })),
  )
  const COUNTS = [...new Set(FABRICS.map((f) => f.count))]
  it('says which meshes in range are clear of moire, all of the table and none outside; or to turn the halftone', () => {
    let [listed, turned] = [0, 0]
    for (const f of FILMS)
      for (const own of COUNTS) {
        const advice = mesh('spot', f, HELD, { 'mesh.x': own })
        const risk = (m: number) => moireRisk(beatOf(f.ruling, f.angle, m))
        const [low, high] = advice.range
        const clear = COUNTS.filter((m) => m >= low && m <= high && risk(m) === 'none')
        const said = rules(advice.reasons).filter((r) => r === 'MESH_CLEAR' || r.startsWith('MESH_MOIRE'))
        if (risk(own) === 'none') expect(said).toEqual(['MESH_CLEAR'])
        else if (clear.length > 0) {
          expect(said).toEqual(['MESH_MOIRE'])
          expect(told(advice, 'MESH_MOIRE').clear).toEqual({ kind: 'meshCount', values: clear })
          listed++
        } else {
          expect(said).toEqual(['MESH_MOIRE_ALL'])
          turned++
        }
      }
    expect(listed).toBeGreaterThan(10)
    expect(turned).toBeGreaterThan(0)
  })
  it('names those meshes in the reader’s units', () => {
    const reason = FILMS.flatMap((f) => mesh('spot', f, HELD, { 'mesh.x': perCm(61) }).reasons).find(
      (r) => r.rule === 'MESH_MOIRE',
    )
    const words = reason ? [message(reason, 'metric'), message(reason, 'inch')] : []
    expect(words[0]).toMatch(/Clear of it: \d+ T\/cm/)
    expect(words[1]).toMatch(/Clear of it: \d+ tpi/)
    expect(words[1]).not.toContain('T/cm')
  })
  it('never advises a mesh that beats where a clear one hangs in range', () => {
    for (const ruling of [45, 55, 65])
      for (const angle of [15, 22.5, 45, 75]) {
        const extra = { ruling: lpi(ruling), angle: degrees(angle) }
        const risk = (m: number) => moireRisk(beatOf(extra.ruling, extra.angle, m))
        const { advised, range } = mesh(
          'halftone',
          extra,
          FABRICS.map((f) => f.count),
        )
        const mountedNow = FABRICS.map((f) => f.count).filter((m) => m >= range[0] && m <= range[1])
        if (mountedNow.some((m) => risk(m) === 'none')) expect(risk(advised)).toBe('none')
      }
  })
})

describe('off-contact says why', () => {
  const cloth = (weave: Cloth['weave']): Cloth => ({
    name: 'C',
    hex: '#ffffff',
    weave,
    cotton: 1,
    polyester: 0,
    weight: 0.2,
  })
  const press = (kind: 'manual' | 'automatic', id = 'p'): Press => ({ id, name: 'The Six', kind }) as Press
  const proven = (extra: Partial<ApprovedSetting> = {}): ApprovedSetting => ({
    pressId: 'p',
    use: 'top',
    mesh: perCm(77),
    darkCloth: true,
    driesInScreen: false,
    squeegee: 'b',
    edge: 'square',
    angle: degrees(75),
    pressure: 'medium',
    time: 2,
    strokes: 1,
    flood: 'full',
    offContact: mm(2),
    id: 'R/x',
    words: 'Job: Red',
    on: '2026-10-01',
    fleece: false,
    ...extra,
  })
  const gap = ({
    kind = 'manual',
    weave = 'jersey',
    method = {},
    known = [],
  }: Partial<{
    kind: 'manual' | 'automatic'
    weave: Cloth['weave']
    method: object
    known: readonly ApprovedSetting[]
  }> = {}): NumberAdvice =>
    offContactFor(
      press(kind),
      cloth(weave),
      { ...DEFAULT_METHOD, ...method },
      known,
      { thin: false, highSolids: false },
      {},
    )
  const inMm = (a: NumberAdvice) => [a.range[0], a.advised, a.range[1]].map((x) => Math.round(x * 1e5) / 100)

  it.each([
    ['by hand', {}, [2.5, 3.2, 4], ['OFF_MANUAL', 'OFF_SAME']],
    ['automatic', { kind: 'automatic' }, [1.2, 1.6, 2.4], ['OFF_AUTOMATIC', 'OFF_SAME']],
    ['the low practice', { method: { offContact: 'low' } }, [1, 1.35, 1.6], ['OFF_LOW', 'OFF_SAME']],
    ['fleece by hand', { weave: 'fleece' }, [3, 4.2, 5], ['OFF_MANUAL', 'OFF_FLEECE', 'OFF_SAME']],
  ] as const)('%s: %o mm', (_, given, range, why) => {
    const advice = gap(given)
    expect(inMm(advice)).toEqual(range)
    expect(rules(advice.reasons)).toEqual(why)
  })
  it('what was approved on this press and such a surface goes before the table, last found first', () => {
    const known = [
      proven(),
      proven({ offContact: mm(2.2), on: '2026-11-02' }),
      proven({ pressId: 'other', offContact: mm(9) }),
    ]
    const advice = gap({ known })
    expect(inMm(advice)).toEqual([2.2, 2.2, 4])
    expect(rules(advice.reasons)).toEqual(['OFF_APPROVED', 'OFF_MANUAL', 'OFF_SAME'])
    expect(told(advice, 'OFF_APPROVED')).toMatchObject({
      press: 'The Six',
      on: '2026-11-02',
      words: 'Job: Red',
      usual: { kind: 'length', value: mm(3.2) },
    })
    expect(rules(gap({ known, weave: 'fleece' }).reasons)).not.toContain('OFF_APPROVED')
    const onFleece = gap({ known: [proven({ fleece: true, offContact: mm(6) }), proven()], weave: 'fleece' })
    expect(inMm(onFleece)).toEqual([3, 6, 6])
    expect(told(onFleece, 'OFF_APPROVED').usual).toEqual({ kind: 'length', value: mm(4.2) })
    expect(rules(gap({ known: [proven({ fleece: true })] }).reasons)).not.toContain('OFF_APPROVED')
  })
})
