import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isDay, isMoment, parseQuantity, readNumber, writeQuantity } from './index'

describe('a number as people write it', () => {
  it.each([
    ['1250', 1250],
    ['0,4', 0.4],
    ['0.125', 0.125],
    ['1234.567', 1234.567],
    ['1 250', 1250],
    ['1\u202f250,5', 1250.5],
    ["1'250.5", 1250.5],
    ['1,250.5', 1250.5],
    ['1.250,5', 1250.5],
    ['1,000,000', 1_000_000],
    ['−3', -3],
    ['12,34', 12.34],
  ])('%s is %d', (text, value) => {
    expect(readNumber(text)).toEqual({ ok: true, value })
  })
  it.each(['1,000', '1.000', '12.345', '-1,500'])('%s may be two numbers, so it is asked', (text) => {
    const read = readNumber(text)
    expect(read.ok).toBe(false)
    expect(!read.ok && read.message).toMatch(/may be .* or .*: type/)
  })
  it.each(['0x20', '1e3', '', 'x', '1.2.3', '1,2,3', '1,00,000', '..', '1 2', 'Infinity', 'NaN'])(
    '%s is none',
    (text) => {
      expect(readNumber(text).ok).toBe(false)
    },
  )
  it('what is counted, and what cannot be so large, tells which is meant', () => {
    expect(readNumber('2.500', { whole: true })).toEqual({ ok: true, value: 2500 })
    expect(readNumber('1.000', { whole: true }).ok).toBe(false)
    expect(readNumber('61.500', { most: 100 })).toEqual({ ok: true, value: 61.5 })
  })
  it('what a program writes plainly is read back, whatever it is (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (x) => {
        const text = x.toFixed(4)
        expect(readNumber(text)).toEqual({ ok: true, value: Number(text) })
      }),
    )
  })
})

describe('what tablets type', () => {
  it.each([
    ['½ in', 0.0127],
    ['1½"', 0.0381],
    ['1-1/2"', 0.0381],
    ['1 1/2 in', 0.0381],
    ['1 ½ in', 0.0381],
    ['12”', 0.3048],
    ['12″', 0.3048],
    ['6’ 6”', 1.9812],
    ["6'6", 1.9812],
    ['6’6', 1.9812],
    ['⅜ in', 0.009525],
    ['1 000 mm', 1],
  ])('%s is %d m', (text, value) => {
    const read = parseQuantity('length', text, 'metric')
    expect(read.ok && read.value).toBeCloseTo(value, 9)
  })
  it('a length that may be two is asked, whichever units the page shows', () => {
    for (const system of ['metric', 'inch'] as const)
      expect(parseQuantity('length', '1,000 mm', system)).toMatchObject({ ok: false })
    expect(parseQuantity('mass', '2 lb 3', 'metric').ok).toBe(false)
    expect(parseQuantity('temperature', '−5 C', 'metric')).toMatchObject({ ok: true })
  })
  it('small amounts keep a figure', () => {
    expect(writeQuantity('mass', 0.0004, 'metric')).toBe('0.4 g')
    expect(writeQuantity('mass', 0.0004, 'inch')).toBe('0.01 oz')
    expect(writeQuantity('workTime', 30, 'metric')).toBe('30 s')
    expect(writeQuantity('workTime', 0, 'metric')).toBe('0 min')
    expect(writeQuantity('mass', 0, 'metric')).toBe('0 g')
  })
})

describe('days and moments', () => {
  it('are those that there are (Gregorian calendar: leap years by 4, not 100, but 400)', () => {
    for (const day of ['2026-02-28', '2028-02-29', '2000-02-29', '2026-12-31'])
      expect(isDay(day), day).toBe(true)
    for (const day of [
      '2026-02-29',
      '2026-02-30',
      '2100-02-29',
      '2026-13-01',
      '2026-00-10',
      '2026-1-1',
      '9999-01-01',
      '',
      5,
      null,
    ])
      expect(isDay(day), String(day)).toBe(false)
    for (const at of ['2026-11-24T08:30', '2026-11-24T08:30:15.123Z', '2026-11-24T23:59+02:00'])
      expect(isMoment(at), at).toBe(true)
    for (const at of ['when', '2026-11-24', '2026-02-30T08:30', '2026-11-24T24:00', '2026-11-24 08:30'])
      expect(isMoment(at), at).toBe(false)
  })
})
