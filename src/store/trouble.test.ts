import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { checkPart, partOf, TEMPLATES } from '@/core/equipment'
import type { PressEvent, Said } from '@/core/record'
import { type Database, openDatabase } from './database'
import { loadOutcomes } from './outcomes'
import { takeEvents } from './pressEvents'
import { loadShop, putShop, savePart } from './shop'

let db: Database
beforeEach(async () => {
  db = await openDatabase(':memory:')
  const shelf = TEMPLATES[0]?.shelf
  if (!shelf) throw new Error('no template')
  await putShop(db, { ...shelf, shop: { ...shelf.shop, name: 'Corner prints' } })
})
afterEach(() => db.destroy())

let seq = 0
const event = (what: Said, minute: number): PressEvent => ({
  ...what,
  id: `event-of-the-trouble-${++seq}`,
  ...{ pad: 'a', seq, at: new Date(Date.UTC(2026, 10, 30, 9, minute)).toISOString() },
})
const tried = (minute: number, press = 'p1') =>
  event(
    {
      kind: 'tried',
      press,
      ...{ hit: 'red', symptom: 'sticks', also: [], notThere: [], answers: [], remedy: 'coolLonger' },
      believed: [{ cause: 'hotFilm', share: 0.8 }],
    },
    minute,
  )

describe('numbers of the tables that a shop has set', () => {
  const own = [
    { row: 'base underGel', value: 80 },
    { row: 'sees underGel sticks', value: 0.5 },
  ]
  it('are saved with its settings, read the same, and gone when they are taken away', async () => {
    const { shelf, versions } = await loadShop(db)
    const value = partOf({ ...shelf, shop: { ...shelf.shop, ownTrouble: own } }, 'settings')
    expect((await savePart(db, 'settings', value, versions.settings)).ok).toBe(true)
    const there = await loadShop(db)
    expect(there.shelf.shop.ownTrouble).toEqual(own)
    await savePart(db, 'settings', partOf(shelf, 'settings'), there.versions.settings)
    expect((await loadShop(db)).shelf.shop.ownTrouble).toBeUndefined()
  })

  it('that name no row, stand twice, or are no numbers are told at their place', async () => {
    const { shelf } = await loadShop(db)
    const wrong = (ownTrouble: unknown) =>
      !checkPart(
        'settings',
        partOf({ ...shelf, shop: { ...shelf.shop, ownTrouble: ownTrouble as never } }, 'settings'),
      ).ok
    expect(wrong(own)).toBe(false)
    for (const bad of [
      [{ row: 'base underGel', value: -1 }],
      [{ row: 'base underGel', value: Number.NaN }],
      [{ row: '; DROP', value: 1 }],
      [own[0], own[0]],
      [{ row: 'base underGel' }],
    ])
      expect(wrong(bad), JSON.stringify(bad)).toBe(true)
  })
})

describe('outcomes of the shop', () => {
  it('are read with their press, oldest first, across runs; what was only tried is none', async () => {
    const [a, b, open] = [tried(5), tried(3, 'p2'), tried(9)]
    await takeEvents(db, 'R-1-P1-dark', [a, event({ kind: 'came', of: a.id, how: 'worked' }, 6), open])
    await takeEvents(db, 'R-2-P1-dark', [b, event({ kind: 'came', of: b.id, how: 'same' }, 4)])
    const found = await loadOutcomes(db)
    expect(found.map((o) => [o.press, o.outcome.came])).toEqual([
      ['p2', 'same'],
      ['p1', 'worked'],
    ])
  })
  it('of a shop that never said any are none', async () => {
    await takeEvents(db, 'R-1-P1-dark', [event({ kind: 'start' }, 1)])
    expect(await loadOutcomes(db)).toEqual([])
  })
})
