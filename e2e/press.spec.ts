import type { BrowserContext, Page } from '@playwright/test'
import sharp from 'sharp'
import { expect, open, reload, test } from './house'
import { violations } from './violations'

const RUN = 'R-1004-P1-light'
/** Cutting the line on purpose is told by the browser too. */
test.use({
  mayFail: /ERR_INTERNET_DISCONNECTED|Failed to load resource/,
  hasTouch: true,
  actionTimeout: 30_000,
  viewport: { width: 820, height: 1180 },
})

async function release(page: Page): Promise<void> {
  await open(page, '/orders/O-1004/run')
  await page.keyboard.press('r')
  await page.getByRole('dialog').getByRole('button', { name: 'Release' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
}
const size = (page: Page, name: string) =>
  page.getByRole('button', { name: new RegExp(`^${name}: one more good one`) })
const ten = (page: Page, name: string) =>
  page.getByRole('button', { name: `${name}: ten more good ones`, exact: true })
const sending = (page: Page) => page.getByRole('status', { name: 'Sending' })
const toPrint = (page: Page) => page.getByRole('status', { name: 'Still to print' })

const part = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Parts of the run' }).getByRole('button', { name })
const step = (page: Page, name: string) => page.getByRole('checkbox', { name, exact: true })

test('a whole run by touch alone: from the code on the sheet over list, sample and count to packed sizes', async ({
  page,
  browser,
  context,
  baseURL,
}) => {
  test.setTimeout(400_000)
  await release(page)
  const code = await page.getByText('Code on the sheet:').locator('strong').textContent()
  // The code on the sheet leads to the press side.
  await open(page, `/sheets/${code}`)
  await page.getByRole('link', { name: /at the press/i }).tap()
  await expect(page.getByRole('heading', { name: 'At the press' })).toBeVisible()
  await page.getByLabel('Who works with this tablet').fill('Mara')
  await page.getByRole('button', { name: 'Begin the run' }).tap()
  await expect(page.getByRole('status', { name: 'The press' })).toHaveText('Runs')

  // The list of a head: ticked with who and when, and something set otherwise, the plan beside it.
  await page.getByLabel('List', { exact: true }).selectOption(await listNamed(page, /^Set up /))
  await step(page, 'Pinholes').tap()
  await expect(step(page, 'Pinholes')).toContainText(/\d\d:\d\d, Mara/)
  await page.getByRole('button', { name: 'Off-contact: set otherwise' }).tap()
  const other = page.getByRole('group', { name: 'Off-contact, set otherwise' })
  await other.getByLabel('Off-contact').fill('2.4 mm')
  await other.getByRole('button', { name: 'The sample wanted it' }).tap()
  await expect(step(page, 'Off-contact')).toContainText('2.4 mm')
  await expect(step(page, 'Off-contact')).toContainText('planned')

  // Square, scrap, garment; a picture loses what the camera wrote beside it.
  await part(page, 'Sample').tap()
  await page
    .getByRole('button', { name: /^Read / })
    .first()
    .tap()
  await expect(page.getByText(/^0\.\d/).first()).toBeVisible()
  await page.getByLabel('Pictures of the sample').setInputFiles({
    name: 'sample.jpg',
    mimeType: 'image/jpeg',
    buffer: await photo(),
  })
  const picture = page.getByRole('img', { name: 'Of this sample' })
  await expect(picture).toBeVisible()
  const kept = await (await page.request.get((await picture.getAttribute('src')) ?? '')).body()
  const meta = await sharp(kept).metadata()
  expect([meta.exif, meta.width, meta.height]).toEqual([undefined, 40, 60])
  for (const of of ['Test square', 'Scrap', 'First garment'])
    await page.getByRole('button', { name: `${of}: approved` }).tap()
  await expect(page.getByText('First garment: approved', { exact: true }).last()).toBeVisible()
  await expect(sending(page)).toHaveText('All sent')

  // Counted; what is spoiled is still to print, and short at once where no spare is there.
  await part(page, 'Count').tap()
  const all = Number.parseInt((await toPrint(page).textContent()) ?? '', 10)
  await ten(page, 'M').tap()
  await size(page, 'M').tap()
  await expect(toPrint(page)).toHaveText(`${all - 11} to print`)
  await page.getByRole('button', { name: 'M: one is spoiled' }).tap()
  await page.getByRole('group', { name: 'What spoiled it, M' }).getByRole('button', { name: 'Lint' }).tap()
  await expect(page.getByText('1 short unless a spare is there')).toBeVisible()
  await page.getByRole('button', { name: 'M: one more spare garment' }).tap()
  await expect(page.getByText('1 short unless a spare is there')).toBeHidden()
  await expect(toPrint(page)).toHaveText(`${all - 11} to print`)
  // A pause by its cause.
  await page.getByRole('button', { name: 'Pause' }).tap()
  await page
    .getByRole('group', { name: 'Why the press stands' })
    .getByRole('button', { name: 'Garments' })
    .tap()
  await expect(page.getByRole('status', { name: 'The press' })).toHaveText('Stands: garments')
  await page.getByRole('button', { name: 'Go on' }).tap()

  // Another tablet sees it, and both count.
  const second = await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage()
  await second.goto(`/runs/${RUN}/press`)
  await expect(toPrint(second)).toHaveText(`${all - 11} to print`)

  await expect(sending(page)).toHaveText('All sent')

  // The line is cut: what is said is kept, over a reload of the browser's own making too. Not while the page is being read anew: what
  // the framework does then is to load it, which without a line is no page at all.
  await page.waitForLoadState('networkidle')
  await context.setOffline(true)
  for (let i = 0; i < 3; i++) await size(page, 'L').tap()
  await expect(sending(page)).toContainText('Kept here: 3')
  await expect(toPrint(page)).toHaveText(`${all - 14} to print`)
  await ten(second, 'L').click()
  await expect(toPrint(second)).toHaveText(`${all - 21} to print`)
  await page.close()
  await context.setOffline(false)
  const again = await context.newPage()
  await again.goto(`/runs/${RUN}/press`)
  await expect(toPrint(again)).toHaveText(`${all - 24} to print`)
  await expect(sending(again)).toHaveText('All sent')
  await expect(toPrint(second)).toHaveText(`${all - 24} to print`)

  // Whatever was said long ago is taken back, and put back.
  await again.getByRole('button', { name: /^all \d+$/ }).tap()
  await again.getByRole('button', { name: 'Take back: +10 M good' }).tap()
  await expect(toPrint(again)).toHaveText(`${all - 14} to print`)
  await expect(toPrint(second)).toHaveText(`${all - 14} to print`)
  await again.getByRole('button', { name: 'Put back: +10 M good' }).tap()
  await expect(toPrint(second)).toHaveText(`${all - 24} to print`)

  // The lead releases another meanwhile: it is said, what differs, and nothing is lost.
  await changeAndRelease(context)
  await expect(again.getByText('The sheet in hand is out of date: revision 2 is out.')).toBeVisible()
  await again.getByRole('button', { name: 'Take revision 2' }).tap()
  await expect(again.getByText(/revision 2$/)).toBeVisible()
  await expect(toPrint(again)).toHaveText(`${all - 24} to print`)
  for (const [width, height] of [
    [390, 844],
    [1180, 820],
    [820, 1180],
  ] as const) {
    await again.setViewportSize({ width, height })
    for (const name of ['Set up', 'Sample', 'Count', 'Readings', 'End']) {
      await part(again, name).tap()
      const wide = await again.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      expect(wide, `${name}, sideways at ${width}`).toBeLessThanOrEqual(0)
      expect(await violations(again), `${name} at ${width}`).toEqual([])
      if (width !== 820) continue
      // What a gloved thumb hits: 14 mm.
      for (const button of await again.locator('main button[style*="manipulation"]').all()) {
        const box = await button.boundingBox()
        expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(53)
      }
    }
  }

  // The end: ended, packed by size.
  await part(again, 'End').tap()
  await again.getByRole('button', { name: 'End the run' }).tap()
  await expect(again.getByRole('status', { name: 'The press' })).toHaveText('Ended')
  await again.getByRole('button', { name: 'M: 11 packed' }).tap()
  await again.getByRole('button', { name: 'L: 13 packed' }).tap()
  await expect(again.getByText('11 packed ✓')).toBeVisible()
  await expect(sending(again)).toHaveText('All sent')
  await second.context().close()
})

/** The value of the list whose name begins so. */
async function listNamed(page: Page, name: RegExp): Promise<string> {
  for (const option of await page.getByLabel('List', { exact: true }).locator('option').all())
    if (name.test((await option.textContent()) ?? '')) return (await option.getAttribute('value')) ?? ''
  throw new Error(`no list ${name}`)
}

/** A picture that a camera took on its side, with where and with what. */
const photo = () =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: '#a33' } })
    .withExif({ IFD0: { Make: 'Some camera', Copyright: 'someone' }, IFD3: { GPSLatitude: '53/1 20/1 0/1' } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer()

async function changeAndRelease(context: BrowserContext): Promise<void> {
  const office = await context.newPage()
  await open(office, '/orders/O-1004/heat')
  await office.locator('[data-advice="cureFilm"]').click()
  await office.locator('main input:focus').fill('165')
  await office.keyboard.press('Enter')
  await expect(office.locator('[data-advice="cureFilm"]')).toHaveText('165 °C')
  await release(office)
  await office.close()
}

test('what is not released has no press side, and by keyboard it counts too', async ({ page }) => {
  expect((await page.goto('/runs/R-1001-P1-dark/press'))?.status()).toBe(404)
  await open(page, `/runs/${RUN}/press#count`)
  const before = await toPrint(page).textContent()
  await size(page, 'S').focus()
  await page.keyboard.press('Enter')
  await expect(toPrint(page)).not.toHaveText(before ?? '')
  await expect(sending(page)).toHaveText('All sent')
  // The run was ended by the test before.
  await page.getByRole('button', { name: /^Begin/ }).press('Enter')
  await expect(page.getByRole('status', { name: 'The press' })).toHaveText('Runs')
  // What comes round rings, is seen to by one tap, and stays so over a reload; taken back it rings again.
  const ring = page.getByRole('alert').filter({ hasText: 'Check the print' })
  for (let i = 0; i < 5; i++) await ten(page, 'S').press('Enter')
  await expect(ring).toBeVisible()
  await page.getByRole('button', { name: 'Seen to: Check the print' }).press('Enter')
  await expect(ring).toBeHidden()
  await expect(sending(page)).toHaveText('All sent')
  await reload(page)
  await expect(toPrint(page)).not.toHaveText(before ?? '')
  await expect(ring).toBeHidden()
  await page.getByRole('button', { name: 'Take back: Seen to: print checked' }).press('Enter')
  await expect(ring).toBeVisible()
  // Several at once, by their figures.
  await page.getByRole('button', { name: 'Digit 1' }).press('Enter')
  await page.getByRole('button', { name: 'Digit 2' }).press('Enter')
  await page.getByRole('button', { name: '12 good of M' }).press('Enter')
  await expect(page.getByText('+12 M good')).toBeVisible()
})

test('a head that fails at the press: the lead plans the rest without it in one tap, and back', async ({
  page,
}) => {
  await open(page, `/runs/${RUN}/press#read`)
  const head = page.getByRole('button', { name: /^Head \d+$/ }).first()
  const name = (await head.textContent())?.toLowerCase() ?? ''
  await head.press('Enter')
  await expect(head).toHaveAttribute('aria-pressed', 'true')
  await expect(sending(page)).toHaveText('All sent')
  await open(page, '/orders/O-1004/run')
  await page.getByRole('button', { name: `Plan the rest without ${name}` }).press('Enter')
  await expect(page.getByText('The plan is without it')).toBeVisible()
  await expect(page.getByRole('status', { name: 'What changes' })).toContainText(`without ${name}`)
  await page.locator('body').press('Control+z')
  await expect(page.getByRole('button', { name: `Plan the rest without ${name}` })).toBeVisible()
})

test('pictures that are none or too large are answered in words', async ({ request }) => {
  const send = (data: Buffer) => request.post('/api/photos', { data })
  const wrong = async (answer: Awaited<ReturnType<typeof send>>) => [
    answer.status(),
    (await answer.json()).wrong[0],
  ]
  expect(await wrong(await send(Buffer.from('no picture at all')))).toEqual([
    400,
    expect.stringContaining('no picture that can be read'),
  ])
  expect(await wrong(await send(Buffer.alloc(26 * 1024 ** 2)))).toEqual([
    413,
    expect.stringContaining('25 MB'),
  ])
  expect((await request.get(`/api/photos/${'0'.repeat(64)}`)).status()).toBe(404)
  expect((await request.get('/api/photos/..%2Forvint.sqlite')).status()).toBe(404)
})
