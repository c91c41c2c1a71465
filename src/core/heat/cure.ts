import type { RuleOf } from '../advice'
import {
  type ChoiceAdvice,
  type NumberAdvice,
  numberOf,
  type Overrides,
  q,
  type Reason,
  type ShopMethod,
} from '../advice'
import type { Dryer } from '../equipment'
import { type Cloth, type InkSystem, isBlend, isPolyester } from '../order'
import { celsius, type Length, mm, type Temperature } from '../quantity'
import { HEAT } from './definition'

/** What the heat has to cure. */
export interface CureNeed {
  readonly system: InkSystem
  readonly inkType: string
  readonly lowCure: boolean
}

interface CureRow {
  readonly rule: RuleOf<typeof HEAT>
  /** Degrees Celsius: lowest, aim, highest. */
  readonly inkFilm: readonly [number, number, number]
  /** Seconds in a normal tunnel. */
  readonly dwell: readonly [number, number, number]
}

const CURES = {
  plastisol: { rule: 'CURE_PLASTISOL', inkFilm: [160, 160, 175], dwell: [50, 60, 75] },
  highSolids: { rule: 'CURE_HIGH_SOLIDS', inkFilm: [160, 160, 175], dwell: [90, 120, 150] },
  waterBased: { rule: 'CURE_WATER', inkFilm: [160, 160, 175], dwell: [90, 120, 150] },
  metallic: { rule: 'CURE_METALLIC', inkFilm: [160, 170, 190], dwell: [60, 65, 75] },
  expanding: { rule: 'CURE_EXPANDING', inkFilm: [160, 165, 170], dwell: [55, 60, 65] },
  low: { rule: 'CURE_LOW', inkFilm: [125, 130, 140], dwell: [75, 90, 120] },
} as const satisfies Record<InkSystem, CureRow> & Record<string, CureRow>

const rowOf = (need: CureNeed): CureRow => {
  if (need.lowCure) return CURES.low
  if (need.inkType === 'metallic' || need.inkType === 'expanding') return CURES[need.inkType]
  return CURES[need.system]
}

export interface Cure {
  readonly inkFilm: NumberAdvice
  readonly dwell: NumberAdvice
  readonly dryer: ChoiceAdvice
  readonly belt: NumberAdvice | undefined
}

/** Dye migration starts about here; cloth makers differ. */
const BLEEDS = { polyester: celsius(130), blend: celsius(140) } as const

function migration(cloth: Cloth, film: Temperature): Reason[] {
  const rule = isPolyester(cloth) ? 'POLY_HOT' : isBlend(cloth) ? 'BLEND_HOT' : undefined
  if (rule === undefined) return []
  const limit = rule === 'POLY_HOT' ? BLEEDS.polyester : BLEEDS.blend
  const watch = rule === 'POLY_HOT' ? [HEAT.because('POLY_BASE')] : []
  if (film <= limit) return watch
  return [HEAT.because(rule, { limit: q('temperature', limit), cure: q('temperature', film) }), ...watch]
}

/** Film temperature that cures every ink of the print: the strictest decides. Kelvin. */
function filmTemperature(
  rows: readonly CureRow[],
  cloth: Cloth,
  method: ShopMethod,
  overrides: Overrides,
): NumberAdvice {
  const hotter = method.cureTemperature === 'hotter' && rows.every((r) => r.rule !== 'CURE_LOW')
  const low = Math.max(...rows.map((r) => r.inkFilm[0]), hotter ? 165 : 0)
  const high = Math.min(...rows.map((r) => r.inkFilm[2]))
  const aim = Math.max(low, Math.min(high, Math.max(...rows.map((r) => r.inkFilm[1]), hotter ? 167 : 0)))
  const reasons: Reason[] = [...new Set(rows.map((r) => r.rule))].map((rule) => HEAT.because(rule))
  if (reasons.length > 1) reasons.push(HEAT.because('CURE_STRICTEST'))
  if (hotter) reasons.push(HEAT.because('CURE_HOTTER'))
  if (low > high)
    reasons.push(
      HEAT.because('CURE_CLASH', {
        low: q('temperature', celsius(low)),
        high: q('temperature', celsius(high)),
      }),
    )
  reasons.push(HEAT.because('CURE_READ'))
  const advice = HEAT.number(
    'cureFilm',
    {
      advised: celsius(aim),
      range: [celsius(low), celsius(Math.max(low, high))],
      reasons,
    },
    overrides,
  )
  return { ...advice, reasons: [...advice.reasons, ...migration(cloth, numberOf(advice))] }
}

/** The belt wants a garment's width; the print's width and a hand on each side is the least. */
const BESIDE_PRINT = mm(100)

function dryerFor(dryers: readonly Dryer[], width: Length, overrides: Overrides): ChoiceAdvice {
  const [longest] = [...dryers].sort((a, b) => b.heatedLength - a.heatedLength)
  const narrow = dryers.filter((d) => d.beltWidth < width + 2 * BESIDE_PRINT)
  return HEAT.choice(
    'dryer',
    {
      advised: longest?.id ?? '',
      choices: dryers.map((d) => ({ value: d.id, label: d.name })),
      reasons: [
        HEAT.because('DRYER_LONGEST'),
        ...narrow
          .filter((d) => d.id === (overrides.dryer ?? longest?.id))
          .map((d) =>
            HEAT.because('BELT_NARROW', {
              dryer: d.name,
              belt: q('length', d.beltWidth),
              width: q('length', width),
            }),
          ),
      ],
    },
    overrides,
  )
}

/**
 * Film temperature, time in the tunnel and belt speed for a print: tables of common practice, the strictest ink
 * decides; belt speed = heated length / dwell (geometry).
 *
 * @param width of the print, metres
 * @returns no belt speed where the shop cures under a panel or has no dryer
 */
export function cureFor(
  needs: readonly CureNeed[],
  cloth: Cloth,
  width: Length,
  dryers: readonly Dryer[],
  method: ShopMethod,
  overrides: Overrides,
): Cure {
  const rows = needs.length > 0 ? needs.map(rowOf) : [CURES[method.ink]]
  const dryer = dryerFor(dryers, width, overrides)
  const panel = method.cure === 'panel'
  const longest = (at: 0 | 1 | 2) => Math.max(...rows.map((r) => r.dwell[at]))
  const dwell = HEAT.number(
    'cureDwell',
    {
      ...(panel && { label: 'Under the panel' }),
      advised: panel ? Math.max(60, longest(0)) : longest(1),
      range: [longest(0), longest(2)],
      reasons: [HEAT.because(panel ? 'DWELL_PANEL' : 'DWELL')],
    },
    overrides,
  )
  const chosen = dryers.find((d) => d.id === (dryer.chosen ?? dryer.advised))
  const film = filmTemperature(rows, cloth, method, overrides)
  if (panel || !chosen) return { inkFilm: film, dwell, dryer, belt: undefined }
  const time = numberOf(dwell)
  const [fast, slow] = [dwell.range[0], dwell.range[1]].map((t) => chosen.heatedLength / t) as [
    number,
    number,
  ]
  const belt = HEAT.number(
    'belt',
    {
      advised: chosen.heatedLength / time,
      range: [slow, fast],
      reasons: [
        HEAT.because('BELT', { length: q('length', chosen.heatedLength), dwell: q('duration', time) }),
      ],
    },
    overrides,
  )
  return { inkFilm: film, dwell, dryer, belt }
}
