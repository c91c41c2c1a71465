import { type PDFiumDocument, PDFiumLibrary } from '@hyzyla/pdfium'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { noDecisions, plan } from '@/core/plan'
import { DEMO_SHOP, demoOrders } from '@/store/demo'
import { positionPdf } from '../positionPdf'
import { decodeFilm, filmPages } from './index'
import { onePage } from './pdf.fixtures'

// Outside: PDFium, another reader of PDF by other hands, and ISO 32000 where the two could share a mistake.
let pdfium: PDFiumLibrary
beforeAll(async () => {
  pdfium = await PDFiumLibrary.init()
})
afterAll(() => pdfium.destroy())

interface Grey {
  readonly width: number
  readonly height: number
  readonly grey: Uint8Array
}

/** What is dark on a picture: left, top, right and bottom of it in pixels. */
function darkBox({ width, height, grey }: Grey): readonly [number, number, number, number] {
  let [left, top, right, bottom] = [width, height, 0, 0]
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if ((grey[y * width + x] as number) < 128) {
        left = Math.min(left, x)
        right = Math.max(right, x + 1)
        top = Math.min(top, y)
        bottom = Math.max(bottom, y + 1)
      }
  return [left, top, right, bottom]
}

async function opened<T>(bytes: Uint8Array, look: (document: PDFiumDocument) => Promise<T>): Promise<T> {
  const document = await pdfium.loadDocument(bytes)
  return look(document).finally(() => document.destroy())
}

/** A page as PDFium draws it: every fourth byte of blue, green, red and alpha. */
const drawnBy = (bytes: Uint8Array, page: number, scale: number): Promise<Grey> =>
  opened(bytes, async (document) => {
    const { width, height, data } = await document.getPage(page).render({ scale, render: 'bitmap' })
    return {
      width,
      height,
      grey: Uint8Array.from({ length: width * height }, (_, i) => data[4 * i + 1] as number),
    }
  })

describe('films in PDF, read by a second reader', () => {
  const page = fc.record({
    media: fc.tuple(fc.integer({ min: -200, max: 200 }), fc.integer({ min: -200, max: 200 })),
    size: fc.tuple(fc.integer({ min: 200, max: 900 }), fc.integer({ min: 200, max: 900 })),
    crop: fc.option(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }))),
    turn: fc.constantFrom(0, 90, 180, 270),
    stretch: fc.double({ min: 0.5, max: 1.5, noNaN: true }),
  })
  it('sees the same size and the same ink at the same place on any page (property)', async () => {
    await fc.assert(
      fc.asyncProperty(page, async ({ media: [x, y], size: [w, h], crop, turn, stretch }) => {
        const kept = crop ? `/CropBox[${x + crop[0]} ${y + crop[1]} ${x + w} ${y + h}]` : ''
        const bytes = onePage(
          `/MediaBox[${x} ${y} ${x + w} ${y + h}]${kept}/Rotate ${turn}`,
          `q ${stretch.toFixed(4)} 0 0 ${stretch.toFixed(4)} ${x + 80} ${y + 90} cm 0 g 0 0 50 30 re f Q`,
        )
        const size = (await filmPages(bytes))[0]?.size ?? { width: 0, height: 0 }
        const theirs = await opened(bytes, async (d) => d.getPage(0).getOriginalSize())
        // A point is 1/72 inch of 25.4 mm (ISO 32000).
        expect(size.width / (25.4 / 72)).toBeCloseTo(theirs.originalWidth, 1)
        expect(size.height / (25.4 / 72)).toBeCloseTo(theirs.originalHeight, 1)
        const picture = await drawnBy(bytes, 0, 2)
        const box = darkBox(
          await decodeFilm(bytes, { page: 0, width: picture.width, height: picture.height }),
        )
        // 2 pixels to the point; the edge of a shape may fall to either of two pixels.
        for (const [i, edge] of darkBox(picture).entries())
          expect(Math.abs(edge - (box[i] as number))).toBeLessThanOrEqual(1)
      }),
      { numRuns: 15 },
    )
  })
  it('the unit of a page is its own where it says so (ISO 32000, UserUnit)', async () => {
    const bytes = onePage('/MediaBox[0 0 500 400]/UserUnit 2', '0 g 100 100 50 30 re f')
    const [first] = await filmPages(bytes)
    expect(first?.size?.width).toBeCloseTo((1000 * 25.4) / 72, 3)
    expect(first?.size?.height).toBeCloseTo((800 * 25.4) / 72, 3)
  })
})

describe('the film position sheet, read by a second reader', () => {
  const order = demoOrders('2026-11-24').find((o) => o.id === 'O-1001')
  if (!order) throw new Error('no demo order')
  const run = plan(order, DEMO_SHOP, noDecisions('R-1001-P1-dark'))

  it.each([
    ['A4', 210, 297],
    ['LETTER', 215.9, 279.4],
  ] as const)(
    '%s: the sheet is as large as the paper, the line to check 100 mm',
    async (paper, wide, high) => {
      const bytes = new Uint8Array(await positionPdf(order, run, 'metric', paper))
      const sizes = await opened(bytes, async (d) => [...d.pages()].map((p) => p.getOriginalSize()))
      expect(sizes.length).toBeGreaterThan(2)
      for (const size of sizes) {
        expect(Math.abs((size.originalWidth * 25.4) / 72 - wide)).toBeLessThan(0.5)
        expect(Math.abs((size.originalHeight * 25.4) / 72 - high)).toBeLessThan(0.5)
      }
      const scale = 4
      const { width, grey, height } = await drawnBy(bytes, 1, scale)
      // The longest unbroken dark row in the head of the sheet is the line to check.
      let longest = 0
      for (let y = 0; y < height / 12; y++)
        for (let x = 0, run = 0; x < width; x++) {
          run = (grey[y * width + x] as number) < 128 ? run + 1 : 0
          longest = Math.max(longest, run)
        }
      expect(((longest / scale) * 25.4) / 72).toBeGreaterThan(99.8)
      expect(((longest / scale) * 25.4) / 72).toBeLessThan(100.5)
    },
  )
})
