import { randomBytes } from 'node:crypto'
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
  await page.locator('summary').filter({ hasText: 'On the press now' }).focus()
  await page.keyboard.press('Enter')
  const head = page.getByRole('button', { name: 'Head 4: works' })
  await head.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status', { name: 'What changes' })).toContainText('Head 4 is out of service')
  await expect(page.getByRole('button', { name: 'Head 4: out of service' })).toBeVisible()
  await page.getByRole('button', { name: 'Head 4: out of service' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Head 4: works' })).toBeVisible()

  // Ready to be released; that itself is tried with an order of its own.
  await page.keyboard.press('r')
  await expect(page.getByRole('dialog', { name: /^Release revision 1/ })).toBeVisible()
  await page.keyboard.press('Escape')
})

test('a screen is dragged, what would follow is told before it is dropped, and the run is released so', async ({
  page,
}) => {
  await open(page, '/orders/O-1002/sequence?run=R-1002-P2-dark')
  const cells = page.getByRole('list', { name: 'Lap strip' }).locator('[data-cell^=I]')
  const [first, second] = [cells.nth(0), cells.nth(1)]
  const [a, b] = [await first.boundingBox(), await second.boundingBox()]
  if (!a || !b) throw new Error('no cells')
  const order = () => cells.evaluateAll((all) => all.map((c) => c.getAttribute('data-cell')))
  const ids = await order()
  await page.mouse.move(a.x + a.width / 2, a.y + 20)
  await page.mouse.down()
  await page.mouse.move(a.x + a.width / 2 + 12, a.y + 22, { steps: 4 })
  await page.mouse.move(b.x + b.width / 2, b.y + 24, { steps: 8 })
  await expect(told(page)).toContainText(/flash|Stop/)
  await page.mouse.up()
  await expect(page.getByText('order by hand')).toBeVisible()
  await expect.poll(order).not.toEqual(ids)
  await page.keyboard.press('r')
  await expect(page.getByRole('dialog', { name: 'Release revision 1 of R-1002-P2-dark?' })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Released, revision 1', { exact: true })).toBeVisible()
  // Taken back, the plan is not what was released any more.
  await page.keyboard.press('Backspace')
  await expect(page.getByText('order by hand')).toBeHidden()
  await expect.poll(order).toEqual(ids)
  await expect(page.getByText(/^Released, revision 1, \d+ changed since/)).toBeVisible()
})

test('a flash is wanted by hand, an impossible press says what would help, the press cycle follows the crew', async ({
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
  await expect(page.getByRole('heading', { name: 'Press cycle' })).toBeVisible()
  await expect(page.getByRole('columnheader', { name: 'Loader' })).toHaveCount(0)
  await open(page, '/orders/O-1001/run')
  await value(page, 'crew').selectOption('loader')
  await open(page, '/orders/O-1001/sequence')
  await expect(page.getByRole('columnheader', { name: 'Loader' })).toBeVisible()
  await expect(page.locator('[data-cycle]')).toContainText('off and on')
  await open(page, '/orders/O-1001/run')
  await value(page, 'crew').focus()
  await page.keyboard.press('Backspace')
  await expect(value(page, 'crew')).toHaveValue('alone')
})

test('the run is timed many times over; what holds it up and what would help is told', async ({ page }) => {
  await open(page, '/orders/O-1002/run')
  await expect(page.getByText('95 %').first()).toBeVisible()
  await expect(page.getByRole('img', { name: 'How often the run ends when' }).locator('svg')).toBeVisible()
  await expect(page.getByRole('img', { name: 'Who is at work when' }).locator('svg')).toBeVisible()
  await expect(page.getByText('Pace limited by')).toBeVisible()
  await expect(page.getByText('What would change it')).toBeVisible()
  const pace = value(page, 'rate')
  const before = await pace.textContent()
  await value(page, 'skill').selectOption('beginner')
  await expect.poll(() => pace.textContent()).not.toBe(before)
  await value(page, 'skill').focus()
  await page.keyboard.press('Backspace')
  await expect.poll(() => pace.textContent()).toBe(before)
})

test('what is mounted stays: a screen put at a head is printed there, what is not ready is named, all comes down', async ({
  page,
}) => {
  await open(page, '/orders/O-1001/sequence')
  const figure = page.locator('[data-why="Set-up moves"]')
  await expect(figure).toHaveText('4')
  await page.getByText('On the press now').click()
  await page.getByLabel('Mounted at head 3').selectOption({ label: 'F61-2 Base white' })
  await expect(cell(page, 'base')).toContainText('head 3')
  await expect(figure).toHaveText('3')
  const told = page.getByRole('status', { name: 'What changes' })
  await expect(told).toContainText('F61-2 is mounted at head 3')
  await expect(told).toContainText('Mounted at, Base white')
  await page.getByRole('button', { name: 'mounted as planned' }).click()
  await expect(page.getByText('not through the screen room yet')).toContainText('Moon yellow')
  await page.getByRole('button', { name: 'take all down' }).click()
  await expect(figure).toHaveText('4')
  await expect(page.getByLabel('Mounted at head 3')).toHaveValue('')
  await expect(page.getByRole('button', { name: 'take all down' })).toBeHidden()
})

test('a good sample: its settings come back as the shop’s own, and say so', async ({ page }) => {
  await open(page, '/orders/O-1001/sequence')
  const pressure = value(page, 'pressure.I2')
  await pressure.selectOption('firm')
  await expect(page.getByText('advised medium')).toBeVisible()
  await page.getByRole('button', { name: 'the sample is good: keep its settings' }).click()
  await expect(page.getByText('Kept as this shop’s own')).toBeVisible()
  await pressure.focus()
  await page.keyboard.press('Backspace')
  // Nothing is chosen any more: it is what the shop approved.
  await expect(pressure).toHaveValue('firm')
  await pressure.focus()
  await page.keyboard.press('w')
  await expect(page.getByRole('complementary').last()).toContainText('Approved at Carousel Four')
  await open(page, '/shop/method')
  await expect(page.getByRole('row').filter({ hasText: 'Comet blue' })).toContainText('firm')
  await open(page, '/orders/O-1001/sequence')
  await expect(page.getByText('Kept as this shop’s own')).toBeVisible()
  await page.getByText('Kept as this shop’s own').getByRole('button', { name: 'take back' }).click()
  await expect(pressure).toHaveValue('medium')
})

test('pressure as the press counts it: the shop’s note converts the words', async ({ page }) => {
  await open(page, '/orders/O-1003/sequence')
  await expect(value(page, 'gauge.base')).toHaveText('2.8 bar')
  await value(page, 'pressure.base').selectOption('firm')
  await expect(value(page, 'gauge.base')).toHaveText('3.6 bar')
  await page.keyboard.press('u')
  await expect(value(page, 'gauge.base')).toHaveText('52 psi')
  await page.keyboard.press('u')
  await value(page, 'pressure.base').focus()
  await page.keyboard.press('Backspace')
  await expect(value(page, 'gauge.base')).toHaveText('2.8 bar')
  const hold = page.getByRole('group', { name: 'Hold from print to print' })
  await expect(hold).toContainText('stroke time ± 10 %')
  await expect(hold).toContainText('so the ink laid stays within ± 4.1 %')
})

/** Texts of the strip that stick out of their cells. */
const sticksOut = (page: Page) =>
  page.getByRole('list', { name: 'Lap strip' }).evaluate((list) =>
    [...list.querySelectorAll<HTMLElement>('li span')].flatMap((span) => {
      const cell = span.closest('li')?.getBoundingClientRect()
      const at = span.getBoundingClientRect()
      const out = span.scrollWidth > span.clientWidth + 1 && span.clientWidth > 0
      return out || (cell && at.right > cell.right + 1) ? [span.textContent] : []
    }),
  )

for (const stations of ['4', '18'])
  test(`the strip reads well on ${stations} stations, on screen and on paper`, async ({ page }, info) => {
    await open(page, '/shop')
    const places = page.getByLabel('Stations of The Twelve')
    await places.selectOption(stations)
    await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved')
    const [path, run] = stations === '4' ? ['O-1010', 'R-1010-P1-in-between'] : ['O-1003', 'R-1003-P1-dark']
    await open(page, `/orders/${path}/sequence`)
    await value(page, 'press').selectOption({ label: 'The Twelve' })
    const strip = page.getByRole('list', { name: 'Lap strip' })
    await expect(strip.locator('[data-cell]').first()).toBeVisible()
    await expect(strip).toContainText(stations === '4' ? 'Pennant red' : '12–18')
    expect(await sticksOut(page)).toEqual([])
    const picture = await strip.screenshot()
    await info.attach(`strip on ${stations} stations`, { body: picture, contentType: 'image/png' })
    // More than an empty field; a strip of one screen holds little.
    expect(picture.length).toBeGreaterThan(3000)
    await page.goto(`/runs/${run}/strip`)
    await page.emulateMedia({ media: 'print' })
    await expect(page.getByRole('list', { name: 'Lap strip' })).toBeVisible()
    expect(await sticksOut(page)).toEqual([])
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
    await page.emulateMedia({ media: 'screen' })
    await open(page, `/orders/${path}/sequence`)
    await value(page, 'press').focus()
    await page.keyboard.press('Backspace')
    await open(page, '/shop')
    await places.selectOption('10')
    await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved')
  })

test('what registration to expect counts with how the heads lock, once all of them are known', async ({
  page,
}) => {
  await open(page, '/orders/O-1001/sequence')
  const expected = page
    .locator('main')
    .getByRole('heading', { name: 'Registration to expect' })
    .locator('xpath=ancestor::section[1]')
  await expect(expected).toContainText('Assumed')
  const within = async () =>
    Number.parseFloat(
      (await page.locator('[data-why="Registration on the printed base"]').textContent()) ?? '',
    )
  const before = await within()
  expect(before).toBeGreaterThan(0.3)
  const heads = [1, 2, 3, 4]
  const act = (name: string, given: unknown) =>
    page.request.post(`/api/act/${name}`, { data: { once: randomBytes(8).toString('hex'), given } })
  for (const head of heads)
    for (let i = 0; i < 8; i++) {
      const at = `2026-11-0${i + 1}T08:00:00.000Z`
      const noted = await act('noteLock', { pressId: 'four', head, at, dx: 1e-4, dy: -5e-5, turn: 1e-5 })
      expect(noted.status()).toBe(200)
    }
  await open(page, '/orders/O-1001/sequence')
  await expect(expected).not.toContainText('Assumed; note at Register')
  expect(await within()).toBeLessThan(before)
  for (const head of heads) for (let i = 0; i < 8; i++) await act('forgetLock', { pressId: 'four', head })
})
