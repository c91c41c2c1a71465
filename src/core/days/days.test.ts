import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type AskedRun, daysOf, problemOf } from './days.fixtures'
import type { DaysPlan } from './decode'
import { decode, firstPlan } from './index'
import type { DayRun, DaysChoice, DaysProblem, Span } from './problem'
import type { Booked } from './told'
import { merged, WorkTime } from './workTime'

const planned = (problem: DaysProblem, choice: DaysChoice): DaysPlan => {
  const found = decode(problem, choice)
  expect(found.refused).toEqual([])
  return found
}

describe('working minutes against the clock', () => {
  const spans = [
    { from: 480, to: 720 },
    { from: 780, to: 1020 },
    { from: 720, to: 740 },
  ]
  const clock = new WorkTime(spans, 1440)
  it('spans that touch are one; breaks do not count', () => {
    expect(merged(spans)).toEqual([
      { from: 480, to: 740 },
      { from: 780, to: 1020 },
    ])
    expect(clock.all).toBe(500)
    expect(clock.worked(480)).toBe(0)
    expect(clock.worked(750)).toBe(260)
    expect(clock.clockOf(260)).toBe(780)
    expect(clock.next(745)).toBe(780)
    expect(clock.next(1020)).toBe(Number.POSITIVE_INFINITY)
    expect(clock.spanEnd(700)).toBe(740)
    expect(clock.spanEnd(760)).toBe(760)
    // Of 10 minutes from 11:55 five are before the break.
    expect(clock.after(735, 10)).toBe(785)
  })
  it('every working minute is where it is said to be, whatever the spans', () => {
    const spans = fc.array(fc.tuple(fc.nat(2000), fc.integer({ min: 1, max: 300 })), {
      minLength: 1,
      maxLength: 8,
    })
    fc.assert(
      fc.property(spans, (list) => {
        const works = list.map(([from, long]) => ({ from, to: from + long }))
        const own = new WorkTime(works, 2400)
        // One by one, which is slow and cannot be wrong.
        const minutes = Array.from({ length: 2400 }, (_, t) => t).filter((t) =>
          works.some((s) => s.from <= t && t < s.to),
        )
        expect(own.all).toBe(minutes.length)
        for (const [n, t] of minutes.entries()) {
          expect(own.clockOf(n)).toBe(t)
          expect(own.worked(t)).toBe(n)
        }
        expect(merged(merged(works))).toEqual(merged(works))
      }),
      { numRuns: 60 },
    )
  })
})

