import {
  among,
  type ChoiceAdvice,
  choiceOf,
  type Input,
  type NumberAdvice,
  type Overrides,
  q,
  type Reason,
  type ShopMethod,
} from '../advice'
import { EDGES, type Press, type Proven, provenFor, type Shop } from '../equipment'
import { degrees, type Kind } from '../quantity'
import {
  BLADES,
  type BladeKind,
  FLOODS,
  type Flood,
  PRESSURE_STEPS,
  PRESSURES,
  type Pressure,
  STROKE,
} from './definition'
import { type StrokeNeed, type StrokeRule, settingFor, type Triple } from './settings'

export interface StrokeAdvice {
  readonly blade: ChoiceAdvice<BladeKind>
  readonly edge: ChoiceAdvice<keyof typeof EDGES>
  readonly angle: NumberAdvice
  readonly pressure: ChoiceAdvice<Pressure>
  /** Pressure on the scale of the press; none where it has no scale. */
  readonly gauge: NumberAdvice | undefined
  readonly time: NumberAdvice
  readonly strokes: NumberAdvice
  readonly flood: ChoiceAdvice<Flood>
}

/**
 * The settings of one hit: what the trade says, unless alike screens printed a good sample at this press; then what did,
 * with the trade's word beside it. Angle in radians from vertical, time in seconds a stroke.
 */
export function strokeFor(
  need: StrokeNeed,
  press: Press,
  { blades, proven }: Pick<Shop, 'blades' | 'proven'>,
  method: ShopMethod,
  overrides: Overrides,
): StrokeAdvice {
  const s = settingFor(need, press)
  const alike = provenFor(proven, { ...need, pressId: press.id }, need.screen)
  // Off the pallet nothing found on one counts: there is no way back into register.
  const found = need.offPallet ? undefined : alike.at(-1)
  const own = (usual: Input): readonly Reason[] =>
    found ? [STROKE.because('STROKE_PROVEN', told(found, alike.length, press, usual))] : []
  const of = { id: need.hitId, name: need.name }
  /** What is advised of a number: what was found good, in a range that holds it. */
  const about = (
    what: 'angle' | 'time' | 'strokes',
    kind: Kind,
    [[low, usual, high], rule]: readonly [Triple, StrokeRule],
  ) => {
    const advised = found?.[what] ?? usual
    return STROKE.number(
      what,
      {
        of,
        advised,
        range: [Math.min(low, advised), Math.max(high, advised)],
        reasons: [...own(q(kind, usual)), STROKE.because(rule)],
      },
      overrides,
    )
  }
  const why = (usual: string, rule: StrokeRule): readonly Reason[] => [...own(usual), STROKE.because(rule)]
  const [hardness] = s.blade
  const wanted = among(BLADES, found?.blade) ?? hardness
  const held = blades.some((b) => b.hardness === wanted)
  const edge = blades.some((b) => b.edge === s.edge[0]) ? s.edge : (['square', 'EDGE_SQUARE'] as const)
  const [angles, angleRule] = s.angle
  const [usualPressure, pressureRule] = s.pressure
  const pressure = STROKE.choice(
    'pressure',
    {
      of,
      advised: among(PRESSURES, found?.pressure) ?? usualPressure,
      reasons: why(usualPressure, pressureRule),
    },
    overrides,
  )
  return {
    blade: STROKE.choice(
      'blade',
      {
        of,
        advised: wanted,
        reasons: [
          ...why(hardness, s.blade[1]),
          ...releaseOf(need, method),
          ...(held ? [] : [STROKE.because('BLADE_NOT_HELD', { name: need.name, wanted })]),
        ],
      },
      overrides,
    ),
    edge: STROKE.choice(
      'edge',
      { of, advised: among(EDGES, found?.edge) ?? edge[0], reasons: why(...edge) },
      overrides,
    ),
    angle: about('angle', 'angle', [angles.map(degrees) as unknown as Triple, angleRule]),
    pressure,
    gauge: gaugeFor(need, press, choiceOf(pressure), found, own, overrides),
    time: about('time', 'duration', s.time),
    strokes: about('strokes', 'count', s.strokes),
    flood: STROKE.choice(
      'flood',
      { of, advised: among(FLOODS, found?.flood) ?? s.flood[0], reasons: why(...s.flood) },
      overrides,
    ),
  }
}

/** How a smoothing screen lets go of the film. */
const releaseOf = ({ use }: StrokeNeed, { release }: ShopMethod): readonly Reason[] =>
  use === 'smoothing' ? [STROKE.because(release === 'spray' ? 'RELEASE_SPRAY' : 'RELEASE_CLEAR')] : []

const told = ({ on, words }: Proven, count: number, press: Press, usual: Input) => ({
  press: press.name,
  on,
  words,
  more: count > 1 ? `, and ${count - 1} alike before` : '',
  usual,
})

/** The word for pressure on the scale of the press; half way to its neighbours it reads as those. */
function gaugeFor(
  need: StrokeNeed,
  press: Press,
  word: Pressure,
  found: Proven | undefined,
  own: (usual: Input) => readonly Reason[],
  overrides: Overrides,
): NumberAdvice | undefined {
  const note = press.pressure
  if (!note) return undefined
  const kind = GAUGES[note.scale]
  const marks = PRESSURE_STEPS.map((p) => note[p])
  const at = PRESSURE_STEPS.indexOf(word)
  const usual = marks[at] ?? note.medium
  const half = (neighbour: number | undefined, other: number | undefined) =>
    (usual + (neighbour ?? 2 * usual - (other ?? usual))) / 2
  // What was found good holds for the word that it was found with.
  const proven = found?.pressure === word ? found.gauge : undefined
  const advised = proven ?? usual
  const [low, high] = [half(marks[at - 1], marks[at + 1]), half(marks[at + 1], marks[at - 1])]
  return STROKE.number(
    'gauge',
    {
      of: { id: need.hitId, name: need.name },
      kind,
      advised,
      range: [Math.min(low, advised), Math.max(high, advised)],
      reasons: [
        ...(proven === undefined ? [] : own(q(kind, usual))),
        STROKE.because('GAUGE_NOTE', { word, value: q(kind, usual), press: press.name }),
      ],
    },
    overrides,
  )
}

/** What a scale counts in. */
export const GAUGES = { turns: 'turns', air: 'airPressure' } as const
