import { expect, it } from 'vitest'
import { noDecisions, plan, type RunPlan } from '@/core/plan'
import { openDatabase } from '@/store/database'
import { DEMO_SHOP, demoOrders, seedDemo } from '@/store/demo'
import { plannedSoon } from './plannedSoon'

const [order] = demoOrders('2026-11-23')
const RUN = 'R-1001-P1-dark'
const ready = (): RunPlan => {
  if (!order) throw new Error('no order')
  return plan(order, DEMO_SHOP, noDecisions(RUN))
}
const never = () => new Promise<RunPlan>(() => undefined)

it('a page waits a moment for its plan, then begins with the one of before, and says of when', async () => {
  const db = await openDatabase(':memory:')
  await seedDemo(db, '2026-11-23')
  const first = ready()
  // Never planned, and too long: nothing.
  expect(await plannedSoon(db, RUN, 'a', never)).toBeUndefined()
  // There at once: of today.
  expect(await plannedSoon(db, RUN, 'b', async () => first)).toEqual({ plan: first })
  // Something was saved since, and planning takes long.
  const late = await plannedSoon(db, RUN, 'c', never)
  expect(late?.plan).toBe(first)
  expect(Date.parse(late?.asOf ?? '')).toBeGreaterThan(Date.now() - 60_000)
  // Planning failed: the same, and the page says why itself.
  const failed = await plannedSoon(db, RUN, 'd', async () => Promise.reject(new Error('no')))
  expect(failed?.asOf).toBe(late?.asOf)
})

it('asks for the same plan once, and where there is nothing to plan not at all', async () => {
  const db = await openDatabase(':memory:')
  await seedDemo(db, '2026-11-23')
  let asked = 0
  const count = async () => {
    asked++
    return ready()
  }
  await Promise.all([plannedSoon(db, RUN, 'e', count), plannedSoon(db, RUN, 'e', count)])
  await plannedSoon(db, RUN, 'e', count)
  expect(asked).toBe(1)
  expect(await plannedSoon(db, 'R-9999-P1-dark', 'e', count)).toBeUndefined()
  expect(asked).toBe(1)
})
