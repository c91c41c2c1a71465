import { readFileSync } from 'node:fs'
import type { APIRequestContext } from '@playwright/test'
import { Document, renderToBuffer, Page as Sheet } from '@react-pdf/renderer'
import { createElement } from 'react'
import sharp from 'sharp'
import { expect, open, test } from './house'

const DOOR = '/api/orders/O-1009/films/P1'

const bring = (request: APIRequestContext, name: string, data: Buffer) =>
  request.post(`${DOOR}?name=${encodeURIComponent(name)}`, { data })

const wrong = async (request: APIRequestContext, name: string, data: Buffer) => {
  const answer = await bring(request, name, data)
  return [answer.status(), ((await answer.json()) as { wrong: string[] }).wrong[0]]
}

const png = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#fff' }, limitInputPixels: false }).png()

test('bad files are answered one by one in words, nothing is kept, and the server lives', async ({
  request,
}) => {
  expect(await wrong(request, 'none.png', Buffer.alloc(0))).toEqual([400, 'none.png: this file is empty.'])
  expect(await wrong(request, 'letter.png', Buffer.from('Dear printer'))).toEqual([
    400,
    'letter.png: This is no film that can be read: bring PNG, TIFF, SVG or PDF.',
  ])
  const huge = await png(40_000, 40_000).toBuffer()
  expect((await wrong(request, 'wall.png', huge))[1]).toContain(
    '40000 x 40000 pixels is more than can be read',
  )
  const far = Buffer.from(
    '<svg xmlns="http://www.w3.org/2000/svg"><image href="http://192.0.2.1/spy.png"/></svg>',
  )
  expect((await wrong(request, 'spy.svg', far))[1]).toContain('a reference to another file')
  const pages = Array.from({ length: 25 }, (_, i) => createElement(Sheet, { key: i, size: [100, 100] }))
  const book = await renderToBuffer(createElement(Document, {}, pages) as never)
  expect((await wrong(request, 'book.pdf', book))[1]).toContain('25 pages are more than 24')
  expect(((await (await request.get(DOOR)).json()) as { films: unknown[] }).films).toEqual([])
  expect((await bring(request, 'white.png', await png(300, 400).toBuffer())).ok()).toBe(true)
  // Nothing is on it: the picture is the cloth alone. While it is looked at the answer is one dot of the cloth, at once.
  const [blank] = ((await (await request.get(DOOR)).json()) as { films: { id: string }[] }).films
  await request.patch(`${DOOR}?film=${blank?.id}`, { data: { dpi: 100 } })
  const bare = async () =>
    (await request.get('/api/orders/O-1009/films/P1/picture?width=40&cloth=%239c4a2a')).body()
  await expect.poll(async () => (await sharp(await bare()).metadata()).width).toBe(40)
  const { data } = await sharp(await bare())
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
  expect([...data.subarray(0, 3)]).toEqual([0x9c, 0x4a, 0x2a])
  await request.delete(`${DOOR}?film=${blank?.id}`)
})

test('a film of more than 256 MB is given up while it comes in, in words, and nothing stays', async ({
  baseURL,
  request,
}) => {
  const door = '/api/orders/O-1005/films/P2'
  const piece = new Uint8Array(1024 * 1024)
  let sent = 0
  const body = new ReadableStream({
    pull(stream) {
      if (sent++ < 300) stream.enqueue(piece)
      else stream.close()
    },
  })
  const answer = await fetch(`${baseURL}${door}?name=wall.tif`, {
    method: 'POST',
    body,
    duplex: 'half',
  } as RequestInit)
  expect(answer.status).toBe(413)
  expect(await answer.json()).toEqual({ wrong: ['wall.tif: more than 256 MB. Export it at 300 dpi.'] })
  expect(((await (await request.get(door)).json()) as { films: unknown[] }).films).toEqual([])
})

