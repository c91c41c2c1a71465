/** Fills an empty data folder with the demo shop and its orders; leaves a filled one alone. */

import { database } from '../src/store/database'
import { seedDemo } from '../src/store/demo'

const db = await database()
const today = new Date()
const day = [today.getFullYear(), today.getMonth() + 1, today.getDate()]
  .map((x) => String(x).padStart(2, '0'))
  .join('-')
await seedDemo(db, day)
await db.destroy()
