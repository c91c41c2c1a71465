import type { FlashKind } from '../../equipment'
import { celsius, type Share, type Temperature } from '../../quantity'
import type { Kinetics } from './kinetics'

/**
 * What the model of heat is fed with, SI. Where from stands beside each: physical; handbook (from memory); tuned to a fact of
 * the trade, which is then no independent check of it; assumed. Nothing was measured at a press.
 */

/** Absorbed share of long waves and of short ones. */
export interface Absorption {
  readonly long: Share
  readonly short: Share
}
export const absorbed = ({ long, short }: Absorption, shortShare: Share): Share =>
  long * (1 - shortShare) + short * shortShare

/** What gives off the heat of a flash. */
export interface Panel {
  /** Effective temperature of the emitting face: takes up emissivity, reflector and age. */
  readonly temperature: number
  readonly width: number
  readonly height: number
  readonly emissivity: Share
  /** Share of what it gives off in short waves. */
  readonly short: Share
  /** What such units are set to (assumed). */
  readonly set: readonly [Temperature, Temperature]
  /** Seconds in which it comes on; 0 for one that is always hot. */
  readonly comesOn: number
  /** Heat transfer of the air under it, W/m2K. */
  readonly air: number
  /** How far the air under it is heated on the way from the room's to its own temperature; or its temperature. */
  readonly warms: Share | { readonly to: number }
}

const PANEL: Panel = {
  // Tuned: gelled in 5 to 12 s. Sizes are handbook (18 in).
  temperature: celsius(425),
  set: [celsius(350), celsius(500)],
  width: 0.457,
  height: 0.457,
  emissivity: 0.9,
  short: 0.08,
  comesOn: 0,
  air: 5,
  warms: 0.2,
}
export const PANELS: Readonly<Record<Exclude<FlashKind, 'gun'>, Panel>> = {
  panel: PANEL,
  // Tuned: fits an automatic of 400 to 700 an hour.
  quartz: {
    temperature: celsius(590),
    set: [celsius(500), celsius(700)],
    width: 0.457,
    height: 0.559,
    emissivity: 0.9,
    short: 0.75,
    comesOn: 0.6,
    air: 6,
    warms: 0.05,
  },
  // Tuned: water-based ink dries in about half the time.
  air: { ...PANEL, air: 40, warms: { to: celsius(95) } },
}

/** A heat gun that is swept over the print (tuned: touch dry in 30 to 45 s). */
export const GUN = { air: 75, temperature: celsius(300), across: 0.13 }

/** Air of a room alone, and below a board, W/m2K (handbook). */
export const ROOM_AIR = 7
export const UNDER_PALLET = 5
/** Of a surface against the room round it. */
export const TO_ROOM: Share = 0.93

export interface Fabric {
  /** kg/m2, J/kgK, m, W/mK. */
  readonly mass: number
  readonly heat: number
  readonly thickness: number
  readonly conducts: number
  /** Water that it takes from the air, against cotton. */
  readonly regain: Share
}

/** Handbook values, per square metre of one layer. */
export const FABRICS = {
  cotton: { mass: 0.17, heat: 1350, thickness: 0.55e-3, conducts: 0.055, regain: 1 },
  blend: { mass: 0.17, heat: 1280, thickness: 0.55e-3, conducts: 0.053, regain: 0.53 },
  polyester: { mass: 0.15, heat: 1200, thickness: 0.48e-3, conducts: 0.05, regain: 0.05 },
  fleece: { mass: 0.3, heat: 1320, thickness: 1.6e-3, conducts: 0.045, regain: 0.85 },
} as const satisfies Record<string, Fabric>
/** Share of the cloth that is keyed into the film (assumed). */
export const KEYED: Share = 0.3
/** Cloth on the pallet with tack, W/m2K (tuned: cool-down, heating from lap to lap). */
export const TACKED = 130

/** How colours take up long and short waves (assumed, +-0.05). */
export const INK_TAKES = {
  white: { long: 0.86, short: 0.52 },
  light: { long: 0.87, short: 0.62 },
  mid: { long: 0.89, short: 0.75 },
  dark: { long: 0.92, short: 0.9 },
} as const satisfies Record<string, Absorption>
export const CLOTH_TAKES = {
  white: { long: 0.82, short: 0.38 },
  light: { long: 0.84, short: 0.5 },
  mid: { long: 0.87, short: 0.68 },
  dark: { long: 0.92, short: 0.9 },
} as const satisfies Record<keyof typeof INK_TAKES, Absorption>
export type Shade = keyof typeof INK_TAKES

