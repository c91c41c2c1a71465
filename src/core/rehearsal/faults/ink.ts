import type { Plants } from './plants'

/** Ink and the order it is printed in. */
export const INK_FAULTS = {
  stiff: (_, d, s) => {
    s.viscosity *= d.between(1.75, 2.4)
  },
  thin: (_, d, s) => {
    s.viscosity *= d.between(0.32, 0.46)
  },
  wrongCan: (_, d, s) => {
    s.wrongCan = true
    s.dE = d.between(8, 20)
  },
  weighing: (_, d, s) => {
    s.dE = d.between(5, 12)
  },
  notStirred: (_, d, s) => {
    s.stirred = d.between(0.25, 0.5)
  },
  inkLow: (p, d, s) => {
    p.now.inkForgotten = true
    s.sinceInk = Math.round(d.between(6, 18))
  },
  driedIn: (_, d, s) => {
    s.blocked = Math.min(0.8, 0.55 * Math.max(0, d.between(330, 900) / 300 - 0.5))
  },
  dirtyInk: (p, d) => {
    p.now.ownTint = d.between(0.0018, 0.004)
  },
  additive: (_, d, s) => {
    s.share = d.chance(0.7) ? d.between(0.3, 0.55) : d.between(1.9, 2.4)
  },
  wetTrap: (_, d, s) => {
    s.overlap = d.between(0.6, 0.9)
  },
  tooWet: (_, d, s) => {
    s.overlap = d.between(0.75, 0.98)
  },
  firstPrints: (p, d) => {
    p.now.firstPrints = d.between(1.6, 2.6)
  },
  dirtyBack: (p, d, s) => {
    p.now.backGrows = d.between(4, 7)
    s.back = d.between(1, 2)
  },
} as const satisfies Plants
