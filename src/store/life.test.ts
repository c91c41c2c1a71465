import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { format } from 'date-fns'
import { sql } from 'kysely'
import Sqlite from 'libsql'
import { beforeEach, describe, expect, it } from 'vitest'
import { partOf, TEMPLATES } from '@/core/equipment'
import { keptGood, noDecisions, plan, settingsOf } from '@/core/plan'
import { readArchive, replaceAll } from './archive'
import { backUp, backUpNightly, listBackups, replaceDamaged, restore, sweepHalfMade } from './backup'
import { changeStamp, closeDatabase, type Database, database, openDatabase } from './database'
import { loadDecisions, saveDecisions } from './decisions'
import { DEMO_SHELF, DEMO_SHOP, demoOrders, seedDemo } from './demo'
import { addFilms, keepFile } from './films'
import { receiveCans } from './inkRoom'
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
import { latestRevisions, release, revisionByCode, revisionsOf } from './revisions'
import { loadShop, putShop, savePart } from './shop'
import { soundDatabase } from './sound'
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
    expect(await revisionsOf(db, RUN)).toHaveLength(1)
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
    const query = { text: '', show: 'deleted' as const, offset: 0, limit: 10 }
    expect(await findOrders(db, query)).toEqual({ ids: ['O-1001'], total: 1 })
    const { order } = frozen()
    expect(await saveOrder(db, order, 2)).toMatchObject({ ok: false, now: { deletedAt: NOW.toISOString() } })
    expect(await bringBackOrder(db, 'O-1001')).toBe(true)
    expect(await loadOrder(db, 'O-1001')).toEqual({ ...before, version: 3 })
  })
  it('is kept for thirty days', async () => {
    await deleteOrder(db, 'O-1001', NOW)
    for (let day = 0; day < 30; day += 0.5) await forgetDeleted(db, days(day))
    expect(await loadOrder(db, 'O-1001')).toBeDefined()
    await forgetDeleted(db, days(30.1))
    expect(await loadOrder(db, 'O-1001')).toBeUndefined()
    expect((await loadDecisions(db)).has(RUN)).toBe(false)
  })
  it('outlives a clock that jumps ahead or back', async () => {
    await deleteOrder(db, 'O-1001', NOW)
    for (const day of [0, 4000, 1, 400, 2, 3]) await forgetDeleted(db, days(day))
    expect(await loadOrder(db, 'O-1001')).toBeDefined()
    expect(await bringBackOrder(db, 'O-1001')).toBe(true)
  })
})

describe('a list of orders', () => {
  const find = (text: string, offset = 0, limit = 50) =>
    findOrders(db, { text, show: 'current', offset, limit })
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
      await putShop(db, shelf)
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
    await putShop(db, shelf)
    expect((await loadShop(db)).shelf).toEqual(shelf)
  })
  it('refuses a stale write whole', async () => {
    const settings = partOf(DEMO_SHELF, 'settings')
    await savePart(db, 'settings', { ...settings, inks: [] }, 1)
    const late = await savePart(db, 'settings', settings, 1)
    expect(late).toMatchObject({ ok: false, now: { version: 2, value: { inks: [] } } })
  })
})

