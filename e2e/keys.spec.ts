import { expect, open, saveStatus, test } from './house'

test('units and light or dark are remembered on this device', async ({ page }) => {
  await open(page, '/shop/stock')
  const dark = () => page.evaluate(() => document.documentElement.className)
  expect(await dark()).toBe('light')
  await page.keyboard.press('d')
  await expect.poll(dark).toBe('dark')
  await page.keyboard.press('u')
  await expect(page.locator('main')).toContainText('110 tpi')
  await open(page, '/')
  expect(await dark()).toBe('dark')
  await expect(page.getByRole('button', { name: 'inches, °F' })).toBeVisible()
  await page.getByRole('button', { name: 'u inches, °F' }).click()
  await page.getByRole('button', { name: 'd dark' }).click()
  await expect.poll(dark).toBe('light')
})

test('keys do nothing while someone types', async ({ page }) => {
  await open(page, '/orders/O-1004/order')
  const notes = page.getByLabel('Notes')
  await expect(notes).toBeEnabled()
  await notes.fill('')
  await notes.pressSequentially('u m n 5 w')
  await expect(notes).toHaveValue('u m n 5 w')
  await expect(page).toHaveURL(/\/order$/)
  await expect(page.getByRole('button', { name: 'u millimetres, °C' })).toBeVisible()
  await notes.fill('True process on white.')
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('a value is edited, left with Escape, and keeps the focus', async ({ page }) => {
  await open(page, '/orders/O-1004/screens')
  const gap = page.locator('[data-advice="offContact"]')
  await gap.focus()
  await page.keyboard.press('Enter')
  await page.keyboard.type('2.2')
  await page.keyboard.press('Escape')
  await expect(gap).toHaveText('1.6 mm')
  await expect(gap).toBeFocused()
  await page.keyboard.press('Enter')
  await page.keyboard.type('1/16"')
  await page.keyboard.press('Enter')
  await expect(gap).toBeFocused()
  await expect(page.getByText('advised 1.6 mm')).toBeVisible()
  await page.keyboard.press('Delete')
  await expect(page.getByText('advised 1.6 mm')).toBeHidden()
})

test('every computed number and choice of every stage answers why', async ({ page }) => {
  for (const stage of ['screens', 'ink', 'sequence', 'placement', 'heat', 'run']) {
    await open(page, `/orders/O-1003/${stage}`)
    const values = page.locator(':is(main, header) [data-advice]')
    await expect(values.nth(1)).toBeVisible()
    for (const value of await values.all()) {
      await value.focus()
      await page.keyboard.press('w')
      const answer = page.getByRole('complementary', { name: 'Why' })
      await expect(answer.getByRole('listitem').first()).toBeVisible()
      await expect(answer).toContainText(
        /common practice|geometry|published|from memory|the order|the shop's choice/,
      )
    }
  }
})

test('keys rest over a value and in a field; Escape leaves it, Alt and a digit leads on from there', async ({
  page,
}) => {
  await open(page, '/orders/O-1001/heat')
  const film = page.locator('[data-advice="cureFilm"]')
  await film.focus()
  await page.keyboard.type('2lb3oz')
  await expect(page).toHaveURL(/\/heat/)
  await expect(film).toBeFocused()
  // What lies open beside it is closed first.
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await expect(film).not.toBeFocused()
  await page.keyboard.press('1')
  await page.waitForURL(/\/order/)
  const quantity = page.getByLabel('M', { exact: true })
  const before = await quantity.inputValue()
  await quantity.focus()
  await page.keyboard.press('Alt+3')
  await page.waitForURL(/\/screens/)
  await open(page, '/orders/O-1001/order')
  await expect(quantity).toHaveValue(before)
  await quantity.focus()
  await page.keyboard.press('Escape')
  await page.keyboard.press('2')
  await page.waitForURL(/\/art/)
})

test('a new order left as it was is none; a size is typed whole; the shelf gives a hoodie its colour only', async ({
  page,
}) => {
  await open(page, '/orders')
  await page.keyboard.press('n')
  await page.waitForURL(/\/orders\/O-\d+\/order/)
  const id = /O-\d+/.exec(page.url())?.[0] ?? ''
  await expect(page.getByLabel('Customer')).toBeFocused()
  await open(page, '/orders')
  await expect(page.locator('tbody')).not.toContainText(id)
  await page.keyboard.press('n')
  await page.waitForURL(`/orders/${id}/order**`)
  await expect(page.getByLabel('Customer')).toBeFocused()
  await page.keyboard.type('Kittiwake Count')
  await page.getByLabel('more').focus()
  await page.keyboard.type('2XL')
  await page.keyboard.press('Tab')
  await expect(page.getByLabel('2XL', { exact: true })).toBeFocused()
  await page.keyboard.type('7')
  await expect(page.getByLabel('XS', { exact: true })).toHaveCount(0)
  // A cloth of one's own keeps its body.
  await page.getByLabel('Weave').selectOption({ label: 'Fleece' })
  await page.getByLabel('From the shelf').selectOption('Navy')
  await expect(page.getByLabel('Cloth colour')).toHaveValue('Navy')
  await expect(page.getByLabel('Weave').locator('option:checked')).toHaveText('Fleece')
  await page.getByRole('button', { name: 'Take them from the shelf' }).press('Enter')
  await expect(page.getByLabel('Weave').locator('option:checked')).not.toHaveText('Fleece')
  await expect(saveStatus(page)).toHaveText('Saved')
  await open(page, '/orders')
  await expect(page.locator('tbody')).toContainText(id)
})

test('after a change of place the focus is at its heading; the rail can be skipped; what undo would undo is seen', async ({
  page,
}) => {
  await open(page, '/')
  await page.getByRole('link', { name: 'Orders', exact: true }).press('Enter')
  await page.waitForURL('/orders')
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused()
  await page.goBack()
  await page.waitForURL('/')
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused()
  await open(page, '/orders/O-1008/order')
  await page.keyboard.press('Tab')
  const skip = page.getByRole('link', { name: 'To the work' })
  await expect(skip).toBeFocused()
  await expect(skip).toBeInViewport()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Tab')
  expect(await page.evaluate(() => document.activeElement?.closest('main') !== null)).toBe(true)
  const job = page.getByLabel('Job')
  const before = await job.inputValue()
  await job.fill('Two colours, by hand')
  await expect(saveStatus(page)).toHaveText('Saved')
  const undo = page.getByRole('navigation').getByRole('button', { name: /^Undo: / })
  await expect(undo).toContainText('Job')
  await undo.click()
  await expect(job).toHaveValue(before)
  await page
    .getByRole('navigation')
    .getByRole('button', { name: /^Redo: / })
    .click()
  await expect(job).toHaveValue('Two colours, by hand')
  await undo.click()
  await expect(job).toHaveValue(before)
})

test('where a thumb works everything that is pressed or typed into is 44 px high, and nothing runs out of a tablet', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    ...{ baseURL: baseURL ?? '', viewport: { width: 820, height: 1180 } },
    ...{ hasTouch: true, isMobile: true },
  })
  const page = await context.newPage()
  for (const path of ['/', '/orders', '/orders/O-1002/order', '/shop', '/screens', '/customers', '/ink']) {
    await open(page, path)
    const small = await page.locator('main :is(button, select, input, textarea):visible').evaluateAll((all) =>
      all
        .filter((el) => !el.matches('[data-why], [type=checkbox], [type=radio]'))
        .filter((el) => el.getBoundingClientRect().height < 43.5)
        .map((el) => `${el.tagName} ${el.getAttribute('aria-label') ?? el.textContent ?? ''}`),
    )
    expect(small, path).toEqual([])
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect(over, path).toBeLessThanOrEqual(0)
  }
  await context.close()
})
