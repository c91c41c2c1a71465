import { readFileSync } from 'node:fs'
import { expect, open, test } from './house'

const csv = (...lines: string[]) => ({
  name: 'orders.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(lines.join('\r\n')),
})
const HEAD = 'Client,Deadline,Garment colour,Size,Qty'

test('orders come in from CSV: mapped, mended, previewed, all or none', async ({ page }) => {
  await open(page, '/orders/import')
  const file = page.getByLabel('File', { exact: true })
  await file.setInputFiles(
    csv(
      'Who,Deadline,Garment colour,Size,Qty',
      'Osprey Rugby,2026-12-11,Navy,M,30',
      'Osprey Rugby,2026-12-11,Mauve,L,x',
    ),
  )
  await expect(page.getByText('Say which column holds: Customer.')).toBeVisible()
  await page.getByLabel('Customer, needed').selectOption('Who')
  const report = page.getByRole('alert').filter({ hasText: 'What is wrong' })
  await expect(report.getByRole('row').nth(1)).toHaveText(/^3\s*Garment colour\s*“Mauve” is not on the shelf/)
  await expect(report.getByRole('row').nth(2)).toHaveText(
    /^3\s*Qty\s*“x” is no number: type, for example, 1250 or 0\.4\./,
  )
  await expect(page.getByRole('button', { name: /^Import/ })).toBeHidden()
  // Mended where it is told: the shelf's name for the colour, kept for the next file, and the number.
  await page.getByLabel('Garment colour, line 3, read as').fill('Navy')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Cloth colour “mauve” is Navy')).toBeVisible()
  await expect(page.getByLabel('Qty, line 3, read as')).toBeFocused()
  await page.getByLabel('Qty, line 3, read as').fill('12')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('row', { name: /Osprey Rugby/ })).toContainText('42')
  await expect(page.getByRole('button', { name: 'Import 1 order' })).toBeFocused()
  await file.setInputFiles(csv(HEAD, 'Osprey Rugby,2026-12-11,MAUVE,L,5'))
  await expect(page.getByRole('row', { name: /Osprey Rugby/ })).toContainText('Navy')
  await page.getByRole('button', { name: 'Read mauve as it is written' }).click()
  await expect(page.getByText('“MAUVE” is not on the shelf')).toBeVisible()

  await file.setInputFiles(
    csv(
      HEAD,
      'Osprey Rugby,2026-12-11,Navy,M,30',
      'Osprey Rugby,2026-12-11,Navy,L,20',
      '"Tern, Tern & Co",2026-12-12,White,S,5',
    ),
  )
  await expect(page.getByRole('row', { name: /Tern, Tern & Co/ })).toBeVisible()
  await page.getByRole('button', { name: 'Import 2 orders' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog', { name: 'Import 2 orders?' })).toBeVisible()
  await page.keyboard.press('Enter')
  await page.waitForURL('/orders')
  await expect(page.getByRole('row', { name: /Osprey Rugby/ })).toContainText('50')
})

test('days that may be two are asked about once; what was said is kept for the next file with the same head', async ({
  page,
}) => {
  await open(page, '/orders/import')
  const file = page.getByLabel('File', { exact: true })
  const own = csv('Buyer,Ship by,Shade,Sz,Qty', 'Gull Rowing,04/12/2026,Navy,XXL,6')
  await file.setInputFiles(own)
  await expect(page.getByText('may be two days: say which comes first')).toBeVisible()
  await page.getByLabel('Days are written').selectOption({ label: 'day first, 31/12/2026' })
  const row = page.getByRole('row', { name: /Gull Rowing/ })
  await expect(row).toContainText('4 Dec')
  await open(page, '/orders/import')
  await file.setInputFiles(own)
  await expect(row).toContainText('4 Dec')
  await expect(page.getByRole('button', { name: 'Import 1 order' })).toBeVisible()
})

test('ten thousand records do not freeze the page', async ({ page }) => {
  await open(page, '/orders/import')
  const rows = Array.from(
    { length: 10_000 },
    (_, i) => `Club ${Math.floor(i / 4)},2027-01-15,Navy,${['S', 'M', 'L', 'XL'][i % 4]},${i % 50}`,
  )
  await page.evaluate(() => {
    const w = window as unknown as { longest: number }
    w.longest = 0
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) w.longest = Math.max(w.longest, e.duration)
    }).observe({ type: 'longtask' })
  })
  await page.getByLabel('File', { exact: true }).setInputFiles(csv(HEAD, ...rows))
  await expect(page.getByRole('button', { name: 'Import 2,500 orders' })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('and 2,488 more')).toBeVisible()
  // A machine that shares its two cores with the server is slower than a shop's; a page that froze would take seconds.
  expect(await page.evaluate(() => (window as unknown as { longest: number }).longest)).toBeLessThan(1000)
})

