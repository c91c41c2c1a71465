import type { RuleOf } from '../advice'
import {
  type ChoiceAdvice,
  type NumberAdvice,
  type Overrides,
  q,
  type Reason,
  type ShopMethod,
} from '../advice'
import {
  type ArtRelation,
  type Cloth,
  COVERS_ALONE,
  type InkColour,
  isProcess,
  OPACITIES,
  toneOf,
} from '../order'
import { type BaseOrNone, INK, SECOND_WHITES, type SecondWhite, type Smooth } from './definition'
import { type Expected, expectedLooks, type InkFacts } from './expected'
import { CONFIDENCE } from './optics'
import type { Printed } from './predict'

type Verdict = { readonly base: boolean; readonly why: readonly Reason[] }

/** Whether one ink needs white under it on this cloth: by what no film can message, else by how it is predicted to look. */
function needsBase(
  ink: InkColour,
  cloth: Cloth,
  { method, room: { limits }, where, look }: InkFacts,
  looks: Expected | undefined,
): Verdict {
  const names = { ink: ink.name, cloth: cloth.name }
  const say = (base: boolean, rule: RuleOf<typeof INK>, more: Reason[] = []): Verdict => ({
    base,
    why: [INK.because(rule, { ...names, ...numbers }), ...more],
  })
  const { direct, based } = looks ?? {}
  const numbers = {
    change: q('difference', direct?.change ?? 0),
    based: q('difference', based?.change ?? 0),
    meant: q('difference', limits.match),
    toned: q('difference', limits.visible),
    within: q('difference', limits.match - (direct?.change ?? 0)),
    over: q('difference', (direct?.change ?? 0) - limits.visible),
  }
  const opaque = OPACITIES[ink.opacity].opacity >= COVERS_ALONE
  const dark = toneOf(cloth) === 'dark'
  if (where === 'neckLabel') return say(false, 'BASE_LABEL')
  if (where === 'offPallet') return say(false, 'BASE_ONE_PASS')
  if (ink.inkType === 'black') return say(false, 'BASE_BLACK')
  if (ink.inkType === 'expanding') return say(false, 'BASE_EXPANDING')
  if (ink.inkType === 'clear') return say(false, 'BASE_CLEAR')
  if (ink.inkType === 'white' && look === 'worn') return say(false, 'BASE_WORN')
  if (ink.system === 'discharge')
    return say(false, 'BASE_DISCHARGE', [
      INK.because(cloth.cotton < DISCHARGED ? 'DISCHARGE_NOT' : 'DISCHARGE_ASK', {
        ...names,
        cotton: q('share', cloth.cotton),
      }),
    ])
  if (ink.inkType === 'fluorescent')
    return say(toneOf(cloth) !== 'light', 'BASE_FLUORESCENT', [INK.because('FLUORESCENT', names)])
  if (cloth.weave === 'canvas' && opaque) return say(false, 'BASE_OPEN_WEAVE')
  if (cloth.weave === 'openKnit' && opaque) return say(false, 'BASE_OPEN_KNIT')
  if (!looks || !direct)
    return dark && !(opaque && method.darkCloth === 'direct')
      ? say(true, 'BASE_FLAKES_DARK')
      : say(false, 'BASE_FLAKES')
  const known =
    looks.how === 'class'
      ? INK.because('KNOWN_CLASS', {
          ink: ink.name,
          within: q('difference', CONFIDENCE.class.within),
        })
      : INK.because('KNOWN_READ', {
          ink: ink.name,
          how: CONFIDENCE[looks.how].label.toLowerCase(),
          within: q('difference', CONFIDENCE[looks.how].within),
        })
  if (direct.change <= limits.match) return say(false, 'BASE_HOLDS', [known])
  if (ink.inkType === 'white')
    return say(true, 'BASE_WHITE', [INK.because('BASE_SWALLOWED', { ...names, ...numbers }), known])
  if (direct.change > limits.visible) return say(true, 'BASE_SWALLOWED', [known])
  if (!dark) return say(false, 'BASE_MAYBE', [known])
  return method.darkCloth === 'direct'
    ? say(false, 'BASE_DIRECT', [known])
    : say(true, 'BASE_BRIGHT', [known])
}

