import { expect, it } from 'vitest'
import { allowedHosts, HEADERS, policy, refusal } from './door.mjs'

const allowed = allowedHosts('127.0.0.1', ['Shop.local'])
const status = (headers: Record<string, string>, url = '/', method = 'GET') =>
  refusal({ method, url, headers: { host: 'localhost:3000', ...headers } }, allowed)?.[0]

it('answers under the names it listens at and those that were named, whatever the port', () => {
  for (const host of ['localhost:3000', '127.0.0.1:3000', '[::1]:3000', 'shop.local', 'SHOP.LOCAL:8080'])
    expect(status({ host }), host).toBeUndefined()
  // A foreign page that lets its own name point here (DNS rebinding) is told nothing.
  for (const host of [
    'evil.example',
    '127.0.0.1.evil.example',
    '',
    'localhost:3000@evil.example',
    'localhost:x',
  ])
    expect(status({ host }), host).toBe(421)
  expect(allowedHosts('0.0.0.0').has('127.0.0.1')).toBe(true)
})
it('what a page of another site asks is refused; a link from there is followed', () => {
  for (const origin of ['http://evil.example', 'null', 'nonsense', 'http://localhost:3001'])
    expect(status({ origin }, '/api/archive', 'GET'), origin).toBe(403)
  expect(status({ origin: 'http://localhost:3000' }, '/api/act/pour', 'POST')).toBeUndefined()
  expect(status({ 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' }, '/api/archive')).toBe(403)
  const visit = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' }
  expect(status(visit)).toBeUndefined()
  expect(status(visit, '/api/act/pour', 'POST')).toBe(403)
})
it('pages are only looked at', () => {
  for (const method of ['POST', 'PATCH', 'DELETE'])
    expect(status({}, '/orders/O-1001/order', method)).toBe(405)
  expect(status({}, '/api/plan', 'POST')).toBeUndefined()
})
it('a per cent sign that stands alone is told', () => {
  expect(status({}, '/orders/%zz')).toBe(400)
  expect(status({}, '/orders?find=%')).toBeUndefined()
})
it('pages run nothing that does not come from here, and stand in no other page', () => {
  const csp = policy('abc')
  for (const part of [
    "default-src 'self'",
    "script-src 'self' 'nonce-abc'",
    "frame-ancestors 'none'",
    "object-src 'none'",
  ])
    expect(csp).toContain(part)
  expect(csp).not.toMatch(/script-src[^;]*unsafe/)
  expect(HEADERS).toMatchObject({ 'x-content-type-options': 'nosniff', 'referrer-policy': 'no-referrer' })
})
