import {
  because,
  type Choice,
  type ChoiceAdvice,
  choiceOf,
  decideChoice,
  decideNumber,
  type Input,
  type NumberAdvice,
  type Overrides,
  q,
  type Reason,
  type ShopMethod,
} from '../advice'
import { EDGES, type Press, type Proven, provenFor, type Shop } from '../equipment'
import { degrees } from '../quantity'
import { STROKE_RULES } from './rules'
import {
  FLOODS,
  PRESSURES,
  type Pressure,
  type StrokeNeed,
  type StrokeRule,
  settingFor,
  type Triple,
} from './settings'

export interface StrokeAdvice {
  readonly blade: ChoiceAdvice
  readonly edge: ChoiceAdvice
  readonly angle: NumberAdvice
  readonly pressure: ChoiceAdvice
  /** Pressure on the scale of the press; none where it has no scale. */
  readonly gauge: NumberAdvice | undefined
  readonly time: NumberAdvice
  readonly strokes: NumberAdvice
  readonly flood: ChoiceAdvice
}

export const options = (...values: readonly string[]): readonly Choice[] =>
  values.map((value) => ({ value, label: value }))
export const BLADES = options('60', '70', '80', '90', '60/90/60', '70/90/70')

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
    found ? [because(STROKE_RULES, 'STROKE_PROVEN', told(found, alike.length, press, usual))] : []
  const choice = (
    what: 'blade' | 'edge' | 'pressure' | 'flood',
    label: string,
    choices: readonly Choice[],
    [usual, rule]: readonly [string, StrokeRule],
    reasons: readonly Reason[] = [],
  ) =>
    decideChoice(
      {
        key: `${what}.${need.hitId}`,
        label: `${label}, ${need.name}`,
        kind: 'choice',
        advised: found?.[what] ?? usual,
        choices,
        reasons: [...own(usual), because(STROKE_RULES, rule), ...reasons],
      },
      overrides,
    )
  const number = (
    what: 'angle' | 'time' | 'strokes',
    label: string,
    kind: NumberAdvice['kind'],
    [[low, usual, high], rule]: readonly [Triple, StrokeRule],
  ) => {
    const advised = found?.[what] ?? usual
    return decideNumber(
      {
        key: `${what}.${need.hitId}`,
        label: `${label}, ${need.name}`,
        kind,
        advised,
        range: [Math.min(low, advised), Math.max(high, advised)],
        reasons: [...own(q(kind, usual)), because(STROKE_RULES, rule)],
      },
      overrides,
    )
  }
  const release =
    need.use === 'smoothing'
      ? [because(STROKE_RULES, method.release === 'spray' ? 'RELEASE_SPRAY' : 'RELEASE_CLEAR')]
      : []
  const [hardness] = s.blade
  const wanted = found?.blade ?? hardness
  const held = blades.some((b) => b.hardness === wanted)
  const edge = blades.some((b) => b.edge === s.edge[0]) ? s.edge : (['square', 'EDGE_SQUARE'] as const)
  const [angles, angleRule] = s.angle
  const pressure = choice('pressure', 'Pressure', options(...PRESSURES), s.pressure)
  return {
    blade: choice('blade', 'Blade', BLADES, s.blade, [
      ...release,
      ...(held ? [] : [because(STROKE_RULES, 'BLADE_NOT_HELD', { name: need.name, wanted })]),
    ]),
    edge: choice('edge', 'Edge', options(...Object.keys(EDGES)), edge),
    angle: number('angle', 'Angle', 'angle', [angles.map(degrees) as unknown as Triple, angleRule]),
    pressure,
    gauge: gaugeFor(need, press, choiceOf(pressure) as Pressure, found, own, overrides),
    time: number('time', 'Stroke time', 'duration', s.time),
    strokes: number('strokes', 'Strokes', 'count', s.strokes),
    flood: choice('flood', 'Flood', options(...FLOODS), s.flood),
  }
}

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
  const marks = PRESSURES.map((p) => note[p])
  const at = PRESSURES.indexOf(word)
  const usual = marks[at] ?? note.medium
  const half = (neighbour: number | undefined, other: number | undefined) =>
    (usual + (neighbour ?? 2 * usual - (other ?? usual))) / 2
  // What was found good holds for the word that it was found with.
  const proven = found?.pressure === word ? found.gauge : undefined
  const advised = proven ?? usual
  const [low, high] = [half(marks[at - 1], marks[at + 1]), half(marks[at + 1], marks[at - 1])]
  return decideNumber(
    {
      key: `gauge.${need.hitId}`,
      label: `Pressure on the scale, ${need.name}`,
      kind,
      advised,
      range: [Math.min(low, advised), Math.max(high, advised)],
      reasons: [
        ...(proven === undefined ? [] : own(q(kind, usual))),
        because(STROKE_RULES, 'GAUGE_NOTE', { word, value: q(kind, usual), press: press.name }),
      ],
    },
    overrides,
  )
}

/** What a scale counts in. */
export const GAUGES = { turns: 'turns', air: 'airPressure' } as const
