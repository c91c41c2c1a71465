import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { request as ask } from 'node:http'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort, ready, seed, startServer } from '../scripts/lib.mjs'
import { expect, test } from './house'
import { CUT_PORT } from './ports'

/** An answer with a host of one's own, which a browser or fetch would not send. */
const under = (base: string, path: string, host: string) =>
  new Promise<{ status: number; headers: Record<string, unknown>; body: string }>((resolve, reject) => {
    const { hostname, port } = new URL(base)
    ask({ hostname, port, path, headers: { host } }, (answer) => {
      let body = ''
      answer.on('data', (part) => {
        body += part
      })
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body }))
    })
      .on('error', reject)
      .end()
  })

test('every answer says what it may run and where it may stand', async ({ baseURL }) => {
  const { host } = new URL(baseURL ?? '')
  for (const path of [
    '/',
    '/orders/O-1001/order',
    '/api/changes',
    '/nowhere',
    '/icon.svg',
    '/%zz',
    '/api/act/none',
  ]) {
    const { headers } = await under(baseURL ?? '', path, host)
    expect(String(headers['content-security-policy']), path).toContain("frame-ancestors 'none'")
    expect(String(headers['content-security-policy']), path).toMatch(/script-src 'self' 'nonce-[\w+/=]{22,}'/)
    expect(headers, path).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
    })
    expect(String(headers['permissions-policy']), path).toContain('microphone=()')
  }
})

test('it answers under its own names only; a broken address is told', async ({ baseURL }) => {
  for (const host of ['evil.example', 'evil.example:3417', '127.0.0.1.evil.example']) {
    const { status, body } = await under(baseURL ?? '', '/api/archive', host)
    expect(status).toBe(421)
    expect(JSON.parse(body).wrong[0]).toContain('--allow-host')
  }
  const { host } = new URL(baseURL ?? '')
  expect((await under(baseURL ?? '', '/orders/%zz', host)).status).toBe(400)
})

test('who begins a request and says no more is let go', async ({ baseURL }) => {
  const { port } = new URL(baseURL ?? '')
  const begin = Date.now()
  const heard = await new Promise<string>((gone) => {
    let answer = ''
    const socket = connect(Number(port), '127.0.0.1', () => socket.write('GET / HTTP/1.1\r\nhost: 127'))
    socket.on('error', () => undefined)
    socket.on('close', () => gone(answer))
    socket.on('data', (part) => {
      answer += part
    })
  })
  // RFC 9110, 15.5.9: whoever gets this may ask anew; a browser does so by itself.
  expect(heard).toMatch(/^HTTP\/1\.1 408 /)
  expect(Date.now() - begin).toBeLessThan(40_000)
})

test.describe('a data folder', () => {
  const folder = mkdtempSync(join(tmpdir(), 'orvint-door-'))
  test.afterAll(() => rmSync(folder, { recursive: true, force: true }))

  test('serves one server at a time: a second one says so and stops', async () => {
    const own = join(folder, 'shared')
    mkdirSync(own)
    seed(own, false)
    const port = await freePort()
    const first = startServer(own, { port })
    await ready(`http://127.0.0.1:${port}`, first)
    const second = spawn(process.execPath, ['scripts/server.mjs', String(await freePort()), '127.0.0.1'], {
      env: { ...process.env, NODE_ENV: 'production', ORVINT_DATA: own },
      stdio: ['ignore', 'ignore', 'pipe'],
    })
    let said = ''
    second.stderr?.on('data', (part) => {
      said += part
    })
    const code = await new Promise((resolve) => second.on('exit', resolve))
    first.kill('SIGKILL')
    expect(code).toBe(1)
    expect(said).toContain('Another Orvint serves the data')
  })

  test.describe('whose file was cut off', () => {
    test.use({ mayFail: /status of 50\d|net::ERR_/, baseURL: `http://127.0.0.1:${CUT_PORT}` })
    /** Ends with the test, however that ends. */
    let cut: ReturnType<typeof startServer> | undefined
    test.afterAll(() => cut?.kill('SIGKILL'))
    test('is no empty shop: pages and programs are told, the file is left, a backup takes its place', async ({
      page,
    }) => {
      const own = join(folder, 'cut')
      mkdirSync(own)
      seed(own, false)
      const port = CUT_PORT
      const base = `http://127.0.0.1:${port}`
      const whole = startServer(own, { port })
      await ready(base, whole)
      const made = await fetch(`${base}/api/act/backUpNow`, {
        method: 'POST',
        body: JSON.stringify({ once: '0123456789abcdef', given: {} }),
      })
      expect(await made.json()).toEqual({ ok: true })
      const ended = new Promise((resolve) => whole.on('exit', resolve))
      whole.kill('SIGKILL')
      await ended
      const file = join(own, 'orvint.sqlite')
      for (const end of ['-wal', '-shm']) rmSync(`${file}${end}`, { force: true })
      writeFileSync(file, '')
      cut = startServer(own, { port })
      await expect(async () => expect((await fetch(`${base}/icon.svg`)).ok).toBe(true)).toPass()
      const told = await fetch(`${base}/api/orders.csv`)
      expect(told.status).toBe(503)
      expect(((await told.json()) as { wrong: string[] }).wrong[0]).toContain('0 bytes')
      expect(statSync(file).size).toBe(0)
      await page.goto(`${base}/orders`)
      await expect(page.getByRole('heading', { name: 'The data cannot be opened' })).toBeVisible()
      await page
        .getByRole('button', { name: /^Use orvint-/ })
        .first()
        .click()
      await expect(page.getByText('Kittiwake Count').first()).toBeVisible()
      expect(readFileSync(file).subarray(0, 15).toString()).toBe('SQLite format 3')
    })
  })
})
