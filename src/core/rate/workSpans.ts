import type { Hours } from '../equipment'

/** The parts of a day in which someone works, breaks left out. */
export function workSpans({ from, to, breaks }: Hours): readonly (readonly [number, number])[] {
  const sorted = [...breaks].filter((b) => b.to > from && b.from < to).sort((a, b) => a.from - b.from)
  const spans: [number, number][] = []
  let at = from
  for (const pause of sorted) {
    if (pause.from > at) spans.push([at, pause.from])
    at = Math.max(at, pause.to)
  }
  if (to > at) spans.push([at, to])
  return spans
}
