import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BANDS, labOf, labOfHex, layered } from '../color'
import { type BaseInk, type InkRoom, STARTER_RACK, USUAL_INK_ROOM } from '../equipment'
import { mendingFor } from './correct'
import { type Batch, type Can, colourOn, mixed, mixInk, partsOf, SMEAR, withAdditives } from './index'
import { colourOfBatch, mixPlanFor, servingFor, tubsNear, verdictOf, type WantedInk } from './serve'

const TEAL: WantedInk = { name: 'Tern teal', hex: '#2f8f8a', system: 'plastisol', mass: 0.5, expands: false }
const TARGET = labOfHex(TEAL.hex)
const ROOM: InkRoom = { ...USUAL_INK_ROOM, rack: STARTER_RACK, formulas: [] }
const formula = {
  id: 'F1',
  name: 'tern TEAL',
  system: 'plastisol',
  target: TARGET,
  parts: [
    { code: 'W1', share: 0.6 },
    { code: 'B2', share: 0.4 },
  ],
}
/** A grey of any lightness: what a drawdown of a tub is read as. */
const grey = (share: number) => BANDS.map(() => share)
const tub = (id: string, read: number | undefined, change: Partial<Batch> = {}): Batch => ({
  id,
  name: 'Tern teal',
  system: 'plastisol',
  target: TARGET,
  runId: '',
  hitId: '',
  wanted: 1,
  begun: '2026-11-20T08:00',
  mixed: '2026-11-20T09:00',
  expires: undefined,
  state: 'accepted',
  parts: formula.parts,
  poured: {},
  mass: 1,
  drawdowns:
    read === undefined
      ? []
      : [
          {
            at: '2026-11-20T10:00',
            onWhite: grey(read),
            onBlack: grey(read),
            difference: 1,
            verdict: 'accepted',
            who: 'the lead',
          },
        ],
  ...change,
})
const asGrey = (share: number): WantedInk => ({ ...TEAL, name: 'Grey', hex: hexOfGrey(share) })
/** sRGB of an even grey (IEC 61966-2-1). */
function hexOfGrey(share: number): `#${string}` {
  const code = share <= 0.0031308 ? 12.92 * share : 1.055 * share ** (1 / 2.4) - 0.055
  const two = Math.round(code * 255)
    .toString(16)
    .padStart(2, '0')
  return `#${two}${two}${two}`
}
const can = (code: string, mass: number): Can => ({
  id: `C-${code}`,
  code,
  lot: 'L1',
  received: '2026-11-01',
  opened: undefined,
  mass,
})

