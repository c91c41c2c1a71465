import { deafen, expect, field, open, reload, saveStatus, test } from './house'

test('every field of an order is saved by itself and read back', async ({ page }) => {
  await open(page, '/orders/O-1009/order')
  const fields = {
    Customer: 'Ropewalk Bakehouse and Sons',
    Job: 'Aprons',
    Due: '2027-01-15',
    Notes: 'Two lines\nof notes',
    Style: 'Long apron',
    'Cloth colour': 'Brick canvas',
    Seen: '#884433',
    One: '64',
  } as const
  for (const [label, text] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByLabel('Cotton').fill('70 %')
  await page.getByLabel('Polyester').fill('30')
  await page.getByLabel('Weight').fill('9 oz/yd2')
  await page.getByLabel('Weave').selectOption('coarse')
  await page.getByLabel('Prints with').selectOption('apart')
  await expect(saveStatus(page)).toHaveText('Saved')
  await reload(page)
  for (const [label, text] of Object.entries(fields))
    await expect(page.getByLabel(label, { exact: true })).toHaveValue(text)
  await expect(page.getByLabel('Cotton')).toHaveValue('70 %')
  await expect(page.getByLabel('Polyester')).toHaveValue('30 %')
  await expect(page.getByLabel('Weight')).toHaveValue('305 g/m²')
  await expect(page.getByLabel('Weave')).toHaveValue('coarse')
  await expect(page.getByRole('navigation', { name: 'Runs' })).toContainText('apart from the rest, 64')
})

test('every field of a print is saved by itself and read back', async ({ page }) => {
  await open(page, '/')
  await page.getByRole('button', { name: 'New order', exact: true }).click()
  await page.getByLabel('Customer').fill('Cormorant Rowing')
  await page.getByLabel('M', { exact: true }).fill('12')
  await expect(page.getByRole('heading', { name: 'One run' })).toBeVisible()
  await page.getByRole('link', { name: /^2 Art/ }).click()
  await page.getByRole('button', { name: 'Add another colour' }).click()
  const first = (label: string) => field(page, label).first()
  await first('Where').selectOption('front')
  await first('Width').fill('10 1/2 in')
  await first('Height').fill('25 cm')
  await first('Printed on').selectOption('adult')
  await first('Name').fill('Signal red')
  await first('Colour of Signal red').fill('#c02030')
  await first('Kind').selectOption('metallic')
  await first('Covers').selectOption('blocking')
  await first('Coverage').fill('33.5 %')
  await first('Ruling, empty for flat').fill('45 lpi')
  await first('Ink system').selectOption('highSolids')
  await page.getByLabel('Low cure, Signal red').check()
  await page.getByRole('button', { name: 'Add another colour' }).click()
  await field(page, 'Name').nth(1).fill('Chalk')
  await page.getByLabel('Signal red and Chalk', { exact: true }).selectOption('overlap')
  await page.getByLabel('Width of the overlap of Signal red and Chalk').fill('0.5 mm')
  await expect(saveStatus(page)).toHaveText('Saved')
  await reload(page)
  await expect(first('Where')).toHaveValue('front')
  await expect(first('Width')).toHaveValue('266.7 mm')
  await expect(first('Height')).toHaveValue('250 mm')
  await expect(first('Printed on')).toHaveValue('adult')
  await expect(first('Name')).toHaveValue('Signal red')
  await expect(first('Colour of Signal red')).toHaveValue('#c02030')
  await expect(first('Kind')).toHaveValue('metallic')
  await expect(first('Covers')).toHaveValue('blocking')
  await expect(first('Coverage')).toHaveValue('33.5 %')
  await expect(first('Ruling, empty for flat')).toHaveValue('45 lpi')
  await expect(first('Ink system')).toHaveValue('highSolids')
  await expect(page.getByLabel('Low cure, Signal red')).toBeChecked()
  await expect(page.getByLabel('Width of the overlap of Signal red and Chalk')).toHaveValue('0.5 mm')

  await page.getByRole('button', { name: 'Remove Chalk' }).click()
  await expect(page.getByLabel('Signal red and Chalk', { exact: true })).toBeHidden()
  await page.getByRole('button', { name: 'Add a print' }).click()
  await expect(page.getByRole('heading', { name: 'Print P2' })).toBeVisible()
  await page.getByRole('button', { name: 'Remove print' }).nth(1).click()
  await expect(page.getByRole('heading', { name: 'Print P2' })).toBeHidden()
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('garments and sizes come and go', async ({ page }) => {
  await open(page, '/orders/O-1006/order')
  await page.getByRole('button', { name: 'Add garments' }).click()
  const lines = page.getByLabel(/^Style( of |$)/)
  await expect(lines).toHaveCount(2)
  await page.getByLabel('From the shelf').nth(1).selectOption('White')
  await page.getByLabel('more').nth(1).selectOption('3XL')
  await page.getByLabel('3XL of').fill('7')
  await expect(page.getByRole('heading', { name: '2 runs' })).toBeVisible()
  await expect(page.getByText('White is light cloth')).toBeVisible()
  await page.getByRole('button', { name: 'Remove White' }).click()
  await expect(lines).toHaveCount(1)
  await expect(page.getByRole('heading', { name: 'One run' })).toBeVisible()
  await expect(saveStatus(page)).toHaveText('Saved')
})

test.describe('when the server cannot be reached', () => {
  test.use({ mayFail: /Failed to load resource|Failed to fetch/ })
  test('it says so, keeps what was typed, and saves with the next change', async ({ page }) => {
    await open(page, '/orders/O-1006/order')
    const status = saveStatus(page)
    await expect(page.getByLabel('Notes')).toBeEnabled()
    await page.route('**/api/save/**', (route) => route.abort())
    await page.getByLabel('Notes').fill('Typed while the line was down.')
    await expect(status).toContainText('Could not save. Your input is still here')
    await page.locator('[data-advice="press"]').selectOption('six')
    await expect(status).toContainText('Could not save')
    await page.unroute('**/api/save/**')
    await page.getByLabel('Job').fill('Copper moth, again')
    await page.locator('[data-advice="press"]').selectOption('twelve')
    await expect(status).toHaveText('Saved')
    await reload(page)
    await expect(page.getByLabel('Notes')).toHaveValue('Typed while the line was down.')
    await expect(page.locator('[data-advice="press"]')).toHaveValue('twelve')
    await page.locator('[data-advice="press"]').press('Backspace')
    await expect(page.locator('[data-advice="press"]')).toHaveValue('four')
  })
})

test('leaving at once and coming back loses nothing and collides with nothing', async ({ page }) => {
  await open(page, '/orders/O-1005/order')
  for (const words of ['first', 'second']) {
    await page.getByLabel('Notes').fill(`Neck label ${words}.`)
    await page.getByRole('link', { name: 'Today' }).click()
    await page.getByRole('link', { name: 'Slate Hollow Climbing' }).click()
    await expect(page.getByLabel('Notes')).toHaveValue(`Neck label ${words}.`)
  }
  await page.getByRole('link', { name: /^7 Heat/ }).click()
  for (const typed of ['70', '65']) {
    await page.locator('[data-advice="cureDwell"]').click()
    await page.locator('main input:focus').fill(typed)
    await page.keyboard.press('Enter')
    await page.getByRole('link', { name: 'Today' }).click()
    await page.getByRole('link', { name: 'Slate Hollow Climbing' }).click()
    await page.getByRole('link', { name: /^7 Heat/ }).click()
    await expect(page.locator('[data-advice="cureDwell"]')).toHaveText(`${typed} s`)
  }
  await page.locator('[data-advice="cureDwell"]').press('Backspace')
  await expect(page.locator('[data-advice="cureDwell"]')).toHaveText('60 s')
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('choices made in the moment before the page is closed are all kept', async ({ page }) => {
  const value = (key: string) => page.locator(`[data-advice="${key}"]`)
  for (const [pressure, flood, direction] of [
    ['firm', 'slow', 'pull'],
    ['light', 'even', 'push'],
  ] as const) {
    await open(page, '/orders/O-1009/sequence')
    await value('pressure.I1').selectOption(pressure)
    await value('flood.I1').selectOption(flood)
    await value('direction').selectOption(direction)
    await open(page, '/orders/O-1009/sequence')
    await expect(value('pressure.I1')).toHaveValue(pressure)
    await expect(value('flood.I1')).toHaveValue(flood)
    await expect(value('direction')).toHaveValue(direction)
  }
  const back = page.getByRole('button', { name: /take back/ })
  for (let left = await back.count(); left > 0; left--) {
    await expect(back).toHaveCount(left)
    await back.first().click()
  }
  await expect(page.getByText(/of your own/)).toBeHidden()
})

test('closing the page in the middle of a word loses nothing', async ({ page }) => {
  await open(page, '/orders/O-1010/order')
  const notes = page.getByLabel('Notes')
  const before = await notes.inputValue()
  await notes.fill('Five inks to choose from, in a hurry.')
  await reload(page)
  await expect(notes).toHaveValue('Five inks to choose from, in a hurry.')
  await notes.fill(before)
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('a page read too early, and left in the middle of a word, loses nothing of either page', async ({
  page,
}) => {
  await deafen(page)
  await open(page, '/shop/stock')
  const before = await (await page.request.get('/shop/stock')).text()
  const heated = page.getByLabel(/^Heated length/).first()
  const width = page.getByLabel(/^Belt width/).first()
  await heated.fill('2.6 m')
  await page.route('**/shop/stock', (route) => route.fulfill({ contentType: 'text/html', body: before }))
  await page.route('**/shop/stock?_rsc=*', () => undefined)
  await open(page, '/shop/stock')
  await expect(heated).toHaveValue('2400 mm')
  // The field of the page before it, once more, and another.
  await heated.fill('2.7 m')
  await width.fill('95 cm')
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  await open(page, '/shop/stock')
  await expect(heated).toHaveValue('2700 mm')
  await expect(width).toHaveValue('950 mm')
  await heated.fill('2.4 m')
  await width.fill('900 mm')
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('a page read before the last edit of the page before was stored does not take it for someone else’s', async ({
  page,
}) => {
  await deafen(page)
  await open(page, '/shop/stock')
  const before = await (await page.request.get('/shop/stock')).text()
  await page
    .getByLabel(/^Heated length/)
    .first()
    .fill('2.5 m')
  await page.route('**/shop/stock', (route) => route.fulfill({ contentType: 'text/html', body: before }))
  // Nor does the page come to know of it by reading itself again.
  await page.route('**/shop/stock?_rsc=*', () => undefined)
  await open(page, '/shop/stock')
  await expect(page.getByLabel(/^Heated length/).first()).toHaveValue('2400 mm')
  await page
    .getByLabel(/^Belt width/)
    .first()
    .fill('95 cm')
  await expect(saveStatus(page)).toHaveText('Saved')
  await expect(page.getByLabel(/^Heated length/).first()).toHaveValue('2500 mm')
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  await open(page, '/shop/stock')
  await expect(page.getByLabel(/^Heated length/).first()).toHaveValue('2500 mm')
  await expect(page.getByLabel(/^Belt width/).first()).toHaveValue('950 mm')
  await page
    .getByLabel(/^Heated length/)
    .first()
    .fill('2.4 m')
  await page
    .getByLabel(/^Belt width/)
    .first()
    .fill('900 mm')
  await expect(saveStatus(page)).toHaveText('Saved')
})
