import type { PressEvent, Said } from '@/core/record'

const said: readonly Said[] = [
  { kind: 'spoil', line: 'G1', size: 'M', n: 2, cause: 'first' },
  { kind: 'count', line: 'G1', size: 'M', n: 10 },
  { kind: 'count', line: 'G1', size: 'M', n: 1 },
  { kind: 'spoil', line: 'G1', size: 'M', n: 1, cause: 'lint' },
]

/** What a crew had counted of a run when the morning began. */
export const DEMO_EVENTS = {
  runId: 'R-1003-P1-dark',
  events: said.map(
    (what, i): PressEvent => ({
      ...{ id: `demo-event-${`${i}`.padStart(5, '0')}`, pad: 'press tablet', seq: i },
      at: `2026-11-23T08:${10 + 3 * i}:00.000Z`,
      ...what,
    }),
  ),
}
