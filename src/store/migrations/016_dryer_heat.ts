import { type Kysely, sql } from 'kysely'

/** How a dryer heats; infrared where it was never said. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE dryer ADD COLUMN heat TEXT CHECK (heat IN ('infrared', 'gas'))`.execute(db)
}
