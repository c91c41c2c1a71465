import { describe, expect, it } from 'vitest'
import {
  celsius,
  degrees,
  grams,
  gsm,
  isDay,
  isMoment,
  lpi,
  micron,
  minutes,
  mm,
  otherUnit,
  parseClock,
  parseQuantity,
  perCm,
  percent,
  readNumber,
  seconds,
  showQuantity,
  writeQuantity,
} from './index'

// Published: the international inch of 25.4 mm, 0 °C of 273.15 K, sixty seconds a minute; the rest follows.
it('units of the trade in SI', () => {
  expect(mm(25.4)).toBeCloseTo(0.0254, 12)
  expect(micron(40)).toBeCloseTo(0.00004, 12)
  expect(celsius(0)).toBe(273.15)
  expect(celsius(100)).toBeCloseTo(373.15, 10)
  expect(gsm(180)).toBeCloseTo(0.18, 12)
  expect(grams(600)).toBeCloseTo(0.6, 12)
  expect(seconds(7)).toBe(7)
  expect(minutes(1.5)).toBe(90)
  expect(perCm(77)).toBe(7700)
  expect(lpi(25.4)).toBeCloseTo(1000, 9)
  expect(degrees(180)).toBeCloseTo(Math.PI, 12)
  expect(percent(5)).toBe(0.05)
})

describe('days and times at their edges', () => {
  it.each(['2026-11-28', '2024-02-29', '2000-02-29', '1990-01-01', '2199-12-31'])('%s is a day', (day) =>
    expect(isDay(day)).toBe(true),
  )
  // Published: the Gregorian calendar; 1900 and 2100 are no leap years.
  it.each([
    '2026-02-29',
    '2100-02-29',
    '2026-04-31',
    '2026-00-10',
    '2026-13-01',
    '2026-01-00',
    '1989-12-31',
    '2200-01-01',
  ])('%s is none', (day) => expect(isDay(day)).toBe(false))
  it.each([
    'x2026-11-28',
    '2026-11-28x',
    '2026-11-28 ',
    '26-11-28',
    '2026-1-1',
    '',
    20261128,
    null,
    undefined,
  ])('%j is none', (day) => expect(isDay(day as string)).toBe(false))
  it.each(['2026-11-24T08:30', '2026-11-24T23:59:59', '2026-11-24T00:00:00.123Z', '2026-11-24T08:30+01:00'])(
    '%s is a moment',
    (at) => expect(isMoment(at)).toBe(true),
  )
  it.each([
    '2026-11-24T24:00',
    '2026-11-24T08:60',
    '2026-11-24Tx08:30',
    '2026-11-24T08:30x',
    '2026-02-30T08:30',
    'T08:30',
    'when',
    20,
    null,
  ])('%j is none', (at) => expect(isMoment(at as string)).toBe(false))
})

describe('numbers at their edges', () => {
  const read = (typed: string, how = {}) => {
    const found = readNumber(typed, how)
    return found.ok ? found.value : undefined
  }
  it.each([
    ['  12 ', 12],
    ['- 3', -3],
    ['+4', 4],
    ['1 250', 1250],
    ['12 250', 12_250],
    ['125 250', 125_250],
    ['1 250 000', 1_250_000],
    ["1'250'000,5", 1_250_000.5],
    ['1.250.000', 1_250_000],
    ['1,250,000.25', 1_250_000.25],
    ['0.001', 0.001],
    ['12.3456', 12.3456],
  ])('%j is %d', (typed, value) => expect(read(typed)).toBe(value))
  it.each([
    '',
    '-',
    '1 25',
    '12 34',
    'x1.5',
    '1.5x',
    '1.2,3.4',
    '1,2,3',
    '1.23.456,7',
    '5-3',
    '1..2',
    '1234,567,890',
  ])('%j is none', (typed) => expect(read(typed)).toBeUndefined())
  it('what may be two is asked, unless one is out of reach', () => {
    expect(read('1.250')).toBeUndefined()
    expect(read('1.250', { most: 100 })).toBe(1.25)
    expect(read('1.250', { most: 1249 })).toBe(1.25)
    // Both are in reach: 1250 is just allowed.
    expect(read('1.250', { most: 1250 })).toBeUndefined()
    expect(read('2.500', { whole: true })).toBe(2500)
    expect(read('2.000', { whole: true })).toBeUndefined()
  })
})

