import type { Kysely } from 'kysely'
import type { DaysKept } from '@/core/days'
import type { Decisions, RunSummary } from '@/core/plan'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { runsSaidOf } from '@/store/pressEvents'
import { ordersOfRuns } from '@/store/runs'
import type { Tables } from '@/store/schema'
import { keptSummaries } from '@/store/summaries'

/**
 * Makes the sheet of a run be planned for the press that the days have it on, as long as no one chose its press by hand; and takes
 * that back where the days no longer say so. What was begun stays as it is.
 *
 * @param settled presses that the days chose before, by run
 * @returns those that they have chosen now
 */
export async function settlePresses(
  tx: Kysely<Tables>,
  { choice }: DaysKept,
  settled: NonNullable<DaysKept['settled']>,
): Promise<NonNullable<DaysKept['settled']>> {
  const ids = [...new Set([...Object.keys(choice?.press ?? {}), ...Object.keys(settled)])]
  const orders = await ordersOfRuns(tx, ids)
  const [decided, kept, begun] = await Promise.all([
    loadDecisions(tx, orders),
    keptSummaries<RunSummary>(tx, ids),
    runsSaidOf(tx, ids),
  ])
  const next: Record<string, string> = {}
  for (const runId of ids) {
    const stored = decided.get(runId)
    if (!stored) continue
    const before = settled[runId]
    const now = stored.decisions.overrides.press
    // Whoever chose another press by hand since has the last word.
    if (now !== undefined && now !== '' && now !== before) continue
    const wanted = begun.has(runId) ? before : pressFor(runId, choice, kept.get(runId)?.facts, before)
    if (wanted !== undefined) next[runId] = wanted
    if (wanted !== before)
      await saveDecisions(
        tx,
        { ...stored.decisions, overrides: withPress(stored.decisions, wanted) },
        stored.version,
      )
  }
  return next
}

/** The press that the days want and the sheet is not made for; none where both agree by themselves. */
function pressFor(
  runId: string,
  choice: DaysKept['choice'],
  facts: RunSummary | undefined,
  before: string | undefined,
): string | undefined {
  const wanted = choice?.press[runId]
  const on = facts?.day?.on ?? []
  if (wanted === undefined) return choice ? before : undefined
  if (!on.some((o) => o.pressId === wanted)) return before
  return before === undefined && on[0]?.pressId === wanted ? undefined : wanted
}

function withPress({ overrides }: Decisions, press: string | undefined): Decisions['overrides'] {
  const { press: _, ...others } = overrides
  return press === undefined ? others : { ...others, press }
}
