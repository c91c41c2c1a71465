import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cheapest, type Mark, marked, markNumber, NO_MARK, type State } from './cheapest'

/** A way through layers of nodes, from the first to the last; odd nodes are the facts that tell ways apart. */
interface Way extends State {
  readonly path: readonly number[]
  readonly facts: Mark
}
/** Cost of going to node `j` of layer `i` from node `h` of the layer before: `costs[i][h][j]`. */
type Costs = readonly (readonly (readonly number[])[])[]

const DONE = 999
const WIDTH = 3

const begin: Way = { key: 0, mark: 0, bound: 0, depth: 0, done: false, path: [], facts: NO_MARK }

/** Goes on by every node of the next layer; `least` knows what is left, so that bounds look ahead. */
const stepIn = (costs: Costs, least: (layer: number, node: number) => number) =>
  function* next(way: Way): Iterable<Way> {
    const from = way.path.at(-1) ?? 0
    for (const [node, cost] of (costs[way.depth]?.[from] ?? []).entries()) {
      const depth = way.depth + 1
      const facts = node % 2 === 1 ? marked(way.facts, depth * 10 + node) : way.facts
      const spent = way.bound - least(way.depth, from) + cost
      const done = depth === costs.length
      yield {
        key: done ? DONE : depth * 10 + node,
        mark: markNumber(facts),
        bound: spent + least(depth, node),
        depth,
        done,
        path: [...way.path, node],
        facts,
      }
    }
  }

const costOf = (costs: Costs, path: readonly number[]) =>
  path.reduce((sum, node, i) => sum + (costs[i]?.[path[i - 1] ?? 0]?.[node] ?? 0), 0)
const factsOf = (path: readonly number[]) =>
  path.map((node, i) => (node % 2 === 1 ? `${i}.${node}` : '')).join()

/** What trying everything finds: for each set of facts the cost of its cheapest way, cheapest first. */
function tried(costs: Costs): readonly number[] {
  let paths: number[][] = [[]]
  for (const _ of costs)
    paths = paths.flatMap((p) => Array.from({ length: WIDTH }, (_, node) => [...p, node]))
  const best = new Map<string, number>()
  for (const p of paths)
    best.set(factsOf(p), Math.min(best.get(factsOf(p)) ?? Number.POSITIVE_INFINITY, costOf(costs, p)))
  return [...best.values()].sort((a, b) => a - b)
}

/** The least that is left from a node, exactly; a bound may be any share of it. */
const leastLeft = (costs: Costs, share: number) =>
  function left(layer: number, node: number): number {
    const on = costs[layer]?.[node]
    if (!on) return 0
    return share * Math.min(...on.map((cost, to) => cost + left(layer + 1, to) / (share || 1)))
  }

const someCosts = fc.array(
  fc.array(fc.array(fc.nat(9), { minLength: WIDTH, maxLength: WIDTH }), {
    minLength: WIDTH,
    maxLength: WIDTH,
  }),
  { minLength: 1, maxLength: 4 },
)

describe('the cheapest ways that truly differ, held against trying everything', () => {
  it.each([0, 1])('any network, bounds that see a share of %d of what is left', (share) =>
    fc.assert(
      fc.property(someCosts, fc.integer({ min: 1, max: 5 }), (costs, wanted) => {
        const { ways, floor } = cheapest(
          begin,
          stepIn(costs, share === 0 ? () => 0 : leastLeft(costs, 1)),
          wanted,
        )
        expect(floor).toBeUndefined()
        const all = tried(costs)
        // The first bound of a search that looks ahead already holds what is left from the start.
        const start = share === 0 ? 0 : leastLeft(costs, 1)(0, 0)
        expect(ways.map((w) => costOf(costs, w.path))).toEqual(all.slice(0, wanted))
        expect(ways.map((w) => w.bound + start)).toEqual(all.slice(0, wanted))
        expect(new Set(ways.map((w) => w.mark)).size).toBe(ways.length)
      }),
    ),
  )
  it('nothing to begin with, nothing found', () => {
    expect(cheapest<Way>(undefined, () => [], 3)).toEqual({ ways: [], floor: undefined })
    expect(cheapest(begin, () => [], 3)).toEqual({ ways: [], floor: undefined })
  })
  it('given up, it goes straight ahead, and says below what no way can be', () =>
    fc.assert(
      fc.property(someCosts, (costs) => {
        // One state is opened: the start, or it would be the whole search.
        const { ways, floor } = cheapest(
          begin,
          stepIn(costs, () => 0),
          1,
          1e-5,
        )
        const [best = 0] = tried(costs)
        // With a quarter of one state left it still may go one step.
        expect(floor).toBe(Math.min(...(costs[0]?.[0] ?? [])))
        expect(floor).toBeLessThanOrEqual(best)
        for (const way of ways) expect(costOf(costs, way.path)).toBeGreaterThanOrEqual(best)
      }),
    ))
  it('straight ahead comes to an end where the search that was given up did not', () => {
    const deep: Costs = Array.from({ length: 12 }, (_, i) =>
      Array.from({ length: WIDTH }, (_, h) =>
        Array.from({ length: WIDTH }, (_, j) => 5 + ((h * 7 + j * 5 + i * 3) % 4)),
      ),
    )
    const next = stepIn(deep, () => 0)
    // 12 states opened of 36 reach a third of the layers; three more, straight ahead, do not reach the last.
    expect(cheapest(begin, next, 1, 12e-5).ways).toEqual([])
    const { ways, floor = Number.NaN } = cheapest(begin, next, 1, 24e-5)
    expect(ways).toHaveLength(1)
    expect(ways[0]?.path).toHaveLength(12)
    const exact = costOf(deep, cheapest(begin, next, 1).ways[0]?.path ?? [])
    expect(floor).toBeLessThanOrEqual(exact)
    expect(floor).toBeGreaterThan(exact / 2)
    expect(costOf(deep, ways[0]?.path ?? [])).toBeGreaterThanOrEqual(exact)
  })
})

describe('marks of sets of facts', () => {
  it('do not depend on the order, and differ for different sets', () => {
    const markOf = (facts: readonly number[]) => markNumber(facts.reduce(marked, NO_MARK))
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(5000), { minLength: 1 }), fc.uniqueArray(fc.nat(5000)), (a, b) => {
        expect(markOf([...a].reverse())).toBe(markOf(a))
        const same = a.length === b.length && a.every((x) => b.includes(x))
        expect(markOf(a) === markOf(b)).toBe(same)
        expect(Number.isSafeInteger(markOf(a))).toBe(true)
        expect(markOf(a)).toBeGreaterThanOrEqual(0)
      }),
    )
    expect(markNumber(NO_MARK)).toBe(0)
    // Every one of ten thousand facts has a mark of its own.
    const marks = Array.from({ length: 10_000 }, (_, i) => markOf([i]))
    expect(new Set(marks).size).toBe(10_000)
  })
})
