import type { RuleOf } from '../advice'
import {
  type ChoiceAdvice,
  choiceOf,
  type NumberAdvice,
  numberOf,
  type Overrides,
  q,
  type Reason,
  type ShopMethod,
} from '../advice'
import type { Dryer, FlashUnit } from '../equipment'
import { type Cloth, type InkSystem, isBlend, isPolyester } from '../order'
import { celsius, type Length, type Temperature } from '../quantity'
import { BLEEDS, isUndyed } from './clothHeat'
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
  discharge: { rule: 'CURE_DISCHARGE', inkFilm: [160, 160, 170], dwell: [120, 150, 180] },
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
  /** None in a shop without one. */
  readonly dryer: ChoiceAdvice | undefined
  readonly belt: NumberAdvice | undefined
}

function migration(cloth: Cloth, film: Temperature): Reason[] {
  const rule =
    isPolyester(cloth) || cloth.dye === 'bleeds' ? 'POLY_HOT' : isBlend(cloth) ? 'BLEND_HOT' : undefined
  if (rule === undefined) return []
  const limit = rule === 'POLY_HOT' ? BLEEDS.polyester : BLEEDS.blend
  if (isUndyed(cloth)) return film > limit ? [HEAT.because('POLY_WHITE', { cloth: cloth.name })] : []
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

/** What goes through the dryer, laid flat, metres. */
export interface Laid {
  readonly width: Length
  readonly length: Length
}

/** A garment that lies neither way round on the belt is folded, if its print still lies flat. */
function onNarrowBelt(dryer: Dryer, { width, length }: Laid, print: Laid): readonly Reason[] {
  if (dryer.beltWidth >= Math.min(width, length) - 1e-9) return []
  const inputs = {
    dryer: dryer.name,
    belt: q('length', dryer.beltWidth),
    width: q('length', width),
    length: q('length', length),
  }
  const flat = Math.min(print.width, print.length) <= dryer.beltWidth
  return [HEAT.because(flat ? 'BELT_NARROW' : 'BELT_TOO_NARROW', inputs)]
}

function dryerFor(
  dryers: readonly Dryer[],
  garment: Laid,
  print: Laid,
  overrides: Overrides,
): ChoiceAdvice | undefined {
  const [longest] = [...dryers].sort((a, b) => b.heatedLength - a.heatedLength)
  if (!longest) return undefined
  const taken = dryers.find((d) => d.id === overrides.dryer) ?? longest
  return HEAT.choice(
    'dryer',
    {
      advised: longest.id,
      choices: dryers.map((d) => ({ value: d.id, label: d.name })),
      reasons: [HEAT.because('DRYER_LONGEST'), ...onNarrowBelt(taken, garment, print)],
    },
    overrides,
  )
}

/** What is missing in the shop to cure a print, in words. */
export const whatCures = (
  { cure }: Pick<ShopMethod, 'cure'>,
  dryers: readonly Dryer[],
  flashes: readonly FlashUnit[],
): readonly Reason[] => [
  ...(cure === 'tunnel' && dryers.length === 0 ? [HEAT.because('NO_DRYER')] : []),
  ...(cure === 'panel' && flashes.every((f) => f.kind === 'gun') ? [HEAT.because('NO_PANEL')] : []),
]

/** Seconds under a heat press: of a part of the time in a tunnel, as the plate touches the film (from memory). */
const PRESSED = 0.5

/** Time under what the shop cures with. */
function dwellBy(by: ShopMethod['cure'], rows: readonly CureRow[]) {
  const longest = (at: 0 | 1 | 2) => Math.max(...rows.map((r) => r.dwell[at]))
  const range = [longest(0), longest(2)] as const
  switch (by) {
    case 'tunnel':
      return { advised: longest(1), range, reasons: [HEAT.because('DWELL')] }
    case 'panel':
      return {
        label: 'Under the panel',
        advised: Math.max(60, longest(0)),
        range,
        reasons: [HEAT.because('DWELL_PANEL')],
      }
    case 'press':
      return {
        label: 'Under the heat press',
        advised: longest(1) * PRESSED,
        range: [range[0] * PRESSED, range[1] * PRESSED] as const,
        reasons: [HEAT.because('DWELL_PRESS')],
      }
    default:
      return by satisfies never
  }
}

/**
 * Film temperature, time in the tunnel and belt speed for a print: tables of common practice, the strictest ink
 * decides; belt speed = heated length / dwell (geometry).
 *
 * @param garment the largest of the run, and its print, laid flat
 * @returns no belt speed where the shop cures under a panel or a heat press, or has no dryer
 */
export function cureFor(
  needs: readonly CureNeed[],
  cloth: Cloth,
  { garment, print }: { readonly garment: Laid; readonly print: Laid },
  dryers: readonly Dryer[],
  method: ShopMethod,
  overrides: Overrides,
): Cure {
  const rows = needs.length > 0 ? needs.map(rowOf) : [CURES[method.ink]]
  const dryer = dryerFor(dryers, garment, print, overrides)
  const dwell = HEAT.number('cureDwell', dwellBy(method.cure, rows), overrides)
  const chosen = dryers.find((d) => d.id === (dryer && choiceOf(dryer)))
  const film = filmTemperature(rows, cloth, method, overrides)
  if (method.cure !== 'tunnel' || !chosen) return { inkFilm: film, dwell, dryer, belt: undefined }
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
