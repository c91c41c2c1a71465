import type { DayRun, DaysProblem, Minute } from './problem'
import { workClock } from './workClock'

/** Screens of a run, made or in the making. */
export interface ScreenSet {
  readonly ready: Minute
  /** The run that has them until then. */
  readonly heldBy: number | undefined
}

interface Made {
  ready: Minute
  /** Until when a run has them, which, and how many runs still want them. */
  until: Minute
  by: number | undefined
  left: number
  readonly frames: DayRun['frames']
}

const HOUR = 60

/** Frames by mesh, and the hands of the room in buckets of an hour that are filled from behind, too. */
export class ScreenRoom {
  /** Screens made twice, for want of frames. */
  remade = 0
  private readonly problem: DaysProblem
  private readonly free: number[][]
  private readonly sets = new Map<string, Made>()
  private readonly wanted = new Map<string, number>()
  private readonly buckets: number[]

  constructor(problem: DaysProblem) {
    this.problem = problem
    this.free = problem.frames.map((count) => Array.from({ length: count }, () => 0))
    for (const run of problem.runs) this.wanted.set(run.screens, (this.wanted.get(run.screens) ?? 0) + 1)
    const clock = workClock(problem.room.works)
    this.buckets = Array.from({ length: Math.ceil(problem.end / HOUR) }, (_, h) => {
      const minutes = clock.worked((h + 1) * HOUR) - clock.worked(h * HOUR)
      return minutes * problem.room.hands
    })
  }

  /** The screens of a run, made for it where there are none; nothing where the house has not frames enough. */
  forRun(run: DayRun): ScreenSet | undefined {
    const there = this.sets.get(run.screens)
    if (there) return { ready: Math.max(there.ready, there.until), heldBy: there.by }
    if (run.exposed !== undefined) return this.keep(run, run.exposed, [])
    if (run.frames.some((f) => f.count > (this.problem.frames[f.mesh] ?? 0))) return undefined
    const from = run.frames.map((f) => this.take(f.mesh, f.count, run.screens))
    if (from.some((t) => t === undefined)) return undefined
    const begins = Math.max(run.films, ...(from as number[]), 0)
    const count = run.frames.reduce((sum, f) => sum + f.count, 0)
    return this.keep(run, this.make(begins, count), run.frames)
  }

  /** A run has printed with its screens; behind the last one that wants them the frames come free. */
  used(run: DayRun, end: Minute, by: number): void {
    const set = this.sets.get(run.screens)
    const left = (this.wanted.get(run.screens) ?? 1) - 1
    this.wanted.set(run.screens, left)
    if (!set) return
    set.until = Math.max(set.until, end)
    set.by = by
    set.left = left
    if (left === 0) this.strip(run.screens, set)
  }

  private keep(run: DayRun, ready: Minute, frames: DayRun['frames']): ScreenSet {
    const left = this.wanted.get(run.screens) ?? 1
    this.sets.set(run.screens, { ready, until: 0, by: undefined, left, frames })
    return { ready, heldBy: undefined }
  }

  /** When so many frames of a mesh are free; an idle set is stripped where they are not, and made again later. */
  private take(mesh: number, count: number, not: string): Minute | undefined {
    const pool = this.free[mesh]
    if (!pool) return undefined
    while (pool.length < count) {
      const idle = [...this.sets]
        .filter(([id, s]) => id !== not && s.by !== undefined && s.frames.some((f) => f.mesh === mesh))
        .sort((a, b) => a[1].until - b[1].until)[0]
      if (!idle) return undefined
      const [id, set] = idle
      this.remade += set.frames.reduce((sum, f) => sum + f.count, 0)
      this.strip(id, set)
    }
    pool.sort((a, b) => a - b)
    return Math.max(...pool.splice(0, count))
  }

  private strip(id: string, set: Made): void {
    for (const f of set.frames)
      for (let i = 0; i < f.count; i++) this.free[f.mesh]?.push(set.until + this.problem.room.reclaim)
    this.sets.delete(id)
  }

  /** Books the hands, and says when so many screens are dry. */
  private make(from: Minute, screens: number): Minute {
    let left = screens * this.problem.room.handling
    for (let h = Math.floor(from / HOUR); h < this.buckets.length && left > 0; h++) {
      // Of an hour that has begun only the rest is there.
      const share = h * HOUR < from ? ((h + 1) * HOUR - from) / HOUR : 1
      const takes = Math.min(left, (this.buckets[h] as number) * share)
      this.buckets[h] = (this.buckets[h] as number) - takes
      left -= takes
      if (left <= 0) return (h + 1) * HOUR + this.problem.room.waiting
    }
    return left > 0 ? Number.POSITIVE_INFINITY : from
  }
}
