import type { Page } from '@playwright/test'
import { expect, open, saveStatus, test } from './house'

const value = (page: Page, key: string) => page.locator(`[data-advice="${key}"]`)
const why = (page: Page) => page.getByRole('complementary', { name: 'Why' })

/** Overrides a number in place and waits for it to stand. */
async function override(page: Page, key: string, typed: string, shown: string) {
  await value(page, key).click()
  await page.locator('main input:focus').fill(typed)
  await page.keyboard.press('Enter')
  await expect(value(page, key)).toHaveText(shown)
}

test('screens: mesh, frame and film for each, why each mesh', async ({ page }) => {
  await open(page, '/orders/O-1006/screens')
  const rows = page.getByRole('row')
  await expect(rows).toHaveCount(4)
  await expect(rows.nth(2)).toContainText(/Copper shimmer\s*43\sT\/cm\s*110\stpi\s*153\sµm\s*F43-1/)
  await value(page, 'mesh.I1').press('w')
  await expect(why(page)).toContainText('fine from 24 T/cm to 43 T/cm')
  await expect(why(page)).toContainText('a finer mesh would sieve the flakes out, no shimmer')
  await expect(why(page)).toContainText('common practice')
  await page.keyboard.press('Escape')
  await expect(why(page)).toBeHidden()
})

test('screens: the frame that the screen room gives, though another job alone would take it', async ({
  page,
}) => {
  type Given = Record<string, { frame?: string; why: { rule: string }[] }>
  const roomOf = async (id: string) =>
    (await (await page.request.get(`/api/orders/${id}/frames`)).json()) as Given
  const isLater = (r: Given[string]) => r.frame !== undefined && r.why.some((w) => w.rule === 'FRAME_GIVEN')
  // Which job comes after another for the same mesh depends on the day of the week.
  let id = ''
  let room: Given = {}
  for (const n of [1003, 1001, 1002, 1004, 1006, 1007]) {
    id = `O-${n}`
    room = await roomOf(id)
    if (Object.values(room).some(isLater)) break
  }
  const later = Object.entries(room).find(([, r]) => isLater(r))
  expect(later).toBeDefined()
  const print = later?.[0].split('.')[0]
  await open(page, `/orders/${id}/screens`)
  const ofPrint = Object.entries(room).filter(([key]) => key.startsWith(`${print}.`))
  for (const [key, { frame = 'none left' }] of ofPrint) {
    const hit = page.getByRole('row').filter({ has: value(page, `mesh.${key.split('.')[1]}`) })
    await expect(hit).toContainText(frame)
  }
  await page.getByRole('button', { name: later?.[1].frame ?? 'none left' }).click()
  await expect(why(page)).toContainText('are taken by jobs that print earlier')
})

test('ink: a base taken away takes its screen and flash away, and comes back with one key', async ({
  page,
}) => {
  await open(page, '/orders/O-1007/ink')
  await value(page, 'base.I1').focus()
  await page.keyboard.press('w')
  await expect(why(page)).toContainText('White on coloured cloth always has white under it.')
  await expect(value(page, 'ink.base')).toBeVisible()
  for (const ink of ['I1', 'I2']) await value(page, `base.${ink}`).selectOption('none')
  await expect(value(page, 'ink.base')).toBeHidden()
  await expect(value(page, 'white')).toHaveValue('none')
  for (const ink of ['I1', 'I2']) {
    await value(page, `base.${ink}`).focus()
    await page.keyboard.press('Backspace')
  }
  await expect(value(page, 'ink.base')).toBeVisible()
})

test('ink: how each colour should look, with and without white under it', async ({ page }) => {
  await open(page, '/orders/O-1001/ink')
  const yellow = page.getByRole('row').filter({ has: page.locator('[data-why^="Look of Moon yellow"]') })
  await expect(yellow).toContainText(/off.*(visible|match)\s*planned/)
  await page.locator('[data-why="Look of Moon yellow, on one base"]').press('w')
  await expect(why(page)).toContainText('from the same deposits on white (CIEDE2000)')
  await expect(why(page)).toContainText('no print was measured')
  const numbers = await yellow.locator('[data-why]').allTextContents()
  const [direct = 0, based = 0, twice = 0] = numbers.map((t) => Number.parseFloat(t))
  expect(direct).toBeGreaterThan(based)
  expect(based).toBeGreaterThan(twice)
})

test('strokes: each setting of a hit can be the lead’s own', async ({ page }) => {
  await open(page, '/orders/O-1010/sequence')
  await value(page, 'squeegee.I1').selectOption('80')
  await value(page, 'pressure.I1').selectOption('firm')
  await value(page, 'flood.I1').selectOption('slow')
  await value(page, 'direction').selectOption('pull')
  await override(page, 'angle.I1', '18', '18°')
  await override(page, 'time.I1', '1.5 s', '1.5 s')
  await override(page, 'strokes.I1', '2', '2')
  await expect(page.getByText('7 choices of your own')).toBeVisible()
  await expect(why(page)).toContainText('Your choice. Advised: 1')
  await page.goto('/runs/R-1010-P1-in-between/sheet')
  const row = page.getByRole('row').filter({ hasText: 'Pennant red' })
  await expect(row).toContainText(/2\s*80\s*18°\s*firm\s*1.5 s\s*slow/)
  await open(page, '/orders/O-1010/sequence')
  const back = page.getByRole('button', { name: /take back/ })
  await expect(back).toHaveCount(7)
  for (let left = 6; left >= 0; left--) {
    await back.first().click()
    await expect(back).toHaveCount(left)
  }
  await expect(page.getByText(/of your own/)).toBeHidden()
})

