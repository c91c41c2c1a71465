/** What the commands of the project share: plain words when something is missing, and starting the server. */
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = fileURLToPath(new URL('..', import.meta.url))
const ENV = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' }

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

/** `films` draws the films of the demo too. */
export function seed(folder, films = true) {
  run(process.execPath, ['--import', 'tsx', 'scripts/seed.ts'], {
    doing: 'Filling the demo data',
    env: { ORVINT_DATA: folder, ORVINT_DEMO_FILMS: films ? 'drawn' : 'none' },
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

/** `--port N` and `--host H` of the command line, with their defaults. */
export function address(args) {
  const after = (flag) => (args.includes(flag) ? args[args.indexOf(flag) + 1] : undefined)
  const port = Number(after('--port') ?? 3000)
  if (!Number.isInteger(port) || port < 1 || port > 65535) stop('--port wants a number from 1 to 65535.')
  return { port, host: after('--host') ?? '127.0.0.1' }
}

/** Serves the built app until it is stopped. */
export async function serve(folder, { port, host }) {
  if (!(await isFree(port, host)))
    stop(`Port ${port} is taken: stop what uses it, or choose another with --port.`)
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '--port', String(port), '--hostname', host],
    { cwd: ROOT, env: { ...ENV, ORVINT_DATA: folder }, stdio: ['ignore', 'pipe', 'inherit'] },
  )
  const shown = host === '127.0.0.1' ? 'localhost' : host
  server.stdout.on('data', (text) => {
    if (String(text).includes('Ready'))
      console.log(`Orvint is at http://${shown}:${port} (data in ${folder}).`)
  })
  server.on('exit', (code) => process.exit(code ?? 0))
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
}

export const readJson = (path) => JSON.parse(readFileSync(path, 'utf8'))
