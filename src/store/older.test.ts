import { Kysely, SqliteDialect, sql } from 'kysely'
import Sqlite from 'libsql'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { splitOrder } from '@/core/order'
import { inTodaysWords, noDecisions, plan, ROOMS, settingToday } from '@/core/plan'
import { eventSchema } from '@/core/record'
import type { Database } from './database'
import { loadDecisions } from './decisions'
import { DEMO_SHELF, DEMO_SHOP, demoOrders } from './demo'
import { guarded } from './guard'
import { MIGRATIONS } from './migrations'
import { loadOrder } from './orders'
import { eventsAfter } from './pressEvents'
import { revisionsOf } from './revisions'
import { loadShop } from './shop'

/** A database as the program left it that knew the steps up to this one. */
let db: Database
const upTo = async (last: string, from = '') => {
  for (const [name, { up }] of Object.entries(MIGRATIONS))
    if (name > from && name <= last) await up(db as never)
}
const run = async (...statements: readonly string[]) => {
  for (const s of statements) await sql.raw(s).execute(db)
}
beforeEach(() => {
  db = new Kysely({ dialect: new SqliteDialect({ database: guarded(new Sqlite(':memory:')) }) })
})
afterEach(() => db.destroy())

const SHOP = `INSERT INTO shop (id, name, days, opens, closes) VALUES (1, 'Gannet Wharf', '1,2', 28800, 61200)`
const LEDGER = `INSERT INTO stock_entry (at, vessel, kind, mass, batch_id, corrects, note) VALUES
  ('2026-11-23T08:00', 'B-0001', 'mixed', 0.2, 'B-0001', NULL, 'of W1'),
  ('2026-11-23T09:00', 'B-0001', 'used', -0.1, 'B-0001', NULL, 'of course')`

it('a shop of before parts keeps its version for every part; what a mix took says which ink it was', async () => {
  await upTo('008_once_and_ended')
  await run(SHOP, 'UPDATE shop SET version = 7', LEDGER)
  await upTo('009_shop_in_parts', '008_once_and_ended')
  const parts = await sql<{ version: number }>`SELECT version FROM shop_part`.execute(db)
  expect(parts.rows.map((p) => p.version)).toEqual([7, 7, 7, 7, 7, 7])
  const { rows } = await sql`SELECT code, note FROM stock_entry ORDER BY id`.execute(db)
  expect(rows).toEqual([
    { code: 'W1', note: '' },
    { code: null, note: 'of course' },
  ])
})

