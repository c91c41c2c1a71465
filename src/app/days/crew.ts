import { type LaneRun, type Lanes, type ShopDays, screensKey } from '@/core/days'
import type { InkNeedLine } from '@/core/plan'
import { isoOf, type Moment } from '@/core/schedule'

const DAY = 86_400

/** What a room has to have ready for a run, and when. */
export interface ReadyBy {
  readonly run: LaneRun
  readonly by: Moment
}

/** What is done on a day, place by place. */
export interface CrewDay {
  /** ISO day. */
  readonly day: string
  readonly presses: readonly {
    readonly id: string
    readonly name: string
    readonly runs: readonly LaneRun[]
  }[]
  /** Screens that are still to be made, for runs of that day and of the next one that is worked. */
  readonly screens: readonly (ReadyBy & { readonly make: number })[]
  /** Inks that runs of that day want, each by its name with kilograms. */
  readonly inks: readonly (ReadyBy & {
    readonly needs: readonly { readonly name: string; readonly mass: number }[]
  })[]
}

const dayOf = (moment: Moment) => isoOf(moment).slice(0, 10)

/** Days on which something is planned, in order. */
export const daysWithWork = ({ runs }: Lanes): readonly string[] =>
  [...new Set(runs.flatMap((r) => [dayOf(r.setUp), dayOf(r.end - 1)]))].sort()

/**
 * The list of a day for every place of the shop.
 *
 * @param day ISO
 */
export function crewDay(
  day: string,
  {
    lanes,
    asked,
    needs,
  }: { readonly lanes: Lanes; readonly asked: ShopDays; readonly needs: readonly InkNeedLine[] },
): CrewDay {
  const from = Date.parse(`${day}T00:00Z`) / 1000
  const isOn = (r: LaneRun) => r.setUp < from + DAY && r.end > from
  const next = daysWithWork(lanes).find((d) => d > day)
  const own = lanes.runs.filter(isOn)
  const soon = lanes.runs.filter((r) => [day, next].includes(dayOf(r.setUp)))
  const seen = new Set<string>()
  return {
    day,
    presses: asked.shop.presses.map(({ id, name }) => ({
      id,
      name,
      runs: own.filter((r) => r.pressId === id),
    })),
    screens: soon.flatMap((run) => {
      const key = screensKey(run.facts)
      const make = (asked.screens[key] ?? []).filter((s) => s.left === undefined || s.left > 0).length
      // Runs of one print share screens: they are made for the first of them.
      if (make === 0 || seen.has(key)) return []
      seen.add(key)
      return [{ run, by: run.setUp, make }]
    }),
    inks: own
      .filter((r) => dayOf(r.setUp) === day && !r.isBegun)
      .map((run) => ({
        run,
        by: run.setUp,
        needs: needs.flatMap((n) => (n.runId === run.facts.runId ? [{ name: n.name, mass: n.mass }] : [])),
      })),
  }
}
