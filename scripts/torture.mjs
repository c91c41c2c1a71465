/**
 * `npm run -s torture [-- N]`: kills the server N times (100) with SIGKILL in the middle of a stream of edits. Every
 * edit it acknowledged must be there afterwards, and the database must be sound. Exit 0 when that held every time.
 */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Sqlite from 'libsql'
import { build, freePort, install, ROOT, seed, stop } from './lib.mjs'

const times = Number(process.argv[2] ?? 100)
if (!Number.isInteger(times) || times < 1) stop('How many times? npm run -s torture -- 100')
install()
build()
const folder = mkdtempSync(join(tmpdir(), 'orvint-torture-'))
seed(folder)
const port = await freePort()
const job = `http://127.0.0.1:${port}/api/orders/O-1001/job`
const wait = (ms) => new Promise((resume) => setTimeout(resume, ms))

async function start() {
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '--port', String(port), '--hostname', '127.0.0.1'],
    {
      cwd: ROOT,
      env: { ...process.env, ORVINT_DATA: folder, NEXT_TELEMETRY_DISABLED: '1' },
      stdio: 'ignore',
    },
  )
  for (let i = 0; i < 300; i++) {
    const answer = await fetch(job).catch(() => undefined)
    if (answer?.ok) return { server, job: await answer.json(), etag: answer.headers.get('etag') }
    await wait(50)
  }
  server.kill('SIGKILL')
  stop('The server did not start.')
}

/** What is wrong with the database file, read by itself. */
function unsound() {
  const db = new Sqlite(join(folder, 'orvint.sqlite'))
  const [{ integrity_check }] = db.prepare('PRAGMA integrity_check').all()
  const lost = db.prepare('PRAGMA foreign_key_check').all()
  db.close()
  if (integrity_check !== 'ok') return integrity_check
  return lost.length > 0 ? `${lost.length} rows point nowhere` : ''
}

let written = 0
let acknowledged = 0
const failures = []
for (let round = 1; round <= times; round++) {
  const up = await start()
  const there = Number(/^edit (\d+)$/.exec(up.job.order.notes)?.[1] ?? 0)
  // The edit under way when the server died may or may not be there; every acknowledged one must be.
  if (there < acknowledged || there > written)
    failures.push(`round ${round}: edit ${there} is there, ${acknowledged} was acknowledged, ${written} sent`)
  let { etag } = up
  let dead = false
  // Every other time the kill waits for a first acknowledgement: a slow machine gives none in a quarter of a second.
  let answered
  const first = new Promise((resume) => {
    answered = resume
  })
  const kill = (round % 2 ? wait(0) : first)
    .then(() => wait(20 + Math.random() * 250))
    .then(() => {
      dead = true
      up.server.kill('SIGKILL')
    })
  while (!dead) {
    written++
    const body = JSON.stringify({ ...up.job, order: { ...up.job.order, notes: `edit ${written}` } })
    const answer = await fetch(job, { method: 'PUT', body, headers: { 'if-match': etag } }).catch(
      () => undefined,
    )
    answered()
    if (!answer) break
    if (!answer.ok) {
      failures.push(`round ${round}: edit ${written} was refused with ${answer.status}`)
      break
    }
    acknowledged = written
    etag = answer.headers.get('etag')
  }
  await kill
  await new Promise((gone) =>
    up.server.exitCode === null && up.server.signalCode === null ? up.server.on('exit', gone) : gone(),
  )
  const wrong = unsound()
  if (wrong) failures.push(`round ${round}: ${wrong}`)
}
rmSync(folder, { recursive: true, force: true })
for (const f of failures) console.error(f)
console.log(`torture: killed ${times} times, ${acknowledged} edits acknowledged, ${failures.length} failures`)
process.exit(failures.length === 0 ? 0 : 1)
