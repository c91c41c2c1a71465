import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD, message, type Reason } from '../advice'
import { beatOf, moireRisk } from '../artwork'
import { FABRICS, type Press, type Shop, USUAL_SCREENS } from '../equipment'
import type { Cloth } from '../order'
import { degrees, lpi, micron, mm, perCm } from '../quantity'
import {
  allocateFrames,
  depositFor,
  dryFilm,
  fabricOf,
  inkVolume,
  meshFor,
  offContactFor,
  openArea,
  opening,
  stencilWords,
  wetDeposit,
} from './index'

const HELD = [43, 61, 77, 90, 120].map(perCm)
const need = (use: Parameters<typeof meshFor>[0]['use'], extra = {}) => ({
  hitId: 'x',
  name: 'Red',
  use,
  driesInScreen: false,
  system: 'plastisol' as const,
  onFilm: false,
  ...extra,
})
const mesh = (use: Parameters<typeof meshFor>[0]['use'], method = {}, extra = {}, held = HELD) =>
  meshFor(need(use, extra), { ...DEFAULT_METHOD, ...method }, held, FABRICS, {})
const count = (use: Parameters<typeof meshFor>[0]['use'], method = {}, extra = {}) =>
  Math.round(mesh(use, method, extra).advised / 100)

describe('fabric geometry', () => {
  // Published: standard fabric makers' relations; the figures are worked by hand for 90 T/cm, 48 um, 76 um.
  it('90 T/cm: opening 63.1 um, open area 32.3 %, ink volume 24.5 cm3/m2', () => {
    const f = fabricOf(FABRICS, perCm(90))
    expect(opening(f) * 1e6).toBeCloseTo(63.1, 1)
    expect(openArea(f) * 100).toBeCloseTo(32.3, 1)
    expect(inkVolume(f) * 1e6).toBeCloseTo(24.5, 1)
  })
  it('thread and opening make up the pitch on every fabric', () => {
    for (const f of FABRICS) expect(opening(f) + f.thread).toBeCloseTo(1 / f.count, 12)
  })
  it('coarse mesh, more strokes and an earlier film lay more; water leaves', () => {
    expect(wetDeposit(fabricOf(FABRICS, perCm(43)), 1)).toBeGreaterThan(
      wetDeposit(fabricOf(FABRICS, perCm(90)), 1),
    )
    expect(wetDeposit(fabricOf(FABRICS, perCm(43)), 2)).toBeGreaterThan(
      wetDeposit(fabricOf(FABRICS, perCm(43)), 1),
    )
    expect(dryFilm(fabricOf(FABRICS, perCm(43)), 1, 'plastisol', true)).toBeGreaterThan(
      dryFilm(fabricOf(FABRICS, perCm(43)), 1, 'plastisol', false),
    )
    // A second stroke adds a quarter (common practice, no source), whatever the mesh.
    for (const m of [43, 61, 90, 120])
      expect(
        wetDeposit(fabricOf(FABRICS, perCm(m)), 2) / wetDeposit(fabricOf(FABRICS, perCm(m)), 1),
      ).toBeCloseTo(1.25, 6)
    expect(dryFilm(fabricOf(FABRICS, perCm(43)), 1, 'plastisol', false) * 1e6).toBeCloseTo(28.5, 0)
    expect(dryFilm(fabricOf(FABRICS, perCm(43)), 1, 'waterBased', false) * 1e6).toBeCloseTo(8.7, 0)
  })
})

// Common practice, no source: the table of uses.
describe('mesh by use', () => {
  it('is coarse where ink must be thick, fine where dots must hold', () => {
    expect(count('expanding')).toBe(43)
    expect(count('metallic')).toBe(43)
    expect(count('oneHit')).toBe(43)
    expect(count('spot')).toBe(77)
    expect(count('highlight')).toBe(90)
    expect(count('process')).toBe(120)
    expect(count('base', {}, { driesInScreen: true })).toBe(43)
  })
  it('the base follows the practice', () => {
    expect(count('base')).toBe(61)
    expect(count('base', { baseMesh: 'fine' })).toBe(77)
  })
  it('the ruling raises it by practice: 60 lpi wants 270 or 210 tpi', () => {
    expect(count('halftone', {}, { ruling: lpi(60) })).toBe(120)
    expect(count('halftone', { ruling: 'lean' }, { ruling: lpi(60) })).toBe(90)
  })
  it('warns when no frame has it', () => {
    const advice = mesh('process', {}, {}, [perCm(43)])
    expect(advice.advised).toBe(perCm(43))
    expect(advice.reasons.map((r) => r.rule)).toContain('MESH_NOT_HELD')
  })
})

