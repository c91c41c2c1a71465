import { deafen, expect, open, test } from './house'

const RUN = 'R-1009-P1-in-between'
const RUN_PAGE = `/orders/O-1009/run?run=${RUN}`

test('a run is released, changed and released again by keyboard; the difference can be read', async ({
  page,
}) => {
  await open(page, RUN_PAGE)
  await expect(page.getByRole('heading', { name: 'Not released yet' })).toBeVisible()
  await page.goto(`/runs/${RUN}/sheet`)
  await expect(page.locator('main')).toContainText('Draft, not released')

  await open(page, RUN_PAGE)
  await expect(page.locator('[data-advice="press"]')).toBeVisible()
  await page.keyboard.press('r')
  await expect(page.getByRole('dialog', { name: `Release revision 1 of ${RUN}?` })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Revision 1', exact: true })).toBeVisible()
  await expect(page.getByText('Nothing has changed since.')).toBeVisible()
  const code = (await page.getByText('Code on the sheet:').locator('strong').textContent()) ?? ''
  expect(code).toMatch(/^[2-9A-Z]{5}$/)

  await open(page, `/orders/O-1009/heat?run=${RUN}`)
  const cure = page.locator('[data-advice="cureFilm"]')
  await cure.click()
  await page.locator('main input:focus').fill('165')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Revision 1, 1 changed since')).toBeVisible()
  // Until it is released again the sheet is the one that was released.
  await page.goto(`/runs/${RUN}/sheet`)
  await expect(page.locator('main')).toContainText('160 °C')
  await expect(page.getByText('Released; the plan has changed since (1)')).toBeVisible()
  // Nor does its code reassure.
  await page.goto(`/sheets/${code}`)
  await expect(page.locator('main')).toContainText('The plan has changed since: ask the lead.')
  await expect(page.locator('main')).toContainText('160 °C → 165 °C')

  await open(page, RUN_PAGE)
  const change = 'Ink film at the cure: 160 °C → 165 °C'
  await expect(page.locator('main')).toContainText(change)
  await page.keyboard.press('r')
  const dialog = page.getByRole('dialog', { name: 'Release revision 2' })
  await expect(dialog).toContainText(change)
  await page.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
  await page.keyboard.press('r')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Revision 2', exact: true })).toBeVisible()

  await page.getByRole('link', { name: 'All revisions' }).click()
  await expect(page.getByRole('heading', { name: 'Revision 2, the one to work from' })).toBeVisible()
  await expect(page.locator('main')).toContainText(`${change} because:`)

  // The old sheet is recognised by its code.
  await page.keyboard.press('/')
  await page.keyboard.type(code.toLowerCase())
  await expect(page.getByRole('option', { name: /Sheet/ })).toContainText('revision 1 of 2')
  await page.keyboard.press('Enter')
  await page.waitForURL(`/sheets/${code}`)
  await expect(page.locator('main')).toContainText('Out of date. Take revision 2.')
  await expect(page.locator('main')).toContainText(change)
  await page.goto(`/runs/${RUN}/sheet?revision=1`)
  await expect(page.getByText('Out of date: revision 2 is the one to work from')).toBeVisible()
  await expect(page.locator('main')).toContainText(code)
  await page.goto('/')
  await expect(page.getByRole('row').filter({ hasText: 'O-1009' })).toContainText('Revision 2 released')
})

test('what changed while someone looked is not released', async ({ page, browser }) => {
  const path = '/orders/O-1008/run'
  await deafen(page)
  await open(page, path)
  await expect(page.locator('[data-advice="press"]')).toBeVisible()
  const other = await browser.newPage()
  await open(other, '/orders/O-1008/heat')
  await other.locator('[data-advice="cureDwell"]').click()
  await other.locator('main input:focus').fill('170')
  await other.keyboard.press('Enter')
  await expect(other.getByText('choice of your own')).toBeVisible()
  await other.waitForTimeout(400)
  await page.keyboard.press('r')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText(
    'Something changed while you looked',
  )
  await page.keyboard.press('Escape')
  await other.locator('[data-advice="cureDwell"]').press('Backspace')
  await expect(other.getByText('choice of your own')).toBeHidden()
  await other.close()
})

test.describe('a code of no sheet', () => {
  test.use({ mayFail: /404/ })
  test('says so, and the way back', async ({ page }) => {
    await page.goto('/press')
    await page.getByLabel('Code on the sheet').fill('zzzzz')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'No sheet ZZZZZ' })).toBeVisible()
    await expect(page.locator('main')).toContainText('Check the five characters')
    await page.getByRole('link', { name: 'Type it again' }).click()
    await expect(page.getByLabel('Code on the sheet')).toBeVisible()
  })
})
