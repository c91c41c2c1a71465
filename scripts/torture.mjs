/**
 * `npm run -s torture [-- N [deed]]`: kills the server N times (300) with SIGKILL in the middle of edits, decisions, days taken,
 * pours, cans booked in, releases, counts at the press, film uploads, backups, restores and archives taken in. What it acknowledged must be there afterwards, once; what
 * had no answer is sent again with its id and must be there once then; a restore is whole or not at all; every backup is sound;
 * so is the database. With a deed nothing but
 * that is done. Exit 0 when that held every time.
 */
import { createHash } from 'node:crypto'
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Sqlite from 'libsql'
import { build, freePort, install, ready, seed, startServer, stop } from './lib.mjs'

const times = Number(process.argv[2] ?? 300)
if (!Number.isInteger(times) || times < 1) stop('How many times? npm run -s torture -- 300')
/** The only deed that is done. */
const only = process.argv[3]
install()
build()
const folder = mkdtempSync(join(tmpdir(), 'orvint-torture-'))
seed(folder, false)
const port = await freePort()
const base = `http://127.0.0.1:${port}`
const wait = (ms) => new Promise((resume) => setTimeout(resume, ms))
const AT = '2026-11-24T09:00'
const RUN = 'R-1006-P1-dark'
/** Its press is the days' to choose. */
const MOVED = 'R-1007-P1-dark-poly'
const failures = []
const say = (round, what) => failures.push(`round ${round}: ${what}`)
const counts = {
  edits: 0,
  decisions: 0,
  days: 0,
  pours: 0,
  cans: 0,
  releases: 0,
  events: 0,
  films: 0,
  backups: 0,
  restores: 0,
  archives: 0,
  again: 0,
}

async function start() {
  const server = startServer(folder, { port }, { stdio: ['ignore', 'ignore', 'ignore'] })
  await ready(base, server)
  return server
}

/** One request; undefined when the server died before it answered. */
async function send(path, method, body, headers = {}) {
  try {
    const answer = await fetch(base + path, { method, body, headers })
    return { status: answer.status, json: await answer.json(), etag: answer.headers.get('etag') }
  } catch {
    return undefined
  }
}
const act = (name, given, once) => send(`/api/act/${name}`, 'POST', JSON.stringify({ once, given }))
const archive = async () => (await fetch(`${base}/api/archive?as=json`)).text()

/** The database as it lies there, read by itself. */
function read(sql, ...values) {
  const db = new Sqlite(join(folder, 'orvint.sqlite'))
  const rows = db.prepare(sql).all(values)
  db.close()
  return rows
}
function unsound(file) {
  const db = new Sqlite(file)
  try {
    const [{ integrity_check }] = db.prepare('PRAGMA integrity_check').all()
    if (integrity_check !== 'ok') return integrity_check
    const lost = db.prepare('PRAGMA foreign_key_check').all()
    return lost.length > 0 ? `${lost.length} rows point nowhere` : ''
  } catch (error) {
    return error.message
  } finally {
    db.close()
  }
}

const editNow = () =>
  Number(/^edit (\d+)$/.exec(read(`SELECT notes FROM customer_order WHERE id = 'O-1001'`)[0].notes)?.[1] ?? 0)
const dwellNow = () =>
  read(`SELECT number FROM decision WHERE run_id = ? AND key = 'dwell.1'`, RUN)[0]?.number
const eventsNow = () => read('SELECT id FROM press_event WHERE run_id = ?', RUN).map((e) => e.id)
const daysNow = () => {
  const [row] = read('SELECT version, kept FROM day_plan')
  return row ? { version: row.version, kept: JSON.parse(row.kept) } : { version: 0, kept: {} }
}
const pressNow = () =>
  read(`SELECT word FROM decision WHERE run_id = ? AND kind = 'override' AND key = 'press'`, MOVED)[0]?.word
const lotsNow = () => read(`SELECT count(*) AS lots FROM can WHERE lot LIKE 'lot %'`)[0].lots

