import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mm } from '../quantity'
import { type Ganged, gangOf } from './gang'

const print = (id: string, width: number, height: number): Ganged => ({
  ...{ id, name: id, width: mm(width), height: mm(height) },
})
const area = (width: number, height: number, turns = false) => ({
  ...{ width: mm(width), height: mm(height), gap: mm(20), turns },
})

// Geometry.
describe('several small prints together', () => {
  it('lie beside each other, the highest first, and begin a new row where there is no room', () => {
    const { placed, left } = gangOf(
      [print('a', 90, 60), print('b', 90, 90), print('c', 90, 60)],
      area(210, 297),
    )
    expect(left).toEqual([])
    expect(placed.map((p) => [p.id, Math.round(p.x * 1000), Math.round(p.y * 1000)])).toEqual([
      ['b', 0, 0],
      ['a', 110, 0],
      ['c', 0, 110],
    ])
  })
  it('are turned on film alone', () => {
    const tall = [print('a', 60, 250)]
    expect(gangOf(tall, area(297, 210)).left).toHaveLength(1)
    expect(gangOf(tall, area(297, 210, true)).placed[0]).toMatchObject({ turned: true })
  })
  it('never overlap, never leave what they lie on, and none is lost', () => {
    const side = fc.integer({ min: 20, max: 400 })
    const prints = fc.array(fc.tuple(side, side), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(prints, side, side, fc.boolean(), (rows, w, h, turns) => {
        const all = rows.map(([x, y], i) => print(`${i}`, x, y))
        const on = area(w, h, turns)
        const { placed, left, used } = gangOf(all, on)
        expect(placed.length + left.length).toBe(all.length)
        expect(used).toBeLessThanOrEqual(1 + 1e-9)
        const boxes = placed.map((p) => ({
          x: p.x,
          y: p.y,
          w: p.turned ? p.height : p.width,
          h: p.turned ? p.width : p.height,
        }))
        for (const [i, a] of boxes.entries()) {
          expect(a.x + a.w).toBeLessThanOrEqual(on.width + 1e-9)
          expect(a.y + a.h).toBeLessThanOrEqual(on.height + 1e-9)
          for (const b of boxes.slice(i + 1)) {
            const apart =
              a.x + a.w + on.gap <= b.x + 1e-9 ||
              b.x + b.w + on.gap <= a.x + 1e-9 ||
              a.y + a.h + on.gap <= b.y + 1e-9 ||
              b.y + b.h + on.gap <= a.y + 1e-9
            expect(apart).toBe(true)
          }
        }
      }),
    )
  })
})
