import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'kysely'
import { beforeEach, describe, expect, it } from 'vitest'
import { TEMPLATES } from '@/core/equipment'
import { noDecisions, plan } from '@/core/plan'
import { readArchive, replaceAll } from './archive'
import { backUp, backUpNightly, listBackups, restore } from './backup'
import { changeStamp, type Database, openDatabase } from './database'
import { loadDecisions, saveDecisions } from './decisions'
import { DEMO_SHELF, DEMO_SHOP, demoOrders, seedDemo } from './demo'
import { receiveCan } from './inkRoom'
import {
  addOrders,
  bringBackOrder,
  deleteOrder,
  findOrders,
  forgetDeleted,
  loadOrder,
  loadOrders,
  saveOrder,
} from './orders'
import { diskProblem } from './problems'
import { allRevisions, latestRevisions, release, revisionByCode, revisionsOf } from './revisions'
import { loadShop, saveShop } from './shop'
import { keepSummaries, keptSummaries } from './summaries'

const TODAY = '2026-11-23'
const NOW = new Date('2026-11-23T09:00:00Z')
const days = (n: number) => new Date(NOW.getTime() + n * 86_400_000)
const RUN = 'R-1001-P1-dark'

let folder: string
let db: Database
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'orvint-store-'))
  process.env.ORVINT_DATA = folder
  db = await openDatabase(join(folder, 'orvint.sqlite'))
  await seedDemo(db, TODAY)
})
const frozen = () => {
  const [order] = demoOrders(TODAY)
  if (!order) throw new Error('no order')
  return { order, plan: plan(order, DEMO_SHOP, noDecisions(RUN)), shopName: DEMO_SHOP.name }
}
const asJson = (x: unknown) => JSON.parse(JSON.stringify(x))

describe('a released revision', () => {
  it('is kept whole, numbered, and answers to its code', async () => {
    const first = await release(db, frozen(), 0, NOW)
    const second = await release(db, frozen(), 1, days(1))
    expect([first?.number, second?.number]).toEqual([1, 2])
    expect(asJson((await revisionsOf(db, RUN))[0])).toEqual(asJson(first))
    expect((await revisionsOf(db, RUN))[0]?.plan).toEqual(asJson(frozen().plan))
    const answer = await revisionByCode(db, first?.code.toLowerCase() ?? '')
    expect([answer?.revision.number, answer?.last.number]).toEqual([1, 2])
    expect(await revisionByCode(db, 'AAAAA')).toBeUndefined()
    expect((await latestRevisions(db, [RUN, 'R-9'])).get(RUN)?.number).toBe(2)
  })
  it('is refused when someone else released meanwhile', async () => {
    await release(db, frozen(), 0, NOW)
    expect(await release(db, frozen(), 0, NOW)).toBeUndefined()
    expect(await allRevisions(db)).toHaveLength(1)
  })
  it('can never be edited, and outlives a change of its order', async () => {
    await release(db, frozen(), 0, NOW)
    await expect(db.updateTable('revision').set({ frozen: '{}' }).execute()).rejects.toThrow(/never edited/)
    const { order } = frozen()
    await saveOrder(db, { ...order, lines: [] }, 1)
    expect(await revisionsOf(db, RUN)).toHaveLength(1)
  })
  it('each has a code of its own', async () => {
    for (let n = 0; n < 200; n++) await release(db, frozen(), n, NOW)
    expect(new Set((await revisionsOf(db, RUN)).map((r) => r.code)).size).toBe(200)
  })
})

describe('a deleted order', () => {
  it('is gone from every list but its own, refuses writes, and comes back whole', async () => {
    const before = await loadOrder(db, 'O-1001')
    expect(await deleteOrder(db, 'O-1001', NOW)).toBe(true)
    expect(await deleteOrder(db, 'O-1001', NOW)).toBe(false)
    expect((await loadOrders(db)).map((o) => o.order.id)).not.toContain('O-1001')
    const query = { text: '', deleted: true, offset: 0, limit: 10 }
    expect(await findOrders(db, query)).toEqual({ ids: ['O-1001'], total: 1 })
    const { order } = frozen()
    expect(await saveOrder(db, order, 2)).toMatchObject({ ok: false, now: { deletedAt: NOW.toISOString() } })
    expect(await bringBackOrder(db, 'O-1001')).toBe(true)
    expect(await loadOrder(db, 'O-1001')).toEqual({ ...before, version: 3 })
  })
  it('is kept for thirty days', async () => {
    await deleteOrder(db, 'O-1001', NOW)
    await forgetDeleted(db, days(29.9))
    expect(await loadOrder(db, 'O-1001')).toBeDefined()
    await forgetDeleted(db, days(30.1))
    expect(await loadOrder(db, 'O-1001')).toBeUndefined()
    expect((await loadDecisions(db)).has(RUN)).toBe(false)
  })
})

