import { expect, open, test } from './house'

const EMPTY = 'http://127.0.0.1:3419'
test.use({ baseURL: EMPTY })

test('a shop’s own database starts empty: it says so, and an order can be taken', async ({ page }) => {
  await page.goto('/shop')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No shop set up yet')
  await open(page, '/')
  await expect(page.getByText('No orders yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Enter the first one' }).click()
  await page.waitForURL(/O-1001/)
  await page.getByLabel('Customer').fill('Cormorant Rowing')
  await page.getByLabel('M', { exact: true }).fill('12')
  await expect(page.getByRole('heading', { name: 'One run' })).toBeVisible()
  await expect(page.getByRole('status')).toHaveText('Saved')
  await page.getByRole('link', { name: /^2 Art/ }).click()
  await page.getByRole('button', { name: 'Add another colour' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Buoy red')
  await page.getByRole('link', { name: /^5 Sequence/ }).click()
  await expect(page.getByText('This shop has no press yet')).toBeVisible()
})
