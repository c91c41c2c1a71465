import type { Page } from '@playwright/test'
import { DEMO_ART } from '../src/store/demo/art'
import { demoFile } from '../src/store/demo/films'
import { expect, open, reload, saveStatus, test } from './house'

const row = (page: Page, key: string) => page.locator(`[data-screen="${key}"]`)

/** Presses a button by the keyboard alone. */
async function press(page: Page, name: string | RegExp) {
  await page.getByRole('button', { name }).first().focus()
  await page.keyboard.press('Enter')
}

test('a screen goes from coating to the next step by keyboard, is kept, and one key takes it back', async ({
  page,
}) => {
  await open(page, '/screens')
  const screen = row(page, 'O-1003.P1.I1')
  await expect(screen).toContainText(/F(90|120)-\d/)
  const frame = await screen.getByRole('button').first().textContent()
  await press(page, /^Coat: done, .*, Kittiwake Count/)
  await expect(page.getByText(/^Dry in the dark: 2$/)).toBeVisible()
  await expect(saveStatus(page)).toHaveText('Saved')
  await open(page, '/screens')
  const drying = page.getByRole('button', { name: /^Dry in the dark: done, .*Kittiwake/ })
  await expect(drying).toHaveCount(1)
  await expect(page.locator('[data-screen^="O-1003"]').filter({ hasText: 'dry at' })).toContainText(
    /\d\d:\d\d/,
  )
  expect(frame).toMatch(/^F(90|120)/)
  await page.keyboard.press('Control+z')
  await expect(drying).toHaveCount(0)
})

test('alike work is done in one go, one step can be shown alone, damp air asks for an earlier start', async ({
  page,
}) => {
  await open(page, '/screens')
  await page.getByRole('button', { name: /^\d+ coat$/ }).click()
  await expect(page.getByRole('heading', { name: /Tape/ })).toBeHidden()
  const begin = page.locator('[data-print="O-1003 P1"] [data-why^="Latest start"]').first()
  const before = await begin.textContent()
  await page.getByLabel('Humidity').fill('80 %')
  await expect(page.locator('[data-why="Drying time"]')).toHaveText(/143\s*min/)
  await expect(begin).not.toHaveText(before ?? '')
  await page.getByLabel('Humidity').fill('120 %')
  await expect(page.getByText('Humidity is from 0 to 100 %.')).toBeVisible()
  await page.getByLabel('Humidity').fill('55 %')
  await expect(saveStatus(page)).toHaveText('Saved')
  const all = page.getByRole('button', { name: /^All \d+ done$/ }).first()
  const count = Number(/\d+/.exec((await all.textContent()) ?? '')?.[0])
  const dry = page.getByRole('button', { name: /^\d+ dry$/ })
  await expect(dry).toHaveText(/^1\D/)
  await all.click()
  await expect(dry).toHaveText(new RegExp(`^${count + 1}\\D`))
  await expect(saveStatus(page)).toHaveText('Saved')
  await page.keyboard.press('Control+z')
  await expect(dry).toHaveText(/^1\D/)
})

test('the light runs down and can be stopped; it can be read under a safelight', async ({ page }) => {
  await open(page, '/screens')
  await page.keyboard.press('s')
  await page.getByRole('button', { name: /^\d+ expose$/ }).click()
  const timer = page.getByRole('timer', { name: 'Exposure' })
  await expect(timer).toBeEmpty()
  await press(page, 'Start timer')
  await expect(timer).toHaveText(/^\d+ s$/)
  const whole = Number.parseInt((await timer.textContent()) ?? '', 10)
  await expect
    .poll(async () => Number.parseInt((await timer.textContent()) ?? '', 10))
    .toBeLessThan(whole - 1)
  const size = await timer.evaluate((e) => Number.parseFloat(getComputedStyle(e).fontSize))
  expect(size).toBeGreaterThan(40)
  // The lamp burns on, wherever one goes and however often the page is read.
  const bar = page.getByRole('timer', { name: 'Lamp' })
  await open(page, '/orders')
  await expect(bar).toHaveText(/^\d+ s$/)
  await reload(page)
  await expect(bar).toHaveText(/^\d+ s$/)
  await page.evaluate(() => {
    const lamp = JSON.parse(localStorage.getItem('orvint.lamp') ?? '{}')
    localStorage.setItem('orvint.lamp', JSON.stringify({ ...lamp, ends: Date.now() + 1200 }))
  })
  await open(page, '/ink')
  await expect(page.getByRole('status', { name: 'What the lamp does' })).toContainText(
    'Time up. Switch the lamp off',
  )
  await press(page, 'It is off')
  await expect(bar).toBeHidden()
  await open(page, '/screens')
  await page.getByRole('button', { name: /^\d+ expose$/ }).click()
  await press(page, 'Start timer')
  await press(page, 'Stop')
  await expect(timer).toBeEmpty()
  await page.keyboard.press('s')
})

