import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { describe, expect, it } from 'vitest'
import { numberOf } from '@/core/advice'
import { noDecisions, plan } from '@/core/plan'
import { tilesOf } from '@/core/registration'
import { DEMO_SHOP, demoOrders } from '@/store/demo'
import { labelsPdf } from './labelsPdf'
import { palletPdf } from './palletPdf'
import { pagesOf } from './pdfWords.fixtures'
import { positionPdf } from './positionPdf'

const order = demoOrders('2026-11-24').find((o) => o.id === 'O-1001')
if (!order) throw new Error('no demo order')
const run = plan(order, DEMO_SHOP, noDecisions('R-1001-P1-dark'))

/** Lengths of the level lines on a page, in points. */
async function levelLines(pdf: Buffer, page: number): Promise<readonly number[]> {
  const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise
  const { fnArray, argsArray } = await (await doc.getPage(page)).getOperatorList()
  return fnArray.flatMap((fn: number, i: number) => {
    const box = fn === OPS.constructPath ? (argsArray[i]?.[2] as ArrayLike<number> | undefined) : undefined
    if (!box) return []
    const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = Array.from(box)
    return Math.abs(y2 - y1) < 0.01 ? [x2 - x1] : []
  })
}

describe('the film position sheet', () => {
  it('says what to measure, for every screen of the run', async () => {
    const [first = ''] = await pagesOf(await positionPdf(order, run, 'metric', 'A4'))
    for (const words of ['Top edge to top mark', '140 mm', 'Tide Observatory', 'Base white', 'print side'])
      expect(first).toContain(words)
    for (const { hit } of run.hits) expect(first).toContain(hit.name)
    const [inch = ''] = await pagesOf(await positionPdf(order, run, 'inch', 'LETTER'))
    expect(inch).toContain('5 1/2 in')
  })
  it('has as many sheets at true size as the art with its marks needs, and no page more', async () => {
    const pages = await pagesOf(await positionPdf(order, run, 'metric', 'A4'))
    // 280 x 330 with 22 mm round it on 186 x 243 mm of paper: two by two.
    expect(pages).toHaveLength(1 + tilesOf(0.324, 0.374, 0.186, 0.243).length)
    expect(pages).toHaveLength(5)
    for (const sheet of pages.slice(1)) expect(sheet).toContain('100 mm long')
  })
  // Published: a point is 1/72 inch of 25.4 mm (PDF, ISO 32000), so 100 mm are 283.465 points.
  it('draws the line to check at true size', async () => {
    for (const paper of ['A4', 'LETTER'] as const) {
      const lengths = await levelLines(await positionPdf(order, run, 'metric', paper), 2)
      expect(lengths.some((l) => Math.abs(l - 283.465) < 0.05)).toBe(true)
    }
  })
})

describe('the template for the pallet', () => {
  it('has a line for each group of sizes with its numbers, the steps, and sheets at true size', async () => {
    const pages = await pagesOf(await palletPdf(order, run, 'metric', 'A4'))
    const [first = '', ...sheets] = pages
    for (const words of [
      'Pallet template',
      'From the collar seam to the art',
      'on it',
      'no adjusters',
      '10 mm',
    ])
      expect(first).toContain(words)
    for (const group of run.placement.groups)
      expect(first).toContain(`${Math.round(numberOf(group.down) * 1000)} mm`)
    // 280 wide, 330 and the drop to the collar high, 15 mm round it, on 186 x 243 mm of paper.
    const drop = Math.max(...run.placement.groups.map((g) => numberOf(g.down)))
    expect(sheets).toHaveLength(tilesOf(0.31, 0.36 + drop, 0.186, 0.243).length)
    for (const sheet of sheets) expect(sheet).toContain('100 mm long')
    const [inch = ''] = await pagesOf(await palletPdf(order, run, 'inch', 'LETTER'))
    expect(inch).toMatch(/[\d.]+ in/)
  })
  // Published: a point is 1/72 inch of 25.4 mm (PDF, ISO 32000).
  it('draws at true size: the line to check, and the line to lay to across its sheet', async () => {
    const pdf = await palletPdf(order, run, 'metric', 'A4')
    const lengths = await levelLines(pdf, 2)
    expect(lengths.some((l) => Math.abs(l - 283.465) < 0.05)).toBe(true)
    // The whole is 310 mm wide, and so is each line; sheets cut it.
    expect(lengths.some((l) => Math.abs(l - (310 / 25.4) * 72) < 0.05)).toBe(true)
  })
})

describe('labels', () => {
  const label = (n: number) => ({
    frame: `F77-${n}`,
    colour: 'Moon yellow',
    job: 'Tide Observatory, Open nights',
    order: 'O-1001 P1',
    mesh: '77 T/cm',
    stencil: 'Dual cure, 2 coats, 27 s',
    due: '11-26',
  })
  it('carry frame, colour, job and what to do, and go on to another page when there are many', async () => {
    const pages = await pagesOf(
      await labelsPdf(
        Array.from({ length: 40 }, (_, i) => label(i + 1)),
        'A4',
      ),
    )
    expect(pages.length).toBe(2)
    for (const n of [1, 40]) expect(pages.join(' ')).toContain(`F77-${n}`)
    for (const words of ['Moon yellow', '77 T/cm', 'Dual cure, 2 coats, 27 s', '11-26'])
      expect(pages[0]).toContain(words)
  })
})
