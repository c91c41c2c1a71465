import { cheapest, type State } from './cheapest'
import type { Event, Ring } from './hit'
import { mountingMoves, standingMoves } from './moves'
import { gapOf, type Ordered, type Relaxed, steps } from './relaxed'
import { COST, FORBIDDEN, type Tables } from './tables'

/** What stands at the places matters here, not which colour: print, flash, smoothing, base, and the base again. */
type Token = 'p' | 'f' | 's' | 'b' | 'c'

/** Where the events of two laps stand, and what missing cool-downs cost. */
interface Placed {
  readonly cost: number
  readonly at: readonly { readonly station: number; readonly lap: 1 | 2 }[]
}

/** Shapes looked at, and places tried for them, before the search gives up: then nothing is known. About a second. */
const MOST_SHAPES = 4000
const MOST_PLACES = 1_500_000

/** What may still be tried. */
interface Purse {
  places: number
}

interface Node extends State {
  readonly mask: number
  readonly wet: number
  readonly cost: number
  readonly shape: string
  readonly events: readonly Event[]
}

/**
 * The cheapest order in two revolutions, and of its layouts one that moves least: screens of either lap hang at stations of
 * their own, a flash may fire in both, and a base printed twice may be one screen that prints in both. A* over (printed, wet,
 * shape); a way is dropped as soon as its shape finds no place on the ring.
 *
 * @returns none when there is none; `unknown` when too many shapes were looked at to tell
 */
export function twoLaps(
  t: Tables,
  ring: Ring,
  relaxed: Relaxed,
  effort = 1,
): Ordered | 'unknown' | undefined {
  if (leastPlaces(t, Math.floor(relaxed(0, 0) / COST.flash)) > placesIn(ring)) return undefined
  const purse: Purse = { places: MOST_PLACES * effort }
  const known = new Map<string, Placed | undefined>()
  const place = (shape: string): Placed | undefined => {
    if (!known.has(shape)) known.set(shape, placeShape(shape, ring, purse))
    return known.get(shape)
  }
  const shapeNumber = new Map<string, number>()
  const numberOf = (shape: string) => {
    const number = shapeNumber.get(shape) ?? shapeNumber.size
    shapeNumber.set(shape, number)
    return number
  }
  const token = (e: Event): Token => {
    if (e.kind === 'flash') return 'f'
    const role = t.hits[e.hit]?.role
    if (role === 'base') return 'b'
    if (role === 'base2') return 'c'
    return role === 'smoothing' ? 's' : 'p'
  }
  const states = 2 ** t.n
  const node = (n: Pick<Node, 'mask' | 'wet' | 'cost' | 'shape' | 'events'>): readonly Node[] => {
    const rest = relaxed(n.mask, n.wet)
    if (rest >= FORBIDDEN || known.size > MOST_SHAPES * effort || purse.places <= 0) return []
    const placed = place(n.shape)
    if (!placed) return []
    const done = n.mask === t.full
    return [
      {
        ...n,
        key: (numberOf(n.shape) * states + n.mask) * states + n.wet,
        mark: 0,
        // What cool-downs are missing is known for good once all is placed.
        bound: n.cost + rest + (done ? placed.cost : 0),
        depth: n.events.length,
        done,
      },
    ]
  }
  const next = ({ mask, wet, cost, shape, events }: Node) =>
    steps(t, mask, wet).flatMap((s) =>
      node({
        mask: s.mask,
        wet: s.wet,
        cost: cost + s.cost,
        shape: shape + s.events.map(token).join(''),
        events: [...events, ...s.events],
      }),
    )
  const [start] = node({ mask: 0, wet: 0, cost: 0, shape: '', events: [] })
  const { ways, floor } = cheapest(start, next, 1, effort)
  const [best] = ways
  const givenUp = known.size > MOST_SHAPES * effort || purse.places <= 0
  if (!best) return givenUp || floor !== undefined ? 'unknown' : undefined
  const grips: Moves = (index, at) => {
    const [event, station] = [best.events[index], ring.stations[at]]
    if (!event || !station) return 0
    const moves =
      event.kind === 'flash' ? standingMoves(ring, at) : mountingMoves(station, t.hits[event.hit]?.id ?? '')
    return COST.move * moves
  }
  const placed =
    placeShape(best.shape, ring, { places: MOST_PLACES }, grips) ??
    placeShape(best.shape, ring, { places: MOST_PLACES })
  return {
    cost: best.bound,
    ...gapOf(best.bound, givenUp ? relaxed(0, 0) : floor),
    events: best.events.map((e, i) => ({ ...e, ...placed?.at[i] })),
  }
}

/**
 * Stations that two laps need at least: each screen its own, a base printed twice one, a unit for every two flashes. What a wide
 * unit covers behind its own station may be one that takes nothing anyway.
 */