describe('runs in their places', () => {
  // By hand: 8:00 to 12:00 and 13:00 to 17:00; set-up 30, printing 200 min, twice.
  it('the second begins its set-up when the first is done, and stops over the break', () => {
    const problem = problemOf({ runs: [{}, {}] })
    const [a, b] = planned(problem, daysOf(problem, [0, 1])).booked
    expect(a).toMatchObject({ setUp: 480, start: 510, end: 710, waits: 'nothing' })
    expect(b).toMatchObject({ setUp: 710, start: 800, end: 1000, waits: 'press', waitsFor: 0 })
  })
  it('garments that come late hold the print, and set-up is pulled against it', () => {
    const problem = problemOf({ runs: [{ garments: 900 }] })
    expect(planned(problem, daysOf(problem, [0])).booked[0]).toMatchObject({
      ...{ setUp: 870, start: 900, waits: 'garments' },
    })
  })
  it('what dries in is not begun where it would meet a break', () => {
    const problem = problemOf({ runs: [{ pot: 240, garments: 600 }] })
    // Of the morning 120 minutes are left: it takes 200.
    expect(planned(problem, daysOf(problem, [0])).booked[0]).toMatchObject({
      start: 780,
      end: 980,
      waits: 'hours',
    })
  })
  it('two temperatures in one dryer are apart by what it takes to change them', () => {
    const dryer = (celsius: number) => ({ at: 0, share: 0.5, celsius })
    const problem = problemOf({ presses: 2, runs: [{ dryer: dryer(160) }, { dryer: dryer(125) }] })
    const [a, b] = planned(problem, daysOf(problem, [0, 1], [0, 1])).booked
    expect(a?.end).toBe(710)
    // 710 and 20 minutes are in the lunch break: at 13:00.
    expect(b).toMatchObject({ start: 780, waits: 'temperature', waitsFor: 0 })
  })
  it('a run goes slower beside what is on the belt where it is done sooner so, and waits where not', () => {
    const on = (run: number) => [
      { setUp: 0, run },
      { setUp: 0, run },
    ]
    const dryer = (share: number) => ({ at: 0, share, celsius: 160 })
    const second = (long: number, share: number, own: number) => {
      const runs = [
        { on: on(long), dryer: dryer(share) },
        { on: on(100), dryer: dryer(own) },
      ]
      const problem = problemOf({ presses: 2, runs })
      return planned(problem, daysOf(problem, [0, 1], [0, 1])).booked[1]
    }
    // Half of the belt is free until 11:40: at half its pace it is done at 11:20, else at 13:40 behind the break.
    expect(second(220, 0.5, 1)).toMatchObject({ start: 480, end: 680, pace: 0.5 })
    expect(second(220, 0.3, 0.9)).toMatchObject({ start: 480, end: 614, pace: 0.75 })
    // In half an hour the belt is free.
    expect(second(30, 0.5, 1)).toMatchObject({ start: 510, end: 610, pace: 1, waits: 'belt' })
    expect(second(220, 0.5, 0.5)).toMatchObject({ start: 480, pace: 1 })
  })
  it('films that differ by a few kelvin are cured together', () => {
    const dryer = (celsius: number) => ({ at: 0, share: 0.5, celsius })
    const problem = problemOf({ presses: 2, runs: [{ dryer: dryer(160) }, { dryer: dryer(165) }] })
    const [a, b] = planned(problem, daysOf(problem, [0, 1], [0, 1])).booked
    expect(b?.start).toBe(a?.start)
  })
  it('people and belt stay with a run through a break, and are free at night for a press that works then', () => {
    const long = { on: [{ setUp: 0, run: 600 }, undefined], dryer: { at: 0, share: 1, celsius: 160 } }
    const late = { on: [undefined, { setUp: 0, run: 60 }], dryer: { at: 0, share: 1, celsius: 125 } }
    const base = problemOf({ presses: 2, runs: [long, late] })
    const evening = (from: number, to: number) => ({
      ...base,
      people: 1,
      presses: base.presses.map((p, i) => (i === 1 ? { ...p, works: [{ from, to }] } : p)),
    })
    const starts = (from: number, to: number) =>
      decode(evening(from, to), daysOf(base, [0, 1], [0, 1])).booked.find((b) => b.run === 1)?.start
    // The first goes on from 17:00 to 8:00 the next day; the dryer wants 20 minutes before and after.
    expect(starts(1020, 1440)).toBe(1040)
    expect(starts(720, 780)).toBeUndefined()
  })
  it('the same screens are not on two presses at a time', () => {
    const problem = problemOf({ presses: 2, runs: [{ screens: 'one' }, { screens: 'one' }] })
    const [a, b] = planned(problem, daysOf(problem, [0, 1], [0, 1])).booked
    expect(b?.setUp).toBe(a?.end)
    expect(b).toMatchObject({ waits: 'screens', waitsFor: 0 })
  })
  it('more people than there are, frames that the house has not, a press that cannot: refused in words', () => {
    const refused = (runs: readonly AskedRun[]) => {
      const problem = problemOf({ runs })
      const found = decode(problem, daysOf(problem, [0]))
      expect(found.booked).toEqual([])
      return found.refused[0]?.why
    }
    expect(refused([{ people: 9 }])).toBe('too many people')
    expect(refused([{ exposed: undefined, frames: [{ mesh: 0, count: 99 }] }])).toBe('no such frames')
    expect(refused([{ on: [undefined] }])).toBe('not on this press')
    expect(refused([{ garments: 1e6 }])).toBe('beyond the end')
  })
  it('screens that want frames of others wait for them, and idle sets are stripped and made again', () => {
    const four = { exposed: undefined, frames: [{ mesh: 0, count: 4 }] } as const
    const problem = problemOf({
      days: 4,
      runs: [
        { ...four, screens: 'a' },
        { ...four, screens: 'b' },
        { ...four, screens: 'a' },
      ],
    })
    const plan = planned(problem, daysOf(problem, [0, 1, 2]))
    expect(plan.remade).toBe(4)
    const [a, b] = plan.booked
    expect(b?.setUp).toBeGreaterThanOrEqual((a?.end ?? 0) + problem.room.reclaim)
    // Both of the same screens together: nothing is made twice.
    expect(planned(problem, daysOf(problem, [0, 2, 1])).remade).toBe(0)
  })
})

it('a run that cannot be placed is named, and so is why; what follows it does not hide it', () => {
  const chain = problemOf({
    runs: [
      {},
      { garments: 1e6, weight: 3 },
      { after: { run: 1, wait: 20 }, weight: 5 },
      { after: { run: 2, wait: 20 }, weight: 9 },
    ],
  })
  const { plan } = firstPlan(chain)
  expect(plan.refused).toEqual([
    { run: 1, why: 'beyond the end' },
    { run: 2, why: 'the print before is not placed' },
    { run: 3, why: 'the print before is not placed' },
  ])
  // The others are not held up by it.
  expect(plan.booked.map((b) => b.run)).toEqual([0])
})

