import type { Plants } from './plants'

/** Cloth, hands, and what lies on them. */
export const CLOTH_FAULTS = {
  noBlock: (p) => {
    p.unblocked = true
  },
  dampCloth: (p, d) => {
    p.damp = d.between(0.8, 1.2)
  },
  loading: (p, d) => {
    p.now.loading = d.between(6, 11)
  },
  shrinks: (p, d) => {
    p.now.shrinks = d.between(0.0022, 0.0038)
  },
  fuzzyCloth: (p, d) => {
    p.fibre = Math.max(p.fibre, d.between(0.8, 1.1))
    p.smoothing = false
  },
  coldSmooth: (p, d) => {
    p.now.coldSmoothing = d.between(0.6, 0.9)
    p.fibre = Math.max(p.fibre, 0.85)
  },
  silicone: (p) => {
    p.silicone = true
  },
  thickFilm: (p, d) => {
    p.thick = d.between(1.55, 1.9)
  },
  dirtyHands: (p, d) => {
    p.now.dirtyHands = d.between(0.25, 0.45)
  },
  clothColour: (p, d) => {
    p.now.lots = d.between(5, 9)
  },
} as const satisfies Plants
