import type { InkRoom } from '../equipment'
import type { Mass } from '../quantity'
import { type MixPlan, mixPlanFor, type Serving, servingFor, type WantedInk } from './serve'
import type { Batch, Can } from './stock'

/** One ink of one run, and what of it is there. */
export interface ServedNeed<N extends WantedInk> {
  readonly need: N
  readonly serving: Serving
  /** kg of what it is served from that are kept for it: no gram is promised twice. */
  readonly kept: Mass
}

/** What all runs together want of one ink, against what is there. */
export interface InkWanted<N extends WantedInk> {
  readonly key: string
  /** In the order in which they are due. */
  readonly needs: readonly ServedNeed<N>[]
  readonly wanted: Mass
  readonly kept: Mass
  /** kg of batches on the bench that are meant to be this ink. */
  readonly coming: Mass
  /** What is neither in a tub nor in a can nor on its way: to be mixed, or missing. */
  readonly short: Mass
  readonly mix: MixPlan | undefined
}

const keyOf = ({ name, hex, system, expands }: WantedInk) =>
  [name.trim().toLowerCase(), hex.toLowerCase(), system, expands].join('|')

const comingOf = (want: WantedInk, mixing: readonly Batch[]): Mass =>
  mixing
    .filter((b) => b.name.trim().toLowerCase() === want.name.trim().toLowerCase() && b.system === want.system)
    .reduce((sum, b) => sum + Math.max(b.wanted, b.mass), 0)

/** A weight under this is nothing. */
const NOTHING = 1e-6

/**
 * What the runs want, ink by ink; what is short first, then what is due first. What is in tubs and cans is kept for the runs in
 * the order in which they come, each gram once.
 *
 * @param needs by due date
 * @param tubs that are not gone
 * @param mixing batches on the bench: they count for the ink they are named after
 */
export function inksWanted<N extends WantedInk>(
  needs: readonly N[],
  room: InkRoom,
  cans: readonly Can[],
  tubs: readonly Batch[],
  mixing: readonly Batch[] = [],
): readonly InkWanted<N>[] {
  const taken = new Map<string, Mass>()
  const left = <T extends { readonly mass: Mass }>(key: (x: T) => string, all: readonly T[]): readonly T[] =>
    all
      .map((x) => ({ ...x, mass: Math.max(0, x.mass - (taken.get(key(x)) ?? 0)) }))
      .filter((x) => x.mass > NOTHING)
  const byInk = new Map<string, ServedNeed<N>[]>()
  for (const need of needs) {
    const tubsLeft = left((t: Batch) => t.id, tubs)
    const serving = servingFor(need, room, cans, tubsLeft)
    const from =
      serving.from === 'tub' ? serving.tub.id : serving.from === 'can' ? serving.ink.code : undefined
    const had = from === undefined ? 0 : (taken.get(from) ?? 0)
    const there = serving.from === 'tub' ? serving.tub.mass : serving.from === 'can' ? serving.mass - had : 0
    const kept = Math.min(need.mass, Math.max(0, there))
    if (from !== undefined) taken.set(from, had + kept)
    const key = keyOf(need)
    byInk.set(key, [...(byInk.get(key) ?? []), { need, serving, kept }])
  }
  const inks = [...byInk].map(([key, served]): InkWanted<N> => {
    const wanted = served.reduce((sum, s) => sum + s.need.mass, 0)
    const kept = served.reduce((sum, s) => sum + s.kept, 0)
    const [first] = served
    const coming = first ? Math.min(wanted - kept, comingOf(first.need, mixing)) : 0
    const short = wanted - kept - coming
    return {
      key,
      needs: served,
      wanted,
      kept,
      coming,
      short: short > NOTHING ? short : 0,
      mix: first && mixPlanFor(first.need, room),
    }
  })
  return [...inks.filter((i) => i.short > 0), ...inks.filter((i) => i.short === 0)]
}
