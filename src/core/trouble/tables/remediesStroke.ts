import type { RemedyRow } from './remedyRow'

/** What is done with the blade, the flood and the strokes. */
export const STROKE_REMEDIES = {
  morePressure: {
    does: 'A little more pressure',
    seconds: 15,
    spoils: 0.6,
    fixes: { pressLow: 0.9, stiff: 0.3, tooFast: 0.35, tilted: 0.25, lowBoard: 0.1 },
    side: ['SIDE_DOTS'],
  },
  lessPressure: {
    does: 'A little less pressure',
    seconds: 15,
    spoils: 0.6,
    fixes: { pressHigh: 0.9, softBlade: 0.3, flatAngle: 0.25, tooMany: 0.2, dullEdge: 0.15, thin: 0.15 },
    side: ['SIDE_CLEAR'],
  },
  levelBlade: {
    does: 'Level the blade, both ends alike',
    seconds: 60,
    spoils: 0.6,
    fixes: { tilted: 0.9, gapUneven: 0.2 },
  },
  steady: {
    does: 'Steady stroke: count it, same angle, same push',
    seconds: 30,
    spoils: 1,
    fixes: { hand: 0.75, tooFast: 0.5 },
  },
  blade: {
    does: 'Put in the planned blade',
    seconds: 90,
    spoils: 0.6,
    fixes: { softBlade: 0.93, dullEdge: 0.5 },
  },
  sharpen: {
    does: 'Sharp edge: turn, change or sharpen the blade',
    seconds: 120,
    spoils: 0.6,
    fixes: { dullEdge: 0.92 },
    side: ['lessInk'],
  },
  upright: {
    does: 'Blade more upright',
    seconds: 20,
    spoils: 0.6,
    fixes: { flatAngle: 0.9, pressHigh: 0.15, softBlade: 0.2 },
    side: ['lessInk'],
  },
  slower: {
    does: 'Slower stroke',
    seconds: 15,
    spoils: 0.6,
    fixes: { tooFast: 0.9, stiff: 0.35, pressLow: 0.3 },
    side: ['SIDE_INK_MORE'],
  },
  floodFull: {
    does: 'Full, slow flood after each print',
    seconds: 12,
    spoils: 0.5,
    fixes: { poorFlood: 0.92, driedIn: 0.25, inkLow: 0.2 },
  },
  fewerStrokes: {
    does: 'One stroke less',
    seconds: 10,
    spoils: 0.5,
    fixes: { tooMany: 0.9, thickFilm: 0.6, pressHigh: 0.15 },
    side: ['lessInk'],
  },
  secondHit: {
    does: 'Second white: print, flash, print',
    seconds: 120,
    spoils: 1,
    fixes: { oneHit: 0.92, meshFine: 0.4, clothColour: 0.3, fuzzyCloth: 0.15 },
    side: ['flashMore', 'SIDE_HAND'],
  },
} as const satisfies Record<string, RemedyRow>