const frame = (id: string, meshCount: number, tension: number, state: 'clean' | 'tension' = 'clean') => ({
  id,
  width: mm(580),
  height: mm(790),
  mesh: perCm(meshCount),
  tension: tension * 100,
  state,
})
const shop = (...frames: readonly object[]) => ({ frames, screens: USUAL_SCREENS }) as unknown as Shop
const job = (width = 0.28) => ({
  orderId: 'O-1',
  print: 'P1',
  words: 'Ferry club, star',
  width,
  height: 0.35,
})
const wants = (...meshes: readonly number[]) =>
  meshes.map((m, i) => ({ hitId: `I${i + 1}`, name: `Colour ${i + 1}`, mesh: perCm(m) }))
const stencil = (order: string, hit: string, words = 'Other, job: Red') => ({
  stencil: { order, print: 'P1', hit, words, emulsionId: 'dual', coats: 2, done: [] },
})

describe('frames', () => {
  const stock = shop(
    frame('F1', 90, 24),
    frame('F2', 90, 25),
    frame('F3', 90, 18, 'tension'),
    frame('F4', 43, 19),
    frame('F5', 90, 31),
  )
  const told = (s: Shop, meshes: readonly number[], width?: number) => {
    const { frames, reasons } = allocateFrames(s, job(width), wants(...meshes))
    return { frames: frames.map((f) => f?.id), rules: reasons.map((r) => r.rule) }
  }
  it('takes clean frames that lie closest in tension, though one alone is tighter', () => {
    expect(told(stock, [90, 90])).toEqual({ frames: ['F2', 'F1'], rules: ['TENSION_BEST'] })
  })
  it('says when frames are too few, too small, or unlike in tension', () => {
    const short = told(stock, [90, 90, 90, 90], 0.45)
    expect(short.frames[3]).toBeUndefined()
    expect(short.rules).toEqual(['FRAMES_SHORT', 'FRAME_SMALL', 'TENSION_SPREAD'])
    // F4 reads 19 N/cm, under the range that frames work at.
    expect(told(stock, [90, 43]).rules).toEqual(['FRAME_SLACK', 'TENSION_SPREAD'])
    const one = (tension: number) => told(shop(frame('F1', 90, tension)), [90]).rules
    expect(one(20)).toEqual(['TENSION_BEST'])
    expect(one(19.9)).toEqual(['FRAME_SLACK'])
    expect(one(14.9)).toEqual(['FRAME_SLACK_FAR'])
    expect(one(36)).toEqual(['FRAME_TIGHT'])
  })
  it('takes the frame that carries this very stencil, though it is not clean', () => {
    const own = shop(frame('F1', 90, 25), { ...frame('F9', 77, 25), ...stencil('O-1', 'I1') })
    expect(told(own, [90, 90])).toEqual({ frames: ['F9', 'F1'], rules: ['FRAME_CARRIES'] })
  })
  it('leaves frames with the stencils of other jobs alone and says whose they are', () => {
    const held = shop(frame('F1', 90, 25), { ...frame('F2', 90, 25), ...stencil('O-2', 'I1') })
    expect(told(held, [90, 90])).toEqual({ frames: ['F1', undefined], rules: ['FRAMES_SHORT', 'FRAME_HELD'] })
    const { reasons } = allocateFrames(held, job(), wants(90, 90))
    expect(message(reasons[1] as Reason, 'metric')).toBe(
      'F2 with 90 T/cm carries stencils of other jobs: Other, job.',
    )
  })
  it('knows the old stencil of the same customer, job and colour', () => {
    const old = shop(frame('F1', 90, 25), {
      ...frame('F2', 90, 25),
      ...stencil('O-0', 'I7', stencilWords(job().words, 'Colour 1')),
    })
    expect(told(old, [90])).toEqual({ frames: ['F1'], rules: ['FRAME_OLD'] })
  })
})

// Common practice, no source: 1/8 in by hand, 1/16 in on an automatic, more on fleece.
it('off-contact by press, practice and cloth', () => {
  const tee = { weave: 'jersey' } as Cloth
  const usual = { thin: false, highSolids: false }
  const at = (kind: Press['kind'], cloth = tee, method = {}, screens = usual) =>
    offContactFor({ kind } as Press, cloth, { ...DEFAULT_METHOD, ...method }, [], screens, {}).advised * 1000
  // A thin stencil wants about 1.35 mm, whatever the shop's school (common practice).
  expect(at('manual', tee, {}, { ...usual, thin: true })).toBeCloseTo(1.35)
  const stiff = { ...usual, highSolids: true }
  expect(at('automatic', tee, { highSolids: 'layered' }, stiff)).toBeCloseTo(3.2)
  expect(at('automatic', tee, {}, stiff)).toBeCloseTo(1.6)
  expect(at('automatic', tee, { highSolids: 'layered' })).toBeCloseTo(1.6)
  expect(at('manual')).toBeCloseTo(3.2)
  expect(at('automatic')).toBeCloseTo(1.6)
  expect(at('manual', { weave: 'fleece' } as Cloth)).toBeCloseTo(4.2)
  expect(at('manual', tee, { offContact: 'low' })).toBeCloseTo(1.35)
})

