import { describe, expect, it } from 'vitest'
import { DEFAULT_METHOD } from '../advice'
import type { Press, Shop } from '../equipment'
import type { Cloth } from '../order'
import { lpi, mm, perCm } from '../quantity'
import {
  allocateFrames,
  dryFilm,
  FABRICS,
  fabricOf,
  filmFor,
  inkVolume,
  meshFor,
  offContactFor,
  openArea,
  opening,
  wetDeposit,
} from './index'

const HELD = [43, 61, 77, 90, 120].map(perCm)
const need = (use: Parameters<typeof meshFor>[0]['use'], extra = {}) => ({
  hitId: 'x',
  name: 'Red',
  use,
  waterBased: false,
  ...extra,
})
const mesh = (use: Parameters<typeof meshFor>[0]['use'], method = {}, extra = {}, held = HELD) =>
  meshFor(need(use, extra), { ...DEFAULT_METHOD, ...method }, held, {})
const count = (use: Parameters<typeof meshFor>[0]['use'], method = {}, extra = {}) =>
  Math.round(mesh(use, method, extra).advised / 100)

describe('fabric geometry', () => {
  // Published: standard fabric makers' relations; the figures are worked by hand for 90 T/cm, 48 um, 76 um.
  it('90 T/cm: opening 63.1 um, open area 32.3 %, ink volume 24.5 cm3/m2', () => {
    const f = fabricOf(perCm(90))
    expect(opening(f) * 1e6).toBeCloseTo(63.1, 1)
    expect(openArea(f) * 100).toBeCloseTo(32.3, 1)
    expect(inkVolume(f) * 1e6).toBeCloseTo(24.5, 1)
  })
  it('thread and opening make up the pitch on every fabric', () => {
    for (const f of FABRICS) expect(opening(f) + f.thread).toBeCloseTo(1 / f.count, 12)
  })
  it('coarse mesh, more strokes and an earlier film lay more; water leaves', () => {
    expect(wetDeposit(perCm(43), 1)).toBeGreaterThan(wetDeposit(perCm(90), 1))
    expect(wetDeposit(perCm(43), 2)).toBeGreaterThan(wetDeposit(perCm(43), 1))
    expect(dryFilm(perCm(43), 1, 'plastisol', true)).toBeGreaterThan(
      dryFilm(perCm(43), 1, 'plastisol', false),
    )
    expect(dryFilm(perCm(43), 1, 'plastisol', false) * 1e6).toBeCloseTo(28.5, 0)
    expect(dryFilm(perCm(43), 1, 'waterBased', false) * 1e6).toBeCloseTo(8.7, 0)
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
    expect(count('base', {}, { waterBased: true })).toBe(43)
  })
  it('the base follows the school', () => {
    expect(count('base')).toBe(61)
    expect(count('base', { baseMesh: 'fine' })).toBe(77)
  })
  it('the ruling raises it by school: 60 lpi wants 270 or 210 tpi', () => {
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
const shop = (...frames: ReturnType<typeof frame>[]) => ({ frames }) as unknown as Shop

describe('frames', () => {
  const stock = shop(
    frame('F1', 90, 24),
    frame('F2', 90, 25),
    frame('F3', 90, 18, 'tension'),
    frame('F4', 43, 19),
  )
  it('takes clean frames, tightest first', () => {
    const { frames, reasons } = allocateFrames(stock, [perCm(90), perCm(90)], 0.28, 0.35)
    expect(frames.map((f) => f?.id)).toEqual(['F2', 'F1'])
    expect(reasons.map((r) => r.rule)).toEqual(['TENSION_BEST'])
  })
  it('says when frames are too few, too small, or unlike in tension', () => {
    const short = allocateFrames(stock, [perCm(90), perCm(90), perCm(90)], 0.45, 0.35)
    expect(short.frames[2]).toBeUndefined()
    expect(short.reasons.map((r) => r.rule)).toEqual(['FRAMES_SHORT', 'FRAME_SMALL'])
    expect(allocateFrames(stock, [perCm(90), perCm(43)], 0.2, 0.2).reasons.map((r) => r.rule)).toEqual([
      'TENSION_SPREAD',
    ])
  })
})

// Common practice, no source: 1/8 in by hand, 1/16 in on an automatic, more on fleece.
it('off-contact by press, school and cloth', () => {
  const tee = { weave: 'jersey' } as Cloth
  const at = (kind: Press['kind'], cloth = tee, method = {}) =>
    offContactFor({ kind } as Press, cloth, { ...DEFAULT_METHOD, ...method }, {}).advised * 1000
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
    system: 'plastisol' as const,
    onFilm: false,
  }
  it('is tuned to 28.5 µm through 43 T/cm, with the range of the transfer', () => {
    const film = filmFor(need, {})
    expect(film.advised * 1e6).toBeCloseTo(28.5, 0)
    expect(film.range[0] / film.advised).toBeCloseTo(5 / 6)
    expect(film.range[1] / film.advised).toBeCloseTo(1.25)
  })
  it('can be replaced by what the shop measured', () => {
    expect(filmFor(need, { 'film.x': 33e-6 })).toMatchObject({ chosen: 33e-6, reasons: [{}, {}] })
    expect(filmFor(need, { 'film.x': 90e-6 }).reasons.at(-1)?.rule).toBe('OVERRIDE_RANGE')
  })
})
