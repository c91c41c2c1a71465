import {
  because,
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
import { lightness } from '../color'
import { type ArtRelation, type Cloth, type InkColour, OPACITIES, toneOf } from '../order'

export const BASE_RULES = ruleTable({
  BASE_BLACK: { says: 'Black covers anything brighter: never a base under it.', source: 'common practice' },
  BASE_LIGHT: { says: '{cloth} is light: colours print as they are.', source: 'common practice' },
  BASE_WHITE: { says: 'White on coloured cloth always has white under it.', source: 'common practice' },
  BASE_OPEN_WEAVE: {
    says: 'Open weave takes one heavy hit through a coarse mesh: opaque enough.',
    source: 'common practice',
  },
  BASE_DARK: { says: '{cloth} (L* {clothL}) would swallow {ink}.', source: 'common practice' },
  BASE_DIRECT: {
    says: '{ink} is opaque and this shop prints it straight on dark cloth: softer, slightly toned down.',
    source: "the shop's choice",
  },
  BASE_DEEPER: {
    says: '{ink} is darker than {cloth} by {depth} L*: it holds without a base.',
    source: 'common practice',
  },
  BASE_MAYBE: {
    says: '{ink} is only {depth} L* darker than {cloth}: it prints toned down. Ask the customer, or give it a base.',
    source: 'common practice',
    severity: 'Watch',
  },
  BASE_NEEDED: {
    says: '{ink} is not dark enough against {cloth} ({depth} L*): the cloth shows through.',
    source: 'common practice',
  },
  BASE_EXPANDING: { says: 'A base would hold back the rise of expanding ink.', source: 'common practice' },
  BASE_CLEAR: { says: 'Clear lies over the finished print.', source: 'common practice' },
  BASE_ALL: {
    says: 'Two or more colours need a base, so it goes under all but black: no extra screen.',
    source: "the shop's choice",
  },
  BASE_OFFER: {
    says: '{count} colours need a base anyway: basing all but black costs no extra screen.',
    source: 'common practice',
    severity: 'Note',
  },
  BASE_COVERAGE: {
    says: 'The colours on it cover {sum} together; where they overlap the base is smaller, never under {largest}.',
    source: 'geometry',
  },
  WHITE_NONE: { says: 'No colour has a base, so there is no second white.', source: 'common practice' },
  WHITE_ONE: {
    says: 'One hit of white is enough on {tone} cloth; the base itself shows as the white.',
    source: 'common practice',
  },
  WHITE_NO_WHITE: {
    says: 'No white shows in this art: one hit of base carries the colours.',
    source: 'common practice',
  },
  WHITE_SCHOOL: {
    says: 'One pass is seldom bright on dark cloth; this shop: {school}.',
    source: "the shop's choice",
  },
})

const DEEP = 40
const DEEPER = 20
const OPAQUE_HELPS = 10

/** Whether one ink needs white under it on this cloth, with the rule that says so. */
function needsBase(
  ink: InkColour,
  cloth: Cloth,
  method: ShopMethod,
): { readonly base: boolean; readonly why: Reason } {
  const tone = toneOf(cloth)
  const depth = lightness(cloth.hex).L - lightness(ink.hex).L
  const inputs = {
    ink: ink.name,
    cloth: cloth.name,
    clothL: q('count', lightness(cloth.hex).L),
    depth: q('count', depth),
  }
  const say = (base: boolean, rule: keyof typeof BASE_RULES) => ({
    base,
    why: because(BASE_RULES, rule, inputs),
  })
  const opaque = OPACITIES[ink.opacity].opacity >= 0.7

  if (ink.character === 'black') return say(false, 'BASE_BLACK')
  if (ink.character === 'expanding') return say(false, 'BASE_EXPANDING')
  if (ink.character === 'clear') return say(false, 'BASE_CLEAR')
  if (tone === 'light') return say(false, 'BASE_LIGHT')
  if (cloth.weave === 'canvas' && opaque) return say(false, 'BASE_OPEN_WEAVE')
  if (ink.character === 'white') return say(true, 'BASE_WHITE')
  if (tone === 'dark')
    return method.darkCloth === 'direct' && opaque ? say(false, 'BASE_DIRECT') : say(true, 'BASE_DARK')
  const holds = depth + (opaque ? OPAQUE_HELPS : 0)
  if (holds >= DEEP) return say(false, 'BASE_DEEPER')
  return holds >= DEEPER ? say(false, 'BASE_MAYBE') : say(true, 'BASE_NEEDED')
}

const NEVER_BASED = new Set(['black', 'expanding', 'clear'])

/**
 * Base or none for every colour of a print on one cloth, by the rules of the trade. Process colours stand or fall
 * together. The lead's own choices lie beside.
 *
 * @returns one advice per ink, in the order of the inks; values `base` and `none`
 */
export function baseFor(
  inks: readonly InkColour[],
  cloth: Cloth,
  method: ShopMethod,
  overrides: Overrides,
): readonly ChoiceAdvice[] {
  const first = inks.map((ink) => needsBase(ink, cloth, method))
  const isProcess = (ink: InkColour | undefined) =>
    ink !== undefined && ['yellow', 'magenta', 'cyan', 'key'].includes(ink.character)
  const processBased = first.some((f, i) => f.base && isProcess(inks[i]))
  const needing = first.filter((f) => f.base).length
  const optional = inks.filter((ink, i) => !first[i]?.base && !NEVER_BASED.has(ink.character)).length
  const spread = toneOf(cloth) === 'in-between' && needing >= 2 && optional > 0
  return inks.map((ink, i) => {
    const own = first[i]
    if (!own) throw new Error('an ink without a verdict')
    const all = spread && method.inBetween === 'allButBlack' && !NEVER_BASED.has(ink.character)
    const based = own.base || (isProcess(ink) && processBased) || all
    const reasons = [
      ...(all && !own.base ? [because(BASE_RULES, 'BASE_ALL')] : [own.why]),
      ...(spread && method.inBetween === 'needed' && !own.base && !NEVER_BASED.has(ink.character)
        ? [because(BASE_RULES, 'BASE_OFFER', { count: q('count', needing) })]
        : []),
    ]
    return decideChoice(
      {
        key: `base.${ink.id}`,
        label: `Base under ${ink.name}`,
        kind: 'choice',
        advised: based ? 'base' : 'none',
        choices: [
          { value: 'base', label: 'Base' },
          { value: 'none', label: 'No base' },
        ],
        reasons,
      },
      overrides,
    )
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
  return decideNumber(
    {
      key: 'coverage.base',
      label: 'Coverage of the base',
      kind: 'share',
      advised: sum,
      range: [largest, sum],
      reasons: [because(BASE_RULES, 'BASE_COVERAGE', inputs)],
    },
    overrides,
  )
}

export type SecondWhite = 'none' | 'highlight' | 'sameScreen' | 'smoothing'
export const SECOND_WHITES: Readonly<Record<SecondWhite, string>> = {
  none: 'One white',
  highlight: 'Highlight white',
  sameScreen: 'Base twice',
  smoothing: 'Smoothed, then white',
}

/** How the white is made bright: none, or the school of the shop where the cloth is dark. */
export function secondWhiteFor(
  inks: readonly InkColour[],
  based: ReadonlySet<string>,
  cloth: Cloth,
  method: ShopMethod,
  overrides: Overrides,
): ChoiceAdvice {
  const tone = toneOf(cloth)
  const hasWhite = inks.some((ink) => ink.character === 'white' && based.has(ink.id))
  const verdict = (): readonly [SecondWhite, Reason] => {
    if (based.size === 0) return ['none', because(BASE_RULES, 'WHITE_NONE')]
    if (tone !== 'dark') return ['none', because(BASE_RULES, 'WHITE_ONE', { tone })]
    if (!hasWhite && method.white !== 'sameScreen') return ['none', because(BASE_RULES, 'WHITE_NO_WHITE')]
    return [
      method.white,
      because(BASE_RULES, 'WHITE_SCHOOL', { school: SECOND_WHITES[method.white].toLowerCase() }),
    ]
  }
  const [advised, why] = verdict()
  const possible: readonly SecondWhite[] =
    based.size === 0
      ? ['none']
      : hasWhite
        ? ['none', 'highlight', 'sameScreen', 'smoothing']
        : ['none', 'sameScreen']
  return decideChoice(
    {
      key: 'white',
      label: 'Second white',
      kind: 'choice',
      advised,
      choices: possible.map((value) => ({ value, label: SECOND_WHITES[value] })),
      reasons: [why],
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
    const other = inks.find((x) => x.id === (r.a === ink.id ? r.b : r.a))
    return other !== undefined && !NEVER_BASED.has(other.character)
  })