describe('where ink for a screen comes from', () => {
  it('a tub that was read as the colour comes first, the nearest of several', () => {
    const tubs = [tub('B-0001', 0.31), tub('B-0002', 0.3), tub('B-0003', 0.9), tub('B-0004', undefined)]
    const served = servingFor(asGrey(0.3), ROOM, [], tubs)
    expect(served).toMatchObject({ from: 'tub', tub: { id: 'B-0002' }, enough: true })
    expect(tubsNear(tubs, labOf(grey(0.3)), 'plastisol', ROOM.limits).map((t) => t.tub.id)).toEqual([
      'B-0002',
      'B-0001',
    ])
  })
  it('a tub of another system, or one never read, is none', () => {
    const tubs = [tub('B-0001', 0.3, { system: 'waterBased' }), tub('B-0002', undefined)]
    expect(servingFor(asGrey(0.3), ROOM, [], tubs).from).not.toBe('tub')
  })
  it('a tub that holds too little says so', () =>
    expect(servingFor(asGrey(0.3), ROOM, [], [tub('B-0001', 0.3, { mass: 0.2 })])).toMatchObject({
      from: 'tub',
      enough: false,
    }))
  it('an ink of the rack that is the colour needs no mixing; all its cans count', () => {
    const [white] = STARTER_RACK.filter((i) => i.code === 'W1')
    if (!white) throw new Error('no white')
    const want: WantedInk = { ...TEAL, name: 'White', hex: '#ffffff', mass: 0.5 }
    const room = { ...ROOM, limits: { ...ROOM.limits, accept: 8, again: 9 } }
    const served = servingFor(want, room, [can('W1', 0.2), can('W1', 0.4), can('K1', 9)], [])
    expect(served).toMatchObject({ from: 'can', ink: { code: 'W1' }, enough: true })
    expect(served.from === 'can' && served.mass).toBeCloseTo(0.6)
  })
  it('else it is mixed by the formula of its name, in the same system', () => {
    const room = { ...ROOM, formulas: [formula] }
    expect(servingFor(TEAL, room, [], []).from).toBe('mix')
    expect(mixPlanFor(TEAL, room)).toEqual({ formula, parts: formula.parts, ready: true })
    expect(mixPlanFor({ ...TEAL, system: 'waterBased' }, room)).toBeUndefined()
    expect(servingFor({ ...TEAL, name: 'Other' }, room, [], []).from).toBe('nowhere')
  })
  it('a formula with an ink that is not on the rack is not ready', () =>
    expect(
      mixPlanFor(TEAL, { ...ROOM, formulas: [formula], rack: STARTER_RACK.filter((i) => i.code !== 'B2') }),
    ).toMatchObject({ ready: false }))
  it('what is to rise takes what makes it rise along', () => {
    const puff: BaseInk = {
      code: 'PF',
      name: 'Puff',
      system: 'plastisol',
      cost: 20,
      density: 1100,
      characterisation: { how: 'additive', does: 'expands' },
    }
    const room = { ...ROOM, formulas: [formula], rack: [...STARTER_RACK, puff] }
    const risen = mixPlanFor({ ...TEAL, expands: true }, room)
    const added = risen?.parts.filter((p) => !formula.parts.some((f) => f.code === p.code)) ?? []
    expect(added).toHaveLength(1)
    expect(risen?.parts).toEqual(withAdditives(formula.parts, added))
  })
  it('more tubs never serve worse (property)', () => {
    const tubs = fc.array(
      fc.tuple(fc.double({ min: 0.05, max: 0.9, noNaN: true }), fc.double({ min: 0, max: 2, noNaN: true })),
      {
        maxLength: 6,
      },
    )
    fc.assert(
      fc.property(tubs, fc.double({ min: 0.05, max: 0.9, noNaN: true }), (list, share) => {
        const all = list.map(([read, mass], i) => tub(`B-${i}`, read, { mass }))
        const off = (some: readonly Batch[]) => {
          const served = servingFor(asGrey(share), ROOM, [], some)
          return served.from === 'tub' ? served.off : Number.POSITIVE_INFINITY
        }
        for (let n = 1; n <= all.length; n++)
          expect(off(all.slice(0, n))).toBeLessThanOrEqual(off(all.slice(0, n - 1)))
      }),
    )
  })
})

it('a batch looks as it was read last, else as it was meant', () => {
  expect(colourOfBatch(tub('B-1', undefined))).toEqual(TARGET)
  expect(colourOfBatch(tub('B-1', 0.5)).l).toBeCloseTo(labOf(grey(0.5)).l, 9)
})

it('a reading is judged by both limits, and each belongs to the better side', () => {
  const limits = { accept: 2, again: 3 }
  expect([0, 2, 2.01, 3, 3.01].map((off) => verdictOf(off, limits))).toEqual([
    { accepted: true, word: 'within what is accepted' },
    { accepted: true, word: 'within what is accepted' },
    { accepted: false, word: 'look again', severity: 'Watch' },
    { accepted: false, word: 'look again', severity: 'Watch' },
    { accepted: false, word: 'mend it or make it anew', severity: 'Stop' },
  ])
})

describe('mending a batch', () => {
  const parts = [
    { code: 'W1', share: 0.7 },
    { code: 'B2', share: 0.3 },
  ]
  const meant = mixed(partsOf(parts, STARTER_RACK) ?? [])
  const target = colourOn(meant, SMEAR)
  it('adds what is missing: the white that was forgotten', () => {
    const poured = { W1: 0.4, B2: 0.3 }
    const inks = Object.entries(poured).map(([code, mass]) => ({
      mass,
      of: mixInk(STARTER_RACK.find((i) => i.code === code)!),
    }))
    const onWhite = layered([{ optics: mixed(inks), thickness: SMEAR.film }], SMEAR.ground)
    const batch = tub('B-1', 0.5, { target, parts, poured, mass: 0.7 })
    const drawn = { ...batch.drawdowns[0]!, onWhite }
    const found = mendingFor({ ...batch, drawdowns: [drawn] }, STARTER_RACK)
    expect(Object.keys(found?.add ?? {})).toContain('W1')
    expect(found?.add.W1).toBeGreaterThan(0.1)
    expect(found?.difference).toBeLessThan(1.5)
  })
  it('is not asked before the first drawdown', () =>
    expect(mendingFor(tub('B-1', undefined), STARTER_RACK)).toBeUndefined())
})
