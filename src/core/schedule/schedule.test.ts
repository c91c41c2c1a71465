import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Hours, STEP_NAMES, USUAL_HOURS } from '../equipment'
import { minutes } from '../quantity'
import {
  dryingTime,
  isoOf,
  latestStart,
  momentOf,
  nextStep,
  startBefore,
  stepTime,
  weekdayOf,
  whyLatest,
  whyStepTime,
} from './index'

const at = (iso: string) => momentOf(iso)

describe('the shop’s calendar', () => {
  // Facts of the calendar, by the language’s own reference: getUTCDay.
  it('knows the days of the week', () => {
    fc.assert(
      fc.property(fc.integer({ min: -40_000, max: 40_000 }), (day) => {
        expect(weekdayOf(day) % 7).toBe(new Date(day * 86_400_000).getUTCDay())
      }),
    )
  })
  it('reads and writes moments', () => {
    expect(isoOf(at('2026-11-24T08:30'))).toBe('2026-11-24T08:30')
    expect(isoOf(at('2026-11-24'))).toBe('2026-11-24T00:00')
    expect(at('soon')).toBeNaN()
  })
  it.each([
    ['within a morning', '2026-11-24T11:00', 60, '2026-11-24T10:00'],
    ['over the break', '2026-11-24T13:00', 60, '2026-11-24T11:30'],
    ['over a night', '2026-11-24T08:30', 60, '2026-11-23T16:30'],
    ['over a weekend', '2026-11-23T08:00', 60, '2026-11-20T16:00'],
    ['from the night before', '2026-11-24T05:00', 60, '2026-11-23T16:00'],
  ])('%s: work before %s of %d min starts %s', (_, end, work, start) => {
    expect(isoOf(startBefore(USUAL_HOURS, at(end), minutes(work)) ?? 0)).toBe(start)
  })
  it('leaves just the working minutes that the work takes, counted one by one (property)', () => {
    const open = (minute: number) => {
      const [day, clock] = [Math.floor(minute / 1440), (minute % 1440) * 60]
      const { from, to, breaks, days } = USUAL_HOURS
      const pause = breaks.some((b) => clock >= b.from && clock < b.to)
      return days.includes(weekdayOf(day)) && clock >= from && clock < to && !pause
    }
    const end = fc.integer({ min: at('2026-11-01') / 60, max: at('2026-12-31') / 60 })
    fc.assert(
      fc.property(end, fc.integer({ min: 1, max: 3000 }), (endMinute, work) => {
        const start = startBefore(USUAL_HOURS, endMinute * 60, minutes(work)) ?? 0
        let counted = 0
        for (let m = Math.round(start / 60); m < endMinute; m++) if (open(m)) counted++
        expect(counted).toBe(work)
      }),
    )
  })
  it('has no start in a shop that never works', () => {
    const never: Hours = { ...USUAL_HOURS, days: [] }
    expect(startBefore(never, at('2026-11-24T12:00'), 60)).toBeUndefined()
    expect(latestStart('coat', at('2026-11-24T12:00'), never, 0.45)).toBeUndefined()
  })
})

