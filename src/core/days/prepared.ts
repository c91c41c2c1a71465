import { allOf } from './frames'
import type { DaysChoice, DaysProblem } from './problem'
import { WorkTime } from './workTime'

/** A problem as the tables that placing reads; made once for a problem. */
export interface Prepared {
  readonly problem: DaysProblem
  /** Change-over in minutes: by press, by the run before and one row for none, by run. */
  readonly changeOver: (press: number, from: number | undefined, to: number) => number
  /** From when on each run is free to begin, whatever others do: garments, ink, screens or films, and where the lead put it. */
  readonly free: readonly number[]
  /** Number of the set of screens of each run. */
  readonly setOf: readonly number[]
  /** How many runs want each set, and the frames it takes. */
  readonly sets: readonly { readonly wanted: number; readonly first: number }[]
  /** Frames that can ever be free, by mesh: those that are now, and those of sets that are exposed. */
  readonly capacity: readonly number[]
  /** Minutes of hands in the screen room, by hour. */
  readonly hands: Float64Array
  /** When so many inks are mixed, by their count. */
  readonly mixedAt: readonly number[]
  /** Working time of a press with days of overtime. */
  readonly timeOf: (press: number, overtime: DaysChoice['overtime'][number]) => WorkTime
}

export const HOUR = 60

const made = new WeakMap<DaysProblem, Prepared>()

export function prepared(problem: DaysProblem): Prepared {
  const known = made.get(problem)
  if (known) return known
  const fresh = prepare(problem)
  made.set(problem, fresh)
  return fresh
}

function prepare(problem: DaysProblem): Prepared {
  const { runs, presses, room, end } = problem
  const n = runs.length
  const change = new Int32Array(presses.length * (n + 1) * n)
  for (let p = 0; p < presses.length; p++)
    for (let from = -1; from < n; from++)
      for (let to = 0; to < n; to++)
        if (from !== to)
          change[(p * (n + 1) + from + 1) * n + to] = problem.changeOver(p, from < 0 ? undefined : from, to)
  const ids = new Map<string, number>()
  const setOf = runs.map((r) => {
    const id = ids.get(r.screens) ?? ids.size
    ids.set(r.screens, id)
    return id
  })
  const sets = Array.from({ length: ids.size }, (_, s) => ({
    wanted: setOf.filter((o) => o === s).length,
    first: setOf.indexOf(s),
  }))
  const capacity = problem.frames.map((free, mesh) =>
    sets.reduce((sum, { first }) => {
      const run = runs[first]
      const there = run?.exposed === undefined ? (run?.already ?? []) : allOf(run)
      return sum + there.reduce((own, f) => own + (f.mesh === mesh ? f.count : 0), 0)
    }, free),
  )
  const clock = new WorkTime(room.works, end)
  const hands = Float64Array.from(
    { length: Math.ceil(end / HOUR) },
    (_, h) => (clock.worked((h + 1) * HOUR) - clock.worked(h * HOUR)) * room.hands,
  )
  const times = new Map<string, WorkTime>()
  return {
    ...{ problem, setOf, sets, capacity, hands, mixedAt: mixedAt(problem) },
    free: runs.map((r) => Math.max(r.garments, r.ink, r.exposed ?? r.films, r.pin?.start ?? 0)),
    changeOver: (press, from, to) => change[(press * (n + 1) + (from ?? -1) + 1) * n + to] as number,
    timeOf: (press, overtime) => {
      const own = presses[press]
      const added = own?.overtime.filter((_, day) => overtime[day]) ?? []
      const key = `${press} ${added.map((s) => s.from).join(' ')}`
      const found = times.get(key) ?? new WorkTime([...(own?.works ?? []), ...added], end)
      // A search tries thousands of patterns; the last few hundred come again.
      if (times.size > 400) times.clear()
      times.set(key, found)
      return found
    },
  }
}

function mixedAt({ inkRoom, end }: DaysProblem): readonly number[] {
  if (!inkRoom) return [0]
  const time = new WorkTime(inkRoom.works, end)
  return Array.from({ length: inkRoom.inks + 1 }, (_, n) => time.after(0, n * inkRoom.each))
}
