import type { Page } from '@playwright/test'
import { PNG } from 'pngjs'
import { expect, open, test } from './house'
import { PAGES } from './pages'

/** Of 255; what smoothing of edges may leave. */
const BLUE = 8

test.beforeEach(({ page }) => page.addInitScript(() => localStorage.setItem('orvint.mode', 'safelight')))

/** The bluest pixel of what is shown. */
async function bluest(page: Page): Promise<number> {
  const { data } = PNG.sync.read(await page.screenshot({ fullPage: true }))
  let most = 0
  for (let i = 2; i < data.length; i += 4) most = Math.max(most, data[i] ?? 0)
  return most
}

/** Colours that any element is painted with and that hold more blue than a safelight may. */
const blueColours = (page: Page) =>
  page.evaluate((limit) => {
    const PAINTED = [
      'color',
      'background-color',
      'border-top-color',
      'border-bottom-color',
      'outline-color',
      'fill',
      'stroke',
      'caret-color',
      'text-decoration-color',
      'accent-color',
      'background-image',
      'box-shadow',
    ]
    const blue = (text: string) =>
      [...text.matchAll(/rgba?\(([^)]+)\)/g)].some(([, body = '']) => {
        const [, , b = 0, alpha = 1] = body.split(/[\s,/]+/).map(Number)
        return b > limit && alpha > 0
      })
    return [...document.querySelectorAll('body, body *')].flatMap((el) => {
      const style = getComputedStyle(el)
      return PAINTED.filter((p) => blue(style.getPropertyValue(p))).map(
        (p) => `${el.tagName} ${p} ${style.getPropertyValue(p)}`,
      )
    })
  }, BLUE)

for (const [name, path] of Object.entries(PAGES))
  test(`${name} gives no blue light`, async ({ page }) => {
    await open(page, path)
    await page.waitForTimeout(400)
    expect([...new Set(await blueColours(page))]).toEqual([])
    expect(await bluest(page)).toBeLessThanOrEqual(BLUE)
  })

test('windows, answers, messages and focus give none either', async ({ page }) => {
  await open(page, '/orders/O-1003/sequence')
  await page.locator('[data-advice="press"]').focus()
  await page.keyboard.press('w')
  expect(await bluest(page)).toBeLessThanOrEqual(BLUE)
  for (const key of ['?', '/', 'r']) {
    await page.locator('[data-cell="I1"]').focus()
    await page.keyboard.press(key)
    await expect(page.getByRole('dialog')).toBeVisible()
    await page.waitForTimeout(200)
    expect(await bluest(page)).toBeLessThanOrEqual(BLUE)
    expect([...new Set(await blueColours(page))]).toEqual([])
    await page.keyboard.press('Escape')
  }
  await open(page, '/orders/O-1003/art')
  await page.getByLabel('Coverage', { exact: true }).first().fill('lots')
  await expect(page.getByText('Not a share')).toBeVisible()
  expect(await bluest(page)).toBeLessThanOrEqual(BLUE)
})

test('inks show as names and hatching; colours and days are typed', async ({ page }) => {
  await open(page, '/')
  await expect(page.getByText('Moon yellow, Comet blue, Harbour white on navy')).toBeVisible()
  await open(page, '/orders/O-1003/art')
  await expect(page.getByLabel('Colour of Moon yellow')).toHaveAttribute('type', 'text')
  await page.getByRole('link', { name: /^1 Order/ }).click()
  await expect(page.getByLabel('Due')).toHaveAttribute('type', 'text')
})

test('one key goes there and back, and this device remembers', async ({ page }) => {
  await open(page, '/')
  const mode = () => page.evaluate(() => document.documentElement.className)
  expect(await mode()).toBe('safelight')
  await page.keyboard.press('s')
  await expect.poll(mode).toBe('light')
  await page.keyboard.press('s')
  await expect.poll(mode).toBe('safelight')
})

test('a sheet printed under a safelight is black on white', async ({ page }) => {
  await open(page, '/runs/R-1001-P1-dark/sheet')
  await page.emulateMedia({ media: 'print' })
  const [ink, paper] = await page
    .locator('main')
    .evaluate((el) => [getComputedStyle(el).color, getComputedStyle(el).backgroundColor])
  expect([ink, paper]).toEqual(['rgb(0, 0, 0)', 'rgb(255, 255, 255)'])
})
