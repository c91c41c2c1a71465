import type { Share } from '../../quantity'
import { CURED, readiness } from './flash'
import { type Ambient, dryHeat, load, type Takes } from './garment'
import { absorbed, type Fabric, KEYED, type WetInk } from './materials'
import { type Phase, type Stack, step } from './stack'

/** A stretch of a tunnel: panels above, hot air, and what is below the belt. Metres, kelvin, W/m2K, Pa. */
export interface Zone {
  readonly length: number
  readonly panel: number
  /** Exchange of the panels with the film, 0 to 1. */
  readonly exchange: Share
  readonly air: number
  readonly gas: number
  readonly below: number
  readonly under: number
  readonly vapour: number
}

const C = 273.15
const mouth = (length: number): Zone => ({
  length,
  panel: C + 40,
  exchange: 0,
  air: 8,
  gas: C + 40,
  below: 6,
  under: C + 40,
  vapour: 1500,
})
const ir = (panel: number, gas: number, under: number): Zone => ({
  length: 1.2,
  panel: C + panel,
  exchange: 0.38,
  air: 10,
  gas: C + gas,
  below: 8,
  under: C + under,
  vapour: 4000,
})
/** Tunnels as they usually are (tuned: 160 °C in the film and about 60 s; 90 to 150 s for water-based ink). */
export const TUNNELS = {
  infrared: [ir(370, 115, 95), ir(340, 125, 105)],
  gas: [
    { ...ir(370, 165, 150), length: 0.8, exchange: 0.22, air: 22, below: 14, vapour: 8000 },
    { ...ir(0, 175, 165), length: 2.8, exchange: 0, air: 28, below: 16, vapour: 8000 },
  ],
} as const satisfies Record<string, readonly Zone[]>
export type TunnelKind = keyof typeof TUNNELS
const ENDS = { infrared: 0.25, gas: 0.3 } as const

/**
 * A tunnel of a kind with this heated length, its zones in their shares.
 *
 * @param shift added to every set point, K @param gain heat that its panels and its air pass on, against the table
 */
export function tunnelOf(kind: TunnelKind, heated: number, shift = 0, gain = 1): readonly Zone[] {
  const zones = TUNNELS[kind]
  const usual = zones.reduce((sum, z) => sum + z.length, 0)
  const hot = zones.map((z) => ({
    ...z,
    length: (z.length * heated) / usual,
    panel: z.panel + shift,
    gas: z.gas + shift,
    under: z.under + shift,
    exchange: Math.min(1, z.exchange * gain),
    // Hot air is what a gas tunnel heats with.
    ...(kind === 'gas' && { air: z.air * gain, below: z.below * gain }),
  }))
  return [mouth(ENDS[kind]), ...hot, mouth(ENDS[kind])]
}

/** The belt under a garment: a coated glass or steel mesh, J/m2K and W/m2K to the cloth (assumed). */
const BELT = 300
const ON_BELT = 60
/** Front and back of a garment lie on each other loosely, W/m2K (assumed). */
const LAYERS = 45

/** What goes through. */
export interface Load {
  readonly fabric: Fabric
  readonly ink: WetInk
  readonly takes: Takes
  readonly ambient: Ambient
  /** Water in the cloth, kg a kg of dry cloth, where it is known; what the air of the shop gives it without. */
  readonly regain?: number
}

/** Film, the rest of the front, the back, the belt. */
function onBelt({ fabric, ink, ambient, regain }: Load): Stack {
  const half = (fabric.thickness * (1 - KEYED)) / (2 * fabric.conducts)
  const whole = fabric.thickness / (2 * fabric.conducts)
  const s: Stack = {
    nodes: [
      { cloth: KEYED * fabric.mass, regain: fabric.regain },
      { cloth: (1 - KEYED) * fabric.mass, regain: fabric.regain },
      { cloth: fabric.mass, regain: fabric.regain },
      { cloth: 0, regain: 1 },
    ],
    joints: [1 / half, 1 / (half + 1 / LAYERS + whole), 1 / (whole + 1 / ON_BELT)],
    holds: new Float64Array(4),
    t: new Float64Array(4),
    wet: new Float64Array(4),
    ink: 0,
    film: undefined,
    gel: 1,
    cure: 0,
  }
  load(s, fabric, ambient)
  const wet = regain ?? ((s.wet[0] ?? 0) + (s.wet[1] ?? 0)) / fabric.mass
  for (const i of [0, 1, 2]) s.wet[i] = (s.nodes[i]?.cloth ?? 0) * wet
  s.holds.set([fabric.mass * fabric.heat, BELT], 2)
  const water = ink.mass * ink.water
  s.holds[0] = (s.holds[0] ?? 0) + dryHeat(ink)
  s.ink = water
  s.film = { water, vapour: ink.vapour, kinetics: ink.kinetics }
  s.t.fill(ambient.air)
  return s
}

