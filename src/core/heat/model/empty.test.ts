import { describe, expect, it } from 'vitest'
import { emptyFlashes } from './empty'
import { C, round } from './heat.fixtures'

const UNIT = { kind: 'panel', print: { width: 0.3, height: 0.35 }, height: 0.065 } as const
const count = (board: 'aluminium' | 'rubber' | 'wood', warm: number, dwell = 10) =>
  emptyFlashes(round(board), UNIT, dwell, warm + C)

describe('boards that are warmed empty', () => {
  it('a few flashes warm them (fact of the trade: common practice, no source)', () => {
    for (const board of ['aluminium', 'rubber', 'wood'] as const) {
      expect(count(board, 40)).toBeGreaterThanOrEqual(1)
      expect(count(board, 40)).toBeLessThanOrEqual(8)
    }
  })
  it('warm ones need none, warmer wants more, longer flashes fewer; what is never reached is none', () => {
    expect(count('aluminium', 20)).toBe(0)
    const counts = [25, 35, 45, 55].map((warm) => count('aluminium', warm) ?? 99)
    expect(counts).toEqual([...counts].sort((a, b) => a - b))
    expect(count('aluminium', 45, 20)).toBeLessThan(count('aluminium', 45, 5) ?? 99)
    expect(count('aluminium', 500)).toBeUndefined()
  })
})
