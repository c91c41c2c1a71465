import { canRun, isThere, type Person } from '../equipment'
import { isoOf, type Moment } from '../schedule'
import type { DayFacts } from './facts'

const DAY = 86_400

interface Placed {
  readonly facts: Pick<DayFacts, 'runId' | 'on'>
  readonly pressId: string
  readonly setUp: Moment
  readonly end: Moment
}

/** Somebody is there on every day on which a run is set up or printed. */
function isThereFor(person: Person, from: Moment, to: Moment): boolean {
  for (let t = Math.floor(from / DAY) * DAY; t < to; t += DAY)
    if (!isThere(person, isoOf(t).slice(0, 10))) return false
  return true
}

/**
 * Who prints what: each run is given to somebody who can run its press and is free; whoever ran that press last goes on, else the one
 * who can run the fewest others. Whoever is left helps. Given by hand-rule, one run after the other: that everybody has a press is
 * told by the days, which one is only proposed.
 *
 * @param runs in any order
 * @returns ids of people by run, the printer first; shorter than it should be where nobody was found
 */
export function whoRuns(
  runs: readonly Placed[],
  people: readonly Person[],
): ReadonlyMap<string, readonly string[]> {
  const busy = new Map<string, { readonly from: Moment; readonly to: Moment }[]>()
  const isFree = ({ id }: Person, from: Moment, to: Moment) =>
    !(busy.get(id) ?? []).some((b) => b.from < to && b.to > from)
  const found = new Map<string, string[]>()
  const lastOn = new Map<string, string>()
  const give = (run: Placed, { id }: Person) => {
    busy.set(id, [...(busy.get(id) ?? []), { from: run.setUp, to: run.end }])
    found.set(run.facts.runId, [...(found.get(run.facts.runId) ?? []), id])
  }
  const fewest = (who: readonly Person[]) =>
    [...who].sort((a, b) => (a.presses.length || 99) - (b.presses.length || 99))
  const inTime = [...runs].sort((a, b) => a.setUp - b.setUp || a.facts.runId.localeCompare(b.facts.runId))
  for (const run of inTime) {
    const able = people.filter(
      (p) => canRun(p, run.pressId) && isThereFor(p, run.setUp, run.end) && isFree(p, run.setUp, run.end),
    )
    const who = able.find((p) => lastOn.get(run.pressId) === p.id) ?? fewest(able)[0]
    if (!who) continue
    give(run, who)
    lastOn.set(run.pressId, who.id)
  }
  // Where nobody prints nobody helps.
  for (const run of inTime.filter((r) => found.has(r.facts.runId))) {
    const wanted = run.facts.on.find((o) => o.pressId === run.pressId)?.people ?? 1
    const others = people.filter((p) => isThereFor(p, run.setUp, run.end) && isFree(p, run.setUp, run.end))
    for (const p of fewest(others).slice(0, wanted - 1)) give(run, p)
  }
  return found
}