/** Cotton that a cloth has at least where discharge shows (assumed). */
const DISCHARGED = 0.8

/** A difference that is seen side by side (common practice). */
const SEEN = 1

const NEVER_BASED = new Set(['black', 'expanding', 'clear'])

/**
 * Base or none for every colour of a print on one cloth: by how it is predicted to look without (CIEDE2000 against the same
 * films on white, and the shop's limits), by rules of the trade where no film tells. Process colours stand or fall
 * together. The lead's own choices lie beside.
 *
 * @returns one advice per ink, in the order of the inks; values `base` and `none`
 */
export function baseFor(
  inks: readonly InkColour[],
  cloth: Cloth,
  facts: InkFacts,
  overrides: Overrides,
): readonly ChoiceAdvice<BaseOrNone>[] {
  const { method } = facts
  const looks = inks.map((ink) => expectedLooks(ink, cloth, facts))
  const first = inks.map((ink, i) => needsBase(ink, cloth, facts, looks[i]))
  const processBased = first.some((f, i) => f.base && isProcess(inks[i]!))
  const needing = first.filter((f) => f.base).length
  const spread = toneOf(cloth) === 'in-between' && needing >= 2
  /** A base under it would be seen. */
  const gains = (i: number) => {
    const { direct, based } = looks[i] ?? {}
    return direct !== undefined && based !== undefined && direct.change - based.change >= SEEN
  }
  return inks.map((ink, i) => {
    const own = first[i]
    if (!own) throw new Error('an ink without a verdict')
    const all = spread && method.inBetween === 'allButBlack' && !NEVER_BASED.has(ink.inkType)
    const based = own.base || (isProcess(ink) && processBased) || all
    const reasons = [
      ...(all && !own.base ? [INK.because('BASE_ALL')] : []),
      ...own.why,
      ...(spread && method.inBetween === 'needed' && !own.base && !NEVER_BASED.has(ink.inkType) && gains(i)
        ? [INK.because('BASE_OFFER', { count: q('count', needing) })]
        : []),
    ]
    return INK.choice('base', { of: ink, advised: based ? 'base' : 'none', reasons }, overrides)
  })
}

/** Share of the print that the base covers: at most the sum of what stands on it, at least the largest of them. */
export function baseCoverage(onBase: readonly InkColour[], overrides: Overrides): NumberAdvice {
  const sum = Math.min(
    1,
    onBase.reduce((total, ink) => total + ink.coverage, 0),
  )
  const largest = Math.max(0, ...onBase.map((ink) => ink.coverage))
  const inputs = { sum: q('share', sum), largest: q('share', largest) }
  return INK.number(
    'coverage',
    {
      of: { id: 'base', name: 'the base' },
      advised: sum,
      range: [largest, sum],
      reasons: [INK.because('BASE_COVERAGE', inputs)],
    },
    overrides,
  )
}

/** Whether the screen of the base prints once more instead of a highlight of its own. @param reaches the wanted white */
const sameAgain = (alone: boolean, reaches: boolean, { white, whiteAgain }: ShopMethod): boolean =>
  white === 'highlight' && (whiteAgain === 'preferred' ? alone || reaches : whiteAgain === 'alone' && alone)

