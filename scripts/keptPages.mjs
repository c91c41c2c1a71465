/**
 * Pages that were made and are still true: a page follows from the data and the address alone, so while nothing was written it
 * is the same for every device. Thirty tablets that look at Today after someone saved cost one page, not thirty.
 */
import { gzip } from 'node:zlib'

/** What a page shows of the clock may be so old, milliseconds. */
const FRESH = 15_000
const MOST_PAGES = 80
const MOST_BYTES = 3 * 1024 ** 2
/** What else than its address makes a page: what the app asks of itself when someone clicks. */
const ASKS = [
  'rsc',
  'next-router-state-tree',
  'next-router-prefetch',
  'next-router-segment-prefetch',
  'next-url',
]

const isPage = ({ method, url, headers }) =>
  method === 'GET' &&
  !/^\/(api|_next)\//.test(url) &&
  !/\.\w+($|\?)/.test(url) &&
  url.length < 2000 &&
  headers.range === undefined

const keyOf = ({ url, headers }) => [url, ...ASKS.map((name) => headers[name] ?? '')].join('\n')

/** Takes what the app writes instead of sending it. */
function catching(response, done) {
  const parts = []
  let bytes = 0
  const take = (part, encoding) => {
    if (part === undefined || part === null || typeof part === 'function') return
    const own =
      typeof part === 'string'
        ? Buffer.from(part, typeof encoding === 'string' ? encoding : 'utf8')
        : Buffer.from(part)
    bytes += own.length
    parts.push(own)
  }
  const { write, end } = response
  response.write = (part, encoding, written) => {
    take(part, encoding)
    const then = typeof encoding === 'function' ? encoding : written
    if (then) queueMicrotask(then)
    return true
  }
  // Headers go with the body.
  response.flushHeaders = () => undefined
  response.end = (part, encoding) => {
    take(part, encoding)
    response.write = write
    response.end = end
    done(Buffer.concat(parts), bytes)
    return response
  }
}

/**
 * @param stamp a text that changes whenever something was written
 * @param render lets the app answer
 */
export function keptPages(stamp, render, now = () => Date.now()) {
  const pages = new Map()
  const making = new Map()
  /** Goes up whenever what is kept may no longer be true. */
  let era = 0
  let last = ''
  const forget = () => {
    era++
    pages.clear()
  }

  /** Sends a page with this answer's own nonce, packed where the browser takes that; packing goes on beside. */
  function send(request, response, page, nonce) {
    const body =
      page.nonce === nonce ? page.body : Buffer.from(page.body.toString('utf8').replaceAll(page.nonce, nonce))
    response.statusCode = page.status
    for (const [name, value] of page.headers) response.setHeader(name, value)
    const packs = /\bgzip\b/.test(request.headers['accept-encoding'] ?? '') && body.length > 1024
    if (!packs) return response.end(body)
    response.setHeader('content-encoding', 'gzip')
    response.removeHeader('content-length')
    gzip(body, { level: 1 }, (error, packed) => response.end(error ? body : packed))
  }

  return async function answer(request, response, nonce) {
    if (!['GET', 'HEAD', 'OPTIONS'].includes(request.method)) {
      await render(request, response)
      // Whatever it did, and wherever: nothing of before is kept.
      forget()
      return
    }
    if (!isPage(request)) return render(request, response)
    const is = stamp()
    if (is !== last) {
      last = is
      forget()
    }
    const key = keyOf(request)
    const kept = pages.get(key)
    if (kept && now() - kept.at < FRESH) return send(request, response, kept, nonce)
    const underWay = making.get(`${era}\n${key}`)
    if (underWay) {
      const page = await underWay
      if (page) return send(request, response, page, nonce)
    }
    const began = era
    let gone = false
    response.once('close', () => {
      gone = true
    })
    let made = () => undefined
    const promise = new Promise((resume) => {
      made = resume
    })
    making.set(`${began}\n${key}`, promise)
    const given = new Set(response.getHeaderNames())
    catching(response, (body, bytes) => {
      const headers = response
        .getHeaderNames()
        .filter((name) => !given.has(name) && name !== 'content-length')
        .map((name) => [name, response.getHeader(name)])
      const page = { status: response.statusCode, headers, body, nonce, at: now() }
      const keeps = page.status === 200 && bytes <= MOST_BYTES && began === era && !gone
      if (keeps) {
        pages.delete(key)
        pages.set(key, page)
        if (pages.size > MOST_PAGES) pages.delete(pages.keys().next().value)
      }
      made(keeps ? page : undefined)
      send(request, response, page, nonce)
    })
    try {
      await render(request, response)
    } finally {
      making.delete(`${began}\n${key}`)
      made(undefined)
    }
  }
}
