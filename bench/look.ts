/**
 * What a page costs who looks at it, measured by the browser itself: layout shift, largest paint, bytes that come before it
 * stands still, and how long the screen takes to answer each key and click of a journey through the app.
 *
 * Headless Chromium without a graphics card, at 1280 x 800, each page in a window of its own with nothing cached; the server
 * has shown each page once. The ratio is that of the slowest answer to the middle one.
 */
import { spawn } from 'node:child_process'
import { type Browser, chromium, type Page } from '@playwright/test'
import { median } from 'd3-array'
import { PAGES } from '../e2e/pages'
import { SMALL } from './size'

const SHIFT = 0.05
const ANSWER = 100
/** What was agreed for some pages: kilobytes compressed, and milliseconds to the largest paint. */
const WEIGHT: Readonly<Record<string, number>> = { today: 250 }
const PAINT: Readonly<Record<string, number>> = { sequence: 600 }
const only = process.env.BENCH_ONLY?.split(',')
const PATHS = Object.entries(PAGES).filter(([name]) =>
  SMALL ? ['today', 'sequence'].includes(name) : !only || only.includes(name),
)

const port = process.env.BENCH_PORT ?? ''
const base = `http://127.0.0.1:${port}`
const server = spawn(process.execPath, ['e2e/server.mjs', port, '--films'], {
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise<void>((ready) =>
  server.stdout.on('data', (text) => String(text).includes('Orvint is at') && ready()),
)
process.on('exit', () => server.kill())

/** Text, because a name that the loader gives its functions is not known in the page. */
const WATCH = `
  window.look_ = { shift: 0, sources: [], paint: 0, answers: [] }
  const name = (n) => n && n.nodeType === 1 ? n.tagName.toLowerCase() + ' ' + (n.textContent || '').slice(0, 40) : String(n?.nodeName)
  const box = (r) => [r.x, r.y, r.width, r.height].map(Math.round).join(',')
  new PerformanceObserver((list) => {
    for (const e of list.getEntries()) if (!e.hadRecentInput) {
      look_.shift += e.value
      look_.sources.push(e.value.toFixed(3) + ' at ' + e.startTime.toFixed(0) + ' ms: ' + e.sources.slice(0, 3).map((s) => name(s.node) + ' ' + box(s.previousRect) + ' to ' + box(s.currentRect)).join(' | '))
    }
  }).observe({ type: 'layout-shift', buffered: true })
  new PerformanceObserver((list) => { for (const e of list.getEntries()) { look_.paint = e.startTime; look_.largest = name(e.element) } })
    .observe({ type: 'largest-contentful-paint', buffered: true })
  new PerformanceObserver((list) => {
    for (const e of list.getEntries()) if (e.interactionId) look_.answers.push([e.duration, e.name + ' ' + (e.target ? name(e.target) : '')])
  }).observe({ type: 'event', durationThreshold: 16, buffered: true })`

interface Look {
  readonly shift: number
  readonly sources: readonly string[]
  readonly paint: number
  readonly largest: string
  readonly answers: readonly (readonly [number, string])[]
}
const looked = (page: Page) => page.evaluate<Look>('look_')

async function fresh(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.addInitScript(WATCH)
  return page
}

/** Scripts, styles and the document itself as they came over the wire, kB. */
async function weighed(page: Page): Promise<() => number> {
  const session = await page.context().newCDPSession(page)
  await session.send('Network.enable')
  const kinds = new Map<string, string>()
  let bytes = 0
  session.on('Network.responseReceived', (e) => kinds.set(e.requestId, e.type))
  session.on('Network.loadingFinished', (e) => {
    if (['Script', 'Stylesheet', 'Document'].includes(kinds.get(e.requestId) ?? ''))
      bytes += e.encodedDataLength
  })
  return () => bytes / 1000
}

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const missed: string[] = []
console.log('page          shift   paint ms   kB')
for (const [name, path] of PATHS) {
  const warm = await fresh(browser)
  await warm.goto(base + path, { waitUntil: 'networkidle', timeout: 120_000 })
  await warm.context().close()
  const page = await fresh(browser)
  const weight = await weighed(page)
  await page.goto(base + path, { waitUntil: 'networkidle', timeout: 120_000 })
  await page.waitForTimeout(800)
  const { shift, paint, largest, sources } = await looked(page)
  console.log(
    `${name.padEnd(12)} ${shift.toFixed(3).padStart(6)} ${paint.toFixed(0).padStart(8)} ${weight().toFixed(0).padStart(7)}`,
  )
  if (shift >= SHIFT) missed.push(`${name} shifts by ${shift.toFixed(2)}`)
  if (shift >= SHIFT) for (const source of sources) console.log(`    ${source}`)
  if (weight() > (WEIGHT[name] ?? Number.POSITIVE_INFINITY))
    missed.push(`${name} weighs ${weight().toFixed(0)} kB`)
  if (paint > (PAINT[name] ?? Number.POSITIVE_INFINITY))
    missed.push(`${name} paints at ${paint.toFixed(0)} ms: ${largest}`)
  await page.context().close()
}

/** Keys and clicks of a morning: what is typed, changed, asked and walked through. */
const page = await fresh(browser)
const answers: (readonly [number, string])[] = []
const gather = async () => {
  const { pathname } = new URL(page.url())
  answers.push(...(await looked(page)).answers.map(([ms, what]) => [ms, `${pathname}: ${what}`] as const))
}
const visit = async (path: string) => {
  if (page.url() !== 'about:blank') await gather()
  await page.goto(base + path, { waitUntil: 'networkidle' })
  await page.locator('html[data-keys=on]').waitFor({ state: 'attached' })
}
const key = async (...keys: readonly string[]) => {
  for (const k of keys) {
    await page.keyboard.press(k)
    await page.waitForTimeout(SMALL ? 100 : 350)
  }
}
await visit('/')
await key('d', 'd', '?', 'Escape')
await visit('/orders/O-1003/sequence')
await page.locator('[data-cell="flash"]').first().click()
await key('Escape', '5', '6', '7', '8', '4', '3')
await visit('/orders/O-1001/heat')
await page.locator('[data-advice="cureFilm"]').click()
await page.locator('main input:focus').fill('161')
await key('Enter', 'Control+z')
if (!SMALL) {
  await visit('/orders/O-1003/sequence')
  await page.locator('[data-cell^=I]').first().focus()
  await key('Alt+ArrowRight', 'Alt+ArrowLeft')
  await visit('/orders/O-1002/order')
  await page.getByLabel('Customer').click()
  await key('End', 'x', 'y', 'z')
  await visit('/orders')
  await page.getByLabel('Find in this list').click()
  await key('q', 'u', 'a', 'y')
  await visit('/screens')
  await key('Tab', 'Tab', 'ArrowDown', 'Enter')
  await visit('/rules')
  await page.getByLabel('Find a rule').click()
  await key('f', 'l', 'a', 's', 'h')
  await visit('/ink/formulas?hex=%232f8f8a&name=Tern%20teal')
  await page.getByRole('button', { name: 'Search' }).click()
  await page.getByRole('button', { name: /^Mix / }).first().waitFor()
}
await gather()
answers.sort(([a], [b]) => b - a)
for (const [ms, what] of answers.slice(0, 8)) console.log(`${ms} ms: ${what}`)
const worst = answers[0]?.[0] ?? 0
if (worst > ANSWER) missed.push(`an answer took ${worst} ms`)
console.log(missed.length > 0 ? `Over what is aimed at: ${missed.join('; ')}` : 'All as aimed at.')
const middle = median(answers, ([ms]) => ms) ?? 0
console.log(`look: ${worst} ms, ${middle.toFixed(0)} ms (${(worst / (middle || 1)).toFixed(1)}x)`)
await browser.close()
process.exit(0)
