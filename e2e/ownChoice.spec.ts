import { expect, open, reload, test } from './house'

test('a choice that no press could follow is refused at its place, in the reader’s units', async ({
  page,
}) => {
  await open(page, '/orders/O-1003/screens')
  const offContact = page.locator('[data-advice="offContact"]')
  const before = await offContact.textContent()
  await offContact.click()
  await page.locator('main input:focus').fill('1 m')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'Between 0 mm and 50 mm, please.' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(offContact).toHaveText(before ?? '')
})

test('a flash keeps its dwell with the hit it stands behind', async ({ page }) => {
  await open(page, '/orders/O-1003/heat')
  const dwell = page.locator('[data-advice="dwell.base"]')
  await expect(dwell).toBeVisible()
  const advised = (await dwell.textContent()) ?? ''
  await dwell.click()
  await page.locator('main input:focus').fill('9 s')
  await page.keyboard.press('Enter')
  await expect(dwell).toContainText('9')
  await reload(page)
  await expect(dwell).toContainText('9')
  await dwell.focus()
  await page.keyboard.press('Backspace')
  await expect(dwell).toHaveText(advised)
})
