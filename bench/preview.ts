/**
 * The light table panned and zoomed through six films: the longest frame against a frame of the same page at rest, in
 * headless Chromium without a graphics card. Aim: none over 50 ms.
 */
import { spawn } from 'node:child_process'
import { chromium, type Page } from '@playwright/test'
import { quantile } from 'd3-array'

const AIM = 50
const port = process.env.BENCH_PORT ?? ''
const server = spawn(process.execPath, ['e2e/server.mjs', port, '--films'], {
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise<void>((ready) =>
  server.stdout.on('data', (text) => String(text).includes('Orvint is at') && ready()),
)
process.on('exit', () => server.kill())

/** Counts frames in the page; text, because a name that the loader gives its functions is not known there. */
const COUNT = `
  window.frames_ = []
  window.stop_ = false
  let last = performance.now()
  requestAnimationFrame(function next(now) {
    window.frames_.push(now - last)
    last = now
    if (!window.stop_) requestAnimationFrame(next)
  })`

/** Milliseconds from frame to frame while something is done. */
async function frames(page: Page, act: () => Promise<void>): Promise<readonly number[]> {
  await page.evaluate(COUNT)
  await act()
  return page.evaluate<number[]>('window.stop_ = true, window.frames_.slice(1)')
}

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(`http://127.0.0.1:${port}/orders/O-1003/art`)
await page.getByText('Base choked by').waitFor({ timeout: 120_000 })
const laid = () => page.getByText('Laying out the films').waitFor({ state: 'hidden' })
await laid()
const box = await page.getByRole('application').boundingBox()
if (!box) throw new Error('no light table')
const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]

const rest = await frames(page, () => page.waitForTimeout(2000))
const pan = async () => {
  for (const [dx, dy] of [
    [250, 0],
    [-500, 120],
    [250, -240],
    [0, 120],
  ] as const) {
    await page.mouse.move(x, y)
    await page.mouse.down()
    await page.mouse.move(x + dx, y + dy, { steps: 25 })
    await page.mouse.up()
  }
}
const zoom = async () => {
  await page.mouse.move(x, y)
  for (const way of [-1, 1])
    for (let i = 0; i < 30; i++) {
      await page.mouse.wheel(0, way * 100)
      await page.waitForTimeout(30)
    }
}
const moved: number[] = []
for (const name of ['Whole print', '1:1', '8:1']) {
  await page.getByRole('button', { name }).click()
  // Once while tiles still come, once when they are there.
  for (const when of ['tiles come', 'tiles there']) {
    const own = await frames(page, pan)
    console.log(`${name}, ${when}: ${own.length} frames, longest ${Math.max(...own).toFixed(0)} ms`)
    moved.push(...own)
    await laid()
  }
}
const zoomed = await frames(page, zoom)
console.log(`zooming: ${zoomed.length} frames, longest ${Math.max(...zoomed).toFixed(0)} ms`)
moved.push(...zoomed)
await browser.close()

const still = quantile(rest, 0.5) ?? Number.NaN
const over = moved.filter((f) => f > AIM).length
const ratio = (ms: number) => (ms / still).toFixed(1)
console.log(
  `preview: longest frame ${ratio(Math.max(...moved))} x a frame at rest, 99 % under ${ratio(quantile(moved, 0.99) ?? Number.NaN)} x; ${over} of ${moved.length} over ${AIM} ms`,
)
process.exit(0)
