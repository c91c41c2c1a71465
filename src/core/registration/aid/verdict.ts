import jStat from 'jstat'
import { type Explained, explain, type Line, TERMS, type Term } from './fit'

/** What readings say beyond where the screen lies. */
export type Verdict =
  | { readonly kind: 'fine' }
  /** The screen is not the film's shape: so much at the edge of the art, metres. */
  | { readonly kind: Term; readonly strain: number }
  /** One line was written with the wrong sign. */
  | { readonly kind: 'sign'; readonly line: Line }
  /** No move, turn, growth or shear explains it: slack mesh, crooked film. */
  | { readonly kind: 'bent' }
  | { readonly kind: 'mixed' }
  /** One mark does not go with the others. */
  | { readonly kind: 'mark'; readonly mark: number }

/** The spread of a reading is itself known from so many only. */
const KNOWN_FROM = 20
const ALPHA = 0.01
/** Less than this at the art's edge no one sees, metres. */
const SEEN = 0.08e-3
/** A sign is wrong when what is left falls by so much, and the rest then fits so well. */
const FALLS = 12
const FITS = 0.1

/** How likely so much is left by chance alone. */
export const chance = (rss: number, spare: number): number =>
  spare <= 0 ? 1 : 1 - jStat.centralF.cdf(rss / spare, spare, KNOWN_FROM)

const fits = (of: Explained | undefined, alpha = ALPHA): boolean =>
  of !== undefined && chance(of.rss, of.spare) > alpha

/**
 * Whether moving and turning the screen mends what was read, or what else it is. @param edge metres from the centre to the art's edge
 */
export function verdictOn(lines: readonly Line[], edge: number): Verdict {
  const rigid = explain(lines)
  if (!rigid || fits(rigid)) return { kind: 'fine' }
  const single = TERMS.flatMap((term) => {
    const found = explain(lines, [term])
    return found ? [{ term, found, strain: found.values[3] ?? 0 }] : []
  }).sort((a, b) => a.found.rss - b.found.rss)[0]
  if (
    single &&
    chance(rigid.rss - single.found.rss, 1) < ALPHA / TERMS.length &&
    Math.abs(single.strain) * edge >= SEEN &&
    fits(single.found)
  )
    return { kind: single.term, strain: single.strain }
  const flipped = lines
    .map((line) => ({
      line,
      found: explain(lines.map((l) => (l === line ? { ...l, value: -l.value } : l))),
    }))
    .sort((a, b) => (a.found?.rss ?? 0) - (b.found?.rss ?? 0))[0]
  if (flipped?.found && rigid.rss - flipped.found.rss > FALLS && fits(flipped.found, FITS))
    return { kind: 'sign', line: flipped.line }
  const affine = explain(lines, TERMS)
  if (affine && affine.spare > 0 && !fits(affine)) {
    const without = [...new Set(lines.map((l) => l.mark))].filter((mark) =>
      fits(explain(lines.filter((l) => l.mark !== mark))),
    )
    const [mark] = without
    return mark !== undefined && without.length === 1 ? { kind: 'mark', mark } : { kind: 'bent' }
  }
  return { kind: 'mixed' }
}
