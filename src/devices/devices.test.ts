import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { BANDS, difference, labOf, takeCurve } from '@/core/color'
import { band } from '@/core/ink'
import { simulatedCounter } from './pieceCounter'
import { simulatedReader } from './reader'
import type { Reading } from './scale'
import { drops, simulatedScale, TICK } from './simulatedScale'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

const hearing = (made: ReturnType<typeof simulatedScale>) => {
  const heard: Reading[] = []
  const stop = made.scale.listen((r) => heard.push(r))
  const weight = () => {
    const last = heard.at(-1)
    return last?.kind === 'weight' ? last : undefined
  }
  const run = (ms: number) => vi.advanceTimersByTime(ms)
  return { ...made, heard, stop, weight, run }
}

describe('a simulated scale', () => {
  it('tells what lies on it to within its noise, and is steady', () => {
    const s = hearing(simulatedScale({ load: 0.25 }))
    s.run(5000)
    expect(s.weight()!.mass).toBeCloseTo(0.25, 3)
    expect(s.weight()!.steady).toBe(true)
    const values = s.heard.slice(-30).flatMap((r) => (r.kind === 'weight' ? r.mass : []))
    expect(new Set(values.map((v) => v.toFixed(4))).size).toBeGreaterThan(1)
  })
  it('the same seed tells the same story', () => {
    const [a, b] = [hearing(simulatedScale({ seed: 7 })), hearing(simulatedScale({ seed: 7 }))]
    a.run(2000)
    expect(a.heard).toEqual(b.heard)
  })
  it('ink starts slowly, flows, and goes on falling a little when the can is upright', () => {
    const s = hearing(simulatedScale())
    s.hand.tip(0.03)
    s.run(2 * TICK)
    expect(s.weight()!.mass).toBeLessThan(0.03 * 0.2)
    s.run(3000)
    expect(s.weight()!.steady).toBe(false)
    s.hand.stop()
    const then = s.weight()!.mass
    s.run(3000)
    expect(s.weight()!.mass).toBeGreaterThan(then + 0.005)
    expect(s.weight()!.steady).toBe(true)
  })
  it.each([2, 8, 30, 200, 600])('the last gram of %d g is in and steady within 5 s', (grams) => {
    const wanted = grams / 1000
    const [low, high] = band(wanted)
    const s = hearing(simulatedScale({ load: wanted - 0.001 }))
    s.run(2000)
    const isRight = () => {
      const w = s.weight()
      return w?.steady && w.mass >= low && w.mass <= high
    }
    // A hand that holds the key until what is in the air will do, and looks again when the display rests.
    let took = 0
    let rate = 0
    for (; took < 20_000 && !(took > 0 && isRight()); took += TICK) {
      const left = wanted - s.weight()!.mass
      if (rate > 0 && left <= rate * 0.6) {
        s.hand.stop()
        rate = 0
      } else if (rate === 0 && s.weight()!.steady && left > 0) {
        rate = drops(left, high - low)
        s.hand.tip(rate)
      }
      s.run(TICK)
    }
    expect(took).toBeLessThan(5000)
  })
  it('sets its display to nothing, and drifts slowly from there', () => {
    const s = hearing(simulatedScale({ load: 1, drift: 1e-5, noise: 0 }))
    s.run(2000)
    s.scale.tare()
    s.run(TICK)
    expect(Math.abs(s.weight()!.mass)).toBeLessThan(0.0002)
    s.run(60_000)
    expect(s.weight()!.mass).toBeCloseTo(0.0006, 4)
  })
  it('too much on it is an overload, not a number', () => {
    const s = hearing(simulatedScale({ capacity: 2 }))
    s.hand.put(2.5)
    s.run(TICK)
    expect(s.heard.at(-1)).toEqual({ kind: 'overload' })
  })
  it('unplugged in mid-pour it falls silent; what fell meanwhile lies on it when it is back', () => {
    const s = hearing(simulatedScale())
    s.hand.tip(0.03)
    s.run(1000)
    s.hand.unplug()
    expect(s.heard.at(-1)).toEqual({ kind: 'gone' })
    const told = s.heard.length
    s.run(1000)
    expect(s.heard.length).toBe(told)
    s.hand.stop()
    s.hand.plug()
    s.run(4000)
    expect(s.weight()!.mass).toBeGreaterThan(0.04)
  })
  it('nobody listens, nothing runs', () => {
    const s = hearing(simulatedScale())
    s.stop()
    expect(vi.getTimerCount()).toBe(0)
  })
})

describe('a simulated colour reader', () => {
  const sample = BANDS.map((_, i) => 0.1 + 0.04 * i)
  const read = async (reader: ReturnType<typeof simulatedReader>) => {
    const reading = reader.read()
    await vi.advanceTimersByTimeAsync(1000)
    const taken = takeCurve(await reading)
    if (!taken.ok) throw new Error(taken.message)
    return labOf(taken.spectrum)
  }
  it('repeats itself to a few tenths, never exactly', async () => {
    const reader = simulatedReader(() => sample)
    const off: number[] = []
    for (let i = 0; i < 20; i++) off.push(difference(await read(reader), labOf(sample)))
    expect(Math.max(...off)).toBeLessThan(0.6)
    expect(Math.max(...off)).toBeGreaterThan(0.02)
    expect(off.reduce((a, b) => a + b, 0) / 20).toBeLessThan(0.3)
  })
})

describe('the simulated piece counter', () => {
  it('counts about what passed, misses some and counts some twice, the same every time', () => {
    const run = (seed: number) => {
      const counter = simulatedCounter(0.1, seed)
      return Array.from({ length: 20_000 }, () => counter.after(5))
    }
    const counts = run(1)
    const total = counts.reduce((a, b) => a + b, 0)
    // 10,000 passed; a hundredth missed, six of a thousand twice.
    expect(total).toBeGreaterThan(9900)
    expect(total).toBeLessThan(10_000)
    expect(run(1)).toEqual(counts)
    expect(run(2)).not.toEqual(counts)
    expect(Math.min(...counts)).toBe(0)
    expect(Math.max(...counts)).toBe(2)
  })
  it('of a belt that stands it counts nothing', () => {
    const counter = simulatedCounter(0)
    expect([counter.after(3600), counter.after(0)]).toEqual([0, 0])
  })
})
