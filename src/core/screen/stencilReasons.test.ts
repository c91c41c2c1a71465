import { describe, expect, it } from 'vitest'
import type { Reason } from '../advice'
import { type Emulsion, FABRICS, type Lamp, type StepTest, USUAL_SCREENS } from '../equipment'
import { mm, perCm } from '../quantity'
import { depositFor, emulsionOf, exposureFor, fabricOf, opening, stencilFor } from './index'

// What each number says of itself: every rule that was at work, and none that was not. Ranges are common practice, no source.
const rules = (reasons: readonly Reason[]) => reasons.map((r) => r.rule)
const told = ({ reasons }: { readonly reasons: readonly Reason[] }, rule: string) =>
  reasons.find((r) => r.rule === rule)?.inputs ?? {}

describe('a stencil says why', () => {
  const [first, second] = USUAL_SCREENS.emulsions as readonly [Emulsion, Emulsion]
  const need = { hitId: 'x', name: 'Red', use: 'spot' as const, driesInScreen: false, mesh: perCm(77) }
  const stencil = (extra: object = {}, own = {}, room = USUAL_SCREENS) =>
    stencilFor({ ...need, ...extra }, room, own)
  it('coats by use', () => {
    expect(rules(stencil().coats.reasons)).toEqual(['COATS_TWO'])
    expect(stencil().coats).toMatchObject({ advised: 2, range: [2, 3] })
    expect(rules(stencil({ use: 'expanding' }).coats.reasons)).toEqual(['COATS_HIGH'])
    expect(stencil({ use: 'expanding' }).coats.advised).toBe(6)
  })
  it('the build spans a third either way, and says coats, mesh and what is wanted', () => {
    const { build } = stencil()
    expect(build.range[0]).toBeCloseTo((build.advised * 2) / 3, 12)
    expect(build.range[1]).toBeCloseTo((build.advised * 4) / 3, 12)
    expect(rules(build.reasons)).toEqual(['BUILD_MESH', 'BUILD_TARGET'])
    const { thickness } = fabricOf(USUAL_SCREENS.fabrics, perCm(77))
    // A tenth to a fifth of the mesh (from memory).
    expect(told(build, 'BUILD_TARGET').low).toEqual({ kind: 'thickness', value: thickness * 0.1 })
    expect(told(build, 'BUILD_TARGET').high).toEqual({ kind: 'thickness', value: thickness * 0.2 })
    expect(stencil().reasons).toEqual([])
  })
  it('the lead’s own emulsion is the one that builds', () => {
    const own = stencil({}, { 'emulsion.x': second.id, 'coats.x': 3 })
    expect(emulsionOf(USUAL_SCREENS, own)).toEqual(second)
    expect(own.build.advised).toBeCloseTo(3 * second.build, 12)
    expect(emulsionOf(USUAL_SCREENS, stencil())).toEqual(first)
  })
  it('water-based ink says which emulsion stands it, plastisol that any does', () => {
    expect(rules(stencil({ driesInScreen: true }).emulsion.reasons)).toEqual(['STENCIL_WATER'])
    expect(rules(stencil().emulsion.reasons)).toEqual(['STENCIL_ANY'])
  })
  it('offers the emulsions of the house, or says that there is none', () => {
    expect(stencil().emulsion.choices).toEqual(
      USUAL_SCREENS.emulsions.map((e) => ({ value: e.id, label: e.name })),
    )
    expect(stencil({}, {}, { ...USUAL_SCREENS, emulsions: [] }).emulsion.choices).toEqual([
      { value: 'none', label: 'none entered' },
    ])
  })
  it('a line just as wide as thread and opening is held', () => {
    const fabric = fabricOf(USUAL_SCREENS.fabrics, perCm(77))
    const pitch = opening(fabric) + fabric.thread
    expect(stencil({ line: pitch }).reasons).toEqual([])
    expect(rules(stencil({ line: pitch * 0.99 }).reasons)).toEqual(['LINE_LOST'])
  })
})