/** A wet film as it is printed. */
export interface WetInk {
  /** kg/m2 (assumed). */
  readonly mass: number
  /** Heat capacity of what is no water, J/kgK (handbook). */
  readonly heat: number
  readonly water: Share
  /** What it lets through to the cloth. */
  readonly lets: Absorption
  /** What the vapour of the cloth finds of a way through it. */
  readonly vapour: Share
  readonly kinetics: Kinetics
}

/** Tuned: gels at 105 to 130 °C; 160 °C and 60 s in a tunnel, 60 s under a panel. */
const PLASTISOL: Kinetics = {
  gelAt: celsius(114.85),
  gelRate: 1.3,
  gelSlope: 100e3,
  cureAt: celsius(159.85),
  cureRate: 0.28,
  cureSlope: 120e3,
}
/** Tuned: 90 to 150 s in a tunnel. */
const WATER_BASED: Kinetics = { ...PLASTISOL, cureAt: celsius(154.85), cureRate: 0.035, cureSlope: 90e3 }

const OF_PLASTISOL = { heat: 1400, water: 0, vapour: 0.35, kinetics: PLASTISOL } as const
export const INKS = {
  base: { ...OF_PLASTISOL, mass: 0.11, lets: { long: 0.04, short: 0.12 } },
  top: { ...OF_PLASTISOL, mass: 0.06, lets: { long: 0.06, short: 0.15 } },
  metallic: {
    ...OF_PLASTISOL,
    mass: 0.12,
    heat: 1300,
    lets: { long: 0.02, short: 0.05 },
    kinetics: { ...PLASTISOL, cureAt: celsius(170) },
  },
  expanding: {
    ...OF_PLASTISOL,
    mass: 0.11,
    lets: { long: 0.04, short: 0.12 },
    kinetics: { ...PLASTISOL, cureAt: celsius(162) },
  },
  low: {
    ...OF_PLASTISOL,
    mass: 0.11,
    lets: { long: 0.04, short: 0.12 },
    kinetics: { ...PLASTISOL, gelAt: celsius(101.85), cureAt: celsius(132) },
  },
  highSolids: {
    mass: 0.1,
    heat: 1500,
    water: 0.4,
    lets: { long: 0.04, short: 0.15 },
    vapour: 0.6,
    kinetics: WATER_BASED,
  },
  waterBased: {
    mass: 0.08,
    heat: 1500,
    water: 0.65,
    lets: { long: 0.1, short: 0.25 },
    vapour: 0.6,
    kinetics: WATER_BASED,
  },
} as const satisfies Record<string, WetInk>
export type InkKind = keyof typeof INKS

/** A layer of what lies under the cloth. */
export interface Layer {
  readonly thickness: number
  readonly conducts: number
  /** J/m3K. */
  readonly holds: number
}
export interface Board {
  readonly layers: readonly Layer[]
  readonly emissivity: Share
  /** Area that takes part against the print's (assumed). */
  readonly spread: number
}

const ALUMINIUM = { conducts: 200, holds: 2700 * 897 }
/** Sub-layers grow downwards: heat that comes in a second moves little in rubber or wood. */
const sliced = (thickness: number, count: number, of: Omit<Layer, 'thickness'>): readonly Layer[] => {
  const parts = Array.from({ length: count }, (_, i) => 1.8 ** i)
  const all = parts.reduce((a, b) => a + b, 0)
  return parts.map((p) => ({ ...of, thickness: (thickness * p) / all }))
}
/** Handbook values; emissivity and spread assumed. */
export const BOARDS = {
  aluminium: { layers: [{ ...ALUMINIUM, thickness: 0.006 }], emissivity: 0.8, spread: 1.25 },
  rubber: {
    layers: [...sliced(0.003, 4, { conducts: 0.25, holds: 1250 * 1500 }), { ...ALUMINIUM, thickness: 0.006 }],
    emissivity: 0.92,
    spread: 1.25,
  },
  wood: { layers: sliced(0.018, 7, { conducts: 0.16, holds: 720 * 1600 }), emissivity: 0.9, spread: 1 },
} as const satisfies Record<string, Board>
export type BoardKind = keyof typeof BOARDS

/** What a press was found to do against the table, cloth to board and board to air below: set by readings, 1 before. */
export interface Fitted {
  readonly contact: number
  readonly loss: number
}
export const AS_TABLED: Fitted = { contact: 1, loss: 1 }
