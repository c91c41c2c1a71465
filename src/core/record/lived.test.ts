import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { alarmsOf, IDLE, rings } from './alarms'
import { type PressEvent, READINGS, type Said, type Stated } from './event'
import { fold } from './fold'
import { isPaused, isUnderWay, minutesOf, throughOverTime } from './minutes'
import { eventSchema } from './schema'
import { countedTwice, pressValues } from './values'
import { sayEvent } from './words'

const START = Date.parse('2026-11-30T08:00:00.000Z')
let made = 0
/** Something said so many minutes after eight. */
const at = (minute: number, said: Said, pad = 'A'): PressEvent =>
  ({
    ...{ id: `event-${`${++made}`.padStart(12, '0')}`, pad, seq: made },
    at: new Date(START + minute * 60_000).toISOString(),
    ...said,
  }) as PressEvent
const count = (n: number, size = 'M'): Said => ({ kind: 'count', line: 'G1', size, n })
const said = (...events: readonly PressEvent[]): readonly Stated[] => fold(events).said
const min = (n: number) => n * 60

describe('where the time of a run went', () => {
  const run = [
    at(0, { kind: 'start' }),
    at(30, count(10)),
    at(35, count(10)),
    at(36, { kind: 'pause', cause: 'rest' }),
    at(51, { kind: 'go' }),
    at(55, count(10)),
    at(56, { kind: 'stop' }),
  ]
  it('set-up, printing and pauses apart; the first count was printed before it was told', () => {
    // 20 pieces in 10 min of printing between the first count and the last: 10 before it took 5 min.
    const m = minutesOf(said(...run))
    expect([m.setup, m.printing, m.paused, m.pieces]).toEqual([min(25), min(15), min(15), 30])
    expect([...m.pauses]).toEqual([['rest', min(15)]])
  })
  it('an open pause lasts to the stop, another cause ends the first; a pause after the stop is none', () => {
    const open = said(
      at(0, { kind: 'start' }),
      at(1, { kind: 'pause', cause: 'ink' }),
      at(3, { kind: 'pause', cause: 'screen' }),
      at(10, { kind: 'stop' }),
    )
    expect(Object.fromEntries(minutesOf(open).pauses)).toEqual({ ink: min(2), screen: min(7) })
  })
  it('without a start no set-up is told, and without two counts no pace', () => {
    expect(minutesOf(said(at(5, count(3)))).setup).toBeUndefined()
    expect(minutesOf(said(at(5, count(3)))).printing).toBe(0)
    expect(minutesOf([])).toMatchObject({ pieces: 0, printing: undefined, setup: undefined, paused: 0 })
  })
  it('a long while without a count and without a pause is told; with one it is not', () => {
    const steady = Array.from({ length: 9 }, (_, i) => at(i, count(2)))
    expect(minutesOf(said(...steady, at(30, count(2)))).gaps).toEqual([
      { from: START / 1000 + min(8), length: min(22) },
    ])
    const noted = [at(9, { kind: 'pause', cause: 'garments' }), at(29, { kind: 'go' })]
    expect(minutesOf(said(...steady, ...noted, at(30, count(2)))).gaps).toEqual([])
  })
  it('no part is ever below nothing or longer than the whole (property)', () => {
    const kinds = fc.constantFrom<Said>(
      { kind: 'start' },
      { kind: 'stop' },
      { kind: 'go' },
      { kind: 'pause', cause: 'ink' },
      { kind: 'pause', cause: 'rest' },
      count(3),
      count(-2),
      { kind: 'spoil', line: 'G1', size: 'M', n: 1, cause: 'lint' },
    )
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(600), kinds), { maxLength: 25 }), (list) => {
        const events = said(...list.map(([minute, what]) => at(minute, what)))
        const m = minutesOf(events)
        const times = events.map((e) => Date.parse(e.at) / 1000)
        const whole = times.length > 0 ? Math.max(...times) - Math.min(...times) : 0
        for (const part of [m.setup ?? 0, m.paused]) {
          expect(part).toBeGreaterThanOrEqual(0)
          expect(part).toBeLessThanOrEqual(whole + 1e-6)
        }
        expect(m.printing ?? 0).toBeGreaterThanOrEqual(0)
        expect(m.printing ?? 0).toBeLessThanOrEqual(whole + 1e-6)
      }),
    )
  })
  it('says whether it runs, stands or is ended', () => {
    expect(isUnderWay([])).toBe('new')
    expect(isUnderWay(said(...run.slice(0, 4)))).toBe('going')
    expect(isPaused(said(...run.slice(0, 4)))).toBe('rest')
    expect(isPaused(said(...run.slice(0, 5)))).toBeUndefined()
    expect(isUnderWay(said(...run))).toBe('ended')
    expect(throughOverTime(said(...run)).map((t) => [t.at, t.pieces])).toEqual([
      [min(30), 10],
      [min(35), 20],
      [min(55), 30],
    ])
  })
})

