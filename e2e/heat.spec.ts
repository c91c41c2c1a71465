import { expect, open, saveStatus, test } from './house'

const section = (name: string) => ({ name, level: 2 }) as const
const first = '[data-why="Flash after Base white, from garment 1"]'

test('heat: a cold damp morning wants longer flashes, in one tap and back; the sheet gets what is set', async ({
  page,
}) => {
  await open(page, '/orders/O-1003/heat')
  await expect(page.getByRole('heading', section('Along the run'))).toBeVisible()
  const seconds = async () => Number.parseFloat((await page.locator(first).textContent()) ?? '')
  await expect(page.locator(first)).toBeVisible()
  const usual = await seconds()
  await page.getByRole('button', { name: 'cold damp morning' }).click()
  await expect(page.locator('[data-advice="air"]')).toHaveText('8 °C')
  await expect.poll(seconds).toBeGreaterThan(usual + 0.5)
  // What is advised follows too, and the sheet follows what is advised.
  const dwell = page.locator('[data-advice="dwell.base"]')
  const colder = ((await dwell.textContent()) ?? '').replace(/\s/g, ' ')
  await page.goto('/runs/R-1003-P1-dark/sheet')
  await expect(page.locator('main')).toContainText(colder)
  await open(page, '/orders/O-1003/heat')
  await page.getByRole('button', { name: 'usual day' }).click()
  await expect(page.locator('[data-advice="air"]')).toHaveText('22 °C')
  await expect.poll(seconds).toBe(usual)
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved')
})

test('heat: the slider goes through the run by key, boards and film follow', async ({ page }) => {
  await open(page, '/orders/O-1001/heat')
  const slider = page.getByRole('slider', { name: 'Garment' })
  const board = page.locator('[data-why="Board"]')
  await expect(board).toHaveText('22 °C')
  await slider.focus()
  await page.keyboard.press('End')
  await expect(page.getByText('Garment 144 of 144')).toBeVisible()
  await expect.poll(async () => Number.parseFloat((await board.textContent()) ?? '')).toBeGreaterThan(35)
  await expect(page.getByRole('img', { name: 'Film, cloth and board of this garment' })).toBeVisible()
  await page.keyboard.press('Home')
  await expect(board).toHaveText('22 °C')
  await board.press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('laid on boards of 22')
})

test('heat: what the run needs is set by one button, and taken back', async ({ page }) => {
  await open(page, '/orders/O-1001/heat')
  const dwell = page.locator('[data-advice^="dwell.I"]').first()
  const before = (await dwell.textContent()) ?? ''
  const set = page.getByRole('button', { name: /^Set .* instead of / }).last()
  const wanted = /Set (\S+ s) instead/.exec((await set.textContent()) ?? '')?.[1] ?? ''
  await set.click()
  await expect(dwell).toHaveText(wanted)
  await dwell.focus()
  await page.keyboard.press('Backspace')
  await expect(dwell).toHaveText(before)
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved')
})