test('the pages of one document come in the order of the colours, and each can be corrected', async ({
  request,
}) => {
  const sheets = [0, 1].map((i) => createElement(Sheet, { key: i, size: [200, 300] }))
  const pdf = await renderToBuffer(createElement(Document, {}, sheets) as never)
  const door = '/api/orders/O-1008/films/P1'
  const films = async () =>
    ((await (await request.get(door)).json()) as { films: { id: string; ink: string; name: string }[] }).films
  await request.post(`${door}?name=dune.pdf`, { data: pdf })
  expect((await films()).map((f) => [f.name, f.ink])).toEqual([
    ['dune.pdf, page 1', 'I1'],
    ['dune.pdf, page 2', 'I2'],
  ])
  const [first] = await films()
  await request.patch(`${door}?film=${first?.id}`, { data: { ink: '' } })
  expect((await films())[0]?.ink).toBe('')
  const bad = await request.patch(`${door}?film=${first?.id}`, { data: { dpi: 0.001 } })
  expect([bad.status(), await bad.json()]).toEqual([400, { wrong: ['Between 2 mm and 2 m, please.'] }])
  expect((await request.patch(`${door}?film=nosuch`, { data: { ink: '' } })).status()).toBe(404)
  await request.delete(`${door}?film=${first?.id}`)
  expect(await films()).toHaveLength(1)
})

test('a composite comes as a film for each of its plates, matched by their names', async ({ request }) => {
  const door = '/api/orders/O-1002/films/P2'
  const composite = readFileSync('src/formats/film/elsewhere/composite.pdf')
  expect((await request.post(`${door}?name=regatta.pdf`, { data: composite })).ok()).toBe(true)
  const { films } = (await (await request.get(door)).json()) as {
    films: { id: string; ink: string; name: string }[]
  }
  expect(films.map((f) => f.name)).toEqual([
    'regatta.pdf, Buoy red',
    'regatta.pdf, Harbour blue',
    'regatta.pdf, Black',
  ])
  expect(films.map((f) => f.ink !== '')).toEqual([true, true, true])
  for (const { id } of films) await request.delete(`${door}?film=${id}`)
})

test('a picture that is cut short is told each time it is read, and stops no other print', async ({
  request,
}) => {
  const door = '/api/orders/O-1005/films/P2'
  const noise = await sharp({
    create: {
      width: 900,
      height: 900,
      channels: 3,
      background: '#fff',
      noise: { type: 'gaussian', mean: 128, sigma: 60 },
    },
  })
    .withMetadata({ density: 300 })
    .png()
    .toBuffer()
  expect(
    (await request.post(`${door}?name=short.png`, { data: noise.subarray(0, noise.length / 2) })).ok(),
  ).toBe(true)
  for (let i = 0; i < 12; i++) {
    const lines = (await (await request.get(`${door}/reading`)).text()).trim().split('\n')
    expect(lines.map((l) => JSON.parse(l)).filter((l) => l.step === 'wrong')).toMatchObject([
      { problem: 'This picture is cut short or damaged, so it cannot be read.' },
    ])
  }
  const { films } = (await (await request.get(door)).json()) as { films: { id: string }[] }
  for (const { id } of films) await request.delete(`${door}?film=${id}`)
})

