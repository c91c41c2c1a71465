import type { Share } from '../../quantity'
import {
  type Absorption,
  absorbed,
  type Board,
  type Fabric,
  type Fitted,
  KEYED,
  type Panel,
  ROOM_AIR,
  TACKED,
  TO_ROOM,
  UNDER_PALLET,
  type WetInk,
} from './materials'
import type { Phase, Stack } from './stack'
import { regainIn, saturation, WATER_HEAT } from './water'

/** Air of the shop: kelvin and relative humidity. */
export interface Ambient {
  readonly air: number
  readonly humidity: Share
}
export const USUAL_AMBIENT: Ambient = { air: 295.15, humidity: 0.5 }
export const vapourOf = ({ air, humidity }: Ambient): number => humidity * saturation(air)

/** A garment on a board: film and the cloth keyed into it, the rest of the cloth, the layers of the board. */
export function onBoard(fabric: Fabric, board: Board, fitted: Fitted, ambient: Ambient): Stack {
  const rest = 1 - KEYED
  const half = (fabric.thickness * rest) / (2 * fabric.conducts)
  const layers = board.layers
  const resists = layers.map((l) => l.thickness / (2 * l.conducts))
  const count = 2 + layers.length
  const s: Stack = {
    nodes: [
      { cloth: KEYED * fabric.mass, regain: fabric.regain },
      { cloth: rest * fabric.mass, regain: fabric.regain },
      ...layers.map(() => ({ cloth: 0, regain: 1 })),
    ],
    joints: [
      1 / half,
      1 / (half + 1 / (TACKED * fitted.contact) + (resists[0] ?? 0)),
      ...resists.slice(1).map((r, i) => 1 / (r + (resists[i] ?? 0))),
    ],
    holds: Float64Array.from([0, 0, ...layers.map((l) => board.spread * l.thickness * l.holds)]),
    t: new Float64Array(count).fill(ambient.air),
    wet: new Float64Array(count),
    ink: 0,
    film: undefined,
    gel: 0,
    cure: 0,
  }
  load(s, fabric, ambient)
  return s
}

/** A fresh garment on the board: cloth as warm and as damp as the room; the board keeps its heat. */
export function load(s: Stack, fabric: Fabric, ambient: Ambient): void {
  const water = fabric.mass * fabric.regain * regainIn(ambient.humidity)
  for (const [i, share] of [KEYED, 1 - KEYED].entries()) {
    s.holds[i] = share * fabric.mass * fabric.heat
    s.wet[i] = share * water
    s.t[i] = ambient.air
  }
  s.ink = 0
  s.film = undefined
  s.gel = 0
  s.cure = 0
}

/** Heat that an ink holds without its water, J/m2K. */
export const dryHeat = (ink: WetInk): number => ink.mass * (1 - ink.water) * ink.heat

/** A wet film goes on: it cools what it lies on. */
export function print(s: Stack, ink: WetInk, kelvin: number): void {
  const water = ink.mass * ink.water
  const dry = dryHeat(ink)
  const wet = WATER_HEAT * ((s.wet[0] ?? 0) + s.ink)
  const own = (s.holds[0] ?? 0) + wet
  const added = dry + WATER_HEAT * water
  s.t[0] = (own * (s.t[0] ?? 0) + added * kelvin) / (own + added)
  s.holds[0] = (s.holds[0] ?? 0) + dry
  s.ink += water
  s.film = { water: s.ink, vapour: ink.vapour, kinetics: ink.kinetics }
  s.gel = 0
  s.cure = 0
}

/** What colour lies on top, and on what. */
export interface Takes {
  readonly ink: Absorption
  readonly cloth: Absorption
  readonly lets: Absorption
}

/** Under a unit, at a spot that sees so much of it. @param gain heat it gives against the table */
export function under(
  panel: Panel,
  factor: Share,
  takes: Takes,
  ambient: Ambient,
  loss: number,
  gain: number,
): Phase {
  const [ink, cloth, lets] = [takes.ink, takes.cloth, takes.lets].map((a) => absorbed(a, panel.short)) as [
    Share,
    Share,
    Share,
  ]
  const back = (1 - panel.emissivity) * (1 - ink) * factor * factor
  const gas =
    typeof panel.warms === 'number'
      ? ambient.air + panel.warms * (panel.temperature - ambient.air)
      : panel.warms.to
  return {
    onTop: (gain * panel.emissivity * ink * factor) / (1 - back),
    onSecond: gain * panel.emissivity * lets * cloth * factor,
    source: panel.temperature,
    comesOn: panel.comesOn,
    toRoom: TO_ROOM * (1 - factor),
    room: ambient.air,
    air: panel.air,
    gas,
    below: loss,
    under: ambient.air,
    vapour: vapourOf(ambient),
  }
}

/** In the air of the shop. @param air W/m2K: a fan cools faster */
export const inRoom = (ambient: Ambient, loss: number, air: number = ROOM_AIR): Phase => ({
  onTop: 0,
  onSecond: 0,
  source: ambient.air,
  comesOn: 0,
  toRoom: TO_ROOM,
  room: ambient.air,
  air,
  gas: ambient.air,
  below: loss,
  under: ambient.air,
  vapour: vapourOf(ambient),
})

/** What the board loses below, W/m2K of print. */
export const lossOf = (board: Board, fitted: Fitted): number => UNDER_PALLET * board.spread * fitted.loss
