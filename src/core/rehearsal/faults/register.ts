import type { Draws } from '../draw'
import type { Plants } from './plants'

const vector = (d: Draws, low: number, high: number): [number, number] => {
  const [size, way] = [d.between(low, high), d.between(0, 2 * Math.PI)]
  return [size * Math.cos(way), size * Math.sin(way)]
}

/** What holds colours on each other. */
export const REGISTER_FAULTS = {
  setUp: (_, d, s) => {
    const [x, y] = vector(d, 0.4, 0.9)
    s.tx += x
    s.ty += y
  },
  lockDrift: (_, d, s) => {
    s.lock = vector(d, 0.4, 0.9)
  },
  rotated: (_, d, s) => {
    s.turn = (d.chance(0.5) ? 1 : -1) * d.between(0.0022, 0.005)
  },
  looseHead: (_, d, s) => {
    s.creep = (d.chance(0.5) ? 1 : -1) * d.between(0.008, 0.02)
    s.play = d.between(0.06, 0.16)
  },
  looseBoard: (p, d) => {
    const board = d.one(p.boards)
    if (board) board.loose = vector(d, 0.4, 0.8)
  },
  lowBoard: (p, d) => {
    const board = d.one(p.boards)
    if (board) board.low = d.between(4.5, 8)
  },
  noTack: (p, d) => {
    p.now.tackForgotten = true
    for (const b of p.boards) b.since = Math.round(d.between(18, 34))
  },
  chokeSmall: (p, d) => {
    p.choke = d.between(-0.06, 0)
  },
} as const satisfies Plants
