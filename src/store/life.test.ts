import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'kysely'
import { beforeEach, describe, expect, it } from 'vitest'
import { partOf, TEMPLATES } from '@/core/equipment'
import { keptGood, noDecisions, settingsOf } from '@/core/plan'
import type { PressEvent } from '@/core/record'
import { accountFor, allAccounts } from './accounts'
import { readArchive, replaceAll } from './archive'
import { putCustomer } from './customers'
import { changeStamp, type Database, openDatabase } from './database'
import { putDays } from './days'
import { loadDecisions, saveDecisions } from './decisions'
import { DEMO_SHELF, DEMO_SHOP, seedDemo } from './demo'
import { addFilms } from './films'
import { receiveCans } from './inkRoom'
import { addNote } from './notes'
import { findOrders } from './orderSearch'
import {
  addOrders,
  bringBackOrder,
  deleteOrder,
  forgetDeleted,
  loadOrder,
  loadOrders,
  saveOrder,
} from './orders'
import { eventsAfter, takeEvents } from './pressEvents'
import { days, frozen, NOW, RUN, TODAY } from './released.fixtures'
import { latestRevisions, release, revisionByCode, revisionsOf } from './revisions'
import { loadShop, putShop, savePart } from './shop'
import { keepSummaries, keptSummaries } from './summaries'

let folder: string
let db: Database
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'orvint-store-'))
  process.env.ORVINT_DATA = folder
  db = await openDatabase(join(folder, 'orvint.sqlite'))
  await seedDemo(db, TODAY)
})
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
  it('of an older program, which knew no air of the shop, is read as one of a usual day', async () => {
    const { ambient, ...older } = frozen().plan
    await release(db, { ...frozen(), plan: older as never }, 0, NOW)
    expect((await revisionsOf(db, RUN))[0]?.plan.ambient).toEqual(ambient)
    expect((await latestRevisions(db, [RUN])).get(RUN)?.plan.ambient).toEqual(ambient)
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
    run_account: 'worked out anew',
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
    await putCustomer(db, { name: 'Tide Observatory', leadDays: 2, whiteLook: 'soft', rules: 'Soft hand' })
    await addNote(db, { about: 'press', of: 'twelve', at: TODAY, words: 'Head 3', photos: ['b'.repeat(64)] })
    await putDays(db, { pins: [{ runId: RUN, pressId: 'six', at: 1_795_600_000 }], down: [] }, 1)
    const { shelf } = await loadShop(db)
    const good = settingsOf(frozen().plan, frozen().order, TODAY)
    const hours = {
      ...shelf.shop.hours,
      own: [{ day: 5, from: 28_800, to: 43_200 }],
      off: [{ on: '2026-12-25' }, { on: '2026-12-24', to: 43_200 }],
      presses: [{ pressId: 'twelve', from: 21_600, to: 79_200 }],
    }
    const people = [
      { id: 'ada', name: 'Ada', presses: ['twelve'], away: [{ first: '2026-12-03', last: '2026-12-04' }] },
      { id: 'ben', name: 'Ben', presses: ['odd, id'], away: [] },
    ]
    const screens = { ...shelf.shop.screens, racks: 8 }
    const sharedPallets = [
      { id: 's', name: 'Sleeve boards', where: 'sleeve', sets: 1, presses: ['six'] },
    ] as const
    const ownTrouble = [{ row: 'base underGel', value: 50 }]
    await putShop(db, {
      ...shelf,
      shop: keptGood(
        { ...shelf.shop, hours, people, screens, sharedPallets, goesOut: [2, 5], ownTrouble },
        good,
      ),
    })
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

describe('what is said at the press', () => {
  const event = (n: number): PressEvent => ({
    ...{ id: `event-number-${1000 + n}`, pad: 'A', seq: n, at: '2026-11-23T09:00:00.000Z' },
    ...{ kind: 'count', line: 'G1', size: 'M', n: 1 },
  })
  it('is there once however often it is sent, and no news to pages that plan; what others write is', async () => {
    await takeEvents(db, RUN, [event(1), event(2)])
    const stamp = await changeStamp(db)
    await takeEvents(db, RUN, [event(1), event(2), event(3)])
    await takeEvents(db, RUN, [event(1), event(2), event(3)])
    expect((await eventsAfter(db, RUN, 0)).events.map((e) => e.seq)).toEqual([1, 2, 3])
    expect(await changeStamp(db)).toBe(stamp)
    await savePart(db, 'settings', { ...partOf(DEMO_SHELF, 'settings'), inks: [] }, 1)
    expect(await changeStamp(db)).not.toBe(stamp)
  })
  it('a run is told beside its plan, worked out once, and again when something was said', async () => {
    await release(db, frozen(), 0, NOW)
    await takeEvents(db, RUN, [event(1), event(2)])
    const stamp = await changeStamp(db)
    const [first] = (await allAccounts(db)).filter((a) => a.runId === RUN)
    expect(first).toMatchObject({ good: 2, spoiled: 0, revision: 1 })
    const kept = await db.selectFrom('run_account').select('stamp').where('run_id', '=', RUN).execute()
    expect(kept).toHaveLength(1)
    expect(await accountFor(db, RUN)).toEqual(asJson(first))
    // It is no news: whoever waits for others' writing is not woken.
    expect(await changeStamp(db)).toBe(stamp)
    await takeEvents(db, RUN, [event(4)])
    expect((await accountFor(db, RUN))?.good).toBe(3)
    expect(await accountFor(db, 'R-9-P1-dark')).toBeUndefined()
  })
  it('what hangs on it is written with it or not at all', async () => {
    const fails = takeEvents(db, RUN, [event(1)], async () => {
      throw new Error('no')
    })
    await expect(fails).rejects.toThrow('no')
    expect((await eventsAfter(db, RUN, 0)).events).toEqual([])
    const seen: number[] = []
    await takeEvents(db, RUN, [event(1)])
    await takeEvents(db, RUN, [event(1), event(2)], async (_, fresh) => {
      seen.push(...fresh.map((e) => e.seq))
    })
    expect(seen).toEqual([2])
  })
})
