import {
  because,
  type Choice,
  type ChoiceAdvice,
  decideChoice,
  decideNumber,
  type NumberAdvice,
  type Overrides,
  q,
  type Reason,
  ruleTable,
  type ShopMethod,
} from '../advice'
import type { Blade, Press } from '../equipment'
import { degrees, type Length, mm } from '../quantity'

export const STROKE_RULES = ruleTable({
  BLADE_WHITE: {
    says: 'Layered blade: soft edge that does not bend, for white and high-solids ink.',
    source: 'common practice',
  },
  BLADE_HALFTONE: { says: 'Hard blade: dots stay open.', source: 'common practice' },
  BLADE_SOFT: { says: 'Soft blade: heavy deposit.', source: 'common practice' },
  BLADE_SMOOTH: { says: 'The hardest blade flattens best.', source: 'common practice' },
  BLADE_GENERAL: { says: 'General work.', source: 'common practice' },
  BLADE_NOT_HELD: {
    says: '{name} wants a {wanted} blade; the shop has none.',
    source: 'the order',
    severity: 'Watch',
  },
  BLADE_LENGTH: {
    says: '25 to 50 mm wider than the image of {width} on each side, the same on all heads.',
    source: 'common practice',
  },
  BLADE_SHORT: {
    says: 'No blade of the shop is 25 to 50 mm wider than {width} on each side.',
    source: 'common practice',
    severity: 'Watch',
  },
  ANGLE_GENERAL: {
    says: 'From vertical, for general high-solids work; flatter lays more and smears more.',
    source: 'common practice',
  },
  ANGLE_SHEAR: {
    says: 'Near vertical: white shears off the mesh on an automatic.',
    source: 'common practice',
  },
  ANGLE_SMOOTH: { says: 'The smoothing blade stands as upright as possible.', source: 'common practice' },
  PRESSURE_LEAST: {
    says: 'The least that clears the mesh; then small increments.',
    source: 'common practice',
  },
  PRESSURE_HALFTONE: { says: 'Too much blows dots out.', source: 'common practice' },
  PRESSURE_FIRM: { says: 'One firm stroke.', source: 'common practice' },
  TIME_PRODUCTION: {
    says: '1 to 2 s a stroke in production; 3 to 4 s while opening the screen. Even beats fast.',
    source: 'common practice',
  },
  TIME_THICK: { says: 'Slow clears thick white and lays more.', source: 'common practice' },
  STROKES_BASE: { says: 'Base on dark: two.', source: 'common practice' },
  STROKES_TOP: { says: 'One stroke on a base or on light cloth.', source: 'common practice' },
  STROKES_HIGHLIGHT: { says: 'Highlight: one firm, or two for extra brightness.', source: 'common practice' },
  STROKES_EXPANDING: { says: 'Two, wet-on-wet, for height.', source: 'common practice' },
  STROKES_DIRECT: { says: 'Opaque ink straight on dark cloth: one or two.', source: 'common practice' },
  STROKES_ONE_PASS: {
    says: 'There is no way back into register off the pallet: one pass.',
    source: 'common practice',
  },
  FLOOD_THIN: { says: 'Hard flood for thin stencils and halftones.', source: 'common practice' },
  FLOOD_SLOW: { says: 'Slow flood fills a thick stencil.', source: 'common practice' },
  FLOOD_WATER: { says: 'Full flood after every print: it dries in the openings.', source: 'common practice' },
  FLOOD_USUAL: { says: 'An even flood keeps the openings filled.', source: 'common practice' },
  RELEASE_CLEAR: {
    says: 'Lubricated, with a sticky clear in it, so that it lifts no ink.',
    source: "the shop's choice",
  },
  RELEASE_SPRAY: {
    says: 'Silicone spray keeps it free, and contaminates cloth and later prints. Aerosol off before heat on.',
    source: "the shop's choice",
    severity: 'Watch',
  },
  DIRECTION: {
    says: 'One direction for the whole job: mixed directions shift registration.',
    source: "the shop's choice",
  },
})

