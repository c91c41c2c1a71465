import { beforeEach, describe, expect, it } from 'vitest'
import { customerKey } from '@/core/order'
import {
  customerNames,
  customersNamed,
  listCustomers,
  mergeCustomers,
  ordersOf,
  putCustomer,
} from './customers'
import { type Database, openDatabase } from './database'
import { seedDemo } from './demo'
import { addNote, notesAbout, photosNoted, removeNote } from './notes'
import { findOrders } from './orderSearch'
import { deleteOrder, forgetDeleted, loadOrder, markOrderAs } from './orders'

let db: Database
const NOW = new Date('2026-11-24T10:00:00Z')
const ALL = { text: '', offset: 0, limit: 50 } as const

beforeEach(async () => {
  db = await openDatabase(':memory:')
  await seedDemo(db, '2026-11-24')
})

describe('customers', () => {
  it('come with their orders, those with orders in the house first; a deleted order has none', async () => {
    const { lines, total } = await listCustomers(db, ALL)
    expect(total).toBe(10)
    expect(lines.find((l) => l.name === 'Tide Observatory')).toMatchObject({ orders: 1, open: 1 })
    await deleteOrder(db, 'O-1001', NOW)
    expect((await listCustomers(db, ALL)).total).toBe(9)
    expect(await customerNames(db, 3)).toHaveLength(3)
    expect((await listCustomers(db, { ...ALL, text: '%' })).total).toBe(0)
  })

  it('are one under every way a name is typed; of whom nothing is said nothing is kept', async () => {
    await putCustomer(db, { name: 'Tide Observatory', leadDays: 2, rules: 'Soft hand' })
    const known = await customersNamed(db, ['  tide   OBSERVATORY '])
    expect(known.get(customerKey('Tide Observatory'))).toMatchObject({ leadDays: 2, rules: 'Soft hand' })
    await putCustomer(db, { name: 'tide observatory', rules: '' })
    expect((await customersNamed(db, ['Tide Observatory'])).size).toBe(0)
  })

  it('typed twice become one: orders and what was said go along, and whoever has the order open is told', async () => {
    await putCustomer(db, { name: 'Tarnquay Regatta', leadDays: 3, rules: 'Soft hand' })
    await putCustomer(db, { name: 'Tide Observatory', rules: 'No neck labels' })
    const before = await loadOrder(db, 'O-1002')
    expect(await mergeCustomers(db, 'Tarnquay Regatta', 'Tide Observatory')).toBe(1)
    expect(await loadOrder(db, 'O-1002')).toMatchObject({
      order: { customer: 'Tide Observatory' },
      version: (before?.version ?? 0) + 1,
    })
    expect((await ordersOf(db, 'Tide Observatory', 9)).map((o) => o.id).sort()).toEqual(['O-1001', 'O-1002'])
    const known = await customersNamed(db, ['Tide Observatory', 'Tarnquay Regatta'])
    expect([...known.values()]).toEqual([
      { name: 'Tide Observatory', leadDays: 3, rules: 'No neck labels. Soft hand' },
    ])
  })
})

describe('notes', () => {
  const NOTE = { about: 'press', of: 'twelve', at: NOW.toISOString(), photos: [] } as const
  it('the newest first, of one thing only; taken away they are gone', async () => {
    await addNote(db, { ...NOTE, words: 'one' })
    await addNote(db, { ...NOTE, words: 'two', photos: ['a'.repeat(64)] })
    await addNote(db, { ...NOTE, of: 'bench', words: 'other' })
    const notes = await notesAbout(db, { about: 'press', of: 'twelve' })
    expect(notes.map((n) => n.words)).toEqual(['two', 'one'])
    expect(await photosNoted(db)).toEqual(['a'.repeat(64)])
    expect(await removeNote(db, notes[0]?.id ?? 0)).toBe(true)
    expect(await removeNote(db, notes[0]?.id ?? 0)).toBe(false)
    expect(await photosNoted(db)).toEqual([])
  })

  it('go with an order that is gone for good: its number may come again', async () => {
    await addNote(db, { ...NOTE, about: 'order', of: 'O-1010', words: 'order' })
    await addNote(db, { ...NOTE, about: 'print', of: 'O-1010.P1', words: 'print' })
    await addNote(db, { ...NOTE, about: 'print', of: 'O-1001.P1', words: 'kept' })
    await deleteOrder(db, 'O-1010', NOW)
    for (let day = 0; day < 33; day++) await forgetDeleted(db, new Date(NOW.getTime() + day * 86_400_000))
    expect(await loadOrder(db, 'O-1010')).toBeUndefined()
    for (const [about, of] of [
      ['order', 'O-1010'],
      ['print', 'O-1010.P1'],
    ] as const)
      expect(await notesAbout(db, { about, of })).toEqual([])
    expect(await notesAbout(db, { about: 'print', of: 'O-1001.P1' })).toHaveLength(1)
  })
})

describe('how far orders are', () => {
  const found = async (query: object) =>
    (await findOrders(db, { text: '', show: 'current', doneSince: '2027', offset: 0, limit: 50, ...query }))
      .ids

  it('what is only asked for, printed, packed or gone is not planned; what is gone leaves the list', async () => {
    for (const [mark, open, current] of [
      ['asked', false, true],
      ['open', true, true],
      ['printing', true, true],
      ['printed', false, true],
      ['packed', false, true],
      ['done', false, false],
    ] as const) {
      await markOrderAs(db, 'O-1003', mark, NOW)
      expect((await found({ show: 'open' })).includes('O-1003'), mark).toBe(open)
      expect((await found({})).includes('O-1003'), mark).toBe(current)
      expect((await found({ state: mark })).includes('O-1003'), mark).toBe(current)
      expect((await loadOrder(db, 'O-1003'))?.said?.[mark], mark).toBe(NOW.toISOString())
    }
    expect((await loadOrder(db, 'O-1003'))?.endedAt).toBe(NOW.toISOString())
    await markOrderAs(db, 'O-1003', 'printed', NOW)
    const back = await loadOrder(db, 'O-1003')
    expect([back?.state, back?.endedAt, back?.said?.done]).toEqual(['printed', undefined, undefined])
  })

  it('what is waited for, and by when it is due', async () => {
    expect(await found({ waits: 'art' })).not.toContain('O-1003')
    await markOrderAs(db, 'O-1003', 'art', NOW, false)
    expect(await found({ waits: 'art' })).toContain('O-1003')
    expect((await loadOrder(db, 'O-1003'))?.state).toBe('open')
    const due = (await loadOrder(db, 'O-1001'))?.order.due ?? ''
    expect(await found({ dueBy: due })).toContain('O-1001')
    expect(await found({ dueBy: '2000-01-01' })).toEqual([])
    expect(await found({ press: 'No such press' })).toEqual([])
  })
})
