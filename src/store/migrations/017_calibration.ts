import { type Kysely, sql } from 'kysely'

/** What was read at a flash unit and in a tunnel, and what it came to; none as a rule. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE flash_unit ADD COLUMN calibration TEXT`.execute(db)
  await sql`ALTER TABLE dryer ADD COLUMN calibration TEXT`.execute(db)
}
