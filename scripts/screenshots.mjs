/** `npm run screenshots`: a picture of each main view from fresh demo data, into docs/screenshots. */
import { spawn } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { build, install, ROOT } from './lib.mjs'

const PORT = 3418
const VIEWS = {
  today: '/',
  order: '/orders/O-1002/order',
  art: '/orders/O-1001/art',
  screens: '/orders/O-1003/screens',
  ink: '/orders/O-1001/ink',
  sequence: '/orders/O-1003/sequence',
  placement: '/orders/O-1010/placement',
  heat: '/orders/O-1001/heat',
  run: '/orders/O-1004/run',
  sheet: '/runs/R-1003-P1-dark/sheet',
  room: '/screens',
  inkroom: '/ink',
  record: '/record',
  quote: '/quotes/O-1003',
}

install()
build()
const server = spawn(process.execPath, ['e2e/server.mjs', String(PORT), '--films'], {
  cwd: ROOT,
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise((ready) =>
  server.stdout.on('data', (text) => String(text).includes('Orvint is at') && ready()),
)

// The server ends with the script, however it ends.
process.on('exit', () => server.kill())
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const folder = join(ROOT, 'docs', 'screenshots')
mkdirSync(folder, { recursive: true })
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
const picture = async (name, path) => {
  // Films are read, and their pictures made, when someone first looks at them.
  await page.goto(`http://127.0.0.1:${PORT}${path}`, { waitUntil: 'networkidle', timeout: 120_000 })
  if (name === 'art') await page.locator('[data-why="Choke of the base"]').waitFor({ timeout: 60_000 })
  if (name === 'heat') await page.locator('[data-why="Board"]').waitFor()
  await page.getByText('Laying out the films').waitFor({ state: 'hidden' })
  // One dot says that a picture is being made.
  const made = () =>
    [...document.images]
      .filter((i) => i.getBoundingClientRect().top < innerHeight)
      .every((i) => i.complete && i.naturalWidth > 1)
  await page.waitForFunction(made, undefined, { timeout: 120_000 })
  await page.waitForTimeout(500)
  await page.screenshot({ path: join(folder, `${name}.png`) })
}
for (const [name, path] of Object.entries(VIEWS)) await picture(name, path)

// A part half poured.
await page.goto(`http://127.0.0.1:${PORT}/ink/bench/B-0005`, { waitUntil: 'networkidle' })
await page.locator('#can').fill('C-0004')
await page.keyboard.press('Enter')
await page.getByText('Tip the can').waitFor()
await page.keyboard.down(' ')
await page.waitForTimeout(3000)
await page.keyboard.up(' ')
await page.waitForTimeout(1500)
await page.screenshot({ path: join(folder, 'bench.png') })

// A screen read on a simulated head.
await page.goto(`http://127.0.0.1:${PORT}/runs/R-1002-P1-dark/register`, { waitUntil: 'networkidle' })
await page.getByLabel('Screen', { exact: true }).selectOption({ index: 1 })
await page.getByLabel('Read by').selectOption('usual')
await page.getByRole('button', { name: 'Read the marks' }).click()
await page.locator('[data-why="Will be left"]').waitFor()
await page.screenshot({ path: join(folder, 'register.png') })

// A run released, begun, one screen of it set up in part, and counted for a while: on a tablet.
const RUN = 'R-1004-P1-light'
await page.goto(`http://127.0.0.1:${PORT}/orders/O-1004/heat?run=${RUN}`)
await page.locator('[data-advice="cureFilm"]').waitFor()
await page.keyboard.press('r')
await page.getByRole('dialog').waitFor()
await page.keyboard.press('Enter')
await page.getByRole('dialog').waitFor({ state: 'detached' })
await page.setViewportSize({ width: 820, height: 1180 })
await page.goto(`http://127.0.0.1:${PORT}/runs/${RUN}/press#setUp`, { waitUntil: 'networkidle' })
const tap = (name) => page.getByRole('button', { name }).first().click()
await tap('Begin the run')
const list = page.getByLabel('List', { exact: true })
const [setUp] = await list
  .locator('option')
  .filter({ hasText: /^Set up/ })
  .all()
await list.selectOption((await setUp.getAttribute('value')) ?? '')
for (const step of ['Pinholes', 'Tape both sides', 'Zero the knobs'])
  await page.getByRole('checkbox', { name: step }).click()
await tap('Count')
for (const size of ['S', 'S', 'M']) await tap(new RegExp(`^${size}: ten more`))
for (const name of [/^M: one more good/, /^S: one is spoiled/, 'Lint']) await tap(name)
await page.getByText('All sent').waitFor()
await picture('press', `/runs/${RUN}/press#count`)

// A trouble at the press, told as far as its first look, and the run of a plan with halftones rehearsed.
await page.goto(`http://127.0.0.1:${PORT}/orders/O-1001/run`)
await page.locator('html[data-keys=on]').waitFor({ state: 'attached' })
await page.keyboard.press('r')
await page.getByRole('dialog').getByRole('button', { name: 'Release' }).click()
await page.getByRole('dialog').waitFor({ state: 'detached' })
await page.goto(`http://127.0.0.1:${PORT}/runs/R-1001-P1-dark/press#trouble`, { waitUntil: 'networkidle' })
await tap('Sticks or lifts')
await tap('Ink sticks to the next screen')
await page.getByRole('list', { name: 'What it changes besides' }).waitFor()
await page.waitForTimeout(500)
await page.screenshot({ path: join(folder, 'trouble.png') })
await page.setViewportSize({ width: 1280, height: 800 })
await page.goto(`http://127.0.0.1:${PORT}/runs/R-1003-P1-dark/rehearsal`, { waitUntil: 'networkidle' })
await page.getByRole('heading', { name: /weak places? in this plan/ }).waitFor({ timeout: 120_000 })
await page.screenshot({ path: join(folder, 'rehearsal.png') })

await browser.close()
process.exit(0)
