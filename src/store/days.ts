import type { Kysely } from 'kysely'
import { type DaysKept, daysKeptSchema, NOTHING_KEPT } from '@/core/days'
import type { Tables } from './schema'

/** What was decided of the days, and how often it was saved. */
export interface StoredDays {
  readonly kept: DaysKept
  readonly version: number
}

/** What is stored and cannot be read any more is as if nothing had been decided. */
export async function loadDays(db: Kysely<Tables>): Promise<StoredDays> {
  const row = await db.selectFrom('day_plan').selectAll().executeTakeFirst()
  if (!row) return { kept: NOTHING_KEPT, version: 0 }
  try {
    return { kept: daysKeptSchema.validateSync(JSON.parse(row.kept)) as DaysKept, version: row.version }
  } catch {
    return { kept: NOTHING_KEPT, version: row.version }
  }
}

/** @returns false where someone else has saved since */
export async function saveDays(tx: Kysely<Tables>, kept: DaysKept, seen: number): Promise<boolean> {
  const { version } = await loadDays(tx)
  if (version !== seen) return false
  await putDays(tx, kept, version + 1)
  return true
}

export async function putDays(tx: Kysely<Tables>, kept: DaysKept, version: number): Promise<void> {
  const row = { id: 1 as const, version, kept: JSON.stringify(kept) }
  await tx
    .insertInto('day_plan')
    .values(row)
    .onConflict((c) => c.column('id').doUpdateSet({ version, kept: row.kept }))
    .execute()
}

/** Puts what an archive holds in place of everything; versions go on counting. */
export async function replaceDays(tx: Kysely<Tables>, kept: DaysKept | undefined): Promise<void> {
  const { version } = await loadDays(tx)
  await putDays(tx, kept ?? NOTHING_KEPT, version + 1)
}
