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
import type { ColourLimits } from '../equipment'
import { type ArtRelation, type Cloth, type InkColour, isProcess, OPACITIES, toneOf } from '../order'
import { type Expected, expectedLooks, type InkFacts } from './expected'
import { CONFIDENCE } from './optics'
import { PREDICT_RULES } from './predict'

export const BASE_RULES = ruleTable({
  BASE_BLACK: { says: 'Black covers anything brighter: never a base under it.', source: 'common practice' },
  BASE_WHITE: { says: 'White on coloured cloth always has white under it.', source: 'common practice' },
  BASE_OPEN_WEAVE: {
    says: 'Open weave takes one heavy hit through a coarse mesh: opaque enough.',
    source: 'common practice',
  },
  BASE_HOLDS: {
    says: '{ink} straight on {cloth}: {change} from the same film on white (CIEDE2000), {within} under {meant}: it looks as meant without a base.',
    source: 'common practice',
  },
  BASE_SWALLOWED: {
    says: '{ink} straight on {cloth}: {change} from the same film on white (CIEDE2000), {over} over {toned}: the cloth shows through. On one base {based}.',
    source: 'common practice',
  },
  BASE_DIRECT: {
    says: '{ink} straight on {cloth}: {change} (CIEDE2000), up to {toned} is toned down, and this shop takes that on dark cloth: softer, a screen less.',
    source: "the shop's choice",
  },
  BASE_BRIGHT: {
    says: '{ink} straight on {cloth} would look toned down: {change} (CIEDE2000), over {meant}; this shop prints bright on dark cloth. On one base {based}.',
    source: "the shop's choice",
  },
  BASE_MAYBE: {
    says: '{ink} straight on {cloth}: {change} (CIEDE2000), between {meant} and {toned}: it prints toned down. Ask the customer, or give it a base ({based}).',
    source: 'common practice',
    severity: 'Watch',
  },
  BASE_FLAKES: {
    says: 'Flakes cover what is below them: no base under metallic here.',
    source: 'common practice',
  },
  BASE_FLAKES_DARK: {
    says: '{cloth} would show between the flakes of {ink}: no film of one colour describes them, so the rule of thumb decides.',
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
    says: 'One hit of white comes to L* {one} on {cloth}, {wanted} is bright: enough, the base itself shows as the white.',
    source: 'common practice',
  },
  WHITE_NO_WHITE: {
    says: 'No white shows in this art: one hit of base carries the colours.',
    source: 'common practice',
  },
  WHITE_SCHOOL: {
    says: 'One hit of white comes to L* {one} on {cloth}, {wanted} is bright; this shop: {school}, which comes to {reached}.',
    source: "the shop's choice",
  },
  WHITE_SHORT: {
    says: '{school} comes to L* {reached}, still under {wanted}: a coarser base, or one more hit.',
    source: 'common practice',
    severity: 'Watch',
  },
  WHITE_CARRIES: {
    says: 'No white shows, but colours on dark cloth are brighter on two hits; this shop: {school}.',
    source: "the shop's choice",
  },
})

type Verdict = { readonly base: boolean; readonly why: readonly Reason[] }

