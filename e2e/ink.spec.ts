import type { Page } from '@playwright/test'
import { expect, open, reload, saveStatus, test } from './house'

const poured = (page: Page) => page.locator('[data-poured]').getAttribute('data-poured').then(Number)
const steady = (page: Page) => expect(page.locator('[data-poured]')).toHaveAttribute('data-steady', 'true')

/** Holds Space on what is focused until so much is in, and lets it settle. */
async function holdUntil(page: Page, mass: number) {
  await page.keyboard.down(' ')
  await expect.poll(() => poured(page), { intervals: [80] }).toBeGreaterThan(mass)
  await page.keyboard.up(' ')
  await page.waitForTimeout(900)
  await steady(page)
}

/** Takes the can of a part in hand, by its code. */
async function takeCan(page: Page, can: string): Promise<number> {
  await expect(page.locator('#can')).toBeFocused()
  await page.keyboard.type(can)
  await page.keyboard.press('Enter')
  return Number(await page.locator('[data-wanted]').getAttribute('data-wanted'))
}

/** Pours a part: most of it, then drops into the band; Enter takes it. */
async function pourPart(page: Page, can: string) {
  const wanted = await takeCan(page, can)
  await holdUntil(page, wanted * 0.7)
  await page.keyboard.press('Tab')
  await holdUntil(page, wanted * 0.985)
  await page.keyboard.press('Enter')
}

