import { type Kysely, sql } from 'kysely'

/** What a cloth and a can say beyond colour, and what of the art is cloth. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const run = (query: string) => sql.raw(query).execute(db)
  for (const table of ['cloth', 'garment_line']) {
    await run(`ALTER TABLE ${table} ADD COLUMN elastane REAL CHECK (elastane BETWEEN 0 AND 1)`)
    await run(`ALTER TABLE ${table} ADD COLUMN dye TEXT`)
  }
  for (const table of ['ink', 'placement_ink'])
    await run(`ALTER TABLE ${table} ADD COLUMN can TEXT CHECK (can IS NULL OR json_valid(can))`)
  await run('ALTER TABLE placement ADD COLUMN cloth_draws TEXT')
  await run(
    'ALTER TABLE customer_order ADD COLUMN pvc_free INTEGER NOT NULL DEFAULT 0 CHECK (pvc_free IN (0, 1))',
  )
}
