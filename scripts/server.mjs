/**
 * The server: Next behind the door. `node scripts/server.mjs PORT HOST [ALLOWED HOST ...]`, the data in `ORVINT_DATA`.
 * Says `Ready` when it answers. A second one on the same data says so and stops.
 */
import { randomBytes } from 'node:crypto'
import { existsSync } from 'node:fs'
import { createServer } from 'node:http'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import compression from 'compression'
import Sqlite from 'libsql'
import next from 'next'
import { allowedHosts, HEADERS, policy, refusal } from './door.mjs'
import { keptPages } from './keptPages.mjs'

const [portText, host, ...more] = process.argv.slice(2)
const port = Number(portText)
const dir = fileURLToPath(new URL('..', import.meta.url))
const folder = process.env.ORVINT_DATA ?? join(dir, 'data')

/** Held as long as this process lives, however it dies: the system lets go of it. */
function holdFolder() {
  let lock
  try {
    lock = new Sqlite(join(folder, 'server.lock'))
    lock.pragma('busy_timeout = 0')
    lock.exec('BEGIN EXCLUSIVE')
    return lock
  } catch (error) {
    // Where nothing can be written, no two can write: the pages say what is wrong.
    if (!/BUSY|locked/.test(`${error.code} ${error.message}`)) return lock
    console.error(`Another Orvint serves the data in ${folder} already: use that one, or stop it first.`)
    process.exit(1)
  }
}

const lock = holdFolder()
const app = next({ dev: false, dir, hostname: host, port })
const handle = app.getRequestHandler()
await app.prepare()
const allowed = allowedHosts(host, more)

/** Changes with everything that is written by anyone; where nothing can be read, nothing is kept. */
let data
function stamp() {
  try {
    const file = join(folder, 'orvint.sqlite')
    // Opening it would make it, and an empty file is no shop.
    if (!existsSync(file)) return crypto.randomUUID()
    data ??= new Sqlite(file)
    return String(data.prepare('PRAGMA data_version').all()[0]?.data_version)
  } catch {
    data = undefined
    return crypto.randomUUID()
  }
}
const answer = keptPages(stamp, handle)
/** Pages are packed where they are kept; this packs what never changes, scripts and styles. */
const pack = compression({
  filter: (request, response) =>
    request.url.startsWith('/_next/static/') && compression.filter(request, response),
})

/** The run that an address names, for what shows a whole order and is not told its address. */
const runOf = (url) => /[?&]run=([\w-]{1,80})(?:&|$)/.exec(url ?? '')?.[1] ?? ''

/** A body that no one reads on is not waited for; the answer has time to arrive. */
const hangUp = (request) => setTimeout(() => request.complete || request.destroy(), 500).unref()

const server = createServer(
  {
    // Browsers drop a connection that they opened ahead after 10 s: longer than that, or both hang up at once.
    headersTimeout: 20_000,
    requestTimeout: 300_000,
    keepAliveTimeout: 10_000,
    connectionsCheckingInterval: 2_000,
  },
  async (request, response) => {
    const nonce = randomBytes(16).toString('base64')
    const csp = policy(nonce)
    for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value)
    response.setHeader('content-security-policy', csp)
    response.on('finish', () => hangUp(request))
    const refused = refusal(request, allowed)
    if (refused) {
      response.writeHead(refused[0], { 'content-type': 'application/json', connection: 'close' })
      response.end(JSON.stringify({ wrong: [refused[1]] }))
      return
    }
    // The app takes the nonce for its own scripts from here.
    request.headers['content-security-policy'] = csp
    request.headers['x-orvint-run'] = runOf(request.url)
    try {
      await new Promise((packed) => pack(request, response, packed))
      await answer(request, response, nonce)
    } catch (error) {
      console.error(error)
      if (!response.headersSent) response.writeHead(500, { 'content-type': 'application/json' })
      response.end(JSON.stringify({ wrong: ['Something broke in Orvint itself.'] }))
    }
  },
)
/** Who sends a body and then nothing is let go; who waits for a long answer is not. */
const SILENT = 30_000
server.setTimeout(SILENT, (socket) => {
  const request = socket._httpMessage?.req
  if (!request?.complete) socket.destroy()
})
server.on('clientError', (error, socket) => {
  // A browser opens connections ahead and asks anew after 408; after 400 it shows the mistake.
  const status = error.code === 'ERR_HTTP_REQUEST_TIMEOUT' ? '408 Request Timeout' : '400 Bad Request'
  if (socket.writable) socket.end(`HTTP/1.1 ${status}\r\nconnection: close\r\ncontent-length: 0\r\n\r\n`)
})
/** Pages that a morning begins with are made once before anyone asks: the first one in does not wait for the code to load. */
const FIRST = ['/', '/orders', '/orders?find=a', '/screens', '/ink']
async function warmUp() {
  for (const path of FIRST)
    for (const headers of [{}, { rsc: '1' }])
      await fetch(`http://${host}:${port}${path}`, { headers }).then(
        (page) => page.arrayBuffer(),
        () => undefined,
      )
}
server.listen(port, host, () => {
  console.log('Ready')
  setTimeout(warmUp, 500).unref()
})
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    lock?.close()
    process.exit(0)
  })