describe('what has to be heard', () => {
  const facts = {
    rounds: [{ id: 'check', name: 'Check the print', every: 25, reasons: [] }],
    dwells: [{ name: 'Base white', from: 41, time: 6 }],
    drying: [{ hit: 'base', name: 'Base white' }],
    potLife: min(90),
  }
  const now = (minute: number) => START / 1000 + min(minute)
  const named = (events: readonly Stated[], minute: number) =>
    Object.fromEntries(alarmsOf(facts, events, now(minute)).map((a) => [a.id, a.left]))
  it('nothing rings before a run is begun or after it is ended', () => {
    expect(alarmsOf(facts, [], now(500))).toEqual([])
    expect(alarmsOf(facts, said(at(0, { kind: 'start' }), at(1, { kind: 'stop' })), now(500))).toEqual([])
  })
  it('counts pieces and minutes down, and from where it was seen to on', () => {
    const begun = [at(0, { kind: 'start' }), at(10, count(20))]
    expect(named(said(...begun), 11)).toEqual({
      check: 5,
      'dwell Base white 41': 20,
      'pot base': min(79),
      idle: IDLE - 60,
    })
    const seen = [...begun, at(12, count(8)), at(13, { kind: 'heard', alarm: 'check', pieces: 28 })]
    expect(named(said(...seen), 13).check).toBe(25)
    // Taking the answer back makes it ring again.
    const back = at(14, { kind: 'undo', of: seen.at(-1)?.id ?? '' })
    expect(named(said(...seen, back), 14).check).toBe(-3)
  })
  it('a dwell that was seen to does not come again; fresh ink is good again', () => {
    const events = said(
      at(0, { kind: 'start' }),
      at(1, count(50)),
      at(2, { kind: 'heard', alarm: 'dwell Base white 41', pieces: 50 }),
      at(60, { kind: 'ink', hit: 'base', mass: 0 }),
    )
    const left = named(events, 61)
    expect(left['dwell Base white 41']).toBeUndefined()
    expect(left['pot base']).toBe(min(89))
  })
  it('who counts ten at once is not told that the screens stand while ten are printed', () => {
    const tens = [0, 6, 12, 18].map((minute) => at(minute, count(10)))
    const events = said(at(0, { kind: 'start' }), ...tens)
    const idle = (minute: number) => named(events, minute).idle ?? 0
    expect(idle(24)).toBeGreaterThan(0)
    expect(idle(28)).toBeLessThan(0)
  })
  it('while the press stands only what dries rings', () => {
    const events = said(at(0, { kind: 'start' }), at(1, count(30)), at(2, { kind: 'pause', cause: 'rest' }))
    const ringing = alarmsOf(facts, events, now(20)).filter((a) => rings(a, events))
    expect(ringing.map((a) => a.id)).toEqual(['idle'])
  })
})

describe('what two tablets said', () => {
  const [a, b] = [
    at(1, count(1), 'A'),
    { ...at(1, count(1), 'B'), at: new Date(START + 61_500).toISOString() },
  ]
  it('the same at the same moment is asked about once', () => {
    const [twice] = countedTwice(said(a, b))
    expect(twice?.second.id).toBe(b.id)
    const answer = at(2, { kind: 'heard', alarm: twice?.id ?? '', pieces: 0 })
    expect(countedTwice(said(a, b, answer))).toEqual([])
    expect(countedTwice(said(a, b, at(3, { kind: 'undo', of: b.id })))).toEqual([])
  })
  it('of one tablet, of another size or number, or later it is not', () => {
    expect(countedTwice(said(a, at(1, count(1), 'A')))).toEqual([])
    expect(countedTwice(said(a, at(1, count(2), 'B')))).toEqual([])
    expect(countedTwice(said(a, at(1, count(1, 'L'), 'B')))).toEqual([])
    expect(countedTwice(said(a, at(2, count(1), 'B')))).toEqual([])
  })
  it('counted behind the dryer it is good so far, whatever the press said of that size', () => {
    const exit: Said = { kind: 'count', line: 'G1', size: 'M', n: 7, place: 'exit' }
    const { good } = fold([at(1, count(9)), at(2, exit), at(3, count(4, 'L'))])
    expect([good.get('G1 M'), good.get('G1 L')]).toEqual([7, 4])
  })
  it('the last value of a setting stands; taken back, the one before it does', () => {
    const set = (minute: number, value: number) =>
      at(minute, { kind: 'set', setting: 'offContact', value, why: 'sample' })
    const [first, second] = [set(1, 0.002), set(2, 0.003)]
    expect(pressValues(said(first, second))).toEqual({ offContact: 0.003 })
    expect(pressValues(said(first, second, at(3, { kind: 'undo', of: second.id })))).toEqual({
      offContact: 0.002,
    })
  })
})

