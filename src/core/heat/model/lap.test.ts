import { describe, expect, it } from 'vitest'
import { base, C, flash, round, top, wait } from './heat.fixtures'
import { boardsAlong, runLaps, trace } from './lap'

const at = (laps: ReturnType<typeof runLaps>, n: number) => {
  const lap = laps[n - 1]!
  return {
    board: lap.board - C,
    need: lap.flashes[0]?.needed ?? Number.NaN,
    time: lap.flashes[0]?.time ?? Number.NaN,
    on: (lap.prints[0]?.film ?? Number.NaN) - C,
    closed: lap.flashes[0]?.closed ?? Number.NaN,
    ready: lap.prints[0]?.ready ?? Number.NaN,
  }
}
const single = (time: number | 'needed', cool: number) => [
  wait(10),
  base,
  wait(5),
  flash(time),
  wait(cool),
  top,
  wait(8),
]

describe('boards that remember (facts of the trade: common practice, no source)', () => {
  const fixed = runLaps(round('aluminium', ...single(10, 15)), 60)
  it('long runs heat aluminium: the same flash over-flashes, and the next print lies on a film that is too hot', () => {
    expect(at(fixed, 1).closed).toBeLessThan(1)
    expect(at(fixed, 20).closed).toBeGreaterThan(1)
    expect(at(fixed, 1).on).toBeLessThan(55)
    expect(at(fixed, 40).on).toBeGreaterThan(65)
  })
  it('inside figures: boards of 22, 48, 62, 72 and 74 °C, the second print on 28, 48, 58, 66 and 68 °C', () => {
    const laps = [1, 10, 20, 40, 60].map((n) => at(fixed, n))
    for (const [i, board] of [22, 48, 62, 72, 74].entries())
      expect(Math.abs(laps[i]!.board - board)).toBeLessThan(1.5)
    for (const [i, on] of [28, 48, 58, 66, 68].entries()) expect(Math.abs(laps[i]!.on - on)).toBeLessThan(1.5)
    for (const [i, need] of [10.1, 6.3, 5, 4.3, 4.2].entries())
      expect(Math.abs(laps[i]!.need - need)).toBeLessThan(0.6)
  })
  it('30 s on a single station are enough where the flash is no longer than it has to be', () => {
    const laps = runLaps(round('aluminium', ...single('needed', 30)), 40)
    expect(at(laps, 40).on).toBeLessThan(55)
    expect(at(laps, 40).closed).toBeLessThan(1)
    expect(at(laps, 40).time).toBeLessThan(at(laps, 1).time)
  })
  it('an automatic of 400 to 700 an hour gels under quartz with one empty head; at 700 the cold first lap does not', () => {
    const auto = (rate: number) => {
      const stop = 3600 / rate
      const ring = [
        wait(stop),
        base,
        wait(1.5),
        flash('needed', 'quartz'),
        wait(1.5 + stop),
        top,
        wait(8 * stop),
      ]
      return runLaps(round('aluminium', ...ring), 80)
    }
    for (const rate of [400, 500, 600, 700]) expect(at(auto(rate), 80).need).toBeLessThan(3600 / rate - 1.5)
    expect(at(auto(700), 1).need).toBeGreaterThan(3600 / 700 - 1.5)
    expect(at(auto(400), 80).on).toBeLessThan(55)
  })
  it('more idle time is never hotter at the next screen', () => {
    const on = [5, 10, 20, 30, 60].map((cool) => at(runLaps(round('rubber', ...single(7, cool)), 30), 30).on)
    expect(on).toEqual([...on].sort((a, b) => b - a))
  })
  it('a fan at the cooling station helps (25 W/m2K: handbook, from memory)', () => {
    const film = (air?: number) =>
      at(runLaps(round('rubber', wait(10), base, wait(5), flash(7), wait(15, air), top, wait(8)), 30), 30).on
    expect(film(25)).toBeLessThan(film() - 2)
  })
  it('a panel that stays as long as the stop lasts over-flashes', () => {
    const stays = runLaps(round('aluminium', wait(10), base, flash('needed', 'panel', 26), wait(30), top), 3)
    expect(at(stays, 1).time).toBe(26)
    expect(at(stays, 1).closed).toBeGreaterThan(1)
    expect(stays[0]!.flashes[0]!.limit).toBeLessThan(26)
  })
})

describe('laps', () => {
  it('that are the same are worked out once: a thousand garments in a moment, and a long run settles', () => {
    const r = round('aluminium', ...single('needed', 30))
    const laps = runLaps(r, 1000)
    expect(laps).toHaveLength(1000)
    expect(Math.abs(laps[999]!.board - laps[500]!.board)).toBeLessThan(0.05)
    // Some of the last are the very same object: they were remembered.
    expect(new Set(laps).size).toBeLessThan(500)
  })
  it('begin on boards as they are', () => {
    const r = round('aluminium', ...single(8, 20))
    const [first] = runLaps(r, 1, [60 + C])
    expect(first!.board).toBeCloseTo(60 + C, 9)
    expect(first!.flashes[0]!.needed).toBeLessThan(runLaps(r, 1)[0]!.flashes[0]!.needed!)
  })
  it('begin as warm where only the boards are asked for', () => {
    for (const board of ['aluminium', 'rubber'] as const) {
      const r = round(board, ...single(8, 20))
      const judged = runLaps(r, 4).map((l) => l.board)
      for (const [i, b] of boardsAlong(r, 4).entries()) expect(b).toBeCloseTo(judged[i]!, 6)
    }
  })
  it('without a flash have none', () => {
    const [lap] = runLaps(round('wood', wait(5), base, wait(5), top), 1)
    expect(lap).toMatchObject({ flashes: [], prints: [], time: 10 })
  })
})

describe('the trace of a lap', () => {
  const r = round('rubber', ...single(8, 20))
  const moments = trace(r, [45 + C, 45 + C, 45 + C, 45 + C, 45 + C])
  it('goes through all of it, says where it is, and peaks at the end of the flash', () => {
    expect(moments[0]!.at).toBe(0)
    expect(moments.at(-1)!.at).toBeCloseTo(10 + 5 + 8 + 20 + 8, 9)
    const hottest = moments.reduce((a, b) => (b.film > a.film ? b : a))
    expect(hottest.at).toBeCloseTo(23, 1)
    expect(r.happenings[hottest.happening]?.kind).toBe('flash')
    for (const [i, m] of moments.entries()) if (i > 0) expect(m.at).toBeGreaterThan(moments[i - 1]!.at)
  })
  it('under a lamp that comes on too', () => {
    const quartz = round('aluminium', wait(5), base, wait(2), flash(3.5, 'quartz'), wait(5), top)
    const [lap] = runLaps(quartz, 1)
    const hottest = Math.max(...trace(quartz, [22 + C]).map((m) => m.film))
    expect(Math.abs(hottest - lap!.flashes[0]!.peak)).toBeLessThan(0.5)
  })
  it('agrees with the lap itself', () => {
    const [lap] = runLaps(r, 1, [45 + C, 45 + C, 45 + C, 45 + C, 45 + C])
    expect(Math.max(...moments.map((m) => m.film))).toBeCloseTo(lap!.flashes[0]!.peak, 0)
  })
})
