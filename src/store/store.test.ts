import fc from 'fast-check'
import { sql } from 'kysely'
import { beforeEach, describe, expect, it } from 'vitest'
import { partOf, SHOP_PARTS, STEP_NAMES, USUAL_SCREENS } from '@/core/equipment'
import { INK_TYPES, OPACITIES, type Order, SIZE_NAMES, SYSTEMS, WEAVES, WHERES } from '@/core/order'
import { noDecisions } from '@/core/plan'
import { type Database, openDatabase } from './database'
import { loadDecisions, saveDecisions } from './decisions'
import { DEMO_DECISIONS, DEMO_SHELF, demoOrders, demoShelf, seedDemo } from './demo'
import { addOrder, loadOrder, loadOrders, nextOrderId, saveOrder } from './orders'
import { loadShop, putShop, savePart } from './shop'

const TODAY = '2026-11-23'
const every = (version: number) => Object.fromEntries(SHOP_PARTS.map((part) => [part, version]))
let db: Database
beforeEach(async () => {
  db = await openDatabase(':memory:')
})

describe('an empty database', () => {
  it('gets STRICT tables with foreign keys on', async () => {
    const { rows } = await sql<{ name: string; strict: number }>`
      SELECT name, strict FROM pragma_table_list WHERE schema = 'main' AND type = 'table'
        AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'kysely_%'`.execute(db)
    expect(rows.length).toBeGreaterThan(15)
    expect(rows.filter((r) => r.strict !== 1)).toEqual([])
    const keys = await sql<{ foreign_keys: number }>`PRAGMA foreign_keys`.execute(db)
    expect(keys.rows[0]?.foreign_keys).toBe(1)
  })
  it('has no shop and starts its orders at 1001', async () => {
    expect(await loadShop(db)).toMatchObject({ versions: every(0), shelf: { shop: { presses: [] } } })
    expect(await nextOrderId(db)).toBe('O-1001')
  })
  it('refuses what the trade does not know', async () => {
    const bad = { id: 'x', place: 0, name: 'x', kind: 'magic' as never, press_id: 'none' }
    await expect(db.insertInto('flash_unit').values(bad).execute()).rejects.toThrow(/constraint/i)
    const lost = {
      order_id: 'O-9',
      id: 'G1',
      place: 0,
      style: '',
      cloth_name: '',
      hex: '',
      weave: '',
      cotton: 1,
      polyester: 0,
      weight: 0.1,
      cloth_group: '',
    }
    await expect(db.insertInto('garment_line').values(lost).execute()).rejects.toThrow(/FOREIGN KEY/)
  })
})

describe('the demo', () => {
  beforeEach(() => seedDemo(db, TODAY))
  it('reads back as it was written: shop, shelf, ten orders, decisions', async () => {
    expect(await loadShop(db)).toEqual({ versions: every(1), shelf: demoShelf(TODAY) })
    const sorted = (rows: readonly Order[]) => [...rows].sort((a, b) => a.id.localeCompare(b.id))
    const orders = await loadOrders(db)
    expect(sorted(orders.map((o) => o.order))).toEqual(demoOrders(TODAY))
    const decisions = await loadDecisions(db)
    for (const d of DEMO_DECISIONS) expect(decisions.get(d.runId)).toEqual({ decisions: d, version: 2 })
  })
  it('is not laid twice', async () => {
    await seedDemo(db, TODAY)
    expect(await loadOrders(db)).toHaveLength(10)
  })
})