/** What one hit has to do, as far as the blade is concerned. */
export interface StrokeNeed {
  readonly hitId: string
  readonly name: string
  readonly use: 'base' | 'white' | 'smoothing' | 'halftone' | 'expanding' | 'direct' | 'top'
  readonly darkCloth: boolean
  readonly offPallet: boolean
  readonly waterBased: boolean
}

export interface StrokeAdvice {
  readonly blade: ChoiceAdvice
  readonly angle: NumberAdvice
  readonly pressure: ChoiceAdvice
  readonly time: NumberAdvice
  readonly strokes: NumberAdvice
  readonly flood: ChoiceAdvice
}

type RuleId = keyof typeof STROKE_RULES
type Triple = readonly [number, number, number]

interface Setting {
  readonly blade: readonly [string, RuleId]
  readonly angle: readonly [Triple, RuleId]
  readonly pressure: readonly ['light' | 'medium' | 'firm', RuleId]
  readonly time: readonly [Triple, RuleId]
  readonly strokes: readonly [Triple, RuleId]
  readonly flood: readonly ['even' | 'hard' | 'slow' | 'full', RuleId]
}

const ANGLE: Setting['angle'] = [[15, 15, 20], 'ANGLE_GENERAL']
const USUAL: Setting = {
  blade: ['70', 'BLADE_GENERAL'],
  angle: ANGLE,
  pressure: ['medium', 'PRESSURE_LEAST'],
  time: [[1, 1.3, 2], 'TIME_PRODUCTION'],
  strokes: [[1, 1, 1], 'STROKES_TOP'],
  flood: ['even', 'FLOOD_USUAL'],
}

/** Settings by use; what is not named is usual. */
const SETTINGS: Readonly<Record<StrokeNeed['use'], Partial<Setting>>> = {
  base: {
    blade: ['70/90/70', 'BLADE_WHITE'],
    time: [[1.3, 2, 3], 'TIME_THICK'],
    strokes: [[1, 2, 3], 'STROKES_BASE'],
  },
  white: {
    blade: ['70/90/70', 'BLADE_WHITE'],
    pressure: ['firm', 'PRESSURE_FIRM'],
    time: [[1.3, 1.6, 2.5], 'TIME_THICK'],
    strokes: [[1, 1, 2], 'STROKES_HIGHLIGHT'],
  },
  smoothing: {
    blade: ['90', 'BLADE_SMOOTH'],
    angle: [[0, 3, 5], 'ANGLE_SMOOTH'],
    pressure: ['firm', 'PRESSURE_FIRM'],
  },
  halftone: {
    blade: ['80', 'BLADE_HALFTONE'],
    pressure: ['light', 'PRESSURE_HALFTONE'],
    flood: ['hard', 'FLOOD_THIN'],
  },
  expanding: {
    blade: ['60', 'BLADE_SOFT'],
    strokes: [[2, 2, 2], 'STROKES_EXPANDING'],
    flood: ['slow', 'FLOOD_SLOW'],
  },
  direct: { blade: ['70/90/70', 'BLADE_WHITE'], strokes: [[1, 2, 2], 'STROKES_DIRECT'] },
  top: {},
}

function settingFor(need: StrokeNeed, press: Press): Setting {
  const own = { ...USUAL, ...SETTINGS[need.use] }
  const shear: Partial<Setting> =
    press.kind === 'automatic' && (need.use === 'base' || need.use === 'white')
      ? { angle: [[0, 5, 10], 'ANGLE_SHEAR'] }
      : {}
  const light: Partial<Setting> =
    need.use === 'base' && !need.darkCloth ? { strokes: [[1, 1, 2], 'STROKES_TOP'] } : {}
  const onePass: Partial<Setting> = need.offPallet ? { strokes: [[1, 1, 1], 'STROKES_ONE_PASS'] } : {}
  const water: Partial<Setting> = need.waterBased ? { flood: ['full', 'FLOOD_WATER'] } : {}
  return { ...own, ...shear, ...light, ...onePass, ...water }
}

