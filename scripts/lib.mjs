/** What the commands of the project share: plain words when something is missing, and starting the server. */
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = fileURLToPath(new URL('..', import.meta.url))
/** Large pictures go back to the system when they are let go, instead of being kept in pieces (glibc; bytes). */
const ENV = { MALLOC_MMAP_THRESHOLD_: '1048576', ...process.env, NEXT_TELEMETRY_DISABLED: '1' }

/** One plain sentence, then the end. */
export function stop(sentence) {
  console.error(sentence)
  process.exit(1)
}

export function checkNode(version = process.versions.node) {
  const [major, minor] = version.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    stop(`Orvint needs Node 20.19 or newer; this is Node ${version}.`)
}

/** Runs a command in the project to its end; says what it was doing when it fails. */
export function run(command, args, options = {}) {
  const { doing, env, ...rest } = options
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...ENV, ...env }, ...rest })
  if (done.status !== 0 && doing) stop(`${doing} failed.`)
  return done
}

/**
 * Installs the packages of the lock file unless they are there. Not `npm ci`: that refuses a lock file written where
 * the registry lacks the optional packages of other platforms.
 */
export function install() {
  const stamp = join(ROOT, 'node_modules', '.package-lock.json')
  const lock = join(ROOT, 'package-lock.json')
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(lock).mtimeMs) return
  run('npm', ['install', '--no-audit', '--no-fund'], { doing: 'Installing packages' })
}

const newest = (folder) =>
  readdirSync(folder, { withFileTypes: true }).reduce((time, entry) => {
    const path = join(folder, entry.name)
    return Math.max(time, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs)
  }, 0)

/** Builds the app unless the last build is newer than every source. */
export function build() {
  const stamp = join(ROOT, '.next', 'BUILD_ID')
  const sources = Math.max(
    newest(join(ROOT, 'src')),
    ...['package-lock.json', 'next.config.ts'].map((f) => statSync(join(ROOT, f)).mtimeMs),
  )
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= sources) return
  run(process.execPath, ['node_modules/next/dist/bin/next', 'build'], { doing: 'Building the app' })
}

/** The data folder, made if need be; a plain sentence if it cannot be written. */
export function dataFolder(name) {
  const folder = process.env.ORVINT_DATA ?? join(ROOT, name)
  try {
    mkdirSync(folder, { recursive: true })
    const probe = join(folder, '.probe')
    writeFileSync(probe, '')
    rmSync(probe)
  } catch {
    stop(`The data folder ${folder} cannot be written: choose another with ORVINT_DATA.`)
  }
  return folder
}

/** Runs that the demo shop printed before; tests need a few only. */
export const DEMO_PAST = 40

/** `films` draws the films of the demo too, `past` says how many runs were printed before. */
export function seed(folder, films = true, past = DEMO_PAST) {
  run(process.execPath, ['--import', 'tsx', 'scripts/seed.ts'], {
    doing: 'Filling the demo data',
    env: { ORVINT_DATA: folder, ORVINT_DEMO_FILMS: films ? 'drawn' : 'none', ORVINT_DEMO_PAST: `${past}` },
  })
}

const isFree = (port, host) =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })

/** A port that nothing uses. */
export const freePort = () =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })

/**
 * `--port N`, `--host H` and any number of `--allow-host NAME` of the command line, with their defaults. A flag without its
 * value, or one that no one knows, is told.
 */
export function address(args, known = []) {
  const after = (flag) => args.flatMap((arg, i) => (arg === flag ? [args[i + 1]] : []))
  const wants = {
    '--port': 'a number from 1 to 65535',
    '--host': 'an address',
    '--allow-host': 'a host name',
  }
  for (const [flag, what] of Object.entries(wants))
    if (after(flag).some((value) => value === undefined || value === '' || value.startsWith('--')))
      stop(`${flag} wants ${what} after it, for example ${flag} ${EXAMPLES[flag]}.`)
  const taken = new Set(Object.keys(wants).flatMap((flag) => after(flag)))
  const stranger = args.find((arg) => !(arg in wants) && !known.includes(arg) && !taken.has(arg))
  if (stranger !== undefined)
    stop(`Orvint does not know ${stranger}; it knows ${[...Object.keys(wants), ...known].join(', ')}.`)
  const text = after('--port').at(-1) ?? '3000'
  const port = /^\d+$/.test(text) ? Number(text) : Number.NaN
  if (!(port >= 1 && port <= 65535)) stop('--port wants a number from 1 to 65535.')
  return { port, host: after('--host').at(-1) ?? '127.0.0.1', allow: after('--allow-host') }
}

const EXAMPLES = { '--port': '3000', '--host': '0.0.0.0', '--allow-host': 'shop.local' }

/** Starts the built app on a data folder; answers once it does. */
export const startServer = (folder, { port, host = '127.0.0.1', allow = [] }, options = {}) =>
  spawn(process.execPath, ['scripts/server.mjs', String(port), host, ...allow], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    ...options,
    env: { ...ENV, NODE_ENV: 'production', ORVINT_DATA: folder, ...options.env },
  })

/** Waits until a server answers; says so when it ends before. */
export async function ready(base, server) {
  for (let i = 0; i < 600; i++) {
    if (server.exitCode !== null) break
    if (
      await fetch(`${base}/api/changes`).then(
        (r) => r.ok,
        () => false,
      )
    )
      return
    await new Promise((resume) => setTimeout(resume, 50))
  }
  stop('The server did not start.')
}

/** Serves the built app until it is stopped. */
export async function serve(folder, at) {
  const { port, host } = at
  if (!(await isFree(port, host)))
    stop(`Port ${port} is taken: stop what uses it, or choose another with --port.`)
  const server = startServer(folder, at)
  const shown = host === '127.0.0.1' ? 'localhost' : host
  server.stdout.on('data', (text) => {
    if (String(text).includes('Ready'))
      console.log(`Orvint is at http://${shown}:${port} (data in ${folder}).`)
  })
  server.on('exit', (code) => process.exit(code ?? 0))
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
}

export const readJson = (path) => JSON.parse(readFileSync(path, 'utf8'))
