import { expect, field, open, reload, saveStatus, test } from './house'

/** Field label, what is typed, the message that must stand at the field. */
const ORDER_FIELDS = [
  ['Due', '', 'When is it due?'],
  ['Job', 'x'.repeat(81), 'Job: at most 80 characters.'],
  ['Notes', 'x'.repeat(2001), 'Notes: at most 2000 characters.'],
  ['Customer', '', 'Customer is missing.'],
  ['Style', '', 'Style is missing.'],
  ['Cloth colour', '', 'Cloth colour is missing.'],
  ['Cotton', 'all', 'Not a share: type, for example, 35 %.'],
  ['Polyester', '60 %', 'The fibres are more than 100 % together.'],
  ['Weight', '5 kg', 'Not a cloth weight: type, for example, 180 g/m2 or 5.3 oz/yd2.'],
  ['Weight', '900 g/m2', 'Between 20 g/m² and 600 g/m² (0.6 oz/yd² and 17.7 oz/yd²), please.'],
  ['M', '1.5', 'A whole number of pieces.'],
  ['M', '-2', 'Not below 0.'],
  ['M', 'many', 'A whole number of pieces.'],
] as const

const ART_FIELDS = [
  ['Width', 'wide', 'Not a length: type, for example, 305 mm or 12 in.'],
  ['Width', '2 mm', 'Between 10 mm and 1200 mm (13/32 in and 47 1/4 in), please.'],
  ['Height', '', 'Not a length: type, for example, 305 mm or 12 in.'],
  ['Name', '', 'Ink is missing.'],
  ['Coverage', '120 %', 'Between 0.1 % and 100 %, please.'],
  ['Ruling, empty for flat', 'fine', 'Not a ruling: type, for example, 55 lpi.'],
  [
    'Width of the overlap of Comet blue and Harbour white',
    '1 m',
    'Between 0 mm and 50 mm (0 in and 1 15/16 in), please.',
  ],
] as const

for (const [stage, fields] of [
  ['order', ORDER_FIELDS],
  ['art', ART_FIELDS],
] as const) {
  test(`bad input at every field of ${stage}: a message there, nothing saved, nothing lost`, async ({
    page,
  }) => {
    await open(page, `/orders/O-1001/${stage}`)
    for (const [label, typed, message] of fields) {
      const box = field(page, label).first()
      const before = await box.inputValue()
      await box.fill(typed)
      await expect(page.getByText(message, { exact: true })).toBeVisible()
      await expect(box).toHaveAttribute('aria-invalid', 'true')
      await expect(box).toHaveAccessibleDescription(message)
      await expect(saveStatus(page)).toHaveText(/Not saved yet/)
      await expect(box).toHaveValue(typed)
      await box.fill(before)
      await expect(page.getByText(message, { exact: true })).toBeHidden()
      await expect(saveStatus(page)).toHaveText('Saved')
    }
    await reload(page)
    for (const [label] of fields.filter(([name]) => !name.startsWith('Ruling')))
      await expect(field(page, label).first()).not.toHaveValue('')
  })
}

test('a number in the plan that no one can read is refused at its place with an example', async ({
  page,
}) => {
  await open(page, '/orders/O-1001/heat')
  await page.locator('[data-advice="cureFilm"]').click()
  await page.getByRole('textbox', { name: 'Ink film at the cure' }).fill('hot')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'Not a temperature' })).toHaveText(
    'Not a temperature: type, for example, 160 C or 320 F.',
  )
  await page.keyboard.press('Escape')
  await expect(page.locator('[data-advice="cureFilm"]')).toHaveText('160 °C')
})

test('an unknown page and a run without a sheet say so', async ({ page }) => {
  for (const path of ['/orders/O-9999/order', '/runs/R-9999-P1-dark/sheet', '/runs/nonsense/sheet']) {
    const response = await page.request.get(path)
    expect(response.status(), path).toBe(404)
    expect(await response.text()).toContain('Nothing here')
  }
})
