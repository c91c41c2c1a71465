import { type Hit, isBase, type Relation, type SequenceMethod } from './hit'

/** One cause of wet contact risk and its points for a pair i before j. */
export interface WetTerm {
  readonly why: string
  readonly points: number
}

const PROCESS = ['yellow', 'magenta', 'cyan', 'key'] as const
const processPlace = (h: Hit) => PROCESS.indexOf(h.role as (typeof PROCESS)[number])

/** How much two hits share: 0 apart, 0.4 along an edge, 1 as a blend, in between for overlaps (w in mm). */
const closeness = (meet: Relation | undefined): number => {
  if (!meet) return 0
  if (meet.how === 'blend') return 1
  return meet.how === 'touch' ? 0.4 : Math.min(1, 0.5 + ((meet.width ?? 0.0005) * 1000) / 2)
}

/** Strength with which an ink takes over another: opacity x coverage x darkness, 0..1. */
const dominance = (h: Hit): number => h.opacity * h.coverage * (1 - h.L / 100)

const HIGHLIGHT_FIRST = { overlap: 30, touch: 6, blend: 0 } as const

/**
 * Wet contact risk of printing `i` before `j`, by cause: a fitted score that ranks orders, not a measured quantity.
 * Source: common practice, no published source.
 */
export function wetTerms(
  i: Hit,
  j: Hit,
  meet: Relation | undefined,
  state: 'wet' | 'dry',
  method: SequenceMethod,
): readonly WetTerm[] {
  if (i.role === 'smoothing' || j.role === 'smoothing') return []
  const wet = state === 'wet'
  const rho = closeness(meet)
  const terms: WetTerm[] = []
  const add = (why: string, points: number) => points > 0 && terms.push({ why, points })

  if (wet && method.colourOrder === 'overpower')
    add('large area first', (i.coverage - j.coverage) * (meet ? 4 : 1))
  // Process inks in their only right order are meant to lie wet on each other.
  if (processPlace(i) >= 0 && processPlace(i) < processPlace(j)) return []
  if (isBase(i) || isBase(j)) return terms

  const darker = ((j.L - i.L) / 50) * rho * (method.colourOrder === 'light' ? 3 : 1)
  if (wet) add('dark before light', 10 * darker)
  else if (j.role !== 'highlight') add('dark before light', 2 * darker)

  const takesOver = dominance(i) - dominance(j)
  if (wet && takesOver > 0.05 && method.colourOrder === 'overpower')
    add('the stronger ink first', 15 * takesOver * rho)
  if (wet && meet?.how === 'overlap') add('two opaque inks overlap', 8 * i.opacity * j.opacity * rho)
  if (processPlace(j) >= 0 && processPlace(i) > processPlace(j)) add('not yellow, magenta, cyan, black', 12)
  if (i.role === 'highlight' && meet && !['black', 'clear', 'expanding'].includes(j.role))
    add('highlight before a colour', HIGHLIGHT_FIRST[meet.how])
  if (wet && j.role === 'metallic') add('metallic over wet ink', 10 * rho)
  if (wet && j.role === 'expanding') add('expanding ink over wet ink', 4 * rho)
  return terms
}
