import { describe, expect, it } from 'vitest'
import { splitOrder } from '@/core/order'
import { noDecisions, plan } from '@/core/plan'
import { DEMO_SHOP, demoOrders } from '@/store/demo'
import { pagesOf } from './pdfWords.fixtures'
import { COMPUTED, quoteOf } from './quote'
import { quotePdf } from './quotePdf'

const TERMS = { markup: 0.5, garment: 4.2 }
const orderOf = (id: string) => {
  const order = demoOrders('2026-11-23').find((o) => o.id === id)
  if (!order) throw new Error(`no order ${id}`)
  return order
}
const plansOf = (id: string) => {
  const order = orderOf(id)
  return splitOrder(order).map((r) => plan(order, DEMO_SHOP, noDecisions(r.id)))
}
const quoted = (id: string, terms = TERMS) => quoteOf(orderOf(id), plansOf(id), DEMO_SHOP, terms, 'metric')
const pdfOf = async (id: string, priced: boolean) =>
  (
    await pagesOf(
      await quotePdf({
        ...{ content: quoted(id), priced, on: '2026-11-30', paper: 'A4', units: 'metric' },
        pictures: new Map(),
      }),
    )
  ).join(' ')

describe('quote and proof', () => {
  it('every run is told once, with its pieces; the total is what they and the garments come to', () => {
    const content = quoted('O-1002')
    const order = orderOf('O-1002')
    expect(content.prints.map((p) => p.runId)).toEqual(splitOrder(order).map((r) => r.id))
    const pieces = order.lines.flatMap((l) => l.sizes).reduce((sum, s) => sum + s.quantity, 0)
    expect(content.garments.reduce((sum, g) => sum + g.pieces, 0)).toBe(pieces)
    expect(content.garment).toEqual({ each: 4.2, pieces, sum: Math.round(420 * pieces) / 100 })
    const prints = content.prints.reduce((sum, p) => sum + (p.priced?.sum ?? Number.NaN), 0)
    expect(content.total).toBeCloseTo(prints + 4.2 * pieces, 6)
  })

  it('garments that the customer brings cost nothing', () => {
    const content = quoted('O-1003', { markup: 0.5, garment: 0 })
    expect(content.garment).toBeUndefined()
    expect(content.total).toBe(content.prints[0]?.priced?.sum)
  })

  it('the art is drawn in its size and inside of what is shown', () => {
    for (const id of ['O-1001', 'O-1002', 'O-1003', 'O-1010'])
      for (const { drawing, runId } of quoted(id).prints) {
        const own = plansOf(id).find((p) => p.run.id === runId)?.run.placement
        if (!drawing || !own) throw new Error('no drawing')
        const { art, room } = drawing
        expect(art.width).toBeCloseTo(own.width * 1000, 6)
        expect(art.height).toBeCloseTo(own.height * 1000, 6)
        expect(art.x).toBeGreaterThan(room.x)
        expect(art.x + art.width).toBeLessThan(room.x + room.width)
        expect(art.y).toBeGreaterThan(room.y)
        expect(art.y + art.height).toBeLessThan(room.y + room.height)
      }
  })

  it('an order without prints is a quote of nothing', () => {
    const empty = { ...orderOf('O-1003'), placements: [] }
    const content = quoteOf(empty, [], DEMO_SHOP, TERMS, 'inch')
    expect(content.prints).toEqual([])
    expect(content.total).toBeUndefined()
  })

  it('as a PDF says whose it is, for whom, what, where, in which inks, that colours are computed, and what it costs', async () => {
    const words = await pdfOf('O-1003', true)
    const content = quoted('O-1003')
    for (const part of [
      'Gannet Wharf Printroom',
      'O-1003',
      'Kittiwake Count',
      '290 mm × 350 mm',
      '30 November 2026',
    ])
      expect(words).toContain(part)
    for (const ink of content.prints[0]?.inks ?? []) expect(words).toContain(ink.name)
    expect(words).toContain(COMPUTED.slice(0, 60))
    expect(words).toContain(content.total?.toFixed(2))
  })

  it('a proof has no price in it', async () => {
    const words = await pdfOf('O-1003', false)
    expect(words).toContain('Proof')
    expect(words).not.toContain('Prices')
    expect(words).not.toContain(String(quoted('O-1003').prints[0]?.priced?.each))
  })
})
