import type { HeadLock, HeadTurn } from '@/core/registration'

const MM = 1e-3

/** What was noted at one head of a press that has been registered by its marks for a week. */
export const DEMO_LOCKS: readonly HeadLock[] = (
  [
    ['2026-11-16T09:12', 0.17, -0.06, 0.0003],
    ['2026-11-17T13:40', 0.21, -0.1, 0.0001],
    ['2026-11-18T10:05', 0.14, -0.03, 0.0005],
    ['2026-11-19T08:51', 0.19, -0.08, 0.0004],
    ['2026-11-20T14:22', 0.18, -0.09, 0.0002],
  ] as const
).map(([at, dx, dy, turn]) => ({ pressId: 'twelve', head: 4, at, dx: dx * MM, dy: dy * MM, turn }))

/** Two full turns of each knob of that head, read by eye: its left knob stands farther out than usual, its thread is a coarser one. */
export const DEMO_TURNS: readonly HeadTurn[] = (
  [
    ['2026-11-16T08:40', [2, 0, 0], -2.31, 1.42, -0.0056],
    ['2026-11-16T08:43', [0, 2, 0], 2.28, 1.57, 0.00545],
    ['2026-11-16T08:46', [0, 0, 2], 3.05, -0.04, 0.0001],
    ['2026-11-16T08:48', [0, 0, -2], -2.81, 0.03, -0.0001],
  ] as const
).map(([at, [left, right, side], dx, dy, turn]) => ({
  ...{
    pressId: 'twelve',
    head: 4,
    at,
    left,
    right,
    side,
    back: side < 0,
    x: 0,
    y: -0.335,
    dx: dx * MM,
    dy: dy * MM,
    turn,
  },
}))
