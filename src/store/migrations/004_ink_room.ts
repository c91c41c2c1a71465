import { type Kysely, sql } from 'kysely'

/** The ink room: what inks are on the rack, what is in each can and tub, what was mixed and read. */
const STATEMENTS = [
  `CREATE TABLE colour_limits (
    id INTEGER PRIMARY KEY CHECK (id = 1), as_meant REAL NOT NULL CHECK (as_meant > 0),
    toned_down REAL NOT NULL CHECK (toned_down >= as_meant), accept REAL NOT NULL CHECK (accept > 0),
    again REAL NOT NULL CHECK (again >= accept), white REAL NOT NULL CHECK (white > 0)) STRICT`,
  `CREATE TABLE base_ink (
    code TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL,
    system TEXT NOT NULL CHECK (system IN ('plastisol', 'highSolids', 'waterBased')), cost REAL NOT NULL CHECK (cost >= 0),
    density REAL NOT NULL CHECK (density > 0), known TEXT NOT NULL CHECK (json_valid(known))) STRICT`,
  `CREATE TABLE formula (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL,
    system TEXT NOT NULL CHECK (system IN ('plastisol', 'highSolids', 'waterBased')), l REAL NOT NULL, a REAL NOT NULL,
    b REAL NOT NULL) STRICT`,
  `CREATE TABLE formula_part (
    formula_id TEXT NOT NULL REFERENCES formula ON DELETE CASCADE, place INTEGER NOT NULL, code TEXT NOT NULL,
    share REAL NOT NULL CHECK (share > 0), PRIMARY KEY (formula_id, place)) STRICT`,
  `CREATE TABLE can (
    id TEXT PRIMARY KEY, code TEXT NOT NULL, lot TEXT NOT NULL, received TEXT NOT NULL, opened TEXT) STRICT`,
  `CREATE TABLE batch (
    id TEXT PRIMARY KEY, name TEXT NOT NULL, system TEXT NOT NULL, l REAL NOT NULL, a REAL NOT NULL, b REAL NOT NULL,
    run_id TEXT NOT NULL, hit_id TEXT NOT NULL, wanted REAL NOT NULL CHECK (wanted > 0), begun TEXT NOT NULL, mixed TEXT,
    expires TEXT, state TEXT NOT NULL CHECK (state IN ('mixing', 'mixed', 'accepted', 'gone'))) STRICT`,
  `CREATE TABLE batch_part (
    batch_id TEXT NOT NULL REFERENCES batch ON DELETE CASCADE, place INTEGER NOT NULL, code TEXT NOT NULL,
    share REAL NOT NULL CHECK (share > 0), PRIMARY KEY (batch_id, place)) STRICT`,
  `CREATE TABLE stock_entry (
    id INTEGER PRIMARY KEY AUTOINCREMENT, at TEXT NOT NULL, vessel TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('received', 'poured', 'mixed', 'used', 'returned', 'discarded', 'corrected')),
    mass REAL NOT NULL, batch_id TEXT NOT NULL, corrects INTEGER REFERENCES stock_entry, note TEXT NOT NULL) STRICT`,
  'CREATE INDEX stock_entry_vessel ON stock_entry (vessel)',
  'CREATE INDEX stock_entry_batch ON stock_entry (batch_id)',
  // Whatever is written and by whom: no vessel ever holds less than nothing.
  `CREATE TRIGGER stock_never_negative BEFORE INSERT ON stock_entry
    WHEN NEW.mass < 0 AND NEW.mass + (SELECT total(mass) FROM stock_entry WHERE vessel = NEW.vessel) < -1e-9
    BEGIN SELECT RAISE(ABORT, 'stock below nothing'); END`,
  `CREATE TABLE drawdown (
    id INTEGER PRIMARY KEY AUTOINCREMENT, batch_id TEXT NOT NULL REFERENCES batch ON DELETE CASCADE, at TEXT NOT NULL,
    on_white TEXT NOT NULL CHECK (json_valid(on_white)), on_black TEXT NOT NULL CHECK (json_valid(on_black)),
    difference REAL NOT NULL CHECK (difference >= 0), verdict TEXT NOT NULL CHECK (verdict IN ('read', 'accepted', 'refused')),
    who TEXT NOT NULL) STRICT`,
] as const

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db)
}