test('mounted is one fact: the room asks for the head, the frames and the press say the same', async ({
  page,
}) => {
  await open(page, '/screens')
  const copper = row(page, 'O-1006.P1.I1')
  await copper.getByRole('button', { name: /^Tape: done/ }).press('Enter')
  const head = copper.getByLabel(/^Head, Copper shimmer/)
  await expect(head).toHaveValue(/^\d+$/)
  const number = await head.inputValue()
  await copper.getByRole('button', { name: /^Mount: done/ }).press('Enter')
  await expect(copper).toContainText(`head ${number}`)
  await expect(saveStatus(page)).toHaveText('Saved')
  await open(page, '/screens/frames')
  await page.getByRole('button', { name: '43 T/cm' }).click()
  await expect(page.getByRole('row', { name: /^F43-1/ })).toContainText(`head ${number}`)
  await open(page, '/orders/O-1006/sequence')
  await page.getByText('On the press now').click()
  await expect(page.getByLabel(`Mounted at head ${number}`)).toHaveValue('F43-1')
  // Taken down there it is to be mounted again here.
  await page.getByLabel(`Mounted at head ${number}`).selectOption('')
  await open(page, '/screens')
  await expect(copper.getByRole('button', { name: /^Mount: done/ })).toBeVisible()
})

test('what no order wants is reclaimed, and comes back with one key', async ({ page }) => {
  await open(page, '/screens')
  const old = page.getByText('Slate Hollow Climbing, Spring wall tees: Chalk white')
  await expect(old).toBeVisible()
  await press(page, 'Reclaimed')
  await expect(old).toBeHidden()
  await expect(saveStatus(page)).toHaveText('Saved')
  await page.keyboard.press('Control+z')
  await expect(old).toBeVisible()
})

