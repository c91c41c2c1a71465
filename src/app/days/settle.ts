import type { Kysely } from 'kysely'
import type { DaysKept } from '@/core/days'
import type { Decisions, RunSummary } from '@/core/plan'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { runsSaidOf } from '@/store/pressEvents'
import { ordersOfRuns } from '@/store/runs'
import type { Tables } from '@/store/schema'
import { keptSummaries } from '@/store/summaries'

const LOADER = 'loader'

/**
 * Makes the sheet of a run be planned for the press that the days have it on, and with the loader that they give it, as long as no
 * one chose otherwise by hand; and takes that back where the days no longer say so. What was begun stays as it is.
 *
 * @param before what the days had chosen until now
 * @returns what is kept of the days, with the presses that they have chosen now
 */
export async function settleSheets(tx: Kysely<Tables>, kept: DaysKept, before: DaysKept): Promise<DaysKept> {
  const settled = before.settled ?? {}
  const helped = kept.helped ?? []
  const ids = [
    ...new Set([
      ...Object.keys(kept.choice?.press ?? {}),
      ...Object.keys(settled),
      ...[...helped, ...(before.helped ?? [])],
    ]),
  ]
  const [decided, facts, begun] = await Promise.all([
    loadDecisions(tx, await ordersOfRuns(tx, ids)),
    keptSummaries<RunSummary>(tx, ids),
    runsSaidOf(tx, ids),
  ])
  const next: Record<string, string> = {}
  for (const runId of ids) {
    const stored = decided.get(runId)
    if (!stored) continue
    const { overrides } = stored.decisions
    const was = settled[runId]
    // Whoever chose another press by hand since has the last word.
    const isByHand = Boolean(overrides.press) && overrides.press !== was
    const press = isByHand
      ? undefined
      : begun.has(runId)
        ? was
        : pressFor(runId, kept.choice, facts.get(runId)?.facts, was)
    if (press !== undefined) next[runId] = press
    const wanted = {
      ...(isByHand ? {} : { press }),
      ...(begun.has(runId) ? {} : crewFor(runId, overrides, helped, before.helped ?? [])),
    }
    const changed = withChoices(overrides, wanted)
    if (JSON.stringify(changed) !== JSON.stringify(overrides))
      await saveDecisions(tx, { ...stored.decisions, overrides: changed }, stored.version)
  }
  return { ...kept, settled: next }
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

type Wanted = Readonly<Partial<Record<'press' | 'crew', string | undefined>>>

/** The crew that the days want, where they want another than before. */
function crewFor(
  runId: string,
  overrides: Decisions['overrides'],
  helped: readonly string[],
  before: readonly string[],
): Wanted {
  if (helped.includes(runId)) return { crew: LOADER }
  return before.includes(runId) && overrides.crew === LOADER ? { crew: undefined } : {}
}

/** Choices with others in their place; what is wanted as nothing is no choice any more. */
function withChoices(overrides: Decisions['overrides'], wanted: Wanted): Decisions['overrides'] {
  const next: Record<string, string | number> = { ...overrides }
  for (const [key, value] of Object.entries(wanted)) {
    if (value === undefined) delete next[key]
    else next[key] = value
  }
  return next
}