/** How the white is made bright: none where one hit is bright enough, else the practice of the shop. */
export function secondWhiteFor(
  inks: readonly InkColour[],
  based: ReadonlySet<string>,
  cloth: Cloth,
  facts: InkFacts,
  overrides: Overrides,
): ChoiceAdvice<SecondWhite> {
  const { room, method } = facts
  const white = inks.find((ink) => ink.inkType === 'white' && based.has(ink.id))
  const practice = SECOND_WHITES[method.white].toLowerCase()
  const verdict = (): readonly [SecondWhite, readonly Reason[]] => {
    if (based.size === 0) return ['none', [INK.because('WHITE_NONE')]]
    if (white && facts.look === 'soft') return ['none', [INK.because('WHITE_SOFT')]]
    if (white && facts.look === 'flattest') return ['smoothing', [INK.because('WHITE_FLATTEST')]]
    if (!white)
      return method.white === 'sameScreen' && toneOf(cloth) === 'dark'
        ? ['sameScreen', [INK.because('WHITE_CARRIES', { practice })]]
        : ['none', [INK.because('WHITE_NO_WHITE')]]
    const looks = expectedLooks(white, cloth, facts)
    if (!looks) return ['none', [INK.because('WHITE_UNKNOWN')]]
    const { direct, based: twice } = looks
    const { limits } = room
    const inputs = {
      cloth: cloth.name,
      practice,
      one: q('difference', direct.change),
      oneL: q('difference', direct.lightness),
      left: q('difference', twice.change),
      reached: q('difference', twice.lightness),
      match: q('difference', limits.match),
      wanted: q('difference', limits.white),
    }
    const bright = (p: Printed, slack = 0) =>
      p.change <= limits.match + slack && p.lightness >= limits.white - slack
    if (bright(direct)) return ['none', [INK.because('WHITE_ONE', inputs)]]
    // What lies within the error of the prediction is not called dull.
    const short = !bright(twice, CONFIDENCE[looks.how].within)
    // All that stands on the base is white: a screen of its own would carry the same image.
    const alone = method.white === 'highlight' && inks.every((ink) => ink === white || !based.has(ink.id))
    const again = sameAgain(alone, !short, method)
    const way = again ? 'sameScreen' : method.white
    return [
      way,
      [
        INK.because('WHITE_PRACTICE', inputs),
        ...(again ? [INK.because(alone ? 'WHITE_ALONE' : 'WHITE_AGAIN')] : []),
        ...(alone && !again ? [INK.because('WHITE_NEVER')] : []),
        ...(short ? [INK.because('WHITE_SHORT', { ...inputs, practice: SECOND_WHITES[way] })] : []),
      ],
    ]
  }
  const [advised, reasons] = verdict()
  const hasWhite = white !== undefined
  const possible: readonly SecondWhite[] =
    based.size === 0
      ? ['none']
      : hasWhite
        ? ['none', 'highlight', 'sameScreen', 'smoothing']
        : ['none', 'sameScreen']
  return INK.choice(
    'white',
    { advised, choices: possible.map((value) => ({ value, label: SECOND_WHITES[value] })), reasons },
    overrides,
  )
}

/**
 * Whether the base is smoothed for the colours on it: a decision of its own, whatever makes the white.
 *
 * @returns none where nothing stands on a base, or the white is smoothed anyway
 */
export function smoothFor(
  based: ReadonlySet<string>,
  white: SecondWhite,
  cloth: Cloth,
  method: ShopMethod,
  overrides: Overrides,
): ChoiceAdvice<Smooth> | undefined {
  if (based.size === 0 || white === 'smoothing') return undefined
  const rough = cloth.weave === 'fleece' || cloth.weave === 'coarse'
  const rule =
    method.smooth === 'always'
      ? 'SMOOTH_ALWAYS'
      : method.smooth === 'rough' && rough
        ? 'SMOOTH_ROUGH'
        : 'SMOOTH_NO'
  return INK.choice(
    'smooth',
    {
      advised: rule === 'SMOOTH_NO' ? 'no' : 'base',
      reasons: [INK.because(rule, { cloth: cloth.name })],
    },
    overrides,
  )
}

/** A white that lies over other colours cannot be the base showing through: it needs a screen of its own. */
export const whiteOverColours = (
  ink: InkColour,
  inks: readonly InkColour[],
  relations: readonly ArtRelation[],
): boolean =>
  relations.some((r) => {
    if (r.how !== 'overlap' || (r.a !== ink.id && r.b !== ink.id)) return false
    if (r.over !== undefined && r.over !== ink.id) return false
    const other = inks.find((x) => x.id === (r.a === ink.id ? r.b : r.a))
    return other !== undefined && !NEVER_BASED.has(other.inkType)
  })
