import { type Stated, type StatedOf, saidOf } from '../record'
import type { Outcome } from './learn'
import { type Call, callOf } from './rank'
import { CAUSES } from './tables/causes'
import { QUESTIONS } from './tables/questions'
import { REMEDIES, type RemedyId } from './tables/remedies'
import { SYMPTOMS } from './tables/symptoms'

const known =
  <T extends object>(table: T) =>
  (id: string): id is keyof T & string =>
    Object.hasOwn(table, id)
const isSymptom = known(SYMPTOMS)
const isCause = known(CAUSES)
const isLook = known(QUESTIONS)
const isRemedy = known(REMEDIES)

/** What is open: something was done, and nobody has said yet what came of it. */
export function openTry(said: readonly Stated[]): StatedOf<'tried'> | undefined {
  const answered = new Set(saidOf(said, 'came').map((e) => e.of))
  const last = saidOf(said, 'tried').at(-1)
  return last && !answered.has(last.id) ? last : undefined
}

/** What was tried, with the call as it stood; nothing where the tables do not know it any more. */
export function triedCall(
  tried: StatedOf<'tried'> | undefined,
): { readonly remedy: RemedyId; readonly call: Call } | undefined {
  if (!tried || !isSymptom(tried.symptom) || !isRemedy(tried.remedy)) return undefined
  return {
    remedy: tried.remedy,
    call: { ...callOf(tried.symptom), ...told(tried) },
  }
}

const told = ({ also, notThere, answers }: StatedOf<'tried'>) => ({
  also: also.filter(isSymptom),
  notThere: notThere.filter(isSymptom),
  answers: answers.flatMap(({ ask, answer }) => (isLook(ask) ? [{ ask, answer }] : [])),
})

/**
 * What can be learnt from what was said on a run. Two remedies before anyone said what came of the first teach nothing; words
 * that the tables do not know are left out.
 *
 * @param said what stands, oldest first
 */
export function outcomesOf(said: readonly Stated[]): readonly Outcome[] {
  const tries = new Map(saidOf(said, 'tried').map((e) => [e.id, e]))
  const out: Outcome[] = []
  let open: string[] = []
  for (const e of said) {
    if (e.kind === 'tried') open.push(e.id)
    if (e.kind !== 'came') continue
    const tried = tries.get(e.of)
    const isAlone = open.length === 1 && open[0] === e.of
    if (open.includes(e.of)) open = []
    if (!tried || !isAlone || !isSymptom(tried.symptom) || !isRemedy(tried.remedy)) continue
    out.push({
      symptom: tried.symptom,
      ...told(tried),
      remedy: tried.remedy,
      believed: tried.believed.flatMap(({ cause, share }) => (isCause(cause) ? [{ cause, share }] : [])),
      came: e.how,
    })
  }
  return out
}
