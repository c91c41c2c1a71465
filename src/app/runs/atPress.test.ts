import { beforeEach, describe, expect, it } from 'vitest'
import type { PressEvent } from '@/core/record'
import { type Database, openDatabase } from '@/store/database'
import { seedDemo } from '@/store/demo'
import { loadOrder, markOrderAs } from '@/store/orders'
import { takeSaid } from './atPress'

let db: Database
const NOW = new Date('2026-11-24T10:00:00Z')
/** Two prints, two runs. */
const ORDER = 'O-1005'
const RUNS = ['R-1005-P1-dark', 'R-1005-P2-dark'] as const
const said = (kind: 'start' | 'stop', seq: number) =>
  ({ id: `${kind}-${'0'.repeat(12)}-${seq}`, pad: 'tablet', seq, at: NOW.toISOString(), kind }) as PressEvent
const state = async () => (await loadOrder(db, ORDER))?.state

beforeEach(async () => {
  db = await openDatabase(':memory:')
  await seedDemo(db, '2026-11-24')
})

describe('what is said at the press says how far the order is', () => {
  it('the first run begun: printing; the last one ended: printed', async () => {
    await takeSaid(db, RUNS[0], [said('start', 1)], NOW)
    expect(await state()).toBe('printing')
    await takeSaid(db, RUNS[0], [said('stop', 2)], NOW)
    expect(await state()).toBe('printing')
    await takeSaid(db, RUNS[1], [said('start', 3), said('stop', 4)], NOW)
    expect(await state()).toBe('printed')
  })
  it('an order that was only asked for prints once it is begun; one that is packed stays so', async () => {
    await markOrderAs(db, ORDER, 'asked', NOW)
    await takeSaid(db, RUNS[0], [said('start', 1)], NOW)
    expect(await state()).toBe('printing')
    await markOrderAs(db, ORDER, 'packed', NOW)
    await takeSaid(db, RUNS[1], [said('start', 2), said('stop', 3)], NOW)
    expect(await state()).toBe('packed')
  })
})
