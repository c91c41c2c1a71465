import { expect, open, reload, saveStatus, tabTo, test } from './house'

test('a new order by keyboard only: entered, planned, overridden, taken back, printed', async ({ page }) => {
  const key = (...keys: string[]) =>
    keys.reduce((p, k) => p.then(() => page.keyboard.press(k)), Promise.resolve())
  const type = (text: string) => page.keyboard.type(text)
  const to = (name: string | RegExp) => tabTo(page, name)

  await open(page, '/')
  await key('n')
  await page.waitForURL(/\/orders\/O-\d+\/order/)
  await expect(page.getByLabel('Customer')).toBeFocused()
  await type('Cormorant Rowing')
  await key('Tab')
  await type('Regatta tees')
  await to('From the shelf')
  await type('Navy')
  await to('M')
  await type('40')
  await key('Tab')
  await type('20')
  await expect(page.getByRole('heading', { name: 'One run' })).toBeVisible()

  // A digit in a field is a digit; with Alt it leads to a stage from anywhere.
  await key('Alt+2')
  await page.waitForURL(/\/art/)
  await to('Width')
  await type('11 in')
  await to('Add a colour from the shelf')
  await type('Moon')
  await key('Enter')
  await expect(page.getByLabel('Name of Moon yellow')).toHaveValue('Moon yellow')
  await to('Add a colour from the shelf')
  await type('Buoy')
  await key('Enter')
  await expect(page.getByLabel('Moon yellow and Buoy red')).toBeVisible()
  await to('Moon yellow and Buoy red')
  await type('touch')
  await expect(saveStatus(page)).toHaveText('Saved')

  await page.locator('main').evaluate((el) => (el.ownerDocument.activeElement as HTMLElement).blur())
  await key('5')
  await expect(page.getByRole('list', { name: 'Lap strip' }).getByRole('listitem')).toHaveText([
    /Base white/,
    /Flash/,
    /Moon yellow/,
    /Buoy red/,
  ])
  await key('3')
  const mesh = page.locator('[data-advice="mesh.I1"]')
  await expect(mesh).toHaveText('77 T/cm')
  await to(/^Mesh, Moon yellow/)
  await key('w')
  await expect(page.getByRole('complementary')).toContainText(
    'Spot colours print through 61 T/cm to 90 T/cm.',
  )
  await key('Enter')
  await type('305 tpi')
  await key('Enter')
  await expect(mesh).toHaveText('120 T/cm')
  await expect(mesh).toBeFocused()
  await expect(page.getByText('advised 77 T/cm')).toBeVisible()
  await reload(page)
  await expect(mesh).toHaveText('120 T/cm')
  await mesh.focus()
  await key('Backspace')
  await expect(mesh).toHaveText('77 T/cm')

  await to(/^Press|Press$/).catch(() => undefined)
  await page.locator('[data-advice="press"]').focus()
  await type('The Twelve')
  await expect(page.locator('[data-advice="offContact"]')).toHaveText('1.6 mm')
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes')
  })
  await to('Set-up sheet')
  await key('Enter')
  await page.waitForURL(/\/sheet/)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cormorant Rowing, Regatta tees')
  await expect(page.locator('main')).toContainText('60 pieces')
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes')
  })
  await to('Print')
  await key('Enter')
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes')
})

test('an order not touched is used again, not left behind', async ({ page }) => {
  await open(page, '/')
  await page.keyboard.press('n')
  await page.waitForURL(/\/orders\/(O-\d+)\/order/)
  const first = page.url()
  await open(page, '/')
  await page.getByRole('button', { name: 'New order', exact: true }).click()
  await page.waitForURL(/\/orders\/O-\d+\/order/)
  expect(page.url()).toBe(first)
  // Left as it was it stands in no list.
  await open(page, '/')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect(page.locator('main')).not.toContainText(/O-\d+/.exec(first)?.[0] ?? 'none')
})

test('an order and a print are duplicated in one step each; a print that moves takes the size of its place', async ({
  page,
}) => {
  await open(page, '/orders/O-1008/order')
  const customer = await page.getByLabel('Customer').inputValue()
  await page.getByRole('button', { name: 'Duplicate this order' }).press('Enter')
  await page.waitForURL(
    (url) => /\/orders\/O-\d+\/order/.test(url.pathname) && !url.pathname.includes('O-1008'),
  )
  await expect(page.getByLabel('Customer')).toHaveValue(customer)
  const path = new URL(page.url()).pathname
  await open(page, path.replace(/order$/, 'art'))
  await page.getByRole('button', { name: 'Duplicate print' }).press('Enter')
  const second = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Print P2' }) })
  await expect(second.getByLabel(/^Name of/).first()).not.toBeEmpty()
  await second.getByLabel('Where').selectOption({ label: 'Left chest' })
  // Of its own size it is asked about; of a usual one it follows.
  await second.getByRole('button', { name: /^Usual there: / }).click()
  await expect(second.getByLabel('Width of P2')).toHaveValue('90 mm')
  await second.getByLabel('Where').selectOption({ label: 'Sleeve' })
  await expect(second.getByLabel('Width of P2')).toHaveValue('75 mm')
  await expect(second.getByLabel('Height of P2')).toHaveValue('75 mm')
  await expect(saveStatus(page)).toHaveText('Saved')
})
