import { type Kysely, sql } from 'kysely'
import { inTodaysWords, settingToday } from '@/core/plan'

/** Tables and columns get the names that the trade uses. */
const RENAMED = [
  'ALTER TABLE method RENAME COLUMN school TO practice',
  'ALTER TABLE press RENAME COLUMN board TO pallet_material',
  'ALTER TABLE blade RENAME TO squeegee',
  'ALTER TABLE ink RENAME COLUMN character TO ink_type',
  'ALTER TABLE placement_ink RENAME COLUMN character TO ink_type',
  'ALTER TABLE frame_hangs RENAME TO frame_mounted',
  'ALTER TABLE proven RENAME TO approved',
  'ALTER TABLE approved RENAME COLUMN blade TO squeegee',
  'ALTER TABLE approved RENAME COLUMN water_based TO dries_in_screen',
  'ALTER TABLE colour_limits RENAME COLUMN as_meant TO match_up_to',
  'ALTER TABLE colour_limits RENAME COLUMN toned_down TO visible_up_to',
  'ALTER TABLE base_ink RENAME COLUMN known TO characterisation',
  'ALTER TABLE stock_entry RENAME COLUMN vessel TO tub',
  'DROP INDEX stock_entry_vessel',
  'CREATE INDEX stock_entry_tub ON stock_entry (tub)',
  "UPDATE shop_part SET part = 'approved' WHERE part = 'proven'",
  "UPDATE stencil_step SET step = 'mount' WHERE step = 'hang'",
  `CREATE TABLE decided (
    run_id TEXT NOT NULL REFERENCES run ON DELETE CASCADE,
    kind TEXT NOT NULL CHECK (kind IN ('override', 'practice', 'order')), key TEXT NOT NULL, number REAL, word TEXT,
    PRIMARY KEY (run_id, kind, key), CHECK ((number IS NULL) <> (word IS NULL))) STRICT`,
  `INSERT INTO decided SELECT run_id, CASE kind WHEN 'school' THEN 'practice' ELSE kind END, key, number, word
    FROM decision`,
  'DROP TABLE decision',
  'ALTER TABLE decided RENAME TO decision',
]

const FROZEN = `CREATE TRIGGER revision_frozen BEFORE UPDATE ON revision
  BEGIN SELECT RAISE(ABORT, 'a released revision is never edited'); END`

/** Rewrites a text of every row of a table, one row at a time: revisions are large. */
async function rewrite(
  db: Kysely<unknown>,
  table: string,
  column: string,
  today: (text: string) => string,
): Promise<void> {
  const { rows } = await sql<{ rowid: number }>`SELECT rowid FROM ${sql.ref(table)}`.execute(db)
  for (const { rowid } of rows) {
    const found = await sql<{
      text: string
    }>`SELECT ${sql.ref(column)} AS text FROM ${sql.ref(table)} WHERE rowid = ${rowid}`.execute(db)
    const text = found.rows[0]?.text ?? ''
    const next = today(text)
    if (next !== text)
      await sql`UPDATE ${sql.ref(table)} SET ${sql.ref(column)} = ${next} WHERE rowid = ${rowid}`.execute(db)
  }
}

const jsonToday = (text: string) => JSON.stringify(inTodaysWords(JSON.parse(text)))

/** What is released keeps every figure and reason; only what they are called changes. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of RENAMED) await sql.raw(statement).execute(db)
  await rewrite(db, 'decision', 'key', settingToday)
  await rewrite(db, 'base_ink', 'characterisation', (text) => {
    const read = inTodaysWords({ characterisation: JSON.parse(text) }) as {
      readonly characterisation: unknown
    }
    return JSON.stringify(read.characterisation)
  })
  await sql`DROP TRIGGER revision_frozen`.execute(db)
  await rewrite(db, 'revision', 'frozen', jsonToday)
  await sql.raw(FROZEN).execute(db)
}