describe('a list of orders', () => {
  const find = (text: string, offset = 0, limit = 50) =>
    findOrders(db, { text, deleted: false, offset, limit })
  it('is found by customer, job and number, a page at a time', async () => {
    expect((await find('kittiwake')).ids).toEqual(['O-1003'])
    expect((await find('1007')).ids).toEqual(['O-1007'])
    expect((await find('zzz')).total).toBe(0)
    expect((await find('%')).total).toBe(0)
    const all = await find('')
    expect(all.total).toBe(10)
    expect((await find('', 3, 4)).ids).toEqual(all.ids.slice(3, 7))
    expect((await loadOrders(db, all.ids)).map((o) => o.order.id)).toEqual(all.ids)
  })
  it('takes many orders or none', async () => {
    const { order } = frozen()
    const many = ['O-2001', 'O-2002'].map((id) => ({ ...order, id }))
    await expect(addOrders(db, [...many, order])).rejects.toThrow(/UNIQUE/)
    expect((await find('')).total).toBe(10)
    await addOrders(db, many)
    expect((await find('')).total).toBe(12)
  })
})

describe('the shop', () => {
  it.each(TEMPLATES.map((t) => [t.name, t.shelf] as const))(
    '%s reads back as it was written',
    async (_, shelf) => {
      expect(await saveShop(db, shelf, 1)).toEqual({ ok: true, version: 2 })
      expect((await loadShop(db)).shelf).toEqual(shelf)
    },
  )
  it('keeps heads that are down, hours and breaks', async () => {
    const [first, ...rest] = DEMO_SHOP.presses
    if (first?.kind !== 'manual') throw new Error('no manual press')
    const hours = { days: [2, 6], from: 3600, to: 7200, breaks: [{ from: 4000, to: 5000 }] }
    const shelf = {
      ...DEMO_SHELF,
      shop: { ...DEMO_SHOP, presses: [{ ...first, down: [3] }, ...rest], hours },
    }
    await saveShop(db, shelf, 1)
    expect((await loadShop(db)).shelf).toEqual(shelf)
  })
  it('refuses a stale write whole', async () => {
    await saveShop(db, { ...DEMO_SHELF, inks: [] }, 1)
    const late = await saveShop(db, DEMO_SHELF, 1)
    expect(late).toMatchObject({ ok: false, now: { version: 2, shelf: { inks: [] } } })
  })
})

describe('summaries', () => {
  it('hold only as long as their stamp', async () => {
    await keepSummaries(db, [{ runId: RUN, stamp: '1.1', facts: { press: 'four' } }])
    await keepSummaries(db, [{ runId: RUN, stamp: '1.2', facts: { press: 'six' } }])
    expect((await keptSummaries(db, [{ runId: RUN, stamp: '1.2' }])).get(RUN)).toEqual({ press: 'six' })
    expect((await keptSummaries(db, [{ runId: RUN, stamp: '1.1' }])).size).toBe(0)
  })
  it('are forgotten when the program starts again', async () => {
    await keepSummaries(db, [{ runId: RUN, stamp: '1', facts: {} }])
    const again = await openDatabase(join(folder, 'orvint.sqlite'))
    expect((await keptSummaries(again, [{ runId: RUN, stamp: '1' }])).size).toBe(0)
  })
})

it('a stamp changes with every write, of this program or another', async () => {
  const stamps = [await changeStamp(db)]
  expect(await changeStamp(db)).toBe(stamps[0])
  await deleteOrder(db, 'O-1001', NOW)
  stamps.push(await changeStamp(db))
  const other = await openDatabase(join(folder, 'orvint.sqlite'))
  await bringBackOrder(other, 'O-1001')
  stamps.push(await changeStamp(db))
  expect(new Set(stamps).size).toBe(3)
})

