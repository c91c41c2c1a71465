import { decode } from './decode'
import type { DayPress, DayRun, DaysChoice, DaysProblem, Span, Takes } from './problem'

const DAY = 1440

export type AskedRun = Partial<Omit<DayRun, 'on'>> & {
  readonly on?: readonly (Omit<Takes, 'people'> | undefined)[]
  /** On every press. */
  readonly people?: number
  readonly dryer?: Takes['dryer']
}

/** An invented shop: 8 to 12 and 13 to 17, set-up of 30, printing of 200 minutes. */
export function problemOf(asked: {
  readonly presses?: number
  readonly days?: number
  readonly runs: readonly AskedRun[]
}): DaysProblem {
  const { presses = 1, days = 3 } = asked
  const alike = Array.from({ length: presses }, () => ({ setUp: 30, run: 200 }))
  const at = (day: number, from: number, to: number): Span => ({ from: day * DAY + from, to: day * DAY + to })
  const all = Array.from({ length: days }, (_, d) => d)
  const press = (name: string): DayPress => ({
    name,
    works: all.flatMap((d) => [at(d, 480, 720), at(d, 780, 1020)]),
    overtime: all.map((d) => at(d, 1020, 1140)),
  })
  return {
    end: days * DAY,
    presses: Array.from({ length: presses }, (_, i) => press(`Press ${i + 1}`)),
    runs: asked.runs.map(({ people = 1, dryer, on = alike, ...r }, i) => ({
      name: `R${i}`,
      on: on.map((t) => t && { people, dryer, ...t }),
      weight: 1,
      due: DAY,
      ...{ garments: 0, ink: 0, films: 0, hold: 0, pot: 0 },
      screens: `S${i}`,
      frames: [],
      exposed: 0,
      ...r,
    })),
    people: 3,
    away: [],
    dryers: [{ changes: 20 }],
    frames: [6, 4],
    room: {
      works: all.map((d) => at(d, 480, 1020)),
      ...{ hands: 1, handling: 12, waiting: 150, reclaim: 60 },
    },
    changeOver: () => 0,
  }
}

/** A choice without overtime. */
export function daysOf(
  problem: DaysProblem,
  order: readonly number[],
  press: readonly number[] = [],
): DaysChoice {
  return {
    order,
    press: problem.runs.map((_, i) => press[i] ?? 0),
    overtime: problem.presses.map(() => []),
  }
}

/** A fair draw that always comes out the same. */
export function drawing(seed: number): (below: number) => number {
  let state = (seed * 2_654_435_761) % 4_294_967_296
  return (below) => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296
    return Math.floor((state / 4_294_967_296) * below)
  }
}

