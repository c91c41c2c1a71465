import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { type DaysKept, NOTHING_KEPT } from '@/core/days'
import { type Database, openDatabase } from '@/store/database'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { seedDemo } from '@/store/demo'
import { takeEvents } from '@/store/pressEvents'
import { keepSummaries } from '@/store/summaries'
import { settleSheets } from './settle'

const RUN = 'R-1001-P1-dark'
const OTHER = 'R-1003-P1-dark'

let db: Database
beforeEach(async () => {
  db = await openDatabase(':memory:')
  await seedDemo(db, '2026-11-23')
  const day = { on: [{ pressId: 'four' }, { pressId: 'six' }, { pressId: 'twelve' }] }
  await keepSummaries(
    db,
    [RUN, OTHER].map((runId) => ({ runId, stamp: '1', facts: { day } })),
  )
  for (const id of [RUN, OTHER]) await choose(id, {})
})
afterEach(() => db.destroy())

const stored = async (runId: string) => {
  const found = (await loadDecisions(db)).get(runId)
  if (!found) throw new Error(runId)
  return found
}
const chosen = async (runId = RUN) => (await stored(runId)).decisions.overrides
async function choose(runId: string, overrides: Record<string, string | number>) {
  const { decisions, version } = await stored(runId)
  await saveDecisions(db, { ...decisions, overrides }, version)
}
const days = (press: Record<string, string>, more: Partial<DaysKept> = {}): DaysKept => ({
  ...{ ...NOTHING_KEPT, ...more },
  choice: { order: Object.keys(press), press, overtime: {} },
})

describe('days that are taken', () => {
  it('plan the sheet for their press, and for another when they change; taken back it is as it was', async () => {
    const first = await settleSheets(db, days({ [RUN]: 'six', [OTHER]: 'four' }), NOTHING_KEPT)
    expect(first.settled).toEqual({ [RUN]: 'six' })
    expect([await chosen(), await chosen(OTHER)]).toEqual([{ press: 'six' }, {}])
    const second = await settleSheets(db, days({ [RUN]: 'twelve', [OTHER]: 'four' }), first)
    expect(second.settled).toEqual({ [RUN]: 'twelve' })
    expect(await chosen()).toEqual({ press: 'twelve' })
    const undone = await settleSheets(db, NOTHING_KEPT, second)
    expect(undone.settled).toEqual({})
    expect(await chosen()).toEqual({})
  })
  it('leave a press that was chosen by hand, before or since, and every other choice', async () => {
    await choose(RUN, { press: 'four', coolDown: 4 })
    const first = await settleSheets(db, days({ [RUN]: 'six' }), NOTHING_KEPT)
    expect([first.settled, await chosen()]).toEqual([{}, { press: 'four', coolDown: 4 }])
    await choose(RUN, { coolDown: 4 })
    const second = await settleSheets(db, days({ [RUN]: 'six' }), first)
    expect(await chosen()).toEqual({ coolDown: 4, press: 'six' })
    await choose(RUN, { press: 'twelve' })
    const third = await settleSheets(db, days({ [RUN]: 'six' }), second)
    expect([third.settled, await chosen()]).toEqual([{}, { press: 'twelve' }])
  })
  it('give a loader, and take it back', async () => {
    const first = await settleSheets(db, days({ [RUN]: 'four' }, { helped: [RUN] }), NOTHING_KEPT)
    expect(await chosen()).toEqual({ crew: 'loader' })
    await settleSheets(db, days({ [RUN]: 'four' }), first)
    expect(await chosen()).toEqual({})
  })
  it('change nothing of a run that was begun', async () => {
    const event = { id: 'e1', pad: 'p', seq: 1, at: '2026-11-23T09:00:00.000Z', kind: 'start' as const }
    await takeEvents(db, RUN, [event as never])
    await settleSheets(db, days({ [RUN]: 'six' }, { helped: [RUN] }), NOTHING_KEPT)
    expect(await chosen()).toEqual({})
  })
  it('pass over what is no run, no press of it, and what is not planned yet', async () => {
    const odd = days({ 'R-9-P1-x': 'six', [RUN]: 'sold', [OTHER]: 'bench' }, { helped: ['gone'] })
    expect((await settleSheets(db, odd, NOTHING_KEPT)).settled).toEqual({})
    expect([await chosen(), await chosen(OTHER)]).toEqual([{}, {}])
  })
})
