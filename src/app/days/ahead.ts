import { format } from 'date-fns'
import type { Begun, DayFacts, DaysKept, ShopDays } from '@/core/days'
import type { InkRoom } from '@/core/equipment'
import { inksWanted } from '@/core/ink'
import type { InkNeedLine } from '@/core/plan'
import { fold, isUnderWay, type Stated, saidOf } from '@/core/record'
import { momentOf } from '@/core/schedule'
import type { Database } from '@/store/database'
import { loadDays } from '@/store/days'
import { loadInkStock } from '@/store/inkRoom'
import { eventsAfter, runsSaidOf } from '@/store/pressEvents'
import { loadShop } from '@/store/shop'
import { screensAhead } from '../planning'
import { ahead } from '../today'

/** Open orders that the days are planned from, those due first: more than a shop prints before the first are gone. */
const ORDERS = 40

/** What the days are planned from, and what was decided of them. */
export interface DaysAhead {
  readonly asked: ShopDays
  readonly kept: DaysKept
  readonly version: number
  /** Orders whose plans are being renewed, and open orders due later, which are not in it. */
  readonly planning: number
  readonly later: number
}

/** A moment by the shop's clock. */
const clockOf = (at: Date) => momentOf(format(at, "yyyy-MM-dd'T'HH:mm"))

/** With what the runs want from the ink room. */
export interface DaysAndInk extends DaysAhead {
  readonly needs: readonly InkNeedLine[]
}

export async function daysAhead(db: Database, at: Date): Promise<DaysAndInk> {
  const [{ shelf }, { kept, version }, open] = await Promise.all([
    loadShop(db),
    loadDays(db),
    ahead(db, { orders: ORDERS }),
  ])
  const { shop } = shelf
  const inkShort = await shortInks(db, open.needs, shop.inkRoom)
  const { runs, begun } = await atPress(
    db,
    open.days.map((run) => chosenFor(run, kept)),
  )
  const { hours, presses, dryers, sharedPallets, frames, screens, leadDays, goesOut, people } = shop
  return {
    asked: {
      now: clockOf(at),
      shop: { hours, presses, dryers, sharedPallets, frames, screens, leadDays, goesOut, people },
      runs,
      screens: await screensAhead(open.jobs, shop),
      begun,
      inkShort,
      garmentsIn: open.garmentsIn,
      pins: kept.pins,
      down: kept.down,
      helped: kept.helped,
      otherwise: kept.otherwise,
    },
    kept,
    version,
    planning: open.planning,
    later: open.later,
    needs: open.needs,
  }
}

/** Names of the inks that each run wants and that are neither in a tub nor in a can. */
export async function shortInks(
  db: Database,
  needs: readonly InkNeedLine[],
  room: InkRoom,
): Promise<NonNullable<ShopDays['inkShort']>> {
  const { cans, batches } = await loadInkStock(db)
  const tubs = batches.filter((b) => b.state !== 'mixing')
  const short: Record<string, string[]> = {}
  for (const { needs: served } of inksWanted(needs, room, cans, tubs))
    for (const { need, kept } of served)
      if (kept < need.mass) short[need.runId] = [...(short[need.runId] ?? []), need.name]
  return short
}

/** Where the lead chose the press, there is no other; what the days chose themselves they may change. */
export const chosenFor = (run: DayFacts, { settled }: DaysKept): DayFacts =>
  run.isChosen && settled?.[run.runId] !== run.on[0]?.pressId ? { ...run, on: run.on.slice(0, 1) } : run

const through = (said: readonly Stated[]) =>
  [...saidOf(said, 'count'), ...saidOf(said, 'spoil')].reduce((sum, e) => sum + e.n, 0)

/** Runs that are still to be printed, and how far those are that were begun. */
async function atPress(db: Database, all: readonly DayFacts[]) {
  const said = await runsSaidOf(
    db,
    all.map((r) => r.runId),
  )
  const begun: Begun[] = []
  const over = new Set<string>()
  for (const run of all.filter((r) => said.has(r.runId))) {
    const { said: stated } = fold((await eventsAfter(db, run.runId, 0)).events)
    const way = isUnderWay(stated)
    if (way === 'ended') over.add(run.runId)
    const first = stated.find((e) => e.kind === 'start')
    const [on] = run.on
    if (way !== 'going' || !first || !on) continue
    begun.push({
      ...{ runId: run.runId, pressId: on.pressId, since: clockOf(new Date(first.at)) },
      left: Math.max(0, 1 - through(stated) / Math.max(1, run.pieces)),
    })
  }
  return { runs: all.filter((r) => !over.has(r.runId)), begun }
}
