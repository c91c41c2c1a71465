import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { format } from 'date-fns'
import { sql } from 'kysely'
import Sqlite from 'libsql'
import { beforeEach, describe, expect, it } from 'vitest'
import { partOf } from '@/core/equipment'
import { readArchive } from './archive'
import { backUp, backUpNightly, listBackups, replaceDamaged, restore, sweepHalfMade } from './backup'
import { closeDatabase, type Database, database, openDatabase } from './database'
import { DEMO_SHELF, seedDemo } from './demo'
import { addFilms, filmFile, incomingFile, keepFile } from './films'
import { deleteOrder, loadOrder, loadOrders, saveOrder } from './orders'
import { takeEvents } from './pressEvents'
import { diskProblem } from './problems'
import { days, frozen, NOW, RUN, TODAY } from './released.fixtures'
import { release } from './revisions'
import { savePart } from './shop'
import { soundDatabase } from './sound'

let folder: string
let db: Database
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'orvint-store-'))
  process.env.ORVINT_DATA = folder
  db = await openDatabase(join(folder, 'orvint.sqlite'))
  await seedDemo(db, TODAY)
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
  it('hold the pictures of samples too', async () => {
    const incoming = await incomingFile()
    writeFileSync(incoming, 'a picture')
    const hash = await keepFile(incoming)
    const stamp = { id: 'event-of-a-sample', pad: 'A', seq: 1, at: '2026-11-23T09:00:00.000Z' }
    const sample = {
      kind: 'sample',
      of: 'scrap',
      verdict: 'approved',
      judge: 'lead',
      photos: [hash],
    } as const
    await takeEvents(db, RUN, [{ ...stamp, ...sample }])
    const name = await backUp(db, NOW)
    rmSync(filmFile(hash))
    await restore(db, name, days(1))
    expect(readFileSync(filmFile(hash), 'utf8')).toBe('a picture')
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
    // Another file, not the same one written over: the engine lets go of a closed one late, and would put its last pages back.
    for (const end of ['', '-wal', '-shm']) rmSync(join(folder, `orvint.sqlite${end}`), { force: true })
    writeFileSync(join(folder, 'orvint.sqlite'), 'SQLite format 3\0 and then nothing of it')
    await expect(database()).rejects.toThrow()
    // Others ask all the while: they wait, and none of them makes a new shop of a file that is away for a moment.
    const seen: number[] = []
    let going = true
    const asking = (async () => {
      while (going) {
        const found = await database().catch(() => undefined)
        if (found) seen.push((await loadOrders(found)).length)
        await new Promise((resume) => setImmediate(resume))
      }
    })()
    expect(await replaceDamaged(name, NOW)).toMatchObject({ ok: true })
    const again = await database()
    going = false
    await asking
    expect(seen.filter((orders) => orders === 0)).toEqual([])
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