describe('two people', () => {
  const [order] = demoOrders(TODAY)
  if (!order) throw new Error('no demo order')
  beforeEach(() => addOrder(db, order))
  it('a stale order is refused whole, and what is there now comes back', async () => {
    expect(await saveOrder(db, { ...order, notes: 'first' }, 1)).toEqual({ ok: true, version: 2 })
    const late = await saveOrder(db, { ...order, notes: 'late', placements: [] }, 1)
    expect(late).toMatchObject({ ok: false, now: { version: 2, order: { notes: 'first' } } })
    expect((await loadOrder(db, order.id))?.order.placements).toEqual(order.placements)
  })
  it('stale decisions are refused; decisions outlive a run that is gone for a moment', async () => {
    const decisions = {
      runId: 'R-1001-P1-dark',
      method: { white: 'smoothing' },
      overrides: { press: 'six', offContact: 0.002 },
      order: ['base', 'I1'],
    } as const
    expect(await saveDecisions(db, decisions, 1)).toEqual({ ok: true, version: 2 })
    expect(await saveDecisions(db, { ...decisions, order: [] }, 1)).toMatchObject({
      ok: false,
      now: { version: 2, decisions },
    })
    await saveOrder(db, { ...order, lines: [] }, 1)
    await saveOrder(db, order, 2)
    expect((await loadDecisions(db, [order.id])).get('R-1001-P1-dark')?.decisions).toEqual(decisions)
  })
  it('a choice of another program that cannot be is left out and told', async () => {
    const runId = 'R-1001-P1-dark'
    await saveDecisions(db, { ...noDecisions(runId), overrides: { offContact: 0.002 } }, 1)
    await db
      .insertInto('decision')
      .values({ run_id: runId, kind: 'override', key: 'strokes.I1', number: 900, word: null })
      .execute()
    expect((await loadDecisions(db, [order.id])).get(runId)).toEqual({
      decisions: { ...noDecisions(runId), overrides: { offContact: 0.002 } },
      version: 2,
      lost: { 'strokes.I1': 900 },
    })
  })
  it('a failed write leaves nothing behind', async () => {
    const [first] = order.lines
    const twice = { ...order, id: 'O-1002', lines: [first, first] as typeof order.lines }
    await expect(addOrder(db, twice)).rejects.toThrow()
    expect(await loadOrder(db, 'O-1002')).toBeUndefined()
  })
})

describe('what frames carry', () => {
  it('reads back with every step and reading, through any number of saves (property)', async () => {
    await putShop(db, DEMO_SHELF)
    let version = 1
    const reading = fc.record({
      on: fc.constantFrom('2026-06-01', '2026-09-12', '2026-11-24'),
      tension: fc.double({ min: 1, max: 5000, noNaN: true }),
    })
    const stencil = fc.record({
      order: fc.constantFrom('O-1001', 'O-0958'),
      print: fc.constant('P1'),
      hit: fc.constantFrom('base', 'I1'),
      words: fc.string({ maxLength: 20 }),
      emulsionId: fc.constantFrom('dual', 'gone'),
      coats: fc.integer({ min: 1, max: 7 }),
      done: fc.array(
        fc.record({ step: fc.constantFrom(...STEP_NAMES), at: fc.constant('2026-11-24T08:00') }),
        { maxLength: 8 },
      ),
    })
    const carried = fc.record(
      { readings: fc.array(reading, { maxLength: 4 }), stencil },
      { requiredKeys: ['readings'] },
    )
    await fc.assert(
      fc.asyncProperty(fc.array(carried, { minLength: 3, maxLength: 3 }), async (on) => {
        const frames = DEMO_SHELF.shop.frames.map((f, i) => ({ ...f, ...on[i] }))
        const shelf = { ...DEMO_SHELF, shop: { ...DEMO_SHELF.shop, frames } }
        expect(await savePart(db, 'frames', partOf(shelf, 'frames'), version)).toEqual({
          ok: true,
          version: version + 1,
        })
        version++
        expect((await loadShop(db)).shelf).toEqual(shelf)
      }),
      { numRuns: 25 },
    )
  })
  it('a frame that goes takes its stencil along; a shop from before has the usual mesh table', async () => {
    const shelf = demoShelf(TODAY)
    await putShop(db, shelf)
    const frames = shelf.shop.frames.filter((f) => f.stencil === undefined)
    expect(frames.length).toBeLessThan(shelf.shop.frames.length)
    await savePart(db, 'frames', { shop: { frames } }, 1)
    expect(await db.selectFrom('stencil_step').selectAll().execute()).toEqual([])
    for (const table of ['screen_room', 'fabric', 'emulsion', 'lamp', 'step_test'] as const)
      await db.deleteFrom(table).execute()
    await db.updateTable('shop_part').set({ version: 9 }).where('part', '=', 'screens').execute()
    expect((await loadShop(db)).shelf.shop.screens).toEqual(USUAL_SCREENS)
  })
})