describe('the archive', () => {
  it('holds everything and puts it back (round trip)', async () => {
    await release(db, frozen(), 0, NOW)
    await deleteOrder(db, 'O-1002', NOW)
    const { order } = frozen()
    await saveOrder(db, { ...order, lines: order.lines.map((l) => ({ ...l, group: 'apart' })) }, 1)
    const archive = await readArchive(db)
    expect(archive.orders).toHaveLength(10)
    const other = await openDatabase(':memory:')
    await replaceAll(other, asJson(archive))
    expect(asJson(await readArchive(other))).toEqual(asJson(archive))
  })
  it('holds cans, tubs, ledger and drawdowns; one whose ledger goes below nothing is refused whole', async () => {
    const can = await receiveCan(db, { code: 'W1', lot: 'L7', mass: 1 }, '2026-11-23T09:00')
    const archive = await readArchive(db)
    expect(archive.inkBook?.can).toContainEqual(expect.objectContaining({ id: can, lot: 'L7' }))
    const other = await openDatabase(':memory:')
    await replaceAll(other, asJson(archive))
    expect((await readArchive(other)).inkBook).toEqual(archive.inkBook)
    const entries = archive.inkBook?.stock_entry.map((e) => ({ ...e, mass: -1 })) ?? []
    const broken = { ...archive, inkBook: archive.inkBook && { ...archive.inkBook, stock_entry: entries } }
    await expect(replaceAll(other, asJson(broken))).rejects.toThrow('stock below nothing')
    expect((await readArchive(other)).inkBook).toEqual(archive.inkBook)
  })
  it('changes nothing when it does not fit', async () => {
    const archive = await readArchive(db)
    const [first] = archive.orders
    await expect(replaceAll(db, { ...archive, orders: first ? [first, first] : [] })).rejects.toThrow()
    expect(await readArchive(db)).toEqual(archive)
  })
  it('tells whoever still has an old page', async () => {
    const { order } = frozen()
    await replaceAll(db, await readArchive(db))
    expect(await saveOrder(db, order, 1)).toMatchObject({ ok: false })
    expect(await saveDecisions(db, noDecisions(RUN), 1)).toMatchObject({ ok: false })
  })
})

describe('backups', () => {
  it('are restored as they were, and what was there is backed up first', async () => {
    await release(db, frozen(), 0, NOW)
    const before = await readArchive(db)
    const name = await backUp(db, NOW)
    const { order } = frozen()
    await saveOrder(db, { ...order, notes: 'later' }, 1)
    await saveShop(db, { ...DEMO_SHELF, inks: [] }, 1)
    await restore(db, name, days(1))
    expect(await readArchive(db)).toEqual(before)
    expect(await listBackups()).toHaveLength(2)
    const sound = await sql<{ integrity_check: string }>`PRAGMA integrity_check`.execute(db)
    expect(sound.rows[0]?.integrity_check).toBe('ok')
    expect((await sql`PRAGMA foreign_key_check`.execute(db)).rows).toEqual([])
  })
  it('that are missing or damaged change nothing', async () => {
    await backUp(db, NOW)
    const before = await readArchive(db)
    writeFileSync(
      join(folder, 'backups', 'orvint-2026-01-01-000000.sqlite'),
      'not a database, whatever it says',
    )
    await expect(restore(db, 'orvint-2026-01-01-000000.sqlite', NOW)).rejects.toThrow()
    await expect(restore(db, 'orvint-2025-01-01-000000.sqlite', NOW)).rejects.toThrow()
    await expect(restore(db, '../orvint.sqlite', NOW)).rejects.toThrow(/no backup/)
    expect(await readArchive(db)).toEqual(before)
  })
  it('are made once a night, and the oldest go', async () => {
    const now = new Date()
    await backUpNightly(db, now)
    await backUpNightly(db, now)
    expect(await listBackups()).toHaveLength(1)
    for (let i = 1; i <= 31; i++) await backUp(db, new Date(now.getTime() + i * 60_000))
    expect(await listBackups()).toHaveLength(30)
  })
})

describe('a disk that fails', () => {
  it('full: says so, and nothing is half written', async () => {
    const { rows } = await sql<{ page_count: number }>`PRAGMA page_count`.execute(db)
    await sql.raw(`PRAGMA max_page_count = ${rows[0]?.page_count}`).execute(db)
    const before = await readArchive(db)
    const { order } = frozen()
    const long = { ...order, notes: 'x'.repeat(2_000_000) }
    const error = await saveOrder(db, long, 1).catch((e: unknown) => e)
    expect(diskProblem(error)).toMatch(/^The disk is full/)
    expect(await readArchive(db)).toEqual(before)
    expect(await saveOrder(db, { ...order, notes: 'short' }, 1)).toEqual({ ok: true, version: 2 })
  })
  it('read-only: says so', async () => {
    await sql`PRAGMA query_only = ON`.execute(db)
    const error = await deleteOrder(db, 'O-1001', NOW).catch((e: unknown) => e)
    expect(diskProblem(error)).toMatch(/cannot be written/)
  })
  it('knows the usual codes and leaves other errors alone', () => {
    expect(diskProblem({ code: 'ENOSPC' })).toMatch(/full/)
    expect(diskProblem({ code: 'EROFS' })).toMatch(/cannot be written/)
    expect(diskProblem({ code: 'SQLITE_CORRUPT' })).toMatch(/damaged/)
    expect(diskProblem(new Error('a bug'))).toBeUndefined()
  })
})