test('a step test is laid out, read, kept, used and removed', async ({ page }) => {
  await open(page, '/screens/light')
  await expect(page.locator('[data-why="Exposure"]')).toHaveText(/27\s*s/)
  await page.getByLabel('Middle strip about').fill('40 s')
  await press(page, 'Strip 3 is the first that holds')
  await expect(page.getByText(/true between/)).toContainText(/20\s*s\s+and\s+28\.3/)
  await press(page, 'Strip 5 is the last with open detail')
  await expect(page.getByText(/true between/)).toContainText(/28\.3\s*s\s+and\s+56\.5/)
  await press(page, 'Strip 2 is the last with open detail')
  await expect(page.getByText(/Detail closes before the stencil holds/)).toBeVisible()
  await press(page, 'Strip 2 is the last with open detail')
  await page.getByLabel('Emulsion of the test').selectOption({ label: 'Quick photopolymer' })
  await press(page, 'Keep this test')
  await expect(page.getByRole('row', { name: /LED unit, Quick photopolymer/ })).toContainText(/28.3\s*s/)
  await page.getByLabel('Emulsion', { exact: true }).selectOption({ label: 'Quick photopolymer' })
  await expect(page.locator('[data-why="Exposure"]')).toHaveText(/28.3\s*s/)
  await page.getByLabel('Coats', { exact: true }).fill('4')
  await expect(page.locator('[data-why="Exposure"]')).toHaveText(/56.6\s*s/)
  await page.locator('[data-why="Exposure"]').press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('4 coats instead of 2')
  await expect(saveStatus(page)).toHaveText('Saved')
  await page
    .getByRole('button', { name: /^Remove the test of/ })
    .last()
    .click()
  await expect(page.getByRole('row', { name: /Quick photopolymer/ })).toHaveCount(0)
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('a step test is read by the scale; a lamp that bakes the emulsion is refused; nonsense says so', async ({
  page,
}) => {
  await open(page, '/screens/light')
  await page.getByLabel('Read by').selectOption({ label: '21-step scale: the last solid step' })
  await page.getByLabel('Exposed for').fill('30 s')
  await page.getByLabel('Last solid step').fill('5')
  await expect(page.getByText(/true between/)).toContainText(/50\.4\s*s\s+and\s+71\.1/)
  await page.getByLabel('Lamp', { exact: true }).selectOption({ label: 'Work lamp' })
  await expect(page.getByText('never tested: a guess')).toBeVisible()
  await page.getByLabel('Emulsion', { exact: true }).selectOption({ label: 'Quick photopolymer' })
  await expect(page.getByText('Work lamp bakes Quick photopolymer')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Start timer' })).toHaveCount(0)
  await page.getByLabel('Mesh', { exact: true }).fill('fine')
  await expect(page.getByRole('alert').filter({ hasText: 'mesh count' })).toBeVisible()
  for (const label of ['Mesh', 'Mesh of the test']) {
    const mesh = page.getByLabel(label, { exact: true })
    for (const no of ['0', '9999']) {
      await mesh.fill(no)
      await expect(page.getByRole('alert').filter({ hasText: /^Between/ }), `${label} ${no}`).toBeVisible()
    }
    await mesh.fill('77')
  }
})

test('tension is read, drawn and judged; a frame that fell is told', async ({ page }) => {
  await open(page, '/screens/frames')
  await page.getByRole('button', { name: '77 T/cm' }).click()
  await expect(page.getByRole('row', { name: /^F77-6/ })).toContainText('not for traps under 0.34 mm')
  await expect(page.getByRole('img', { name: 'Tension of these frames over time' })).toContainText('F77-1')
  const reading = page.getByLabel('New reading of F77-5')
  await reading.fill('soft')
  await reading.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'tension' })).toBeVisible()
  await reading.fill('500 N/cm')
  await reading.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'Between 0 N/cm and 100 N/cm' })).toBeVisible()
  await reading.fill('80 N/cm')
  await reading.press('Enter')
  await expect(
    page.getByRole('alert').filter({ hasText: 'is usual. Keep it again if it is so.' }),
  ).toBeVisible()
  await reading.fill('18 N/cm')
  await reading.press('Enter')
  await expect(page.getByRole('row', { name: /^F77-5/ })).toContainText('Restretch or retire it')
  await expect(saveStatus(page)).toHaveText('Saved')
  await page.keyboard.press('Escape')
  await page.getByRole('heading', { name: 'Frames and tension' }).click()
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('row', { name: /^F77-5/ })).toContainText('24.5')
})