describe('an exposure goes by its own lamp and emulsion', () => {
  const lamp = (id: string, kind: Lamp['kind'] = 'bulb'): Lamp => ({ id, name: id, kind, distance: mm(400) })
  const emulsion = (id: string, kind: Emulsion['kind'] = 'dual'): Emulsion => ({
    id,
    name: id,
    kind,
    water: 'resistant',
    build: 5e-6,
  })
  const test = (
    lampId: string,
    emulsionId: string,
    time: number,
    extra: Partial<StepTest> = {},
  ): StepTest => ({
    id: `${lampId}${emulsionId}${time}`,
    on: '2026-10-05',
    lampId,
    emulsionId,
    mesh: perCm(43),
    coats: 2,
    distance: mm(400),
    time,
    low: time * 0.7,
    high: time,
    ...extra,
  })
  const tests = [test('A', 'F', 40), test('B', 'E', 70), test('A', 'E', 100)]
  const lamps = [lamp('A'), lamp('B')]
  const expose = (own = {}, extra = {}, e = emulsion('E'), room = {}) =>
    exposureFor(
      { hitId: 'x', name: 'Red', mesh: perCm(43), coats: 2, fine: false, ...extra },
      { ...USUAL_SCREENS, lamps, tests, ...room },
      e,
      own,
    )
  it('not by the test of another', () => {
    expect(expose()?.time).toMatchObject({
      advised: 100,
      key: 'expose.x',
      label: 'Exposure, Red',
      kind: 'duration',
    })
    expect(expose({ lamp: 'B' })).toMatchObject({ lamp: { id: 'B' }, time: { advised: 70 } })
    expect(expose({ lamp: 'gone' })?.lamp.id).toBe('A')
    expect(expose({}, {}, emulsion('F'))?.time.advised).toBe(40)
  })
  it('near the test a tenth less sure, far from it a quarter, and says so only then', () => {
    const near = expose({}, { mesh: perCm(49) })
    const by = (near?.time.advised ?? 0) / 100
    expect(near?.confidence).toBe('near')
    expect(near?.time.range[0]).toBeCloseTo(70 * by * 0.9)
    expect(near?.time.range[1]).toBeCloseTo(100 * by * 1.1)
    expect(rules(near?.time.reasons ?? [])).not.toContain('EXPOSE_FAR')
    const far = expose({}, { coats: 6 })
    const times = (far?.time.advised ?? 0) / 100
    expect(far?.confidence).toBe('far')
    expect(rules(far?.time.reasons ?? [])).toContain('EXPOSE_FAR')
    expect(far?.time.range[0]).toBeCloseTo(70 * times * 0.75)
    expect(far?.time.range[1]).toBeCloseTo(100 * times * 1.25)
  })
  // Common practice, no source: a work lamp makes no fine detail, and hardens only dual-cure emulsion in a useful time.
  it('a work lamp is told for fine detail, and for emulsions it does not suit', () => {
    const room = { lamps: [lamp('W', 'halogen')], tests: [] }
    const said = (fine: boolean, kind: Emulsion['kind']) =>
      rules(expose({}, { fine }, emulsion('E', kind), room)?.time.reasons ?? [])
    expect(said(false, 'dual')).toEqual(['EXPOSE_GUESS'])
    expect(said(true, 'dual')).toEqual(['EXPOSE_GUESS', 'EXPOSE_COARSE'])
    expect(said(false, 'photopolymer')).toEqual(['EXPOSE_GUESS', 'EXPOSE_UNFIT'])
  })
})

describe('a film says how it was struck', () => {
  const film = (struck: number) =>
    depositFor(
      { hitId: 'x', name: 'Red', mesh: perCm(77), strokes: 1, struck, system: 'plastisol', onFilm: false },
      FABRICS,
      {},
    )
  it('where that shows, and lays that much more', () => {
    expect(rules(film(1).reasons)).toEqual(['FILM_VOLUME', 'FILM_LAID'])
    expect(rules(film(1.1).reasons)).toEqual(['FILM_VOLUME', 'FILM_LAID', 'FILM_STRUCK'])
    expect(told(film(1.1), 'FILM_STRUCK').struck).toEqual({ kind: 'share', value: 1.1 })
    expect(film(1.1).advised / film(1).advised).toBeCloseTo(1.1, 12)
  })
})