describe('dry film', () => {
  const need = {
    hitId: 'x',
    name: 'Red',
    mesh: perCm(43),
    strokes: 1,
    struck: 1,
    system: 'plastisol' as const,
    onFilm: false,
  }
  it('is tuned to 28.5 µm through 43 T/cm, with the range of the transfer', () => {
    const film = depositFor(need, FABRICS, {})
    expect(film.advised * 1e6).toBeCloseTo(28.5, 0)
    expect(film.range[0] / film.advised).toBeCloseTo(5 / 6)
    expect(film.range[1] / film.advised).toBeCloseTo(1.25)
  })
  it('can be replaced by what the shop measured', () => {
    expect(depositFor(need, FABRICS, { 'deposit.x': 33e-6 })).toMatchObject({
      chosen: 33e-6,
      reasons: [{}, {}],
    })
    expect(depositFor(need, FABRICS, { 'deposit.x': 90e-6 }).reasons.at(-1)?.rule).toBe('OVERRIDE_RANGE')
  })
})

describe('mesh from what is drawn', () => {
  const rules = (use: Parameters<typeof meshFor>[0]['use'], extra: object) =>
    mesh(use, {}, extra).reasons.map((r) => r.rule)
  it('a thin line asks for a finer mesh, a thick one for nothing', () => {
    expect(count('spot', {}, { line: mm(0.22) })).toBe(90)
    expect(count('spot', {}, { line: mm(0.5) })).toBe(77)
    expect(rules('spot', { line: mm(0.22) })).toContain('MESH_LINE')
    expect(rules('spot', { line: mm(0.5) })).not.toContain('MESH_LINE')
    expect(rules('metallic', { line: mm(0.1) })).not.toContain('MESH_LINE')
  })
  // Common practice, no source: an opening passes a third to a quarter of its width.
  it.each([
    [micron(40), 43],
    [micron(55), 34],
  ])('flakes of %s m pass openings of three times that', (particle, most) => {
    const advice = mesh('metallic', {}, { particle }, [24, 34, 43, 61].map(perCm))
    expect(Math.round(advice.advised / 100)).toBe(most)
    const tabled = fabricOf(FABRICS, perCm(most))
    expect(opening(tabled)).toBeGreaterThanOrEqual(3 * particle)
  })
  it('is at least 4.5 times the ruling, 3.5 in the lean practice: the range of the advice, whatever is mounted', () => {
    const least = (practice: 'four' | 'lean', ruling: number) =>
      meshFor(
        need('halftone', { ruling: lpi(ruling), angle: degrees(22.5) }),
        { ...DEFAULT_METHOD, ruling: practice },
        [],
        FABRICS,
        {},
      ).range[0]
    for (const ruling of [55, 65, 75]) {
      expect(least('four', ruling) / lpi(ruling)).toBeCloseTo(4.5, 6)
      expect(least('lean', ruling)).toBeLessThan(least('four', ruling))
    }
    expect(least('lean', 75) / lpi(75)).toBeCloseTo(3.5, 6)
  })
  it('keeps clear of moire where another mesh in range does, and says so where none does', () => {
    const extra = { ruling: lpi(55), angle: degrees(45) }
    const free = mesh('halftone', {}, extra)
    expect(free.reasons.map((r) => r.rule)).toContain('MESH_CLEAR')
    const bad = [...HELD, 100, 110].map((m) => ({
      m,
      risk: moireRisk(beatOf(extra.ruling, extra.angle, perCm(m))),
    }))
    expect(bad.find((b) => b.m === free.advised / 100)?.risk ?? 'none').toBe('none')
    // The published pair of the model: 61 T/cm, 55 lpi at 45 degrees beats every 40.7 mm.
    const only = meshFor(need('spot', extra), DEFAULT_METHOD, [perCm(61)], FABRICS, { 'mesh.x': perCm(61) })
    expect(message(only.reasons.find((r) => r.rule.startsWith('MESH_MOIRE')) as Reason, 'metric')).toContain(
      '40.7',
    )
  })
  it('takes the mesh in range that leaves the film wanted', () => {
    expect(count('spot', {}, { deposit: micron(13) })).toBe(90)
    expect(count('spot', {}, { deposit: micron(30) })).toBe(61)
    expect(rules('spot', { deposit: micron(13) })).toContain('MESH_WANTED')
    expect(rules('spot', {})).not.toContain('MESH_WANTED')
  })
})
