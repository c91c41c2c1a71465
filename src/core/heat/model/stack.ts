import { cureSpeed, gelSpeed, type Kinetics, onward } from './kinetics'
import { activity, evaporation, latent, WATER_HEAT } from './water'

/** 5.670374e-8 W/m2K4. */
const BOLTZMANN = 5.670374e-8

/**
 * What a phase does to a stack of layers. Heat comes from a source by radiation, on the top node and through it on the next one,
 * and from gas; the lowest node has gas below it.
 */
export interface Phase {
  /** Exchange of the source with the top node, and through it with the second; 0 to 1. */
  readonly onTop: number
  readonly onSecond: number
  /** Kelvin. */
  readonly source: number
  /** Seconds in which the source comes on. */
  readonly comesOn: number
  /** Exchange with the room round it. */
  readonly toRoom: number
  readonly room: number
  /** W/m2K and kelvin of the gas above, and below. */
  readonly air: number
  readonly gas: number
  readonly below: number
  readonly under: number
  /** Pa of vapour in the gas. */
  readonly vapour: number
}

/** A node of the stack as it was built. */
export interface Node {
  /** kg/m2 of cloth in it, and how much water that takes from the air against cotton. */
  readonly cloth: number
  readonly regain: number
}

/** The film on top. */
export interface Film {
  /** Water it was printed with, kg/m2. */
  readonly water: number
  /** What the vapour of the cloth finds of a way through it. */
  readonly vapour: number
  readonly kinetics: Kinetics
}

/** What is carried from phase to phase: kelvin, kg/m2 of water in film and cloth, progress. */
export interface Stack {
  readonly nodes: readonly Node[]
  /** Conductance from each node to the next, W/m2K. */
  readonly joints: readonly number[]
  /** Heat that each node holds without its water, J/m2K. */
  readonly holds: Float64Array
  readonly t: Float64Array
  /** Water of the ink. */
  ink: number
  /** Water of the cloth in each node. */
  readonly wet: Float64Array
  film: Film | undefined
  gel: number
  cure: number
}

/** Free water in an ink film holds back its vapour only when nearly all is gone. */
const LAST = 0.08

/** Heat the stack holds above 0 K, J/m2: for balances. */
export const heldBy = (s: Stack): number =>
  s.nodes.reduce(
    (sum, _, i) =>
      sum + ((s.holds[i] ?? 0) + WATER_HEAT * ((s.wet[i] ?? 0) + (i === 0 ? s.ink : 0))) * (s.t[i] ?? 0),
    0,
  )

const scratch = { c: new Float64Array(16), d: new Float64Array(16) }

/** Water that goes in a step from a store: exact for a rate in proportion to what is left, so that it never overdraws. */
const going = (store: number, flow: number, dt: number): number =>
  store <= 0 || flow <= 0 ? 0 : store * -Math.expm1((-flow * dt) / store)

/**
 * One step of the linearised implicit midpoint rule (Rosenbrock, gamma 1/2: second order, A-stable, no iteration).
 *
 * @param since seconds since the phase began
 * @returns kilograms of water gone from a square metre
 */
export function step(s: Stack, phase: Phase, dt: number, since: number): number {
  const { nodes, joints, t, wet } = s
  const n = nodes.length
  const { c, d } = scratch
  const film = s.film
  const lit = phase.comesOn > 0 ? 1 - Math.exp(-(since + dt / 2) / phase.comesOn) : 1
  const hot = fourth(phase.source)
  const room = fourth(phase.room)
  let gone = 0
  // Forward sweep of the tridiagonal system as its rows are made.
  let upper = 0
  for (let i = 0; i < n; i++) {
    const T = t[i]!
    const T3 = T * T * T
    let flow = 0
    let slope = 0
    if (i === 0) {
      flow +=
        phase.onTop * BOLTZMANN * lit * (hot - T3 * T) +
        phase.toRoom * BOLTZMANN * (room - T3 * T) +
        phase.air * (phase.gas - T)
      slope -= 4 * BOLTZMANN * T3 * (phase.onTop * lit + phase.toRoom) + phase.air
    }
    if (i === 1 && phase.onSecond > 0) {
      flow += phase.onSecond * BOLTZMANN * lit * (hot - T3 * T)
      slope -= 4 * BOLTZMANN * T3 * phase.onSecond * lit
    }
    const down = i < n - 1 ? joints[i]! : phase.below
    const lower = i < n - 1 ? t[i + 1]! : phase.under
    flow -= down * (T - lower)
    slope -= down
    const up = i > 0 ? joints[i - 1]! : 0
    if (i > 0) {
      flow += up * (t[i - 1]! - T)
      slope -= up
    }
    let water = wet[i]!
    if (i === 0) water += s.ink
    if (water > 0) {
      evaporates(s, i, T, phase)
      const [fromInk, fromCloth] = [going(s.ink, leaves.ink, dt), going(wet[i]!, leaves.cloth, dt)]
      const left = fromInk + fromCloth
      const all = leaves.ink + leaves.cloth
      if (all > 0) {
        const L = latent(T)
        flow -= (L * left) / dt
        slope -= (L * leaves.steeper * left) / (all * dt)
      }
      if (i === 0) s.ink -= fromInk
      wet[i] = wet[i]! - fromCloth
      gone += left
      water -= left / 2
    }
    // (C/dt - J/2) dT = f(T)
    const diagonal = (s.holds[i]! + WATER_HEAT * water) / dt - slope / 2
    const left = -up / 2
    const pivot = diagonal - left * upper
    upper = i < n - 1 ? -down / 2 / pivot : 0
    c[i] = upper
    d[i] = (flow - left * (i > 0 ? d[i - 1]! : 0)) / pivot
  }
  let after = 0
  for (let i = n - 1; i >= 0; i--) {
    after = d[i]! - c[i]! * after
    d[i] = after
  }
  const middle = t[0]! + d[0]! / 2
  for (let i = 0; i < n; i++) t[i] = t[i]! + d[i]!
  if (film) {
    s.gel = onward(s.gel, gelSpeed(film.kinetics, middle), dt)
    s.cure = onward(s.cure, cureSpeed(film.kinetics, middle), dt)
  }
  return gone
}

const fourth = (x: number) => x * x * x * x

/** Written by `evaporates`, so that a step makes no garbage: kg/m2s of ink and of cloth, and what a kelvin adds. */
const leaves = { ink: 0, cloth: 0, steeper: 0 }
const more = { perKelvin: 0 }

/** Vapour that leaves a node. */
function evaporates(s: Stack, i: number, T: number, phase: Phase): void {
  const { film } = s
  const { cloth, regain } = s.nodes[i]!
  const held = s.wet[i]!
  leaves.ink = 0
  leaves.cloth = 0
  leaves.steeper = 0
  if (i === 0 && s.ink > 0 && film) {
    const last = s.ink / (s.ink + LAST * film.water)
    leaves.ink = last * evaporation(T, phase.air, 1, phase.vapour, more)
    leaves.steeper = last * more.perKelvin
  }
  if (held <= 0 || cloth <= 0) return
  const over = activity(held / (cloth * regain))
  // Vapour of the front has to come through what is keyed in and then through the film; the back gives its own off below.
  const through = film?.vapour ?? 1
  const way = i === 0 ? through : i === 1 ? through * through : 1
  const air = i > 1 ? phase.below : phase.air
  leaves.cloth = way * evaporation(T, air, over, phase.vapour, more)
  leaves.steeper += way * more.perKelvin
}
