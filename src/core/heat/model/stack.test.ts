import { describe, expect, it } from 'vitest'
import { onBoard, print, USUAL_AMBIENT } from './garment'
import { AS_TABLED, BOARDS, CLOTH_TAKES, FABRICS, INK_TAKES, INKS } from './materials'
import { heldBy, type Phase, type Stack, step } from './stack'
import { flashing, seen, type UnitOver } from './unit'

const SIGMA = 5.670374e-8
const DARK: Phase = {
  onTop: 0,
  onSecond: 0,
  source: 300,
  comesOn: 0,
  toRoom: 0,
  room: 300,
  air: 0,
  gas: 300,
  below: 0,
  under: 300,
  vapour: 1000,
}
const bare = (holds: readonly number[], joints: readonly number[], t: readonly number[]): Stack => ({
  nodes: holds.map(() => ({ cloth: 0, regain: 1 })),
  joints,
  holds: Float64Array.from(holds),
  t: Float64Array.from(t),
  wet: new Float64Array(holds.length),
  ink: 0,
  film: undefined,
  gel: 0,
  cure: 0,
})
const run = (s: Stack, phase: Phase, time: number, dt: number) => {
  const steps = Math.round(time / dt)
  for (let i = 0; i < steps; i++) step(s, phase, dt, i * dt)
  return s
}
const UNIT: UnitOver = { kind: 'panel', print: { width: 0.3, height: 0.35 }, height: 0.065 }
const TAKES = { ink: INK_TAKES.white, cloth: CLOTH_TAKES.dark, lets: INKS.base.lets }
const lit = flashing(UNIT, seen(UNIT, 'centre'), TAKES, USUAL_AMBIENT, 6)
const printed = (board: keyof typeof BOARDS, dry = true) => {
  const s = onBoard(FABRICS.cotton, BOARDS[board], AS_TABLED, USUAL_AMBIENT)
  if (dry) s.wet.fill(0)
  print(s, INKS.base, USUAL_AMBIENT.air)
  return s
}

describe('against closed forms', () => {
  it('a lump that cools in air: exponential', () => {
    const s = run(bare([500], [], [400]), { ...DARK, air: 25 }, 20, 0.2)
    expect(s.t[0]).toBeCloseTo(300 + 100 * Math.exp((-25 * 20) / 500), 2)
  })
  it('a lump under a radiator: ln and atan', () => {
    const source = 700
    const s = run(bare([500], [], [300]), { ...DARK, onTop: 0.8, source }, 10, 0.2)
    const T = s.t[0]!
    // C dT/dt = e sigma (Ts^4 - T^4), integrated from 300 K.
    const integral = (x: number) =>
      (Math.log((source + x) / (source - x)) + 2 * Math.atan(x / source)) / (4 * source ** 3)
    expect(((integral(T) - integral(300)) * 500) / (0.8 * SIGMA)).toBeCloseTo(10, 2)
  })
  it('a wall of three layers between two gases: resistances in a row', () => {
    const s = run(
      bare([10, 10, 10], [50, 80], [300, 300, 300]),
      { ...DARK, air: 20, gas: 400, below: 10, under: 300 },
      500,
      1,
    )
    const flow = 100 / (1 / 20 + 1 / 50 + 1 / 80 + 1 / 10)
    expect(s.t[0]).toBeCloseTo(400 - flow / 20, 4)
    expect(s.t[2]).toBeCloseTo(300 + flow / 10, 4)
  })
  it('a deep board under hot gas: the half-infinite body (erfc), between its surface and the middle of the top layer', () => {
    const { layers } = BOARDS.wood
    const resists = layers.map((l) => l.thickness / (2 * l.conducts))
    const joints = resists.slice(1).map((r, i) => 1 / (r + resists[i]!))
    const s = run(
      bare(
        layers.map((l) => l.thickness * l.holds),
        joints,
        layers.map(() => 295.15),
      ),
      // Gas reaches the middle of the top layer through half of it.
      { ...DARK, air: 1 / (1 / 20 + resists[0]!), gas: 395.15, below: 0 },
      30,
      0.1,
    )
    const erfc = (x: number) => {
      // Abramowitz and Stegun 7.1.26.
      const u = 1 / (1 + 0.3275911 * x)
      const poly =
        u * (0.254829592 + u * (-0.284496736 + u * (1.421413741 + u * (-1.453152027 + u * 1.061405429))))
      return poly * Math.exp(-x * x)
    }
    const [k, c] = [0.16, 720 * 1600]
    const alpha = k / c
    const at = (x: number) => {
      const [a, b] = [x / (2 * Math.sqrt(alpha * 30)), (20 * Math.sqrt(alpha * 30)) / k]
      return 295.15 + 100 * (erfc(a) - Math.exp((20 * x) / k + b * b) * erfc(a + b))
    }
    expect(s.t[0]).toBeLessThan(at(0) + 0.1)
    expect(s.t[0]).toBeGreaterThan(at(layers[0]!.thickness) - 0.1)
  })
  it('gels at one temperature as an exponential says', () => {
    const s = printed('aluminium')
    s.t.fill(388)
    s.holds.fill(1e9)
    run(s, DARK, 2, 0.1)
    expect(s.gel).toBeCloseTo(1 - Math.exp(-1.3 * 2), 5)
  })
})

