/** Fills an empty data folder with the demo shop and its orders; leaves a filled one alone. */

import { database } from '../src/store/database'
import { seedDemo } from '../src/store/demo'
import { seedFilms } from '../src/store/demo/films'
import { seedPast } from '../src/store/demo/past'

const db = await database()
const today = new Date()
const day = [today.getFullYear(), today.getMonth() + 1, today.getDate()]
  .map((x) => String(x).padStart(2, '0'))
  .join('-')
const filled = await seedDemo(db, day)
// What was printed before; tests take a few.
if (filled) await seedPast(db, day, Number(process.env.ORVINT_DEMO_PAST ?? 0))
// Reading films takes long: tests that need some bring their own.
if (filled && process.env.ORVINT_DEMO_FILMS !== 'none') await seedFilms(db)
await db.destroy()
