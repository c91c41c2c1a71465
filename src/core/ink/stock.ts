import type { Lab, Spectrum } from '../color'
import type { Part } from '../equipment'
import type { Mass } from '../quantity'
import type { Poured } from './batch'

/** A can of an ink, by its lot. */
export interface Can {
  readonly id: string
  readonly code: string
  readonly lot: string
  /** ISO day. */
  readonly received: string
  /** ISO time; none while it is closed. */
  readonly opened: string | undefined
  /** kg in it. */
  readonly mass: Mass
}

export const ENTRY_KINDS = {
  received: 'received',
  poured: 'poured',
  mixed: 'mixed in',
  used: 'used',
  returned: 'returned',
  discarded: 'thrown away',
  corrected: 'corrected',
} as const
export type EntryKind = keyof typeof ENTRY_KINDS

/** A line of the ledger: so much into a can or a tub, or out of it. */
export interface Entry {
  readonly id: number
  /** ISO time. */
  readonly at: string
  /** The can or the batch. */
  readonly tub: string
  readonly kind: EntryKind
  /** kg, below 0 for out. */
  readonly mass: Mass
  readonly batchId: string
  /** The entry that this one takes back. */
  readonly corrects: number | undefined
  readonly note: string
  /** The ink that went into a tub, or came out of it again. */
  readonly code: string | undefined
}

/** What a smear of a batch looked like. */
export interface Drawdown {
  readonly at: string
  readonly onWhite: Spectrum
  readonly onBlack: Spectrum
  /** CIEDE2000 to the target, over white. */
  readonly difference: number
  readonly verdict: 'read' | 'accepted' | 'refused'
  readonly who: string
}

/** A mixing, from the first can to the empty tub. */
export interface Batch {
  readonly id: string
  readonly name: string
  readonly system: string
  readonly target: Lab
  /** The run it was mixed for, if any. */
  readonly runId: string
  readonly hitId: string
  readonly wanted: Mass
  readonly begun: string
  readonly mixed: string | undefined
  readonly expires: string | undefined
  readonly state: 'mixing' | 'mixed' | 'accepted' | 'gone'
  readonly parts: readonly Part[]
  /** What is in the tub, by code; what was taken out went in the ratio it was in. */
  readonly poured: Poured
  /** kg in the tub. */
  readonly mass: Mass
  readonly drawdowns: readonly Drawdown[]
}

/** A batch long after: what it was, how near it came, what became of it. */
export interface PastBatch
  extends Pick<Batch, 'id' | 'name' | 'system' | 'target' | 'runId' | 'begun' | 'state'> {
  /** kg poured together. */
  readonly made: Mass
  /** kg printed, less what came back. */
  readonly used: Mass
  /** kg still in the tub. */
  readonly left: Mass
  /** Inks with the lots they came from, as `W1 L7`. */
  readonly lots: readonly string[]
  /** The drawdown that was accepted last; none yet. */
  readonly accepted: Drawdown | undefined
}

/** All batches of a colour, with the sample that later ones are held to: the first that was accepted. */
export interface ColourHistory {
  readonly name: string
  readonly system: string
  /** Newest first. */
  readonly batches: readonly PastBatch[]
  readonly sample: PastBatch | undefined
}

/** Batches by colour, the colour mixed last at the head. @param batches newest first */
export function byColour(batches: readonly PastBatch[]): readonly ColourHistory[] {
  const groups = new Map<string, PastBatch[]>()
  for (const b of batches) {
    const key = `${b.name.toLowerCase()} ${b.system}`
    groups.set(key, [...(groups.get(key) ?? []), b])
  }
  return [...groups.values()].map((of) => ({
    name: of[0]!.name,
    system: of[0]!.system,
    batches: of,
    sample: of.findLast((b) => b.accepted !== undefined),
  }))
}

/**
 * What a tub holds, from its entries in the order they were made: what went in by code, and what was thrown away, used or
 * brought back in the ratio of that moment.
 */
export function tubContents(
  entries: readonly { readonly code: string | undefined; readonly mass: Mass }[],
): Poured {
  let tub: Record<string, Mass> = {}
  for (const { code, mass } of entries) {
    if (code !== undefined) {
      tub[code] = Math.max(0, (tub[code] ?? 0) + mass)
      continue
    }
    const all = Object.values(tub).reduce((a, b) => a + b, 0)
    if (all <= 0) continue
    const left = Math.max(0, (all + mass) / all)
    tub = Object.fromEntries(Object.entries(tub).map(([c, m]) => [c, m * left]))
  }
  return tub
}