export function leastPlaces(t: Tables, flashes: number): number {
  const shared = t.hits.some((h) => h.role === 'base2') && t.hits.some((h) => h.role === 'base') ? 1 : 0
  return t.n - shared + Math.ceil(flashes / 2)
}

/** Stations that can take a screen or a flash unit. */
export const placesIn = ({ stations }: Ring): number =>
  stations.filter((s) => s.usable || s.flashAllowed).length

/** What it costs to have the thing at this index of a shape at a station. */
type Moves = (index: number, at: number) => number
const NO_MOVES: Moves = () => 0

/** The cheapest way to stand a shape on the ring in two laps; the second begins with the film as cool as it gets. */
function placeShape(shape: string, ring: Ring, purse: Purse, grips = NO_MOVES): Placed | undefined {
  let best: Placed | undefined
  for (let border = shape.length; border >= 0; border--) {
    const placed = placeSplit(shape, border, ring, purse, grips)
    if (placed && (!best || placed.cost < best.cost)) best = placed
    if (best?.cost === 0) break
  }
  return best
}

interface Cell {
  readonly cost: number
  /** Indexes of the shape that stand here. */
  readonly here: readonly number[]
  readonly then: number
}

function placeSplit(
  shape: string,
  border: number,
  ring: Ring,
  purse: Purse,
  grips: Moves,
): Placed | undefined {
  const cap = Math.max(1, ring.cool)
  const { stations, flashUnits, flashWidth: wide = 1 } = ring
  const n = shape.length
  const memo = new Map<number, Cell | undefined>()
  const key = (s: number, i: number, j: number, c1: number, c2: number, units: number) =>
    ((((s * (n + 1) + i) * (n + 1) + j) * (cap + 1) + c1) * (cap + 1) + c2) * (flashUnits + 1) + units
  /** Cost of printing this token after so many cooling places; undefined when it cannot be. */
  const printing = (token: string | undefined, since: number): number | undefined => {
    if (token === undefined || token === 'f') return undefined
    if (token === 's') return since === 0 ? 0 : undefined
    return Math.max(0, ring.cool - since) * COST.missingCool
  }
  const after = (token: string | undefined) => (token === 's' ? Math.min(cap, 1) : cap)
  const go = (s: number, i: number, j: number, c1: number, c2: number, units: number): Cell | undefined => {
    if (i === border && j === n) return { cost: 0, here: [], then: -1 }
    const station = stations[s]
    if (!station) return undefined
    const at = key(s, i, j, c1, c2, units)
    if (memo.has(at)) return memo.get(at)
    if (purse.places-- <= 0) return undefined
    const [one, two] = [i < border ? shape[i] : undefined, j < n ? shape[j] : undefined]
    const [cool1, cool2] = [Math.min(cap, c1 + 1), Math.min(cap, c2 + 1)]
    let best: Cell | undefined
    const tryOne = (
      cost: number | undefined,
      here: readonly number[],
      ...to: Parameters<typeof go>
    ): void => {
      if (cost === undefined) return
      const rest = go(...to)
      const grip = here[0] === undefined ? 0 : grips(here[0], s)
      const whole = cost + grip + (rest?.cost ?? 0)
      if (rest && (!best || whole < best.cost)) best = { cost: whole, here, then: key(...to) }
    }
    if (station.usable) {
      const [p1, p2] = [printing(one, c1), printing(two, c2)]
      if (one === 'b' && two === 'c' && p1 !== undefined && p2 !== undefined)
        tryOne(p1 + p2, [i, j], s + 1, i + 1, j + 1, cap, cap, units)
      tryOne(p1, [i], s + 1, i + 1, j, after(one), cool2, units)
      tryOne(p2, [j], s + 1, i, j + 1, cool1, after(two), units)
    }
    if (station.flashAllowed && units > 0 && s + wide <= stations.length) {
      // Under a unit that does not fire for it a lap cools on.
      const [past1, past2] = [Math.min(cap, c1 + wide), Math.min(cap, c2 + wide)]
      if (one === 'f' && two === 'f') tryOne(0, [i, j], s + wide, i + 1, j + 1, 0, 0, units - 1)
      if (one === 'f') tryOne(0, [i], s + wide, i + 1, j, 0, past2, units - 1)
      if (two === 'f') tryOne(0, [j], s + wide, i, j + 1, past1, 0, units - 1)
    }
    tryOne(0, [], s + 1, i, j, cool1, cool2, units)
    memo.set(at, best)
    return best
  }
  let cell = go(0, 0, border, cap, cap, flashUnits)
  if (!cell) return undefined
  const { cost } = cell
  const at: { station: number; lap: 1 | 2 }[] = []
  for (let s = 0; cell && cell.then >= 0; ) {
    for (const index of cell.here)
      at[index] = { station: stations[s]?.number ?? 0, lap: index < border ? 1 : 2 }
    s += cell.here.some((index) => shape[index] === 'f') ? wide : 1
    cell = memo.get(cell.then)
  }
  return { cost, at }
}
