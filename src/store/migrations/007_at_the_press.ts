import { type Kysely, sql } from 'kysely'

/** What hangs and stands at a press now, how it counts pressure, and what printed a good sample there. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`ALTER TABLE flash_unit ADD COLUMN station INTEGER CHECK (station > 0)`.execute(db)
  await sql`ALTER TABLE flash_unit ADD COLUMN takes INTEGER NOT NULL DEFAULT 1 CHECK (takes > 0)`.execute(db)
  await sql`CREATE TABLE frame_hangs (
    frame_id TEXT PRIMARY KEY REFERENCES frame (id) ON DELETE CASCADE,
    press_id TEXT NOT NULL, head INTEGER NOT NULL CHECK (head > 0), UNIQUE (press_id, head)) STRICT`.execute(
    db,
  )
  await sql`CREATE TABLE pressure_note (
    press_id TEXT PRIMARY KEY REFERENCES press (id) ON DELETE CASCADE,
    scale TEXT NOT NULL CHECK (scale IN ('turns', 'air')), light REAL NOT NULL CHECK (light > 0),
    medium REAL NOT NULL CHECK (medium > light), firm REAL NOT NULL CHECK (firm > medium)) STRICT`.execute(db)
  await sql`CREATE TABLE proven (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, found_on TEXT NOT NULL, words TEXT NOT NULL,
    press_id TEXT NOT NULL, use TEXT NOT NULL, mesh REAL NOT NULL CHECK (mesh > 0),
    dark_cloth INTEGER NOT NULL CHECK (dark_cloth IN (0, 1)),
    water_based INTEGER NOT NULL CHECK (water_based IN (0, 1)),
    fleece INTEGER NOT NULL CHECK (fleece IN (0, 1)), blade TEXT NOT NULL,
    edge TEXT NOT NULL CHECK (edge IN ('square', 'rounded')), angle REAL NOT NULL,
    pressure TEXT NOT NULL CHECK (pressure IN ('light', 'medium', 'firm')), gauge REAL CHECK (gauge > 0),
    time REAL NOT NULL CHECK (time > 0), strokes INTEGER NOT NULL CHECK (strokes > 0),
    flood TEXT NOT NULL CHECK (flood IN ('even', 'hard', 'slow', 'full')),
    off_contact REAL NOT NULL CHECK (off_contact > 0)) STRICT`.execute(db)
}