describe('a database in older words', () => {
  const FROZEN = {
    shopName: 'Gannet Wharf',
    order: { id: 'O-1', placements: [{ id: 'P1', inks: [{ id: 'I1', character: 'spot' }] }] },
    plan: {
      sequence: { mud: 3.4, moves: 2 },
      hits: [
        {
          film: { kind: 'film', key: 'film.I1', advised: 4e-5, reasons: [] },
          stroke: { blade: { kind: 'choice', key: 'blade.I1', advised: '70' } },
        },
      ],
      cure: { film: { kind: 'temperature', advised: 433 }, dwell: { kind: 'duration', advised: 60 } },
      warnings: [{ rule: 'BLADE_SHORT', inputs: {} }],
    },
  }
  beforeEach(async () => {
    await upTo('009_shop_in_parts')
    await run(
      SHOP,
      "INSERT INTO shop_part VALUES ('proven', 4)",
      "INSERT INTO method VALUES ('white', 'sameScreen')",
      `INSERT INTO press VALUES ('four', 0, 'Four', 'manual', 0.4, 0.5, 'honeycomb', 4, 4)`,
      `INSERT INTO blade VALUES ('b', 0, '70', 0.3, 'square')`,
      `INSERT INTO ink VALUES ('red', 0, 'Red', '#cc2222', 'spot', 'opaque', 'house')`,
      `INSERT INTO frame (id, place, width, height, mesh, tension, state)
        VALUES ('F1', 0, 0.5, 0.6, 6100, 2500, 'busy')`,
      "INSERT INTO frame_hangs VALUES ('F1', 'four', 3)",
      `INSERT INTO stencil VALUES ('F1', 'O-1', 'P1', 'I1', 'Red', 'dual', 2)`,
      "INSERT INTO stencil_step VALUES ('F1', 0, 'hang', '2026-11-23T08:00')",
      `INSERT INTO proven VALUES ('R.x', 0, '2026-11-20', 'Old: Red', 'four', 'top', 6100, 1, 0, 0, '70', 'square',
        15, 'medium', NULL, 1.5, 1, 'even', 0.003)`,
      'INSERT INTO colour_limits VALUES (1, 4, 8, 2, 3, 85, 1)',
      `INSERT INTO base_ink VALUES ('W1', 0, 'White', 'plastisol', 12, 1400,
        '{"how":"labs","film":0.00004,"light":"D65","onWhite":{"l":95,"a":0,"b":2},"onBlack":{"l":80,"a":0,"b":1}}')`,
      LEDGER,
      "INSERT INTO customer_order (id, customer, title, due, notes) VALUES ('O-1', 'Tern', 'Tees', '2026-12-01', '')",
      "INSERT INTO placement VALUES ('O-1', 'P1', 0, 'fullFront', 0.3, 0.3, 'all')",
      `INSERT INTO placement_ink (order_id, placement_id, id, place, name, hex, character, opacity, coverage, system, low_cure)
        VALUES ('O-1', 'P1', 'I1', 0, 'Red', '#cc2222', 'metallic', 'opaque', 0.2, 'house', 0)`,
      "INSERT INTO run (id, order_id) VALUES ('R-1-P1-dark', 'O-1')",
      "INSERT INTO decision VALUES ('R-1-P1-dark', 'school', 'white', NULL, 'sameScreen')",
      "INSERT INTO decision VALUES ('R-1-P1-dark', 'override', 'blade.I1', NULL, '80')",
      "INSERT INTO decision VALUES ('R-1-P1-dark', 'override', 'film.I1', 0.00005, NULL)",
      `INSERT INTO revision VALUES ('R-1-P1-dark', 1, 'AB3CD', '2026-11-23T10:00', '${JSON.stringify(FROZEN)}')`,
    )
    await upTo('999', '009_shop_in_parts')
  })
  it('keeps the shop, in the words of today', async () => {
    const { shelf, versions } = await loadShop(db)
    expect(versions.approved).toBe(4)
    expect(shelf.shop.presses[0]?.palletMaterial).toBe('honeycomb')
    expect(shelf.shop.squeegees).toEqual([{ id: 'b', hardness: '70', length: 0.3, edge: 'square' }])
    expect(shelf.inks[0]?.inkType).toBe('spot')
    expect(shelf.shop.method.white).toBe('sameScreen')
    expect(shelf.shop.frames[0]).toMatchObject({
      mounted: { pressId: 'four', head: 3 },
      stencil: { done: [{ step: 'mount' }] },
    })
    expect(shelf.shop.approved[0]).toMatchObject({ squeegee: '70', driesInScreen: false, time: 1.5 })
    expect(shelf.shop.inkRoom.limits).toMatchObject({ match: 4, visible: 8 })
    expect(shelf.shop.inkRoom.rack[0]?.characterisation).toMatchObject({ how: 'labs', deposit: 4e-5 })
  })
  it('keeps orders, decisions and the ledger', async () => {
    expect((await loadOrder(db, 'O-1'))?.order.placements[0]?.inks[0]?.inkType).toBe('metallic')
    const decided = (await loadDecisions(db)).get('R-1-P1-dark')
    expect(decided?.lost).toBeUndefined()
    expect(decided?.decisions).toMatchObject({
      method: { white: 'sameScreen' },
      overrides: { 'squeegee.I1': '80', 'deposit.I1': 5e-5 },
    })
    const entries = await db.selectFrom('stock_entry').select(['tub', 'mass']).orderBy('id').execute()
    expect(entries).toEqual([
      { tub: 'B-0001', mass: 0.2 },
      { tub: 'B-0001', mass: -0.1 },
    ])
  })
  it('keeps every figure of what was released, and keeps it from being edited', async () => {
    const [revision] = await revisionsOf(db, 'R-1-P1-dark')
    expect(revision?.code).toBe('AB3CD')
    expect(revision?.plan).toEqual({
      // Nobody said how warm the shop was: it is read as a usual day, never as a figure of its own.
      ambient: {
        air: expect.objectContaining({ advised: 295.15 }),
        humidity: expect.objectContaining({ advised: 0.5 }),
      },
      sequence: { wetRisk: 3.4, moves: 2 },
      hits: [
        {
          deposit: { kind: 'thickness', key: 'deposit.I1', advised: 4e-5, reasons: [] },
          stroke: { squeegee: { kind: 'choice', key: 'squeegee.I1', advised: '70' } },
        },
      ],
      cure: { inkFilm: { kind: 'temperature', advised: 433 }, dwell: { kind: 'duration', advised: 60 } },
      warnings: [{ rule: 'SQUEEGEE_SHORT', inputs: {} }],
    })
    await expect(db.updateTable('revision').set({ code: 'other' }).execute()).rejects.toThrow('never edited')
  })
})

