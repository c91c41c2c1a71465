import type { Plants } from './plants'

/** Mesh, stencil and frame. */
export const SCREEN_FAULTS = {
  slack: (_, d, s) => {
    s.tension *= d.between(0.28, 0.55)
  },
  gapLow: (_, d, s) => {
    s.gap *= d.between(0.08, 0.32)
  },
  gapHigh: (_, d, s) => {
    s.gap = d.between(6.5, 9)
  },
  gapUneven: (_, d, s) => {
    s.gapSlope = (d.chance(0.5) ? 1 : -1) * d.between(1.2, 1.8)
    s.slope += Math.sign(s.gapSlope) * -0.3
  },
  meshFine: (_, d, s) => {
    s.opening *= d.between(0.42, 0.58)
  },
  meshCoarse: (_, d, s) => {
    s.opening *= d.between(1.5, 1.8)
  },
  pinhole: (_, d, s) => {
    s.pinholes = d.between(3, 9)
  },
  noTape: (p, d) => {
    p.now.tapeLeaks = d.between(0.35, 0.7)
  },
  scum: (_, d, s) => {
    s.scum = d.between(0.55, 0.95)
  },
  softStencil: (p, d) => {
    p.now.erodes = d.between(0.006, 0.014)
  },
  haze: (_, d, s) => {
    s.oldImage = d.between(0.8, 1.3)
  },
  filmSize: (_, d, s) => {
    s.stretch = (d.chance(0.5) ? 1 : -1) * d.between(0.0022, 0.004)
  },
} as const satisfies Plants