/** What is known to be done: set anew when a restore or an archive took everything back. */
let done
let batchId
let n = 0
async function begin() {
  // Plans of the runs are there: the days have presses to choose from.
  await send('/api/days', 'GET')
  const once = crypto.randomUUID()
  const can = read(`SELECT id, code FROM can ORDER BY id LIMIT 1`)[0]
  await act(
    'receiveCans',
    { cans: [{ code: can.code, lot: 'torture', mass: 100 }], at: AT },
    crypto.randomUUID(),
  )
  const own = read(`SELECT id, code FROM can WHERE lot = 'torture' ORDER BY id DESC LIMIT 1`)[0]
  const system = read('SELECT system FROM base_ink WHERE code = ?', own.code)[0].system
  const batch = {
    name: 'Torture',
    system,
    target: { l: 50, a: 0, b: 0 },
    parts: [{ code: own.code, share: 1 }],
    runId: '',
    hitId: '',
    wanted: 1,
  }
  const made = await act('beginBatch', { batch, at: AT }, once)
  batchId = made.json.id
  done = {
    can: own.id,
    pours: new Set(),
    cans: new Set(),
    films: new Map(),
    // Acknowledged, and kept on the tablet until they are.
    events: new Set(eventsNow()),
    kept: [],
    edits: [editNow(), editNow()],
    dwell: [dwellNow(), dwellNow()],
    days: [daysNow().version, daysNow().version],
    lots: lotsNow(),
    released: read('SELECT coalesce(max(number), 0) AS n FROM revision WHERE run_id = ?', RUN)[0].n,
  }
}

const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAoAAAAKCAAAAACoWZBhAAAADklEQVR4nGP4TwVgGAQAAP//AwD1QgLBAAAAAElFTkSuQmCC',
  'base64',
)

/** Each of them once, acknowledged or not: `unsure` is what had no answer. */
const DEEDS = {
  async edits(unsure) {
    const path = '/api/orders/O-1001/job'
    const before = await send(path, 'GET')
    if (!before) return
    const notes = `edit ${++n}`
    const body = JSON.stringify({ ...before.json, order: { ...before.json.order, notes } })
    done.edits[1] = n
    const answer = await send(path, 'PUT', body, { 'if-match': before.etag })
    if (answer?.status === 200) {
      done.edits = [n, n]
      counts.edits++
    } else if (answer) unsure.push(`an edit was refused with ${answer.status}`)
  },
  async decisions(unsure) {
    const version = read('SELECT version FROM run WHERE id = ?', RUN)[0].version
    const value = { runId: RUN, method: {}, overrides: { 'dwell.1': ++n }, order: [] }
    done.dwell[1] = n
    const answer = await send('/api/save/decisions', 'POST', JSON.stringify({ id: RUN, value, version }))
    if (answer?.json.ok) {
      done.dwell = [n, n]
      counts.decisions++
    } else if (answer) unsure.push(`a decision was refused: ${JSON.stringify(answer.json)}`)
  },
  async days(unsure) {
    const { version } = daysNow()
    done.days[1] = version + 1
    const choice = { order: [MOVED], press: { [MOVED]: ++n % 2 ? 'six' : 'twelve' }, overtime: {} }
    const given = { kept: { choice, pins: [], down: [] }, seen: version }
    const answer = await act('keepDays', given, crypto.randomUUID())
    if (answer?.json.ok) {
      done.days = [version + 1, version + 1]
      counts.days++
    } else if (answer) unsure.push(`days were refused: ${JSON.stringify(answer.json)}`)
  },
  pours: (unsure) =>
    twice('pour', { batchId, canId: done.can, mass: 0.001, at: AT }, done.pours, 'pours', unsure),
  cans: (unsure) =>
    twice(
      'receiveCans',
      {
        cans: [
          { code: read('SELECT code FROM can WHERE id = ?', done.can)[0].code, lot: `lot ${++n}`, mass: 1 },
        ],
        at: AT,
      },
      done.cans,
      'cans',
      unsure,
    ),
  async releases(unsure) {
    const [order] = read(`SELECT version FROM customer_order WHERE id = 'O-1006'`)
    const [run] = read('SELECT version FROM run WHERE id = ?', RUN)
    const [shop] = read('SELECT sum(version) AS version FROM shop_part')
    const seen = { order: order.version, decisions: run.version, shop: shop.version, revision: done.released }
    const sure = new Set()
    await twice('releaseRun', { runId: RUN, seen }, sure, 'releases', unsure)
    if (sure.size > 0) done.released++
  },
  async events(unsure) {
    if (done.released === 0) return
    const said = { kind: 'count', line: 'G1', size: 'M', n: 1 }
    done.kept.push({ id: crypto.randomUUID(), pad: 'torture', seq: ++n, at: `${AT}:00.000Z`, ...said })
    const answer = await send(`/api/runs/${RUN}/record`, 'POST', JSON.stringify({ events: done.kept }))
    if (answer?.status === 200) {
      for (const { id } of done.kept) done.events.add(id)
      counts.events += done.kept.length
      done.kept = []
    } else if (answer) unsure.push(`a count was refused: ${JSON.stringify(answer.json)}`)
  },
  async films(unsure) {
    const name = `film ${++n}.png`
    const bytes = Buffer.concat([png, Buffer.from(String(n))])
    const answer = await send(`/api/orders/O-1008/films/P1?name=${encodeURIComponent(name)}`, 'POST', bytes)
    if (answer?.status === 200) {
      done.films.set(name, createHash('sha256').update(bytes).digest('hex'))
      counts.films++
    } else if (answer) unsure.push(`a film was refused: ${JSON.stringify(answer.json)}`)
  },
  async backups() {
    if ((await act('backUpNow', {}, crypto.randomUUID()))?.json.ok) counts.backups++
  },
}