describe('against another way to integrate', () => {
  it.each(['aluminium', 'rubber', 'wood'] as const)(
    '%s: classical Runge-Kutta in steps of half a millisecond, within 0.5 K',
    (board) => {
      const s = printed(board)
      const [t, holds] = [Float64Array.from(s.t), s.holds]
      const n = t.length
      const slope = (x: Float64Array) =>
        Float64Array.from(x, (T, i) => {
          let flow = 0
          if (i === 0)
            flow +=
              lit.onTop * SIGMA * (lit.source ** 4 - T ** 4) +
              lit.toRoom * SIGMA * (lit.room ** 4 - T ** 4) +
              lit.air * (lit.gas - T)
          if (i === 1) flow += lit.onSecond * SIGMA * (lit.source ** 4 - T ** 4)
          if (i > 0) flow += s.joints[i - 1]! * (x[i - 1]! - T)
          flow += i < n - 1 ? s.joints[i]! * (x[i + 1]! - T) : lit.below * (lit.under - T)
          return flow / holds[i]!
        })
      const along = (x: Float64Array, k: Float64Array, by: number) => x.map((v, i) => v + by * k[i]!)
      let x = t
      const dt = 5e-4
      for (let i = 0; i < 8 / dt; i++) {
        const a = slope(x)
        const b = slope(along(x, a, dt / 2))
        const c = slope(along(x, b, dt / 2))
        const d = slope(along(x, c, dt))
        x = x.map((v, j) => v + (dt / 6) * (a[j]! + 2 * b[j]! + 2 * c[j]! + d[j]!))
      }
      run(s, lit, 8, 0.2)
      for (let i = 0; i < n; i++) expect(Math.abs(s.t[i]! - x[i]!)).toBeLessThan(0.5)
    },
  )
  it('half the step, a quarter of the error: second order on dry cloth', () => {
    const peak = (dt: number) => run(printed('rubber'), lit, 8, dt).t[0]!
    const exact = peak(1 / 256)
    const order = Math.log2(Math.abs(peak(0.5) - exact) / Math.abs(peak(0.25) - exact))
    expect(order).toBeGreaterThan(1.8)
    expect(order).toBeLessThan(2.3)
  })
})

describe('what always holds', () => {
  it('heat that comes in is heat that is held, but for a thousandth', () => {
    const s = printed('rubber', false)
    let came = 0
    let passed = 0
    const held = heldBy(s)
    const dt = 0.05
    const water = () => Float64Array.from(s.wet, (w, i) => w + (i === 0 ? s.ink : 0))
    for (let i = 0; i < 200; i++) {
      const [t, wet] = [s.t.slice(), water()]
      const gone = step(s, lit, dt, i * dt)
      const middle = t.map((T, k) => (T + s.t[k]!) / 2)
      const flux =
        lit.onTop * SIGMA * (lit.source ** 4 - middle[0]! ** 4) +
        lit.onSecond * SIGMA * (lit.source ** 4 - middle[1]! ** 4) +
        lit.toRoom * SIGMA * (lit.room ** 4 - middle[0]! ** 4) +
        lit.air * (lit.gas - middle[0]!) +
        lit.below * (lit.under - middle.at(-1)!)
      // Water takes its own heat and the heat to become vapour along, from each node at its own temperature.
      const left = wet.map((w, k) => w - water()[k]!)
      expect(left.reduce((a, b) => a + b, 0)).toBeCloseTo(gone, 12)
      const out = left.reduce(
        (sum, w, k) => sum + w * (2.501e6 - 2361 * (middle[k]! - 273.15) + 4186 * middle[k]!),
        0,
      )
      came += flux * dt - out
      passed += Math.abs(flux) * dt
    }
    expect(Math.abs(heldBy(s) - held - came) / passed).toBeLessThan(1e-3)
  })
  it('water never becomes less than none, whatever the step', () => {
    for (const dt of [0.05, 1, 10, 100]) {
      const s = printed('aluminium', false)
      for (let i = 0; i < 30; i++) step(s, lit, dt, i * dt)
      for (const w of s.wet) expect(w).toBeGreaterThanOrEqual(0)
      for (const T of s.t) expect(T).toBeGreaterThan(250)
      for (const T of s.t) expect(T).toBeLessThan(900)
    }
  })
})
