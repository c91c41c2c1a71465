import { type Kysely, sql } from 'kysely'

/** How a dryer heats, and whether a flash unit swings away; the usual where it was never said. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE dryer ADD COLUMN heat TEXT CHECK (heat IN ('infrared', 'gas'))`.execute(db)
  await sql`ALTER TABLE flash_unit ADD COLUMN mount TEXT CHECK (mount IN ('swings', 'fixed'))`.execute(db)
}