describe('the screen room', () => {
  // Common practice, no source: 45 to 60 min face up with a fan, longer when damp.
  it('dries in 45 to 60 min in dry air, slower as the air fills, never without end', () => {
    expect(dryingTime('dry', 0.45) / 60).toBeGreaterThan(45)
    expect(dryingTime('dry', 0.45) / 60).toBeLessThan(60)
    expect(dryingTime('dry', 0.725)).toBeCloseTo(2 * dryingTime('dry', 0.45))
    expect(dryingTime('dry', 1)).toBe(dryingTime('dry', 0.9))
    expect(whyStepTime('dry', 0.9).map((r) => r.rule)).toEqual(['DRY_AIR', 'DRY_DAMP'])
    expect(whyStepTime('coat', 0.9).map((r) => r.rule)).toEqual(['SCREEN_BY_HAND'])
  })
  it('what is next is the first step not done', () => {
    expect(nextStep(undefined)).toBe('coat')
    const done = STEP_NAMES.slice(0, 3).map((step) => ({ step, at: '2026-11-24T08:00' }))
    expect(nextStep({ stencil: { done } })).toBe('wash')
    // Where it is mounted says that it is, whatever was ticked.
    const all = { stencil: { done: STEP_NAMES.map((step) => ({ step, at: '2026-11-24T08:00' })) } }
    expect(nextStep(all)).toBe('mount')
    expect(nextStep({ ...all, mounted: { pressId: 'twelve', head: 4 } })).toBeUndefined()
  })
  it('works back from the press: hands in working hours, drying overnight', () => {
    const press = at('2026-11-24T08:00')
    const start = (step: Parameters<typeof latestStart>[0]) =>
      isoOf(latestStart(step, press, USUAL_HOURS, 0.45) ?? 0)
    expect(start('mount')).toBe('2026-11-23T16:55')
    expect(start('check')).toBe('2026-11-23T16:47')
    // Drying of half an hour, then washing before it.
    expect(start('dryOff')).toBe('2026-11-23T16:17')
    expect(start('wash')).toBe('2026-11-23T16:11')
    expect(start('coat')).toBe('2026-11-23T15:09')
    expect(whyLatest('coat', 'then', 0.45)).toMatchObject({ rule: 'LATEST' })
  })
  it('a night passes while a screen dries: drying counts all hours, hands only those of the shop', () => {
    // At 85 % the washed stencil dries for 30 x 0.55 / 0.15 = 110 min, here from before the shop opens; reckoned by hand.
    const press = at('2026-11-24T08:15')
    const start = (step: Parameters<typeof latestStart>[0]) =>
      isoOf(latestStart(step, press, USUAL_HOURS, 0.85) ?? 0)
    expect(start('check')).toBe('2026-11-24T08:02')
    expect(start('dryOff')).toBe('2026-11-24T06:12')
    expect(start('wash')).toBe('2026-11-23T16:54')
    // Over a weekend: it dries on Saturday as on any day.
    const monday = at('2026-11-23T08:15')
    expect(isoOf(latestStart('wash', monday, USUAL_HOURS, 0.85) ?? 0)).toBe('2026-11-20T16:54')
  })
  it('days on which clocks change are reckoned by the clock on the wall (Europe: 29 March, 25 October 2026)', () => {
    for (const day of ['2026-03-29', '2026-10-25', '2026-11-01'])
      expect(at(`${day}T23:00`) - at(`${day}T01:00`)).toBe(22 * 3600)
    const everyDay: Hours = { ...USUAL_HOURS, days: [1, 2, 3, 4, 5, 6, 7] }
    for (const day of ['2026-03-29', '2026-10-25'])
      expect(isoOf(startBefore(everyDay, at(`${day}T09:00`), minutes(120)) ?? 0)).toBe(
        isoOf(at(day) - 86_400 + 16 * 3600),
      )
  })
  it('what is no moment, or no day of a week, has no start and ends at once', () => {
    expect(startBefore(USUAL_HOURS, Number.NaN, 60)).toBeUndefined()
    expect(startBefore(USUAL_HOURS, Number.POSITIVE_INFINITY, 60)).toBeUndefined()
    expect(startBefore({ ...USUAL_HOURS, days: [9] }, at('2026-11-24'), 60)).toBeUndefined()
  })
  it('damp air asks for an earlier start, and so does every step not yet done', () => {
    const press = at('2026-11-25T14:00')
    const dry = latestStart('coat', press, USUAL_HOURS, 0.4) ?? 0
    expect(latestStart('coat', press, USUAL_HOURS, 0.8) ?? 0).toBeLessThan(dry)
    const starts = STEP_NAMES.map((s) => latestStart(s, press, USUAL_HOURS, 0.5) ?? 0)
    expect(starts).toEqual([...starts].sort((a, b) => a - b))
    for (const step of STEP_NAMES) expect(stepTime(step, 0.5)).toBeGreaterThan(0)
  })
})

