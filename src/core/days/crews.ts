import { canRun, type Person } from '../equipment'
import { momentOf } from '../schedule'
import type { DaysProblem, Minute, Skilled, Span } from './problem'

/** Presses that differ in who can run them are told apart up to so many kinds; beyond, only one by one. */
const MOST_KINDS = 6
const DAY = 1440

/** When somebody is not there, in minutes of the days; days that there are not are none. */
function awayOf({ away }: Person, first: number, end: Minute): readonly Span[] {
  return away.flatMap((a) => {
    const from = Math.max(0, (momentOf(a.first) / 86_400 - first) * DAY)
    const to = Math.min(end, (momentOf(a.last) / 86_400 - first + 1) * DAY)
    return to > from ? [{ from, to }] : []
  })
}

/** Somebody can run both, or exactly the same people can, be it nobody. */
const isAkin = (a: readonly boolean[], b: readonly boolean[]): boolean =>
  a.some((can, i) => can && b[i]) || a.join() === b.join()

/** These presses cannot be told apart into some and others that share nobody. */
function areTogether(presses: readonly number[], whoCan: readonly (readonly boolean[])[]): boolean {
  const reached = new Set(presses.slice(0, 1))
  for (let grown = true; grown; ) {
    grown = false
    for (const p of presses) {
      if (reached.has(p)) continue
      if (![...reached].some((r) => isAkin(whoCan[r] ?? [], whoCan[p] ?? []))) continue
      reached.add(p)
      grown = true
    }
  }
  return reached.size === presses.length
}

/**
 * People as the days see them. Whether everybody who is there can be given a press is told by counting: of any presses, no more may
 * print at a time than there are people for them (Hall, 1935), and of all, no more people may be wanted than are there.
 *
 * @param presses their ids, in the order of the problem
 * @param first the day on which the problem begins, counted from 1970-01-01
 */
export function crewsOf(
  people: readonly Person[],
  presses: readonly string[],
  first: number,
  end: Minute,
): Pick<DaysProblem, 'people' | 'away'> & { readonly skilled: readonly Skilled[] } {
  const each = (who: readonly Person[]) =>
    who.flatMap((p) => awayOf(p, first, end).map((span) => ({ ...span, people: 1 })))
  const whoCan = presses.map((id) => people.map((p) => canRun(p, id)))
  const kinds = [...new Set(whoCan.map((who) => who.join()))]
  const sets =
    kinds.length <= MOST_KINDS
      ? Array.from({ length: 2 ** kinds.length - 1 }, (_, i) => kinds.filter((_, k) => ((i + 1) >> k) & 1))
      : kinds.map((kind) => [kind])
  const skilled = sets.flatMap((set): Skilled[] => {
    const own = presses.flatMap((_, p) => (set.includes(whoCan[p]?.join() ?? '') ? [p] : []))
    const who = people.filter((_, i) => own.some((p) => whoCan[p]?.[i]))
    const away = each(who)
    // All of them are counted with everybody; where each press has somebody who is always there nothing is to be counted; and
    // presses that share nobody are counted each for themselves.
    if (who.length === people.length || (who.length >= own.length && away.length === 0)) return []
    if (!areTogether(own, whoCan)) return []
    return [{ presses: own, people: who.length, away }]
  })
  return { people: people.length, away: each(people), skilled }
}
