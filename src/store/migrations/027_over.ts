import { type Kysely, sql } from 'kysely'

/** Which of two colours that overlap lies over the other; colours that keep a gap between them on purpose. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const run = (text: string) => sql.raw(text).execute(db)
  await run('ALTER TABLE ink_relation RENAME TO ink_relation_of_old')
  await run(`CREATE TABLE ink_relation (
    order_id TEXT NOT NULL, placement_id TEXT NOT NULL, place INTEGER NOT NULL, a TEXT NOT NULL, b TEXT NOT NULL,
    how TEXT NOT NULL CHECK (how IN ('touch', 'overlap', 'blend', 'gap')), width REAL, lies_over TEXT,
    PRIMARY KEY (order_id, placement_id, a, b), CHECK (a <> b),
    FOREIGN KEY (order_id, placement_id, a) REFERENCES placement_ink ON DELETE CASCADE,
    FOREIGN KEY (order_id, placement_id, b) REFERENCES placement_ink ON DELETE CASCADE) STRICT`)
  await run(`INSERT INTO ink_relation (order_id, placement_id, place, a, b, how, width)
    SELECT order_id, placement_id, place, a, b, how, width FROM ink_relation_of_old`)
  await run('DROP TABLE ink_relation_of_old')
}
