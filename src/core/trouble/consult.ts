import type { Reason } from '../advice'
import { keysOf } from '../quantity'
import { type Asked, nextLook } from './ask'
import { type Book, showsAs } from './book'
import type { RunFacts } from './facts'
import type { Knowledge } from './known'
import { type Call, normalised, oddsOfRun, ranked, shares } from './rank'
import { type Line, linesOf, toTry } from './repair'
import { cautionsOf, sureness, whyCause, whyLook } from './say'
import type { CauseId } from './tables/causes'
import type { RemedyId } from './tables/remedies'
import { GROUPS, type Group, SYMPTOMS, type SymptomId } from './tables/symptoms'

/** One line of what it may be. */
export interface Told extends Line {
  readonly sure: ReturnType<typeof sureness>
  /** Strongest first. */
  readonly why: readonly Reason[]
}

/** What is told of a trouble at one moment. */
export interface Consulted {
  /** Three at most, the likeliest first. */
  readonly lines: readonly Told[]
  /** The look to take, none where doing is cheaper. */
  readonly look: (Asked & { readonly why: readonly Reason[] }) | undefined
  /** What to do, in the order of trying; each remedy once. */
  readonly steps: readonly RemedyId[]
  /** Further symptoms that may well be there, too. */
  readonly also: readonly SymptomId[]
  /** To be minded before anything is done. */
  readonly cautions: readonly Reason[]
  /** Shares for the record, the likeliest first. */
  readonly believed: readonly { readonly cause: CauseId; readonly share: number }[]
}

const LINES = 3
const ALSO = 4
/** A line under this is no line. */
const LEAST = 0.02
const BELIEVED = 12

/**
 * Ranks the causes of a call, and says what to look at and what to do next, with the reasons.
 *
 * @returns frozen plain data; well under 20 ms
 */
export function consult(known: Knowledge, facts: RunFacts, call: Call): Consulted {
  const { book } = known
  const m = shares(book, facts, call)
  const order = ranked(book, m)
  const asked = nextLook(book, facts, call, m)
  const told = [call.symptom, ...call.also]
  const lines = linesOf(order.filter((r) => showsAs(book, book.causes.indexOf(r.cause), told))).slice(
    0,
    LINES,
  )
  const steps = toTry(book, m, call)
  const leading = lines.flatMap((l) => l.causes)
  return {
    lines: lines
      .filter((l, i) => i === 0 || l.share >= LEAST)
      .map((line, i) => {
        const [cause] = line.causes
        const other = lines[i === 0 ? 1 : 0]?.causes[0]
        return {
          ...line,
          sure: sureness(line.share),
          why: cause ? whyCause(known, facts, call, cause, other) : [],
        }
      }),
    look: asked && { ...asked, why: whyLook(asked) },
    steps,
    also: alsoThere(book, m, call),
    cautions: cautionsOf([call.symptom, ...leading.slice(0, 1), ...steps.slice(0, 1)]),
    believed: order
      .slice(0, BELIEVED)
      .filter((r) => r.share >= 0.005)
      .map((r) => ({ cause: r.cause, share: Math.round(r.share * 1e4) / 1e4 })),
  }
}

function tellsOf({ told }: Book, m: Float64Array, symptom: SymptomId): number {
  let sum = 0
  for (let c = 0; c < m.length; c++) sum += (m[c] as number) * (told[symptom][c] as number)
  return sum
}

/** Symptoms that the likeliest causes show besides. */
function alsoThere(book: Book, m: Float64Array, call: Call): readonly SymptomId[] {
  const settled = new Set([call.symptom, ...call.also, ...call.notThere])
  const here = SYMPTOMS[call.symptom].seen === 'press'
  return keysOf(SYMPTOMS)
    .filter((s) => !settled.has(s) && (!here || SYMPTOMS[s].seen === 'press'))
    .map((s) => ({ s, p: tellsOf(book, m, s) }))
    .sort((a, b) => b.p - a.p)
    .slice(0, ALSO)
    .map(({ s }) => s)
}

/** The groups with their symptoms, likeliest for this run first. */
export function likelyGroups(
  { book }: Knowledge,
  facts: RunFacts,
): readonly { readonly group: Group; readonly symptoms: readonly SymptomId[] }[] {
  const m = normalised(book.base.map((base, c) => base * oddsOfRun(book.causes[c] as CauseId, facts)))
  const tells = (s: SymptomId) => tellsOf(book, m, s)
  return keysOf(GROUPS)
    .map((group) => ({
      group,
      symptoms: keysOf(SYMPTOMS)
        .filter((s) => SYMPTOMS[s].group === group && canBe(s, facts))
        .sort((a, b) => tells(b) - tells(a)),
    }))
    .filter(({ symptoms }) => symptoms.length > 0)
    .sort((a, b) => tells(b.symptoms[0] as SymptomId) - tells(a.symptoms[0] as SymptomId))
}

/** What a run without raised ink, wet colours or a second screen cannot show. */
const NEEDS = {
  flat: 'puff',
  dapple: 'puff',
  greyEdge: 'wet',
  muddy: 'wet',
  sticks: 'several',
  pickup: 'several',
  halo: 'several',
  shift: 'several',
  turned: 'several',
  local: 'several',
  creep: 'several',
} as const satisfies Partial<Record<SymptomId, keyof RunFacts['has']>>

const canBe = (s: SymptomId, facts: RunFacts): boolean =>
  !Object.hasOwn(NEEDS, s) || facts.has[NEEDS[s as keyof typeof NEEDS]] !== false
