import { allOf, isFree, nearest } from './frames'
import { prepared } from './prepared'
import type { DaysOfShop } from './shopDays'
import { screensKey } from './takes'
import type { Booked } from './told'

/** The frames that the screens of a run are made on. */
export interface OnFrames {
  readonly names: readonly string[]
  /** The one that comes free last, where a run still has it: which run, and when it is clean, minutes. */
  readonly last: { readonly frame: string; readonly run: number; readonly clean: number } | undefined
}

interface Free {
  readonly name: string
  readonly at: number
  readonly by: number | undefined
}

/**
 * Which frames the screens of each run are made on: those of its mesh that come free first, as the days count them. A frame by its
 * name is a proposal: the days only count how many there are.
 *
 * @param booked in the order in which they were placed
 */
export function framesNamed(days: DaysOfShop, booked: readonly Booked[]): ReadonlyMap<number, OnFrames> {
  const { asked, problem, meshes } = days
  const { setOf, sets } = prepared(problem)
  const pools = meshes.map((mesh): Free[] =>
    asked.shop.frames
      .filter((f) => isFree(f, asked.screens) && Math.abs(f.mesh - mesh) < 1)
      .map(({ id }) => ({ name: id, at: 0, by: undefined })),
  )
  const keyOf = (set: number) => {
    const first = asked.runs[sets[set]?.first ?? -1]
    return first && screensKey(first)
  }
  /** By set: what it hangs on now, with the pool that each goes back to. */
  const hung = sets.map((_, set): readonly { readonly name: string; readonly pool: number }[] =>
    asked.shop.frames
      .filter((f) => f.stencil && `${f.stencil.order}.${f.stencil.print}` === keyOf(set))
      .map((f) => ({ name: f.id, pool: nearest(meshes, { mesh: f.mesh, left: undefined }) })),
  )
  const left = sets.map((s) => s.wanted)
  const until = sets.map(() => 0)
  const by = sets.map((): number | undefined => undefined)
  const stripped = new Set<number>()
  const strip = (set: number) => {
    stripped.add(set)
    for (const { name, pool } of hung[set] ?? [])
      pools[pool]?.push({ name, at: (until[set] ?? 0) + problem.room.reclaim, by: by[set] })
    hung[set] = []
  }
  /** A set that nobody prints with now gives its frames where there are too few; the one that came free first. */
  const stripIdle = (pool: number): boolean => {
    const idle = [...hung.keys()]
      .filter((s) => by[s] !== undefined && hung[s]?.some((f) => f.pool === pool))
      .sort((a, b) => (until[a] ?? 0) - (until[b] ?? 0))[0]
    if (idle !== undefined) strip(idle)
    return idle !== undefined
  }
  const found = new Map<number, OnFrames>()
  for (const b of booked) {
    const set = setOf[b.run] as number
    const run = problem.runs[b.run]
    if (b.screens && run) {
      const wanted = stripped.has(set) ? allOf(run) : run.frames
      const taken = wanted.flatMap(({ mesh, count }) => {
        while ((pools[mesh]?.length ?? 0) < count && stripIdle(mesh));
        const pool = (pools[mesh] ?? []).sort((x, y) => x.at - y.at)
        return pool.splice(0, count).map((f) => ({ ...f, pool: mesh }))
      })
      const last = [...taken].sort((x, y) => y.at - x.at)[0]
      hung[set] = [...(hung[set] ?? []), ...taken]
      found.set(b.run, {
        names: taken.map((f) => f.name),
        last: last?.by === undefined ? undefined : { frame: last.name, run: last.by, clean: last.at },
      })
    }
    until[set] = Math.max(until[set] ?? 0, b.end)
    by[set] = b.run
    left[set] = (left[set] ?? 0) - 1
    if (left[set] === 0) strip(set)
  }
  return found
}
