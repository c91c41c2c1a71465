import { randomUUID } from 'node:crypto'
import type { APIRequestContext, Page } from '@playwright/test'
import { deafen, expect, field, open, reload, saveStatus, test } from './house'
import { violations } from './violations'

const lanes = (page: Page) => page.getByRole('region', { name: 'The days' })
const told = (page: Page) => page.getByRole('status', { name: 'What it comes to' })
/** The run of a job that can be moved, and where it stands. */
const bar = (page: Page, run: string) => page.locator(`[data-run="${run}"]`).first()
const label = async (page: Page, run: string) => (await bar(page, run).getAttribute('aria-label')) ?? ''

/** Keeps something of the days, as a page would. */
async function keep(request: APIRequestContext, base: string | undefined, kept?: object) {
  const { version, kept: now } = await (await request.get(`${base}/api/days`)).json()
  const said = await request.post(`${base}/api/act/keepDays`, {
    data: { once: randomUUID().replaceAll('-', ''), given: { kept: kept ?? now, seen: version } },
    headers: { origin: base ?? '' },
  })
  return said.json()
}
/** The press that the sheet of a run is planned for. */
async function plannedOn(request: APIRequestContext, base: string | undefined, runId: string) {
  const { asked } = await (await request.get(`${base}/api/days`)).json()
  return asked.runs.find((r: { runId: string }) => r.runId === runId)?.on[0].pressId
}

// What is taken plans sheets anew: the next file finds them as they were.
test.afterEach(async ({ request, baseURL }) => {
  await keep(request, baseURL, { pins: [], down: [] })
})

test('every press is a lane, a start says why, a day and a week; axe finds nothing', async ({ page }) => {
  await open(page, '/')
  for (const press of ['Carousel Four', 'Carousel Six', 'The Twelve', 'Bench'])
    await expect(page.getByRole('group', { name: `Runs on ${press}` })).toBeVisible()
  await expect(lanes(page)).toContainText(/\d+ runs placed, (all in time|\d+ late)/)
  await page.getByRole('button', { name: 'Week', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Week', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  const run = bar(page, 'R-1001-P1-dark')
  await run.focus()
  await run.press('Enter')
  const why = page.getByRole('complementary', { name: 'Why' })
  await expect(why).toContainText('of printing for 144 pieces')
  await expect(why).toContainText(/Set-up \d+ min/)
  expect(await violations(page)).toEqual([])
})

test('by keyboard alone a run is put on another press: told before, taken, undone', async ({ page }) => {
  await open(page, '/')
  await page.getByRole('button', { name: 'Week', exact: true }).click()
  const id = 'R-1007-P1-dark-poly'
  const before = await label(page, id)
  await bar(page, id).focus()
  await page.keyboard.press(before.includes('Carousel Four') ? 'Alt+ArrowDown' : 'Alt+ArrowUp')
  await expect(told(page)).toContainText(/^On (Carousel|The|Bench)/)
  await expect(told(page)).toContainText(/Changes its press or its turn: Ferrymen Five-a-side/)
  expect(await label(page, id)).toBe(before)
  await page.keyboard.press('Escape')
  await expect(told(page)).toBeHidden()
  // Into the next day: what it comes to is told, and nothing is decided yet.
  for (let i = 0; i < 3; i++) await page.keyboard.press('Alt+ArrowRight')
  await expect(told(page)).toBeVisible()
  await page.keyboard.press('Enter')
  await expect.poll(() => label(page, id)).toContain('held there')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => label(page, id)).toBe(before)
})

test('by touch a finger that rests on a run takes it up and puts it elsewhere', async ({ page }) => {
  const id = 'R-1007-P1-dark-poly'
  await open(page, '/')
  await page.getByRole('button', { name: 'Week', exact: true }).click()
  const before = await label(page, id)
  const touch = await page.context().newCDPSession(page)
  const at = async (of: ReturnType<Page['locator']>, share: number) => {
    const box = await of.boundingBox()
    if (!box) throw new Error('nowhere')
    return { x: box.x + share * box.width, y: box.y + box.height / 2 }
  }
  const say = (
    type: 'touchStart' | 'touchMove' | 'touchEnd' | 'touchCancel',
    touchPoints: { x: number; y: number }[],
  ) => touch.send('Input.dispatchTouchEvent', { type, touchPoints })
  const to = before.includes('The Twelve') ? 'Carousel Six' : 'The Twelve'
  const there = await at(page.getByRole('group', { name: `Runs on ${to}` }), 0.8)
  // One that moves on at once only scrolls.
  const here = await at(bar(page, id), 0.5)
  await say('touchStart', [here])
  await say('touchMove', [there])
  await say('touchEnd', [])
  await expect(told(page)).toBeHidden()
  await bar(page, id).scrollIntoViewIfNeeded()
  // On a busy machine the page may hear of the finger's way before it has seen it rest: then it is laid down anew.
  await expect(async () => {
    await say('touchStart', [await at(bar(page, id), 0.5)])
    await page.waitForTimeout(700)
    await say('touchMove', [await at(page.getByRole('group', { name: `Runs on ${to}` }), 0.8)])
    try {
      await expect(told(page)).toContainText(`On ${to}`, { timeout: 5000 })
    } catch (error) {
      await say('touchCancel', [])
      throw error
    }
  }).toPass({ timeout: 60_000 })
  expect(await label(page, id)).toBe(before)
  await say('touchEnd', [])
  await expect.poll(() => label(page, id)).toContain('held there')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => label(page, id)).toBe(before)
})

