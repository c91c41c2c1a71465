import { type Kysely, sql } from 'kysely'

/** How the shop writes inches, days and weeks. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const run = (query: string) => sql.raw(query).execute(db)
  await run("ALTER TABLE shop ADD COLUMN inches TEXT CHECK (inches IN ('decimals'))")
  await run("ALTER TABLE shop ADD COLUMN day_order TEXT CHECK (day_order IN ('monthFirst', 'yearFirst'))")
  await run("ALTER TABLE shop ADD COLUMN week_from TEXT CHECK (week_from IN ('sunday'))")
}
