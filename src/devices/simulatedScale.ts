import { randomLcg, randomNormal } from 'd3-random'
import type { Reading, Scale } from './scale'

/** The hand beside a simulated scale. */
export interface Hand {
  /** Begins to tip the can: kg/s once it flows. */
  readonly tip: (flow?: number) => void
  /** Sets it upright; what is in the air still falls. */
  readonly stop: () => void
  /** Puts this many kg on it at once. */
  readonly put: (mass: number) => void
  readonly unplug: () => void
  readonly plug: () => void
}

interface Habits {
  /** Of the noise. */
  readonly seed?: number
  /** kg that lie on it at first: the tub and what is in it. */
  readonly load?: number
  readonly capacity?: number
  readonly tares?: boolean
  /** Standard deviation of a reading, kg. */
  readonly noise?: number
  /** How far it wanders, kg/s. */
  readonly drift?: number
}

/** Readings come this often, ms. */
export const TICK = 100
/** Ink starts to flow slowly and goes on a little once the can is upright, s. */
const LAG = 0.35
/** Drops fall no faster, kg/s, unless the part is so large that it does not matter. */
const DROPS = 0.3e-3

/**
 * How fast a careful hand lets drops fall, kg/s: the last gram takes a few seconds, and less and less falls the less is left.
 *
 * @param left kg still wanted
 * @param width kg between the least and the most that is right
 */
export const drops = (left: number, width: number): number =>
  Math.max(0.6 * width, Math.min(DROPS, Math.max(0, left) / 3))

/** What it shows is a mean over about this long, s. */
const SETTLES = 0.25
/** It calls itself steady when it moved less than this between readings, kg. */
const STEADY = 0.15e-3
const STEP = 0.1e-3

/**
 * A scale as bench scales are: noise, a slow drift, a display that lags and rounds to a tenth of a gram, an overload, a
 * cable that comes off. What lies on it stays on it while it is unplugged.
 */
export function simulatedScale({
  seed = 1,
  load = 0,
  capacity = 6,
  tares = true,
  noise = 0.03e-3,
  drift = 2e-7,
}: Habits = {}): { readonly scale: Scale; readonly hand: Hand } {
  const random = randomNormal.source(randomLcg(seed))(0, noise)
  const listeners = new Set<(reading: Reading) => void>()
  let [lies, shown, tare, wander] = [load, load, 0, 0]
  let [wanted, flow] = [0, 0]
  let plugged = true
  let timer: ReturnType<typeof setInterval> | undefined
  const tell = (reading: Reading) => {
    for (const hear of listeners) hear(reading)
  }
  const tick = () => {
    const dt = TICK / 1000
    flow += ((wanted - flow) * dt) / LAG
    if (wanted === 0 && flow < 1e-5) flow = 0
    lies += flow * dt
    wander += drift * dt
    if (!plugged) return
    const before = shown
    shown += (lies - shown) * Math.min(1, dt / SETTLES)
    if (lies > capacity) return tell({ kind: 'overload' })
    const mass = Math.round((shown + wander + random() - tare) / STEP) * STEP
    tell({ kind: 'weight', mass, steady: Math.abs(shown - before) < STEADY })
  }
  return {
    scale: {
      name: 'Simulated scale',
      tares,
      capacity,
      listen: (hear) => {
        listeners.add(hear)
        timer ??= setInterval(tick, TICK)
        return () => {
          listeners.delete(hear)
          if (listeners.size > 0) return
          clearInterval(timer)
          timer = undefined
        }
      },
      tare: () => {
        tare = shown + wander
      },
    },
    hand: {
      tip: (rate = 0.03) => {
        wanted = rate
      },
      stop: () => {
        wanted = 0
      },
      put: (mass) => {
        lies += mass
      },
      unplug: () => {
        plugged = false
        tell({ kind: 'gone' })
      },
      plug: () => {
        plugged = true
      },
    },
  }
}
