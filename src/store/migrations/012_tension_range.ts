import { type Kysely, sql } from 'kysely'

/** The tension that frames work at in this shop, N/m; what is usual until it is said. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE screen_room ADD COLUMN least_tension REAL NOT NULL DEFAULT 2000 CHECK (least_tension > 0)`.execute(
    db,
  )
  await sql`ALTER TABLE screen_room ADD COLUMN most_tension REAL NOT NULL DEFAULT 3500 CHECK (most_tension > 0)`.execute(
    db,
  )
}
