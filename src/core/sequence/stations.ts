import TinyQueue from 'tinyqueue'
import type { Event, PressSpace } from './hit'
import type { Relaxed } from './relaxed'
import { COST, compactWet, FORBIDDEN, flashAllowed, printCost, smoothingDue, type Tables } from './tables'

interface Node {
  /** Index of the next station to fill. */
  readonly at: number
  readonly mask: number
  readonly wet: number
  /** Stations passed since the last flash without ink, capped; 0 is hot. */
  readonly since: number
  readonly flashes: number
  readonly cost: number
  readonly bound: number
  readonly from?: Node
  readonly event?: Event
}

/** The cheapest layout of one revolution, or nothing when none exists. */
export interface Layout {
  readonly cost: number
  readonly events: readonly Event[]
}

type Ring = Extract<PressSpace, { kind: 'stations' }>

/**
 * A* over (station, printed, wet, stations since the flash, flashes used); the relaxed cost is the bound, so few
 * states are opened. Exact: checked against trying every layout.
 */
export function layOut(t: Tables, ring: Ring, relaxed: Relaxed): Layout | undefined {
  const cap = Math.max(1, ring.cool)
  const places = ring.stations.length
  const room = ring.stations.map(
    (_, i) => ring.stations.slice(i).filter((s) => s.usable || s.flashAllowed).length,
  )
  const usable = ring.stations.map((_, i) => ring.stations.slice(i).filter((s) => s.usable).length)
  const closed = new Set<number>()
  const key = (n: Node) =>
    (((n.at * (t.full + 1) + n.mask) * (t.full + 1) + n.wet) * (cap + 1) + n.since) * (ring.flashUnits + 1) +
    n.flashes

  const bits = (x: number) => {
    let count = 0
    for (let rest = x; rest; rest &= rest - 1) count++
    return count
  }
  const bound = (mask: number, wet: number, since: number) => {
    const rest = relaxed.cost(mask, wet)
    // Hot film: the flash that the smoothing screen needs has already fired.
    if (since !== 0 || !smoothingDue(t, mask)) return rest
    return Math.min(rest, relaxed.cost(mask | t.smoothing, 0))
  }
  const open = new TinyQueue<Node>([], (a, b) => a.bound - b.bound || b.at - a.at)
  const push = (n: Omit<Node, 'bound'>) => {
    const rest = bound(n.mask, n.wet, n.since)
    if (rest >= FORBIDDEN) return
    const flashesLeft = Math.floor(rest / COST.flash)
    const left = bits(t.full & ~n.mask)
    if (n.flashes + flashesLeft > ring.flashUnits) return
    if (left > (usable[n.at] ?? 0) || left + flashesLeft > (room[n.at] ?? 0)) return
    open.push({ ...n, bound: n.cost + rest })
  }

  push({ at: 0, mask: 0, wet: 0, since: cap, flashes: 0, cost: 0 })
  for (let node = open.pop(); node; node = open.pop()) {
    if (node.mask === t.full) return { cost: node.cost, events: trace(node) }
    if (closed.has(key(node)) || node.at >= places) continue
    closed.add(key(node))
    const { at, mask, wet, since, flashes, cost } = node
    const station = ring.stations[at]
    if (!station) continue
    const on = { at: at + 1, from: node }
    const cooled = Math.min(cap, since + 1)

    const spare = station.usable && since >= ring.cool ? COST.spareGap : 0
    push({ ...on, mask, wet, since: cooled, flashes, cost: cost + spare })
    if (
      station.flashAllowed &&
      flashes < ring.flashUnits &&
      flashAllowed(t, mask) &&
      (wet || smoothingDue(t, mask))
    ) {
      const event = { kind: 'flash', station: station.number } as const
      push({ ...on, mask, wet: 0, since: 0, flashes: flashes + 1, cost: cost + COST.flash, event })
    }
    if (!station.usable) continue
    for (let j = 0; j < t.n; j++) {
      const step = printCost(t, j, mask, wet)
      if (step >= FORBIDDEN) continue
      const isSmoothing = (t.smoothing & (1 << j)) !== 0
      if (isSmoothing && since !== 0) continue
      const missing = isSmoothing ? 0 : Math.max(0, ring.cool - since)
      const next = mask | (1 << j)
      push({
        ...on,
        mask: next,
        wet: isSmoothing ? 0 : compactWet(t, next, wet | (1 << j)),
        since: isSmoothing ? Math.min(cap, 1) : cap,
        flashes,
        cost: cost + step + missing * COST.missingCool,
        event: { kind: 'print', hit: j, station: station.number },
      })
    }
  }
  return undefined
}

function trace(node: Node): readonly Event[] {
  const events: Event[] = []
  for (let n: Node | undefined = node; n; n = n.from) if (n.event) events.unshift(n.event)
  return events
}
