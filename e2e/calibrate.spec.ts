import { expect, open, test } from './house'

const saved = (page: import('@playwright/test').Page) =>
  expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved')

test('a flash unit is read with the gun, by key alone; the dwell of a run follows, and goes back in one tap', async ({
  page,
}) => {
  const dwell = page.locator('[data-advice="dwell.base"]')
  const needed = page.locator('[data-why="Flash after Base white, from garment 1"]')
  await open(page, '/orders/O-1001/heat')
  await expect(needed).toBeVisible()
  const before = (await needed.textContent()) ?? ''
  await dwell.press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('Black panel was never read')

  await open(page, '/shop/heat')
  await page.getByRole('button', { name: 'Calibrate Black panel' }).press('Enter')
  const sheet = page.getByRole('region', { name: 'Calibration sheet of Black panel' })
  const workOut = sheet.getByRole('button', { name: 'Work it out' })
  await expect(workOut).toBeDisabled()
  for (const name of ['Film after a flash 1', 'Bare pallet after laps 1']) {
    await sheet.getByRole('button', { name: `Read: ${name}` }).press('Enter')
    await expect(sheet.getByRole('group', { name }).getByLabel('The gun shows')).toHaveValue(/°C/)
  }
  await sheet.getByLabel('Shortest flash').fill('6.5')
  await workOut.press('Enter')
  const found = sheet.getByRole('region', { name: 'What it comes to' })
  // The simulated press gives 118 % of the heat.
  await expect(found.locator('[data-why="Heat it gives"]')).toHaveText(/1[0-3]\d(\.\d)?\s*%/)
  const spread = Number.parseFloat(
    (await found.locator('[data-why="Spread of the dwell"]').textContent()) ?? '',
  )
  expect(spread).toBeLessThan(1)
  // Until it is used nothing has changed.
  await expect(page.getByRole('button', { name: 'Black panel as usual' })).toHaveCount(0)
  await found.getByRole('button', { name: 'Use it' }).press('Enter')
  await expect(page.getByRole('button', { name: 'Black panel as usual' })).toBeVisible()
  await saved(page)

  await open(page, '/orders/O-1001/heat')
  await expect
    .poll(async () => Number.parseFloat((await needed.textContent()) ?? ''))
    .toBeLessThan(Number.parseFloat(before))
  await dwell.press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('Black panel was read on')

  await open(page, '/shop/heat')
  await page.getByRole('button', { name: 'Black panel as usual' }).press('Enter')
  await saved(page)
  await open(page, '/orders/O-1001/heat')
  await expect(needed).toHaveText(before)
})

test('a reading that cannot be is refused by name; one out of range says so at its place', async ({
  page,
}) => {
  await open(page, '/shop/heat')
  await page.getByRole('button', { name: 'Calibrate Quartz A' }).click()
  const sheet = page.getByRole('region', { name: 'Calibration sheet of Quartz A' })
  const film = sheet.getByRole('group', { name: 'Film after a flash 1' })
  await film.getByLabel('Flash', { exact: true }).fill('4')
  await film.getByLabel('The gun shows').fill('900')
  await expect(film.getByRole('alert')).toHaveText('The reading is too high.')
  await expect(sheet.getByRole('button', { name: 'Work it out' })).toBeDisabled()
  await film.getByLabel('The gun shows').fill('240')
  await sheet.getByLabel('Shortest flash').fill('4')
  await sheet.getByRole('button', { name: 'Work it out' }).click()
  await expect(sheet.getByRole('alert')).toContainText('Film after a flash does not fit')
  await expect(sheet.getByRole('button', { name: 'Use it' })).toHaveCount(0)
  // What is emptied was not read.
  await sheet.getByLabel('Shortest flash').fill('')
  await expect(sheet.getByRole('status')).toHaveText('1 of 3 readings written down')
  // What was written down is there when the sheet is opened again.
  await page.getByRole('button', { name: 'Calibrate Quartz A' }).click()
  await expect(sheet).toHaveCount(0)
  await page.getByRole('button', { name: 'Calibrate Quartz A' }).click()
  await expect(film.getByLabel('The gun shows')).toHaveValue('240 °C')
})

test('a tunnel is read with the probe; the film of a run follows, and undo takes it back', async ({
  page,
}) => {
  await open(page, '/shop/heat')
  await page.getByRole('button', { name: 'Calibrate Tunnel One' }).click()
  const sheet = page.getByRole('region', { name: 'Calibration sheet of Tunnel One' })
  await sheet.getByRole('button', { name: 'Another: film in the tunnel' }).click()
  await sheet.getByRole('group', { name: 'Film in the tunnel 2' }).getByLabel('Belt').fill('3')
  for (const i of [1, 2]) {
    await sheet.getByRole('button', { name: `Read: Film in the tunnel ${i}` }).click()
    await expect(
      sheet.getByRole('group', { name: `Film in the tunnel ${i}` }).getByLabel('Hottest'),
    ).toHaveValue(/°C/)
  }
  await sheet.getByRole('button', { name: 'Work it out' }).click()
  // The simulated tunnel gives 85 %.
  await expect(sheet.locator('[data-why="Heat of the tunnel"]')).toHaveText(/(8|9)\d(\.\d)?\s*%/)
  await sheet.getByRole('button', { name: 'Use it' }).click()
  await saved(page)
  await open(page, '/orders/O-1001/heat')
  await expect(page.getByText('Film, in Tunnel One as it was read')).toBeVisible()
  await open(page, '/shop/heat')
  await page.getByRole('button', { name: 'Tunnel One as usual' }).click()
  await expect(page.getByRole('button', { name: 'Tunnel One as usual' })).toHaveCount(0)
  await saved(page)
})

test('the dryer desk has every run on its tunnel with film, belt, and what changes', async ({ page }) => {
  await open(page, '/shop/heat')
  const desk = page.locator('main')
  await expect(desk.getByText('As it runs: nothing changes.').filter({ visible: true }).first()).toBeVisible()
  await expect(
    desk
      .getByText(/set points about 40 K lower/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible()
  await page.locator('[data-why="Belt of R-1007-P1-dark-poly"]').press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('Heated length')
})

test('two jobs at once: one belt for both, or why not; by key', async ({ page }) => {
  await open(page, '/shop/heat')
  const fold = page.locator('summary').filter({ hasText: 'Two jobs at once' }).first()
  await fold.focus()
  await page.keyboard.press('Enter')
  const told = page.getByRole('status', { name: 'Two jobs at once' }).first()
  await page.getByLabel('One job').first().selectOption('R-1001-P1-dark')
  await expect(told).toHaveText('')
  await page.getByLabel('and another').first().selectOption('R-1003-P1-dark')
  await expect(told).toContainText(/cures both .*belt at/)
  await expect(page.locator('[data-why="Belt for both"]')).toHaveText(/\d/)
  await page.getByLabel('and another').first().selectOption('R-1007-P1-dark-poly')
  await expect(told).toContainText(/cannot cure both at once|no belt speed/)
  await expect(page.locator('[data-why="Belt for both"]')).toHaveCount(0)
})
