import { choiceOf, numberOf, q, type Reason } from '../advice'
import type { Dryer, TunnelCalibration } from '../equipment'
import {
  type BeltWindow,
  beltWindow,
  clothHeat,
  HEAT,
  type InkKind,
  type Load,
  type Passed,
  pass,
  shiftFor,
  tunnelOf,
  WATER_LEFT,
} from '../heat'
import { celsius, type Temperature } from '../quantity'
import { heatedCloth, inkKindOf, WHITES, wetFilm } from './heatedOf'
import type { RunPlan } from './runPlan'

/** Films that are hotter than this are spoiled (common practice). */
const MOST: Partial<Record<InkKind, Temperature>> = { expanding: celsius(180), low: celsius(150) }
const MOST_ELSE: Temperature = celsius(190)
/** Water-based ink is cured by time: this is enough for its film (the model's own). */
const WATER_LEAST: Temperature = celsius(155)

const KINDS = { infrared: 'An infrared tunnel', gas: 'A gas tunnel' } as const

/** A print on its way through the dryer, as a usual tunnel of its kind and length heats it. */
export interface CureHeat {
  readonly window: BeltWindow
  /** At the belt speed that is planned. */
  readonly passed: Passed
  readonly reasons: readonly Reason[]
}

/**
 * What the tunnel does to the thickest place of a print at the planned belt speed.
 *
 * @returns undefined where no belt carries it
 */
export function cureHeat(plan: RunPlan, dryers: readonly Dryer[]): CureHeat | undefined {
  const { cure } = plan
  const dryer = dryers.find((d) => d.id === (cure.dryer && choiceOf(cure.dryer)))
  if (!cure.belt || !dryer) return undefined
  const cured = thickest(plan)
  if (!cured) return undefined
  const { load, least, most } = cured
  const kind = dryer.heat ?? 'infrared'
  const gain = dryer.calibration?.gain ?? 1
  const zones = tunnelOf(kind, dryer.heatedLength, 0, gain)
  const window = beltWindow(zones, load, { least, most })
  const belt = numberOf(cure.belt)
  const passed = pass(zones, load, belt, true)
  const shift =
    window.most !== undefined && belt > window.most
      ? shiftFor(kind, dryer.heatedLength, load, belt, least, gain)
      : 0
  return {
    window,
    passed,
    reasons: [
      ...told({
        belt,
        window,
        passed,
        dryer: dryer.name,
        kind: KINDS[kind],
        least,
        most,
        shift,
        calibration: dryer.calibration,
      }),
      ...clothHeat(plan.cloth, passed.cloth, 'In the tunnel'),
    ],
  }
}

/** The thickest place of a print, what its film has to reach, and what the weakest of its inks stands; kelvin. */
export function thickest(plan: RunPlan): { load: Load; least: Temperature; most: Temperature } | undefined {
  const { cure, cloth, ambient, hits } = plan
  const films = hits.filter((h) => h.hit.role !== 'smoothing')
  // Whites lie under everything; of the colours the heaviest lies on them.
  const whites = films.filter(({ hit }) => WHITES.has(hit.role))
  const colours = films.filter(({ hit }) => !WHITES.has(hit.role)).map((h) => wetFilm(h, cloth))
  const top = colours.sort((a, b) => b.ink.mass - a.ink.mass)[0] ?? (whites[0] && wetFilm(whites[0], cloth))
  if (!top) return undefined
  const below = colours.length > 0 ? whites : whites.slice(1)
  const load: Load = {
    fabric: heatedCloth(cloth),
    ink: { ...top.ink, mass: top.ink.mass + below.reduce((sum, h) => sum + wetFilm(h, cloth).ink.mass, 0) },
    takes: top.takes,
    ambient: { air: numberOf(ambient.air), humidity: numberOf(ambient.humidity) },
  }
  const most = Math.min(...films.map((h) => MOST[inkKindOf(h)] ?? MOST_ELSE))
  const least = top.ink.water > 0 ? WATER_LEAST : numberOf(cure.inkFilm)
  return { load, least, most }
}

interface Told {
  readonly belt: number
  readonly window: BeltWindow
  readonly passed: Passed
  readonly dryer: string
  readonly kind: string
  readonly least: Temperature
  readonly most: Temperature
  /** K by which the set points would have to move. */
  readonly shift: number
  readonly calibration: TunnelCalibration | undefined
}

function told({
  belt,
  window,
  passed,
  dryer,
  kind,
  least,
  most,
  shift,
  calibration,
}: Told): readonly Reason[] {
  const inputs = { dryer, kind, belt: q('beltSpeed', belt), film: q('temperature', passed.peak) }
  const comes = { ...inputs, cure: q('share', passed.cure), cloth: q('temperature', passed.cloth) }
  const reaches = calibration
    ? HEAT.because('CURE_AS_READ', {
        ...comes,
        day: calibration.on,
        spread: q('count', Math.max(1, Math.round(calibration.filmSpread))),
      })
    : HEAT.because('CURE_REACHES', comes)
  if (window.most === undefined) return [reaches, HEAT.because('CURE_NEVER', { dryer })]
  const fast = { ...inputs, most: q('beltSpeed', window.most) }
  const byWater = passed.water > WATER_LEFT && passed.peak >= least
  if (belt > window.most && shift <= EASY && !byWater)
    return [
      reaches,
      HEAT.because('CURE_SHIFT', {
        belt: inputs.belt,
        wanted: q('temperature', least),
        shift: q('count', Math.max(1, Math.round(shift))),
        most: fast.most,
      }),
    ]
  if (belt > window.most * (1 + SLACK))
    return [
      reaches,
      byWater
        ? HEAT.because('CURE_WET', { ...fast, water: q('share', passed.water) })
        : HEAT.because('CURE_FAST', fast),
    ]
  if (window.least !== undefined && belt < window.least * (1 - SLACK))
    return [
      reaches,
      HEAT.because('CURE_SLOW', {
        ...inputs,
        least: q('beltSpeed', window.least),
        limit: q('temperature', most),
      }),
    ]
  return [reaches]
}

/** A tunnel as they usually are is no nearer to the shop's own than this. */
const SLACK = 0.1
/** Set points are moved so far without a thought, K (assumed). */
const EASY = 40
