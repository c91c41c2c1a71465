import { randomLcg, randomNormal } from 'd3-random'
import { describe, expect, it } from 'vitest'
import type { FlashReading } from '../../equipment'
import { celsius } from '../../quantity'
import { USUAL_AMBIENT } from '../model'
import { calibrateFlash, expected, type FlashTest } from './flash'
import { shown, truly } from './gun'
import { calibrateTunnel, peakIn } from './tunnel'

const TEST: FlashTest = { kind: 'panel', board: 'rubber', above: 0.065, ...USUAL_AMBIENT }
const HOT = { of: 'hot', pallet: celsius(30), dwell: 8, delay: 1.5 } as const
const TOUCH = { of: 'touch', pallet: celsius(30) } as const
const PALLET = { of: 'pallet', laps: 15, dwell: 8, lap: 45 } as const

/** What is read at a press that is so many times a usual one, exactly or with noise. */
const readAt = (
  test: FlashTest,
  times: readonly number[],
  noise: (of: FlashReading['of']) => number = () => 0,
): readonly FlashReading[] => {
  const logs = times.map(Math.log)
  const hot = expected(test, { ...HOT, read: 0 }, logs) + noise('hot')
  return [
    { ...HOT, read: shown(hot, test.air) },
    { ...TOUCH, dwell: expected(test, { ...TOUCH, dwell: 0 }, logs) + noise('touch') },
    { ...PALLET, read: expected(test, { ...PALLET, read: 0 }, logs) + noise('pallet') },
  ]
}
const found = (test: FlashTest, readings: readonly FlashReading[]) => {
  const out = calibrateFlash(test, readings)
  if ('odd' in out) throw new Error(`refused: ${out.odd}`)
  return out
}

describe('an infrared gun', () => {
  it('set to 0.95 on ink shows 118 where there are 120 (figures of the model)', () => {
    expect(truly(celsius(118), celsius(22)) - 273.15).toBeCloseTo(120, 0)
  })
  it('shows what is there where it is set right, and takes back what it shows', () => {
    expect(truly(390, 295, 0.95, 0.95)).toBeCloseTo(390, 9)
    for (const is of [310, 350, 400]) expect(truly(shown(is, 295), 295)).toBeCloseTo(is, 9)
    // A surface that gives off less looks colder than it is.
    expect(shown(390, 295, 0.5)).toBeLessThan(shown(390, 295, 0.9))
  })
})

