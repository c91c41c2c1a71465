import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ready, startServer } from '../scripts/lib.mjs'
import type { Order } from '../src/core/order'
import { openDatabase } from '../src/store/database'
import { DEMO_SHELF, seedDemo } from '../src/store/demo'
import { addOrders } from '../src/store/orders'
import { putShop } from '../src/store/shop'

/** A server on a shop of its own. */
export interface Served {
  readonly base: string
  readonly file: string
  /** Resident memory of the server, MB. */
  readonly memory: () => number
  readonly end: () => void
}

/** Serves the demo, or a shop with these orders. */
export async function served(orders?: readonly Order[]): Promise<Served> {
  const folder = mkdtempSync(join(tmpdir(), 'orvint-bench-'))
  const file = join(folder, 'orvint.sqlite')
  const db = await openDatabase(file)
  if (orders) {
    await putShop(db, DEMO_SHELF)
    await addOrders(db, orders)
  } else await seedDemo(db, new Date().toISOString().slice(0, 10))
  await db.destroy()
  const port = Number(process.env.BENCH_PORT)
  const base = `http://127.0.0.1:${port}`
  const server = startServer(folder, { port })
  await ready(base, server)
  return {
    base,
    file,
    memory: () =>
      Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024,
    end: () => {
      server.kill('SIGKILL')
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
