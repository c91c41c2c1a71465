import AxeBuilder from '@axe-core/playwright'
import type { BrowserContext, Page } from '@playwright/test'
import { expect, open, test } from './house'

const RUN = 'R-1004-P1-light'
/** Cutting the line on purpose is told by the browser too. */
test.use({
  mayFail: /ERR_INTERNET_DISCONNECTED|Failed to load resource/,
  hasTouch: true,
  viewport: { width: 820, height: 1180 },
})

async function release(page: Page): Promise<void> {
  await open(page, '/orders/O-1004/run')
  await page.keyboard.press('r')
  await page.getByRole('dialog').getByRole('button', { name: 'Release' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
}
const size = (page: Page, name: string) =>
  page.getByRole('button', { name: new RegExp(`^${name}: one more good one`) })
const ten = (page: Page, name: string) => page.getByRole('button', { name: `${name}: ten more good ones` })
const sending = (page: Page) => page.getByRole('status', { name: 'Sending' })
const toPrint = (page: Page) => page.getByRole('status', { name: 'Still to print' })

test('a run is counted by touch alone: offline in the middle, on two tablets, taken back, a revision meanwhile', async ({
  page,
  browser,
  context,
  baseURL,
}) => {
  test.setTimeout(240_000)
  await release(page)
  // From the run to the press side.
  await page.getByRole('link', { name: 'Count at the press' }).tap()
  await expect(page.getByRole('heading', { name: 'At the press' })).toBeVisible()
  const all = Number.parseInt((await toPrint(page).textContent()) ?? '', 10)
  await ten(page, 'M').tap()
  await size(page, 'M').tap()
  await expect(toPrint(page)).toHaveText(`${all - 11} to print`)
  // What is spoiled is still to print: two taps.
  await page.getByRole('button', { name: 'M: one is spoiled' }).tap()
  await page.getByRole('group', { name: 'What spoiled it, M' }).getByRole('button', { name: 'Lint' }).tap()
  await expect(page.getByText(/1 spoiled$/).first()).toBeVisible()
  await expect(toPrint(page)).toHaveText(`${all - 11} to print`)
  await expect(sending(page)).toHaveText('All sent')

  // Another tablet sees it, and both count.
  const other = await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage()
  await other.goto(`/runs/${RUN}/press`)
  await expect(toPrint(other)).toHaveText(`${all - 11} to print`)

  // The line is cut: what is said is kept, over a reload of the browser's own making too.
  await context.setOffline(true)
  for (let i = 0; i < 3; i++) await size(page, 'L').tap()
  await expect(sending(page)).toContainText('Kept here: 3')
  await expect(toPrint(page)).toHaveText(`${all - 14} to print`)
  await size(other, 'L').click()
  await expect(toPrint(other)).toHaveText(`${all - 12} to print`)
  await page.close()
  await context.setOffline(false)
  const again = await context.newPage()
  await again.goto(`/runs/${RUN}/press`)
  await expect(toPrint(again)).toHaveText(`${all - 15} to print`)
  await expect(sending(again)).toHaveText('All sent')
  await expect(toPrint(other)).toHaveText(`${all - 15} to print`)

  // Whatever was said long ago is taken back, and put back.
  await again.getByRole('button', { name: 'all 7' }).tap()
  await again.getByRole('button', { name: 'Take back: +10 M good' }).tap()
  await expect(toPrint(again)).toHaveText(`${all - 5} to print`)
  await expect(toPrint(other)).toHaveText(`${all - 5} to print`)
  await again.getByRole('button', { name: 'Put back: +10 M good' }).tap()
  await expect(toPrint(other)).toHaveText(`${all - 15} to print`)

  // The lead releases another meanwhile: it is said, what differs, and nothing is lost.
  await changeAndRelease(context)
  await expect(again.getByText('The sheet in hand is out of date: revision 2 is out.')).toBeVisible()
  await again.getByRole('button', { name: 'Take revision 2' }).tap()
  await expect(again.getByText(/revision 2$/)).toBeVisible()
  await expect(toPrint(again)).toHaveText(`${all - 15} to print`)
  for (const [width, height] of [
    [390, 844],
    [1180, 820],
    [820, 1180],
  ] as const) {
    await again.setViewportSize({ width, height })
    const wide = await again.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect(wide, `sideways at ${width}`).toBeLessThanOrEqual(0)
    expect((await new AxeBuilder({ page: again }).analyze()).violations).toEqual([])
  }
  // What a gloved thumb hits: 14 mm.
  for (const button of await again.locator('main button[aria-label*=":"]').all()) {
    const box = await button.boundingBox()
    expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(53)
  }
  await other.context().close()
})

async function changeAndRelease(context: BrowserContext): Promise<void> {
  const office = await context.newPage()
  await open(office, '/orders/O-1004/heat')
  await office.locator('[data-advice="cureFilm"]').click()
  await office.locator('main input:focus').fill('165')
  await office.keyboard.press('Enter')
  await expect(office.locator('[data-advice="cureFilm"]')).toHaveText('165 °C')
  await release(office)
  await office.close()
}

test('what is not released has no press side, and by keyboard it counts too', async ({ page }) => {
  expect((await page.goto('/runs/R-1001-P1-dark/press'))?.status()).toBe(404)
  await open(page, `/runs/${RUN}/press`)
  const before = await toPrint(page).textContent()
  await size(page, 'S').focus()
  await page.keyboard.press('Enter')
  await expect(toPrint(page)).not.toHaveText(before ?? '')
  await expect(sending(page)).toHaveText('All sent')
})
