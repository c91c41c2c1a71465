import { sql } from 'kysely'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { NOTHING_KEPT } from '@/core/days'
import { type Database, openDatabase } from './database'
import { loadDays, replaceDays, saveDays } from './days'

let db: Database
beforeEach(async () => {
  db = await openDatabase(':memory:')
})
afterEach(() => db.destroy())

const PINNED = { pins: [{ runId: 'R-1', pressId: 'a', at: 1_795_600_000 }], down: [] }

it('nothing was decided until something is; who saw an older state is refused, and nothing is lost', async () => {
  expect(await loadDays(db)).toEqual({ kept: NOTHING_KEPT, version: 0 })
  expect(await saveDays(db, PINNED, 0)).toBe(true)
  expect(await saveDays(db, NOTHING_KEPT, 0)).toBe(false)
  expect(await loadDays(db)).toEqual({ kept: PINNED, version: 1 })
  expect(await saveDays(db, NOTHING_KEPT, 1)).toBe(true)
  expect((await loadDays(db)).version).toBe(2)
})

it.each([
  '{',
  '[]',
  '{"pins":7,"down":[]}',
  'null',
  '{"pins":[{"runId":"R","pressId":"a","at":"x"}],"down":[]}',
])('what is stored and cannot be read, %s, takes no page down and can be decided anew', async (kept) => {
  await saveDays(db, PINNED, 0)
  await sql`UPDATE day_plan SET kept = ${kept}`.execute(db)
  expect(await loadDays(db)).toEqual({ kept: NOTHING_KEPT, version: 1 })
  expect(await saveDays(db, PINNED, 1)).toBe(true)
  expect((await loadDays(db)).kept).toEqual(PINNED)
})

it('an archive takes its place, and old pages are told', async () => {
  await saveDays(db, PINNED, 0)
  await replaceDays(db, undefined)
  expect(await loadDays(db)).toEqual({ kept: NOTHING_KEPT, version: 2 })
  expect(await saveDays(db, PINNED, 1)).toBe(false)
})
