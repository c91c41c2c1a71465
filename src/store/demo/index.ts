import type { ShopAndShelf } from '@/core/equipment'
import type { Database } from '../database'
import { saveDecisions } from '../decisions'
import { headLocks, headTurns } from '../headNotes'
import { addOrders } from '../orders'
import { takeEvents } from '../pressEvents'
import { putShop } from '../shop'
import { DEMO_EVENTS } from './events'
import { seedInk } from './inkStock'
import { DEMO_LOCKS, DEMO_TURNS } from './locks'
import { DEMO_DECISIONS, demoOrders } from './orders'
import { busyFrames } from './screens'
import { DEMO_CLOTHS, DEMO_INKS } from './shelf'
import { DEMO_SHOP } from './shop'

export { DEMO_CLOTHS, DEMO_DECISIONS, DEMO_INKS, DEMO_SHOP, demoOrders }

export const DEMO_SHELF: ShopAndShelf = { shop: DEMO_SHOP, inks: DEMO_INKS, cloths: DEMO_CLOTHS }

/** The shop on a working day: tension was read, and the screen room is busy. */
export const demoShelf = (today: string): ShopAndShelf => ({
  ...DEMO_SHELF,
  shop: { ...DEMO_SHOP, frames: busyFrames(DEMO_SHOP.frames, today) },
})

/** Puts the demo shop and its ten orders into a database that holds no shop yet, and says so; due dates lie around `today`. */
export async function seedDemo(db: Database, today: string): Promise<boolean> {
  if (await db.selectFrom('shop').select('id').executeTakeFirst()) return false
  await putShop(db, demoShelf(today))
  await addOrders(db, demoOrders(today))
  for (const decisions of DEMO_DECISIONS) await saveDecisions(db, decisions, 1)
  await seedInk(db, new Date())
  for (const lock of DEMO_LOCKS) await headLocks.note(db, lock)
  for (const turn of DEMO_TURNS) await headTurns.note(db, turn)
  await takeEvents(db, DEMO_EVENTS.runId, DEMO_EVENTS.events)
  return true
}
