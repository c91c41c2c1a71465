/**
 * How long the pages of a big book take against the bare queries behind them: 10,000 orders of five runs, of which 300 are
 * open, then all of them.
 *
 * Each page's reading is run once with every statement recorded; the reference replays those statements alone with the
 * database driver. `p95` is the slowest but one of twenty answers to a click in the app, through the server; then the same
 * while plans are renewed because the shop changed.
 */
import { median, quantile } from 'd3-array'
import { Kysely, type LogEvent, SqliteDialect } from 'kysely'
import Sqlite from 'libsql'
import { daysAhead } from '../src/app/days/ahead'
import { ahead, orderLines } from '../src/app/today'
import { loadDecisions } from '../src/store/decisions'
import { loadInkStock, usedInRuns } from '../src/store/inkRoom'
import { loadOrder } from '../src/store/orders'
import { latestRevisions } from '../src/store/revisions'
import type { Tables } from '../src/store/schema'
import { loadShop } from '../src/store/shop'
import { manyOrders, RUNS_EACH } from './manyOrders'
import { served } from './served'
import { SMALL } from './size'

const ORDERS = SMALL ? 40 : 10_000
const OPEN = SMALL ? 20 : 300
const ROUNDS = SMALL ? 3 : 40

const shop = await served(manyOrders(ORDERS, new Date()))
const sqlite = new Sqlite(shop.file)
sqlite.pragma('busy_timeout = 10000')
let heard: { sql: string; parameters: readonly unknown[] }[] = []
const db = new Kysely<Tables>({
  dialect: new SqliteDialect({ database: sqlite as never }),
  log: (e: LogEvent) => {
    if (/^\s*select/i.test(e.query.sql)) heard.push({ sql: e.query.sql, parameters: e.query.parameters })
  },
})
const list = (text: string, limit: number) => orderLines(db, { text, show: 'current', offset: 0, limit })
const id = 'O-2011'
const PAGES = {
  today: { path: '/', read: async () => [await list('', 20), await ahead(db)] },
  days: { path: '/api/days', read: () => daysAhead(db, new Date()) },
  orders: { path: '/orders', read: async () => [await list('', 30), await loadShop(db)] },
  search: {
    path: '/orders?find=bakehouse+1',
    read: async () => [await list('bakehouse 1', 30), await loadShop(db)],
  },
  screens: { path: '/screens', read: () => ahead(db) },
  ink: { path: '/ink', read: () => Promise.all([ahead(db), loadInkStock(db), usedInRuns(db)]) },
  order: {
    path: `/orders/${id}/order`,
    read: async () => {
      const [order, all, decisions] = await Promise.all([
        loadOrder(db, id),
        loadShop(db),
        loadDecisions(db, [id]),
      ])
      return [order, all, await latestRevisions(db, [...decisions.keys()])]
    },
  },
} as const

/** Milliseconds of each of so many rounds, after a few for warmth. */
async function times(task: () => unknown, rounds = ROUNDS): Promise<readonly number[]> {
  const taken: number[] = []
  for (let i = -3; i < rounds; i++) {
    const begin = performance.now()
    await task()
    if (i >= 0) taken.push(performance.now() - begin)
  }
  return taken
}
const p95 = (taken: readonly number[]) => quantile(taken, 0.95) ?? Number.NaN
const visit = (path: string) => async () => (await fetch(shop.base + path, { headers: { rsc: '1' } })).text()
const planned = async () => {
  for (let before = -1; ; ) {
    const [{ n }] = sqlite.prepare('SELECT count(*) AS n FROM run_summary').all() as [{ n: number }]
    if (n === before) return
    before = n
    await new Promise((resume) => setTimeout(resume, 1500))
  }
}
/** The shop changes: every summary is of before. */
const shopMoves = async () => {
  const { shelf, versions } = await loadShop(db)
  const screens = { ...shelf.shop.screens, collarLine: 0.05 + Math.random() / 100 }
  const body = JSON.stringify({ id: 'screens', value: { shop: { screens } }, version: versions.screens })
  await fetch(`${shop.base}/api/save/shop`, { method: 'POST', body })
}

/** So many orders are open, the others done. The server writes too: a connection that read before could not. */
const opens = (count: number) => {
  const own = new Sqlite(shop.file)
  own.pragma('busy_timeout = 10000')
  own.exec(`BEGIN IMMEDIATE;
    UPDATE customer_order SET state = 'done', ended_at = '2020-01-01T00:00:00Z' WHERE rowid > ${count};
    UPDATE customer_order SET state = 'open', ended_at = NULL WHERE rowid <= ${count};
    COMMIT`)
  own.close()
}

const ratios: string[] = []
for (const [name, open] of [
  ['300 open', OPEN],
  ['all open', ORDERS],
] as const) {
  opens(open)
  await visit('/')()
  if (open === OPEN) await planned()
  console.log(`\n${name}: ${open} of ${ORDERS} orders, ${open * RUNS_EACH} runs; ms`)
  const moved: Record<string, number> = {}
  const still: Record<string, readonly [number, number, number]> = {}
  for (const [page, { path, read }] of Object.entries(PAGES)) {
    await read()
    heard = []
    await read()
    const statements = [...heard]
    const bare = median(
      await times(() => {
        for (const { sql, parameters } of statements) sqlite.prepare(sql).all(...parameters)
      }),
    )
    const seen = await times(visit(path))
    still[page] = [bare ?? 0, median(seen) ?? 0, p95(seen)]
  }
  await shopMoves()
  for (const [page, { path }] of Object.entries(PAGES))
    moved[page] = p95(await times(visit(path), SMALL ? 2 : 12))
  for (const [page, [bare, middle, late]] of Object.entries(still)) {
    console.log(
      `${page.padEnd(8)} bare ${bare.toFixed(1)}, p50 ${middle.toFixed(0)}, p95 ${late.toFixed(0)} (${(late / bare).toFixed(1)}x); p95 while plans are renewed ${moved[page]?.toFixed(0)}`,
    )
    ratios.push(`${name} ${page} ${(late / bare).toFixed(1)}x`)
  }
  console.log(`memory ${shop.memory().toFixed(0)} MB`)
}
sqlite.close()
shop.end()
console.log(`pages: ${ratios.join(', ')}`)
process.exit(0)
