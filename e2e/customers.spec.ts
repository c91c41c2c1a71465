import sharp from 'sharp'
import { expect, open, reload, saveStatus, test } from './house'

test('house rules of a customer show on their orders, and a new one is copied from an earlier one', async ({
  page,
}) => {
  await open(page, '/customers')
  await page.getByRole('link', { name: 'Marram Dune Trust' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Marram Dune Trust')
  await page.getByLabel('House rules').fill('Always soft hand')
  await page.getByLabel('White is to look').selectOption({ label: 'Soft: thin, no second coat' })
  await page.getByLabel('Days from printed to due').fill('many')
  await page.getByLabel('Days from printed to due').press('Tab')
  await expect(page.getByRole('alert').filter({ hasText: 'A whole number up to 60' })).toBeVisible()
  await page.getByLabel('Days from printed to due').fill('3')
  await page.getByLabel('Days from printed to due').press('Tab')
  await expect(page.getByRole('alert').filter({ hasText: 'A whole number' })).toBeHidden()
  await reload(page)
  await expect(page.getByLabel('House rules')).toHaveValue('Always soft hand')
  await expect(page.getByLabel('Days from printed to due')).toHaveValue('3')

  await page
    .getByRole('button', { name: /new order/i })
    .first()
    .click()
  await page.waitForURL(/orders\/O-\d+\/order/)
  const customer = page.getByLabel('Customer', { exact: true })
  await expect(customer).toBeFocused()
  await customer.fill('Marram Dune Trust')
  const known = page.getByRole('group', { name: 'Known of Marram Dune Trust' })
  await expect(known).toContainText('Always soft hand')
  await known.getByRole('button', { name: /^O-1008/ }).click()
  await expect(page.getByText('180', { exact: true }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Take their white: soft' }).click()
  await expect(page.getByLabel('White is to look')).toHaveValue('soft')
  await expect(saveStatus(page)).toHaveText('Saved')
  await expect(known.getByRole('button', { name: /^O-1008/ })).toBeHidden()
})

test('words and pictures are noted on a press, lose what the camera wrote, and show on its plans', async ({
  page,
}) => {
  await open(page, '/shop')
  await page.getByRole('button', { name: 'Note on Carousel Four' }).press('Enter')
  const notes = page.getByRole('group', { name: 'Noted on Carousel Four' })
  await notes.getByLabel(/^New note on/).fill('Head 2 prints light: one turn more.')
  await notes.getByLabel(/^Pictures for/).setInputFiles({
    name: 'head.jpg',
    mimeType: 'image/jpeg',
    buffer: await sharp({ create: { width: 60, height: 40, channels: 3, background: '#555' } })
      .withExif({ IFD0: { Copyright: 'somewhere' } })
      .jpeg()
      .toBuffer(),
  })
  const picture = notes.getByRole('img')
  await expect(picture).toBeVisible()
  const kept = await (await page.request.get((await picture.getAttribute('src')) ?? '')).body()
  expect((await sharp(kept).metadata()).exif).toBeUndefined()
  await notes.getByRole('button', { name: /^Keep the note/ }).press('Enter')
  await expect(notes).toContainText('Head 2 prints light')
  await open(page, '/orders/O-1001/sequence')
  await expect(page.getByRole('group', { name: 'Noted on Carousel Four' })).toContainText(
    'Head 2 prints light',
  )
  // Taken away, it can be put back at once.
  await open(page, '/shop')
  await notes.getByRole('button', { name: /^Remove the note/ }).press('Enter')
  await expect(notes).not.toContainText('Head 2 prints light')
  await notes.getByRole('button', { name: 'Put it back' }).press('Enter')
  await expect(notes).toContainText('Head 2 prints light')
  await notes.getByRole('button', { name: /^Remove the note/ }).press('Enter')
  await expect(notes).not.toContainText('Head 2 prints light')
})

test('a quote: priced by what printing costs, with the print on its cloth, as a PDF, with numbers or without', async ({
  page,
}) => {
  await open(page, '/quotes/O-1003')
  const each = page.getByRole('button', { name: /: \d+\.\d\d$/ }).first()
  const before = Number(await each.textContent())
  await page.getByLabel('On top of costs').fill('120 %')
  await page.getByLabel('On top of costs').press('Tab')
  await expect.poll(async () => Number(await each.textContent())).toBeGreaterThan(before * 1.3)
  await page.getByLabel('For a garment').fill('4.20')
  await page.getByLabel('For a garment').press('Tab')
  await expect(page.getByRole('row', { name: /^Garments/ })).toContainText('403.20')
  await each.press('w')
  await expect(page.getByText(/on top of that, to the next cent/)).toBeVisible()
  const pdf = page.getByRole('link', { name: 'PDF, A4' })
  const answer = await page.request.get((await pdf.getAttribute('href')) ?? '')
  expect(answer.headers()['content-type']).toBe('application/pdf')
  expect((await answer.body()).subarray(0, 5).toString()).toBe('%PDF-')
  await page.getByRole('button', { name: 'Without prices' }).press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Proof')
  await expect(page.getByRole('region', { name: 'Prices' })).toBeHidden()
  expect((await page.request.get('/api/orders/O-9999/quote.pdf')).status()).toBe(404)
})
