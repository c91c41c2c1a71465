import { cheapest, type Mark, markNumber, NO_MARK, type State } from './cheapest'
import type { Event, Ring } from './hit'
import { mountingMoves, standingMoves } from './moves'
import { gapOf, type Ordered, type Relaxed } from './relaxed'
import {
  bits,
  COST,
  compactWet,
  driedBefore,
  FORBIDDEN,
  flashAllowed,
  printCost,
  smoothingDue,
  type Tables,
} from './tables'

interface Spot {
  /** Index of the next station to fill. */
  readonly at: number
  readonly mask: number
  readonly wet: number
  /** Stations passed since the last flash without ink, capped; 0 is hot. */
  readonly since: number
  readonly flashes: number
  readonly dried: Mark
  readonly cost: number
  readonly from?: Spot
  readonly event?: Event
}
type Node = Spot & State

/**
 * The cheapest layouts of one revolution, cheapest first; none when nothing fits. A* over (station, printed, wet, stations
 * since the flash, flashes used) with the relaxed cost and the least set-up moves as its bound, so few states are opened. Exact:
 * checked against trying every layout.
 *
 * @param move what a set-up move costs
 */
export function layOut(
  t: Tables,
  ring: Ring,
  relaxed: Relaxed,
  wanted: number,
  move: number = COST.move,
  effort = 1,
): readonly Ordered[] {
  const { cap, places, wide, standing, stands, node } = roomOf(t, ring, relaxed, move)
  const next = (spot: Node): readonly Node[] => {
    const { at, mask, wet, since, flashes, dried, cost } = spot
    const station = ring.stations[at]
    if (!station || at >= places) return []
    const on = { at: at + 1, from: spot, flashes, dried }
    const spare = station.usable && since >= ring.cool ? COST.spareGap : 0
    const found = node({ ...on, mask, wet, since: Math.min(cap, since + 1), cost: cost + spare })
    if (stands(at) && flashes < ring.flashUnits && flashAllowed(t, mask) && (wet || smoothingDue(t, mask))) {
      const event = { kind: 'flash', station: station.number } as const
      const flashed = {
        wet: 0,
        since: 0,
        flashes: flashes + 1,
        cost: cost + COST.flash + (standing[at] ?? 0),
      }
      found.push(...node({ ...on, ...flashed, at: at + wide, mask, event }))
    }
    if (!station.usable) return found
    for (let j = 0; j < t.n; j++) {
      const step = printCost(t, j, mask, wet)
      if (step >= FORBIDDEN) continue
      const isSmoothing = (t.smoothing & (1 << j)) !== 0
      if (isSmoothing && since !== 0) continue
      const missing = isSmoothing ? 0 : Math.max(0, ring.cool - since)
      const printed = mask | (1 << j)
      found.push(
        ...node({
          ...on,
          mask: printed,
          wet: isSmoothing ? 0 : compactWet(t, printed, wet | (1 << j)),
          since: isSmoothing ? Math.min(cap, 1) : cap,
          dried: driedBefore(t, mask, wet, j, dried),
          cost: cost + step + missing * COST.missingCool + move * mountingMoves(station, t.hits[j]?.id ?? ''),
          event: { kind: 'print', hit: j, station: station.number },
        }),
      )
    }
    return found
  }
  const [start] = node({ at: 0, mask: 0, wet: 0, since: cap, flashes: 0, dried: NO_MARK, cost: 0 })
  const { ways, floor } = cheapest(start, next, wanted, effort)
  return ways.map((n) => ({ cost: n.cost, events: trace(n), ...gapOf(n.bound, floor) }))
}

const NO_PLACE = 1000

