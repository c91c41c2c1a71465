import { type Kysely, sql } from 'kysely'

/** Each part of the shop has its own version; what a mix took says which ink it was. */
const STATEMENTS = [
  'CREATE TABLE shop_part (part TEXT PRIMARY KEY, version INTEGER NOT NULL CHECK (version > 0)) STRICT',
  ...['settings', 'presses', 'frames', 'screens', 'rack', 'proven'].map(
    (part) => `INSERT INTO shop_part SELECT '${part}', version FROM shop`,
  ),
  'ALTER TABLE shop DROP COLUMN version',
  'ALTER TABLE stock_entry ADD COLUMN code TEXT',
  // Until now it stood in the note: `of W1`.
  `UPDATE stock_entry SET code = substr(note, 4), note = ''
    WHERE kind IN ('mixed', 'corrected') AND note LIKE 'of %'`,
]

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db)
}