describe('quantities at their edges', () => {
  const si = (
    kind: Parameters<typeof parseQuantity>[0],
    typed: string,
    system: 'metric' | 'inch' = 'metric',
  ) => {
    const found = parseQuantity(kind, typed, system)
    return found.ok ? found.value : undefined
  }
  it.each([
    ['12½"', 0.3175],
    ['½"', 0.0127],
    ['1-1/2"', 0.0381],
    ['1 11/16"', 0.0428625],
    ["6' 6", 1.9812],
    ['6\'6"', 1.9812],
    ['6 ft 6', 1.9812],
    ['1 m 5 cm', 1.05],
  ])('%s is %d m', (typed, value) => expect(si('length', typed)).toBeCloseTo(value, 7))
  it.each([
    "6' 7'",
    '3 in 4 ft',
    "6' -6",
    '5 mm 5 mm',
    '1/2/3"',
    '1/0"',
    'x12 mm',
    `${'1'.repeat(70)} mm`,
    '',
  ])('%j is no length', (typed) => expect(si('length', typed)).toBeUndefined())
  it('a minus goes before the whole and its fraction', () => {
    expect(si('turn', '-1 1/2°')).toBeCloseTo((-1.5 * Math.PI) / 180, 9)
    expect(si('turn', '-1/2°')).toBeCloseTo((-0.5 * Math.PI) / 180, 9)
  })
  it('only kinds that are told in two units are read in two', () => {
    expect(si('mass', '2 lb 3 oz')).toBeCloseTo(0.99223, 4)
    expect(si('temperature', '20 C 5 C')).toBeUndefined()
  })
  it.each([
    ['length', 0, 'inch', '0 in'],
    ['length', 0.0254 / 64, 'inch', '1/64 in'],
    ['length', 0.0254, 'inch', '1 in'],
    ['length', 0.0254 * 1.04, 'inch', '1 1/16 in'],
    ['length', 0.0254 * 2.125, 'inch', '2 1/8 in'],
    ['length', 0.0254 * 3, 'inch', '3 in'],
    ['length', 0.0254 * 0.9375, 'inch', '15/16 in'],
    ['mass', 0.0004, 'metric', '0.4 g'],
    ['mass', 0.001, 'metric', '1 g'],
    ['mass', 1.2, 'metric', '1200 g'],
    ['temperature', 273.15 + 0.3, 'metric', '0 °C'],
    ['temperature', 273.15 - 0.2, 'metric', '0 °C'],
    ['density', 1005, 'metric', '1 g/ml'],
    ['density', 1250, 'metric', '1.25 g/ml'],
    ['fineArea', 0.00064516, 'inch', '1 in²'],
    ['fineArea', 0.00064516 * 0.1234, 'inch', '0.1234 in²'],
    ['workTime', 0.4, 'metric', '0.4 s'],
    ['workTime', 1, 'metric', '1 s'],
    ['workTime', 45.4, 'metric', '45 s'],
    ['workTime', 60, 'metric', '1 min'],
    ['workTime', 300 * 60, 'metric', '5 h'],
    ['workTime', 299.4 * 60, 'metric', '299 min'],
  ] as const)('%s %d in %s is written %s', (kind, value, system, text) =>
    expect(writeQuantity(kind, value, system)).toBe(text),
  )
  it('a unit may be given with its degree sign or without', () => {
    for (const typed of ['160 °C', '160 C', '160c', '160 celsius'])
      expect(si('temperature', typed)).toBeCloseTo(433.15, 9)
  })
  it('the other unit is the one not chosen', () => {
    expect(otherUnit('meshCount', 7700, 'metric')).toEqual({ number: '195', unit: 'tpi' })
    expect(otherUnit('meshCount', 7700, 'inch')).toEqual({ number: '77', unit: 'T/cm' })
    expect(showQuantity('meshCount', 7700, 'inch').unit).toBe('tpi')
  })
})

it.each(['x8:00', '8:00x', '8:00 amx', '13:00 pm', '8:0', '8:60', '24:00'])('%j is no time of day', (text) =>
  expect(parseClock(text)).toBeUndefined(),
)
it('a time of day may stand in blanks', () => expect(parseClock(' 8:00 ')).toBe(28_800))
