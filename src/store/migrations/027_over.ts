import { type Kysely, sql } from 'kysely'

/** Which of two colours that overlap lies over the other. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw('ALTER TABLE ink_relation ADD COLUMN lies_over TEXT').execute(db)
}
