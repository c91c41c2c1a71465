import { expect, open, test } from './house'

test('anything is found from anywhere: order, run, ink, frame, setting, page, command', async ({ page }) => {
  const find = async (text: string, option: RegExp) => {
    await page.keyboard.press('Control+k')
    await expect(page.getByRole('combobox', { name: /^Find/ })).toBeFocused()
    await page.keyboard.type(text)
    await expect(page.getByRole('listbox').getByRole('option', { name: option }).first()).toBeVisible()
    const list = page.getByRole('listbox', { name: 'Found' })
    await expect(list.getByRole('option').first()).toHaveAttribute('aria-selected', 'true')
    const wanted = list.getByRole('option', { name: option, selected: true })
    while ((await wanted.count()) === 0) await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Enter')
  }
  await open(page, '/')
  await find('kittiwake', /^Order O-1003 Kittiwake Count/)
  await page.waitForURL('/orders/O-1003/order')
  await find('R-1002-P1-dark', /^Run R-1002-P1-dark/)
  await page.waitForURL(/\/orders\/O-1002\/run\?run=R-1002-P1-dark/)
  await find('copper', /^Ink Copper shimmer/)
  await page.waitForURL('/shop/shelf')
  await find('F90-3', /^Frame F90-3/)
  await page.waitForURL('/shop/stock')
  await find('bright white', /^Practice Bright white/)
  await page.waitForURL('/shop/method')
  await open(page, '/orders/O-1003/order')
  await find('flash after base', /^Setting Flash after Base white/)
  await page.waitForURL(/\/orders\/O-1003\/heat/)
  await expect(page.locator('[data-advice="dwell.base"]')).toBeFocused()
  await find('flash too long', /^Place Flash, film, cure/)
  await page.waitForURL('/orders/O-1003/heat')
  await find('backup', /^Place Backups/)
  await page.waitForURL('/shop/data')
  await find('pinholes', /^List Pinholes/)
  await page.waitForURL('/shop/lists')
  await find('seams of', /^Rule /)
  await page.waitForURL(/\/rules#/)
  await find('rules', /^Page Rules/)
  await page.waitForURL('/rules')
  await find('switch units', /^Do Switch units/)
  await expect(page.getByRole('button', { name: 'u inches, °F' })).toBeVisible()
  await page.keyboard.press('u')
})

test('the window of finding and of keys gives the focus back', async ({ page }) => {
  await open(page, '/orders/O-1004/screens')
  const gap = page.locator('[data-advice="offContact"]')
  await gap.focus()
  // A stroke belongs to 1/8 in: over a value it opens nothing.
  await page.keyboard.press('/')
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.keyboard.press('Control+k')
  await page.keyboard.type('zzzz')
  await expect(page.getByText('Nothing of that name.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(gap).toBeFocused()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await expect(gap).not.toBeFocused()
  await page.keyboard.press('?')
  const sheet = page.getByRole('dialog', { name: 'Keys' })
  for (const label of [
    'New order',
    'Find anything',
    'Undo',
    'Release the run',
    'Safelight',
    'Why this value?',
  ])
    await expect(sheet).toContainText(label)
  await page.keyboard.press('Escape')
  await expect(sheet).toBeHidden()
})

test('the list of orders finds while one types, and keeps the focus', async ({ page }) => {
  await open(page, '/orders')
  await page.keyboard.press('f')
  await page.keyboard.type('school')
  await expect(page.getByText('Osselby School')).toBeVisible()
  await expect(page.getByText('Kittiwake Count')).toBeHidden()
  await expect(page).toHaveURL('/orders?find=school')
  await expect(page.getByLabel('Find in this list')).toBeFocused()
  await page.keyboard.type(' of fish')
  await expect(page.getByText('No order with “school of fish”.')).toBeVisible()
})

test('every rule and model is listed, with its source, and can be found', async ({ page }) => {
  await open(page, '/rules')
  const count = page.getByRole('status', { name: 'Count' })
  await expect(count).toHaveText(/^[5-9]\d\d rules in 16 chapters$/)
  await page.getByLabel('Find a rule').focus()
  await page.keyboard.type('cool-down')
  await expect(count).not.toHaveText(/^[5-9]\d\d rules/)
  await expect(page.getByRole('row').first()).toContainText(/common practice|geometry|physics/)
})

test('numbers of lists answer why too', async ({ page }) => {
  for (const path of ['/', '/orders', '/shop/stock']) {
    await open(page, path)
    const numbers = page.locator('main [data-why]')
    expect(await numbers.count()).toBeGreaterThan(4)
    await numbers.first().focus()
    await page.keyboard.press('w')
    const answer = page.getByRole('complementary', { name: 'Why' })
    await expect(answer).toContainText(/the order|geometry|common practice|the shop's choice/)
    await page.keyboard.press('Escape')
    await expect(answer).toBeHidden()
    await expect(numbers.first()).toBeFocused()
  }
})

test('an answer tells inputs, range, source and what would change it', async ({ page }) => {
  await open(page, '/orders/O-1001/ink')
  await page.locator('[data-advice="ink.base"]').focus()
  await page.keyboard.press('w')
  const answer = page.getByRole('complementary', { name: 'Why' })
  await expect(answer).toContainText('fine from')
  await expect(answer).toContainText(/cm² of print x .+ covered x .+ laid x 144 pieces/)
  await expect(answer).toContainText('geometry')
  await expect(answer).toContainText(
    /Would change with pieces; width of the print; height of the print; coverage of the colours;.*; mesh; strokes;/,
  )
})

test('no number on a stage is without its reason', async ({ page }) => {
  for (const stage of ['screens', 'ink', 'sequence', 'placement', 'heat', 'run']) {
    await open(page, `/orders/O-1001/${stage}`)
    await expect(page.locator('main [data-advice]').first()).toBeVisible()
    // What is worked out beside the page is there too.
    if (stage === 'sequence' || stage === 'heat')
      await expect(page.getByRole('img', { name: 'Film, cloth and board of this garment' })).toBeVisible()
    // Digits that nothing answers for: not in a value, a field, a choice, the head, a name, a day or words of a reason.
    const bare = await page.locator('fieldset').evaluate((root) => {
      const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT)
      const found: string[] = []
      while (walker.nextNode()) {
        const text = walker.currentNode.textContent?.trim() ?? ''
        const parent = walker.currentNode.parentElement
        if (
          !/\d/.test(text) ||
          /^F\d+-\d+$/.test(text) ||
          parent?.closest(
            '[data-advice], [data-why], [data-cell], [data-cycle], [data-cost], [data-turn], [aria-pressed], option, svg, h2',
          )
        )
          continue
        found.push(text)
      }
      return found
    })
    const explained = [
      /^advised /,
      /^Flash \d/,
      /^F\d+-\d+$/,
      /^[\d.]+ s$/,
      /^\d+ \/h/,
      /^[A-Z].*\.$/,
      /^N\/cm$/,
      /^[\d.]+ N\/cm/,
      /^Revision/,
      /^[A-Z0-9]{5}$/,
      /^B-\d+$/,
      // How likely a finish is, over each of the finish times.
      /^(50|80|95) %$/,
      // From which garment on a dwell holds, and which garment the slider is at.
      /^from garment \d+$/,
      /^Garment \d+ of \d+$/,
      // Prints and flashes of its way round, by their numbers in the strip.
      /^\d+ [A-Za-z][^\d]*( · \d+ [A-Za-z][^\d]*)*$/,
    ]
    expect(bare.filter((t) => !explained.some((e) => e.test(t)))).toEqual([])
  }
})