test('placement: the art on every size, adults and kids apart, to scale, in either unit', async ({
  page,
}) => {
  await open(page, '/orders/O-1010/placement')
  await expect(value(page, 'down.adult')).toHaveText('114 mm')
  await expect(value(page, 'down.kids')).toHaveText('96 mm')
  const art = page.getByRole('slider', { name: 'Art, adult' })
  const top = () => art.locator('rect').getAttribute('y')
  expect(Number(await top())).toBeCloseTo(114, 5)
  for (const size of ['12-13', 'S', 'M', 'L'])
    await expect(page.getByRole('button', { name: new RegExp(`^Size ${size} `) })).toBeVisible()
  await override(page, 'down.adult', '4 in', '101.6 mm')
  expect(Number(await top())).toBeCloseTo(101.6, 5)
  await expect(page.getByText('advised is 102 mm to 127 mm').first()).toBeVisible()
  await page.getByRole('button', { name: /take back/ }).click()
  await expect(value(page, 'down.adult')).toHaveText('114 mm')
  // By keys, by a hundredth, and the kids for themselves; each is undone for itself.
  await art.press('ArrowUp')
  await expect(value(page, 'down.adult')).toHaveText('113 mm')
  await art.press('Shift+ArrowDown')
  await expect(value(page, 'down.adult')).toHaveText('123 mm')
  await page.getByRole('button', { name: /^Size 12-13 / }).press('Enter')
  await page.getByRole('slider', { name: 'Art, kids' }).press('ArrowDown')
  await expect(value(page, 'down.kids')).toHaveText('97 mm')
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z')
  await expect(value(page, 'down.kids')).toHaveText('96 mm')
  await expect(value(page, 'down.adult')).toHaveText('114 mm')
  // Dragged near to a line of the pallet it jumps onto it.
  const kids = page.getByRole('slider', { name: 'Art, kids' })
  const box = await kids.boundingBox()
  const mm = (box?.height ?? 0) / Number(await kids.locator('rect').getAttribute('height'))
  await page.mouse.move((box?.x ?? 0) + 40, (box?.y ?? 0) + 40)
  await page.mouse.down()
  await page.mouse.move((box?.x ?? 0) + 40, (box?.y ?? 0) + 40 - 9 * mm, { steps: 4 })
  await page.mouse.up()
  await expect(value(page, 'down.kids')).toHaveText('89 mm')
  await page.keyboard.press('Control+z')
  await expect(value(page, 'down.kids')).toHaveText('96 mm')
  const link = page.getByRole('link', { name: 'Pallet template (PDF)' })
  const template = await page.request.get((await link.getAttribute('href')) ?? '')
  expect(template.headers()['content-type']).toBe('application/pdf')
  expect((await template.body()).subarray(0, 5).toString()).toBe('%PDF-')
  expect((await page.request.get('/api/runs/R-9999-P1-dark/pallet.pdf')).status()).toBe(404)
})

test('placement: a corner of the hem is laid by it, and goes to the side that the hand goes', async ({
  page,
}) => {
  await open(page, '/orders/O-1004/art')
  await page.getByLabel('Where', { exact: true }).first().selectOption('Hem corner')
  await expect(saveStatus(page)).toHaveText('Saved')
  await open(page, '/orders/O-1004/placement')
  await expect(value(page, 'side')).toHaveText('140 mm')
  const art = page.getByRole('slider', { name: /^Art, / })
  const left = async () => Number(await art.locator('rect').getAttribute('x'))
  const was = await left()
  // The hem lies away from the loader: the wearer's left is on the left.
  expect(was).toBeLessThan(-140)
  await art.press('ArrowRight')
  await expect(value(page, 'side')).toHaveText('139 mm')
  expect(await left()).toBeCloseTo(was + 1, 5)
  await page.keyboard.press('Control+z')
  await expect(value(page, 'side')).toHaveText('140 mm')
  await open(page, '/orders/O-1004/art')
  await page.getByLabel('Where', { exact: true }).first().selectOption('Sleeve')
  await expect(saveStatus(page)).toHaveText('Saved')
  await open(page, '/orders/O-1004/placement')
  await expect(page.getByRole('group', { name: /^Print on a sleeve of size/ })).toBeVisible()
  await expect(page.getByText(/do not go over a pallet/).first()).toBeVisible()
})

