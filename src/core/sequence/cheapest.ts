import TinyQueue from 'tinyqueue'

/** A state of a search that is opened in the order of its bound. */
export interface State {
  /** The same for states that have the same futures. */
  readonly key: number
  /** The same for ways that do not truly differ. */
  readonly mark: number
  /** Never more than the cheapest completion costs. */
  readonly bound: number
  /** Of equal bounds the deeper state is opened first. */
  readonly depth: number
  readonly done: boolean
}

/** So many states are opened at most, a second or so of work; a job of this trade opens a few hundred. */
const MOST_OPENED = 100_000

/** What a search found; `floor` tells, when it was given up, below what no way can be: the proven gap. */
export interface Found<S> {
  readonly ways: readonly S[]
  readonly floor: number | undefined
}

/**
 * The cheapest ways to a done state, cheapest first, each with another mark: A* that opens a state once for each mark
 * under which it is reached, and at most as often as ways are wanted. Exact: two ways with the same mark and state have the
 * same futures, and the dearer one can be dropped. Given up after so many states, it goes straight ahead from the best it has.
 */
export function cheapest<S extends State>(
  start: S | undefined,
  next: (state: S) => Iterable<S>,
  wanted: number,
  effort = 1,
): Found<S> {
  const most = MOST_OPENED * effort
  const open = new TinyQueue<S>(start ? [start] : [], (a, b) => a.bound - b.bound || b.depth - a.depth)
  const closed = new Map<number, Set<number>>()
  const found: S[] = []
  let opened = 0
  // A state is taken out only if it may be opened: what stays is what the floor is told from.
  while (opened < most) {
    const state = open.pop()
    if (!state) break
    const mark = wanted === 1 ? 0 : state.mark
    const marks = closed.get(state.key) ?? new Set()
    if (marks.has(mark) || marks.size >= wanted) continue
    closed.set(state.key, marks.add(mark))
    opened++
    if (state.done) {
      found.push(state)
      if (found.length === wanted) break
      continue
    }
    for (const s of next(state)) open.push(s)
  }
  const rest = open.peek()
  if (found.length > 0 || opened < most || !rest) return { ways: found, floor: undefined }
  return { ways: straightAhead(open.data, next, most / 4), floor: rest.bound }
}

/** The first way that is found by going on with the deepest state, as long as a quarter of the search took. */
function straightAhead<S extends State>(
  from: readonly S[],
  next: (state: S) => Iterable<S>,
  most: number,
): readonly S[] {
  const open = new TinyQueue<S>([...from], (a, b) => b.depth - a.depth || a.bound - b.bound)
  const closed = new Set<number>()
  for (let left = most; left > 0; ) {
    const state = open.pop()
    if (!state) break
    if (state.done) return [state]
    if (closed.has(state.key)) continue
    closed.add(state.key)
    left--
    for (const s of next(state)) open.push(s)
  }
  return []
}

/** Scatters a number over 32 bits (the finishing steps of MurmurHash3, Appleby). */
function scatter(x: number): number {
  let h = x
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b)
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35)
  return h ^ (h >>> 16)
}

/** A mark of 53 bits for a set of numbered facts: facts come in one by one, in any order. */
export interface Mark {
  readonly a: number
  readonly b: number
}
export const NO_MARK: Mark = { a: 0, b: 0 }
export const marked = ({ a, b }: Mark, fact: number): Mark => ({
  a: a ^ scatter(fact + 1),
  b: b ^ scatter(fact * 0x9e37 + 0x51ed),
})
export const markNumber = ({ a, b }: Mark): number => (a >>> 0) * 0x200000 + (b & 0x1fffff)
