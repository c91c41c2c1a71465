import { expect, field, open, saveStatus, test } from './house'

test('what cloth and can say is kept, and the plan heeds it', async ({ page }) => {
  await open(page, '/orders/O-1001/order')
  await page.getByRole('button', { name: 'Duplicate this order' }).press('Enter')
  await page.waitForURL(
    (url) => /\/orders\/O-\d+\/order/.test(url.pathname) && !url.pathname.includes('O-1001'),
  )
  const order = new URL(page.url()).pathname.replace(/\/order$/, '')
  await open(page, `${order}/order`)
  await field(page, 'Cotton').fill('92 %')
  await field(page, 'Elastane').fill('8 %')
  await field(page, 'Dye').selectOption({ label: 'Known to bleed' })
  await page.getByLabel('No PVC wanted on it').check()
  await expect(saveStatus(page)).toHaveText('Saved')
  await open(page, `${order}/art`)
  await expect(page.getByText('nothing beyond what is usual')).toBeVisible()
  await field(page, 'The cloth draws').selectOption({ label: 'Its light parts' })
  await page.getByText('What the cans say').click()
  await page.getByLabel('Stretches, Harbour white').check()
  await page.getByLabel('No hot gun, Harbour white').press('Space')
  await field(page, 'In the air before heat').first().fill('24 h')
  await expect(saveStatus(page)).toHaveText('Saved')
  await open(page, `${order}/art`)
  await page.getByText('What the cans say').click()
  await expect(page.getByLabel('Stretches, Harbour white')).toBeChecked()
  await expect(field(page, 'In the air before heat').first()).toHaveValue('24 h')
  await open(page, `${order}/run`)
  const told = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: 'What stands in the way' }) })
  for (const words of [
    'is known to bleed',
    'wants no PVC',
    'stretches (8 % elastane)',
    'in the air before any heat',
    'they are lost on it',
  ])
    await expect(told).toContainText(words)
})

test('what is printed before the first good one, and what goes into each screen, ask for their reasons', async ({
  page,
}) => {
  await open(page, '/orders/O-1003/run')
  await expect(page.locator('[data-opening]')).toHaveCount(4)
  await page.getByRole('button', { name: /^Test squares, prints/ }).click()
  await expect(page.getByText(/test squares to bring the screens into register/)).toBeVisible()
  await open(page, '/orders/O-1003/ink')
  await page.getByRole('button', { name: /^First load of Base white/ }).click()
  await expect(page.getByText(/to begin with/)).toBeVisible()
})

test('small prints lie together on a sheet, and a tub of emulsion tells its sensitiser', async ({ page }) => {
  await open(page, '/orders/O-1002/screens')
  await page.getByText('Several on one screen or sheet').click()
  await page.getByLabel('On', { exact: true }).selectOption({ label: 'A sheet of film, A2' })
  await expect(page.getByRole('img', { name: 'Where each print lies, to scale' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^From the left edge, Full front/ }).first()).toBeVisible()
  await open(page, '/shop/stencils')
  await page.getByLabel('Emulsion in the tub').fill('1.2 kg')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: /^Sensitiser/ })).toContainText('120')
})

test('a film that was put on otherwise moves all marks of the run', async ({ page }) => {
  await open(page, '/orders/O-1001/screens')
  const left = page.locator('[data-advice="filmLeft"]')
  const before = Number.parseFloat((await left.textContent()) ?? '')
  await left.click()
  await page.locator('main input:focus').fill(`${before + 7} mm`)
  await page.keyboard.press('Enter')
  await expect(left).toHaveText(`${before + 7} mm`)
  await expect(page.getByRole('button', { name: /^Right edge to right mark/ })).toContainText(`${before - 7}`)
  await left.focus()
  await page.keyboard.press('Backspace')
  await expect(left).toHaveText(`${before} mm`)
})