// Everything that must hold, looked at minute by minute and by nothing of what placed the runs.
describe('whatever is planned keeps what must be kept', () => {
  it('hours, set-up, people, belt, temperatures, screens, frames, what comes before', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const { problem, choice } = daysOf.random(seed)
        const found = decode(problem, choice)
        keeps(problem, choice, found)
        expect(decode(problem, choice)).toEqual(found)
      }),
      { numRuns: 120 },
    )
  })
  it('so does the first answer, and it is never better than the best of all choices', () => {
    for (const seed of [3, 8, 21, 34, 55]) {
      const { problem } = daysOf.random(seed, 4)
      const first = firstPlan(problem)
      keeps(problem, first.choice, first.plan)
      expect(first.plan.cost).toBeGreaterThanOrEqual(daysOf.best(problem) - 1e-9)
    }
  })
})

function keeps(
  { presses, runs, people, away, skilled = [], pallets = [], dryers, frames, room, inkRoom }: DaysProblem,
  choice: DaysChoice,
  { booked, refused }: DaysPlan,
): void {
  const works = presses.map((p, i) => [...p.works, ...p.overtime.filter((_, d) => choice.overtime[i]?.[d])])
  const isWorked = (press: number, t: number) => (works[press] ?? []).some((s) => s.from <= t && t < s.to)
  const count = (press: number, from: number, to: number) => {
    let n = 0
    for (let t = from; t < to; t++) if (isWorked(press, t)) n++
    return n
  }
  const runOf = (i: number) => runs[i] as DayRun
  const takesOf = (b: Booked) => runOf(b.run).on[b.press]
  /** People and belt are held while the press works, and through pauses of up to an hour and a half. */
  const held = (press: number, from: number, to: number) => {
    const found: { from: number; to: number }[] = []
    for (let t = from; t < to; t++) {
      if (!isWorked(press, t)) continue
      const last = found.at(-1)
      if (last && t - last.to <= 90) last.to = t + 1
      else found.push({ from: t, to: t + 1 })
    }
    return found
  }
  const crewOf = new Map(booked.map((b) => [b, held(b.press, b.setUp, b.end)]))
  const beltOf = new Map(booked.map((b) => [b, held(b.press, b.start, b.end)]))
  const isIn = (spans: readonly Span[] | undefined, t: number) =>
    spans?.some((s) => s.from <= t && t < s.to) === true
  expect(new Set(booked.map((b) => b.run)).size).toBe(runs.length - refused.length)
  for (const b of booked) {
    const run = runOf(b.run)
    const takes = run.on[b.press]
    if (!takes) throw new Error('on a press that cannot')
    expect(count(b.press, b.setUp, b.start)).toBe(takes.setUp + b.changeOver)
    const prints = Math.ceil(takes.run / b.pace)
    if (run.pot === 0) expect(count(b.press, b.start, b.end)).toBe(prints)
    if (run.pot >= prints) for (let t = b.start; t < b.end; t++) expect(isWorked(b.press, t)).toBe(true)
    expect(b.start).toBeGreaterThanOrEqual(run.garments)
    expect(b.setUp).toBeGreaterThanOrEqual(run.ink)
    expect(b.setUp).toBeGreaterThanOrEqual(run.exposed ?? run.films)
    const first = run.after && booked.find((o) => o.run === run.after?.run)
    if (first && run.after) expect(b.start).toBeGreaterThanOrEqual(first.end + run.after.wait)
    for (const o of booked) {
      if (o.run === b.run) continue
      const apart = b.end <= o.setUp || o.end <= b.setUp
      if (o.press === b.press || runOf(o.run).screens === run.screens) expect(apart).toBe(true)
      const other = takesOf(o)?.dryer
      const { dryer } = takes
      if (dryer && other?.at === dryer.at && Math.abs(other.celsius - dryer.celsius) > 6) {
        const changes = dryers[other.at]?.changes ?? 0
        for (const x of beltOf.get(b) ?? [])
          for (const y of beltOf.get(o) ?? [])
            expect(x.to + changes <= y.from || y.to + changes <= x.from).toBe(true)
      }
    }
  }
  // The room: what is begun and coated within any span takes no more minutes of hands than are worked in it.
  const sets = booked.flatMap((b) =>
    b.screens
      ? [
          {
            from: b.screens.from,
            to: b.screens.ready - room.waiting,
            takes: room.handling * runOf(b.run).frames.reduce((n, f) => n + f.count, 0),
          },
        ]
      : [],
  )
  const inRoom = (from: number, to: number) =>
    room.works.reduce((sum, w) => sum + Math.max(0, Math.min(w.to, to) - Math.max(w.from, from)), 0)
  for (const { from } of sets)
    for (const { to } of sets) {
      const inside = sets.filter((s) => s.from >= from && s.to <= to)
      const load = inside.reduce((sum, s) => sum + s.takes, 0)
      if (inside.length > 0) expect(load).toBeLessThanOrEqual(room.hands * inRoom(from, to) + 1e-6)
    }
  // One pair of hands can have mixed, by any set-up, all that was set up until then.
  for (const b of inkRoom ? booked : []) {
    const until = booked.filter((o) => o.setUp <= b.setUp).flatMap((o) => runOf(o.run).mixes ?? [])
    const there = (inkRoom?.works ?? []).reduce(
      (sum, w) => sum + Math.max(0, Math.min(w.to, b.setUp) - w.from),
      0,
    )
    if (runOf(b.run).mixes?.length)
      expect(new Set(until).size * (inkRoom?.each ?? 0)).toBeLessThanOrEqual(there)
  }
  for (const b of booked) if (b.screens) expect(b.setUp).toBeGreaterThanOrEqual(b.screens.ready)
  // Sets that are made once: what is made twice may stand ready until the run before it has printed.
  const { racks } = room
  const times = new Map<string, number>()
  for (const b of booked)
    if (b.screens) times.set(runOf(b.run).screens, (times.get(runOf(b.run).screens) ?? 0) + 1)
  const drying = booked.flatMap((b) => {
    const run = runOf(b.run)
    if (!b.screens || times.get(run.screens) !== 1) return []
    return [{ ...b.screens, count: run.frames.reduce((n, f) => n + f.count, 0) }]
  })
  for (const { from } of racks === undefined ? [] : drying) {
    const there = drying.filter((d) => d.from <= from && from < d.ready)
    expect(there.reduce((sum, d) => sum + Math.min(d.count, racks ?? 0), 0)).toBeLessThanOrEqual(racks ?? 0)
  }
  // What adds up can only be too much where something begins.
  const begins = [...crewOf.values(), ...beltOf.values()].flat().map((s) => s.from)
  for (const t of [...begins, ...away.map((a) => a.from)]) {
    const hung = booked.filter((b) => b.setUp <= t && t < b.end)
    const here = booked.filter((b) => isIn(crewOf.get(b), t))
    const gone = away.filter((a) => a.from <= t && t < a.to).reduce((sum, a) => sum + a.people, 0)
    if (here.length > 0)
      expect(here.reduce((sum, b) => sum + (takesOf(b)?.people ?? 0), 0)).toBeLessThanOrEqual(people - gone)
    for (const s of skilled)
      expect(here.filter((b) => s.presses.includes(b.press)).length).toBeLessThanOrEqual(s.people)
    for (const [kind, sets] of pallets.entries())
      expect(hung.filter((b) => takesOf(b)?.pallets === kind).length).toBeLessThanOrEqual(sets)
    for (const d of dryers.keys()) {
      const on = booked.filter((b) => takesOf(b)?.dryer?.at === d && isIn(beltOf.get(b), t))
      expect(on.reduce((sum, b) => sum + (takesOf(b)?.dryer?.share ?? 0) * b.pace, 0)).toBeLessThanOrEqual(
        1 + 1e-6,
      )
    }
    for (const [mesh, free] of frames.entries()) {
      const sum = (of: DayRun['frames']) => of.filter((f) => f.mesh === mesh).reduce((n, f) => n + f.count, 0)
      const count = (r: DayRun) => sum(r.frames) + sum(r.already ?? [])
      const sets = (of: readonly DayRun[]) => [...new Map(of.map((r) => [r.screens, r])).values()]
      // Those of screens that are exposed hang on them until they are stripped.
      const there = (r: DayRun) => (r.exposed === undefined ? sum(r.already ?? []) : count(r))
      const most = sets(runs).reduce((all, r) => all + there(r), free)
      const used = sets(hung.map((b) => runOf(b.run))).reduce((all, r) => all + count(r), 0)
      expect(used).toBeLessThanOrEqual(most)
    }
  }
}

describe('the press of the sheet', () => {
  it('is kept where another costs no less; a run moves where it would be late', () => {
    const run = (due: number): Partial<DayRun> => ({
      planned: 0,
      due,
      on: Array(2).fill({ setUp: 30, run: 200 }),
    })
    // Two runs fit into the day of one press: nothing is won by the other.
    const easy = problemOf({ presses: 2, runs: [run(1440), run(2880)] })
    expect(firstPlan(easy).choice.press).toEqual([0, 0])
    const tight = problemOf({ presses: 2, runs: [run(760), run(760)] })
    expect([...firstPlan(tight).choice.press].sort()).toEqual([0, 1])
  })
  it('costs what its choice costs when placed anew, and breaks no rule, on any shop', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const { problem } = daysOf.random(seed, 9)
      const planned = { ...problem, runs: problem.runs.map((r) => ({ ...r, planned: 0 })) }
      const { choice, plan } = firstPlan(planned)
      keeps(planned, choice, plan)
      expect(decode(planned, choice).cost).toBeCloseTo(plan.cost, 6)
    }
  })
})
