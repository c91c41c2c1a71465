/**
 * What is held for a while, in the order in which it was booked: people, or shares of a belt. As many as fit are kept in
 * columns; what ended long ago is never looked at again.
 */
export class Held {
  count = 0
  private from = new Float64Array(0)
  private to = new Float64Array(0)
  private load = new Float64Array(0)
  /** What one must be of to lie beside another: a temperature; 0 where it does not matter. */
  private kind = new Float64Array(0)
  private run = new Int32Array(0)
  /** The latest end of everything up to a place. */
  private latest = new Float64Array(0)
  private inside = new Int32Array(0)

  /** @param most room for so many to begin with */
  constructor(most: number) {
    this.grow(most)
  }

  private grow(most: number): void {
    const wider = <A extends Float64Array | Int32Array>(to: A, from: A): A => {
      to.set(from)
      return to
    }
    for (const name of ['from', 'to', 'load', 'kind', 'latest'] as const)
      this[name] = wider(new Float64Array(most), this[name])
    for (const name of ['run', 'inside'] as const) this[name] = wider(new Int32Array(most), this[name])
  }

  /** @param run the one that holds it; -1 where it is simply not there */
  add(run: number, from: number, to: number, load: number, kind = 0): void {
    const i = this.count++
    if (i >= this.run.length) this.grow(2 * i + 8)
    this.from[i] = from
    this.to[i] = to
    this.load[i] = load
    this.kind[i] = kind
    this.run[i] = run
    this.latest[i] = Math.max(to, i > 0 ? (this.latest[i - 1] as number) : 0)
  }

  /** Takes over the first so many of another. */
  copy(other: Held, count: number): void {
    if (count > this.run.length) this.grow(other.run.length)
    for (const name of ['from', 'to', 'load', 'kind', 'latest'] as const)
      this[name].set(other[name].subarray(0, count))
    this.run.set(other.run.subarray(0, count))
    this.count = count
  }

  runAt(i: number): number | undefined {
    const run = this.run[i] as number
    return run < 0 ? undefined : run
  }

  endAt(i: number): number {
    return this.to[i] as number
  }

  /** The one that ends last of those of another kind within a span, farther from this than they may be; -1 where there is none. */
  otherKind(from: number, to: number, kind: number, apart: number): number {
    let found = -1
    for (let i = this.count - 1; i >= 0 && (this.latest[i] as number) > from; i--) {
      const isOther =
        Math.abs((this.kind[i] as number) - kind) > apart &&
        (this.to[i] as number) > from &&
        (this.from[i] as number) < to
      if (isOther && (found < 0 || (this.to[i] as number) > (this.to[found] as number))) found = i
    }
    return found
  }

  /** At the first moment of a span at which more is held than may be: the one that ends first then; -1 where it never is. */
  overfull(from: number, to: number, most: number): number {
    let count = 0
    let sum = 0
    for (let i = this.count - 1; i >= 0 && (this.latest[i] as number) > from; i--) {
      if ((this.to[i] as number) <= from || (this.from[i] as number) >= to) continue
      this.inside[count++] = i
      sum += this.load[i] as number
    }
    if (sum <= most) return -1
    // It can only become too much where something begins.
    let [earliest, found] = [Number.POSITIVE_INFINITY, -1]
    for (let k = -1; k < count; k++) {
      const m = k < 0 ? from : Math.max(from, this.from[this.inside[k] as number] as number)
      if (m >= earliest) continue
      const first = this.endsFirst(m, count, most)
      if (first >= 0) [earliest, found] = [m, first]
    }
    return found
  }

  private endsFirst(moment: number, count: number, most: number): number {
    let [load, first] = [0, -1]
    for (let k = 0; k < count; k++) {
      const i = this.inside[k] as number
      if ((this.from[i] as number) > moment || (this.to[i] as number) <= moment) continue
      load += this.load[i] as number
      if (first < 0 || (this.to[i] as number) < (this.to[first] as number)) first = i
    }
    return load > most ? first : -1
  }
}
