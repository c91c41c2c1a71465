import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mm } from '../quantity'
import { collarLineFor, filmPosition, tilesOf } from './index'

const ROOM = { frameToPallet: mm(60), collarLine: mm(20) }
const need = (extra: object = {}) => ({
  frameWidth: mm(580),
  frameHeight: mm(790),
  width: mm(300),
  height: mm(360),
  origin: 'collar' as const,
  down: mm(75),
  side: 0,
  ...extra,
})
const inMm = (p: ReturnType<typeof filmPosition>) =>
  [p.topMark, p.sideMarks, p.bottomMark, p.left, p.right].map((x) => Math.round(x * 1e6) / 1000)

describe('the film on the frame', () => {
  // Inside figures, those of the model (geometry): frame 580 x 790, pallet 60 in, collar 20 on.
  it('a full front, 75 below the collar', () => {
    expect(inMm(filmPosition(need(), ROOM))).toEqual([145, 335, 525, 130, 130])
  })
  it('a left chest hangs on the left as one looks at the print side', () => {
    const chest = need({ width: mm(90), height: mm(90), down: mm(95), side: mm(100) })
    expect(inMm(filmPosition(chest, ROOM))).toEqual([165, 220, 275, 135, 335])
  })
  it('with the hem away a corner on the wearer’s left hangs on the other side', () => {
    const corner = need({ width: mm(90), height: mm(90), origin: 'hem', down: mm(60), side: mm(100) })
    expect(inMm(filmPosition(corner, ROOM)).slice(3)).toEqual([335, 135])
  })
  it('the garment moved instead: the film stays in the middle', () => {
    const chest = need({ width: mm(90), height: mm(90), down: mm(95) })
    expect(inMm(filmPosition(chest, ROOM)).slice(3)).toEqual([235, 235])
  })
  // Geometry: the hem of a sleeve and the edge of an odd item lie at the pallet's end, no collar line between.
  it.each([
    ['sleeve', { origin: 'hem', down: mm(25) }, 85],
    ['odd item', { origin: 'edge', down: mm(50) }, 110],
    ['back', { origin: 'collar', down: mm(114) }, 194],
    // The shoulder seam at the neck lies 75 mm above the collar seam (assumed): 60 + 20 - 75 + 95.
    ['left chest', { origin: 'shoulder', down: mm(95) }, 100],
  ] as const)('%s is measured from where it belongs', (_, more, top) => {
    expect(filmPosition(need({ width: mm(80), height: mm(80), ...more }), ROOM).top * 1000).toBeCloseTo(
      top,
      6,
    )
  })
  it('a film that must be mounted at a height tells where the collar lies', () => {
    expect(collarLineFor(mm(200), mm(60), mm(75))).toBeCloseTo(mm(65), 9)
  })
  it('the inverse finds the collar line of any position', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (down, line) => {
          const { top } = filmPosition(need({ down }), { ...ROOM, collarLine: line })
          expect(collarLineFor(top, ROOM.frameToPallet, down)).toBeCloseTo(line, 9)
        },
      ),
    )
  })
  it('left, right and the art with its gaps make the frame’s width', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.1, max: 0.1, noNaN: true }), (side) => {
        const p = filmPosition(need({ width: mm(90), side }), ROOM)
        expect(p.left + p.right + p.width + mm(20)).toBeCloseTo(p.frameWidth, 9)
      }),
    )
  })
  it('says where too little mesh is left, and where the art does not fit', () => {
    const rules = (extra: object) => filmPosition(need(extra), ROOM).reasons.map((r) => r.rule)
    expect(rules({})).toEqual(['POSITION_TOP', 'POSITION_MIDDLE'])
    expect(rules({ height: mm(500) })).toContain('POSITION_END')
    expect(rules({ width: mm(480) })).toContain('POSITION_END')
    expect(rules({ height: mm(700) })).toContain('POSITION_OUT')
    expect(rules({ side: mm(10) })).toContain('POSITION_SIDE')
  })
})

describe('tiles', () => {
  it('cover the art without a gap or an overlap, none larger than the sheet', () => {
    const size = fc.double({ min: 0.01, max: 2, noNaN: true })
    fc.assert(
      fc.property(size, size, (w, h) => {
        const tiles = tilesOf(w, h, 0.19, 0.257)
        expect(tiles.reduce((sum, t) => sum + t.width * t.height, 0)).toBeCloseTo(w * h, 9)
        for (const t of tiles) {
          expect(t.width).toBeLessThanOrEqual(0.19 + 1e-9)
          expect(t.height).toBeLessThanOrEqual(0.257 + 1e-9)
          expect(t.x).toBeCloseTo(t.column * t.width, 9)
        }
      }),
    )
  })
  it('one sheet is enough where the art fits', () => {
    expect(tilesOf(0.19, 0.25, 0.19, 0.257)).toHaveLength(1)
    expect(tilesOf(0.3, 0.36, 0.19, 0.257)).toHaveLength(4)
  })
})