describe('older words', () => {
  it('are changed once: what is of today stays as it is', () => {
    const old = {
      shop: { blades: [{ id: 'blade' }], proven: [{ waterBased: true }], presses: [{ board: 'wood' }] },
    }
    const today = inTodaysWords(old)
    expect(today).toEqual({
      shop: {
        squeegees: [{ id: 'blade' }],
        approved: [{ driesInScreen: true }],
        presses: [{ palletMaterial: 'wood' }],
      },
    })
    expect(inTodaysWords(today)).toEqual(today)
  })
  it('no name of today is a word of then: shops and plans come back from an archive as they went in', () => {
    for (const order of demoOrders('2026-11-23'))
      for (const run of splitOrder(order)) {
        const whole = JSON.parse(JSON.stringify(plan(order, DEMO_SHOP, noDecisions(run.id))))
        expect(inTodaysWords(whole)).toEqual(whole)
      }
    const shop = JSON.parse(JSON.stringify(DEMO_SHELF))
    expect(inTodaysWords(shop)).toEqual(shop)
    const said = ROOMS.flatMap((room) =>
      Object.values(room.rules).flatMap((r) => r.says.match(/\{\w+/g) ?? []),
    )
    const inputs = Object.fromEntries(said.map((name) => [name.slice(1), { kind: 'count', value: 1 }]))
    expect(inTodaysWords({ rule: 'ANY', inputs })).toEqual({ rule: 'ANY', inputs })
  })
  it('ids that anyone may choose are no words', () => {
    expect(inTodaysWords({ poured: { blade: 0.2 }, id: 'mud', name: 'hang' })).toEqual({
      poured: { blade: 0.2 },
      id: 'mud',
      name: 'hang',
    })
    expect(settingToday('dwell.blade')).toBe('dwell.blade')
  })
})

it('steps of a set-up that were ticked before there was a record are said in it', async () => {
  await upTo('022_press_event')
  await run(`INSERT INTO setup_step VALUES ('R-1-P1-dark', 'base', 'level', '2026-11-23T07:43:30'),
    ('R-1-P1-dark', 'base', 'zero', '2026-11-23T07:40:10'), ('R-1-P1-dark', 'base', 'lock', 'yesterday')`)
  await upTo('023_record', '022_press_event')
  const { events } = await eventsAfter(db, 'R-1-P1-dark', 0)
  expect(events.map((e) => (e.kind === 'tick' ? [e.step, e.hit] : e.kind))).toEqual([
    ['head.zero', 'base'],
    ['head.level', 'base'],
  ])
  // They are as good as any that a tablet sends.
  for (const event of events) expect(() => eventSchema.validateSync(event)).not.toThrow()
  const [first, second] = events.map((e) => Date.parse(e.at))
  expect((second ?? 0) - (first ?? 0)).toBe(200_000)
})
