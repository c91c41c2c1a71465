import { keysOf } from '../quantity'
import { USED } from './parameters'
import type { CauseRow } from './tables/causeRow'
import { CAUSES, type CauseId } from './tables/causes'
import { QUESTIONS, type QuestionId } from './tables/questions'
import { REMEDIES, type RemedyId } from './tables/remedies'
import { SYMPTOMS, type SymptomId } from './tables/symptoms'

/** The tables, with every number looked up: as they are printed here, as the shop has them, or as its outcomes have moved them. */
export interface Numbers {
  readonly base: (cause: CauseId) => number
  readonly sees: (cause: CauseId, symptom: SymptomId) => number
  /** Share of an answer; none where the cause says nothing of the question. */
  readonly says: (cause: CauseId, question: QuestionId, answer: string) => number | undefined
  readonly fixes: (remedy: RemedyId, cause: CauseId) => number
  readonly seconds: (remedy: RemedyId) => number
  readonly spoils: (remedy: RemedyId) => number
}

const row = (cause: CauseId): CauseRow => CAUSES[cause]

/** As the tables start. */
export const STARTING: Numbers = {
  base: (cause) => row(cause).base,
  sees: (cause, symptom) => row(cause).sees[symptom] ?? 0,
  says: (cause, question, answer) => {
    const said = row(cause).says[question]
    return said && (said[answer] ?? 0)
  },
  fixes: (remedy, cause) =>
    (REMEDIES[remedy].fixes as Readonly<Partial<Record<CauseId, number>>>)[cause] ?? 0,
  seconds: (remedy) => REMEDIES[remedy].seconds,
  spoils: (remedy) => REMEDIES[remedy].spoils,
}

/** A look with how each answer comes out under each cause, in the order of `causes`. */
export interface Look {
  readonly id: QuestionId
  readonly seconds: number
  readonly answers: readonly string[]
  /** By answer, then by cause. */
  readonly likely: readonly Float64Array[]
  /** How often each answer is given whatever is wrong, by answer, flattened. */
  readonly usual: readonly number[]
}

/** A remedy with what it costs and cures. */
export interface Cure {
  readonly id: RemedyId
  /** Seconds of press time, with the pieces at risk. */
  readonly cost: number
  /** Of the causes that it cures at all, by their place: the share. */
  readonly fixes: readonly (readonly [cause: number, share: number])[]
}

/** The tables worked out for ranking: every share by cause, in one order. */
export interface Book {
  readonly causes: readonly CauseId[]
  readonly base: Float64Array
  /** How likely each symptom is told under each cause. */
  readonly told: Readonly<Record<SymptomId, Float64Array>>
  readonly looks: ReadonlyMap<QuestionId, Look>
  readonly cures: readonly Cure[]
}

const CAUSE_IDS = keysOf(CAUSES)

/** Works the tables out. @param piece seconds of press time that a piece at risk is worth */
export function bookOf(numbers: Numbers = STARTING, piece: number = USED.piece): Book {
  const byCause = (of: (cause: CauseId) => number) => Float64Array.from(CAUSE_IDS, of)
  return {
    causes: CAUSE_IDS,
    base: byCause(numbers.base),
    told: Object.fromEntries(
      keysOf(SYMPTOMS).map((s) => [s, byCause((c) => toldAs(numbers, c, s))]),
    ) as unknown as Book['told'],
    looks: new Map(keysOf(QUESTIONS).map((q) => [q, lookOf(numbers, q)])),
    cures: keysOf(REMEDIES).map((id) => ({
      id,
      cost: numbers.seconds(id) + piece * numbers.spoils(id) + ('last' in REMEDIES[id] ? USED.lastResort : 0),
      fixes: CAUSE_IDS.flatMap((c, at): readonly (readonly [number, number])[] => {
        const share = numbers.fixes(id, c)
        return share > 0 ? [[at, share]] : []
      }),
    })),
  }
}

/** A symptom is told where it shows, where a neighbour of it shows that people take for it, and now and then for nothing. */
function toldAs({ sees }: Numbers, cause: CauseId, symptom: SymptomId): number {
  const own = sees(cause, symptom)
  let shows = own
  for (const other of SYMPTOMS[symptom].confused) shows += USED.confuse * sees(cause, other) * (1 - own)
  return 1 - (1 - USED.leak) * (1 - Math.min(0.98, shows))
}

/** Whether a cause shows as one of these, or as a neighbour that people take for it; anything else is told for nothing. */
export const showsAs = ({ told }: Book, at: number, symptoms: readonly SymptomId[]): boolean =>
  symptoms.some((s) => (told[s][at] ?? 0) > USED.leak + 1e-9)

function lookOf({ says }: Numbers, id: QuestionId): Look {
  const { usual: shares, seconds } = QUESTIONS[id]
  const answers = Object.keys(shares)
  const usual = Object.values(shares).map((p) => (1 - USED.flat) * p + USED.flat / answers.length)
  return {
    ...{ id, seconds, answers, usual },
    likely: answers.map((answer, a) =>
      Float64Array.from(CAUSE_IDS, (cause) => {
        const share = says(cause, id, answer)
        return share === undefined
          ? (usual[a] as number)
          : (1 - USED.slips) * share + USED.slips / answers.length
      }),
    ),
  }
}
