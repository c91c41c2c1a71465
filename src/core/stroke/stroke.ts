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
import { type ApprovedSetting, approvedFor, EDGES, type Press, type Shop } from '../equipment'
import { degrees, type Kind } from '../quantity'
import {
  FLOODS,
  type Flood,
  PRESSURE_STEPS,
  PRESSURES,
  type Pressure,
  SQUEEGEES,
  type SqueegeeKind,
  STROKE,
} from './definition'
import { longer, type StrokeNeed, type StrokeRule, settingFor, type Triple } from './settings'

export interface StrokeAdvice {
  readonly squeegee: ChoiceAdvice<SqueegeeKind>
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
  { squeegees, approved }: Pick<Shop, 'squeegees' | 'approved'>,
  method: ShopMethod,
  overrides: Overrides,
): StrokeAdvice {
  const s = settingFor(need, press)
  const alike = approvedFor(approved, { ...need, pressId: press.id }, need.screen)
  // Off the pallet nothing found on one counts: there is no way back into register.
  const found = need.offPallet ? undefined : alike.at(-1)
  const own = (usual: Input): readonly Reason[] =>
    found ? [STROKE.because('STROKE_APPROVED', told(found, alike.length, press, usual))] : []
  const of = { id: need.hitId, name: need.name }
  /** What is advised of a number: what was approved, in a range that holds it. */
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
  const [hardness] = s.squeegee
  const wanted = among(SQUEEGEES, found?.squeegee) ?? hardness
  const held = squeegees.some((b) => b.hardness === wanted)
  const edge = squeegees.some((b) => b.edge === s.edge[0]) ? s.edge : (['square', 'EDGE_SQUARE'] as const)
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
  const time = about('time', 'duration', s.time)
  const far =
    longer(need.height) > 1 ? [STROKE.because('TIME_LONG', { height: q('length', need.height) })] : []
  return {
    squeegee: STROKE.choice(
      'squeegee',
      {
        of,
        advised: wanted,
        reasons: [
          ...why(hardness, s.squeegee[1]),
          ...releaseOf(need, method),
          ...(held ? [] : [STROKE.because('SQUEEGEE_NOT_HELD', { name: need.name, wanted })]),
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
    time: { ...time, reasons: [...time.reasons, ...far] },
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

const told = ({ on, words }: ApprovedSetting, count: number, press: Press, usual: Input) => ({
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
  found: ApprovedSetting | undefined,
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
  // What was approved holds for the word that it was found with.
  const approved = found?.pressure === word ? found.gauge : undefined
  const advised = approved ?? usual
  const [low, high] = [half(marks[at - 1], marks[at + 1]), half(marks[at + 1], marks[at - 1])]
  return STROKE.number(
    'gauge',
    {
      of: { id: need.hitId, name: need.name },
      kind,
      advised,
      range: [Math.min(low, advised), Math.max(high, advised)],
      reasons: [
        ...(approved === undefined ? [] : own(q(kind, usual))),
        STROKE.because('GAUGE_NOTE', { word, value: q(kind, usual), press: press.name }),
      ],
    },
    overrides,
  )
}

/** What a scale counts in. */
export const GAUGES = { turns: 'turns', air: 'airPressure' } as const
