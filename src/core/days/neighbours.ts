import type { DaysChoice, DaysProblem } from './problem'

/** A choice that a search may change. */
export interface Draft {
  order: number[]
  press: number[]
  overtime: boolean[][]
}

export const draftOf = ({ order, press, overtime }: DaysChoice): Draft => ({
  order: [...order],
  press: [...press],
  overtime: overtime.map((days) => [...days]),
})

/** What a search knows of a problem when it changes something. */
export interface Ground {
  readonly problem: DaysProblem
  /** Whole numbers from 0 to below a bound, drawn. */
  readonly below: (bound: number) => number
  /** Runs that may be moved: all but those that have begun. */
  readonly loose: readonly number[]
  /** Presses that each may be printed on. */
  readonly presses: readonly (readonly number[])[]
  /** For each the runs that it follows with the least change-over, nearest first. */
  readonly near: readonly (readonly number[])[]
  /** Presses and days with overtime that can be worked. */
  readonly overtime: readonly (readonly [press: number, day: number])[]
  /** Runs that are late now. */
  readonly late: () => readonly number[]
}

const NEAREST = 12

export function groundOf(problem: DaysProblem, below: Ground['below'], late: Ground['late']): Ground {
  const { runs } = problem
  const loose = runs.flatMap((r, i) => (r.pin?.started ? [] : [i]))
  const presses = runs.map((r) =>
    r.pin ? [r.pin.press] : r.on.flatMap((t, p) => (t === undefined ? [] : [p])),
  )
  const near = runs.map((r, to) => {
    const p = presses[to]?.[0] ?? 0
    return loose
      .filter((from) => from !== to && runs[from]?.on[p] !== undefined)
      .map((from) => ({
        from,
        cost: problem.changeOver(p, from, to) + (runs[from]?.screens === r.screens ? -1 : 0),
      }))
      .sort((a, b) => a.cost - b.cost)
      .slice(0, NEAREST)
      .map((x) => x.from)
  })
  const overtime = problem.presses.flatMap((p, i) =>
    p.overtime.flatMap((s, day) => (s.to > s.from ? [[i, day] as const] : [])),
  )
  return { problem, below, loose, presses, near, overtime, late }
}

/** Puts a run that stands somewhere in an order at another place of it. */
function put(order: number[], run: number, at: number): void {
  order.splice(order.indexOf(run), 1)
  order.splice(Math.max(0, Math.min(order.length, at)), 0, run)
}

const oneOf = <T>(list: readonly T[], below: Ground['below']): T | undefined => list[below(list.length)]

/** Changes a draft in one way; false where there is nothing to change. Second prints are put behind their first ones after it. */
export type Change = (draft: Draft, ground: Ground) => boolean

const insertNear: Change = ({ order }, { loose, below }) => {
  const run = oneOf(loose, below)
  if (run === undefined || order.length < 2) return false
  const reach = Math.max(3, Math.floor(order.length / 8))
  const by = 1 + below(reach)
  put(order, run, order.indexOf(run) + (below(2) === 0 ? by : -by))
  return true
}

const swap: Change = ({ order }, { loose, below }) => {
  const [a, b] = [oneOf(loose, below), oneOf(loose, below)]
  if (a === undefined || b === undefined || a === b) return false
  const [i, k] = [order.indexOf(a), order.indexOf(b)]
  order[i] = b
  order[k] = a
  return true
}

/** Behind a run with little change-over, on its press. */
const nextToAlike: Change = ({ order, press }, { loose, near, presses, below }) => {
  const run = oneOf(loose, below)
  const mate = run === undefined ? undefined : oneOf(near[run] ?? [], below)
  if (run === undefined || mate === undefined) return false
  const on = press[mate] as number
  if (!presses[run]?.includes(on)) return false
  press[run] = on
  order.splice(order.indexOf(run), 1)
  order.splice(order.indexOf(mate) + 1, 0, run)
  return true
}

/** A late run goes forward, or the print that it waits for. */
const pullForward: Change = ({ order }, { problem, late, below }) => {
  let run = oneOf(late(), below)
  if (run === undefined) return false
  const first = problem.runs[run]?.after?.run
  if (first !== undefined && below(2) === 0) run = first
  const at = order.indexOf(run)
  if (at <= 0 || problem.runs[run]?.pin?.started) return false
  put(order, run, below(at))
  return true
}

/** A few runs that follow each other on a press go elsewhere together. */
const block: Change = ({ order, press }, { loose, below }) => {
  const head = oneOf(loose, below)
  if (head === undefined || order.length < 4) return false
  const long = 2 + below(4)
  const from = order.indexOf(head)
  const own = order
    .slice(from)
    .filter((r) => press[r] === press[head] && loose.includes(r))
    .slice(0, long)
  const rest = order.filter((r) => !own.includes(r))
  const at = below(rest.length + 1)
  order.splice(0, order.length, ...rest.slice(0, at), ...own, ...rest.slice(at))
  return true
}

const switchOvertime: Change = (draft, { overtime, below }) => {
  const found = oneOf(overtime, below)
  const days = found && draft.overtime[found[0]]
  if (!found || !days) return false
  days[found[1]] = !days[found[1]]
  return true
}

const otherPress: Change = ({ press }, { loose, presses, below }) => {
  const run = oneOf(loose, below)
  const others = run === undefined ? [] : (presses[run] ?? []).filter((p) => p !== press[run])
  const on = oneOf(others, below)
  if (run === undefined || on === undefined) return false
  press[run] = on
  return true
}

/** The operators that change a draft and are weighed as a whole; ruining and building anew is one of its own. */
export const CHANGES: readonly Change[] = [
  insertNear,
  swap,
  nextToAlike,
  pullForward,
  block,
  switchOvertime,
  otherPress,
]

/** The same order with what has begun first, and every second print behind its first. */
export function inTurn({ runs }: DaysProblem, order: readonly number[]): number[] {
  const out: number[] = []
  const isOut = new Uint8Array(runs.length)
  const add = (i: number) => {
    if (isOut[i]) return
    isOut[i] = 1
    const first = runs[i]?.after?.run
    if (first !== undefined && order.includes(first)) add(first)
    out.push(i)
  }
  for (const i of order) if (runs[i]?.pin?.started) add(i)
  for (const i of order) add(i)
  return out
}