test('a press is down: what can be done is worked out and told, one way is taken; it comes back', async ({
  page,
}) => {
  await open(page, '/')
  await page.getByRole('button', { name: 'Carousel Six is down' }).click()
  await expect(told(page).getByLabel('What happened')).toHaveValue('down')
  await expect(told(page).getByLabel('Press', { exact: true })).toHaveValue('six')
  await page.getByRole('button', { name: 'A week' }).click()
  const onlyLater = page.getByRole('button', { name: 'Take: Only later, nothing moves' })
  await expect(onlyLater).toBeVisible({ timeout: 60_000 })
  await expect(told(page)).toContainText('Only later, nothing moves')
  await onlyLater.click()
  await expect(page.getByRole('button', { name: 'Carousel Six is back' })).toBeVisible()
  await page.getByRole('button', { name: 'Carousel Six is back' }).click()
  await expect(page.getByRole('button', { name: 'Carousel Six is down' })).toBeVisible()
})

for (const [kind, which, how, says, ends] of [
  ['longer', 'Run', '2 hours', /takes 2 hours longer than its sheet says/, /^As planned after all: /],
  ['garments', 'Order', 'Tomorrow', /Garments of .*: expected tomorrow/, /^Come as planned: /],
] as const)
  test(`something has happened (${kind}): told in two choices by keyboard, what can be done is shown, one is taken and ended`, async ({
    page,
  }) => {
    await open(page, '/')
    await expect(lanes(page)).toContainText('placed')
    await page.getByRole('button', { name: 'Something has happened' }).press('Enter')
    await told(page).getByLabel('What happened').selectOption(kind)
    await expect(told(page).getByLabel(which, { exact: true })).not.toHaveValue('')
    expect(await violations(page)).toEqual([])
    await told(page).getByRole('button', { name: how, exact: true }).press('Enter')
    const onlyLater = page.getByRole('button', { name: 'Take: Only later, nothing moves' })
    await expect(onlyLater).toBeVisible({ timeout: 60_000 })
    await expect(told(page)).not.toContainText(/NaN|undefined/)
    await onlyLater.press('Enter')
    await expect(lanes(page)).toContainText(says)
    await reload(page)
    await expect(lanes(page)).toContainText(says)
    await page.getByRole('button', { name: ends }).press('Enter')
    await expect(lanes(page)).not.toContainText(says)
  })

test('who is away can be said where people are named, and it leads to where they are', async ({ page }) => {
  await open(page, '/')
  await page.getByRole('button', { name: 'Something has happened' }).click()
  await told(page).getByLabel('What happened').selectOption('away')
  await told(page).getByRole('link', { name: 'name who works here' }).click()
  await expect(page).toHaveURL(/\/shop\/method/)
  await expect(page.getByRole('button', { name: 'Add a person' })).toBeVisible()
})

test('better days are searched: paused, gone on with, taken or left', async ({ page }) => {
  await open(page, '/')
  await page.getByRole('button', { name: 'Search for better days' }).click()
  await expect(told(page)).toContainText(/Search/)
  const pause = page.getByRole('button', { name: 'Pause' })
  if (await pause.isVisible()) {
    await pause.click()
    await page.getByRole('button', { name: 'Go on' }).click()
  }
  await expect(told(page)).toContainText('Searched', { timeout: 60_000 })
  await page.getByRole('button', { name: 'Leave them as they are' }).click()
  await expect(told(page)).toBeHidden()
})

test('days that are taken plan the sheet for their press; undone it is planned as before', async ({
  page,
  request,
  baseURL,
}) => {
  const id = 'R-1007-P1-dark-poly'
  await open(page, '/')
  await page.getByRole('button', { name: 'Week', exact: true }).click()
  await expect(bar(page, id)).toBeVisible()
  const before = await plannedOn(request, baseURL, id)
  await bar(page, id).focus()
  // To a press that the sheet is not planned for.
  await page.keyboard.press((await label(page, id)).includes('The Twelve') ? 'Alt+ArrowUp' : 'Alt+ArrowDown')
  await expect(told(page)).toContainText(/^On (Carousel Six|The Twelve)/)
  await expect(told(page)).toContainText(/Sheets planned anew: .*Ferrymen Five-a-side/)
  await page.keyboard.press('Enter')
  await expect(told(page)).toBeHidden()
  await expect.poll(() => plannedOn(request, baseURL, id), { timeout: 30_000 }).not.toBe(before)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => plannedOn(request, baseURL, id), { timeout: 30_000 }).toBe(before)
})

