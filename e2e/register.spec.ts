import type { Page } from '@playwright/test'
import { expect, open, reload, test } from './house'

/** Writes what is read at a mark. */
const typing = (page: Page) => async (mark: string, right: string, away: string) => {
  const group = page.getByRole('group', { name: `Mark ${mark}` })
  await group.getByLabel('Right +').fill(right)
  await group.getByLabel('Away +').fill(away)
}

const RUN = '/runs/R-1002-P1-dark/register'

test('register: what the marks show becomes turns, with what is left; the next round begins empty', async ({
  page,
}) => {
  await open(page, RUN)
  const main = page.locator('main')
  await expect(main).toContainText('Not yet: read how far a mark lies to the left or right.')
  const type = typing(page)
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
  await page.getByRole('button', { name: 'Turned: read again' }).press('Enter')
  await expect(main).toContainText('round 2')
  for (const mark of ['Left', 'Right', 'Top', 'Bottom'])
    await page.getByRole('button', { name: `${mark} agrees` }).press('Enter')
  await expect(page.getByRole('heading', { name: 'Leave it' })).toBeVisible()
})

test('register: a screen that has grown is told to stop turning; a wrong sign is asked about', async ({
  page,
}) => {
  await open(page, RUN)
  const type = typing(page)
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

test('register: a simulated head comes right in two rounds, its lock is read; by key', async ({ page }) => {
  await open(page, RUN)
  const main = page.locator('main')
  const press = (name: string | RegExp) => page.getByRole('button', { name }).press('Enter')
  const misses = async () =>
    Number.parseFloat(/it misses ([\d.]+) mm now/.exec((await main.textContent()) ?? '')?.[1] ?? '0')
  await page.getByLabel('Read by').selectOption('usual')
  await page.getByLabel('Read', { exact: true }).selectOption('loupe')
  const screens = await page.getByLabel('Screen', { exact: true }).locator('option').count()
  expect(screens).toBeGreaterThan(3)
  for (let i = 0; i < 4; i++) {
    await page.getByLabel('Screen', { exact: true }).selectOption({ index: i })
    await page.getByLabel('Read by').selectOption('usual')
    await expect(main).toContainText('first turn each knob ¼ back')
    await press('Read the marks')
    await expect(main).toContainText('it misses')
    expect(await misses()).toBeGreaterThan(0.2)
    for (const round of [2, 3]) {
      await press('Turned: read again')
      await expect(main).toContainText(`round ${round}`)
      await press('Read the marks')
      await expect(main).toContainText(`At the centre of the art the screen lies`)
    }
    // Under two pixels of 300 dpi after two rounds.
    expect(await misses()).toBeLessThan(0.17)
  }
  // What locking does to it is told; of a press that has not moved nothing is noted.
  await press('Locked as it lies: read again')
  await expect(main).toContainText(', locked')
  await press('Read the marks')
  await expect(main).toContainText(/Locking moved it [\d.]+ mm/)
  await expect(main).toContainText('nothing is noted of it')
  await expect(page.getByRole('button', { name: /^Note it for head/ })).toHaveCount(0)
})

test('register: how far a lock moved a screen is noted for its head, and taken back; by key', async ({
  page,
}) => {
  await open(page, RUN)
  const main = page.locator('main')
  const press = (name: string | RegExp) => page.getByRole('button', { name }).press('Enter')
  await page.getByLabel('Screen', { exact: true }).selectOption({ index: 2 })
  await expect(main).toContainText('Nothing is noted yet')
  for (const mark of ['Left', 'Right', 'Top', 'Bottom']) await press(`${mark} agrees`)
  await press('Locked as it lies: read again')
  for (const mark of ['Left', 'Right', 'Top', 'Bottom']) {
    await typing(page)(mark, '0.2', '-0.1')
  }
  await expect(main).toContainText('Locking moved it 0.2 mm right and 0.1 mm towards you')
  await press(/^Note it for head/)
  await expect(main).toContainText('learnt from 1 lock;')
  await expect(main).toContainText('not turned against that yet')
  await press('take it back')
  await expect(main).toContainText('Nothing is noted yet')
})

test('register: what is noted of a head is turned against; a slack screen is told as what it is', async ({
  page,
}) => {
  await open(page, RUN)
  const main = page.locator('main')
  await page.getByLabel('Screen', { exact: true }).selectOption({ index: 1 })
  await expect(main).toContainText('learnt from 5 locks')
  await expect(main).toContainText('go against that')
  await page.getByLabel('Read', { exact: true }).selectOption('loupe')
  // Right before it is locked is not right after.
  for (const mark of ['Left', 'Right', 'Top', 'Bottom'])
    await page.getByRole('button', { name: `${mark} agrees` }).press('Enter')
  await expect(page.locator('[data-why="Turns of the left knob"]')).toContainText('⅛ turn clockwise')
  await page.getByRole('button', { name: 'Locked as it lies: read again' }).press('Enter')
  for (const mark of ['Left', 'Right', 'Top', 'Bottom'])
    await page.getByRole('button', { name: `${mark} agrees` }).press('Enter')
  await expect(page.getByRole('heading', { name: 'Leave it' })).toBeVisible()
  await page.getByLabel('Read by').selectOption('slack')
  await page.getByRole('button', { name: 'Read the marks' }).press('Enter')
  await expect(page.getByRole('heading', { name: 'Look first, turn nothing yet' })).toBeVisible()
})

test('register: the set-up of a head is ticked step by step, timed, and taken back; by key', async ({
  page,
}) => {
  await open(page, RUN)
  const box = (name: string) => page.getByRole('checkbox', { name: new RegExp(`^${name}$`) })
  // Those of the trade and the shop’s own.
  await expect(box('Photograph the head')).toBeVisible()
  expect(await page.getByRole('checkbox').count()).toBeGreaterThanOrEqual(16)
  for (const step of ['Zero the knobs', 'Load and clamp', 'Level']) {
    await box(step).focus()
    await page.keyboard.press(' ')
    await expect(box(step)).toBeChecked()
    await page.waitForTimeout(1100)
  }
  await expect(box('Load and clamp')).toContainText(/took [1-9][\d.]*\s*s$/)
  await expect(page.locator('[data-why="Set-up so far"]')).toHaveText(/^[1-9]\d*\s*(s|min)$/)
  await page.locator('[data-why="Set-up so far"]').press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('Planned for a screen')
  // It is kept, for this screen alone.
  await reload(page)
  await expect(box('Level')).toBeChecked()
  await page.getByLabel('Screen', { exact: true }).selectOption({ index: 1 })
  await expect(box('Level')).not.toBeChecked()
  await page.getByLabel('Screen', { exact: true }).selectOption({ index: 0 })
  for (const step of ['Zero the knobs', 'Load and clamp', 'Level']) {
    await box(step).focus()
    await page.keyboard.press(' ')
    await expect(box(step)).not.toBeChecked()
  }
})

test('register: other marks and other units; a mark is dragged; which screen on which', async ({ page }) => {
  await open(page, RUN)
  const main = page.locator('main')
  await page.getByLabel('Marks', { exact: true }).selectOption('two')
  await expect(page.getByRole('group', { name: /^Mark / })).toHaveCount(2)
  await page.getByLabel('Marks', { exact: true }).selectOption('six')
  await expect(page.getByRole('group', { name: /^Mark / })).toHaveCount(6)
  // One sixty-fourth of an inch is 0.4 mm (25.4 / 64).
  await page.getByLabel('Read in').selectOption('sixtyFourths')
  const type = typing(page)
  for (const mark of ['Left', 'Right', 'Top', 'Bottom', 'Upper right', 'Lower left'])
    await type(mark, '1', '0')
  await expect(main).toContainText('the screen lies 0.4 mm to the right and 0 mm')
  // What was read stays, in whatever it is shown.
  await page.getByLabel('Read in').selectOption('fine')
  await expect(page.getByRole('group', { name: 'Mark Top' }).getByLabel('Right +')).toHaveValue('0.4 mm')
  // Dragged thirty times as far as it is.
  await page.getByLabel('Marks', { exact: true }).selectOption('four')
  const drawing = page.getByRole('img', { name: /^Marks, / })
  const mark = await drawing.locator('circle[fill="transparent"]').first().boundingBox()
  const [x, y] = [(mark?.x ?? 0) + (mark?.width ?? 0) / 2, (mark?.y ?? 0) + (mark?.height ?? 0) / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x - 20, y - 12, { steps: 4 })
  await page.mouse.up()
  const left = page.getByRole('group', { name: 'Mark Left' })
  const read = async (name: string) => Number.parseFloat(await left.getByLabel(name).inputValue())
  expect(await read('Right +')).toBeLessThan(0.1)
  expect(await read('Away +')).toBeGreaterThan(0.2)
  // The base first, all others on its print.
  const turn = page
    .getByRole('heading', { name: 'Which on which' })
    .locator('xpath=ancestor::section[1]')
    .locator('li')
  await expect(turn.first()).toContainText('Base white on its film')
  await expect(turn.nth(1)).toContainText('on the printed Base white')
  await turn.nth(2).getByRole('button').press('Enter')
  await expect(main).toContainText('lies from that of the printed Base white')
})

test('register: a knob is tried by two full turns, noted for its head, used for the next turns, and taken back; by key', async ({
  page,
}) => {
  await open(page, RUN)
  const main = page.locator('main')
  const press = (name: string | RegExp) => page.getByRole('button', { name }).press('Enter')
  await page.getByLabel('Screen', { exact: true }).selectOption({ index: 3 })
  await expect(main).toContainText('Nothing is noted of the knobs of head')
  await expect(main).toContainText('To try a knob, read the marks first.')
  for (const mark of ['Left', 'Right', 'Top', 'Bottom']) await press(`${mark} agrees`)
  await press('Side knob turned twice')
  await expect(main).toContainText('round 2')
  // A coarser thread, cut the other way: 3 mm to the left for two turns.
  for (const mark of ['Left', 'Right', 'Top', 'Bottom']) await typing(page)(mark, '-3', '0')
  await expect(main).toContainText('The turns moved it 3 mm left')
  await expect(main).toContainText('they should have moved it 2.5 mm right')
  const status = page.getByRole('status', { name: 'These turns' })
  await status.getByRole('button', { name: /^Note it for head/ }).press('Enter')
  await expect(main).toContainText(/Learnt for head \d+ \(readings: 1\)/)
  await expect(main).toContainText('is cut the other way: clockwise moves the screen to the left')
  // 3 mm too far left: the side knob goes back as it came.
  const side = page.locator('[data-why="Turns of the side knob"]')
  await expect(side).toContainText(
    /2 turns counter-clockwise|1⅞ turns counter-clockwise|2⅛ turns counter-clockwise/,
  )
  await side.press('Enter')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText(
    /Learnt for this head \(readings: 1\): 1\.(49|5|51)\d? mm a turn, clockwise moves the screen to the left/,
  )
  // Turned back it comes 2.6 mm of the 3: the rest is play.
  await press('Side knob turned back: its play')
  for (const mark of ['Left', 'Right', 'Top', 'Bottom']) await typing(page)(mark, '-0.4', '0')
  await expect(main).toContainText('The turns moved it 2.6 mm right')
  await expect(main).toContainText('Its play now lies the other way')
  await status.getByRole('button', { name: /^Note it for head/ }).press('Enter')
  await expect(main).toContainText(/\(readings: 2\)[^.]*; 1\.5 mm a turn, 0\.(3\d?|2\d) mm of play/)
  await status.getByRole('button', { name: 'take it back' }).press('Enter')
  await expect(main).toContainText('(readings: 1)')
})

test('register: where the art lies elsewhere on the screen the board is slid under it, either way round', async ({
  page,
}) => {
  await open(page, RUN)
  const main = page.locator('main')
  const planned = Number.parseFloat(/Planned: ([\d.]+)/.exec((await main.textContent()) ?? '')?.[1] ?? '')
  const field = page.getByLabel('Top mark, from the frame’s collar end')
  await field.fill(String(planned + 12))
  await expect(main).toContainText('Slide the board 12 mm towards you')
  await expect(main).toContainText('12 mm farther from the collar end')
  await page.getByLabel('The pallet').selectOption('towards')
  await expect(main).toContainText('Slide the board 12 mm away from you')
  await field.fill(String(planned - 5))
  await expect(main).toContainText('Slide the board 5 mm towards you')
  await field.fill(String(planned))
  await expect(main).toContainText('The board stays.')
})

test.describe('on a tablet, by touch alone', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } })

  test('register: read, turned, read again and locked, one hand; nothing to be scrolled sideways', async ({
    page,
  }) => {
    await open(page, RUN)
    const main = page.locator('main')
    const tap = (name: string | RegExp) => page.getByRole('button', { name }).tap()
    await page.getByLabel('Screen', { exact: true }).selectOption({ index: 4 })
    await page.getByLabel('Read by').selectOption('usual')
    await tap('Read the marks')
    await expect(main).toContainText('it misses')
    await tap('Turned: read again')
    await tap('Read the marks')
    await expect(main).toContainText('The turns moved it')
    await expect(page.getByRole('status', { name: 'These turns' })).toContainText('nothing is noted of it')
    await tap('Locked as it lies: read again')
    await tap('Read the marks')
    await expect(main).toContainText(/Locking moved it [\d.]+ mm/)
    await page.getByText('Zero the knobs').tap()
    await expect(page.getByRole('checkbox', { name: 'Zero the knobs' })).toBeChecked()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(820)
    for (const name of ['Read the marks', 'Unlocked and turned: read again'])
      expect((await page.getByRole('button', { name }).boundingBox())?.height).toBeGreaterThanOrEqual(40)
  })
})