test('two tiles are known by their corner marks and become one film', async ({ page }) => {
  await open(page, '/orders/O-1005/art')
  const tile = (inside: string, corners: string) => ({
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="100mm" viewBox="0 0 90 100">${inside}
      <path d="${corners}" fill="none" stroke="#000" stroke-width="0.3"/></svg>`,
    ),
  })
  const left = tile('<rect x="10" y="40" width="70" height="30"/>', 'M72 4h8v8M72 96h8v-8')
  const right = tile('<rect x="10" y="40" width="50" height="30"/>', 'M18 4h-8v8M18 96h-8v-8')
  await page.getByLabel('Films of print P2').setInputFiles([
    { ...left, name: 'wide 1.svg' },
    { ...right, name: 'wide 2.svg' },
  ])
  const told = page.getByText('wide 1.svg and wide 2.svg are two tiles of one film')
  await expect(told).toBeVisible({ timeout: 120_000 })
  await page.getByRole('button', { name: 'Join them' }).click()
  await expect(page.locator('[data-why^="Size of wide 1 and wide 2, joined"]')).toHaveText(
    /^120(\.\d)?\s*mm × 30(\.\d)?\s*mm/,
    {
      timeout: 120_000,
    },
  )
  await expect(page.getByText('set aside, another in its place')).toHaveCount(2)
  for (const name of [/^Remove wide 1 and/, /^Remove wide 1\.svg/, /^Remove wide 2\.svg/])
    await page.getByRole('button', { name }).click()
  await expect(page.getByRole('button', { name: /^Remove wide/ })).toHaveCount(0)
})

test('a drawing without a size in millimetres is asked how high it is, and is used from then on', async ({
  page,
}) => {
  await open(page, '/orders/O-1005/art')
  const drawing =
    '<svg xmlns="http://www.w3.org/2000/svg" width="400px" height="200px"><rect width="400" height="200" y="10"/></svg>'
  await page
    .getByLabel('Films of print P2')
    .setInputFiles({ name: 'pixels.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(drawing) })
  const high = page.getByLabel('Height of pixels.svg in millimetres')
  await high.fill('100')
  await high.press('Enter')
  await expect(page.locator('[data-why="Size of pixels.svg"]')).toHaveText(/^200\s*mm × 95\s*mm/, {
    timeout: 30_000,
  })
  await page.getByRole('button', { name: 'Remove pixels.svg' }).click()
  await expect(page.getByRole('button', { name: 'Remove pixels.svg' })).toBeHidden()
})

test('questions that cannot be measured are refused in words', async ({ request }) => {
  const measure = async (data: string) => {
    const answer = await request.post(`${DOOR}/measure`, {
      data: Buffer.from(data),
      headers: { 'content-type': 'application/json' },
    })
    return [answer.status(), ((await answer.json()) as { wrong: string[] }).wrong[0]]
  }
  expect(await measure('{')).toEqual([400, 'This is no JSON.'])
  expect((await measure('{"tolerance": 3}'))[1]).toMatch(/tolerance must be less than or equal to 0.005/)
  expect((await measure('{"pushes": [{"dx": 0}]}'))[0]).toBe(400)
  expect((await request.get(`${DOOR}/tile?film=x&key=y`)).status()).toBe(400)
  expect((await request.get('/api/orders/O-1005/films/P9/picture')).status()).toBe(404)
  // Without films there is the bare cloth.
  expect((await request.get('/api/orders/O-1005/films/P1/picture')).headers()['content-type']).toBe(
    'image/png',
  )
})

test('a film that does not say its resolution is asked for it; by night the table shows no blue', async ({
  page,
}) => {
  await open(page, '/orders/O-1005/art')
  const square = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#fff' } })
    .composite([{ input: { create: { width: 300, height: 200, channels: 3, background: '#000' } } }])
    .png()
    .toBuffer()
  await page
    .getByLabel('Films of print P2')
    .setInputFiles({ name: 'orange.png', mimeType: 'image/png', buffer: square })
  const dpi = page.getByLabel('Resolution of orange.png in dpi')
  await dpi.fill('100')
  await dpi.press('Enter')
  // A quarter of the sheet is ink, all of the rectangle that the ink fills.
  await expect(page.locator('[data-why="Coverage of orange.png"]')).toHaveText(/100\s*%/, { timeout: 30_000 })
  await page.getByRole('application').focus()
  await page.keyboard.press('+')
  await expect(page.getByText('Laying out the films')).toBeHidden()
  await page.locator('body').press('s')
  await expect(page.locator('html')).toHaveClass(/safelight/)
  // All of it inside the window: what lies outside is shot as white.
  await page.locator('canvas').evaluate((e) => e.scrollIntoView({ block: 'center' }))
  const shot = await page.locator('canvas').screenshot()
  const { data } = await sharp(shot).removeAlpha().raw().toBuffer({ resolveWithObject: true })
  let [blue, red] = [0, 0]
  for (let i = 0; i < data.length; i += 3) {
    red = Math.max(red, data[i] as number)
    blue = Math.max(blue, data[i + 2] as number)
  }
  expect(red).toBeGreaterThan(40)
  expect(blue).toBeLessThanOrEqual(8)
  await page.locator('body').press('s')
  await page.getByRole('button', { name: 'Remove orange.png' }).click()
  await expect(page.getByText('Drop one file for each colour here').nth(1)).toBeVisible()
})
