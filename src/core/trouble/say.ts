import { q, type Reason } from '../advice'
import type { Asked } from './ask'
import type { Book } from './book'
import { TROUBLE } from './definition'
import { FLAGS, type Odds, type RunFacts } from './facts'
import type { Knowledge } from './known'
import { countKey } from './learn'
import { answersTo, type Call, multiplier } from './rank'
import type { CauseRow } from './tables/causeRow'
import { CAUSES, type CauseId } from './tables/causes'
import { REMEDIES } from './tables/remedies'
import type { SymptomId } from './tables/symptoms'

/** How sure the shares are, in words: they read too low, so that no per cent is shown. */
export function sureness(share: number): 'almost surely' | 'likely' | 'perhaps' | 'less likely' {
  if (share >= 0.65) return 'almost surely'
  if (share >= 0.35) return 'likely'
  if (share >= 0.12) return 'perhaps'
  return 'less likely'
}

/** How often a cause shows as a symptom. */
export function often(share: number): string {
  if (share >= 0.8) return 'nearly always'
  if (share >= 0.5) return 'often'
  if (share >= 0.25) return 'sometimes'
  return share > 0 ? 'now and then' : 'hardly ever'
}

/** A factor of the odds, in words. */
function timesSaid(factor: number): string {
  const by = factor >= 1 ? factor : 1 / factor
  return `${by >= 9.5 ? Math.round(by) : Math.round(by * 10) / 10} times ${factor >= 1 ? 'more' : 'less'}`
}

/** A factor nobody would mention. */
const TELLS = 1.25
const tells = (factor: number) => factor >= TELLS || factor <= 1 / TELLS
const strength = (factor: number) => Math.abs(Math.log(factor))

/** The facts of the run that move a cause most, each with how far. */
function ofRun(cause: CauseId, facts: RunFacts): readonly Reason[] {
  const { odds = [] }: CauseRow = CAUSES[cause]
  const said = (o: Odds): Reason | undefined => {
    if ('flag' in o)
      return facts.flags[o.flag] ? TROUBLE.because('FACT_SO', { fact: FLAGS[o.flag] }) : undefined
    return facts.words?.['z' in o ? o.z : o.x]
  }
  const [most] = odds
    .map((o) => ({ factor: multiplier(o, facts), fact: said(o) }))
    .filter(({ factor, fact }) => fact && tells(factor))
    .sort((a, b) => strength(b.factor) - strength(a.factor))
  return most?.fact ? [most.fact, TROUBLE.because('TROUBLE_TIMES', { times: timesSaid(most.factor) })] : []
}

/** The answer that tells most between a cause and the one next to it. */
function ofAnswers(
  book: Book,
  facts: RunFacts,
  call: Call,
  cause: CauseId,
  other: CauseId | undefined,
): readonly Reason[] {
  if (!other) return []
  const [c, o] = [book.causes.indexOf(cause), book.causes.indexOf(other)]
  const [most] = call.answers
    .map(({ ask, answer }) => {
      const likely = answersTo(book, ask, facts).find((a) => a.answers.includes(answer))?.likely
      return { answer, factor: (likely?.[c] ?? 1) / (likely?.[o] ?? 1) }
    })
    .filter(({ factor }) => tells(factor))
    .sort((a, b) => strength(b.factor) - strength(a.factor))
  return most
    ? [
        TROUBLE.because('TROUBLE_TOLD', {
          answer: most.answer,
          other: CAUSES[other].label,
          times: timesSaid(most.factor),
        }),
      ]
    : []
}

/** Why a cause stands where it stands, strongest first: how it shows, what this run says, what was answered, what was tried. */
export function whyCause(
  { book, numbers, calls }: Pick<Knowledge, 'book' | 'numbers' | 'calls'>,
  facts: RunFacts,
  call: Call,
  cause: CauseId,
  other: CauseId | undefined,
): readonly Reason[] {
  const tried = call.tried.filter((r) => numbers.fixes(r, cause) > 0).at(-1)
  return [
    TROUBLE.because('TROUBLE_SHOWS', {
      often: often(numbers.sees(cause, call.symptom)),
    }),
    ...ofRun(cause, facts),
    ...ofAnswers(book, facts, call, cause, other),
    ...(calls(countKey.base(cause)) >= 1
      ? [TROUBLE.because('TROUBLE_CALLS', { calls: q('count', Math.round(calls(countKey.base(cause)))) })]
      : []),
    ...(tried ? [TROUBLE.because('TROUBLE_TRIED', { remedy: REMEDIES[tried].does })] : []),
  ]
}

/** Why that look is asked for. */
export const whyLook = ({ between, saves }: Asked): readonly Reason[] => [
  ...(between
    ? [TROUBLE.because('TROUBLE_PAIR', { one: CAUSES[between[0]].label, other: CAUSES[between[1]].label })]
    : []),
  ...(saves > 0
    ? [TROUBLE.because('TROUBLE_LOOK', { time: q('duration', 5 * Math.max(1, Math.round(saves / 5))) })]
    : []),
]

type Warned = SymptomId | CauseId | keyof typeof REMEDIES

/** What to mind before it is done, by symptom, cause or remedy. */
const MIND = {
  CAUTION_PANEL: ['fixPanel', 'deadElement'],
  CAUTION_BOARDS: ['hotBoards', 'coolBoards'],
  CAUTION_UNDER: ['leftUnder', 'scorch'],
  CAUTION_SPRAY: ['mist', 'silicone'],
  CAUTION_LOCK: ['tightenHead', 'tightenBoard', 'shimBoard', 'levelScreen'],
  HELD_BACK: ['washes', 'cracks', 'tackyAfter', 'peels', 'underCure', 'dryerZone'],
  CAUTION_OVERNIGHT: ['migrates', 'noBlock'],
  CAUTION_REDUCER: ['stiff', 'stirWarm', 'thin'],
} as const satisfies Readonly<Partial<Record<keyof typeof TROUBLE.rules, readonly Warned[]>>>

/** Cautions that a symptom, its first causes and the remedy at hand call for. Faults of the cure first: goods are held back. */
export const cautionsOf = (about: readonly Warned[]): readonly Reason[] =>
  (Object.keys(MIND) as (keyof typeof MIND)[])
    .filter((rule) => (MIND[rule] as readonly Warned[]).some((id) => about.includes(id)))
    .sort((a, b) => Number(b === 'HELD_BACK') - Number(a === 'HELD_BACK'))
    .map((rule) => TROUBLE.because(rule))
