import { readFileSync } from 'node:fs'
import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { readFilm, settle } from '@/core/artwork'
import { decodeFilm } from './index'
import { platedContent, processIn } from './plateContent'
import { platesOf } from './plates'

/** Two spot colours and process black, written by Ghostscript (`scripts/drawFilms.mjs`). */
const COMPOSITE = new Uint8Array(readFileSync('src/formats/film/elsewhere/composite.pdf'))
const inkOf = async (bytes: Uint8Array) => {
  const image = await decodeFilm(bytes, { page: 0, width: 709, height: 709 })
  return (settle([readFilm(image, 300, false)]).facts[0]?.inkArea ?? 0) * 1e6
}

describe('plates of a composite document', () => {
  it('each ink by itself, with its tint, by the geometry of the source', async () => {
    const plates = await platesOf(COMPOSITE)
    expect(plates.map((p) => p.name)).toEqual(['Buoy red', 'Harbour blue', 'Black'])
    const [red = 0, blue = 0, black = 0] = await Promise.all(plates.map((p) => inkOf(p.bytes)))
    expect(Math.abs(red - Math.PI * 100) / 3600).toBeLessThan(0.003)
    // Half a tint: grey, which counts by its share.
    expect(Math.abs(blue - 0.5 * 400) / 3600).toBeLessThan(0.003)
    expect(Math.abs(black - 160) / 3600).toBeLessThan(0.003)
  })

  it('several inks of one space are told apart, whichever stands where', async () => {
    const document = await PDFDocument.create()
    const { context } = document
    const page = document.addPage([170.08, 170.08])
    const tint = context.stream('{ pop pop pop 0 0 0 1 }', {
      FunctionType: 4,
      Domain: [0, 1, 0, 1, 0, 1],
      Range: [0, 1, 0, 1, 0, 1, 0, 1],
    })
    page.node.Resources()?.set(
      context.obj('ColorSpace') as never,
      context.obj({
        N: ['DeviceN', [...'ABC'].map((n) => `Ink ${n}`), 'DeviceCMYK', context.register(tint)],
      }),
    )
    const squares = ['1 0 0', '0 1 0', '0 0 1'].map(
      (t, i) => `${t} scn ${10 + 50 * i} 20 ${20 + 10 * i} 30 re f`,
    )
    page.node.set(
      context.obj('Contents') as never,
      context.register(context.stream(`/N cs ${squares.join(' ')}`)),
    )
    const plates = await platesOf(await document.save())
    expect(plates.map((p) => p.name)).toEqual(['Ink A', 'Ink B', 'Ink C'])
    const point = (25.4 / 72) ** 2
    for (const [i, plate] of plates.entries())
      expect(Math.abs((await inkOf(plate.bytes)) - (20 + 10 * i) * 30 * point)).toBeLessThan(3)
  })

  it('what is not plates alone is left to be read by pages', async () => {
    const document = await PDFDocument.create()
    document.addPage([100, 100]).drawRectangle({ x: 10, y: 10, width: 30, height: 30 })
    expect(await platesOf(await document.save())).toEqual([])
    expect(await platesOf(new Uint8Array([1, 2, 3]))).toEqual([])
    expect(await platesOf(COMPOSITE.subarray(0, 900))).toEqual([])
  })
})

describe('colours of a content stream', () => {
  it('process inks that are used; grey is black; a true colour is none', () => {
    expect(processIn('0 0.5 0 0 k 1 1 re f 0.2 g')).toEqual([1, 3])
    expect(processIn('0.3 0.3 0.3 rg')).toEqual([3])
    expect(processIn('1 0 0 rg')).toBe('other')
    expect(processIn('/DeviceRGB cs 1 0 0 sc')).toBe('other')
    expect(processIn('q 1 0 0 1 0 0 cm Q')).toEqual([])
  })
  it('strings and pictures are not taken for colours, and all else stays', () => {
    const text = 'BT (0 0 0 1 k \\) still) Tj ET'
    expect(processIn(text)).toEqual([])
    expect(platedContent(text, 0).replace(/\n/g, ' ')).toBe(text)
    expect(platedContent('0.25 0 0 0 k 1 2 m', 0).replace(/\n/g, ' ')).toBe('0.75 g 1 2 m')
    expect(platedContent('0.25 0 0 0 K 1 2 m', -1).replace(/\n/g, ' ')).toBe('1 G 1 2 m')
    expect(processIn('BI /IM true ID 0 0 0 1 k EI Q')).toEqual([])
  })
})
