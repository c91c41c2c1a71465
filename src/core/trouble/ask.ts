import type { Book } from './book'
import type { Need, RunFacts } from './facts'
import { USED } from './parameters'
import { answersTo, type Call, checkAnswers, normalised, ranked } from './rank'
import { repair } from './repair'
import { CAUSES, type CauseId } from './tables/causes'
import { LOOK_ALIKES } from './tables/lookAlikes'
import { QUESTIONS, type QuestionId } from './tables/questions'
import { SYMPTOMS } from './tables/symptoms'

/** The look that is asked for next, and what it is good for. */
export interface Asked {
  readonly ask: QuestionId
  /** The two causes it is there to tell apart, where that is why it is asked. */
  readonly between?: readonly [CauseId, CauseId]
  /** Seconds of repair it saves on average, its own taken off. */
  readonly saves: number
  /** Bits it tells. */
  readonly gain: number
}

/** Looks that can still be taken: what the shop has for them, and neither answered nor in the way. */
export function openLooks(facts: RunFacts, call: Call): readonly QuestionId[] {
  const symptom = SYMPTOMS[call.symptom]
  const bySymptom: readonly string[] = 'answers' in symptom ? symptom.answers : []
  const byCheck =
    (facts.check?.age ?? Number.POSITIVE_INFINITY) <= USED.checkAnswers ? checkAnswers(facts) : []
  const answered = new Set<string>([
    ...bySymptom,
    ...call.answers.map((a) => a.ask),
    ...call.cannot,
    ...byCheck.map((a) => a.ask),
  ])
  return (Object.keys(QUESTIONS) as QuestionId[]).filter((id) => {
    const look = QUESTIONS[id]
    const needs: readonly Need[] = 'needs' in look ? look.needs : []
    if ('running' in look && symptom.seen === 'later') return false
    return !answered.has(id) && needs.every((n) => facts.has[n] !== false)
  })
}

const bits = (m: Float64Array) => {
  let sum = 0
  for (const p of m) if (p > 0) sum -= p * Math.log2(p)
  return sum
}

/** What each answer would leave, and how likely it is. */
function outcomes(book: Book, ask: QuestionId, facts: RunFacts, m: Float64Array) {
  return answersTo(book, ask, facts).map(({ likely }) => {
    const joint = m.map((share, c) => share * (likely[c] as number))
    return { p: joint.reduce((a, b) => a + b, 0), after: normalised(joint) }
  })
}

function gainOf(book: Book, ask: QuestionId, facts: RunFacts, m: Float64Array): number {
  return outcomes(book, ask, facts, m).reduce((sum, o) => sum - o.p * bits(o.after), bits(m))
}

const takes = (ask: QuestionId): number => QUESTIONS[ask].seconds + USED.attention

function savesOf(book: Book, ask: QuestionId, facts: RunFacts, m: Float64Array, now: number): number {
  const later = outcomes(book, ask, facts, m).reduce((sum, o) => sum + o.p * repair(book, o.after).seconds, 0)
  return now - takes(ask) - later
}

/** The look that tells the leading causes apart, where two of the first three look alike. */
function pairLook(book: Book, m: Float64Array, open: readonly QuestionId[]) {
  const [first, second, third] = ranked(book, m)
  if (!first || !second || !third) return undefined
  for (const [a, b] of [
    [first, second],
    [first, third],
    [second, third],
  ] as const) {
    if (b.share < USED.pairShare || b.share < USED.pairOfFirst * a.share) continue
    if (CAUSES[a.cause].first === CAUSES[b.cause].first) continue
    const found = LOOK_ALIKES.find(
      ([x, y]) => (x === a.cause && y === b.cause) || (x === b.cause && y === a.cause),
    )
    const ask = found?.[2]
    if (ask && open.includes(ask) && QUESTIONS[ask].seconds <= USED.pairSeconds)
      return { ask, between: [a.cause, b.cause] as const }
  }
  return undefined
}

/**
 * The one look to take next; none where doing is cheaper than asking (model of trouble, section 3): first what tells the leading
 * look-alikes apart, then what saves most time.
 */
export function nextLook(book: Book, facts: RunFacts, call: Call, m: Float64Array): Asked | undefined {
  const first = ranked(book, m)
  const asked = call.answers.length
  if ((first[0]?.share ?? 0) >= USED.sure || asked >= USED.mostQuestions) return undefined
  const top = first.slice(0, 3).reduce((sum, r) => sum + r.share, 0)
  if (asked >= USED.enoughQuestions && top >= USED.enough) return undefined
  const open = openLooks(facts, call)
  const now = repair(book, m).seconds
  const pair = pairLook(book, m, open)
  if (pair)
    return { ...pair, gain: gainOf(book, pair.ask, facts, m), saves: savesOf(book, pair.ask, facts, m, now) }
  const [best] = open
    .map((ask) => ({ ask, gain: gainOf(book, ask, facts, m) }))
    .sort((a, b) => b.gain / takes(b.ask) - a.gain / takes(a.ask))
    .slice(0, USED.looked)
    .map((a) => ({ ...a, saves: savesOf(book, a.ask, facts, m, now) }))
    .sort((a, b) => b.saves - a.saves)
  return best && best.saves > 0 ? best : undefined
}
