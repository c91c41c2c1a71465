import { BLUE, blueColours, bluest } from './blue'
import { expect, field, open, test } from './house'

test.beforeEach(({ page }) => page.addInitScript(() => localStorage.setItem('orvint.mode', 'safelight')))

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
    expect(await blueColours(page)).toEqual([])
    await page.keyboard.press('Escape')
  }
  await open(page, '/orders/O-1003/art')
  await field(page, 'Coverage').first().fill('lots')
  await expect(page.getByText('Not a share')).toBeVisible()
  expect(await bluest(page)).toBeLessThanOrEqual(BLUE)
})

test('inks show as names and hatching; colours and days are typed', async ({ page }) => {
  await open(page, '/')
  await expect(page.getByText('Moon yellow, Comet blue, Harbour white on navy').first()).toBeVisible()
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
