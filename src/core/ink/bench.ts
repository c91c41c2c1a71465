import type { Part } from '../equipment'
import type { Mass } from '../quantity'
import { amounts, band, type Poured } from './batch'

/** One part of a batch on the bench. */
export interface BenchPart {
  readonly code: string
  readonly share: number
  /** kg that the whole batch wants of it. */
  readonly wanted: Mass
  /** kg in the tub. */
  readonly have: Mass
  /** kg still to pour; below 0 when too much was poured. */
  readonly left: Mass
  readonly state: 'right' | 'now' | 'later' | 'over'
}

export interface Bench {
  readonly parts: readonly BenchPart[]
  /** The part to pour now; none when all is in. */
  readonly now: BenchPart | undefined
  /** The part of which far too much is in, worst first; none when all is well. */
  readonly over: BenchPart | undefined
  readonly total: Mass
}

/**
 * Where a batch stands: one part at a time, the largest first.
 *
 * @param wanted kg of the whole batch; grows when an over-pour is put right
 * @param kept codes whose over-pour was accepted as it is
 */
export function benchOf(
  formula: readonly Part[],
  poured: Poured,
  wanted: Mass,
  kept: ReadonlySet<string> = new Set(),
): Bench {
  const rows = amounts(formula, wanted).map(({ code, mass }) => {
    const have = poured[code] ?? 0
    const [low, high] = band(mass)
    const state =
      have > high && !kept.has(code)
        ? ('over' as const)
        : have >= low
          ? ('right' as const)
          : ('later' as const)
    const share = mass / wanted
    return { code, share, wanted: mass, have, left: mass - have, state }
  })
  const next = rows.find((r) => r.state === 'later')
  const over = rows.filter((r) => r.state === 'over').sort((a, b) => b.have / b.wanted - a.have / a.wanted)[0]
  const parts = rows.map((r): BenchPart => (r === next && !over ? { ...r, state: 'now' } : r))
  return {
    parts,
    now: parts.find((p) => p.state === 'now'),
    over,
    total: Object.values(poured).reduce((a, b) => a + b, 0),
  }
}

/** A label as a hand types it: `c0001`, `C 1` and `C-0001` are one. */
const label = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[\s_.-]+/g, '')
    .replace(/^([a-z]+)0+(?=\d)/, '$1')

/** Whose can a code is: of the can's own label or of the ink. */
export const isCanOf = (typed: string, canId: string, code: string): boolean =>
  [canId, code].some((name) => label(name) === label(typed))
