import type { Page } from '@playwright/test'
import { expect, open, reload, test } from './house'
import { violations } from './violations'

const RUN = 'R-1001-P1-dark'
test.use({ hasTouch: true, actionTimeout: 30_000, viewport: { width: 1280, height: 800 } })

const press = (page: Page) => page.getByRole('group', { name: 'The simulated press' })
const printed = (page: Page) => page.getByRole('status', { name: 'Printed' })
/** What is drawn, as one number: another drawing is another number. */
const drawn = (page: Page) =>
  page
    .locator('canvas')
    .evaluate((c: HTMLCanvasElement) =>
      [
        ...(c.getContext('2d', { willReadFrequently: true })?.getImageData(0, 0, c.width, c.height).data ??
          []),
      ].reduce((sum, v, i) => (sum * 31 + v + i) % 1e9, 7),
    )

/** How much was ever said of the run. */
const heard = async (page: Page) =>
  ((await (await page.request.get(`/api/runs/${RUN}/record?after=0`)).json()) as { place: number }).place

test('watched: the run goes through by itself, its piece is drawn, its weak places are listed', async ({
  page,
}) => {
  await open(page, `/orders/O-1001/sequence`)
  await page.getByRole('link', { name: 'rehearse' }).click()
  await expect(page.getByRole('heading', { name: 'Rehearsal' })).toBeVisible()
  await expect(page.getByText('nothing goes into the record')).toBeVisible()
  await expect(printed(page)).toHaveText('144 of 144', { timeout: 60_000 })
  await expect(page.getByRole('heading', { name: /weak places? in this plan/ })).toBeVisible()
  await expect(page.getByRole('status', { name: 'The piece' })).toContainText('Piece 144')
  expect(await drawn(page)).not.toBe(7)
  expect(await violations(page)).toEqual([])
})

test('tried: a flash set shorter makes the ink stick on the next pieces, and one set longer again mends it', async ({
  page,
}) => {
  await open(page, `/runs/${RUN}/rehearsal#try`)
  await press(page).getByRole('button', { name: 'Ten' }).tap()
  await expect(printed(page)).toHaveText('10 of 144')
  const before = await drawn(page)
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Flash 1 to 2 s shorter' }).tap()
  await press(page).getByRole('button', { name: 'Ten' }).tap()
  await expect(page.getByRole('status', { name: 'The piece' })).toContainText('ink sticks')
  expect(await drawn(page)).not.toBe(before)
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Flash 1 to 2 s longer' }).tap()
  await press(page).getByRole('button', { name: 'Ten' }).tap()
  await expect(page.getByRole('status', { name: 'The piece' })).not.toContainText('ink sticks')
  await expect(page.getByRole('list', { name: 'Changed so far' }).getByRole('listitem')).toHaveCount(7)
})

test('learnt: a lesson failed, then passed by keyboard; kept on this device for who learns; the record hears nothing', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await open(page, `/runs/${RUN}/rehearsal#learn`)
  const before = await heard(page)
  await page.getByLabel('Who learns').fill('Mara')
  const lesson = page.getByRole('group', { name: 'Lessons' }).getByRole('button').first()
  await lesson.click()
  await page.getByRole('button', { name: 'Done: score it' }).click()
  await expect(page.getByRole('status', { name: 'Score' })).toContainText('Not yet')
  const told = (await page.getByText(/^It was: /).textContent()) ?? ''
  const cause = told.replace(/^It was: /, '').replace(/\.$/, '')
  await page.getByRole('button', { name: 'Back to the lessons' }).click()
  expect(await violations(page)).toEqual([])

  await lesson.focus()
  await page.keyboard.press('Enter')
  const call = page.getByRole('alert').filter({ hasText: 'somebody calls' })
  for (let i = 0; i < 40 && !(await call.isVisible()); i++) {
    await press(page).getByRole('button', { name: 'One piece' }).focus()
    await page.keyboard.press('Enter')
    await page.waitForTimeout(150)
  }
  await expect(call).toBeVisible()
  await page
    .getByLabel('Look', { exact: true })
    .selectOption({ label: 'Set one print aside for half a minute, then touch it (35 s)' })
  await expect(page.getByRole('list', { name: 'Looked at' })).toContainText(/still tacky|dry/)
  const it = page.getByRole('group', { name: 'It is' })
  await it.getByRole('button', { name: new RegExp(cause, 'i') }).focus()
  await page.keyboard.press('Enter')
  for (let i = 0; i < 3; i++) {
    await page.getByLabel('Do', { exact: true }).selectOption({ label: 'Flash 1 to 2 s longer' })
    await page.waitForTimeout(300)
  }
  for (let i = 0; i < 9; i++) {
    await press(page).getByRole('button', { name: 'Ten' }).click()
    await page.waitForTimeout(300)
  }
  await expect(printed(page)).toHaveText('80 of 80')
  await page.getByRole('button', { name: 'Done: score it' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status', { name: 'Score' })).toContainText('Passed')
  await page.getByRole('button', { name: 'Back to the lessons' }).click()
  await expect(lesson).toContainText(/passed with \d+/)
  await reload(page)
  await page.getByLabel('Who learns').fill('Mara')
  await expect(lesson).toContainText(/passed with \d+/)
  expect(await heard(page)).toBe(before)
})
