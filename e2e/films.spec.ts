import { DEMO_ART } from '../src/store/demo/art'
import { demoFile } from '../src/store/demo/films'
import { expect, open, saveStatus, test } from './house'
import { violations } from './violations'

test.use({ mayFail: /status of 400/ })
// A set of films is read in ten seconds on a quiet machine, again after each change of it, and others read meanwhile.
const READ = { timeout: 120_000 }
test.describe.configure({ timeout: 480_000 })

const files = async (print: string) =>
  Promise.all(
    (DEMO_ART[print]?.() ?? []).map(async (f) => ({
      name: f.name,
      mimeType: 'svg' in f ? 'image/svg+xml' : 'image/png',
      buffer: await demoFile(f),
    })),
  )

test('films come in, are read, and the order takes what they say; a bad file stops none of them', async ({
  page,
}) => {
  await open(page, '/orders/O-1006/art')
  const bad = {
    name: 'moth script.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
  }
  const copper = (await files('O-1006/P1')).map((f) => ({
    ...f,
    name: f.name.replace('copper', 'copper-shimmer'),
  }))
  await page.getByLabel('Films of print P1').setInputFiles([bad, ...copper])
  await expect(page.getByRole('alert').first()).toContainText('moth script.svg: This drawing holds a script')
  // Two pixels at the most off the choke it was drawn with.
  await expect(page.locator('[data-why="Choke of the base"]')).toBeVisible(READ)
  await expect(page.locator('[data-why="Choke of the base"]')).toHaveText(/0\.3[0-9]\s*mm/)
  await expect(page.getByText(/4 marks, in one place on every film/)).toBeVisible()
  const miss = page.getByLabel('The press misses by')
  const shows = page.locator('[data-why="What the base would show"]')
  await expect(shows).toHaveText(/^base \d+/)
  await miss.fill('0.1 mm')
  await miss.press('Enter')
  // Choked by three times as much.
  await expect(shows).toHaveText(/^(nothing|base [0-2](\.\d)?\s*%)$/)
  // Each by itself, or all at once; but the size was ordered.
  const width = await page.getByLabel('Width', { exact: true }).inputValue()
  await page.getByRole('button', { name: /^Use all \d+ readings$/ }).click()
  await expect(page.getByRole('button', { name: /^Use all/ })).toBeHidden()
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue(width)
  for (const size of ['Width', 'Height']) {
    const own = page.getByRole('button', { name: new RegExp(`^Use ${size}`) })
    if (await own.isVisible()) await own.click()
  }
  await expect(page.getByText('The order says what the films say.')).toBeVisible()
  await expect(page.getByLabel('Base choked by')).toHaveValue(/^0\.3\d mm$/)
  await expect(saveStatus(page)).toHaveText('Saved')
  expect(await violations(page)).toEqual([])
})

test('a choke is mended on the film: tried, read back, used, and the old one set aside; all is taken back', async ({
  page,
}) => {
  await open(page, '/orders/O-1006/art')
  // Films of the test before may lie there: what is waited for is that of these.
  const given = await files('O-1006/P1')
  const answered = (method: string, part: string) =>
    page.waitForResponse((r) => r.request().method() === method && r.url().includes(part))
  const told = answered('POST', encodeURIComponent(given.at(-1)?.name ?? '').replaceAll('%20', '+')).then(
    () => answered('GET', '/films/P1'),
  )
  await page.getByLabel('Films of print P1').setInputFiles(given)
  await told
  const choke = page.locator('[data-why="Choke of the base"]')
  await expect(choke).toHaveText(/0\.3[0-9]\s*mm/, READ)
  await page.getByLabel('What', { exact: true }).selectOption({ label: 'Choke the base' })
  await page.getByLabel('By', { exact: true }).fill('0.5 mm')
  await page.getByLabel('By', { exact: true }).press('Enter')
  await expect(page.getByLabel('By', { exact: true })).toHaveValue('0.5 mm')
  await page.getByRole('button', { name: 'Try' }).click()
  const mended = page.getByRole('status', { name: 'Mended' })
  await expect(mended).toContainText(/0\.3\d\s*mm before,\s*0\.(49|5\d?)\s*mm\s*read back/, READ)
  const address = await mended.getByRole('link', { name: 'TIFF', exact: true }).getAttribute('href')
  const file = await page.request.get(address ?? '')
  expect(file.headers()['content-type']).toBe('image/tiff')
  expect((await file.body()).length).toBeGreaterThan(5000)
  await mended.getByRole('button', { name: /^Use it/ }).click()
  await expect(page.getByText('set aside, another in its place')).toBeVisible()
  await expect(choke).toHaveText(/0\.(49|5\d?)\s*mm/, READ)

  // Turned the wrong way it is told, and turned with one key; what was said is taken back.
  await page.getByText(/^Left out of the art: 4 marks/).click()
  await page.getByRole('button', { name: 'It is art' }).first().click()
  await expect(page.getByText(/1 taken as art/)).toBeVisible()
  await page.getByText(/1 taken as art/).click()
  await page.getByRole('button', { name: 'Leave all out again' }).click()
  await expect(page.getByText(/taken as art/)).toBeHidden()
  await page.getByRole('button', { name: /^Remove .*choked/ }).click()
  await page.getByRole('button', { name: /^Take back: set aside/ }).click()
  await page.getByLabel(/^Colour of .*base\.\w+$/).selectOption('base')
  await expect(choke).toHaveText(/0\.3[0-9]\s*mm/, READ)
})

