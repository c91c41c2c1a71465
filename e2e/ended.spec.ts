import { expect, open, reload, saveStatus, test } from './house'

test('an order that is printed leaves Today and the rooms, is found for a reorder, and comes back in one step', async ({
  page,
}) => {
  await open(page, '/')
  const today = page.getByRole('link', { name: 'Nightjar Short Films' })
  await expect(today).toBeVisible()
  await open(page, '/orders/O-1006/order')
  const step = (name: string) =>
    page.getByRole('list', { name: 'How far the order is' }).getByRole('button', { name })
  await step('Printing').click()
  await expect(step('Printing')).toHaveAttribute('aria-current', 'step')
  await open(page, '/orders')
  await expect(page.getByRole('row', { name: /O-1006/ })).toContainText('Printing')
  await open(page, '/orders/O-1006/order')
  await step('Gone').click()
  await expect(step('Gone')).toHaveAttribute('aria-current', 'step')
  // What is said has its day; what lies before it is reached too.
  await expect(step('Gone')).toContainText(/\d+ \w{3}/)
  await expect(step('Packed')).toHaveAttribute('aria-pressed', 'true')
  await open(page, '/')
  await expect(page.getByText('Kittiwake Count')).toBeVisible()
  await expect(today).toBeHidden()
  await open(page, '/ink')
  await expect(page.locator('[data-ink]').first()).toBeVisible()
  await expect(page.locator('[data-ink="Copper shimmer"]')).toHaveCount(0)
  await open(page, '/orders')
  await page.getByLabel('Find in this list').fill('nightjar')
  await expect(page.getByRole('row', { name: /O-1006/ })).toContainText('Gone')
  await open(page, '/orders?show=done')
  await page.getByRole('button', { name: 'Open O-1006 again' }).click()
  await expect(page.getByRole('button', { name: 'Open O-1006 again' })).toBeHidden()
  await open(page, '/')
  await expect(today).toBeVisible()
})

test('garments in and art approved are said by one tap, taken back by one, and the list shows what is waited for', async ({
  page,
}) => {
  await open(page, '/orders/O-1008/order')
  const step = (name: string) =>
    page.getByRole('list', { name: 'How far the order is' }).getByRole('button', { name })
  await expect(step('Garments in')).toHaveAttribute('aria-pressed', 'false')
  await step('Garments in').press('Enter')
  await expect(step('Garments in')).toHaveAttribute('aria-pressed', 'true')
  await open(page, '/orders')
  await expect(page.getByRole('row', { name: /O-1008/ })).toContainText('waits: approval of art')
  await page.getByLabel('How far', { exact: true }).selectOption('Waits: garments in')
  await expect(page.getByRole('row', { name: /O-1008/ })).toBeHidden()
  await expect(page.getByRole('row', { name: /O-1009/ })).toBeVisible()
  await page.getByLabel('How far', { exact: true }).selectOption('however far')
  await page.getByLabel('Press', { exact: true }).selectOption('Bench')
  await expect(page.getByRole('row', { name: /O-1009/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /O-1003/ })).toBeHidden()
  await open(page, '/orders/O-1008/order')
  await step('Garments in').press('Enter')
  await expect(step('Garments in')).toHaveAttribute('aria-pressed', 'false')
})

test('garments are counted in by size: what is short and spare, and how many spares to order', async ({
  page,
}) => {
  await open(page, '/orders/O-1008/order')
  await page.getByRole('button', { name: 'Count in' }).press('Enter')
  const cameIn = page.getByRole('group', { name: /^Came in/ }).first()
  await expect(cameIn).toContainText(/\d+ spare to order with them/)
  await cameIn.getByRole('button', { name: 'All came as ordered' }).press('Enter')
  const field = cameIn.getByLabel('L in', { exact: true })
  const ordered = Number(await field.inputValue())
  await field.fill(String(ordered - 2))
  await expect(cameIn).toContainText('2 short')
  await field.fill(String(ordered + 1))
  await expect(cameIn).toContainText('1 spare')
  await expect(saveStatus(page)).toHaveText('Saved')
  await reload(page)
  await expect(field).toHaveValue(String(ordered + 1))
})