/** The room of a press for a job: what each place costs, and whether a layout begun so can still be finished, at what least. */
function roomOf(t: Tables, ring: Ring, relaxed: Relaxed, move: number) {
  const cap = Math.max(1, ring.cool)
  const places = ring.stations.length
  const wide = ring.flashWidth ?? 1
  const room = ring.stations.map(
    (_, i) => ring.stations.slice(i).filter((s) => s.usable || s.flashAllowed).length,
  )
  const usable = ring.stations.map((_, i) => ring.stations.slice(i).filter((s) => s.usable).length)
  const key = (n: Spot) =>
    (((n.at * (t.full + 1) + n.mask) * (t.full + 1) + n.wet) * (cap + 1) + n.since) * (ring.flashUnits + 1) +
    n.flashes
  const mounted = leastMounting(t, ring)
  const standing = ring.stations.map((_, i) => move * standingMoves(ring, i))
  const stands = (i: number) => ring.stations[i]?.flashAllowed === true && i + wide <= places
  const leastStanding = standing.map((_, i) =>
    Math.min(FORBIDDEN, ...standing.filter((_cost, k) => k >= i && stands(k))),
  )
  const bound = (mask: number, wet: number, since: number) => {
    const rest = relaxed(mask, wet)
    // Hot film: the flash that the smoothing screen needs has already fired.
    if (since !== 0 || !smoothingDue(t, mask)) return rest
    return Math.min(rest, relaxed(mask | t.smoothing, 0))
  }
  const node = (n: Spot): Node[] => {
    const rest = bound(n.mask, n.wet, n.since)
    if (rest >= FORBIDDEN) return []
    const flashesLeft = Math.floor(rest / COST.flash)
    const left = bits(t.full & ~n.mask)
    if (n.flashes + flashesLeft > ring.flashUnits) return []
    if (left > (usable[n.at] ?? 0) || left + flashesLeft > (room[n.at] ?? 0)) return []
    // Prints, flashes and the places that cool after them: what finds no station any more is a cool-down missing.
    const owed = n.mask !== 0 && n.mask !== t.full ? Math.max(0, ring.cool - n.since) : 0
    const flat = t.smoothing !== 0 && (n.mask & t.smoothing) === 0 ? 1 : 0
    const wanted = left + flashesLeft * (wide + ring.cool) + owed - flat
    const short = Math.max(0, wanted - (places - n.at)) * COST.missingCool
    const done = n.mask === t.full
    const toMount = mounted(n.at, n.mask)
    if (toMount >= NO_PLACE) return []
    return [
      {
        ...n,
        // Stations behind the last print do not tell two layouts apart.
        key: done ? -1 : key(n),
        mark: markNumber(n.dried),
        bound:
          n.cost + rest + short + move * toMount + (flashesLeft && flashesLeft * (leastStanding[n.at] ?? 0)),
        depth: n.at,
        done,
      },
    ]
  }
  return { cap, places, wide, standing, stands, node }
}

/**
 * The least set-up moves that are mounted what is left, from a station on: only what must go before what is asked, flashes take no
 * room. `NO_PLACE` when it does not fit.
 */
function leastMounting(t: Tables, { stations }: Ring): (at: number, mask: number) => number {
  if (!stations.some((s) => s.mounted !== undefined || s.flashStands))
    return (_, mask) => bits(t.full & ~mask)
  const grips = stations.map((s) => t.hits.map((h) => (s.usable ? mountingMoves(s, h.id) : NO_PLACE)))
  const known = new Int16Array((stations.length + 1) * (t.full + 1)).fill(-1)
  const least = (at: number, mask: number): number => {
    if (mask === t.full) return 0
    const here = grips[at]
    if (!here) return NO_PLACE
    const key = at * (t.full + 1) + mask
    if ((known[key] ?? 0) >= 0) return known[key] ?? 0
    let best = least(at + 1, mask)
    for (let rest = t.full & ~mask; rest; rest &= rest - 1) {
      const j = 31 - Math.clz32(rest & -rest)
      const grip = here[j] ?? 0
      if (grip < best && ((t.before[j] ?? 0) & ~mask) === 0)
        best = Math.min(best, grip + least(at + 1, mask | (1 << j)))
    }
    best = Math.min(best, NO_PLACE)
    known[key] = best
    return best
  }
  return least
}

function trace(spot: Spot): readonly Event[] {
  const events: Event[] = []
  for (let n: Spot | undefined = spot; n; n = n.from) if (n.event) events.unshift(n.event)
  return events
}