test('a late order says why and leads to what can be done for it, each way with what it does to others', async ({
  page,
}) => {
  await open(page, '/')
  const ways = page.getByRole('button', { name: /^Ways to have O-\d+ earlier/ }).first()
  await ways.click()
  await expect(told(page)).toContainText(/Ways to have .+ earlier/)
  const take = told(page).getByRole('button', { name: /^Take: / })
  const nothing = told(page).getByText('Nothing here has it earlier')
  await expect(take.or(nothing).first()).toBeVisible({ timeout: 60_000 })
  await expect(told(page)).not.toContainText(/NaN|undefined/)
  expect(await violations(page)).toEqual([])
  await page.getByRole('button', { name: 'Leave it as it is' }).click()
  await expect(told(page)).toBeHidden()
})

test('screen room, ink room and dryers lie below the presses', async ({ page }) => {
  await open(page, '/')
  await expect(
    page.getByRole('group', { name: 'Work of Screen room' }).getByRole('img').first(),
  ).toHaveAccessibleName(/^Screens of .* to /)
  await expect(
    page.getByRole('group', { name: 'Work of Ink to mix by' }).getByRole('img').first(),
  ).toHaveAccessibleName(/^Ink for .*: .*, by /)
  await expect(page.getByRole('group', { name: /^Work of Tunnel/ }).first()).toContainText('°C')
})

