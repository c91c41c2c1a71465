import { describe, expect, it } from 'vitest'
import { splitOrder, type Where } from '@/core/order'
import { lapStripShape, noDecisions, palletShape, plan } from '@/core/plan'
import { garmentShape, roomFor } from '@/core/registration'
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
    // Down from the shoulder seam, which lies above the collar seam at the pallet's end.
    const [chest] = shape('leftChest').prints
    expect(chest?.y).toBeCloseTo(0.02, 9)
    expect((chest?.x ?? 0) + (chest?.width ?? 0) / 2).toBeCloseTo(0.115, 9)
    expect(shape('hood').prints.map((p) => p.group)).toEqual(['adult', 'kids'])
    expect([shape('hood').neck, shape('back').neck]).toEqual([false, true])
  })
})

describe('a garment on its pallet', () => {
  const piece = { kind: 'body', near: 0.56, far: 0.56, length: 0.74 } as const
  const numbers = (path: string) => [...path.matchAll(/-?[\d.]+/g)].map(Number)
  const extent = (path: string) => {
    const all = numbers(path)
    const [xs, ys] = [0, 1].map((k) => all.filter((_, i) => i % 2 === k)) as [number[], number[]]
    return [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)] as const
  }
  it('laid by its hem is laid by its collar, turned round', () => {
    const [l, r, t, b] = extent(garmentShape(piece, { isBack: false, byHem: false }).outline)
    expect(extent(garmentShape(piece, { isBack: false, byHem: true }).outline)).toEqual(
      [-r, -l, 740 - b, 740 - t].map((x) => expect.closeTo(x, 6)),
    )
  })
  it.each(['body', 'sleeve', 'hood', 'leg'] as const)(
    'a %s and its pallet lie inside the drawing',
    (kind) => {
      for (const byHem of [true, false]) {
        const one = { ...piece, kind }
        const pallet = { width: 1120, height: 900 }
        const room = roomFor([{ piece: one }], pallet, byHem)
        const [l, r, t, b] = extent(garmentShape(one, { isBack: false, byHem }).outline)
        expect(Math.min(l, -560)).toBeGreaterThanOrEqual(room.x)
        expect(Math.max(r, 560)).toBeLessThanOrEqual(room.x + room.width)
        expect(t).toBeGreaterThanOrEqual(room.y)
        expect(Math.max(b, 900)).toBeLessThanOrEqual(room.y + room.height)
      }
    },
  )
})
