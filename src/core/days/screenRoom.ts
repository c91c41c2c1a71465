import { allOf } from './frames'
import { HOUR, type Prepared } from './prepared'
import type { DayRoom } from './problem'
import type { Racks } from './racks'
import type { State } from './state'

const NEVER = Number.POSITIVE_INFINITY
const STRIPPED = -1

/**
 * The screens of a run: made for it where there are none, on frames that come free first. The hands of the room are booked in
 * hours that are filled from behind, too; they dry in racks.
 *
 * @returns when they are ready and no other run has them; -1 where the house has not frames enough
 */
export function screensFor(
  state: State,
  { problem, setOf, capacity }: Prepared,
  at: number,
  racks: Racks,
): number {
  racks.until = 0
  const run = problem.runs[at]
  const set = setOf[at] as number
  if (!run) return -1
  if (state.made[set] === 1) return Math.max(state.ready[set] as number, state.until[set] as number)
  // What was stripped for want of frames is exposed no more.
  let ready = state.made[set] === STRIPPED ? undefined : run.exposed
  state.begun[set] = -1
  if (ready === undefined) {
    // Made again all of it is, also what was there before.
    const wanted = state.made[set] === STRIPPED ? allOf(run) : run.frames
    if (wanted.some((f) => f.count > (capacity[f.mesh] ?? 0))) return -1
    let begins = Math.max(run.films, 0)
    let count = 0
    for (const f of wanted) {
      const free = takeFrames(state, problem, f.mesh, f.count)
      if (free < 0) return -1
      begins = Math.max(begins, free)
      count += f.count
    }
    const made = make(state, problem.room, racks, at, begins, count)
    ready = made.ready
    state.begun[set] = made.from
    // Made again it is wanted behind those who had it before.
    if (state.made[set] === STRIPPED) ready = Math.max(ready, state.until[set] as number)
  }
  state.made[set] = 1
  state.ready[set] = ready
  state.until[set] = 0
  state.by[set] = -1
  return ready
}

/** A run has printed with its screens; behind the last one that wants them the frames come free. */
export function screensUsed(state: State, { problem, setOf, sets }: Prepared, at: number, end: number): void {
  const set = setOf[at] as number
  const left = (state.left[set] as number) - 1
  state.left[set] = left
  if (state.made[set] !== 1) return
  state.until[set] = Math.max(state.until[set] as number, end)
  state.by[set] = at
  const first = problem.runs[sets[set]?.first ?? -1]
  if (left === 0 && first) strip(state, set, allOf(first), problem.room.reclaim)
}

type Frames = readonly { readonly mesh: number; readonly count: number }[]

function strip(state: State, set: number, frames: Frames, reclaim: number): void {
  const free = (state.until[set] as number) + reclaim
  for (const f of frames) for (let i = 0; i < f.count; i++) put(state, f.mesh, free)
  state.made[set] = STRIPPED
}

/** Puts a frame into its pool, which stays in order. */
function put(state: State, mesh: number, free: number): void {
  const pool = state.pools[mesh]
  if (!pool) return
  let i = state.pooled[mesh] as number
  if (i >= pool.length) return
  for (; i > 0 && (pool[i - 1] as number) > free; i--) pool[i] = pool[i - 1] as number
  pool[i] = free
  state.pooled[mesh] = (state.pooled[mesh] as number) + 1
}

/** When so many frames of a mesh are free; idle sets are stripped where they are not, and made again later. */
function takeFrames(state: State, { runs, room }: Prepared['problem'], mesh: number, count: number): number {
  const pool = state.pools[mesh]
  if (!pool) return -1
  while ((state.pooled[mesh] as number) < count) {
    let idle = -1
    for (let s = 0; s < state.made.length; s++) {
      if (state.made[s] !== 1 || (state.by[s] as number) < 0) continue
      const of = runs[state.by[s] as number]
      const uses = of !== undefined && [of.frames, of.already ?? []].flat().some((f) => f.mesh === mesh)
      if (uses && (idle < 0 || (state.until[s] as number) < (state.until[idle] as number))) idle = s
    }
    const by = runs[state.by[idle] as number]
    if (idle < 0 || !by) return -1
    const all = allOf(by)
    for (const f of all) state.sums[2] = (state.sums[2] as number) + f.count
    strip(state, idle, all, room.reclaim)
  }
  const free = count > 0 ? (pool[count - 1] as number) : 0
  pool.copyWithin(0, count, state.pooled[mesh])
  state.pooled[mesh] = (state.pooled[mesh] as number) - count
  return free
}

/** Makes so many screens from a moment on: hands and racks are booked, and it is said from when until when. */
function make(
  state: State,
  room: DayRoom,
  racks: Racks,
  at: number,
  from: number,
  screens: number,
): { readonly from: number; readonly ready: number } {
  if (screens * room.handling <= 0) return { from, ready: from }
  for (let earliest = from; ; ) {
    const found = atHand(state.hands, room, earliest, screens * room.handling)
    const later =
      room.racks && found.ready < NEVER
        ? racks.later(room.racks, screens, found.from, found.ready)
        : undefined
    if (later === undefined) {
      for (const [hour, takes] of found.hours) state.hands[hour] = (state.hands[hour] as number) - takes
      racks.add(at, room, screens, found.from, found.ready)
      return found
    }
    earliest = later
  }
}

/** The hours in which hands are free for so many minutes, from when on they are at it, and when all is dry. */
function atHand(hands: Float64Array, room: DayRoom, from: number, minutes: number) {
  const hours: [hour: number, takes: number][] = []
  let left = minutes
  for (let h = Math.floor(from / HOUR); h < hands.length; h++) {
    // Of an hour that has begun only the rest is there: what is left of it may all lie before.
    const gone = Math.max(0, from - h * HOUR) * room.hands
    const takes = Math.min(left, Math.max(0, (hands[h] as number) - gone))
    if (takes > 0) hours.push([h, takes])
    left -= takes
    if (left <= 1e-9)
      return {
        from: Math.max(from, (hours[0]?.[0] ?? h) * HOUR),
        ready: (h + 1) * HOUR + room.waiting,
        hours,
      }
  }
  return { from: NEVER, ready: NEVER, hours: [] }
}
