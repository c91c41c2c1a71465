import type { Page } from '@playwright/test'
import { expect, open, test } from './house'

const value = (page: Page, key: string) => page.locator(`[data-advice="${key}"]`)
const cell = (page: Page, hit: string) =>
  page.getByRole('list', { name: 'Lap strip' }).locator(`[data-cell="${hit}"]`)
const told = (page: Page) => page.getByRole('status', { name: 'What would follow' })

test('by keyboard: a screen taken up tells what would break, put down well it is planned; another way is taken; a head goes down', async ({
  page,
}) => {
  test.setTimeout(150_000)
  await open(page, '/orders/O-1003/sequence')
  await cell(page, 'I3').focus()
  await page.keyboard.press('m')
  await expect(told(page)).toContainText('as now')
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft')
  await expect(told(page)).toContainText(/place 1: Stop .*The order by hand breaks a rule/)
  await expect(told(page)).toContainText('is a base')
  await page.keyboard.press('Escape')
  await expect(told(page)).toBeHidden()
  await expect(page.getByText('order by hand')).toBeHidden()

  // Put down where it may be: as told before.
  await page.keyboard.press('m')
  await page.keyboard.press('ArrowLeft')
  await expect(told(page)).toContainText(/flashes/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('order by hand')).toBeVisible()
  await expect(cell(page, 'I3')).toBeFocused()
  await page.keyboard.press('Backspace')
  await expect(page.getByText('order by hand')).toBeHidden()

  // Another way: shown beside the plan, then taken.
  const base = page.getByRole('row').filter({ hasText: 'Flash after the base only' })
  await base.getByRole('button', { name: /^Show/ }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('list', { name: 'Flash after the base only' })).toBeVisible()
  await base.getByRole('button', { name: /^Take/ }).focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-cell=flash]')).toHaveCount(1)
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-cell=flash]')).toHaveCount(2)

  // A head goes down: the rest is planned anew, and what changes is told.
  const head = page.getByRole('button', { name: 'Head 4: works' })
  await head.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status', { name: 'What changes' })).toContainText('Head 4 is down')
  await expect(page.getByRole('button', { name: 'Head 4: down' })).toBeVisible()
  await page.getByRole('button', { name: 'Head 4: down' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Head 4: works' })).toBeVisible()

  // Ready to be released; that itself is tried with an order of its own.
  await page.keyboard.press('r')
  await expect(page.getByRole('dialog', { name: /^Release revision 1/ })).toBeVisible()
  await page.keyboard.press('Escape')
})

test('a screen is dragged, and what would follow is told before it is dropped', async ({ page }) => {
  await open(page, '/orders/O-1002/sequence')
  const cells = page.getByRole('list', { name: 'Lap strip' }).locator('[data-cell^=I]')
  const [first, second] = [cells.nth(0), cells.nth(1)]
  const [a, b] = [await first.boundingBox(), await second.boundingBox()]
  if (!a || !b) throw new Error('no cells')
  const ids = await cells.evaluateAll((all) => all.map((c) => c.getAttribute('data-cell')))
  await page.mouse.move(a.x + a.width / 2, a.y + 20)
  await page.mouse.down()
  await page.mouse.move(a.x + a.width / 2 + 12, a.y + 22, { steps: 4 })
  await page.mouse.move(b.x + b.width / 2, b.y + 24, { steps: 8 })
  await expect(told(page)).toContainText(/flash|Stop/)
  await page.mouse.up()
  await expect(page.getByText('order by hand')).toBeVisible()
  await expect
    .poll(() => cells.evaluateAll((all) => all.map((c) => c.getAttribute('data-cell'))))
    .not.toEqual(ids)
  await page.keyboard.press('Backspace')
  await expect(page.getByText('order by hand')).toBeHidden()
})

test('a flash is wanted by hand, an impossible press says what would help, the dance card follows the crew', async ({
  page,
}) => {
  await open(page, '/orders/O-1001/sequence')
  const flashes = page.locator('[data-cell=flash]')
  await expect(flashes).toHaveCount(2)
  await cell(page, 'I1').focus()
  await page.keyboard.press('f')
  await expect(flashes).toHaveCount(3)
  await page.keyboard.press('Backspace')
  await expect(flashes).toHaveCount(2)
  await expect(page.getByRole('heading', { name: 'Dance card' })).toBeVisible()
  await expect(page.getByRole('columnheader', { name: 'Loader' })).toHaveCount(0)
  await open(page, '/orders/O-1001/run')
  await value(page, 'crew').selectOption('loader')
  await open(page, '/orders/O-1001/sequence')
  await expect(page.getByRole('columnheader', { name: 'Loader' })).toBeVisible()
  await expect(page.locator('[data-dance]')).toContainText('off and on')
  await open(page, '/orders/O-1001/run')
  await value(page, 'crew').focus()
  await page.keyboard.press('Backspace')
  await expect(value(page, 'crew')).toHaveValue('alone')
})

test('what is seen at the sample: the first thing to change is one press away', async ({ page }) => {
  await open(page, '/orders/O-1001/sequence')
  await page.getByLabel('Hit', { exact: true }).selectOption({ label: 'Comet blue' })
  await page.getByLabel('What is seen').selectOption({ label: 'Patches, ink left in the mesh' })
  await page.getByRole('button', { name: /^Do this: Pressure from medium to firm/ }).click()
  await expect(value(page, 'pressure.I2')).toHaveValue('firm')
  await value(page, 'pressure.I2').focus()
  await page.keyboard.press('Backspace')
  await expect(value(page, 'pressure.I2')).toHaveValue('medium')
})

test('the run is timed many times over; what holds it up and what would help is told', async ({ page }) => {
  await open(page, '/orders/O-1002/run')
  await expect(page.getByText('Promise this')).toBeVisible()
  await expect(page.getByRole('img', { name: 'How often the run ends when' }).locator('svg')).toBeVisible()
  await expect(page.getByRole('img', { name: 'Who is at work when' }).locator('svg')).toBeVisible()
  await expect(page.getByText('The pace hangs on')).toBeVisible()
  await expect(page.getByText('What would change it')).toBeVisible()
  const pace = value(page, 'rate')
  const before = await pace.textContent()
  await value(page, 'skill').selectOption('beginner')
  await expect.poll(() => pace.textContent()).not.toBe(before)
  await value(page, 'skill').focus()
  await page.keyboard.press('Backspace')
  await expect.poll(() => pace.textContent()).toBe(before)
})