const options = (...values: string[]): readonly Choice[] => values.map((value) => ({ value, label: value }))
export const BLADES = options('60', '70', '80', '90', '60/90/60', '70/90/70')
const PRESSURES = options('light', 'medium', 'firm')
const FLOODS = options('even', 'hard', 'slow', 'full')

/** The settings of one hit. Angle in radians from vertical, time in seconds a stroke. */
export function strokeFor(
  need: StrokeNeed,
  press: Press,
  blades: readonly Blade[],
  method: ShopMethod,
  overrides: Overrides,
): StrokeAdvice {
  const s = settingFor(need, press)
  const [hardness, bladeRule] = s.blade
  const release =
    need.use === 'smoothing'
      ? [because(STROKE_RULES, method.release === 'spray' ? 'RELEASE_SPRAY' : 'RELEASE_CLEAR')]
      : []
  const held = blades.some((b) => b.hardness === hardness)
  const choice = (
    what: string,
    label: string,
    choices: readonly Choice[],
    advised: string,
    reasons: Reason[],
  ) =>
    decideChoice(
      {
        key: `${what}.${need.hitId}`,
        label: `${label}, ${need.name}`,
        kind: 'choice',
        advised,
        choices,
        reasons,
      },
      overrides,
    )
  const number = (
    what: string,
    label: string,
    kind: NumberAdvice['kind'],
    [low, advised, high]: Triple,
    rule: RuleId,
  ) =>
    decideNumber(
      {
        key: `${what}.${need.hitId}`,
        label: `${label}, ${need.name}`,
        kind,
        advised,
        range: [low, high],
        reasons: [because(STROKE_RULES, rule)],
      },
      overrides,
    )
  const [angles, angleRule] = s.angle
  return {
    blade: choice('blade', 'Blade', BLADES, hardness, [
      because(STROKE_RULES, bladeRule),
      ...release,
      ...(held ? [] : [because(STROKE_RULES, 'BLADE_NOT_HELD', { name: need.name, wanted: hardness })]),
    ]),
    angle: number('angle', 'Angle', 'angle', angles.map(degrees) as unknown as Triple, angleRule),
    pressure: choice('pressure', 'Pressure', PRESSURES, s.pressure[0], [
      because(STROKE_RULES, s.pressure[1]),
    ]),
    time: number('time', 'Stroke time', 'duration', ...s.time),
    strokes: number('strokes', 'Strokes', 'count', ...s.strokes),
    flood: choice('flood', 'Flood', FLOODS, s.flood[0], [because(STROKE_RULES, s.flood[1])]),
  }
}

/** One blade length for all heads of the job, metres. */
export function bladeLengthFor(width: Length, blades: readonly Blade[], overrides: Overrides): NumberAdvice {
  const range = [width + 2 * mm(25), width + 2 * mm(50)] as const
  const fitting = blades.map((b) => b.length).filter((l) => l >= range[0] && l <= range[1])
  const advised = fitting.length > 0 ? Math.min(...fitting) : width + 2 * mm(35)
  const inputs = { width: q('length', width) }
  return decideNumber(
    {
      key: 'bladeLength',
      label: 'Blade length',
      kind: 'length',
      advised,
      range,
      reasons: [
        because(STROKE_RULES, 'BLADE_LENGTH', inputs),
        ...(fitting.length > 0 ? [] : [because(STROKE_RULES, 'BLADE_SHORT', inputs)]),
      ],
    },
    overrides,
  )
}

/** Push or pull for the job, by the shop's school; nothing to choose on an automatic. */
export function directionFor(
  press: Press,
  method: ShopMethod,
  overrides: Overrides,
): ChoiceAdvice | undefined {
  if (press.kind === 'automatic') return undefined
  return decideChoice(
    {
      key: 'direction',
      label: 'Stroke direction',
      kind: 'choice',
      advised: method.stroke,
      choices: options('push', 'pull'),
      reasons: [because(STROKE_RULES, 'DIRECTION')],
    },
    overrides,
  )
}
