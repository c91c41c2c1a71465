import { type Kysely, sql } from 'kysely'

/** What a cloth and a can say beyond colour, what of the art is cloth, what frames a press takes, and what flash units are for. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const run = (query: string) => sql.raw(query).execute(db)
  for (const table of ['cloth', 'garment_line']) {
    await run(`ALTER TABLE ${table} ADD COLUMN elastane REAL CHECK (elastane BETWEEN 0 AND 1)`)
    await run(`ALTER TABLE ${table} ADD COLUMN dye TEXT`)
  }
  for (const table of ['ink', 'placement_ink'])
    await run(`ALTER TABLE ${table} ADD COLUMN can TEXT CHECK (can IS NULL OR json_valid(can))`)
  for (const side of ['frame_width', 'frame_height'])
    await run(`ALTER TABLE press ADD COLUMN ${side} REAL CHECK (${side} > 0)`)
  await run('ALTER TABLE flash_unit RENAME COLUMN mount TO mounted')
  await run("ALTER TABLE flash_unit ADD COLUMN mount TEXT CHECK (mount IN ('timed', 'swings', 'fixed'))")
  await run('UPDATE flash_unit SET mount = mounted')
  await run('ALTER TABLE flash_unit DROP COLUMN mounted')
  await run("ALTER TABLE flash_unit ADD COLUMN side TEXT CHECK (side IN ('left', 'right', 'behind'))")
  await run("ALTER TABLE flash_unit ADD COLUMN suits TEXT CHECK (suits IN ('plastisol', 'water'))")
  await run('ALTER TABLE stencil ADD COLUMN hardens INTEGER NOT NULL DEFAULT 0 CHECK (hardens IN (0, 1))')
  for (const table of ['screen_room', 'step_test'])
    await run(`ALTER TABLE ${table} ADD COLUMN medium TEXT CHECK (medium IN ('film', 'vellum', 'paper'))`)
  await run("ALTER TABLE frame ADD COLUMN standing TEXT CHECK (standing IN ('smoothing'))")
  await run('ALTER TABLE emulsion ADD COLUMN mixed_on TEXT')
  await run('ALTER TABLE emulsion ADD COLUMN keeps INTEGER CHECK (keeps > 0)')
  await run('ALTER TABLE placement_ink ADD COLUMN gap REAL CHECK (gap > 0)')
  await run('ALTER TABLE placement ADD COLUMN cloth_draws TEXT')
  await run(
    'ALTER TABLE customer_order ADD COLUMN pvc_free INTEGER NOT NULL DEFAULT 0 CHECK (pvc_free IN (0, 1))',
  )
}
