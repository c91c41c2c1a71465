/**
 * Eight tablets that count on one run, two events a second each, for ten minutes: how long the server takes to have an event,
 * against inserting the same rows into a database alone; and whether every one is there once at the end.
 */
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { median, quantile } from 'd3-array'
import Sqlite from 'libsql'
import { served } from './served'
import { SMALL } from './size'

const TABLETS = 8
const EVERY = 500
const SECONDS = SMALL ? 4 : Number(process.env.BENCH_SECONDS ?? 600)
const RUN = 'R-1003-P1-dark'

const shop = await served()
const wait = (ms: number) => new Promise((resume) => setTimeout(resume, ms))
const eventOf = (pad: number, seq: number) => ({
  ...{ id: randomUUID(), pad: `tablet ${pad}`, seq, at: new Date().toISOString() },
  ...{ kind: 'count', line: 'G1', size: 'M', n: 1 },
})
const path = (after: number) => `${shop.base}/api/runs/${RUN}/record?after=${after}`

const taken: number[] = []
const said = new Set<string>()
const until = performance.now() + SECONDS * 1000
async function tablet(n: number): Promise<void> {
  await wait((EVERY / TABLETS) * n)
  let place = 0
  for (let seq = 1; performance.now() < until; seq++) {
    const event = eventOf(n, seq)
    const begin = performance.now()
    const answer = await fetch(path(place), { method: 'POST', body: JSON.stringify({ events: [event] }) })
    const told = (await answer.json()) as { place: number }
    const ms = performance.now() - begin
    if (!answer.ok) throw new Error(`answered ${answer.status}`)
    place = told.place
    said.add(event.id)
    taken.push(ms)
    await wait(Math.max(0, EVERY - ms))
  }
}
await fetch(path(0))
await Promise.all(Array.from({ length: TABLETS }, (_, n) => tablet(n)))

const { events } = (await (await fetch(path(0))).json()) as { events: readonly { id: string }[] }
const there = events.filter((e) => said.has(e.id))
const lost = said.size - new Set(there.map((e) => e.id)).size
const doubled = there.length - new Set(there.map((e) => e.id)).size
shop.end()

// The same rows one by one into a file alone, as safely written as the shop writes them.
const folder = mkdtempSync(join(tmpdir(), 'orvint-bare-'))
const bare = new Sqlite(join(folder, 'bare.sqlite'))
bare.exec('PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL')
bare.exec(
  'CREATE TABLE e (place INTEGER PRIMARY KEY, id TEXT UNIQUE, run TEXT, pad TEXT, seq INT, at TEXT, said TEXT)',
)
const put = bare.prepare('INSERT INTO e (id, run, pad, seq, at, said) VALUES (?, ?, ?, ?, ?, ?)')
const alone: number[] = []
for (let seq = 0; seq < Math.min(2000, Math.max(50, taken.length)); seq++) {
  const { id, pad, at, ...what } = eventOf(1, seq)
  const begin = performance.now()
  put.run(id, RUN, pad, seq, at, JSON.stringify(what))
  alone.push(performance.now() - begin)
}
bare.close()
rmSync(folder, { recursive: true, force: true })

const [p50, p95] = [median(taken) ?? 0, quantile(taken, 0.95) ?? 0]
const one = median(alone) ?? 1
console.log(
  `${said.size} events of ${TABLETS} tablets in ${SECONDS} s: half within ${p50.toFixed(1)} ms, 95 % within ${p95.toFixed(1)} ms`,
)
console.log(`lost ${lost}, doubled ${doubled}; a bare insert takes ${one.toFixed(2)} ms`)
console.log(`pressside: ${(p50 / one).toFixed(1)} ${(p95 / one).toFixed(1)}`)
if (lost > 0 || doubled > 0 || (!SMALL && p95 > 100)) process.exit(1)
