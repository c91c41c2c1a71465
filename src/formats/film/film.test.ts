import { Readable } from 'node:stream'
import { crc32, createDeflate } from 'node:zlib'
import { Document, Page, Rect, renderToBuffer, Svg } from '@react-pdf/renderer'
import { createElement } from 'react'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { readFilm, settle } from '@/core/artwork'
import { decodeFilm, filmPages } from './index'
import { CATALOG, written } from './pdf.fixtures'

/** A black square of 20 mm on a sheet of 50 mm, 300 dpi. */
const SIDE = 591
const svg = (inside = '', head = 'width="50mm" height="50mm" viewBox="0 0 50 50"') =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}<rect x="15" y="15" width="20" height="20"/></svg>`,
  )
const raw = async () => (await decodeFilm(svg(), { page: 0, width: SIDE, height: SIDE })).grey
const square = async () =>
  sharp(await raw(), { raw: { width: SIDE, height: SIDE, channels: 1 } }).withMetadata({ density: 300 })

/** A PNG with a `pHYs` chunk after its head (PNG specification, section 11.3.4.3). */
function withSizeOfPixel(png: Buffer, across: number, down: number): Buffer {
  const chunk = Buffer.alloc(21)
  chunk.writeUInt32BE(9, 0)
  chunk.write('pHYs', 4, 'latin1')
  chunk.writeUInt32BE(Math.round(across / 0.0254), 8)
  chunk.writeUInt32BE(Math.round(down / 0.0254), 12)
  chunk[16] = 1
  chunk.writeUInt32BE(crc32(chunk.subarray(4, 17)), 17)
  return Buffer.concat([png.subarray(0, 33), chunk, png.subarray(33)])
}

/** Ink of a file's first page in mm2, at 300 dpi. */
async function ink(bytes: Uint8Array, page = 0): Promise<number> {
  const image = await decodeFilm(bytes, { page, width: SIDE, height: SIDE })
  return (settle([readFilm(image, 300)]).facts[0]?.inkArea ?? 0) * 1e6
}

describe('films of every kind read alike: a square of 400 mm2 (geometry)', () => {
  it('a drawing in millimetres', async () => {
    expect(await filmPages(svg())).toMatchObject([{ size: { width: 50, height: 50 }, pixels: undefined }])
    expect(await ink(svg())).toBeCloseTo(400, -0.7)
  })

  it('PNG of 8 bits, of 1 bit, and with transparency for clear film', async () => {
    const eight = await (await square()).png().toBuffer()
    expect((await filmPages(eight))[0]?.dpi).toBeCloseTo(300, 0)
    expect(await ink(eight)).toBeCloseTo(400, -0.7)
    expect(await ink(await (await square()).png({ colours: 2 }).toBuffer())).toBeCloseTo(400, -0.7)
    const clear = await sharp({ create: { width: SIDE, height: SIDE, channels: 4, background: '#0000' } })
      .composite([{ input: { create: { width: 236, height: 236, channels: 4, background: '#000' } } }])
      .png()
      .toBuffer()
    expect(await ink(clear)).toBeCloseTo(400, -0.7)
  })

  it('TIFF of 1 bit and in process colours', async () => {
    const one = await (await square())
      .toColourspace('b-w')
      .tiff({ bitdepth: 1, compression: 'lzw' })
      .toBuffer()
    expect(await ink(one)).toBeCloseTo(400, -0.7)
    const four = await (await square()).toColourspace('cmyk').tiff().toBuffer()
    // Black of process colours is a little lighter than black: read as a scan is.
    expect(Math.abs((await ink(four)) - 400)).toBeLessThan(12)
  })

  it('a white base on nothing: ink is what is not transparent, unless someone says otherwise', async () => {
    const white = sharp({
      create: { width: SIDE, height: SIDE, channels: 4, background: '#fff0' },
    }).composite([{ input: { create: { width: 236, height: 236, channels: 4, background: '#fff' } } }])
    const drawing = Buffer.from(svg().toString().replace('<rect', '<rect fill="#fdfdf8"'))
    for (const file of [
      await white.png().toBuffer(),
      await white.tiff({ compression: 'lzw' }).toBuffer(),
      drawing,
    ]) {
      const image = await decodeFilm(file, { page: 0, width: SIDE, height: SIDE })
      expect(image.opaque).toBe(true)
      expect((settle([readFilm(image, 300)]).facts[0]?.inkArea ?? 0) * 1e6).toBeCloseTo(400, -0.7)
      const dark = await decodeFilm(file, { page: 0, width: SIDE, height: SIDE, opaque: false })
      expect(dark.grey.every((v) => v > 240)).toBe(true)
    }
  })

  it('a colour as it will print is ink, on white and on nothing; a plain grey is a tint', async () => {
    const filled = (fill: string, ground = '') =>
      svg(ground).toString().replace('<rect x="15"', `<rect fill="${fill}" x="15"`)
    const white = '<rect width="50" height="50" fill="#fff"/>'
    const png = (text: string) =>
      sharp(Buffer.from(text), { density: 300 }).resize(SIDE, SIDE).png().toBuffer()
    for (const fill of ['#e0392f', '#f1d768', '#5b9bd0'])
      for (const file of [
        Buffer.from(filled(fill)),
        Buffer.from(filled(fill, white)),
        await png(filled(fill, white)),
      ])
        expect(Math.abs((await ink(file)) - 400)).toBeLessThan(8)
    expect(Math.abs((await ink(await png(filled('#808080', white)))) - 0.5 * 400)).toBeLessThan(8)
  })

  it('half transparent ink is told, soft rims are not', async () => {
    const half = Buffer.from(svg().toString().replace('<rect', '<rect opacity="0.4"'))
    const image = await decodeFilm(half, { page: 0, width: SIDE, height: SIDE })
    expect(image.translucent).toBeCloseTo(400 / 2500, 1)
    const soft = Buffer.from(svg('<g opacity="1"/><circle cx="40" cy="40" r="6.3"/>').toString())
    expect((await decodeFilm(soft, { page: 0, width: SIDE, height: SIDE })).translucent).toBe(0)
  })

  it('turned back as it is said to lie', async () => {
    const left = Buffer.from(svg().toString().replace('x="15"', 'x="2"'))
    const how = { page: 0, width: SIDE, height: SIDE }
    const [as, back] = [await decodeFilm(left, how), await decodeFilm(left, { ...how, turn: 'mirrored' })]
    const middle = (image: typeof as) => (settle([readFilm(image, 300)]).facts[0]?.box?.x ?? 0) * 1000
    expect(middle(as)).toBeCloseTo(2, 0)
    expect(middle(back)).toBeCloseTo(28, 0)
  })

  it('a document, page by page', async () => {
    const page = (n: number) =>
      createElement(
        Page,
        { key: n, size: [141.73, 141.73] },
        createElement(
          Svg,
          { width: 141.73, height: 141.73 },
          createElement(Rect, { x: 42.5, y: 42.5, width: 56.7, height: 28.35 * n, fill: '#000' }),
        ),
      )
    const pdf = await renderToBuffer(createElement(Document, {}, [page(1), page(2)]) as never)
    const pages = await filmPages(new Uint8Array(pdf))
    expect(pages.map((p) => Math.round(p.size?.width ?? 0))).toEqual([50, 50])
    expect(await ink(new Uint8Array(pdf), 0)).toBeCloseTo(200, -1)
    expect(await ink(new Uint8Array(pdf), 1)).toBeCloseTo(400, -1)
  })

  it.each(['png', 'tiff'] as const)(
    '%s of 720 by 1440 dpi is as large as it says, and read at fewer',
    async (kind) => {
      const { data } = await sharp(await raw(), { raw: { width: SIDE, height: SIDE, channels: 1 } })
        .resize({ width: 1417, height: 2835, fit: 'fill' })
        [kind](kind === 'tiff' ? { xres: 720 / 25.4, yres: 1440 / 25.4 } : {})
        .toBuffer({ resolveWithObject: true })
      const file = kind === 'png' ? withSizeOfPixel(data, 720, 1440) : data
      const [page] = await filmPages(file)
      expect(page?.dpi).toBeCloseTo(720, 0)
      expect(page?.size?.width).toBeCloseTo(50, 1)
      expect(page?.size?.height).toBeCloseTo(50, 1)
      expect(await ink(file)).toBeCloseTo(400, -0.7)
    },
  )

  it('a file without resolution says so', async () => {
    const png = await sharp(await raw(), { raw: { width: SIDE, height: SIDE, channels: 1 } })
      .png()
      .toBuffer()
    expect(await filmPages(png)).toMatchObject([{ dpi: undefined, size: undefined, pixels: { width: SIDE } }])
    expect(await filmPages(svg('', 'viewBox="0 0 50 25"'))).toMatchObject([{ size: undefined, shape: 2 }])
  })
})

describe('bad files are refused in words', () => {
  const problem = (bytes: Uint8Array) => expect(filmPages(bytes)).rejects
  it('empty, of another kind, or with a wrong name', async () => {
    await problem(new Uint8Array()).toThrow('This file is empty.')
    await problem(Buffer.from('PK\u0003\u0004 not a film')).toThrow('This is no film')
    await problem(Buffer.from('{"svg": true}')).toThrow('This is no film')
  })

  it('cut short', async () => {
    const png = await (await square()).png().toBuffer()
    await expect(
      decodeFilm(png.subarray(0, png.length - 400), { page: 0, width: SIDE, height: SIDE }),
    ).rejects.toThrow('cut short')
    await problem(png.subarray(0, 20)).toThrow('damaged')
    await problem(Buffer.from('%PDF-1.4 nothing follows')).toThrow('damaged or cut short')
  })

  it('far too large', async () => {
    const huge = await (await square()).png().toBuffer()
    // Its head says so: width, height and their check (PNG specification, section 11.2.2).
    huge.writeUInt32BE(40_000, 16)
    huge.writeUInt32BE(9000, 20)
    huge.writeUInt32BE(crc32(huge.subarray(12, 29)), 29)
    await problem(huge).toThrow('40000 x 9000 pixels')
  })

  it.each([
    ['a script', '<script>alert(1)</script>'],
    ['a script', '<g onload="alert(1)"/>'],
    ['a reference to another file', '<image href="http://192.0.2.1/x.png"/>'],
    ['a reference to another file', '<image xlink:href="file:///etc/passwd"/>'],
    ['a reference to another file', '<style>@import "x.css";</style>'],
    ['a reference to another file', '<rect fill="url(http://192.0.2.1/#a)"/>'],
    ['foreign content', '<foreignObject/>'],
  ])('a drawing with %s', async (what, inside) => {
    await problem(svg(inside)).toThrow(`This drawing holds ${what}`)
    await expect(decodeFilm(svg(inside), { page: 0, width: SIDE, height: SIDE })).rejects.toThrow(what)
  })

  it('a drawing with entities', async () => {
    const bomb = Buffer.from(
      '<!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg" width="5mm" height="5mm"/>',
    )
    await problem(bomb).toThrow('entities')
  })
})

describe('documents that were made to harm', () => {
  it('pages that contain themselves are told', async () => {
    const loop = written([CATALOG, '<</Type/Pages/Kids[2 0 R]/Count 3>>'])
    await expect(filmPages(loop)).rejects.toThrow('damaged inside')
  })

  it('half a gigabyte packed into half a megabyte is not unpacked', async () => {
    const deflate = createDeflate()
    const zeros = Buffer.alloc(16 * 1024 ** 2)
    const packed = Buffer.concat(
      await Readable.from(Array.from({ length: 32 }, () => zeros))
        .pipe(deflate)
        .toArray(),
    )
    const stream = Buffer.concat([
      Buffer.from(`<</Length ${packed.length}/Filter/FlateDecode>>\nstream\n`),
      packed,
      Buffer.from('\nendstream'),
    ])
    const page = '<</Type/Page/Parent 2 0 R/MediaBox[0 0 99 99]/Contents 4 0 R>>'
    const bomb = written([CATALOG, '<</Type/Pages/Kids[3 0 R]/Count 1>>', page, stream])
    expect(bomb.length).toBeLessThan(1024 ** 2)
    const before = process.memoryUsage().rss
    await expect(filmPages(bomb)).rejects.toThrow('vast once it is unpacked')
    expect(process.memoryUsage().rss - before).toBeLessThan(300 * 1024 ** 2)
  })
})