describe('any order', () => {
  it('reads back as it was written, through any number of saves (property)', async () => {
    const text = fc.string({ maxLength: 12 })
    const word = <T extends object>(table: T) =>
      fc.constantFrom(...(Object.keys(table) as (keyof T & string)[]))
    const share = fc.double({ min: 0.001, max: 1, noNaN: true })
    const ink = fc.record({
      name: text,
      hex: fc.constantFrom('#000000', '#b8232c', '#f4f4f0'),
      inkType: word(INK_TYPES),
      opacity: word(OPACITIES),
      coverage: share,
      system: word(SYSTEMS),
      // The database knows one zero.
      angle: fc.double({ min: -1, max: 1, noNaN: true }).map((a) => a + 0),
      line: share,
      particle: share,
      deposit: share,
      lowCure: fc.boolean(),
    })
    const print = fc.record({
      where: word(WHERES),
      width: fc.double({ min: 0.01, max: 1, noNaN: true }),
      height: fc.double({ min: 0.01, max: 1, noNaN: true }),
      sizes: fc.constantFrom('all' as const, 'adult' as const, 'kids' as const),
      inks: fc.array(ink, { maxLength: 4 }),
      meets: fc.boolean(),
      clothDraws: fc.constantFrom(undefined, 'dark' as const, 'light' as const),
      can: fc.constantFrom(undefined, { stretches: true, airDry: 86_400, maker: 'Northlight' }),
    })
    const line = fc.record({
      style: text,
      name: text,
      weave: word(WEAVES),
      cotton: share,
      elastane: fc.constantFrom(undefined, 0.05),
      dye: fc.constantFrom(undefined, 'undyed' as const, 'bleeds' as const),
      group: fc.constantFrom('', 'dark', 'apart'),
      sizes: fc.uniqueArray(fc.constantFrom(...SIZE_NAMES), { maxLength: 4 }),
      quantity: fc.nat(1000),
    })
    const anyOrder = fc
      .record({
        customer: text,
        notes: text,
        pvcFree: fc.boolean(),
        lines: fc.array(line, { maxLength: 3 }),
        prints: fc.array(print, { maxLength: 3 }),
      })
      .map(
        ({ customer, notes, pvcFree, lines, prints }): Order => ({
          id: 'O-2000',
          customer,
          title: '',
          due: TODAY,
          notes,
          ...(pvcFree && { pvcFree }),
          lines: lines.map(({ style, name, weave, cotton, elastane, dye, group, sizes, quantity }, i) => ({
            id: `G${i}`,
            style,
            cloth: {
              ...{ name, hex: '#1f2a44', weave, cotton, polyester: 1 - cotton, weight: 0.18 },
              ...(elastane && { elastane }),
              ...(dye && { dye }),
            },
            sizes: sizes.map((size) => ({ size, quantity })),
            group,
          })),
          placements: prints.map(({ inks, meets, clothDraws, can, ...p }, i) => ({
            ...p,
            ...(clothDraws && { clothDraws }),
            id: `P${i}`,
            inks: inks.map((x, k) => ({
              ...x,
              id: `I${k}`,
              ...(k === 0 && { ruling: 2000 }),
              ...(can && { can }),
            })),
            relations: meets && inks.length > 1 ? [{ a: 'I0', b: 'I1', how: 'overlap', width: 0.0003 }] : [],
          })),
        }),
      )
    await addOrder(db, {
      id: 'O-2000',
      customer: 'x',
      title: '',
      due: TODAY,
      notes: '',
      lines: [],
      placements: [],
    })
    let version = 1
    await fc.assert(
      fc.asyncProperty(anyOrder, async (order) => {
        expect(await saveOrder(db, order, version)).toEqual({ ok: true, version: version + 1 })
        version++
        expect(await loadOrder(db, 'O-2000')).toEqual({ order, version, state: 'open' })
      }),
      { numRuns: 60 },
    )
  })
})
