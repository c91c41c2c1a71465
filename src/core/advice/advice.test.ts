import { describe, expect, it } from 'vitest'
import { decideChoice, decideNumber } from './advice'
import { inputText, message, numberOf, q, settled, warnings } from './index'
import { because } from './reason'

const TABLE = {
  HOT: { says: 'Film at {film} is hot.', source: 'common practice', severity: 'Watch' },
  BROKEN: { says: 'Does not fit.', source: 'geometry', severity: 'Stop' },
  PLAIN: { says: 'Usual.', source: 'common practice' },
} as const
const reason = because(TABLE, 'HOT', { film: q('temperature', 433.15) })

describe('reasons', () => {
  it('tell in the unit the reader uses', () => {
    expect(message(reason, 'metric')).toBe('Film at 160 °C is hot.')
    expect(message(reason, 'inch')).toBe('Film at 320 °F is hot.')
  })
  it('tell one of something as one', () => {
    const counts = {
      COUNT: { says: '{n} pieces in {m} flashes, {n} is {n}.', source: 'the order' },
    } as const
    const said = (n: number, m: number) =>
      message(because(counts, 'COUNT', { n: q('count', n), m: q('count', m) }), 'metric')
    expect(said(1, 1)).toBe('1 piece in 1 flash, 1 is 1.')
    expect(said(2, 0)).toBe('2 pieces in 0 flashes, 2 is 2.')
  })
  it('cannot be made without their inputs', () => {
    expect(() => because(TABLE, 'HOT')).toThrow('film')
  })
  it('warn worst first, once each, and stay silent when they only explain', () => {
    const all = [because(TABLE, 'PLAIN'), reason, reason, because(TABLE, 'BROKEN')]
    expect(warnings(all).map((r) => r.rule)).toEqual(['BROKEN', 'HOT'])
  })
  it('say days in words, and leave alone what is none', () => {
    expect(inputText('2026-06-14', 'metric')).toBe('14 Jun 2026')
    expect(inputText('2026-02-30', 'metric')).toBe('2026-02-30')
    expect(inputText('B-2026-06-14', 'metric')).toBe('B-2026-06-14')
  })
})

describe('overrides', () => {
  const dwell = {
    key: 'flash.dwell',
    label: 'Dwell',
    kind: 'duration',
    advised: 8,
    range: [5, 10],
    reasons: [],
  } as const
  it('stand beside the advice', () => {
    const own = decideNumber(dwell, { 'flash.dwell': 9 })
    expect(own).toMatchObject({ advised: 8, chosen: 9, reasons: [] })
    expect(numberOf(own)).toBe(9)
  })
  it('outside the range raise a Watch that names the range', () => {
    const [watch] = decideNumber(dwell, { 'flash.dwell': 30 }).reasons
    expect(watch && message(watch, 'metric')).toBe('Dwell: the lead chose 30 s; advised is 5 s to 10 s.')
  })
  it.each([Number.NaN, Number.POSITIVE_INFINITY, 'warm'])('ignore %s for a number', (value) => {
    expect(settled(decideNumber(dwell, { 'flash.dwell': value }))).toBe(8)
  })
  it('an option that is gone is not used, and says so', () => {
    const press = {
      key: 'press',
      label: 'Press',
      kind: 'choice',
      advised: 'a',
      choices: [{ value: 'a', label: 'A' }],
      reasons: [],
    } as const
    const own = decideChoice(press, { press: 'sold' })
    expect(settled(own)).toBe('a')
    expect(own.reasons[0]?.rule).toBe('OVERRIDE_UNKNOWN')
    expect(settled(decideChoice(press, { press: 'a' }))).toBe('a')
  })
})
