/**
 * How long the pages of a big shop take against the bare queries behind them: 10,000 orders, 50,000 runs.
 *
 * Each page's reading is run once with every statement recorded; the reference replays those statements alone with the
 * database driver. `read` is what the page function takes over that, `visit` the answer to a click in the app, `load`
 * the whole page by its address, both through the server.
 */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { median } from 'd3-array'
import { Kysely, type LogEvent, SqliteDialect } from 'kysely'
import Sqlite from 'libsql'
import { orderLines } from '../src/app/today'
import { openDatabase } from '../src/store/database'
import { loadDecisions } from '../src/store/decisions'
import { DEMO_SHELF } from '../src/store/demo'
import { addOrders, loadOrder } from '../src/store/orders'
import { latestRevisions } from '../src/store/revisions'
import type { Tables } from '../src/store/schema'
import { loadShop, saveShop } from '../src/store/shop'
import { manyOrders, RUNS_EACH } from './manyOrders'

const ORDERS = 10_000
const ROUNDS = 40

const folder = mkdtempSync(join(tmpdir(), 'orvint-bench-'))
const file = join(folder, 'orvint.sqlite')
const seeded = await openDatabase(file)
await saveShop(seeded, DEMO_SHELF, 0)
await addOrders(seeded, manyOrders(ORDERS, new Date()))
await seeded.destroy()
console.log(`${ORDERS} orders, ${ORDERS * RUNS_EACH} runs`)

const port = Number(process.env.BENCH_PORT)
const server = spawn(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'start', '--port', String(port), '--hostname', '127.0.0.1'],
  { env: { ...process.env, ORVINT_DATA: folder, NEXT_TELEMETRY_DISABLED: '1' }, stdio: 'ignore' },
)
const base = `http://127.0.0.1:${port}`
while (!(await fetch(`${base}/api/changes`).catch(() => undefined))?.ok)
  await new Promise((r) => setTimeout(r, 100))

const sqlite = new Sqlite(file)
let heard: { sql: string; parameters: readonly unknown[] }[] = []
const db = new Kysely<Tables>({
  dialect: new SqliteDialect({ database: sqlite as never }),
  log: (e: LogEvent) => {
    heard.push({ sql: e.query.sql, parameters: e.query.parameters })
  },
})
const list = (text: string, limit: number) => orderLines(db, { text, show: 'current', offset: 0, limit })
const id = 'O-4711'
const PAGES = {
  today: { path: '/', read: () => list('', 20) },
  'order list': { path: '/orders', read: async () => [await list('', 30), await loadShop(db)] },
  search: {
    path: '/orders?find=bakehouse+77',
    read: async () => [await list('bakehouse 77', 30), await loadShop(db)],
  },
  'order page': {
    path: `/orders/${id}/order`,
    read: async () => {
      const [order, shop, decisions] = await Promise.all([
        loadOrder(db, id),
        loadShop(db),
        loadDecisions(db, [id]),
      ])
      return [order, shop, await latestRevisions(db, [...decisions.keys()])]
    },
  },
} as const

/** Median milliseconds of a task, after it ran a few times. */
async function time(task: () => unknown): Promise<number> {
  const taken: number[] = []
  for (let i = -5; i < ROUNDS; i++) {
    const begin = performance.now()
    await task()
    if (i >= 0) taken.push(performance.now() - begin)
  }
  return median(taken) ?? Number.NaN
}

const ratios: string[] = []
for (const [name, { path, read }] of Object.entries(PAGES)) {
  await read()
  heard = []
  await read()
  const statements = [...heard]
  const bare = await time(() => {
    for (const { sql, parameters } of statements) sqlite.prepare(sql).all(...parameters)
  })
  const own = await time(read)
  const visit = await time(async () => (await fetch(base + path, { headers: { rsc: '1' } })).text())
  const load = await time(async () => (await fetch(base + path)).text())
  const over = (x: number) => (x / bare).toFixed(1)
  console.log(
    `${name}: ${statements.length} statements; read ${over(own)}x, visit ${over(visit)}x, load ${over(load)}x of the bare query (${bare.toFixed(2)} ms here)`,
  )
  ratios.push(`${name} ${over(own)}x`)
}
server.kill('SIGKILL')
sqlite.close()
rmSync(folder, { recursive: true, force: true })
console.log(`pages: ${ratios.join(', ')}`)
process.exit(0)