test('people are named with the presses they can run and when they are away: the days are planned for them', async ({
  page,
  request,
  baseURL,
}) => {
  await open(page, '/shop/method')
  const person = (n: number) => page.getByRole('group', { name: `Person ${n}` })
  for (const [n, name] of [
    [1, 'Ada'],
    [2, 'Ben'],
  ] as const) {
    await page.getByRole('button', { name: 'Add a person' }).click()
    await person(n).getByLabel('Name').fill(name)
  }
  await person(1).getByLabel('Carousel Four').check()
  await person(2).getByRole('button', { name: 'Away on some days' }).click()
  await person(2).getByLabel('Away from').fill('2026-03-02')
  await person(2).getByLabel('up to and with').fill('2026-03-01')
  await expect(page.getByText('They are back before they go.')).toBeVisible()
  await person(2).getByLabel('up to and with').fill('2026-03-06')
  await expect(saveStatus(page)).toHaveText('Saved')
  expect(await violations(page)).toEqual([])
  await expect(page.getByRole('button', { name: 'Undo: People' })).toBeVisible()
  await reload(page)
  await expect(person(1).getByLabel('Carousel Four')).toBeChecked()
  await page.goto('/days/list')
  await expect(page.getByRole('heading', { name: 'Calendars of people' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Calendar of Ada' })).toBeVisible()
  const ics = await request.get(`${baseURL}/api/days.ics?person=person1`)
  expect(await ics.text()).toContain('Ada')
  expect((await request.get(`${baseURL}/api/days.ics?person=nobody`)).status()).toBe(404)
  await open(page, '/shop/method')
  for (const n of [2, 1]) await page.getByRole('button', { name: `Remove person ${n}` }).click()
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('garments that are expected later hold their run until then', async ({ page, request, baseURL }) => {
  const at = async () => {
    const { asked } = await (await request.get(`${baseURL}/api/days`)).json()
    return asked.runs.find((r: { orderId: string }) => r.orderId === 'O-1007')?.garmentsOn
  }
  await open(page, '/orders/O-1007/order')
  await field(page, 'Garments expected').fill('2031-05-06')
  await expect(saveStatus(page)).toHaveText('Saved')
  await expect.poll(at, { timeout: 30_000 }).toBe('2031-05-06')
  await field(page, 'Garments expected').fill('')
  await expect(saveStatus(page)).toHaveText('Saved')
  await expect.poll(at, { timeout: 30_000 }).toBe(undefined)
})

test('what someone else decided meanwhile is not written over', async ({ page, request, baseURL }) => {
  await deafen(page)
  await open(page, '/')
  await page.getByRole('button', { name: 'Bench is down' }).click()
  expect(await keep(request, baseURL)).toEqual({ ok: true })
  await page.getByRole('button', { name: '2 hours' }).click()
  await page
    .getByRole('button', { name: /^Take: / })
    .first()
    .click({ timeout: 60_000 })
  await expect(lanes(page)).toContainText('Someone else has changed the days since')
  await expect(page.getByRole('button', { name: 'Bench is down' })).toBeVisible()
})

test('on a narrow screen every press says what comes next', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await open(page, '/')
  await expect(lanes(page)).toContainText('Carousel Four')
  await expect(page.getByRole('group', { name: 'Runs on Carousel Four' })).toBeHidden()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await violations(page)).toEqual([])
})

test('the list of the day: every place, on one page of paper; calendar and rows go out', async ({
  page,
  request,
  baseURL,
}) => {
  await open(page, '/')
  await page.getByRole('link', { name: 'List of the day' }).click()
  await expect(page.getByRole('heading', { name: 'Screen room' })).toBeVisible()
  for (const place of ['Carousel Four', 'The Twelve', 'Bench', 'Ink room'])
    await expect(page.getByRole('heading', { name: place })).toBeVisible()
  expect(await violations(page)).toEqual([])
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1')
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1)
  const ics = await request.get(`${baseURL}/api/days.ics?press=twelve`)
  expect(ics.headers()['content-type']).toContain('text/calendar')
  expect(await ics.text()).toMatch(/^BEGIN:VCALENDAR\r\n[\s\S]*END:VCALENDAR/)
  expect((await request.get(`${baseURL}/api/days.ics?press=nowhere`)).status()).toBe(404)
  expect(await (await request.get(`${baseURL}/api/days.csv`)).text()).toMatch(/^press,set_up,start/)
  await page.goto('/days/list?day=2199-02-30')
  await expect(page.getByRole('heading', { name: 'Ink room' })).toBeVisible()
})

test('an order that is only asked for gets its promise, with what it does to the others', async ({
  page,
}) => {
  await open(page, '/orders/O-1010/order')
  await page.getByRole('button', { name: 'When can it be promised?' }).click()
  const promise = page.getByRole('status', { name: 'Promise' })
  await expect(promise).toContainText(/(Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day/, { timeout: 60_000 })
  await expect(promise).toContainText('in eight of ten cases')
  await page.locator('[data-why="Promise"]').press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText(
    'in eight of ten of 200 trials',
  )
  expect(await violations(page)).toEqual([])
})

test('a week by keyboard alone: searched, a press fails, a way is taken, an order gets its promise', async ({
  page,
}) => {
  const press = async (name: string | RegExp) => {
    await page.getByRole('button', { name }).first().focus()
    await page.keyboard.press('Enter')
  }
  await open(page, '/')
  await press('Week')
  await press('Search for better days')
  await expect(told(page)).toContainText('Searched', { timeout: 60_000 })
  const takes = page.getByRole('button', { name: 'Take these days' })
  await press((await takes.isVisible()) ? 'Take these days' : 'Leave them as they are')
  await expect(told(page)).toBeHidden()
  await press('The Twelve is down')
  await press('6 hours')
  await expect(page.getByRole('button', { name: /^Take: / }).first()).toBeVisible({ timeout: 60_000 })
  await press(/^Take: /)
  await expect(page.getByRole('button', { name: 'The Twelve is back' })).toBeVisible()
  await press('Undo')
  await expect(page.getByRole('button', { name: 'The Twelve is down' })).toBeVisible()
  await open(page, '/orders/O-1010/order')
  await press('When can it be promised?')
  await expect(page.getByRole('status', { name: 'Promise' })).toContainText('in eight of ten cases', {
    timeout: 60_000,
  })
})

test('pallets that go from press to press: two for the same are refused at their place, one is kept', async ({
  page,
}) => {
  await open(page, '/shop')
  const rows = page.locator('section').filter({
    has: page.getByRole('heading', { name: 'Pallets that go from press to press' }),
  })
  const add = rows.getByRole('button', { name: 'Add kind of pallet' })
  await add.focus()
  await page.keyboard.press('Enter')
  await rows.getByLabel('Name, Sleeve boards').fill('Wide boards')
  await rows.getByLabel(/^For prints at/).selectOption('Full front')
  await add.click()
  await rows
    .getByLabel(/^For prints at/)
    .nth(1)
    .selectOption('Full front')
  await expect(rows.getByText('Two are for the same print on the same press.')).toBeVisible()
  await rows.getByLabel('Sleeve boards used at Bench').check()
  await expect(rows.getByText('Two are for the same print on the same press.')).toBeVisible()
  await rows.getByRole('button', { name: 'Remove Sleeve boards' }).click()
  await expect(saveStatus(page)).toHaveText('Saved')
  expect(await violations(page)).toEqual([])
  await reload(page)
  await expect(rows.getByLabel(/^Name, /)).toHaveValue('Wide boards')
  await page.goto('/')
  await expect(page.locator('[data-run][data-why]').first()).toBeVisible()
  await open(page, '/shop')
  await rows.getByRole('button', { name: 'Remove Wide boards' }).click()
  await expect(saveStatus(page)).toHaveText('Saved')
})