describe('summaries', () => {
  it('come with the stamp of their facts, one a run', async () => {
    await keepSummaries(db, [{ runId: RUN, stamp: '1.1', facts: { press: 'four' } }])
    await keepSummaries(db, [{ runId: RUN, stamp: '1.2', facts: { press: 'six' } }])
    expect((await keptSummaries(db, [RUN])).get(RUN)).toEqual({
      runId: RUN,
      stamp: '1.2',
      facts: { press: 'six' },
    })
  })
  it('are no news to anyone, and those of runs that went are dropped', async () => {
    const stamp = await changeStamp(db)
    await keepSummaries(db, [
      { runId: RUN, stamp: '1', facts: {} },
      { runId: 'R-9-P1-dark', stamp: '1', facts: {} },
    ])
    expect(await changeStamp(db)).toBe(stamp)
    expect((await keptSummaries(db, [RUN, 'R-9-P1-dark'])).size).toBe(1)
  })
  it('are renewed when the program starts again', async () => {
    await keepSummaries(db, [{ runId: RUN, stamp: '1', facts: {} }])
    const again = await openDatabase(join(folder, 'orvint.sqlite'))
    expect((await keptSummaries(again, [RUN])).get(RUN)?.stamp).toBe('')
    await again.destroy()
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
  /** What a shop never entered, or what is found again from what it did. */
  const LEFT_OUT: Readonly<Record<string, string>> = {
    done: 'acts that were asked for, remembered for days',
    tidied: 'when this database was last tidied',
    run_summary: 'planned anew',
    film_reading: 'read off the films anew',
  }
  it('carries every table of the database that is not left out for a reason', async () => {
    await release(db, frozen(), 0, NOW)
    await saveDecisions(db, { ...noDecisions(RUN), overrides: { offContact: 0.003 }, order: ['base'] }, 1)
    await addFilms(db, 'O-1001', 'P1', [
      {
        ink: 'I1',
        name: 'a.png',
        hash: 'a'.repeat(64),
        page: 0,
        across: 10,
        down: 10,
        dpi: 300,
        raster: true,
      },
    ])
    const { shelf } = await loadShop(db)
    const good = settingsOf(frozen().plan, frozen().order, TODAY)
    await putShop(db, { ...shelf, shop: keptGood(shelf.shop, good) })
    const other = await openDatabase(':memory:')
    await replaceAll(other, asJson(await readArchive(db)))
    const { rows: tables } = await sql<{ name: string }>`
      SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite%' AND name NOT LIKE 'kysely%'`.execute(
      db,
    )
    const rowsOf = async (of: Database, name: string) => {
      const { rows } = await sql<Record<string, unknown>>`SELECT * FROM ${sql.table(name)}`.execute(of)
      const plain = rows.map(({ version: _, deleted_days: __, ...row }) => JSON.stringify(row))
      return plain.sort()
    }
    const names = tables.map((t) => t.name)
    for (const name of Object.keys(LEFT_OUT)) expect(names).toContain(name)
    const lost: string[] = []
    const empty: string[] = []
    for (const name of names.filter((n) => !Object.hasOwn(LEFT_OUT, n))) {
      const [before, after] = [await rowsOf(db, name), await rowsOf(other, name)]
      if (before.length === 0) empty.push(name)
      if (JSON.stringify(before) !== JSON.stringify(after)) lost.push(name)
    }
    expect(lost).toEqual([])
    // A table that nothing fills is tried by no one.
    expect(empty).toEqual([])
  })
  it('holds cans, tubs, ledger and drawdowns; one whose ledger goes below nothing is refused whole', async () => {
    const [can] = await receiveCans(db, [{ code: 'W1', lot: 'L7', mass: 1 }], '2026-11-23T09:00')
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
    const settings = partOf(DEMO_SHELF, 'settings')
    await savePart(db, 'settings', { ...settings, inks: [] }, 1)
    await restore(db, name, days(1))
    expect(await readArchive(db)).toEqual(before)
    expect(await listBackups()).toHaveLength(2)
    // Versions go on: whoever still has the page of before the restore is told.
    expect(await saveOrder(db, order, 2)).toMatchObject({ ok: false })
    expect(await saveOrder(db, order, 1)).toMatchObject({ ok: false })
    for (const version of [1, 2])
      expect(await savePart(db, 'settings', settings, version)).toMatchObject({ ok: false })
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
    for (const [name, said] of [
      ['orvint-2026-01-01-000000.sqlite', /is damaged, so nothing was changed/],
      ['orvint-2025-01-01-000000.sqlite', /There is no backup/],
      ['../orvint.sqlite', /There is no backup/],
    ] as const)
      expect(await restore(db, name, NOW)).toEqual({ ok: false, message: expect.stringMatching(said) })
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
  it('torn by a kill or a full disk are no backups: never restored, never counted', async () => {
    const now = new Date()
    mkdirSync(join(folder, 'backups'), { recursive: true })
    const torn = `orvint-${format(now, 'yyyy-MM-dd-HHmmss')}.sqlite`
    writeFileSync(join(folder, 'backups', torn), '')
    const before = await readArchive(db)
    expect(await restore(db, torn, now)).toMatchObject({ ok: false })
    expect(await readArchive(db)).toEqual(before)
    await backUpNightly(db, now)
    expect((await listBackups()).filter((b) => b.whole)).toHaveLength(1)
  })
  it('the oldest of thirty is restored and still there', async () => {
    const first = await backUp(db, NOW)
    for (let i = 1; i < 30; i++) await backUp(db, days(i))
    await deleteOrder(db, 'O-1001', NOW)
    expect(await restore(db, first, days(40))).toMatchObject({ ok: true })
    expect((await loadOrder(db, 'O-1001'))?.deletedAt).toBeUndefined()
    expect((await listBackups()).map((b) => b.name)).toContain(first)
  })
  it('two in one second are two', async () => {
    const names = await Promise.all([backUp(db, NOW), backUp(db, NOW), backUp(db, NOW)])
    expect(new Set(names).size).toBe(3)
    expect(await listBackups()).toHaveLength(3)
  })
  it('hold the film files, each once, and bring them back', async () => {
    mkdirSync(join(folder, 'films'), { recursive: true })
    const incoming = join(folder, 'films', 'incoming-1')
    writeFileSync(incoming, 'a film')
    const hash = await keepFile(incoming)
    await addFilms(db, 'O-1001', 'P1', [
      { ink: '', name: 'a.png', hash, page: 0, across: 10, down: 10, raster: true },
    ])
    const name = await backUp(db, NOW)
    await backUp(db, days(1))
    expect(readdirSync(join(folder, 'backups', 'films'))).toEqual([hash])
    rmSync(join(folder, 'films', hash))
    expect(await restore(db, name, days(2))).toMatchObject({ ok: true })
    expect(readFileSync(join(folder, 'films', hash), 'utf8')).toBe('a film')
  })
  it('what a crash left half made is swept away at the start', async () => {
    mkdirSync(join(folder, 'backups'), { recursive: true })
    mkdirSync(join(folder, 'films'), { recursive: true })
    for (const name of ['making-1', 'backups/making-2', 'films/incoming-3'])
      writeFileSync(join(folder, name), 'half')
    await sweepHalfMade()
    expect(
      [folder, join(folder, 'backups'), join(folder, 'films')].flatMap((f) => readdirSync(f)).join(),
    ).not.toMatch(/making|incoming/)
  })
})

describe('a file in place of the database', () => {
  const inPlace = async (bytes: string | Uint8Array) => {
    const file = join(mkdtempSync(join(tmpdir(), 'orvint-odd-')), 'orvint.sqlite')
    writeFileSync(file, bytes)
    const found = await soundDatabase(file).catch((e: unknown) => e)
    expect(Buffer.from(readFileSync(file))).toEqual(Buffer.from(bytes))
    return diskProblem(found)
  }
  const made = (statements: string) => {
    const file = join(mkdtempSync(join(tmpdir(), 'orvint-odd-')), 'x.sqlite')
    const sqlite = new Sqlite(file)
    sqlite.exec(statements)
    sqlite.close()
    return readFileSync(file)
  }
  it('of 0 bytes is no empty shop; text, another program and a newer Orvint are named; each stays as it was', async () => {
    expect(await inPlace('')).toMatch(/empty, 0 bytes.*recover/)
    expect(await inPlace('hello, this is a letter to the shop')).toMatch(/no database at all/)
    expect(await inPlace(made('CREATE TABLE song (name TEXT)'))).toMatch(/another program/)
    await backUp(db, NOW)
    const [{ name = '' } = {}] = await listBackups()
    const newer = join(folder, 'backups', name)
    const sqlite = new Sqlite(newer)
    sqlite.exec(`INSERT INTO kysely_migration VALUES ('999_from_tomorrow', '2030-01-01')`)
    sqlite.close()
    expect(await inPlace(readFileSync(newer))).toMatch(/newer Orvint/)
  })
  it('that is damaged gives way to a backup and is kept beside it; versions begin above those of before', async () => {
    const name = await backUp(db, NOW)
    await db.destroy()
    await closeDatabase()
    for (const end of ['-wal', '-shm']) rmSync(join(folder, `orvint.sqlite${end}`), { force: true })
    writeFileSync(join(folder, 'orvint.sqlite'), 'SQLite format 3\0 and then nothing of it')
    await expect(database()).rejects.toThrow()
    expect(await replaceDamaged(name, NOW)).toMatchObject({ ok: true })
    const again = await database()
    expect((await loadOrders(again)).length).toBeGreaterThan(0)
    expect((await loadOrder(again, 'O-1001'))?.version).toBeGreaterThan(1_000_000)
    expect(readdirSync(folder).some((n) => n.startsWith('damaged-'))).toBe(true)
    await closeDatabase()
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