describe('hours of a day of the week, and days off', () => {
  // 2026-12-25 is a Friday.
  const hours = {
    ...USUAL_HOURS,
    own: [{ day: 5, from: 7 * 3600, to: 12 * 3600 }],
    off: [{ on: '2026-12-25' }, { on: '2026-12-24', to: 12 * 3600 }],
  }
  it.each([
    // A Friday closes at noon: what is to be done by its evening begins before noon.
    ['2026-12-18T23:00', 60, '2026-12-18T11:00'],
    // Christmas is off, and the day before ends at noon.
    ['2026-12-25T23:00', 60, '2026-12-24T11:00'],
    ['2026-12-28T09:00', 120, '2026-12-24T11:00'],
    // Another Thursday is as always.
    ['2026-12-17T23:00', 60, '2026-12-17T16:00'],
  ])('by %s, %d min: begins %s', (end, work, start) => {
    expect(isoOf(startBefore(hours, at(end), minutes(work)) ?? 0)).toBe(start)
  })

  it('a day off costs time, never gains it; nothing begins on one, nor after it closes (property)', () => {
    const day = fc.integer({ min: 0, max: 60 }).map((n) => isoOf(at('2026-12-01') + n * 86_400).slice(0, 10))
    fc.assert(
      fc.property(
        fc.uniqueArray(day, { maxLength: 20 }),
        fc.integer({ min: 0, max: 60 * 24 * 60 }),
        fc.integer({ min: 1, max: 3000 }),
        (days, end, work) => {
          const by = at('2026-12-01') + end * 60
          const usual = startBefore(USUAL_HOURS, by, minutes(work)) ?? Number.NaN
          const off = { ...USUAL_HOURS, off: days.map((on) => ({ on })) }
          const start = startBefore(off, by, minutes(work)) ?? Number.NaN
          expect(start).toBeLessThanOrEqual(usual)
          expect(days).not.toContain(isoOf(start).slice(0, 10))
        },
      ),
    )
  })

  it('days that are all off leave no time at all: the week before them is looked at', () => {
    const off = ['2026-12-21', '2026-12-22', '2026-12-23'].map((on) => ({ on }))
    const start = startBefore({ ...USUAL_HOURS, off }, at('2026-12-23T17:00'), minutes(60))
    expect(isoOf(start ?? 0)).toBe('2026-12-18T16:00')
  })
})

describe('how a screen is made', () => {
  const hands = (step: Parameters<typeof stepTime>[0], made?: Parameters<typeof stepTime>[2]) =>
    stepTime(step, 0.45, made) / 60
  it('six coats dry three times, two once: the last drying is a step of its own', () => {
    const six = { coats: 6, hardens: false }
    // 45 to 60 min for each round (common practice).
    expect(hands('coat', six) - 3 * hands('coat')).toBeCloseTo(2 * 52)
    expect(hands('dry', six)).toBeCloseTo(52)
    const press = at('2026-11-24T12:00')
    const start = (coats: number) =>
      latestStart('coat', press, USUAL_HOURS, 0.45, { coats, hardens: false }) ?? 0
    expect(start(6)).toBeLessThan(start(2))
    expect(start(2)).toBe(start(1))
    expect(whyStepTime('coat', 0.45, six).map((r) => r.rule)).toEqual(['COAT_ROUNDS'])
  })
  it('only what is for ink that dries in the screen is hardened, and its marks are closed against water', () => {
    const done = (until: string) => {
      const all = STEP_NAMES.slice(0, STEP_NAMES.indexOf(until as (typeof STEP_NAMES)[number]))
      return all.filter((s) => s !== 'harden').map((step) => ({ step, at: '2026-11-24T07:30' }))
    }
    expect(nextStep({ stencil: { done: done('harden'), hardens: true } })).toBe('harden')
    expect(nextStep({ stencil: { done: done('harden') } })).toBe('check')
    expect(hands('check', { coats: 2, hardens: true })).toBeGreaterThan(hands('check'))
    const press = at('2026-11-24T12:00')
    const start = (hardens: boolean) =>
      latestStart('wash', press, USUAL_HOURS, 0.45, { coats: 2, hardens }) ?? 0
    expect((start(false) - start(true)) / 60).toBeCloseTo(8)
  })
})
