import { type Kysely, sql } from 'kysely'

/** Frames carry their stencil; what was known of stencils before is what a new shop starts from. */
const STATEMENTS = [
  `CREATE TABLE screen_room (
    id INTEGER PRIMARY KEY CHECK (id = 1), humidity REAL NOT NULL CHECK (humidity BETWEEN 0 AND 1),
    frame_to_pallet REAL NOT NULL CHECK (frame_to_pallet >= 0), collar_line REAL NOT NULL CHECK (collar_line >= 0)) STRICT`,
  `CREATE TABLE fabric (
    place INTEGER NOT NULL, count REAL PRIMARY KEY CHECK (count > 0), thread REAL NOT NULL CHECK (thread > 0),
    thickness REAL NOT NULL CHECK (thickness > 0), dyed TEXT NOT NULL CHECK (dyed IN ('white', 'yellow'))) STRICT`,
  `CREATE TABLE emulsion (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('photopolymer', 'dual', 'diazo', 'thermal')),
    water TEXT NOT NULL CHECK (water IN ('resistant', 'ordinary')), build REAL NOT NULL CHECK (build > 0)) STRICT`,
  `CREATE TABLE lamp (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('led', 'metalHalide', 'halogen', 'bulb', 'sun')),
    distance REAL NOT NULL CHECK (distance > 0)) STRICT`,
  `CREATE TABLE step_test (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, on_day TEXT NOT NULL, lamp_id TEXT NOT NULL, emulsion_id TEXT NOT NULL,
    mesh REAL NOT NULL CHECK (mesh > 0), coats INTEGER NOT NULL CHECK (coats > 0), distance REAL NOT NULL CHECK (distance > 0),
    time REAL NOT NULL CHECK (time > 0), low REAL NOT NULL CHECK (low > 0), high REAL NOT NULL CHECK (high > 0)) STRICT`,
  `CREATE TABLE tension_reading (
    frame_id TEXT NOT NULL REFERENCES frame ON DELETE CASCADE, place INTEGER NOT NULL, on_day TEXT NOT NULL,
    tension REAL NOT NULL CHECK (tension > 0), PRIMARY KEY (frame_id, place)) STRICT`,
  `CREATE TABLE stencil (
    frame_id TEXT PRIMARY KEY REFERENCES frame ON DELETE CASCADE, order_id TEXT NOT NULL, print_id TEXT NOT NULL,
    hit_id TEXT NOT NULL, words TEXT NOT NULL, emulsion_id TEXT NOT NULL, coats INTEGER NOT NULL CHECK (coats > 0)) STRICT`,
  `CREATE TABLE stencil_step (
    frame_id TEXT NOT NULL REFERENCES stencil ON DELETE CASCADE, place INTEGER NOT NULL, step TEXT NOT NULL, at TEXT NOT NULL,
    PRIMARY KEY (frame_id, place)) STRICT`,
  'ALTER TABLE placement_ink ADD COLUMN angle REAL',
  'ALTER TABLE placement_ink ADD COLUMN line REAL CHECK (line > 0)',
  'ALTER TABLE placement_ink ADD COLUMN particle REAL CHECK (particle > 0)',
  'ALTER TABLE placement_ink ADD COLUMN deposit REAL CHECK (deposit > 0)',
] as const

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db)
}
