/**
 * Heat of film, cloth and board, reduced for play (the model of heat is the better one): one film node, one of cloth, a board.
 * Kinetics are those of the model of heat. J/m2K, W/m2K, kelvin.
 */
const FILM = 229
const CLOTH = 185
const TO_CLOTH = 120
const TO_BOARD = 72
const BOARD = { aluminium: 14500 * 1.3, other: 5600 * 1.3 } as const
const SETTLES = { aluminium: 1250, other: 700 } as const
/** Absorbed share times that of what is seen of the panel; fitted to what the full model needs. */
const PANEL = { temperature: 698, seen: 0.66 * 0.775, on: 0 } as const
const QUARTZ = { temperature: 863, seen: 0.7 * 0.5, on: 0.6 } as const
const BOLTZMANN = 5.67e-8
const GAS = 8.314
const AIR_UNDER = 5
const AIR_IDLE = 14
const STEP = 0.2
export const ZERO = 273.15
/** Half a minute of rest that a cold garment takes up heat from its board before the flash, s. */
const RESTS = 10

/** Below this nothing happens that counts. */
const ASLEEP = 333.15
const fourth = (x: number): number => x * x * x * x

const speed = (t: number, most: number, slope: number, at: number) =>
  t <= ASLEEP ? 0 : most * Math.exp((-slope / GAS) * (1 / t - 1 / at))
export const gelSpeed = (t: number): number => speed(t, 1.3, 100e3, 388.15)
export const cureSpeed = (t: number, low: boolean): number => speed(t, 0.28, 120e3, low ? 411 : 433.15)

/** A spot of the print under heat. */
export interface Spot {
  film: number
  cloth: number
  gel: number
  cure: number
  /** Warmest film and cloth so far. */
  peak: number
  clothPeak: number
}

export interface Under {
  readonly quartz: boolean
  /** What reaches this spot, 1 as planned. */
  readonly gain: number
  /** Of the cloth on the board, 1 as planned. */
  readonly contact: number
  readonly air: number
}

/** A spot just printed on a board that is so warm, kelvin. */
export function freshSpot(board: number, air: number, contact: number): Spot {
  const cloth = air + (board - air) * (1 - Math.exp((-TO_BOARD * contact * RESTS) / CLOTH))
  const film = (cloth * 75 + air * (FILM - 75)) / FILM
  return { film, cloth, gel: 0, cure: 0, peak: film, clothPeak: cloth }
}

/** Seconds under the unit, or beside it with a gain of 0. */
export function heat(spot: Spot, seconds: number, board: number, under: Under, lit: boolean): void {
  const unit = under.quartz ? QUARTZ : PANEL
  const under4 = fourth(unit.temperature)
  for (let t = 0; t < seconds - 1e-9; t += STEP) {
    const dt = Math.min(STEP, seconds - t)
    const on = lit ? (unit.on > 0 ? 1 - Math.exp(-(t + dt / 2) / unit.on) : 1) : 0
    const gas = lit
      ? AIR_UNDER * (under.air + 0.2 * (unit.temperature - under.air) - spot.film)
      : AIR_IDLE * (under.air - spot.film)
    const rays = lit ? BOLTZMANN * unit.seen * under.gain * on * (under4 - fourth(spot.film)) : 0
    const toCloth = TO_CLOTH * (spot.film - spot.cloth)
    const toBoard = TO_BOARD * under.contact * (spot.cloth - board)
    spot.film += (dt * (rays + gas - toCloth)) / FILM
    spot.cloth += (dt * (toCloth - toBoard)) / CLOTH
    if (spot.film > ASLEEP) {
      spot.gel = 1 - (1 - spot.gel) * Math.exp(-gelSpeed(spot.film) * dt)
      spot.cure = 1 - (1 - spot.cure) * Math.exp(-cureSpeed(spot.film, false) * dt)
    }
    if (spot.film > spot.peak) spot.peak = spot.film
    if (spot.cloth > spot.clothPeak) spot.clothPeak = spot.cloth
  }
}

/** Seconds of flash that an outer spot needs, three of after-heat counted. @param board celsius */
export function neededOn(board: number, quartz: boolean, gain: number, air: number): number {
  const under: Under = { quartz, gain: 0.95 * gain, contact: 1, air: air + ZERO }
  let [low, high] = [0.5, 40]
  for (let i = 0; i < 18; i++) {
    const seconds = (low + high) / 2
    const spot = freshSpot(board + ZERO, air + ZERO, 1)
    heat(spot, seconds, board + ZERO, under, true)
    heat(spot, 3, board + ZERO, under, false)
    if (spot.gel >= 0.9) high = seconds
    else low = seconds
  }
  return high
}

/** The gain with which this reduced chain needs what the full model needs at 45 C. */
export function gainFor(needed: number, quartz: boolean, air: number): number {
  let [low, high] = [0.3, 3]
  for (let i = 0; i < 16; i++) {
    const gain = Math.sqrt(low * high)
    if (neededOn(45, quartz, gain, air) > needed) low = gain
    else high = gain
  }
  return Math.sqrt(low * high)
}

/** Dwells follow warm boards: shorter by so much a kelvin over 45 C. */
export const followed = (boardC: number): number => Math.max(0.4, 1 - 0.0115 * (boardC - 45))

/** A board takes up what a spot gave it, and settles toward the air until it comes round again. */
export function boardAfter(
  board: number,
  air: number,
  given: number,
  wait: number,
  aluminium: boolean,
): number {
  const kind = aluminium ? 'aluminium' : 'other'
  const warmed = board + given / BOARD[kind]
  return air + (warmed - air) * Math.exp(-wait / SETTLES[kind])
}

/** What a spot gave its board over a while, J/m2. */
export const givenTo = (spot: Spot, board: number, contact: number, seconds: number): number =>
  TO_BOARD * contact * (spot.cloth - board) * seconds

/** Film after so many seconds in a tunnel that drives it to `set`, with the cure it reaches. Celsius. */
export function through(
  from: number,
  set: number,
  seconds: number,
  slowness: number,
  low: boolean,
): { readonly peak: number; readonly cure: number } {
  const tau = 22 * slowness
  let cure = 0
  const dt = 1
  for (let t = 0; t < seconds; t += dt) {
    const film = set - (set - from) * Math.exp(-(t + dt / 2) / tau)
    cure = 1 - (1 - cure) * Math.exp(-cureSpeed(film + ZERO, low) * dt)
  }
  return { peak: set - (set - from) * Math.exp(-seconds / tau), cure }
}

/** Set-point that brings a film to its target. */
export const setFor = (target: number, from: number, seconds: number): number =>
  from + (target - from) / (1 - Math.exp(-seconds / 22))
