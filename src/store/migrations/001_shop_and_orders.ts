import { type Kysely, sql } from 'kysely'

const TABLES = [
  `shop (
    id INTEGER PRIMARY KEY CHECK (id = 1), name TEXT NOT NULL, days TEXT NOT NULL, opens REAL NOT NULL,
    closes REAL NOT NULL CHECK (closes > opens), version INTEGER NOT NULL DEFAULT 1)`,
  `pause (place INTEGER PRIMARY KEY, begins REAL NOT NULL, ends REAL NOT NULL CHECK (ends > begins))`,
  `method (school TEXT PRIMARY KEY, option TEXT NOT NULL)`,
  `press (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('bench', 'single', 'manual', 'automatic')),
    pallet_width REAL NOT NULL CHECK (pallet_width > 0), pallet_height REAL NOT NULL CHECK (pallet_height > 0),
    board TEXT NOT NULL, heads INTEGER, pallets INTEGER,
    CHECK (kind NOT IN ('single', 'manual') OR heads > 0), CHECK (kind <> 'manual' OR pallets > 0))`,
  `station (
    press_id TEXT NOT NULL REFERENCES press ON DELETE CASCADE, number INTEGER NOT NULL CHECK (number > 0),
    usable INTEGER NOT NULL CHECK (usable IN (0, 1)), flash_allowed INTEGER NOT NULL CHECK (flash_allowed IN (0, 1)),
    PRIMARY KEY (press_id, number))`,
  `flash_unit (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('panel', 'quartz', 'air', 'gun')), press_id TEXT NOT NULL REFERENCES press)`,
  `dryer (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL,
    heated_length REAL NOT NULL CHECK (heated_length > 0), belt_width REAL NOT NULL CHECK (belt_width > 0))`,
  `frame (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, width REAL NOT NULL, height REAL NOT NULL, mesh REAL NOT NULL CHECK (mesh > 0),
    tension REAL NOT NULL, state TEXT NOT NULL CHECK (state IN ('clean', 'retired', 'tension', 'busy')))`,
  `blade (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, hardness TEXT NOT NULL, length REAL NOT NULL CHECK (length > 0),
    edge TEXT NOT NULL CHECK (edge IN ('square', 'rounded')))`,
  `ink (
    id TEXT PRIMARY KEY, place INTEGER NOT NULL, name TEXT NOT NULL, hex TEXT NOT NULL, character TEXT NOT NULL,
    opacity TEXT NOT NULL, system TEXT NOT NULL)`,
  `cloth (
    name TEXT PRIMARY KEY, place INTEGER NOT NULL, hex TEXT NOT NULL, weave TEXT NOT NULL,
    cotton REAL NOT NULL CHECK (cotton BETWEEN 0 AND 1), polyester REAL NOT NULL CHECK (polyester BETWEEN 0 AND 1),
    weight REAL NOT NULL CHECK (weight > 0))`,
  `customer_order (
    id TEXT PRIMARY KEY, customer TEXT NOT NULL, title TEXT NOT NULL, due TEXT NOT NULL, notes TEXT NOT NULL,
    version INTEGER NOT NULL DEFAULT 1, deleted_at TEXT)`,
  `garment_line (
    order_id TEXT NOT NULL REFERENCES customer_order ON DELETE CASCADE, id TEXT NOT NULL, place INTEGER NOT NULL,
    style TEXT NOT NULL, cloth_name TEXT NOT NULL, hex TEXT NOT NULL, weave TEXT NOT NULL,
    cotton REAL NOT NULL CHECK (cotton BETWEEN 0 AND 1), polyester REAL NOT NULL CHECK (polyester BETWEEN 0 AND 1),
    weight REAL NOT NULL CHECK (weight > 0), cloth_group TEXT NOT NULL, PRIMARY KEY (order_id, id))`,
  `size_quantity (
    order_id TEXT NOT NULL, line_id TEXT NOT NULL, place INTEGER NOT NULL, size TEXT NOT NULL,
    quantity INTEGER NOT NULL CHECK (quantity >= 0), PRIMARY KEY (order_id, line_id, size),
    FOREIGN KEY (order_id, line_id) REFERENCES garment_line ON DELETE CASCADE)`,
  `placement (
    order_id TEXT NOT NULL REFERENCES customer_order ON DELETE CASCADE, id TEXT NOT NULL, place INTEGER NOT NULL,
    location TEXT NOT NULL, width REAL NOT NULL CHECK (width > 0), height REAL NOT NULL CHECK (height > 0),
    sizes TEXT NOT NULL CHECK (sizes IN ('all', 'adult', 'kids')), PRIMARY KEY (order_id, id))`,
  `placement_ink (
    order_id TEXT NOT NULL, placement_id TEXT NOT NULL, id TEXT NOT NULL, place INTEGER NOT NULL, name TEXT NOT NULL,
    hex TEXT NOT NULL, character TEXT NOT NULL, opacity TEXT NOT NULL,
    coverage REAL NOT NULL CHECK (coverage > 0 AND coverage <= 1), ruling REAL CHECK (ruling > 0), system TEXT NOT NULL,
    low_cure INTEGER NOT NULL CHECK (low_cure IN (0, 1)), PRIMARY KEY (order_id, placement_id, id),
    FOREIGN KEY (order_id, placement_id) REFERENCES placement ON DELETE CASCADE)`,
  `ink_relation (
    order_id TEXT NOT NULL, placement_id TEXT NOT NULL, place INTEGER NOT NULL, a TEXT NOT NULL, b TEXT NOT NULL,
    how TEXT NOT NULL CHECK (how IN ('touch', 'overlap', 'blend')), width REAL,
    PRIMARY KEY (order_id, placement_id, a, b), CHECK (a <> b),
    FOREIGN KEY (order_id, placement_id, a) REFERENCES placement_ink ON DELETE CASCADE,
    FOREIGN KEY (order_id, placement_id, b) REFERENCES placement_ink ON DELETE CASCADE)`,
  `run (
    id TEXT PRIMARY KEY, order_id TEXT NOT NULL REFERENCES customer_order ON DELETE CASCADE,
    version INTEGER NOT NULL DEFAULT 1)`,
  `decision (
    run_id TEXT NOT NULL REFERENCES run ON DELETE CASCADE,
    kind TEXT NOT NULL CHECK (kind IN ('override', 'school', 'order')), key TEXT NOT NULL, number REAL, word TEXT,
    PRIMARY KEY (run_id, kind, key), CHECK ((number IS NULL) <> (word IS NULL)))`,
  `revision (
    run_id TEXT NOT NULL REFERENCES run ON DELETE CASCADE, number INTEGER NOT NULL CHECK (number > 0),
    code TEXT NOT NULL UNIQUE, released_at TEXT NOT NULL, frozen TEXT NOT NULL CHECK (json_valid(frozen)),
    PRIMARY KEY (run_id, number))`,
  `run_summary (
    run_id TEXT PRIMARY KEY REFERENCES run ON DELETE CASCADE, stamp TEXT NOT NULL,
    facts TEXT NOT NULL CHECK (json_valid(facts)))`,
] as const

/** What was released is never edited. */
const FROZEN = `CREATE TRIGGER revision_frozen BEFORE UPDATE ON revision
  BEGIN SELECT RAISE(ABORT, 'a released revision is never edited'); END`

const INDEXES = [
  'customer_order_due ON customer_order (deleted_at, due, id)',
  'run_order ON run (order_id)',
  'flash_press ON flash_unit (press_id)',
] as const

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const table of TABLES) await sql.raw(`CREATE TABLE ${table} STRICT`).execute(db)
  await sql.raw(FROZEN).execute(db)
  for (const index of INDEXES) await sql.raw(`CREATE INDEX ${index}`).execute(db)
}
