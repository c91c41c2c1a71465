import { expect, open, saveStatus, test } from './house'

/** Pages of a PDF, counted by its page objects. */
const pagesOf = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length ?? 0

test('the set-up sheet prints on one page of A4 and of Letter', async ({ page }) => {
  await page.goto('/runs/R-1003-P1-dark/sheet')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Kittiwake Count, Photographic seabird')
  for (const format of ['A4', 'Letter'] as const)
    expect(pagesOf(await page.pdf({ format, preferCSSPageSize: false }))).toBe(1)
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
})

test('eight screens still fit one page, black on white', async ({ page }) => {
  await open(page, '/orders/O-1003/art')
  for (const name of ['Plum', 'Bottle green'])
    await page.getByLabel('Add a colour from the shelf').selectOption({ label: name })
  await page.getByLabel('Width', { exact: true }).fill('340 mm')
  await page.getByRole('link', { name: /^1 Order/ }).click()
  const notes = await page.getByLabel('Notes').inputValue()
  await page.getByLabel('Notes').fill('Long notes from the customer, all of them to be read. '.repeat(6))
  await expect(saveStatus(page)).toHaveText('Saved')
  await page.locator('[data-advice="press"]').selectOption('bench')
  await expect(page.getByRole('button', { name: /Press: take back/ })).toBeVisible()
  await page.goto('/runs/R-1003-P1-dark/sheet')
  await expect(page.locator('main')).toContainText('DRY')
  await expect(page.locator('tbody tr').filter({ hasText: 'T/cm' })).toHaveCount(8)
  for (const format of ['A4', 'Letter'] as const) expect(pagesOf(await page.pdf({ format }))).toBe(1)
  await page.emulateMedia({ media: 'print' })
  const inks = await page
    .locator('main, main *')
    .evaluateAll((all) =>
      [...new Set(all.map((el) => getComputedStyle(el).color))].filter(
        (c) => !['rgb(0, 0, 0)', 'rgb(34, 34, 34)'].includes(c),
      ),
    )
  expect(inks).toEqual([])
  await page.emulateMedia({ media: 'screen' })
  await open(page, '/orders/O-1003/art')
  await page.getByRole('button', { name: /Press: take back/ }).click()
  await page.getByLabel('Width', { exact: true }).fill('290 mm')
  for (const name of ['Plum', 'Bottle green'])
    await page.getByRole('button', { name: `Remove ${name}` }).click()
  await page.getByRole('link', { name: /^1 Order/ }).click()
  await page.getByLabel('Notes').fill(notes)
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('what the lead chose stands on the sheet', async ({ page }) => {
  await page.goto('/runs/R-1001-P1-dark/sheet')
  await expect(page.locator('main')).toContainText('FLASH7 s')
})