test('a job file goes out and comes in as an order of its own', async ({ page, request }) => {
  const out = await request.get('/api/orders/O-1003/job')
  expect(out.headers().etag).toMatch(/^"\d+"$/)
  await open(page, '/orders/import')
  await page
    .getByLabel('File', { exact: true })
    .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: await out.body() })
  await page.getByRole('button', { name: 'Import 1 order' }).click()
  await page.keyboard.press('Enter')
  await page.waitForURL(/\/orders\/O-(?!1003)\d+\/order/)
  await expect(page.getByLabel('Customer')).toHaveValue('Kittiwake Count')
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.keyboard.press('Enter')
  await page.waitForURL('/orders')
})

test('the addresses for other programs answer as they are described', async ({ request }) => {
  const example = readFileSync('docs/formats/job.example.json', 'utf8')
  const planned = await request.post('/api/plan', {
    data: example,
    headers: { 'content-type': 'application/json' },
  })
  expect(planned.status()).toBe(200)
  expect(await planned.json()).toMatchObject({ format: 'orvint-plan', version: 1 })
  const refused = await request.post('/api/plan', { data: '{"format":"orvint-job","version":1}' })
  expect(refused.status()).toBe(400)
  expect(((await refused.json()) as { wrong: string[] }).wrong.length).toBeGreaterThan(2)
  const plan = await request.get('/api/runs/R-1001-P1-dark/plan')
  const file = await plan.json()
  expect(file).toMatchObject({ format: 'orvint-plan', run: { id: 'R-1001-P1-dark' } })
  // A plan as it is now carries what goes beside it.
  for (const part of ['prints', 'ways', 'costs', 'finishMinutes', 'ambient'])
    expect(Object.keys(file)).toContain(part)
  expect((await request.get('/api/runs/R-9999-P1-dark/plan')).status()).toBe(404)
  const pdf = await request.get('/api/runs/R-1001-P1-dark/sheet.pdf?units=inch&paper=letter')
  expect(pdf.headers()['content-type']).toBe('application/pdf')
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
  for (const name of ['orders', 'runs', 'plans']) {
    const list = await request.get(`/api/${name}.csv`)
    expect(list.headers()['content-type']).toContain('text/csv')
    expect((await list.text()).split('\r\n').length).toBeGreaterThan(10)
  }
})

test('a job is put back only over the version it was read at', async ({ request }) => {
  const read = await request.get('/api/orders/O-1006/job')
  const job = await read.text()
  const put = (match: string, body = job) =>
    request.put('/api/orders/O-1006/job', {
      data: body,
      headers: { 'if-match': match, 'content-type': 'application/json' },
    })
  const etag = read.headers().etag ?? ''
  expect((await put('')).status()).toBe(428)
  const first = await put(etag)
  expect(first.status()).toBe(200)
  const stale = await put(etag)
  expect(stale.status()).toBe(412)
  expect(stale.headers().etag).toBe(first.headers().etag)
  expect((await put(first.headers().etag ?? '', job.replace('"O-1006"', '"O-1005"'))).status()).toBe(400)
})

test('a write from a page of another site is refused', async ({ request }) => {
  const answer = await request.post('/api/archive', {
    data: '{}',
    headers: { origin: 'http://elsewhere.example' },
  })
  expect(answer.status()).toBe(403)
})

test('an archive whose ledger goes below nothing is refused, and nothing is lost', async ({ request }) => {
  const before = await (await request.get('/api/archive?as=json')).text()
  const file = JSON.parse(before)
  for (const entry of file.inkBook.stock_entry) entry.mass = -1
  const answer = await request.post('/api/archive', { data: file })
  expect(answer.status()).toBe(400)
  expect((await answer.json()).wrong[0]).toContain('Its parts do not fit together')
  expect(await (await request.get('/api/archive?as=json')).text()).toBe(before)
})

test('everything goes out as one archive and comes back the same', async ({ page, request }) => {
  const before = await (await request.get('/api/archive?as=json')).text()
  await open(page, '/shop/data')
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Open an archive' }).click()
  await (await chooser).setFiles({
    name: 'shop.json',
    mimeType: 'application/json',
    buffer: Buffer.from(before),
  })
  await expect(page.getByRole('dialog', { name: 'Replace everything by shop.json?' })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status', { name: 'Data' })).toHaveText('Everything was replaced.')
  expect(await (await request.get('/api/archive?as=json')).text()).toBe(before)
})

test('the sheet is saved as a PDF from the page', async ({ page }) => {
  await page.goto('/runs/R-1006-P1-dark/sheet')
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'PDF' }).click()
  expect((await download).suggestedFilename()).toBe('R-1006-P1-dark-draft.pdf')
})

test.describe('a file that is wrong', () => {
  test.use({ mayFail: /status of 400/ })
  test('says what is wrong with it, and nothing is taken', async ({ page }) => {
    await open(page, '/orders/import')
    await page.getByLabel('File', { exact: true }).setInputFiles({
      name: 'job.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"format":"orvint-job","version":7}'),
    })
    await page.getByRole('button', { name: 'Import 1 order' }).click()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('alert').filter({ hasText: 'version must be 1.' })).toBeVisible()
    await open(page, '/shop/data')
    const again = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Open an archive' }).click()
    await (await again).setFiles({
      name: 'bad.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"format":"orvint-archive"}'),
    })
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status', { name: 'Data' })).toContainText('version is missing')
  })
})