test('stencils and light of the shop are edited and refuse what cannot be', async ({ page }) => {
  await open(page, '/shop/stencils')
  const thread = page.getByLabel(/^Thread/).first()
  const before = await thread.inputValue()
  await thread.fill('600 µm')
  await expect(page.getByText('Thicker than the mesh is apart: nothing stays open.')).toBeVisible()
  await thread.fill(before)
  await page.getByRole('button', { name: 'Add a lamp' }).click()
  await page.getByLabel('Name, New lamp').fill('Roof in the sun')
  await expect(saveStatus(page)).toHaveText('Saved')
  await open(page, '/screens/light')
  await expect(page.getByLabel('Lamp', { exact: true })).toContainText('Roof in the sun')
  await open(page, '/shop/stencils')
  await page.getByRole('button', { name: /^Remove .*Roof in the sun/ }).click()
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('from films to the list of the screen room and a printed position sheet, by keyboard alone', async ({
  page,
}) => {
  const films = await Promise.all(
    (DEMO_ART['O-1001/P1']?.() ?? [])
      .filter((f) => /yellow/.test(f.name))
      .map(async (f) => ({
        name: 'harbour-white.svg',
        mimeType: 'svg' in f ? 'image/svg+xml' : 'image/png',
        buffer: await demoFile(f),
      })),
  )
  await open(page, '/orders/O-1009/art')
  // One film may be read before a hand can cancel.
  await page.route('**/reading', async (route) => {
    await new Promise((r) => setTimeout(r, 2000))
    await route.continue().catch(() => undefined)
  })
  const chooser = page.waitForEvent('filechooser')
  await press(page, /^Add films/)
  await (await chooser).setFiles(films.slice(0, 1))
  await press(page, 'Cancel')
  await page.unroute('**/reading')
  await press(page, 'Read them')
  await expect(page.locator('[data-why^="Coverage of"]')).toHaveText(/%/, { timeout: 120_000 })
  await press(page, /^Use all \d+ readings$/)
  await expect(saveStatus(page)).toHaveText('Saved')
  await expect(page.getByLabel(/^Smallest line of/)).toHaveValue(/mm/)
  await page.keyboard.press('3')
  await expect(page.getByRole('img', { name: 'Film on the frame, print side up, to scale' })).toBeVisible()
  const top = await page.locator('[data-advice="filmTop"]').textContent()
  const onPaper = await page.locator('a[href*="position.pdf"]').getAttribute('href')
  await page.getByRole('link', { name: 'Screen room', exact: true }).focus()
  await page.keyboard.press('Enter')
  await expect(row(page, 'O-1009.P1.I1')).toBeVisible()
  await expect(page.locator('[data-print="O-1009 P1"]').first()).toContainText('Ropewalk Bakehouse')
  const sheet = await page.request.get(onPaper ?? '')
  expect(sheet.headers()['content-type']).toBe('application/pdf')
  expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-')
  expect(top).toMatch(/mm/)
  const labels = await page.request.get('/api/screens/labels.pdf?order=O-1003&paper=letter')
  expect(labels.status()).toBe(200)
  expect((await page.request.get('/api/screens/labels.pdf?order=O-9999')).status()).toBe(404)
  expect((await page.request.get('/api/runs/R-9999-P1-dark/position.pdf')).status()).toBe(404)
  // The picture of the films stands in the head and on the lists.
  await page.goto('/orders')
  const picture = page.locator('img[src*="O-1009"]').first()
  const drawn = () =>
    // One dot says that it is being made.
    expect.poll(() => picture.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBeGreaterThan(1)
  await drawn()
  await open(page, '/orders/O-1009/art')
  await drawn()
  await press(page, /^Remove harbour-white/)
  await expect(page.locator('[data-why^="Coverage of"]')).toHaveCount(0)
})

for (const [name, width, height] of [
  ['a tablet', 820, 1180],
  ['a phone', 390, 844],
] as const)
  test(`the screen room works on ${name}: nothing runs out of the window, targets fit a thumb`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height })
    for (const path of ['/screens', '/screens/light', '/screens/frames']) {
      await open(page, path)
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect(over, path).toBeLessThanOrEqual(0)
    }
    await open(page, '/screens')
    const done = page.getByRole('button', { name: /^Coat: done/ }).first()
    const box = await done.boundingBox()
    expect(box?.height).toBeGreaterThanOrEqual(42)
    expect((box?.x ?? 0) + (box?.width ?? 0)).toBeLessThanOrEqual(width)
    await page.locator('[data-print] [data-why^="Latest start"]').first().click()
    await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('in working hours')
  })

test('a screen that broke is made anew, on the list at once; one key takes it back', async ({ page }) => {
  await open(page, '/screens')
  const row = page
    .locator('[data-screen]')
    .filter({ has: page.getByLabel(/^Broke, /) })
    .first()
  const frame = (await row.getByRole('button').first().textContent()) ?? ''
  const key = await row.getAttribute('data-screen')
  const same = page.locator(`[data-screen="${key}"]`)
  await row.getByLabel(/^Broke, /).selectOption('Mesh or frame broke')
  await expect(page.getByRole('status').filter({ hasText: `${frame} is out of use.` })).toBeVisible()
  await expect(same).not.toContainText(frame)
  await expect(same.getByLabel(/^Broke, /)).toBeHidden()
  await expect(saveStatus(page)).toHaveText('Saved')
  await page.locator('body').press('Control+z')
  await expect(same).toContainText(frame)
})
