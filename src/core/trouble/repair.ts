import { type Book, showsAs } from './book'
import { USED } from './parameters'
import { type Call, normalised, ranked } from './rank'
import { CAUSES, type CauseId } from './tables/causes'
import type { RemedyId } from './tables/remedies'

/** A remedy in the order of trying, with the chance that it helps when its turn comes. */
export interface Step {
  readonly remedy: RemedyId
  readonly helps: number
}

/** What repairing costs from here on. */
export interface Repair {
  /** Seconds to be expected, with pieces at risk, and giving up where nothing helps. */
  readonly seconds: number
  readonly steps: readonly Step[]
}

/** Remedies tried before one gives up. */
const MOST_STEPS = 10

/**
 * Remedies one after the other, always the one that helps most for what it costs; each that does not help makes its causes less
 * likely (model of trouble, equation 6).
 *
 * @param m shares by cause, in the order of the book
 */
export function repair({ cures }: Book, m: Float64Array, most: number = MOST_STEPS): Repair {
  let now = m
  let left = 1
  let seconds = 0
  const steps: Step[] = []
  while (steps.length < most) {
    let [best, helps] = [-1, 0]
    for (const [i, { fixes, cost }] of cures.entries()) {
      let p = 0
      for (const [c, share] of fixes) p += (now[c] as number) * share
      if (best < 0 || p / cost > helps / (cures[best] as { cost: number }).cost) [best, helps] = [i, p]
    }
    const cure = cures[best]
    if (!cure || helps <= 0) break
    seconds += left * cure.cost
    left *= 1 - helps
    steps.push({ remedy: cure.id, helps })
    const next = now.slice()
    for (const [c, share] of cure.fixes) next[c] = (next[c] as number) * (1 - share)
    now = normalised(next)
  }
  return { seconds: seconds + left * USED.givenUp, steps }
}

/**
 * What is tried, in its order: the first remedy of the line that leads, once that has so much of the shares, then what helps most
 * for what it costs. By cost alone a cheap trial that helps a little keeps coming before what mends: on the simulated press the right
 * remedy is among the first two seven points more often so, and repairing takes less.
 *
 * What cures nothing that shows as what was told is left out, however cheap; and what was tried.
 */
export function toTry(
  book: Book,
  m: Float64Array,
  { symptom, also, tried }: Pick<Call, 'symptom' | 'also' | 'tried'>,
): readonly RemedyId[] {
  const told = [symptom, ...also]
  const steps = repair(book, m)
    .steps.map((s) => s.remedy)
    .filter((r) => book.cures.some((c) => c.id === r && c.fixes.some(([at]) => showsAs(book, at, told))))
  const [lead] = linesOf(ranked(book, m))
  const isDear = lead && (book.cures.find((c) => c.id === lead.remedy)?.cost ?? 0) >= USED.dear
  const leads = lead && lead.share >= (isDear ? USED.leadsDear : USED.leads)
  return [...new Set([...(leads ? [lead.remedy] : []), ...steps])].filter((r) => !tried.includes(r))
}

/** Causes that are mended alike, on one line. */
export interface Line {
  readonly remedy: RemedyId
  /** The likeliest first; at most two. */
  readonly causes: readonly CauseId[]
  readonly share: number
}

/** What is told of the causes: those with the same first remedy on one line, the likeliest first. */
export function linesOf(
  ranked: readonly { readonly cause: CauseId; readonly share: number }[],
): readonly Line[] {
  const lines = new Map<RemedyId, { remedy: RemedyId; causes: CauseId[]; share: number }>()
  for (const { cause, share } of ranked) {
    const remedy = CAUSES[cause].first
    const line = lines.get(remedy) ?? { remedy, causes: [], share: 0 }
    if (line.causes.length < 2 && share > 0) line.causes.push(cause)
    line.share += share
    lines.set(remedy, line)
  }
  return [...lines.values()].filter((l) => l.share > 0).sort((a, b) => b.share - a.share)
}