test('from a target to an accepted batch by keyboard, with a wrong can and an over-pour on the way', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await open(page, '/ink/formulas')
  const target = page.getByLabel('Target: a colour as #rrggbb')
  await target.focus()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('57 0 0')
  await page.getByLabel('At most').selectOption('2')
  await page.getByLabel('What it will be called').focus()
  await page.keyboard.type('Fog grey')
  await page.getByRole('button', { name: 'Search' }).focus()
  await page.keyboard.press('Enter')
  const grey = page.getByRole('button', { name: 'Mix W1+K1' })
  await expect(grey).toBeVisible()
  await grey.focus()
  await page.keyboard.press('Enter')
  await page.waitForURL(/\/ink\/bench\/B-/)
  await page.locator('html[data-keys=on]').waitFor({ state: 'attached' })

  await expect(page.getByText('Fetch the can of')).toBeVisible()
  await expect(page.locator('#can')).toBeFocused()
  await page.keyboard.type('Y1')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('main').getByRole('alert')).toContainText(
    'That is Yellow 1 Y1; White W1 is wanted',
  )
  await pourPart(page, 'W1')
  // Far too much black: it can be restored, exactly or nearly, or left.
  await expect(page.getByText('Black K1').first()).toBeVisible()
  await holdUntil(page, (await takeCan(page, 'K1')) * 1.2)
  await page.keyboard.press('Enter')
  await expect(page.getByText('too much Black is in')).toBeVisible()
  for (const way of ['Restore it exactly', 'Restore it to within 5\u00a0%', 'Leave it as it is'])
    await expect(page.getByRole('button', { name: way, exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Restore it exactly', exact: true })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.locator('#can')).toBeFocused()
  await pourPart(page, 'W1')
  await expect(page.getByText('All parts are in.')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Read the drawdown' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByText('off the target by')).toBeVisible()
  await page.getByLabel('Who looked at it').focus()
  await page.keyboard.type('Ida')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(page.getByText('accepted by Ida')).toBeVisible()
  await reload(page)
  await expect(page.getByText('accepted by Ida')).toBeVisible()
  // The ledger leads from the tub to the lots, and the formula is kept.
  await open(page, '/ink/history')
  await expect(page.getByRole('heading', { name: /^Ledger/ })).toBeVisible()
  await expect(page.getByText('of K1').first()).toBeVisible()
  await open(page, '/ink/rack')
  await expect(page.getByRole('button', { name: 'Remove Fog grey' })).toBeVisible()
  await open(page, '/ink')
  await expect(page.getByText('accepted by Ida, ΔE').first()).toBeVisible()
})

test('a scale that falls silent in mid-pour loses nothing, nor does a closed page; a pour is taken back', async ({
  page,
}) => {
  await open(page, '/ink/bench/B-0005')
  await page.locator('#can').fill('C-0004')
  await page.keyboard.press('Enter')
  await holdUntil(page, 0.02)
  const before = await poured(page)
  await page.getByRole('button', { name: 'pull its plug' }).click()
  await expect(page.getByText('The scale does not answer')).toBeVisible()
  expect(await poured(page)).toBeCloseTo(before, 3)
  await page.getByRole('button', { name: 'plug it in' }).click()
  await expect(page.getByText('The scale does not answer')).toBeHidden()
  await reload(page)
  await expect(page.getByText('from C-0004')).toBeVisible()
  await expect.poll(() => poured(page)).toBeGreaterThan(before - 0.002)
  await steady(page)
  await page.getByRole('button', { name: 'Take what is in' }).click()
  await expect(page.getByText('Fetch the can of')).toBeVisible()
  const had = page.getByRole('list', { name: 'Parts' }).getByRole('listitem').nth(1)
  await expect(had).toContainText(/now [\d.]+/)
  await page.getByRole('button', { name: 'Take the last pour back' }).click()
  await expect(had).not.toContainText(/now [\d.]+/)
  await page.goto('/ink/history')
  await expect(page.getByText(/corrected no\. \d+/).first()).toBeVisible()
})

test('tubs that do are offered before anything is mixed; a target that cannot be is said', async ({
  page,
}) => {
  await open(page, '/ink/formulas?hex=%235b9bc9&name=Comet%20blue')
  await expect(page.getByText('Mix nothing: these tubs do')).toBeVisible()
  await expect(page.getByText('B-0003')).toBeVisible()
  await page.getByLabel('Target: a colour as #rrggbb').fill('#00ff00')
  await page.getByRole('button', { name: 'Search' }).click()
  await expect(page.getByText('No mix of these inks comes nearer than')).toBeVisible()
  await page.getByLabel('Target: a colour as #rrggbb').fill('very blue')
  await expect(page.getByText('Not a colour: type, for example')).toBeVisible()
})

test('formulas that differ in nothing anyone sees or pays are one line; the rest is folded', async ({
  page,
}) => {
  await open(page, '/ink/formulas?hex=%232f8f8a&name=Tern%20teal')
  await page.getByRole('button', { name: 'Search' }).click()
  const mix = page.getByRole('button', { name: /^Mix / })
  await expect(mix.first()).toBeVisible()
  await expect(page.locator('tbody tr:visible')).toHaveCount(1)
  await expect(page.locator('[data-why^="ΔE"]').first()).toHaveText('0.0')
  await page.getByText(/^\d+ more$/).click()
  await expect(mix.nth(5)).toBeVisible()
})

test('the rack: a can is booked in, files come and go, and what is wrong in them is said', async ({
  page,
}) => {
  await open(page, '/ink/rack')
  await page.getByLabel('Lot', { exact: true }).fill('77-1')
  await page.getByRole('button', { name: 'Put it on the rack' }).click()
  await expect(page.getByRole('cell', { name: '77-1' })).toBeVisible()
  const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
  await page
    .getByLabel('Formulas (CSV)')
    .setInputFiles(file('f.csv', 'name,ink,percent,hex\nSky,W1,50,#88aacc\n'))
  await expect(page.getByText('The parts of Sky make 50.0 %')).toBeVisible()
  await page
    .getByLabel('Formulas (CSV)')
    .setInputFiles(file('f.csv', 'name,ink,percent,hex\nSky,W1,80,#88aacc\nSky,B2,20,#88aacc\n'))
  await expect(page.getByText('1 formulas taken in.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Remove Sky' })).toBeVisible()
  await page.getByLabel('Readings (CGATS text)').setInputFiles(file('r.txt', 'hello'))
  await expect(page.getByText('this is no CGATS text')).toBeVisible()
  const readings = await page.request.get('/api/ink/readings.txt')
  await page
    .getByLabel('Readings (CGATS text)')
    .setInputFiles(file('r.txt', (await readings.text()).replaceAll('\n', '\r\n')))
  await expect(page.getByText(/Read: W1/)).toBeVisible()
  expect(await (await page.request.get('/api/ink/stock.csv')).text()).toContain('77-1')
  expect((await page.request.get('/api/ink/batches/B-0003/label')).headers()['content-type']).toBe(
    'application/pdf',
  )
})

test('the base is decided by numbers, and other ways to do the whole job are one press away', async ({
  page,
}) => {
  await open(page, '/orders/O-1001/ink')
  const job = page.locator('section').filter({ has: page.getByRole('heading', { name: 'The whole job' }) })
  await expect(job.getByRole('row').filter({ hasText: 'Where it is needed' })).toContainText('planned')
  await job.getByRole('button', { name: 'Take: No base' }).focus()
  await page.keyboard.press('Enter')
  await expect(job.getByRole('row').filter({ hasText: 'No base' })).toContainText('planned')
  await job.getByRole('button', { name: 'Take: Where it is needed' }).focus()
  await page.keyboard.press('Enter')
  await expect(job.getByRole('row').filter({ hasText: 'Where it is needed' })).toContainText('planned')
  await page.locator('[data-advice="base.I1"]').focus()
  await page.keyboard.press('w')
  await expect(
    page.getByText(/Moon yellow straight on Navy: .* from the same deposit on white/),
  ).toBeVisible()
})

test('an additive goes in by per cent of the whole, says what it does, and comes out again', async ({
  page,
}) => {
  await open(page, '/ink')
  await page.getByRole('button', { name: /^Mix Raised chalk/ }).click()
  await page.waitForURL(/\/ink\/bench\/B-/)
  const parts = page.getByRole('list', { name: 'Parts' }).getByRole('listitem')
  await expect(parts.filter({ hasText: 'Rise' })).toContainText('20.0 %')
  await expect(page.locator('[data-rule=ADDITIVE_RISES]')).toContainText('assumed')
  await page.getByLabel('Share').fill('40 %')
  await page.getByRole('button', { name: 'Set Rise' }).click()
  await expect(page.locator('[data-rule=ADDITIVE_MUCH]')).toContainText('Watch')
  await page.getByLabel('Share').fill('70 %')
  await page.getByRole('button', { name: 'Set Rise' }).click()
  await expect(page.getByText('From 0 to 50 % of the whole')).toBeVisible()
  await page.getByLabel('Share').fill('0 %')
  await page.getByRole('button', { name: 'Set Rise' }).click()
  await expect(parts.filter({ hasText: 'Rise' })).toHaveCount(0)
  await expect(parts.first()).toContainText('96.2 %')
})

test('a colour has its history, and ink that runs out of time is told at the press', async ({ page }) => {
  await open(page, '/ink/history')
  await page.getByLabel('Colour', { exact: true }).fill('comet')
  await expect(page.getByRole('row', { name: /^B-0002 \d/ })).toContainText('450')
  await expect(page.getByRole('row', { name: /^B-0001 \d/ })).toContainText('first sample')
  await expect(page.getByText('Soft sea green')).toHaveCount(0)
  await page.getByLabel('Colour', { exact: true }).fill('no such')
  await expect(page.getByText('No colour of that name was mixed.')).toBeVisible()
  await open(page, '/orders/O-1008/run')
  const mixed = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: 'Ink mixed for it' }) })
  await expect(mixed).toContainText(/B-0004.*min left|B-0004.*past its time/)
})

test('ink laid against ink computed, as weighed back, counts in every plan', async ({ page }) => {
  test.setTimeout(120_000)
  await open(page, '/orders/O-1001/ink')
  const ready = async () => {
    const words = await page
      .getByRole('main')
      .getByText('Ink to have ready')
      .first()
      .locator('..')
      .textContent()
    const [, amount, kilo] = /([\d.]+)\s?(k?)g/.exec(words ?? '') ?? []
    return Number(amount) * (kilo ? 1000 : 1)
  }
  await expect.poll(ready).toBeGreaterThan(0)
  const before = await ready()
  await open(page, '/ink/rack')
  await page.getByLabel('Ink laid, of what is computed').fill('150 %')
  await page.getByLabel('Ink laid, of what is computed').blur()
  await expect(saveStatus(page)).toHaveText('Saved')
  await open(page, '/orders/O-1001/ink')
  await expect.poll(ready).toBeGreaterThan(before)
  await open(page, '/ink/rack')
  await page.getByLabel('Ink laid, of what is computed').fill('100 %')
  await page.getByLabel('Ink laid, of what is computed').blur()
  await expect(saveStatus(page)).toHaveText('Saved')
})
