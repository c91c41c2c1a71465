import { describe, expect, it } from 'vitest'
import { choiceOf, numberOf } from '../advice'
import { FABRICS, type Frame, USUAL_SCREENS } from '../equipment'
import { mm, perCm } from '../quantity'
import { fabricOf, misfitOf, stencilFor, stiffness, tensionFit, tensionOf } from './index'

const need = { hitId: 'x', name: 'Red', use: 'spot' as const, driesInScreen: false, mesh: perCm(77) }
const stencil = (extra: object = {}, own = {}, room = USUAL_SCREENS) =>
  stencilFor({ ...need, ...extra }, room, own)
const rules = (s: ReturnType<typeof stencil>) => [
  ...[s.emulsion, s.coats, s.build].flatMap((a) => a.reasons.map((r) => r.rule)),
  ...s.reasons.map((r) => r.rule),
]

describe('a stencil', () => {
  const [resistant, ordinary] = USUAL_SCREENS.emulsions
  if (!resistant || !ordinary) throw new Error('two emulsions to begin with')
  // Common practice, no source: two coats; six or seven for raised prints.
  it('has two coats, six or seven under expanding ink, one film', () => {
    expect(numberOf(stencil().coats)).toBe(2)
    expect(stencil({ use: 'expanding' }).coats.range).toEqual([6, 7])
    const film = { ...USUAL_SCREENS, emulsions: [{ ...resistant, kind: 'thermal' as const }] }
    const thin = stencil({}, {}, film)
    expect(numberOf(thin.build)).toBeLessThan(5e-6)
    expect(rules(thin)).toContain('COATS_FILM')
  })
  it('takes a water-resistant emulsion under water-based ink, and stops the other', () => {
    const reversed = { ...USUAL_SCREENS, emulsions: [ordinary, resistant] }
    expect(choiceOf(stencil({}, {}, reversed).emulsion)).toBe(ordinary.id)
    expect(choiceOf(stencil({ driesInScreen: true }, {}, reversed).emulsion)).toBe(resistant.id)
    const own = stencil({ driesInScreen: true }, { 'emulsion.x': ordinary.id })
    expect(own.emulsion.reasons[0]).toMatchObject({ rule: 'STENCIL_DISSOLVES', severity: 'Stop' })
    const only = stencil({ driesInScreen: true }, {}, { ...USUAL_SCREENS, emulsions: [ordinary] })
    expect(rules(only)).toContain('STENCIL_DISSOLVES')
    expect(rules(stencil({}, {}, { ...USUAL_SCREENS, emulsions: [] }))).toContain('STENCIL_NONE')
  })
  it('builds coat by coat, and says when that is too thin for the mesh', () => {
    expect(numberOf(stencil().build)).toBeCloseTo(10e-6)
    expect(rules(stencil())).not.toContain('BUILD_THIN')
    expect(rules(stencil({ mesh: perCm(21) }))).toContain('BUILD_THIN')
  })
  it('loses a line thinner than one thread and one opening', () => {
    expect(rules(stencil({ line: mm(0.1) }))).toContain('LINE_LOST')
    expect(rules(stencil({ line: mm(0.3) }))).not.toContain('LINE_LOST')
  })
})

const frame = (tension: number, readings: Frame['readings'] = [], mesh = 77): Frame => ({
  id: 'F',
  width: mm(580),
  height: mm(790),
  mesh: perCm(mesh),
  tension: tension * 100,
  state: 'clean',
  readings,
})

describe('tension', () => {
  // inside figures, those of the model, threads x section x 10 GPa x 0.6, N/cm: good to 40 % (from memory).
  it.each([
    [43, 1297],
    [77, 1098],
    [90, 977],
    [120, 654],
  ])('stiffness of %d T/cm is about %d N/cm', (count, wanted) => {
    expect(stiffness(fabricOf(FABRICS, perCm(count))) / 100).toBeCloseTo(wanted, -1)
  })
  // Inside figures: stiffness 1000 N/cm, 150 mm from the middle; 3, 5 and 10 N/cm lost move the edge so far.
  it.each([
    [3, 0.36],
    [5, 0.6],
    [10, 1.2],
  ])('%d N/cm lost after burning move the edge by %d mm', (lost, wanted) => {
    const f = fabricOf(FABRICS, perCm(77))
    const soft = { ...f, thread: f.thread * Math.sqrt(100_000 / stiffness(f)) }
    expect(stiffness(soft)).toBeCloseTo(100_000)
    expect(misfitOf(lost * 100, soft, mm(150)) * 1000).toBeCloseTo(wanted, 2)
  })
  it('tells the spread of a job and what it may mean; one frame has none', () => {
    const fit = tensionFit([frame(25), frame(22)], FABRICS, mm(300), mm(200))
    expect(fit.spread).toBe(300)
    expect(fit.off * 1000).toBeCloseTo(0.33, 2)
    expect(tensionFit([frame(25)], FABRICS, mm(300), mm(200))).toMatchObject({ spread: 0, off: 0 })
    expect(tensionFit([], FABRICS, mm(300), mm(200)).off).toBe(0)
    // One screen has nothing to fit, and says nothing.
    expect(tensionFit([frame(25)], FABRICS, mm(300), mm(200)).reasons).toEqual([])
    expect(fit.reasons.map((r) => r.rule)).toEqual(['TENSION_MISFIT'])
  })
  it('advises to retire what is low, and to beware of what fell', () => {
    expect(tensionOf(frame(18), 2000).rule).toBe('TENSION_LOW')
    const since = (first: number) => [{ on: '2026-09-01', tension: first * 100 }]
    expect(tensionOf(frame(24, since(30)), 2000).rule).toBe('TENSION_FALLS')
    expect(tensionOf(frame(20.5, since(26)), 2000).rule).toBe('TENSION_FALLS')
    expect(tensionOf(frame(24, since(26)), 2000).rule).toBe('TENSION_HOLDS')
    expect(tensionOf(frame(25.1, since(30)), 2000).rule).toBe('TENSION_HOLDS')
    expect(tensionOf(frame(24.9, since(30)), 2000).rule).toBe('TENSION_FALLS')
  })
})