describe('what is taken at the door', () => {
  const good: readonly Said[] = [
    { kind: 'start' },
    { kind: 'pause', cause: 'ink' },
    { kind: 'crew', people: 2 },
    {
      kind: 'tried',
      ...{ press: 'twelve', hit: 'yellow', symptom: 'sticks', also: ['bleed'], notThere: [] },
      answers: [{ ask: 'boardTemp', answer: 'over 55 C' }],
      remedy: 'coolLonger',
      believed: [{ cause: 'hotFilm', share: 0.8 }],
    },
    { kind: 'came', of: 'event-of-this-test-1', how: 'worked' },
    { kind: 'tick', step: 'head.level', hit: 'base' },
    { kind: 'set', setting: 'squeegee.base', value: '70/90/70', why: 'sample' },
    { kind: 'set', setting: 'offContact', value: 0.003, why: 'today' },
    { kind: 'read', what: 'film', value: 400, hit: 'base' },
    { kind: 'tack', word: 'tacky', hit: 'base' },
    { kind: 'sample', of: 'garment', verdict: 'approved', judge: 'customer', photos: ['a'.repeat(64)] },
    { kind: 'ink', hit: 'base', mass: 0.4 },
    { kind: 'weigh', hit: 'base', mass: 0 },
    { kind: 'changed', part: 'blade', hit: '' },
    { kind: 'down', head: 3 },
    { kind: 'heard', alarm: 'dwell Base white 41', pieces: 41 },
    { kind: 'spare', line: 'G1', size: 'M', n: 2 },
    { kind: 'packed', line: 'G1', size: 'M', n: 12 },
    { kind: 'passed', n: 5 },
    { kind: 'scrap', n: 2 },
  ]
  it.each(good.map((g) => [g.kind, g] as const))('%s goes in as it is, and is said in words', (_, what) => {
    const event = at(1, what)
    expect(eventSchema.validateSync(event, { stripUnknown: true })).toEqual(event)
    const as = (id: string) => `<${id}>`
    const names = {
      hit: as,
      step: as,
      setting: as,
      value: (_k: string, v: unknown) => `${v}`,
      garment: as,
      alarm: as,
      trouble: as,
    }
    const words = sayEvent(event as Stated, names, 'metric')
    expect(words).toMatch(/^[A-Z+<\d]/)
    expect(words).not.toMatch(/undefined|NaN|\[object/)
  })
  it.each([
    ['a reading of another world', { kind: 'read', what: 'film', value: 5000, hit: '' }],
    ['a reading in words', { kind: 'read', what: 'film', value: '120', hit: '' }],
    ['a step with markup', { kind: 'tick', step: '<b>', hit: '' }],
    ['a cause nobody knows', { kind: 'pause', cause: 'weather' }],
    [
      'a picture by its path',
      { kind: 'sample', of: 'scrap', verdict: 'again', judge: 'lead', photos: ['../x'] },
    ],
    ['nobody at the press', { kind: 'crew', people: 0 }],
    ['a name that is no text', { kind: 'go', by: 'Ma\u0000ra' }],
    ['half a piece', { kind: 'count', line: 'G1', size: 'M', n: 0.5 }],
    ['a kind nobody knows', { kind: 'constructor' }],
    ['nothing', null],
  ])('%s does not', (_, what) => {
    const event = what && { ...at(1, { kind: 'start' }), ...what }
    expect(() => eventSchema.validateSync(event, { stripUnknown: true })).toThrow()
  })
  it('believes readings between their bounds, to the last', () => {
    for (const [what, { between }] of Object.entries(READINGS)) {
      const event = (value: number) => at(1, { kind: 'read', what: what as 'film', value, hit: '' })
      for (const value of between) expect(() => eventSchema.validateSync(event(value))).not.toThrow()
      expect(() => eventSchema.validateSync(event(between[1] * 1.01 + 1))).toThrow()
    }
  })
})
