import { expect, open, saveStatus, test } from './house'
import { EMPTY_PORT } from './ports'

test.use({ baseURL: `http://127.0.0.1:${EMPTY_PORT}` })

test('a new shop is named and set up from a template, by keyboard only', async ({ page }) => {
  const type = (text: string) => page.keyboard.type(text)
  await open(page, '/')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('What stands in your shop?')
  for (const name of ['A bench', 'One manual carousel', 'Two manual carousels', 'An automatic'])
    await expect(page.getByText(name, { exact: true })).toBeVisible()
  const start = page.getByRole('button', { name: 'Start with two manual carousels' })
  // The page of a first start comes after the keys of the app.
  await expect(start).toBeEnabled()
  await start.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'How is the shop called?' })).toBeVisible()
  await expect(page.getByLabel('Name of the shop')).toBeFocused()
  await type('Pelican Lane Press')
  await start.focus()
  await page.keyboard.press('Enter')
  await page.waitForURL('/shop')
  await expect(page.getByRole('heading', { name: 'Carousel Two' })).toBeVisible()
})

test('a shop with nothing in it yet leads on, in one sentence and one button a page', async ({ page }) => {
  for (const [path, says, button, leads] of [
    ['/screens', 'No open order asks for a screen.', 'See the frames', '/screens/frames'],
    ['/ink', 'No open order asks for ink.', 'Book in cans', '/ink/rack'],
    ['/ink/history', 'Nothing was mixed yet.', 'Search a formula', '/ink/formulas'],
  ] as const) {
    await open(page, path)
    await expect(page.getByText(says)).toBeVisible()
    await page.getByRole('link', { name: button }).click()
    await page.waitForURL(leads)
  }
  for (const path of ['/', '/orders']) {
    await open(page, path)
    await expect(page.getByText(/^No open order/)).toBeVisible()
    await expect(page.getByRole('button', { name: 'Enter an order (n)' })).toBeVisible()
  }
  await page.getByRole('button', { name: 'Enter an order (n)' }).click()
  await page.waitForURL(/\/order$/)
  await page.getByRole('link', { name: /^2 Art/ }).click()
  await expect(page.getByText('No films yet.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Add films …' })).toBeVisible()
})

test('the new shop plans a run, by keyboard only', async ({ page }) => {
  const type = (text: string) => page.keyboard.type(text)
  await open(page, '/shop')
  await page.locator('main').evaluate((el) => (el.ownerDocument.activeElement as HTMLElement).blur())
  await page.keyboard.press('n')
  await page.waitForURL(/O-1001\/order/)
  await page.getByLabel('Customer').focus()
  await type('Cormorant Rowing')
  await page.getByLabel('From the shelf').focus()
  await type('Navy')
  await page.getByLabel('M', { exact: true }).focus()
  await type('48')
  await expect(page.getByRole('heading', { name: 'One run' })).toBeVisible()
  await page.getByRole('link', { name: /^2 Art/ }).focus()
  await page.keyboard.press('Enter')
  await page.getByLabel('Add a colour from the shelf').focus()
  await type('Red')
  await expect(saveStatus(page)).toHaveText('Saved')
  await page.getByRole('link', { name: /^5 Sequence/ }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('list', { name: 'Lap strip' }).getByRole('listitem')).toHaveText([
    /Base white/,
    /Flash/,
    /Red/,
  ])
  await expect(page.locator('[data-advice="press"]')).toHaveValue('one')
})
