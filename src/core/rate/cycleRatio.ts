/** So many tokens and seconds from one moment to a later one: the later waits at least so long. */
export interface Wait {
  readonly from: number
  readonly to: number
  readonly seconds: number
  /** Periods between the two. */
  readonly tokens: number
}

const ROUNDS = 200
const CLOSE = 1e-9

/**
 * Seconds a period of a system of waits takes in the long run: the greatest ratio of seconds to tokens of its circles.
 * Starts low and takes the ratio of any circle that is still too long (Bellman and Ford), until there is none.
 */
export function cycleRatio(moments: number, waits: readonly Wait[]): number {
  let period = 0
  for (let round = 0; round < ROUNDS; round++) {
    const circle = tooLong(moments, waits, period)
    if (!circle) return period
    const tokens = circle.reduce((sum, w) => sum + w.tokens, 0)
    period = circle.reduce((sum, w) => sum + w.seconds, 0) / tokens
  }
  return period
}

/** A circle of waits that takes longer than its tokens allow. */
function tooLong(moments: number, waits: readonly Wait[], period: number): readonly Wait[] | undefined {
  const late = new Array<number>(moments).fill(0)
  const by = new Array<Wait | undefined>(moments).fill(undefined)
  let last = -1
  for (let round = 0; round < moments; round++) {
    last = -1
    for (const w of waits) {
      const at = late[w.from]! + w.seconds - period * w.tokens
      if (at > late[w.to]! + CLOSE) {
        late[w.to] = at
        by[w.to] = w
        last = w.to
      }
    }
    if (last < 0) return undefined
  }
  let at = last
  for (let i = 0; i < moments; i++) at = by[at]!.from
  const circle: Wait[] = []
  const start = at
  do {
    const w = by[at]!
    circle.push(w)
    at = w.from
  } while (at !== start)
  return circle
}
