/**
 * What every request must pass before the app sees it, and what goes along with every answer. Pure, so that it can be
 * tried without a server.
 */
import { networkInterfaces } from 'node:os'

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']

/** The host names under which a server may be asked: where it listens, and what `--allow-host` names. */
export function allowedHosts(host, more = []) {
  const everywhere = ['0.0.0.0', '::', '[::]'].includes(host)
  const own = everywhere
    ? Object.values(networkInterfaces())
        .flatMap((list) => list ?? [])
        .map(({ address, family }) => (family === 'IPv6' ? `[${address.split('%')[0]}]` : address))
    : [host.includes(':') && !host.startsWith('[') ? `[${host}]` : host]
  return new Set([...LOOPBACK, ...own, ...more].map((name) => name.toLowerCase()))
}

/** `Shop.local:3000` without its port; undefined when it is no host at all. */
function nameOf(host) {
  const found = /^(\[[\da-f:.]+\]|[\w.-]+)(?::\d{1,5})?$/i.exec(host ?? '')
  return found?.[1].toLowerCase()
}

/** A page elsewhere may link here, never ask here. */
const isVisit = (headers) =>
  headers['sec-fetch-mode'] === 'navigate' && headers['sec-fetch-dest'] === 'document'

/**
 * Why a request is refused; undefined when it may pass. By its host, a foreign page could have its own name point here;
 * by its origin, it could write.
 *
 * @returns a status with one plain sentence
 */
export function refusal({ method, url, headers }, allowed) {
  const name = nameOf(headers.host)
  if (name === undefined || !allowed.has(name))
    return [
      421,
      'Orvint is not asked under this name. Start it with --allow-host and the name, if it is yours.',
    ]
  const { origin } = headers
  if (origin !== undefined && originHost(origin) !== headers.host.toLowerCase())
    return [403, 'This came from another site, so nothing was done.']
  if (headers['sec-fetch-site'] === 'cross-site' && !(method === 'GET' && isVisit(headers)))
    return [403, 'This came from another site, so nothing was done.']
  // Nothing here is asked for so: every act has an address of its own.
  if (headers['next-action'] !== undefined) return [404, 'There is no such act.']
  if (!['GET', 'HEAD', 'OPTIONS'].includes(method) && !url.startsWith('/api/'))
    return [405, 'Pages are only looked at; what is written goes to /api.']
  try {
    decodeURIComponent(url.split('?')[0])
  } catch {
    return [400, 'This address is not written as an address is: a per cent sign stands alone.']
  }
  return undefined
}

function originHost(origin) {
  try {
    return new URL(origin).host.toLowerCase()
  } catch {
    return undefined
  }
}

/** What goes along with every answer. */
export const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy':
    'accelerometer=(), camera=(self), display-capture=(), geolocation=(), gyroscope=(), microphone=(), payment=(), usb=()',
}

/** What a page may load and run: only what comes from here, scripts and style sheets only with this answer's nonce. */
export const policy = (nonce) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    `style-src 'self' 'nonce-${nonce}'`,
    // React writes sizes and colours into style attributes; they run nothing.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
