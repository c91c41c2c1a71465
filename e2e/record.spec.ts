import Papa from 'papaparse'
import { expect, open, test } from './house'

/** Of the past runs that the tests' shop has. */
const RUN = 'R-900-P1-dark'

test('record: plan beside actual, filtered, and out as CSV and JSON', async ({ page }) => {
  await open(page, '/record')
  await expect(page.getByRole('heading', { name: 'Record' })).toBeVisible()
  const rows = page.locator('tbody tr')
  const all = await rows.count()
  expect(all).toBeGreaterThanOrEqual(8)
  await page.getByLabel('Press', { exact: true }).selectOption('The Twelve')
  await expect(rows.first()).toContainText('The Twelve')
  expect(await rows.count()).toBeLessThan(all)
  await page.getByLabel('Press', { exact: true }).selectOption('Every press')
  const csv = await (await page.request.get('/api/record.csv')).text()
  const { data } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true })
  expect(data).toHaveLength(all)
  const own = data.find((r) => r.run === RUN)
  expect(Number(own?.good)).toBe(Number(own?.ordered))
  const json = await (await page.request.get('/api/record.json')).json()
  expect(json.runs.map((r: { runId: string }) => r.runId)).toContain(RUN)
  // One of them, with everything that was said.
  await open(page, `/runs/${RUN}/record`)
  await page.locator('[data-why="Set-up"]').press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('Planned')
  await page.getByText('Everything that was said').click()
  await expect(page.getByText('Begun', { exact: true })).toBeVisible()
})

test('record: set-up as it was logged is planned with by one tap, and taken back', async ({ page }) => {
  await open(page, '/record')
  await page.getByRole('button', { name: /^Plan with/ }).press('Enter')
  await expect(page.getByText('as this shop logged it')).toBeVisible()
  await open(page, '/orders/O-1004/run')
  await page.locator('[data-advice="setup"]').press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('own record has it')
  await open(page, '/record')
  await page.getByRole('button', { name: 'Plan as is usual' }).press('Enter')
  await expect(page.getByText('as is usual.')).toBeVisible()
})

test('the same design again: one step, with what it took before and what changed since', async ({ page }) => {
  await open(page, '/orders?show=done')
  await page.getByRole('button', { name: 'Print O-900 again' }).press('Enter')
  await expect(page).toHaveURL(/\/orders\/O-\d+\/run/)
  const before = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Before' }) })
  await expect(before).toContainText('The same design.')
  await expect(before).toContainText(/[\d.]+\s*\/h/)
  await expect(before).toContainText(/The plan (is as it was|differs from what was) printed then/)
  // The order itself is a copy under another number.
  expect(page.url()).not.toContain('O-900')
})

test('lists: the shop’s own words and steps stand at the press, and can be taken away', async ({ page }) => {
  await open(page, '/shop/lists')
  await page.getByRole('heading', { name: 'Set up', exact: true }).click()
  await page.getByLabel('Level: what good looks like').fill('three points, with the gauge')
  await page.getByLabel('A step of your own, Set up').fill('Count the screws')
  await page.getByRole('button', { name: 'Add it' }).locator('visible=true').first().press('Enter')
  await expect(page.getByText('Count the screws', { exact: true })).toBeVisible()
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved')
  await open(page, '/runs/R-1002-P1-dark/lists')
  await expect(page.getByText('three points, with the gauge').first()).toBeVisible()
  const own = page.getByRole('checkbox', { name: 'Count the screws' }).first()
  await own.press(' ')
  await expect(own).toBeChecked()
  await own.press(' ')
  await expect(own).not.toBeChecked()
})
