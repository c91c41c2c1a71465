import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { meanAgainst } from '@/core/plan'
import { eventSchema } from '@/core/record'
import { allAccounts } from '../accounts'
import { type Database, openDatabase } from '../database'
import { everyEvent } from '../pressEvents'
import { seedDemo } from '.'
import { seedPast } from './past'

const TODAY = '2026-11-23'
async function shopWith(past: number): Promise<Database> {
  const db = await openDatabase(join(mkdtempSync(join(tmpdir(), 'orvint-past-')), 'orvint.sqlite'))
  await seedDemo(db, TODAY)
  await seedPast(db, TODAY, past)
  return db
}

it('past runs of the demo are the same every time, each printed to the last piece, on days before today', async () => {
  const [one, two] = [await shopWith(12), await shopWith(12)]
  const events = await everyEvent(one)
  expect(await everyEvent(two)).toEqual(events)
  for (const { event } of events) eventSchema.validateSync(event)
  const accounts = (await allAccounts(one)).filter((a) => a.ended)
  expect(accounts).toHaveLength(12)
  for (const a of accounts) {
    expect(a.good, a.runId).toBe(a.ordered)
    expect(a.on < TODAY, a.on).toBe(true)
    expect(a.setup?.was ?? 0).toBeGreaterThan(0)
  }
  // What is hidden in it can be found: set-up takes a fifth longer than common practice.
  const setup = meanAgainst(accounts.map((a) => a.setup))
  expect(setup).toBeGreaterThan(1.05)
  expect(setup).toBeLessThan(1.4)
})
