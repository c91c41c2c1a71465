import type { Moment } from '../schedule'
import type { DayFacts } from './facts'
import type { LaneRun, Lanes } from './lanes'

type Place = Pick<LaneRun, 'pressId' | 'start' | 'done' | 'late' | 'crew'>

/** A run that is done at another time, or on another press, than it was. */
export interface Shift {
  readonly facts: DayFacts
  readonly from: Place | undefined
  readonly to: Place | undefined
}

/** What one plan makes of another. */
export interface Difference {
  /** Runs that become late or later, worst first; and those that become less so. */
  readonly later: readonly Shift[]
  readonly sooner: readonly Shift[]
  /** Runs that change their press, or their turn on it: people are told of these. */
  readonly moved: readonly Shift[]
  /** Runs that are on another press than their sheet is planned for: taking the days plans it anew. */
  readonly sheets: readonly LaneRun[]
  /** Overtime that was not worked before: on which press, which ISO day. */
  readonly overtime: readonly { readonly pressId: string; readonly day: string }[]
  /** Customers whose goods leave on another day than was planned. */
  readonly lateBefore: number
  readonly lateAfter: number
}

const byId = ({ runs }: Lanes) => new Map(runs.map((r) => [r.facts.runId, r]))

/** The runs of each press in their turn. */
const turns = ({ runs }: Lanes) => {
  const found = new Map<string, string[]>()
  for (const r of [...runs].sort((a, b) => a.setUp - b.setUp)) {
    const list = found.get(r.pressId) ?? []
    list.push(r.facts.runId)
    found.set(r.pressId, list)
  }
  return found
}

/** Of two orders of the same things, those that stand in another place: all but a longest row that kept its order. */
function outOfTurn(before: readonly string[], after: readonly string[]): ReadonlySet<string> {
  const rank = new Map(before.map((id, i) => [id, i]))
  const both = after.filter((id) => rank.has(id))
  const best: { readonly long: number; readonly from: number }[] = []
  for (const [i, id] of both.entries()) {
    let [long, from] = [1, -1]
    for (let k = 0; k < i; k++)
      if ((rank.get(both[k] as string) ?? 0) < (rank.get(id) ?? 0) && (best[k]?.long ?? 0) + 1 > long)
        [long, from] = [(best[k]?.long ?? 0) + 1, k]
    best.push({ long, from })
  }
  const kept = new Set<string>()
  let at = best.reduce((b, x, i) => (x.long > (best[b]?.long ?? 0) ? i : b), best.length > 0 ? 0 : -1)
  while (at >= 0) {
    kept.add(both[at] as string)
    at = best[at]?.from ?? -1
  }
  return new Set(both.filter((id) => !kept.has(id)))
}

/** Runs on another press than their sheet is planned for. */
export const offSheet = ({ runs }: Lanes): readonly LaneRun[] =>
  runs.filter((r) => !r.isBegun && r.pressId !== r.facts.on[0]?.pressId)

/** What becomes of every run when one plan takes the place of another. */
export function differenceOf(before: Lanes, after: Lanes): Difference {
  const [was, is] = [byId(before), byId(after)]
  const shifts = [...new Set([...was.keys(), ...is.keys()])].flatMap((id): Shift[] => {
    const [from, to] = [was.get(id), is.get(id)]
    const facts = (to ?? from)?.facts
    return facts ? [{ facts, from, to }] : []
  })
  const [turnsBefore, turnsAfter] = [turns(before), turns(after)]
  const out = new Set(
    [...turnsAfter].flatMap(([press, list]) => [...outOfTurn(turnsBefore.get(press) ?? [], list)]),
  )
  const lateOf = (s: Shift['from']) => s?.late ?? 0
  const worse = (s: Shift) => (s.from && !s.to ? Number.POSITIVE_INFINITY : lateOf(s.to) - lateOf(s.from))
  return {
    later: shifts.filter((s) => worse(s) > 0).sort((a, b) => worse(b) - worse(a)),
    sooner: shifts.filter((s) => worse(s) < 0).sort((a, b) => worse(a) - worse(b)),
    moved: shifts.filter(
      ({ facts, from, to }) => from && to && (from.pressId !== to.pressId || out.has(facts.runId)),
    ),
    sheets: offSheet(after),
    overtime: Object.entries(after.overtime).flatMap(([pressId, days]) =>
      days.filter((day) => !before.overtime[pressId]?.includes(day)).map((day) => ({ pressId, day })),
    ),
    lateBefore: before.lateRuns,
    lateAfter: after.lateRuns,
  }
}

/** Where a run is put. */
export interface Put {
  readonly runId: string
  readonly pressId: string
  readonly at: Moment
}