test('a film is pushed by the keyboard and the gap is measured', async ({ page }) => {
  await open(page, '/orders/O-1007/art')
  const [, red, , , , black] = await files('O-1002/P1')
  if (!red || !black) throw new Error('the demo has no pennants')
  const named = [
    { ...red, name: 'white.svg' },
    { ...black, name: 'yellow.svg' },
  ]
  await page.getByLabel('Films of print P1').setInputFiles(named)
  await expect(page.getByLabel('Film to move')).toBeVisible(READ)
  const film = page.getByLabel('Film to move')
  await film.focus()
  await film.selectOption({ index: 1 })
  await page.getByRole('application').focus()
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByLabel('Right', { exact: true })).toHaveValue(/1\.5\d? mm/)
  await expect(page.locator('[data-why^="Gap of"]').first()).toHaveText(/mm/, { timeout: 10_000 })
  await page.getByLabel('Right', { exact: true }).fill('nonsense')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Not a fine length', { exact: false })).toBeVisible()
})

test('a reading can be given up and taken up again', async ({ page }) => {
  await open(page, '/orders/O-1010/art')
  // Six films, so that there is time to change one's mind in the middle.
  await page.getByLabel('Films of print P1').setInputFiles(await files('O-1002/P1'))
  await expect(page.getByText(/^Reading pennants/)).toBeVisible(READ)
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByText('These films were not read.')).toBeVisible()
  await page.getByRole('button', { name: 'Read them' }).click()
  await expect(page.locator('[data-why^="Coverage of"]')).toHaveCount(6, READ)
})

test('the light table zooms, moves and shows where; films are hidden, given another colour and taken off', async ({
  page,
}) => {
  await open(page, '/orders/O-1004/art')
  const [chart] = (await files('O-1001/P1')).slice(1, 2)
  if (!chart) throw new Error('the demo has no star chart')
  await page.getByLabel('Films of print P1').setInputFiles({ ...chart, name: 'trails.svg' })
  const colour = page.getByLabel('Colour of trails.svg')
  await expect(colour).toHaveValue('', READ)
  await colour.selectOption({ index: 2 })
  const table = page.getByRole('application')
  await expect(table).toBeVisible(READ)
  await page.getByRole('button', { name: '8:1' }).click()
  await expect(page.getByText('8 : 1')).toBeVisible()
  await table.focus()
  await page.keyboard.press('-')
  await expect(page.getByText('5.7 : 1')).toBeVisible()
  // Half a millimetre, as its finest trails were drawn.
  await expect(page.locator('[data-why="Thinnest line of trails.svg"]')).toHaveText(
    /0\.(4[5-9]|5\d?)\s*mm/,
    READ,
  )
  const before = await table.screenshot()
  await page.setViewportSize({ width: 1280, height: 600 })
  await page.getByRole('button', { name: 'Thinnest line of trails.svg: show where' }).click()
  await expect(table).toBeInViewport({ ratio: 0.9 })
  await expect(page.getByText('4 : 1')).toBeVisible()
  await expect.poll(async () => Buffer.compare(before, await table.screenshot())).not.toBe(0)
  const show = page.getByRole('button', { name: 'Show trails.svg' })
  await show.click()
  await expect(show).toHaveAttribute('aria-pressed', 'false')
  await show.click()
  await page.locator('[data-why="Coverage of trails.svg"]').press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('greys count by their share')
  await page.getByRole('button', { name: 'Remove trails.svg' }).click()
  await expect(show).toBeHidden()
})