/** Infrared panels of a tunnel give off little in short waves (assumed). */
const SHORT = 0.08

const phaseOf = (z: Zone, takes: Takes): Phase => {
  const [ink, cloth, lets] = [takes.ink, takes.cloth, takes.lets].map((a) => absorbed(a, SHORT)) as [
    number,
    number,
    number,
  ]
  return {
    onTop: z.exchange * ink,
    onSecond: z.exchange * lets * cloth,
    source: z.panel,
    comesOn: 0,
    toRoom: 1 - z.exchange,
    room: z.gas,
    air: z.air,
    gas: z.gas,
    below: z.below,
    under: z.under,
    vapour: z.vapour,
  }
}

/** A garment that went through. */
export interface Passed {
  readonly peak: number
  /** Hottest that its cloth was. */
  readonly cloth: number
  readonly cure: Share
  /** Share of the ink's water that is left. */
  readonly water: Share
  /** Seconds until the film is dry to the touch; undefined for plastisol and where it never is. */
  readonly dry: number | undefined
  /** Along the belt: metres, kelvin of film and cloth, cure. */
  readonly along: readonly {
    readonly at: number
    readonly film: number
    readonly cloth: number
    readonly cure: number
  }[]
}

const STEP = 0.25

/** A garment on its way through at a belt speed, m/s. */
export function pass(zones: readonly Zone[], load: Load, speed: number, profile = false): Passed {
  const s = onBelt(load)
  const along: Passed['along'][number][] = []
  let [peak, cloth, at, time] = [0, 0, 0, 0]
  let dry: number | undefined
  for (const zone of zones) {
    const phase = phaseOf(zone, load.takes)
    const whole = zone.length / speed
    const steps = Math.max(1, Math.ceil(whole / STEP))
    for (let i = 0; i < steps; i++) {
      step(s, phase, whole / steps, (i * whole) / steps)
      time += whole / steps
      at += zone.length / steps
      peak = Math.max(peak, s.t[0]!)
      cloth = Math.max(cloth, s.t[1]!)
      if (dry === undefined && load.ink.water > 0 && readiness(s) >= 1) dry = time
      if (profile) along.push({ at, film: s.t[0]!, cloth: s.t[1]!, cure: s.cure })
    }
  }
  return { peak, cloth, cure: s.cure, water: s.film?.water ? s.ink / s.film.water : 0, dry, along }
}

/** Of the ink's water so little is left. */
export const WATER_LEFT: Share = 0.02
/** Belts of shops, m/s: a garment in half an hour, and in two seconds. */
const SLOWEST = 1e-3
const FASTEST = 1
const HALVINGS = 24

/** The fastest belt at which `fits` still holds; undefined where it never does. */
function fastest(fits: (speed: number) => boolean): number | undefined {
  if (!fits(SLOWEST)) return undefined
  if (fits(FASTEST)) return FASTEST
  let [low, high] = [Math.log(SLOWEST), Math.log(FASTEST)]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (fits(Math.exp(middle))) low = middle
    else high = middle
  }
  return Math.exp(low)
}

/** Belt speeds, m/s, between which a print is cured and none too hot. */
export interface BeltWindow {
  /** Highest that cures; undefined where no speed does. */
  readonly most: number | undefined
  /** Lowest that the ink and the cloth stand; undefined where they stand any. */
  readonly least: number | undefined
}

/** @param film kelvin that the film has to reach, and that it or the cloth may not pass */
export function beltWindow(
  zones: readonly Zone[],
  load: Load,
  film: { readonly least: number; readonly most: number },
): BeltWindow {
  const most = fastest((speed) => {
    const p = pass(zones, load, speed)
    return p.peak >= film.least && p.cure >= CURED && p.water <= WATER_LEFT
  })
  // At the slowest belt all is as hot as the tunnel.
  const stands = (speed: number) => pass(zones, load, speed).peak <= film.most
  if (stands(SLOWEST)) return { most, least: undefined }
  let [low, high] = [Math.log(SLOWEST), Math.log(FASTEST)]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (stands(Math.exp(middle))) high = middle
    else low = middle
  }
  return { most, least: Math.exp(high) }
}

/** By how much every set point has to move, K, so that this speed cures with the film at `wanted`; to a tenth of a kelvin. */
export function shiftFor(
  kind: TunnelKind,
  heated: number,
  load: Load,
  speed: number,
  wanted: number,
  gain = 1,
): number {
  let [low, high] = [-200, 200]
  while (high - low > 0.1) {
    const middle = (low + high) / 2
    if (pass(tunnelOf(kind, heated, middle, gain), load, speed).peak >= wanted) high = middle
    else low = middle
  }
  return high
}
