import type { ShopAndShelf } from '@/core/equipment'
import type { Ready } from '@/core/order'
import type { Database } from '../database'
import { saveDecisions } from '../decisions'
import { headLocks, headTurns } from '../headNotes'
import { inOne } from '../once'
import { addOrders, markOrderAs } from '../orders'
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

/** What came in and was approved. */
const SAID = {
  garments: ['O-1001', 'O-1002', 'O-1003', 'O-1004', 'O-1005', 'O-1006'],
  art: ['O-1001', 'O-1003', 'O-1005', 'O-1009'],
} as const

const seedSaid = (db: Database) =>
  inOne(db, async (tx) => {
    for (const [mark, ids] of Object.entries(SAID))
      for (const id of ids) await markOrderAs(tx, id, mark as Ready, new Date())
  })

/** Puts the demo shop and its ten orders into a database that holds no shop yet, and says so; due dates lie around `today`. */
export async function seedDemo(db: Database, today: string): Promise<boolean> {
  if (await db.selectFrom('shop').select('id').executeTakeFirst()) return false
  await putShop(db, demoShelf(today))
  await addOrders(db, demoOrders(today))
  await seedSaid(db)
  for (const decisions of DEMO_DECISIONS) await saveDecisions(db, decisions, 1)
  await seedInk(db, new Date())
  for (const lock of DEMO_LOCKS) await headLocks.note(db, lock)
  for (const turn of DEMO_TURNS) await headTurns.note(db, turn)
  await takeEvents(db, DEMO_EVENTS.runId, DEMO_EVENTS.events)
  return true
}
