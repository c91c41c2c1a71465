import type { InkRoom } from '../equipment'
import type { Mass } from '../quantity'
import type { WantedInk } from './serve'
import type { Batch, Can } from './stock'
import { type InkWanted, inksWanted } from './wanted'

/** An ink that all runs want together, and by when what is short of it must be mixed. */
export interface InkDemand<N extends WantedInk> extends InkWanted<N> {
  /** When the first run begins that has not enough of it; none where nothing is short, or that run has no place. */
  readonly by: number | undefined
}

/** An ink of the rack of which less is there than all mixes and runs take. */
export interface ToBuy {
  readonly code: string
  readonly name: string
  /** kg that must come, and by when the first of it. */
  readonly short: Mass
  readonly by: number | undefined
  /** Names of the inks that it goes into. */
  readonly into: readonly string[]
}

/** Less than a scale tells, kg. */
const NOTHING = 1e-4

/**
 * What all runs want of inks, in the order in which they are printed: tubs and cans are kept for whoever prints first, no gram of
 * either twice, neither printed nor mixed in; what is short is mixed in one batch for all of its runs, and what the cans have not for
 * these batches is to be bought.
 *
 * @param begins when a run begins, on any clock; runs without a place come last, by due date
 */
export function inkDemand<N extends WantedInk & { readonly runId: string; readonly due: string }>(
  needs: readonly N[],
  begins: ReadonlyMap<string, number>,
  room: InkRoom,
  cans: readonly Can[],
  tubs: readonly Batch[],
  mixing: readonly Batch[] = [],
): { readonly inks: readonly InkDemand<N>[]; readonly buy: readonly ToBuy[] } {
  const at = ({ runId }: N) => begins.get(runId) ?? Number.POSITIVE_INFINITY
  const inOrder = [...needs].sort((a, b) => compare(at(a), at(b)) || a.due.localeCompare(b.due))
  const inks = inksWanted(inOrder, room, cans, tubs, mixing).map((ink): InkDemand<N> => {
    const first = shortOf(ink)[0]
    return { ...ink, by: first && begins.get(first.need.runId) }
  })
  const short = inks.filter((i) => i.short > 0)
  const sorted = [...short].sort((a, b) => compare(a.by ?? Infinity, b.by ?? Infinity))
  return {
    inks: [...sorted, ...inks.filter((i) => i.short === 0)],
    buy: toBuy(inks, begins, room, cans),
  }
}

const compare = (a: number, b: number) => (a === b ? 0 : a < b ? -1 : 1)

/** Needs of an ink that are not covered, and how much of each: what is on the bench goes to those that come first. */
function shortOf<N extends WantedInk>({ needs, coming }: InkWanted<N>) {
  let left = coming
  return needs.flatMap(({ need, kept, serving }) => {
    const lacks = need.mass - kept
    const mass = Math.max(0, lacks - left)
    left = Math.max(0, left - lacks)
    return mass > NOTHING ? [{ need, mass, serving }] : []
  })
}

function toBuy<N extends WantedInk & { readonly runId: string }>(
  inks: readonly InkDemand<N>[],
  begins: ReadonlyMap<string, number>,
  room: InkRoom,
  cans: readonly Can[],
): readonly ToBuy[] {
  const there = new Map<string, Mass>()
  for (const c of cans) there.set(c.code, (there.get(c.code) ?? 0) + Math.max(0, c.mass))
  for (const { serving, kept } of inks.flatMap((i) => i.needs))
    if (serving.from === 'can') there.set(serving.ink.code, (there.get(serving.ink.code) ?? 0) - kept)
  const wanted = inks.flatMap((ink) =>
    shortOf(ink).flatMap(({ need, mass, serving }) => {
      const by = begins.get(need.runId)
      if (serving.from === 'can') return [{ code: serving.ink.code, mass, by, into: need.name }]
      return (ink.mix?.ready ? ink.mix.parts : []).map(({ code, share }) => ({
        ...{ code, mass: mass * share, by, into: need.name },
      }))
    }),
  )
  const found = new Map<string, { short: Mass; by: number | undefined; into: Set<string> }>()
  for (const { code, mass, by, into } of [...wanted].sort((a, b) =>
    compare(a.by ?? Infinity, b.by ?? Infinity),
  )) {
    const left = there.get(code) ?? 0
    there.set(code, left - mass)
    const short = Math.min(mass, mass - left)
    if (short <= NOTHING) continue
    const line = found.get(code) ?? { short: 0, by, into: new Set() }
    found.set(code, { short: line.short + short, by: line.by, into: line.into.add(into) })
  }
  return [...found].map(([code, { short, by, into }]) => ({
    ...{ code, name: room.rack.find((i) => i.code === code)?.name ?? code },
    ...{ short, by, into: [...into] },
  }))
}
