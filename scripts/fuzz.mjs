/**
 * `npm run -s fuzz [-- N]`: sends N requests (20000) that no one means to a running server: every address and act of the app
 * with wrong types, missing parts, foreign ids, huge numbers, deep nesting and control characters; broken heads and bodies by
 * bare sockets beside them. Counts answers by kind; exit 0 when there was no answer of 5xx and the server is still there.
 */
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build, freePort, install, ROOT, ready, seed, startServer, stop } from './lib.mjs'

const times = Number(process.argv[2] ?? 20_000)
if (!Number.isInteger(times) || times < 1) stop('How many requests? npm run -s fuzz -- 20000')
install()
build()
const folder = mkdtempSync(join(tmpdir(), 'orvint-fuzz-'))
seed(folder, false)
const port = await freePort()
const base = `http://127.0.0.1:${port}`
const server = startServer(folder, { port })
let crashed = false
server.on('exit', () => {
  crashed = true
})
await ready(base, server)

/** One row of luck, the same every time: a fault can be found again. */
let state = 20261128
const luck = (n) => {
  state = (Math.imul(state, 1103515245) + 12345) >>> 0
  return Math.floor((state / 2 ** 32) * n)
}
const pick = (list) => list[luck(list.length)]

const routes = readdirSync(join(ROOT, 'src/app'), { recursive: true, encoding: 'utf8' })
  .filter((f) => /(^|\/)(route\.ts|page\.tsx)$/.test(f))
  .map((f) => `/${f.replace(/\/?(route\.ts|page\.tsx)$/, '')}`)
