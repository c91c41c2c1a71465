import { type Kysely, sql } from 'kysely'

/** Films outlive a rewriting of the order's prints, so they hang on the order alone. */
const TABLES = [
  `film (
    order_id TEXT NOT NULL REFERENCES customer_order ON DELETE CASCADE, placement_id TEXT NOT NULL, id TEXT NOT NULL,
    place INTEGER NOT NULL, ink TEXT NOT NULL, name TEXT NOT NULL, hash TEXT NOT NULL, page INTEGER NOT NULL,
    across REAL NOT NULL CHECK (across > 0), down REAL NOT NULL CHECK (down > 0), dpi REAL CHECK (dpi > 0),
    raster INTEGER NOT NULL CHECK (raster IN (0, 1)), negative INTEGER CHECK (negative IN (0, 1)),
    PRIMARY KEY (order_id, placement_id, id))`,
  `film_reading (
    order_id TEXT NOT NULL REFERENCES customer_order ON DELETE CASCADE, placement_id TEXT NOT NULL,
    stamp TEXT NOT NULL, facts TEXT NOT NULL CHECK (json_valid(facts)), PRIMARY KEY (order_id, placement_id))`,
] as const

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const table of TABLES) await sql.raw(`CREATE TABLE ${table} STRICT`).execute(db)
}
