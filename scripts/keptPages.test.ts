import { request as ask, createServer, type IncomingMessage, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import { gunzipSync } from 'node:zlib'
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import { keptPages } from './keptPages.mjs'

type Asked = { readonly headers?: Record<string, string>; readonly method?: string }
let stamp = 'a'
let clock = 0
let made = 0
let nonce = 0
let slow: Promise<void> = Promise.resolve()
const app = async (request: IncomingMessage, response: ServerResponse) => {
  made++
  const mine = `nonce-${nonce}`
  await slow
  response.setHeader('content-type', 'text/html')
  response.write(`<p nonce="${mine}">${request.url} made ${made}</p>`)
  if (request.url === '/broken') response.statusCode = 500
  response.end('x'.repeat(2000))
}
const answer = keptPages(
  () => stamp,
  app,
  () => clock,
)
const server = createServer((request, response) => void answer(request, response, `nonce-${++nonce}`))
beforeAll(() => new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready)))
afterAll(() => void server.close())
beforeEach(() => {
  stamp = `${Math.random()}`
  made = 0
  slow = Promise.resolve()
})
const get = (path: string, { headers = {}, method = 'GET' }: Asked = {}) =>
  new Promise<{ body: string; nonce: string; encoding: string | undefined }>((resolve, reject) => {
    const { port } = server.address() as AddressInfo
    ask({ port, host: '127.0.0.1', path, headers, method }, (response) => {
      const parts: Buffer[] = []
      response.on('data', (part: Buffer) => parts.push(part))
      response.on('end', () => {
        const whole = Buffer.concat(parts)
        const encoding = response.headers['content-encoding']
        const body = (encoding === 'gzip' ? gunzipSync(whole) : whole).toString()
        resolve({ body, nonce: /nonce="([^"]*)"/.exec(body)?.[1] ?? '', encoding })
      })
    })
      .on('error', reject)
      .end()
  })

it('a page is made once while nothing is written; each answer has a nonce of its own', async () => {
  const [first, second] = [await get('/'), await get('/')]
  expect(made).toBe(1)
  expect(second.body).toBe(first.body.replace(first.nonce, second.nonce))
  expect(second.nonce).not.toBe(first.nonce)
  expect((await get('/', { headers: { 'accept-encoding': 'gzip, br' } })).encoding).toBe('gzip')
})
it('what was written, a write through the door, another address or another question make it anew', async () => {
  await get('/')
  stamp += 'b'
  await get('/')
  expect(made).toBe(2)
  await get('/', { method: 'POST' })
  await get('/')
  expect(made).toBe(4)
  await get('/?from=20')
  await get('/', { headers: { rsc: '1' } })
  expect(made).toBe(6)
  clock += 16_000
  await get('/')
  expect(made).toBe(7)
})
it('thirty who ask at once wait for one page', async () => {
  let go: () => void = () => undefined
  slow = new Promise((resume) => {
    go = resume
  })
  const asked = Array.from({ length: 30 }, () => get('/orders'))
  setTimeout(go, 100)
  const bodies = await Promise.all(asked)
  expect(made).toBe(1)
  expect(new Set(bodies.map((b) => b.nonce)).size).toBe(30)
})
it('files of the app, answers to programs and what broke are not kept', async () => {
  for (const path of ['/api/changes', '/_next/static/x.js', '/icon.svg', '/broken']) {
    made = 0
    await get(path)
    await get(path)
    expect(made, path).toBe(2)
  }
})