test('placement: how far it follows the garment is the shop’s school, and a job’s own', async ({ page }) => {
  await open(page, '/orders/O-1001/placement')
  await expect(value(page, 'down.adult')).toHaveText('70 mm')
  await page.getByLabel('Other sizes').selectOption('full')
  await expect(value(page, 'down.S-to-XL')).toBeVisible()
  await value(page, 'down.S-to-XL').press('w')
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText(
    'none of them is off by more than',
  )
  await page.getByLabel('Other sizes').selectOption('fixed')
  await expect(value(page, 'down.adult')).toHaveText('70 mm')
})

test('heat: the belt follows the dwell and the dryer', async ({ page }) => {
  await open(page, '/orders/O-1008/heat')
  await expect(page.getByText('Nothing here has to dry between two screens.')).toBeVisible()
  await expect(value(page, 'cureDwell')).toHaveText('120 s')
  await expect(value(page, 'belt')).toHaveText('1.2 m/min')
  await value(page, 'dryer').selectOption('two')
  await expect(value(page, 'belt')).toHaveText('0.6 m/min')
  await override(page, 'cureDwell', '90', '90 s')
  await expect(value(page, 'belt')).toHaveText('0.8 m/min')
  await expect(page.getByText('Never leave a running flash')).toBeVisible()
  await page.getByRole('button', { name: /Time in the dryer: take back/ }).click()
  await page.getByRole('button', { name: /Dryer: take back/ }).click()
  await expect(value(page, 'belt')).toHaveText('1.2 m/min')
})

test('run: rough time as a range, what stands in the way, pieces by size', async ({ page }) => {
  await open(page, '/orders/O-1004/run')
  await expect(page.getByText('From start to last piece')).toBeVisible()
  await expect(page.locator('main')).toContainText(/\d+\smin – \d+\smin/)
  await expect(page.locator('main')).toContainText(
    '4 screens at 120 T/cm are wanted and 3 clean frames have it: too few.',
  )
  await expect(page.getByRole('row', { name: /Light tee, White/ })).toContainText('S 50M 100L 100XL 50')
  await value(page, 'rate').press('w')
  await expect(why(page)).toContainText('never timed in this shop')
  await expect(why(page)).toContainText('The belt takes at most 227 /h')
})

test('the digits go to the stages, and the runs of an order keep the stage', async ({ page }) => {
  await open(page, '/orders/O-1002/order')
  for (const [digit, name] of [
    'Order',
    'Art',
    'Screens',
    'Ink',
    'Sequence',
    'Placement',
    'Heat',
    'Run',
  ].entries()) {
    await page.keyboard.press(String(digit + 1))
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(name)
  }
  await page.keyboard.press('4')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Ink')
  await page
    .getByRole('navigation', { name: 'Runs' })
    .getByLabel('Run, one of 4')
    .selectOption({ label: 'Full front adult, dark cloth, 80' })
  await expect(page).toHaveURL(/\/ink\?run=R-1002-P1-dark/)
  await expect(page.getByRole('heading', { name: 'Base under each colour on Navy' })).toBeVisible()
})

test('which colour lies over which is said at the art and obeyed; a gap is judged; a rise is chosen', async ({
  page,
}) => {
  await open(page, '/orders/O-1001/order')
  await page.getByRole('button', { name: 'Duplicate this order' }).press('Enter')
  await page.waitForURL(
    (url) => /\/orders\/O-\d+\/order/.test(url.pathname) && !url.pathname.includes('O-1001'),
  )
  const order = new URL(page.url()).pathname.replace(/\/order$/, '')
  const strip = page.getByRole('list', { name: 'Lap strip' })
  const after = async (first: string, then: string) => {
    await expect(strip).toContainText(then)
    const text = (await strip.textContent()) ?? ''
    return text.indexOf(first) < text.indexOf(then)
  }
  const meeting = page.getByLabel('Comet blue and Harbour white', { exact: true })
  for (const [over, under] of [
    ['Comet blue', 'Harbour white'],
    ['Harbour white', 'Comet blue'],
  ] as const) {
    await open(page, `${order}/art`)
    await meeting.selectOption({ label: `${over} over ${under}` })
    await expect(saveStatus(page)).toHaveText('Saved')
    await open(page, `${order}/sequence`)
    await expect.poll(() => after(under, over)).toBe(true)
  }
  await open(page, `${order}/art`)
  await meeting.selectOption({ label: 'gap, meant' })
  const width = page.getByLabel('Width of the gap of Comet blue and Harbour white')
  await expect(width).toHaveValue('0.5 mm')
  await width.fill('0.1 mm')
  await expect(saveStatus(page)).toHaveText('Saved')
  await page.getByRole('button', { name: /^Open in this run: 1 Watch/ }).click()
  await expect(
    page.getByText(/A gap of 0\.1 mm is left between Comet blue and Harbour white/).first(),
  ).toBeVisible()

  // Raised as high as it goes: the most open mesh that the shop has, and a coat more.
  await open(page, '/orders/O-1005/screens?run=R-1005-P2-dark')
  await expect(value(page, 'coats.I2')).toHaveText('6')
  const run = value(page, 'rise.I2')
  await run.selectOption({ label: 'Rises as high as it goes' })
  await expect(value(page, 'coats.I2')).toHaveText('7')
  await run.selectOption({ label: 'Rises as usual' })
  await expect(saveStatus(page)).toHaveText('Saved')
})
