import type { Need, Odds } from '../facts'
import type { QuestionId } from './questions'
import type { RemedyId } from './remedies'
import type { SymptomId } from './symptoms'

/** One cause as the tables have it. */
export interface CauseRow {
  readonly label: string
  /** How often it happens, against the others. */
  readonly base: number
  /** What is done about it first. */
  readonly first: RemedyId
  /** How often it shows as each symptom: 0.9 nearly always, 0.6 often, 0.3 sometimes. */
  readonly sees: Readonly<Partial<Record<SymptomId, number>>>
  /** How each look comes out when it is the cause; what is left out comes out as usual. */
  readonly says: Readonly<Partial<Record<QuestionId, Readonly<Record<string, number>>>>>
  /** What a run must have for it. */
  readonly needs?: readonly Need[]
  /** How this run makes it likelier or less likely. */
  readonly odds?: readonly Odds[]
}
