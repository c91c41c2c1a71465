import { index } from 'd3-array'
import type { Insertable, Kysely } from 'kysely'
import { keysOf } from '@/core/quantity'
import type { Tables } from '../schema'

/** What names a row of each of the shop's tables. */
const KEYS = {
  shop: ['id'],
  method: ['practice'],
  pause: ['place'],
  own_hours: ['place'],
  day_off: ['place'],
  press_hours: ['press_id'],
  person: ['id'],
  person_away: ['person_id', 'place'],
  price: ['id'],
  squeegee: ['id'],
  ink: ['id'],
  cloth: ['name'],
  own_step: ['step'],
  own_trouble: ['row'],
  press: ['id'],
  station: ['press_id', 'number'],
  pressure_note: ['press_id'],
  flash_unit: ['id'],
  dryer: ['id'],
  shared_pallets: ['id'],
  frame: ['id'],
  frame_mounted: ['frame_id'],
  tension_reading: ['frame_id', 'place'],
  stencil: ['frame_id'],
  stencil_step: ['frame_id', 'place'],
  screen_room: ['id'],
  fabric: ['count'],
  emulsion: ['id'],
  lamp: ['id'],
  step_test: ['id'],
  colour_limits: ['id'],
  base_ink: ['code'],
  formula: ['id'],
  formula_part: ['formula_id', 'place'],
  approved: ['id'],
} as const satisfies { readonly [T in keyof Tables]?: readonly (keyof Tables[T])[] }

type ShopTable = keyof typeof KEYS
export type Rows = { readonly [T in ShopTable]?: readonly Insertable<Tables[T]>[] }
/** A row of any table: its columns by name. */
type Loose = Readonly<Record<string, unknown>>

/** Two frames may change places: where only one row may stand, the old ones go first. */
const GO_FIRST: readonly ShopTable[] = ['frame_mounted']

/** Makes the tables hold these rows and no others; writes only what is different. */
export async function writeRows(tx: Kysely<Tables>, wanted: Rows): Promise<void> {
  const tables = keysOf(wanted).map((table) => ({
    table,
    loose: table as 'frame',
    keys: KEYS[table] as readonly string[],
    rows: (wanted[table] ?? []) as readonly Loose[],
  }))
  const changed = []
  for (const { table, loose, keys, rows } of tables) {
    const nameOf = (row: Loose) => JSON.stringify(keys.map((k) => row[k]))
    const there = index((await tx.selectFrom(loose).selectAll().execute()) as readonly Loose[], nameOf)
    const put = rows.filter((row) => {
      const now = there.get(nameOf(row))
      return !now || Object.entries(row).some(([column, value]) => now[column] !== value)
    })
    const kept = new Set(rows.map(nameOf))
    const gone = [...there].flatMap(([name, row]) => (kept.has(name) ? [] : [row]))
    if (GO_FIRST.includes(table)) await drop(tx, loose, keys, [...put, ...gone])
    changed.push({ loose, keys, put, gone })
  }
  for (const { loose, keys, put } of changed)
    if (put.length > 0)
      await tx
        .insertInto(loose)
        .values(put as unknown as Tables['frame'][])
        .onConflict((c) =>
          c
            .columns([...keys] as 'id'[])
            .doUpdateSet((e) =>
              Object.fromEntries(
                Object.keys(put[0] ?? {}).map((k) => [k, e.ref(`excluded.${k}` as 'excluded.id')]),
              ),
            ),
        )
        .execute()
  // What another row names goes after that row named something else.
  for (const { loose, keys, gone } of [...changed].reverse()) await drop(tx, loose, keys, gone)
}

async function drop(tx: Kysely<Tables>, table: 'frame', keys: readonly string[], rows: readonly Loose[]) {
  for (const row of rows)
    await tx
      .deleteFrom(table)
      .where((e) => e.and(keys.map((k) => e(k as 'id', '=', row[k] as string))))
      .execute()
}
