import type { Plants } from './plants'

/** The blade and its stroke. */
export const STROKE_FAULTS = {
  pressLow: (_, d, s) => {
    s.load *= d.between(0.5, 0.68)
  },
  pressHigh: (_, d, s) => {
    s.load *= d.between(1.5, 1.9)
  },
  tilted: (_, d, s) => {
    s.slope = (d.chance(0.5) ? 1 : -1) * d.between(0.36, 0.55)
  },
  hand: (p, d) => {
    p.now.hand = d.between(0.24, 0.36)
  },
  softBlade: (_, d, s) => {
    s.hardness -= d.between(13, 18)
  },
  dullEdge: (_, d, s) => {
    s.wear = d.between(0.55, 0.95)
    s.nick = d.chance(0.4)
  },
  flatAngle: (_, d, s) => {
    s.angle += d.between(16, 24)
  },
  tooFast: (_, d, s) => {
    s.time = d.between(0.3, 0.46)
  },
  poorFlood: (_, d, s) => {
    s.flood = d.between(0.2, 0.6)
  },
  tooMany: (_, d, s) => {
    s.strokes += d.chance(0.5) ? 1 : 2
  },
  oneHit: (p, d) => {
    p.cover = d.between(0.68, 0.8)
  },
} as const satisfies Plants