/** An act with its id; the one without an answer is sent again after the next start. */
let open
async function twice(name, given, sure, kind, unsure) {
  const once = crypto.randomUUID()
  open = { name, given, once, sure, kind }
  const answer = await act(name, given, once)
  if (!answer) return
  open = undefined
  if (!answer.json.ok) return unsure.push(`${name} was refused: ${JSON.stringify(answer.json)}`)
  sure.add(once)
  counts[kind]++
}

function check(round) {
  const wrong = unsound(join(folder, 'orvint.sqlite'))
  if (wrong) say(round, `the database: ${wrong}`)
  for (const name of readdirSync(join(folder, 'backups')).filter((f) => /^orvint-.*\.sqlite$/.test(f))) {
    const torn = unsound(join(folder, 'backups', name))
    if (torn) say(round, `the backup ${name}: ${torn}`)
  }
  const edit = editNow()
  if (edit !== done.edits[0] && edit !== done.edits[1])
    say(round, `edit ${edit} is there, ${done.edits} were sent`)
  const dwell = dwellNow()
  if (!done.dwell.includes(dwell)) say(round, `decision ${dwell} is there, ${done.dwell} were sent`)
  const { version, kept } = daysNow()
  if (!done.days.includes(version)) say(round, `days ${version} are there, ${done.days} were sent`)
  // The press of the sheet and what the days know of it were written together.
  if (kept.choice && pressNow() !== kept.settled?.[MOVED])
    say(round, `the sheet is for ${pressNow()}, the days say ${kept.settled?.[MOVED]}`)
  done.days = [version, version]
  done.edits = [edit, edit]
  done.dwell = [dwell, dwell]
  const [{ poured }] = read(
    `SELECT count(*) AS poured FROM stock_entry WHERE tub = ? AND kind = 'mixed'`,
    batchId,
  )
  if (poured !== done.pours.size) say(round, `${poured} pours are there, ${done.pours.size} were made`)
  const lots = lotsNow() - done.lots
  if (lots !== done.cans.size) say(round, `${lots} cans are there, ${done.cans.size} were booked in`)
  const [{ last }] = read('SELECT coalesce(max(number), 0) AS last FROM revision WHERE run_id = ?', RUN)
  if (last !== done.released) say(round, `revision ${last} is there, ${done.released} was released`)
  const counted = new Set(eventsNow())
  const lost = [...done.events].filter((id) => !counted.has(id))
  if (lost.length > 0) say(round, `${lost.length} counts are gone`)
  const sent = new Set([...done.events, ...done.kept.map((e) => e.id)])
  if ([...counted].some((id) => !sent.has(id))) say(round, 'a count is there that no one sent')
  for (const [name, hash] of done.films) {
    if (read('SELECT 1 FROM film WHERE name = ? AND hash = ?', name, hash).length !== 1)
      say(round, `${name} is gone`)
    if (!existsSync(join(folder, 'films', hash))) say(round, `the file of ${name} is gone`)
  }
}

