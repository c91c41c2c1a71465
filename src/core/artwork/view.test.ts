import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STILL } from './misregister'
import { PIECE, SMALLEST } from './preview'
import { clampScale, tilesSeen, viewOf } from './view'

const TABLE = { width: 900, height: 400 }
const PX = 25.4e-3 / 300
const film = fc.record({
  width: fc.integer({ min: 1, max: 9000 }),
  height: fc.integer({ min: 1, max: 9000 }),
})

it('the whole of a rectangle is seen, in the middle, as large as it goes', () => {
  fc.assert(
    fc.property(film, fc.integer({ max: 500 }), (f, at) => {
      const view = viewOf({ x: at, y: at, ...f }, TABLE)
      expect([view.x, view.y]).toEqual([at + f.width / 2, at + f.height / 2])
      const shown = [(f.width * view.scale) / TABLE.width, (f.height * view.scale) / TABLE.height]
      expect(Math.max(...shown)).toBeCloseTo(0.94, 9)
    }),
  )
})

it('one can look from afar and from near, not further', () =>
  expect([0, 0.5, 99].map(clampScale)).toEqual([0.02, 0.5, 16]))

describe('tiles seen', () => {
  it('of a film at its own size are those under the table', () => {
    const seen = tilesSeen({ scale: 1, x: 1024, y: 512 }, TABLE, { width: 4000, height: 4000 }, STILL, PX)
    // 1024 - 450 = 574 to 1474 across, 312 to 712 down, in tiles of 256.
    expect(seen).toEqual({ level: 0, side: 256, left: 2, right: 5, top: 1, bottom: 2 })
  })
  it('of a film pushed off the table are none', () => {
    const seen = tilesSeen(
      { scale: 1, x: 200, y: 200 },
      TABLE,
      { width: 400, height: 400 },
      { dx: 1, dy: 0, rotation: 0 },
      PX,
    )
    expect(seen.right).toBeLessThan(seen.left)
  })
  it('every pixel of the film that lies on the table lies in one of them, however it was pushed and turned (property)', () => {
    const push = fc.record({
      dx: fc.double({ min: -0.05, max: 0.05, noNaN: true }),
      dy: fc.double({ min: -0.05, max: 0.05, noNaN: true }),
      rotation: fc.double({ min: -0.05, max: 0.05, noNaN: true }),
    })
    const spot = fc.record({
      x: fc.double({ min: 0, max: 1, noNaN: true }),
      y: fc.double({ min: 0, max: 1, noNaN: true }),
    })
    fc.assert(
      fc.property(film, push, spot, fc.double({ min: 0.02, max: 16, noNaN: true }), (f, by, on, scale) => {
        const view = { scale, x: f.width / 2, y: f.height / 2 }
        const seen = tilesSeen(view, TABLE, f, by, PX)
        expect(seen.level).toBeGreaterThanOrEqual(0)
        expect(seen.level).toBeLessThanOrEqual(SMALLEST)
        expect(seen.side).toBe(PIECE * 2 ** seen.level)
        // Never fewer pixels of a tile than are shown of it, but for the coarsest.
        if (seen.level < SMALLEST && scale <= 1) expect(2 ** seen.level * scale).toBeGreaterThan(0.5)
        // A place on the film, where it comes to lie, and whether that is on the table.
        const [px, py] = [on.x * (f.width - 1), on.y * (f.height - 1)]
        const [cx, cy] = [px - f.width / 2, py - f.height / 2]
        const [cos, sin] = [Math.cos(by.rotation), Math.sin(by.rotation)]
        const lies = {
          x: f.width / 2 + cx * cos - cy * sin + by.dx / PX,
          y: f.height / 2 + cx * sin + cy * cos + by.dy / PX,
        }
        const shown =
          Math.abs(lies.x - view.x) * scale <= TABLE.width / 2 &&
          Math.abs(lies.y - view.y) * scale <= TABLE.height / 2
        if (!shown) return
        expect(Math.floor(px / seen.side)).toBeGreaterThanOrEqual(seen.left)
        expect(Math.floor(px / seen.side)).toBeLessThanOrEqual(seen.right)
        expect(Math.floor(py / seen.side)).toBeGreaterThanOrEqual(seen.top)
        expect(Math.floor(py / seen.side)).toBeLessThanOrEqual(seen.bottom)
      }),
    )
  })
})
