import { type Kysely, sql } from 'kysely'

/** What a person says of a film that its file does not. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE film ADD COLUMN opaque INTEGER CHECK (opaque IN (0, 1))`.execute(db)
  await sql`ALTER TABLE film ADD COLUMN screened INTEGER CHECK (screened IN (0, 1))`.execute(db)
  await sql`ALTER TABLE film ADD COLUMN turn TEXT`.execute(db)
  await sql`ALTER TABLE film ADD COLUMN kept TEXT`.execute(db)
  await sql`ALTER TABLE film ADD COLUMN aside INTEGER CHECK (aside IN (0, 1))`.execute(db)
}