test('heat: what if, by key: what would change is told, Escape leaves it, Enter takes it over', async ({
  page,
}) => {
  await open(page, '/orders/O-1003/heat')
  const fold = page.locator('summary').filter({ hasText: 'What if' })
  await fold.focus()
  await page.keyboard.press('Enter')
  const told = page.getByRole('status', { name: 'What would change' })
  const dwell = page.locator('[data-advice="dwell.base"]')
  const before = (await dwell.textContent()) ?? ''
  const drag = page.getByLabel('Flash after Base white, dragged')
  await drag.focus()
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight')
  await expect(told).toContainText(/Base white is flashed [\d.]+ s, instead of/)
  await expect(told).toContainText(/The boards end at \d+ °C, instead of \d+ °C/)
  await expect(page.getByText(/closes the film in the middle of the print/)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(told).toHaveText('')
  await expect(page.getByText(/closes the film in the middle of the print/)).toBeHidden()
  await expect(dwell).toHaveText(before)
  // Typed, in any unit; what no press can do is said at its place and tried nowhere.
  const height = page.getByLabel('Flash height', { exact: true })
  await height.fill('9 m')
  await expect(page.getByRole('alert').filter({ hasText: /^Between/ })).toBeVisible()
  await expect(told).toHaveText('')
  await height.fill('4 in')
  await expect(told).toContainText(/Base white is flashed/)
  await page.getByLabel('Boards', { exact: true }).selectOption('wood')
  await expect(page.getByText(/changed at Shop, Presses/)).toBeVisible()
  await page.getByLabel('Flash height, dragged').focus()
  await page.keyboard.press('Enter')
  await expect(told).toHaveText('')
  await expect(page.locator('[data-advice="flashHeight"]')).toHaveText('101.6 mm')
  await page.locator('[data-advice="flashHeight"]').focus()
  await page.keyboard.press('Backspace')
  await expect(page.locator('[data-advice="flashHeight"]')).toHaveText('65 mm')
  await expect(saveStatus(page)).toHaveText('Saved')
})

test('heat: the dryer says what it does at the planned belt, and why', async ({ page }) => {
  await open(page, '/orders/O-1004/heat')
  const film = page.locator('[data-why="Film in the tunnel"]')
  await expect(film).toHaveText(/^1\d\d\s°C$/)
  const before = (await film.textContent()) ?? ''
  await page.locator('[data-advice="belt"]').click()
  await page.locator('main input:focus').fill('9 m/min')
  await page.keyboard.press('Enter')
  await expect(film).not.toHaveText(before)
  await expect(page.getByText(/the film only comes to/)).toBeVisible()
  await page.locator('[data-advice="belt"]').focus()
  await page.keyboard.press('Backspace')
  await expect(film).toHaveText(before)
  await film.press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('a model')
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved')
})

test('heat: a print that sticks is asked after under Trouble, which knows what this run does to it', async ({
  page,
}) => {
  await open(page, '/orders/O-1001/heat')
  await page.getByRole('link', { name: /^Trouble asks which/ }).press('Enter')
  await expect(page.getByRole('heading', section('Trouble at the sample'))).toBeInViewport()
  await page.getByRole('button', { name: 'Sticks or lifts' }).click()
  await page.getByRole('button', { name: 'Ink sticks to the next screen' }).click()
  const causes = page.getByRole('list', { name: 'What it may be' })
  await expect(causes).toContainText('film not gelled')
  await expect(causes).toContainText('where these boards need')
})

test('sequence: film, cloth and board of a garment stand under the strip', async ({ page }) => {
  await open(page, '/orders/O-1001/sequence')
  await expect(page.getByRole('heading', section('Heat on the way round'))).toBeVisible()
  const board = page.locator('[data-why="Board"]')
  await expect(board).toHaveText('22 °C')
  await page.getByRole('slider', { name: 'Garment' }).press('End')
  await expect.poll(async () => Number.parseFloat((await board.textContent()) ?? '')).toBeGreaterThan(35)
  // Over the slider what is set from which garment on.
  await expect(page.getByRole('img', { name: /^Dwell after Base white: .* from garment 1, / })).toBeVisible()
  const trace = page.getByRole('img', { name: 'Film, cloth and board of this garment' })
  await expect(trace).toContainText('gels 105 °C to 130 °C')
  await expect(trace).toContainText('safe to print 55 °C')
  await expect(trace).toContainText(/over-flashed 1[3-6]\d °C/)
  // The strip's own numbers, each below its cell.
  const cells = page.getByRole('list', { name: 'Lap strip' }).locator('li')
  for (const at of [0, 2, 5]) {
    const apart = async () => {
      const cell = await cells.nth(at).boundingBox()
      const number = await trace
        .locator('svg text')
        .getByText(String(at + 1), { exact: true })
        .boundingBox()
      return Math.abs((number?.x ?? 0) - (cell?.x ?? 99))
    }
    // What is measured while the page is still laid out is of two moments.
    await expect.poll(apart).toBeLessThan(9)
  }
})

test('today: the air of the shop is said in one tap, and every run of today follows', async ({ page }) => {
  await open(page, '/')
  const air = page.getByRole('group', { name: 'Air of the shop today' })
  await expect(air).toContainText('22 °C')
  await air.getByRole('button', { name: 'cold damp morning' }).press('Enter')
  await expect(air).toContainText('8 °C')
  await open(page, '/orders/O-1003/heat')
  await expect(page.locator('[data-advice="air"]')).toHaveText('8 °C')
  await page.locator('[data-advice="air"]').press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('As it was said on')
  // Typed, out of range, and back.
  await open(page, '/')
  await air.getByRole('button', { name: 'type it' }).click()
  await air.getByLabel('Air', { exact: true }).fill('120')
  await air.getByRole('button', { name: 'Say it' }).click()
  await expect(air.getByRole('alert')).toHaveText('So hot is no shop.')
  await air.getByRole('button', { name: 'usual day' }).click()
  await expect(air).toContainText('22 °C')
})