let server = await start()
await begin()
if (only === 'events') await DEEDS.releases([])
const kill = async () => {
  server.kill('SIGKILL')
  if (server.exitCode === null && server.signalCode === null)
    await new Promise((gone) => server.on('exit', gone))
}
for (let round = 1; round <= times; round++) {
  const kind = only ? 0 : round % 6
  let dead = false
  // Every other time the kill waits for a first acknowledgement: a slow machine gives none in a quarter of a second.
  let answered
  const first = new Promise((resume) => {
    answered = resume
  })
  const dies = () =>
    ((round + Math.floor(round / 6)) % 2 ? wait(0) : Promise.race([first, wait(3000)]))
      .then(() => wait(10 + Math.random() * 500))
      .then(async () => {
        dead = true
        await kill()
      })
  if (kind === 4 || kind === 5) {
    // Everything is replaced: by a backup, or by an archive of before.
    const before = await archive()
    const name = readdirSync(join(folder, 'backups'))
      .filter((f) => /^orvint-.*\.sqlite$/.test(f))
      .sort()
      .at(-1)
    const death = dies()
    const replacing =
      kind === 4 && name
        ? act('restoreBackup', { name }, crypto.randomUUID())
        : send('/api/archive', 'POST', before)
    void replacing.then(answered)
    const answer = await replacing
    await death
    server = await start()
    const wrong = unsound(join(folder, 'orvint.sqlite'))
    if (wrong) say(round, `the database: ${wrong}`)
    if (answer && answer.status !== 200)
      say(round, `replacing was refused: ${JSON.stringify(answer.json).slice(0, 200)}`)
    if (answer) counts[kind === 4 ? 'restores' : 'archives']++
    // An archive of what is there changes nothing that can be seen, whether it came to its end or not.
    if (kind === 5 && (await archive()) !== before)
      say(round, 'an archive of what was there left something else')
    await begin()
    continue
  }
  const death = dies()
  const names = only ? [only] : Object.keys(DEEDS)
  while (!dead) {
    const unsure = []
    const name = names[Math.floor(Math.random() * names.length)]
    try {
      await DEEDS[name](unsure)
    } catch (error) {
      if (!dead) unsure.push(error.message)
    }
    answered()
    if (!dead) for (const u of unsure) say(round, u)
  }
  await death
  server = await start()
  if (open) {
    // Asked again with its id: it is there once, whether it had been done or not.
    const { name, given, once, sure, kind: of } = open
    const answer = await act(name, given, once)
    if (answer?.json.ok) {
      sure.add(once)
      counts.again++
      if (of === 'releases') done.released++
    } else say(round, `${name} sent again: ${JSON.stringify(answer?.json)}`)
    open = undefined
  }
  check(round)
}
await kill()
rmSync(folder, { recursive: true, force: true })
for (const f of failures.slice(0, 40)) console.error(f)
const told = Object.entries(counts).map(([kind, count]) => `${count} ${kind}`)
console.log(`torture: killed ${times} times, ${told.join(', ')} acknowledged, ${failures.length} failures`)
process.exit(failures.length === 0 ? 0 : 1)
