import { describe, expect, it } from 'vitest'
import { splitOrder, type Where } from '@/core/order'
import { lapStripShape, noDecisions, palletShape, plan } from '@/core/plan'
import { DEMO_SHOP, demoOrders } from '@/store/demo'

const planOf = (orderId: string, where?: Where) => {
  const found = demoOrders('2026-11-23').find((o) => o.id === orderId)
  const order =
    found && where ? { ...found, placements: found.placements.map((p) => ({ ...p, where })) } : found
  const [run] = order ? splitOrder(order) : []
  if (!order || !run) throw new Error(`no order ${orderId}`)
  return plan(order, DEMO_SHOP, noDecisions(run.id))
}

describe('the lap strip', () => {
  const p = planOf('O-1003')
  const { cells, tallest } = lapStripShape(p)
  it('has a cell for every place, and ink only ever added', () => {
    expect(cells).toHaveLength(10)
    const counts = cells.map((c) => c.layers.length)
    expect(counts).toEqual([1, 1, 1, 2, 3, 4, 4, 5, 5, 6])
  })
  it('lays colours on the base, side by side, to scale', () => {
    const last = cells.at(-1)?.layers ?? []
    const base = last.find((l) => l.hitId === 'base')
    const film = (id: string) => p.hits.find((h) => h.hit.id === id)?.deposit?.advised ?? 0
    for (const id of ['I1', 'I2', 'I3', 'I4']) {
      const layer = last.find((l) => l.hitId === id)
      expect(layer?.bottom).toBeCloseTo(base?.top ?? -1, 12)
      expect((layer?.top ?? 0) - (layer?.bottom ?? 0)).toBeCloseTo(film(id), 12)
    }
    expect(last.find((l) => l.hitId === 'I5')?.bottom).toBe(0)
    const tops = last.filter((l) => l.hitId !== 'base').sort((a, b) => a.from - b.from)
    for (const [i, l] of tops.slice(1).entries())
      expect(l.from).toBeGreaterThanOrEqual((tops[i]?.to ?? 2) - 1e-9)
    expect(tallest).toBeCloseTo(Math.max(...last.map((l) => l.top)), 12)
  })
  it('a flash dries what was wet; one layer at most is fresh', () => {
    expect(cells[0]?.layers[0]).toMatchObject({ wet: true, fresh: true })
    expect(cells[1]?.layers[0]).toMatchObject({ wet: false, fresh: false })
    expect(cells[8]?.layers.every((l) => !l.wet)).toBe(true)
    expect(cells[9]?.layers.filter((l) => l.wet).map((l) => l.hitId)).toEqual(['I5'])
    for (const c of cells) expect(c.layers.filter((l) => l.fresh).length).toBeLessThanOrEqual(1)
  })
})

describe('the pallet', () => {
  it('centres a front print, its top at the advised distance, for each group of sizes', () => {
    const { prints, pallet } = palletShape(planOf('O-1010'))
    expect(prints.map((x) => [x.group, x.y])).toEqual([
      ['adult', 0.114],
      ['kids', 0.096],
    ])
    for (const x of prints) expect(x.x + x.width / 2).toBeCloseTo(pallet.x + pallet.width / 2, 12)
  })
  it('an item off the pallet is drawn once at its highest and once at its lowest; no neck where none lies', () => {
    const shape = (where: Where) => palletShape(planOf('O-1010', where))
    const off = shape('offPallet')
    expect(off.prints.map((p) => p.group)).toEqual(['adult', 'kids', 'highest', 'lowest'])
    const [highest, lowest] = off.prints.slice(2)
    for (const p of off.prints.slice(0, 2)) {
      expect(p.y).toBeGreaterThanOrEqual(highest?.y ?? 1)
      expect(p.y).toBeLessThanOrEqual(lowest?.y ?? 0)
    }
    expect(shape('hood').prints.map((p) => p.group)).toEqual(['adult', 'kids'])
    expect([shape('hood').neck, shape('back').neck]).toEqual([false, true])
  })
})
