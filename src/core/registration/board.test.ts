import fc from 'fast-check'
import { expect, it } from 'vitest'
import { boardUnder } from './board'
import { filmPosition } from './filmPosition'

const MM = 1e-3
const need = (down: number) => ({
  ...{ frameWidth: 580 * MM, frameHeight: 790 * MM, width: 300 * MM, height: 360 * MM },
  ...{ origin: 'collar' as const, down: down * MM, side: 0 },
})
const room = (collarLine: number) => ({ frameToPallet: 60 * MM, collarLine: collarLine * MM })

it('a film that lies at 200 mm whatever was planned wants its collar line at 65 mm (worked example T12: inside figure)', () => {
  // Planned with the line at 20 mm the art's top is at 155 mm; it lies 45 mm farther in.
  const planned = filmPosition(need(75), room(20))
  const { slide, reason } = boardUnder(planned, 190 * MM)
  expect(slide / MM).toBeCloseTo(45, 6)
  expect(reason.rule).toBe('BOARD_FARTHER')
  expect(filmPosition(need(75), room(20 + slide / MM)).top / MM).toBeCloseTo(200, 6)
})

it('slid by what is told the art lies where it was planned (inverse of the position)', () => {
  fc.assert(
    fc.property(fc.double({ min: -80, max: 80, noNaN: true }), (off) => {
      const planned = filmPosition(need(75), room(100))
      const found = planned.topMark + off * MM
      const { slide } = boardUnder(planned, found)
      const then = filmPosition(need(75), room(100 + slide / MM))
      expect(Math.abs(then.topMark - found)).toBeLessThan(0.5 * MM + 1e-9)
      expect(Math.sign(slide)).toBe(Math.abs(off) < 0.5 ? 0 : Math.sign(off))
    }),
  )
  expect(boardUnder({ topMark: 0.145 }, 0.1452).reason.rule).toBe('BOARD_LIES')
  expect(boardUnder({ topMark: 0.145 }, 0.13).reason.rule).toBe('BOARD_NEARER')
})
