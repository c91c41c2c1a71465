import { expect, open, test } from './house'

const RUN = '/runs/R-1002-P1-dark/register'

test('register: what the marks show becomes turns, with what is left; the next round begins empty', async ({
  page,
}) => {
  await open(page, RUN)
  const main = page.locator('main')
  await expect(main).toContainText('Not yet: read how far a mark lies to the left or right.')
  const type = async (mark: string, right: string, away: string) => {
    const group = page.getByRole('group', { name: `Mark ${mark}` })
    await group.getByLabel('Right +').fill(right)
    await group.getByLabel('Away +').fill(away)
  }
  await type('Left', '0.42', '-0.18')
  await type('Right', '0.38', '0.46')
  await type('Top', '0.02', '0.15')
  await type('Bottom', '0.8', '0.12')
  const knob = (name: string) => page.locator(`[data-why="Turns of the ${name} knob"]`)
  await expect(knob('right')).toContainText('counter-clockwise')
  await expect(knob('left')).toContainText('clockwise')
  await expect(main).toContainText('the play stays taken up')
  const left = Number.parseFloat((await page.locator('[data-why="Will be left"]').textContent()) ?? '')
  expect(left).toBeLessThan(0.16)
  await knob('side').press('Enter')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('Assumed: 1.25 mm a turn')
  await page.getByRole('button', { name: 'Turned and locked: read again' }).press('Enter')
  await expect(main).toContainText('round 2')
  for (const mark of ['Left', 'Right', 'Top', 'Bottom'])
    await page.getByRole('button', { name: `${mark} agrees` }).press('Enter')
  await expect(page.getByRole('heading', { name: 'Leave it' })).toBeVisible()
})

test('register: a screen that has grown is told to stop turning; a wrong sign is asked about', async ({
  page,
}) => {
  await open(page, RUN)
  const type = async (mark: string, right: string, away: string) => {
    const group = page.getByRole('group', { name: `Mark ${mark}` })
    await group.getByLabel('Right +').fill(right)
    await group.getByLabel('Away +').fill(away)
  }
  await type('Left', '-0.6', '0')
  await type('Right', '0.6', '0')
  await type('Top', '0', '0.6')
  await type('Bottom', '0', '-0.6')
  await expect(page.locator('main')).toContainText('Stop turning: the screen has grown')
  // Who is told to stop is told no turns.
  await expect(page.getByRole('heading', { name: 'Look first, turn nothing yet' })).toBeVisible()
  await expect(page.locator('[data-why^="Turns of the"]')).toHaveCount(0)
  await type('Left', '0.1', '-0.5')
  await type('Right', '0.1', '0.5')
  await type('Top', '0.1', '0.5')
  await type('Bottom', '0.1', '0.5')
  await expect(page.locator('main')).toContainText('Check mark left')
  // What is emptied was never read.
  await type('Left', '', '')
  await expect(page.locator('main')).not.toContainText('Check mark left')
  await expect(page.getByRole('heading', { name: 'What to turn' })).toBeVisible()
  for (const mark of ['Right', 'Top', 'Bottom']) await type(mark, '', '')
  await expect(page.locator('main')).toContainText('Not yet: read how far a mark lies')
})