/** Some shop with some runs, and some choice. */
daysOf.random = (seed: number, count = 7): { readonly problem: DaysProblem; readonly choice: DaysChoice } => {
  const below = drawing(seed)
  const presses = 1 + below(3)
  const runs = Array.from({ length: count }, (_, i): AskedRun => {
    const long = 40 + below(200)
    const isFollowing = i > 0 && below(6) === 0
    const isExposed = below(3) === 0
    return {
      on: Array.from({ length: presses }, () => ({ setUp: 10 + below(40), run: long + below(60) })),
      weight: 1 + below(3),
      due: 600 + below(3) * DAY,
      garments: below(3) === 0 ? below(2000) : 0,
      ink: below(4) === 0 ? below(1500) : 0,
      films: below(4) === 0 ? below(1500) : 0,
      hold: below(6) === 0 ? 600 : 0,
      people: 1 + below(2),
      ...(below(4) > 0 && {
        dryer: { at: 0, share: 0.2 + below(7) / 10, celsius: [125, 160, 165, 168][below(4)] ?? 160 },
      }),
      pot: below(5) === 0 ? 240 : 0,
      screens: `S${below(8) === 0 ? 0 : i}`,
      exposed: isExposed ? below(800) : undefined,
      frames: [{ mesh: below(2), count: 1 + below(3) }],
      ...(isFollowing && { after: { run: i - 1, wait: below(2) === 0 ? 20 : DAY } }),
    }
  })
  const base = problemOf({ presses, days: 14, runs })
  const problem: DaysProblem = {
    ...base,
    // Runs with the same screens are alike in what their screens are.
    runs: base.runs.map((r) => {
      const same = base.runs.find((o) => o.screens === r.screens) as DayRun
      return { ...r, exposed: same.exposed, frames: same.frames, films: same.films }
    }),
    away: below(2) === 0 ? [{ from: DAY + 480, to: DAY + 1020, people: 1 }] : [],
    changeOver: (_, from, to) => (from === undefined || from === to ? 0 : 5 * ((from + to) % 4)),
  }
  const order = problem.runs.map((_, i) => i)
  for (let i = order.length - 1; i > 0; i--) {
    const k = below(i + 1)
    const [a, b] = [order[i] as number, order[k] as number]
    ;[order[i], order[k]] = [b, a]
  }
  const choice: DaysChoice = {
    order: followed(problem, order),
    press: problem.runs.map(() => below(presses)),
    overtime: problem.presses.map((p) => p.overtime.map(() => below(2) === 0)),
  }
  // Drawn last: what is drawn before stays as it is.
  const skilled = below(3) === 0 ? [{ presses: [0, 1], people: 1, away: [] }] : []
  if (below(3) > 0) return { problem: { ...problem, skilled }, choice }
  const mixing = problem.runs.map((r) => ({
    ...r,
    mixes: [...new Set(Array.from({ length: below(3) }, () => below(5)))],
  }))
  // Some of what is to be made hangs already, on frames of its own.
  const partly = mixing.map((r) => (r.exposed === undefined ? { ...r, already: [{ mesh: 0, count: 1 }] } : r))
  const inkRoom = { works: problem.room.works, each: 20 + below(60), inks: 5 }
  // Each press wants people of its own, and some prints go on pallets that presses share.
  const byPress = partly.map((r) => ({
    ...r,
    on: r.on.map(
      (t) =>
        t && {
          ...t,
          people: 1 + below(2),
          pallets: below(3) === 0 ? below(2) : undefined,
          dryer:
            below(4) === 0 ? undefined : t.dryer && { ...t.dryer, share: t.dryer.share / (1 + below(2)) },
        },
    ),
  }))
  const room = { ...problem.room, racks: 2 + below(4) }
  return { problem: { ...problem, skilled, runs: byPress, inkRoom, room, pallets: [1, 2] }, choice }
}

/** The same order with every first print before its second. */
const followed = ({ runs }: DaysProblem, order: readonly number[]): readonly number[] => {
  const out: number[] = []
  const add = (i: number) => {
    const first = runs[i]?.after?.run
    if (first !== undefined && !out.includes(first)) add(first)
    if (!out.includes(i)) out.push(i)
  }
  for (const i of order) add(i)
  return out
}

/** The least that any order and any presses cost, with as much overtime as is used, or none: by trying every one. */
daysOf.best = (problem: DaysProblem): number => {
  const n = problem.runs.length
  let best = Number.POSITIVE_INFINITY
  const presses = problem.presses.length
  for (const order of permutations(Array.from({ length: n }, (_, i) => i))) {
    if (followed(problem, order).some((run, i) => run !== order[i])) continue
    for (let code = 0; code < presses ** n; code++)
      for (const isOvertime of [false, true]) {
        const choice: DaysChoice = {
          order,
          press: Array.from({ length: n }, (_, i) => Math.floor(code / presses ** i) % presses),
          overtime: problem.presses.map((p) => p.overtime.map(() => isOvertime)),
        }
        const { booked } = decode(problem, choice)
        // Overtime in which nothing is printed need not be paid.
        const overtime = choice.overtime.map((on, p) =>
          on.map((is, d) => {
            const span = problem.presses[p]?.overtime[d]
            return is && booked.some((b) => b.press === p && span && b.setUp < span.to && b.end > span.from)
          }),
        )
        best = Math.min(best, decode(problem, { ...choice, overtime }).cost)
      }
  }
  return best
}

function permutations(list: readonly number[]): readonly (readonly number[])[] {
  if (list.length <= 1) return [list]
  return list.flatMap((first, i) =>
    permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [first, ...rest]),
  )
}
