import { BLUE, blueColours, bluest } from './blue'
import { expect, field, open, test } from './house'
import { PAGES } from './pages'
import { violations } from './violations'

/** Where a safelight is worked by, every pixel is looked at. */
const BY_SAFELIGHT = ['today', 'sequence', 'heat', 'inkRoom', 'screenRoom', 'stock', 'sheet']
/** What the room there is can change; all else is looked at once. */
const OF_SIZE = [
  'color-contrast',
  'target-size',
  'scrollable-region-focusable',
  'label',
  'button-name',
  'link-name',
  'aria-hidden-focus',
]

for (const [name, path] of Object.entries(PAGES))
  test(`${name} is accessible and fits the window at three sizes, by day, in the dark and under a safelight`, async ({
    page,
  }) => {
    await open(page, path)
    await expect(page.locator('h1')).toBeVisible()
    if (path.startsWith('/orders/O') && !/order|art$/.test(name))
      await expect(page.locator('[data-advice]').nth(1)).toBeVisible()
    if (name === 'ink') await expect(page.getByRole('heading', { name: 'The whole job' })).toBeVisible()
    // Hundreds of rows are alike.
    if (name === 'rules') await page.getByLabel('Find a rule').fill('flash')
    expect(await violations(page)).toEqual([])
    for (const [width, height] of [
      [820, 1180],
      [390, 844],
      [1280, 800],
    ] as const) {
      await page.setViewportSize({ width, height })
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      )
      expect(wide, `sideways at ${width}`).toBeLessThanOrEqual(0)
      if (width < 1280) expect(await violations(page, OF_SIZE), `at ${width}`).toEqual([])
    }
    // Where something is to be typed at once the keys are letters.
    await page
      .locator('main')
      .evaluate((el) => (el.ownerDocument.activeElement as HTMLElement | null)?.blur())
    for (const [key, mode] of [
      ['d', 'dark'],
      ['s', 'safelight'],
    ] as const) {
      await page.keyboard.press(key)
      await expect(page.locator(`html.${mode}`)).toBeAttached()
      expect(await violations(page, ['color-contrast']), mode).toEqual([])
    }
    expect(await blueColours(page)).toEqual([])
    if (BY_SAFELIGHT.includes(name)) expect(await bluest(page)).toBeLessThanOrEqual(BLUE)
  })

test('only inks and cloths have a hue', async ({ page }) => {
  await open(page, '/orders/O-1003/sequence')
  await expect(page.getByRole('list', { name: 'Lap strip' })).toBeVisible()
  const hues = await page.evaluate(() => {
    const grey = (c: string) => {
      const [r = 0, g = 0, b = 0] = (c.match(/[\d.]+/g) ?? []).map(Number)
      return Math.max(r, g, b) - Math.min(r, g, b) <= 2
    }
    return [...document.querySelectorAll<HTMLElement>('body, body *')]
      .filter((el) => !el.style.background && !(el instanceof SVGElement))
      .filter((el) =>
        [getComputedStyle(el).color, getComputedStyle(el).backgroundColor].some(
          (c) => c.startsWith('rgb') && !grey(c),
        ),
      )
      .map((el) => el.outerHTML.slice(0, 80))
  })
  expect(hues).toEqual([])
})

test('the app’s own font is used, with figures of one width', async ({ page }) => {
  await page.goto('/')
  await page.evaluate(() => document.fonts.ready)
  const { family, variant } = await page.evaluate(() => ({
    family: getComputedStyle(document.body).fontFamily,
    variant: getComputedStyle(document.body).fontVariantNumeric,
  }))
  expect(family).toContain('Archivo Variable')
  const loaded = () =>
    page.evaluate(() =>
      [...document.fonts].filter((f) => f.status === 'loaded').map((f) => f.family.replaceAll('"', '')),
    )
  await expect.poll(loaded).toContain('Archivo Variable')
  expect(variant).toContain('tabular-nums')
})

test('a page with a question asked and a mistake marked is accessible too', async ({ page }) => {
  await open(page, '/orders/O-1003/art')
  await field(page, 'Coverage').first().fill('lots')
  await expect(page.getByText('Not a share')).toBeVisible()
  expect(await violations(page)).toEqual([])
  await open(page, '/orders/O-1003/heat')
  await page.locator('[data-advice="cureFilm"]').click()
  await page.locator('main input:focus').fill('hot')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'Not a temperature' })).toBeVisible()
  expect(await violations(page)).toEqual([])
})

test('the focus can be seen on everything that takes it', async ({ page }) => {
  await open(page, '/orders/O-1001/sequence')
  await expect(page.getByRole('list', { name: 'Lap strip' })).toBeVisible()
  const unseen: string[] = []
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press('Tab')
    const seen = await page.evaluate(() => {
      const el = document.activeElement
      if (!el || el === document.body) return ''
      const { outlineStyle, outlineWidth } = getComputedStyle(el)
      return outlineStyle !== 'none' && Number.parseFloat(outlineWidth) >= 2 ? '' : el.outerHTML.slice(0, 90)
    })
    if (seen) unseen.push(seen)
  }
  expect(unseen).toEqual([])
})