describe('a flash unit that is read (presses that obey the model; none was measured)', () => {
  it('as tabled is left as tabled', () => {
    const { calibration, dwell } = found(TEST, readAt(TEST, [1, 1, 1]))
    for (const times of [calibration.gain, calibration.contact, calibration.loss])
      expect(Math.abs(Math.log(times))).toBeLessThan(0.02)
    expect(dwell.then).toBeCloseTo(dwell.usual ?? 0, 1)
  })

  it('the worked press (figures of the model): 117.2 °C, touch 6.5 s, pallet 46.5 °C', () => {
    const readings: readonly FlashReading[] = [
      { ...HOT, read: celsius(117.2) },
      { ...TOUCH, dwell: 6.5 },
      { ...PALLET, read: celsius(46.5) },
    ]
    const { dwell, calibration, readings: said } = found(TEST, readings)
    // True: 1.18, 0.75, 1.30 and 5.24 s; what a lap is made of was not written down there.
    expect(dwell.usual).toBeCloseTo(6.6, 0)
    expect(Math.abs((dwell.then ?? 0) - 5.18)).toBeLessThan(calibration.dwellSpread)
    expect(calibration.dwellSpread).toBeCloseTo(0.36, 1)
    expect(calibration.gain).toBeGreaterThan(1.05)
    expect(calibration.contact).toBeLessThan(0.85)
    const off = (of: 'usual' | 'then') =>
      said.reduce((sum, r, i) => sum + ((r.read - r[of]) / ([5, 0.8, 2.5][i] ?? 1)) ** 2, 0)
    expect(off('then')).toBeLessThan(0.5 * off('usual'))
  })

  it('readings move the dwell towards the truth, the more the nearer', () => {
    const rms = (count: number) => {
      const source = randomNormal.source(randomLcg(0.42))
      const [gain, contact, loss] = [0.25, 0.35, 0.4].map((s) => source(0, s)) as [
        () => number,
        () => number,
        () => number,
      ]
      const noises = { hot: source(0, 3), touch: source(0, 0.6), pallet: source(0, 1.5) }
      let sum = 0
      const shops = 12
      for (let i = 0; i < shops; i++) {
        const test: FlashTest = { ...TEST, board: i % 2 ? 'rubber' : 'aluminium' }
        const times = [gain(), contact(), loss()].map(Math.exp)
        const readings = readAt(test, times, (of) => noises[of]()).slice(0, count)
        const truth = expected(test, { of: 'touch', pallet: celsius(45), dwell: 0 }, times.map(Math.log))
        const usual = expected(test, { of: 'touch', pallet: celsius(45), dwell: 0 })
        const out = count === 0 ? undefined : calibrateFlash(test, readings)
        const said = out && !('odd' in out) ? (out.dwell.then ?? usual) : usual
        sum += (said - truth) ** 2
      }
      return Math.sqrt(sum / shops)
    }
    const [none, one, three] = [rms(0), rms(1), rms(3)]
    // The model's own 120 shops: 2.42, 0.95, 0.31 s.
    expect(one).toBeLessThan(0.6 * none)
    expect(three).toBeLessThan(0.4 * one)
    expect(three).toBeLessThan(0.5)
  }, 120_000)

  it('loss is not to be had from a few laps, and more from many', () => {
    const spread = (laps: number) => {
      const readings = readAt(TEST, [1, 1, 1.3]).map((r) =>
        r.of === 'pallet'
          ? { ...r, laps, read: expected(TEST, { ...PALLET, laps, read: 0 }, [0, 0, Math.log(1.3)]) }
          : r,
      )
      return Math.abs(Math.log(found(TEST, readings).calibration.loss / 1.3))
    }
    expect(spread(60)).toBeLessThan(spread(15))
  })

  it('a colder pallet takes longer, whatever the unit', () => {
    for (const gain of [0.6, 1, 1.6]) {
      const dwell = (celsiusOf: number) =>
        expected(TEST, { of: 'touch', pallet: celsius(celsiusOf), dwell: 0 }, [Math.log(gain), 0, 0])
      expect(dwell(20)).toBeGreaterThan(dwell(40))
    }
  })

  it.each([
    ['a film of 240 °C', { ...HOT, read: celsius(240) }, 0],
    ['a film as cold as the room', { ...HOT, read: celsius(25) }, 0],
    ['a touch after 30 s', { ...TOUCH, dwell: 30 }, 1],
    ['a pallet of 120 °C', { ...PALLET, read: celsius(120) }, 2],
  ] as const)('nonsense is refused, and which reading it is: %s', (_, odd, at) => {
    const out = calibrateFlash(
      TEST,
      readAt(TEST, [1.1, 0.9, 1]).map((r, i) => (i === at ? odd : r)),
    )
    expect(out).toMatchObject({ odd: at })
    if (!('odd' in out)) throw new Error('taken')
    expect(Math.abs(out.read - out.expected)).toBeGreaterThan(3)
  })

  it('nothing read is no calibration', () => {
    expect(() => calibrateFlash(TEST, [])).toThrow(RangeError)
    expect(() => calibrateTunnel({ heat: 'gas', heatedLength: 3.6 }, [])).toThrow(RangeError)
  })
})

describe('a tunnel that is read', () => {
  const IR = { heat: 'infrared', heatedLength: 2.4 } as const
  const AT = 2.4 / 60
  it('one strip tells most of it (figures of the model: true 0.85, two kelvin off: 0.886)', () => {
    const out = calibrateTunnel(IR, [{ belt: AT, read: peakIn(IR, AT, Math.log(0.85)) + 2 }])
    if ('odd' in out) throw new Error('refused')
    expect(out.calibration.gain).toBeCloseTo(0.886, 2)
  })
  it.each(['infrared', 'gas'] as const)('three strips tell a %s tunnel', (heat) => {
    const tunnel = { heat, heatedLength: 3 }
    for (const gain of [0.8, 1, 1.25]) {
      const readings = [0.035, 0.045, 0.06].map((belt) => ({
        belt,
        read: peakIn(tunnel, belt, Math.log(gain)),
      }))
      const out = calibrateTunnel(tunnel, readings)
      if ('odd' in out) throw new Error('refused')
      // What is thought before anything is read holds a little of it back, most where hot air does the work.
      expect(Math.abs(out.calibration.gain - gain)).toBeLessThan(heat === 'gas' ? 0.1 : 0.05)
      for (const { read, then } of out.readings) expect(Math.abs(read - then)).toBeLessThan(2)
    }
  })
  it('a strip that cannot be is refused', () => {
    const good = [0.035, 0.045].map((belt) => ({ belt, read: peakIn(IR, belt) }))
    expect(calibrateTunnel(IR, [...good, { belt: 0.05, read: celsius(290) }])).toMatchObject({ odd: 2 })
    expect(calibrateTunnel(IR, [{ belt: 0.04, read: celsius(30) }])).toMatchObject({ odd: 0 })
  })
})