const ACTS = [
  ...readFileSync(join(ROOT, 'src/app/acts/table.ts'), 'utf8').matchAll(/^ {2}(\w+): of\(/gm),
].map((m) => m[1])
const GOOD = {
  id: ['O-1001', 'R-1001-P1-dark', 'B-0005'],
  print: ['P1'],
  kind: ['order', 'decisions', 'shop'],
  name: ACTS,
  code: ['AAAAA'],
  stage: ['order', 'art', 'sequence'],
}
const ODD = [
  '%00',
  '..%2f..%2fetc',
  'constructor',
  '__proto__',
  'x'.repeat(3000),
  '%F0%9F%92%A5',
  'P1%22%0D%0AX-Evil:1',
  'O-99999999999',
  '-1',
  '%ED%A0%80',
]
const VALUES = [
  ...JSON.parse(readFileSync(join(ROOT, 'src/app/nonsense.fixtures.json'), 'utf8')),
  '\ud800',
  'y'.repeat(5000),
  { a: { b: [null] } },
  'O-1001',
  'B-0005',
  'C-0001',
  1,
  '2026-11-24T09:00',
]
const KEYS = [
  'value',
  'version',
  'template',
  'changes',
  'id',
  'given',
  'once',
  'batchId',
  'canId',
  'mass',
  'at',
  'kind',
  'edited',
  'order',
  'runId',
  'seen',
  'name',
  'state',
  'batch',
  'cans',
  'share',
  'drawdown',
  'method',
  'overrides',
  'lines',
  'placements',
  'due',
  'ink',
  'dpi',
  'film',
  'text',
]
function value(depth = 0) {
  if (depth > 3 || luck(3) > 0) return pick(VALUES)
  if (luck(2)) return Array.from({ length: luck(4) }, () => value(depth + 1))
  return Object.fromEntries(Array.from({ length: luck(6) }, () => [pick(KEYS), value(depth + 1)]))
}
const body = () => {
  const kind = luck(10)
  if (kind === 0) return pick(['', '{', '[', 'null', '"', '\u0000', '['.repeat(20_000), '{"a":'.repeat(3000)])
  if (kind < 5) return JSON.stringify({ once: 'f'.repeat(16) + luck(1e9), given: value() })
  return JSON.stringify(value())
}
const address = () => {
  const route = pick(routes).replace(/\[(\w+)\]/g, (_, name) =>
    luck(3) ? pick(GOOD[name] ?? ['x']) : pick(ODD),
  )
  return `${route}${luck(3) ? '' : `?${pick(['from', 'find', 'run', 'revision', 'film', 'key', 'level', 'x', 'y', 'width', 'show', 'hex', 'as', 'order'])}=${pick([...ODD, '1e9', 'NaN', '%', '%zz'])}`}`
}
const heads = () =>
  luck(4)
    ? {}
    : pick([
        { origin: 'null' },
        { origin: base },
        { origin: 'http://elsewhere.example' },
        { 'if-match': '"x"' },
        { 'idempotency-key': 'x' },
        { rsc: '1' },
        { 'next-action': 'f'.repeat(40) },
        { 'next-router-state-tree': '%' },
        { 'content-type': 'multipart/form-data; boundary=x' },
        { 'sec-fetch-site': 'cross-site' },
        { 'if-none-match': '*' },
        { range: 'bytes=5-1' },
      ])

const RAW = [
  'GET / HTTP/1.1\r\n\r\n',
  'GET /%zz HTTP/1.1\r\nhost: 127.0.0.1\r\n\r\n',
  'GET http://evil.example/ HTTP/1.1\r\nhost: evil.example\r\n\r\n',
  'POST /api/act/pour HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-length: 99999999999\r\n\r\n{',
  'POST /api/act/pour HTTP/1.1\r\nhost: 127.0.0.1\r\ntransfer-encoding: chunked\r\n\r\nzz\r\n',
  `GET /${'a'.repeat(20_000)} HTTP/1.1\r\nhost: 127.0.0.1\r\n\r\n`,
  'NONSENSE\r\n\r\n',
  'GET //\\..\\ HTTP/1.1\r\nhost: 127.0.0.1\r\n\r\n',
  'GET /orders/O-1001/order HTTP/1.1\r\nhost: 127.0.0.1\r\nhost: evil.example\r\n\r\n',
]
const bare = (text) =>
  new Promise((done) => {
    const socket = connect(port, '127.0.0.1', () => socket.write(text))
    let said = ''
    socket.on('data', (part) => {
      said += part
      socket.destroy()
    })
    socket.on('error', () => undefined)
    socket.on('close', () => done(Number(/^HTTP\/1\.1 (\d+)/.exec(said)?.[1] ?? 0)))
    setTimeout(() => socket.destroy(), 1500).unref()
  })

const counts = new Map()
const faults = []
const count = (status, what) => {
  const kind = status === 0 ? 'hung up' : `${Math.floor(status / 100)}xx`
  counts.set(kind, (counts.get(kind) ?? 0) + 1)
  if (status >= 500 && faults.length < 20) faults.push(`${status} ${what}`)
}
/** Memory of the server, MB. */
const memory = () => {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024
  } catch {
    return 0
  }
}
let peak = 0
let left = times
async function one() {
  while (left-- > 0 && !crashed) {
    if (luck(40) === 0) {
      const text = pick(RAW)
      count(await bare(text), text.slice(0, 60))
      continue
    }
    const method = pick(['GET', 'GET', 'POST', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'])
    const at = luck(3) ? address() : `/api/act/${pick(ACTS)}`
    // Restores and archives have a torture of their own.
    if (/restoreBackup|backUpNow/.test(at) && luck(20)) continue
    const sent = method === 'GET' || method === 'OPTIONS' ? undefined : body()
    const what = `${method} ${at.slice(0, 120)} ${sent?.slice(0, 160) ?? ''}`
    try {
      const answer = await fetch(base + at, {
        method,
        body: sent,
        headers: heads(),
        signal: AbortSignal.timeout(20_000),
      })
      await answer.arrayBuffer()
      count(answer.status, what)
    } catch (error) {
      if (error.name === 'TimeoutError') faults.push(`no answer in 20 s: ${what}`)
      count(0, what)
    }
    peak = Math.max(peak, memory())
  }
}
await Promise.all(Array.from({ length: 4 }, one))
const alive =
  !crashed &&
  (await fetch(`${base}/`).then(
    (r) => r.ok,
    () => false,
  ))
server.kill('SIGKILL')
rmSync(folder, { recursive: true, force: true })
for (const f of faults) console.error(f)
const told = [...counts].sort().map(([kind, n]) => `${n} ${kind}`)
console.log(
  `fuzz: ${told.join(', ')}; ${crashed ? 'the server ended' : 'no crash'}; memory at most ${Math.round(peak)} MB`,
)
process.exit(alive && faults.length === 0 && !counts.has('5xx') ? 0 : 1)
