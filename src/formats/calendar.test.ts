import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { calendarOf } from './calendar'

const ENTRY = {
  ...{ id: 'R-1001-P1-dark', from: '2026-12-01T08:30', to: '2026-12-01T10:05' },
  ...{ title: 'Tide Observatory, 144', words: 'Done 10:05; 4 screens', place: 'Carousel Four' },
}
/** Read by another program: ical.js, of the registry. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((v) => new ICAL.Event(v))

describe('a calendar (RFC 5545, published), read by another library', () => {
  it('holds what was put in, by the clock on the wall', () => {
    const [event] = read(calendarOf('Carousel Four', [ENTRY]))
    expect(event?.uid).toBe('R-1001-P1-dark@orvint')
    expect(event?.summary).toBe(ENTRY.title)
    expect(event?.location).toBe('Carousel Four')
    expect(event?.startDate.toString()).toBe('2026-12-01T08:30:00')
    expect(event?.endDate.toString()).toBe('2026-12-01T10:05:00')
    // Of no zone: it stays on the wall wherever it is read.
    expect(event?.startDate.zone.tzid).toBe('floating')
  })
  it.each(['2028-02-29T23:00', '2026-12-31T23:30', '2026-03-29T02:30'])('%s stays what it is', (from) => {
    const [event] = read(calendarOf('A', [{ ...ENTRY, from, to: from }]))
    expect(event?.startDate.toString()).toBe(`${from}:00`)
  })
  it('commas, line breaks, long and foreign words come back as they went', () => {
    const odd = `Möwe, "Küste"; line\nbreak \\ ${'very long '.repeat(30)}`.trim()
    const text = calendarOf('A', [{ ...ENTRY, title: odd }])
    expect(read(text)[0]?.summary).toBe(odd)
    // Of letters; the standard would rather have 75 bytes, and takes more.
    expect(text.split('\r\n').every((line) => [...line].length <= 75)).toBe(true)
  })
  it('nothing planned is a calendar with nothing in it', () => expect(read(calendarOf('A', []))).toEqual([]))
})
