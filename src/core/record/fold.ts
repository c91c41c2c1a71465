import type { PressEvent, SpoiledBy, Stated, StatedOf } from './event'

/** Where pieces are counted: a size of a garment line. */
export const targetOf = ({ line, size }: { readonly line: string; readonly size: string }): string =>
  `${line} ${size}`

/** Something that was said, and whether it still stands. */
export interface Entry {
  readonly event: Stated
  readonly stands: boolean
  /** Undoes what the last one did to it: the event to name. */
  readonly turnedBy: string
}

/** What came of a run so far. */
export interface Recorded {
  /** Oldest first. */
  readonly entries: readonly Entry[]
  /** What still stands, oldest first. */
  readonly said: readonly Stated[]
  /** Good pieces by target: as counted behind the dryer where they were counted there, else at the press. */
  readonly good: ReadonlyMap<string, number>
  readonly spoiled: ReadonlyMap<string, number>
  /** Garments beyond the order. */
  readonly spare: ReadonlyMap<string, number>
  readonly packed: ReadonlyMap<string, number>
  readonly causes: ReadonlyMap<SpoiledBy, number>
}

const before = (a: PressEvent, b: PressEvent): number =>
  Date.parse(a.at) - Date.parse(b.at) ||
  a.pad.localeCompare(b.pad) ||
  a.seq - b.seq ||
  a.id.localeCompare(b.id)

/** What stands and is of a kind. */
export const saidOf = <K extends Stated['kind']>(said: readonly Stated[], kind: K): readonly StatedOf<K>[] =>
  said.filter((e): e is StatedOf<K> => e.kind === kind)

/**
 * What a run's events come to: a pure function of them. Whatever the order they arrive in, and however often each does, it is
 * the same (model of the record, section 1; properties in the tests).
 *
 * @param events in any order, repeats and undos of what has not arrived yet among them
 */
export function fold(events: readonly PressEvent[]): Recorded {
  const known = [...new Map([...events].sort(before).map((e) => [e.id, e])).values()]
  const live = liveOf(known)
  const turns = lastTurns(known)
  const entries = known.flatMap((event): readonly Entry[] =>
    event.kind === 'undo' ? [] : [{ event, stands: live.has(event.id), turnedBy: turns(event.id) }],
  )
  const said = entries.filter((e) => e.stands).map((e) => e.event)
  const counts = saidOf(said, 'count')
  const exit = summed(counts.filter((e) => e.place === 'exit'))
  const press = summed(counts.filter((e) => e.place !== 'exit'))
  const spoils = saidOf(said, 'spoil')
  const causes = new Map<SpoiledBy, number>()
  for (const { cause, n } of spoils) causes.set(cause, (causes.get(cause) ?? 0) + n)
  return {
    ...{ entries, said, causes },
    good: new Map([...press, ...exit]),
    spoiled: summed(spoils),
    spare: summed(saidOf(said, 'spare')),
    packed: summed(saidOf(said, 'packed')),
  }
}

function summed(
  counted: readonly { readonly line: string; readonly size: string; readonly n: number }[],
): ReadonlyMap<string, number> {
  const sums = new Map<string, number>()
  for (const e of counted) sums.set(targetOf(e), (sums.get(targetOf(e)) ?? 0) + e.n)
  return sums
}

/**
 * Events that no live undo names. What undoes itself in a ring is no undo at all: none of the ring can come after the others.
 */
function liveOf(known: readonly PressEvent[]): ReadonlySet<string> {
  const ids = new Set(known.map((e) => e.id))
  // How many undos of each event are not decided yet; those that name what is not here wait for it.
  const open = new Map<string, number>()
  for (const e of known) if (e.kind === 'undo' && ids.has(e.of)) open.set(e.of, (open.get(e.of) ?? 0) + 1)
  const byId = new Map(known.map((e) => [e.id, e]))
  const dead = new Set<string>()
  const decided = new Set<string>()
  const ready = known.filter((e) => !open.has(e.id))
  for (let e = ready.pop(); e; e = ready.pop()) {
    decided.add(e.id)
    const target = e.kind === 'undo' ? byId.get(e.of) : undefined
    if (!target) continue
    if (!dead.has(e.id)) dead.add(target.id)
    const left = (open.get(target.id) ?? 0) - 1
    open.set(target.id, left)
    if (left === 0) ready.push(target)
  }
  return new Set(
    known.filter((e) => !dead.has(e.id) && (decided.has(e.id) || e.kind !== 'undo')).map((e) => e.id),
  )
}

/** The end of the chain of undos on an event: undoing that turns it round. */
function lastTurns(known: readonly PressEvent[]): (id: string) => string {
  const newest = new Map<string, string>()
  for (const e of known) if (e.kind === 'undo') newest.set(e.of, e.id)
  return (id) => {
    const seen = new Set<string>()
    let at = id
    for (let next = newest.get(at); next !== undefined && !seen.has(next); next = newest.get(at)) {
      seen.add(next)
      at = next
    }
    return at
  }
}