/** Whether one ink needs white under it on this cloth: by what no film can tell, else by how it is predicted to look. */
function needsBase(
  ink: InkColour,
  cloth: Cloth,
  method: ShopMethod,
  limits: ColourLimits,
  looks: Expected | undefined,
): Verdict {
  const names = { ink: ink.name, cloth: cloth.name }
  const say = (base: boolean, rule: keyof typeof BASE_RULES, more: Reason[] = []): Verdict => ({
    base,
    why: [because(BASE_RULES, rule, { ...names, ...numbers }), ...more],
  })
  const { direct, based } = looks ?? {}
  const numbers = {
    change: q('difference', direct?.change ?? 0),
    based: q('difference', based?.change ?? 0),
    meant: q('difference', limits.asMeant),
    toned: q('difference', limits.tonedDown),
    within: q('difference', limits.asMeant - (direct?.change ?? 0)),
    over: q('difference', (direct?.change ?? 0) - limits.tonedDown),
  }
  const opaque = OPACITIES[ink.opacity].opacity >= 0.7
  const dark = toneOf(cloth) === 'dark'
  if (ink.character === 'black') return say(false, 'BASE_BLACK')
  if (ink.character === 'expanding') return say(false, 'BASE_EXPANDING')
  if (ink.character === 'clear') return say(false, 'BASE_CLEAR')
  if (cloth.weave === 'canvas' && opaque) return say(false, 'BASE_OPEN_WEAVE')
  if (!looks || !direct)
    return dark && !(opaque && method.darkCloth === 'direct')
      ? say(true, 'BASE_FLAKES_DARK')
      : say(false, 'BASE_FLAKES')
  const known =
    looks.how === 'class'
      ? because(PREDICT_RULES, 'KNOWN_CLASS', {
          ink: ink.name,
          within: q('difference', CONFIDENCE.class.within),
        })
      : because(PREDICT_RULES, 'KNOWN_READ', {
          ink: ink.name,
          how: CONFIDENCE[looks.how].label.toLowerCase(),
          within: q('difference', CONFIDENCE[looks.how].within),
        })
  if (direct.change <= limits.asMeant) return say(false, 'BASE_HOLDS', [known])
  if (ink.character === 'white')
    return say(true, 'BASE_WHITE', [because(BASE_RULES, 'BASE_SWALLOWED', { ...names, ...numbers }), known])
  if (direct.change > limits.tonedDown) return say(true, 'BASE_SWALLOWED', [known])
  if (!dark) return say(false, 'BASE_MAYBE', [known])
  return method.darkCloth === 'direct'
    ? say(false, 'BASE_DIRECT', [known])
    : say(true, 'BASE_BRIGHT', [known])
}

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
): readonly ChoiceAdvice[] {
  const { room, method } = facts
  const first = inks.map((ink) =>
    needsBase(ink, cloth, method, room.limits, expectedLooks(ink, cloth, facts)),
  )
  const processBased = first.some((f, i) => f.base && isProcess(inks[i]!))
  const needing = first.filter((f) => f.base).length
  const optional = inks.filter((ink, i) => !first[i]?.base && !NEVER_BASED.has(ink.character)).length
  const spread = toneOf(cloth) === 'in-between' && needing >= 2 && optional > 0
  return inks.map((ink, i) => {
    const own = first[i]
    if (!own) throw new Error('an ink without a verdict')
    const all = spread && method.inBetween === 'allButBlack' && !NEVER_BASED.has(ink.character)
    const based = own.base || (isProcess(ink) && processBased) || all
    const reasons = [
      ...(all && !own.base ? [because(BASE_RULES, 'BASE_ALL')] : []),
      ...own.why,
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

/** How the white is made bright: none where one hit is bright enough, else the school of the shop. */
export function secondWhiteFor(
  inks: readonly InkColour[],
  based: ReadonlySet<string>,
  cloth: Cloth,
  facts: InkFacts,
  overrides: Overrides,
): ChoiceAdvice {
  const { room, method } = facts
  const white = inks.find((ink) => ink.character === 'white' && based.has(ink.id))
  const school = SECOND_WHITES[method.white].toLowerCase()
  const verdict = (): readonly [SecondWhite, readonly Reason[]] => {
    if (based.size === 0) return ['none', [because(BASE_RULES, 'WHITE_NONE')]]
    if (!white)
      return method.white === 'sameScreen' && toneOf(cloth) === 'dark'
        ? ['sameScreen', [because(BASE_RULES, 'WHITE_CARRIES', { school })]]
        : ['none', [because(BASE_RULES, 'WHITE_NO_WHITE')]]
    const looks = expectedLooks(white, cloth, facts)
    const inputs = {
      cloth: cloth.name,
      school,
      one: q('difference', looks?.direct.lightness ?? 0),
      reached: q('difference', looks?.based.lightness ?? 0),
      wanted: q('difference', room.limits.white),
    }
    if (!looks || looks.direct.lightness >= room.limits.white)
      return ['none', [because(BASE_RULES, 'WHITE_ONE', inputs)]]
    const short = looks.based.lightness < room.limits.white
    return [
      method.white,
      [
        because(BASE_RULES, 'WHITE_SCHOOL', inputs),
        ...(short
          ? [because(BASE_RULES, 'WHITE_SHORT', { ...inputs, school: SECOND_WHITES[method.white] })]
          : []),
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
  return decideChoice(
    {
      key: 'white',
      label: 'Second white',
      kind: 'choice',
      advised,
      choices: possible.map((value) => ({ value, label: SECOND_WHITES[value] })),
      reasons,
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
