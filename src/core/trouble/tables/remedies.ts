import type { SIDE_RULES } from '../sideRules'

/** Side effects that are worked out for the run before the remedy is offered. */
export type Computed =
  | 'boards'
  | 'next'
  | 'limit'
  | 'need'
  | 'rate'
  | 'cool'
  | 'belt'
  | 'lessInk'
  | 'lock'
  | 'flashMore'

interface Row {
  readonly does: string
  /** Seconds of press time it takes. */
  readonly seconds: number
  /** Pieces at risk while it is tried. */
  readonly spoils: number
  /** Share of each cause that it cures. */
  readonly fixes: Readonly<Record<string, number>>
  /** What else it changes: a rule of the room, or what is computed for the run. */
  readonly side?: readonly (keyof typeof SIDE_RULES | Computed)[]
  /** Taken only when nothing else is left. */
  readonly last?: boolean
}

/** What is done about it. Steps are common practice; seconds, pieces and shares are assumed. */
export const REMEDIES = {
  flashLonger: {
    does: 'Flash 1 to 2 s longer',
    seconds: 20,
    spoils: 0.5,
    fixes: { underGel: 0.9, coldBoards: 0.6, dampCloth: 0.3, flashHeight: 0.4, deadElement: 0.15 },
    side: ['boards', 'next', 'limit'],
  },
  fixPanel: {
    does: 'Cool down, then clean or change the element; never touch it hot',
    seconds: 900,
    spoils: 1,
    fixes: { deadElement: 0.92 },
    side: ['SIDE_STOP'],
  },
  panelHeight: {
    does: 'Set the panel level at {length:0.05} to {length:0.075}',
    seconds: 90,
    spoils: 0.5,
    fixes: { flashHeight: 0.9 },
    side: ['SIDE_NEED_ANEW'],
  },
  coolLonger: {
    does: 'Wait, or leave one more station empty',
    seconds: 25,
    spoils: 0.3,
    fixes: { hotFilm: 0.9, hotBoards: 0.55, leftUnder: 0.2 },
    side: ['cool', 'rate'],
  },
  flashShorter: {
    does: 'Flash 1 to 2 s shorter',
    seconds: 20,
    spoils: 0.5,
    fixes: { hotBoards: 0.6, hotFilm: 0.4, overFlash: 0.88 },
    side: ['need'],
  },
  coolBoards: {
    does: 'Air on the boards, or pause three laps',
    seconds: 120,
    spoils: 0.3,
    fixes: { hotBoards: 0.85, hotFilm: 0.35 },
    side: ['rate'],
  },
  warmBoards: {
    does: 'Three to five empty flashes',
    seconds: 70,
    spoils: 0.2,
    fixes: { coldBoards: 0.92, fuzzyCloth: 0.1 },
    side: ['boards'],
  },
  useTimer: { does: 'Use the timer or the swing-away', seconds: 40, spoils: 0.5, fixes: { leftUnder: 0.9 } },
  puffLast: {
    does: 'Expander last and unflashed',
    seconds: 240,
    spoils: 1,
    fixes: { puffTwice: 0.92 },
    side: ['SIDE_REPLAN'],
  },
  beltSlower: {
    does: 'Belt slower, strip again',
    seconds: 150,
    spoils: 1,
    fixes: { underCure: 0.9, dampCloth: 0.4, dryerZone: 0.5, thickFilm: 0.5 },
    side: ['belt', 'SIDE_CLOTH_HOTTER'],
  },
  dryerCheck: {
    does: 'Space the belt, check every zone',
    seconds: 200,
    spoils: 1,
    fixes: { dryerZone: 0.85, underCure: 0.3 },
    side: ['belt'],
  },
  beltFaster: {
    does: 'Dryer cooler or belt faster, strip again',
    seconds: 150,
    spoils: 1,
    fixes: { dryerHot: 0.9, noBlock: 0.2 },
    side: ['SIDE_CURE_LESS'],
  },
  lowCure: {
    does: 'Low-cure ink and a blocking base',
    seconds: 1800,
    spoils: 2,
    fixes: { noBlock: 0.88 },
    side: ['SIDE_NEW_INK'],
  },
  dryCloth: {
    does: 'Dry the garments first: one pass through the tunnel',
    seconds: 120,
    spoils: 0.2,
    fixes: { dampCloth: 0.88 },
    side: ['SIDE_SHRINK'],
  },
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
  remake: {
    does: 'Remake the screen',
    seconds: 2400,
    spoils: 1,
    fixes: { slack: 0.93, softStencil: 0.85, scum: 0.8, filmSize: 0.4, haze: 0.6 },
    side: ['SIDE_STOP'],
  },
  setGap: {
    does: 'Set off-contact to the planned gap',
    seconds: 90,
    spoils: 0.8,
    fixes: { gapLow: 0.93, gapHigh: 0.93 },
    side: ['SIDE_REGISTER'],
  },
  levelScreen: {
    does: 'Level the screen side to side, then front to back',
    seconds: 150,
    spoils: 0.8,
    fixes: { gapUneven: 0.92, tilted: 0.25 },
    side: ['SIDE_REGISTER'],
  },
  otherMesh: {
    does: 'Coarser mesh',
    seconds: 2400,
    spoils: 1,
    fixes: { meshFine: 0.93, oneHit: 0.4 },
    side: ['SIDE_INK_MORE'],
  },
  finerMesh: {
    does: 'Finer mesh or coarser ruling',
    seconds: 2400,
    spoils: 1,
    fixes: { meshCoarse: 0.92 },
    side: ['lessInk'],
  },
  blockOut: {
    does: 'Block out the pinholes',
    seconds: 60,
    spoils: 0.3,
    fixes: { pinhole: 0.93, softStencil: 0.3 },
  },
  tapeIt: { does: 'Tape edges and marks again', seconds: 45, spoils: 0.2, fixes: { noTape: 0.94 } },
  washOut: {
    does: 'Wash out again, dry, look through it',
    seconds: 900,
    spoils: 0.3,
    fixes: { scum: 0.6, haze: 0.3 },
  },
  remakeFilms: {
    does: 'All films from one printer, one day; new screens',
    seconds: 3600,
    spoils: 1,
    fixes: { filmSize: 0.93 },
  },
  hazeOff: {
    does: 'Remove the old image with haze remover, remake',
    seconds: 2700,
    spoils: 0.5,
    fixes: { haze: 0.85 },
  },
  refit: {
    does: 'Read the marks, turn the knobs as computed',
    seconds: 90,
    spoils: 1,
    fixes: { setUp: 0.92, lockDrift: 0.6, rotated: 0.9 },
    side: ['lock'],
  },
  aimOff: {
    does: 'Aim off by the learnt lock drift, lock, read again',
    seconds: 110,
    spoils: 1,
    fixes: { lockDrift: 0.92, setUp: 0.7, rotated: 0.5 },
  },
  tightenHead: {
    does: 'Tighten frame and head, register again',
    seconds: 150,
    spoils: 1,
    fixes: { looseHead: 0.92 },
  },
  tightenBoard: {
    does: 'Tighten that board; leave it out until then',
    seconds: 180,
    spoils: 0.3,
    fixes: { looseBoard: 0.9, lowBoard: 0.2 },
  },
  shimBoard: {
    does: 'Level that board; leave it out until then',
    seconds: 240,
    spoils: 0.3,
    fixes: { lowBoard: 0.9, looseBoard: 0.1 },
  },
  newTack: {
    does: 'New adhesive, lint off',
    seconds: 35,
    spoils: 0.3,
    fixes: { noTack: 0.94, shrinks: 0.15 },
    side: ['SIDE_GLUE'],
  },
  loadBetter: {
    does: 'Load by centre line and collar mark',
    seconds: 10,
    spoils: 0.6,
    fixes: { loading: 0.85 },
  },
  preShrink: {
    does: 'One empty flash per garment before the base',
    seconds: 60,
    spoils: 0.5,
    fixes: { shrinks: 0.8, dampCloth: 0.4 },
    side: ['boards', 'rate'],
  },
  moreChoke: {
    does: 'More choke: new base film and screen',
    seconds: 2700,
    spoils: 1,
    fixes: { chokeSmall: 0.9, shrinks: 0.3 },
    side: ['SIDE_EDGE'],
  },
  stirWarm: {
    does: 'Stir well, let it warm; reducer only in small parts',
    seconds: 60,
    spoils: 0.4,
    fixes: { stiff: 0.88, notStirred: 0.9 },
    side: ['SIDE_THINNER'],
  },
  newInk: {
    does: 'Fresh ink from the can',
    seconds: 180,
    spoils: 0.6,
    fixes: { thin: 0.9, dirtyInk: 0.92, weighing: 0.2 },
    side: ['SIDE_LOST'],
  },
  remix: {
    does: 'Mix again: scan cans, tare each',
    seconds: 900,
    spoils: 0.6,
    fixes: { wrongCan: 0.95, weighing: 0.93, additive: 0.93 },
    side: ['SIDE_LOST'],
  },
  reInk: {
    does: 'Ink in, scoop it in front of the blade',
    seconds: 12,
    spoils: 0.4,
    fixes: { inkLow: 0.95, poorFlood: 0.4 },
  },
  clearMesh: {
    does: 'Mist, clean the image, three strokes on scrap',
    seconds: 60,
    spoils: 1,
    fixes: { driedIn: 0.88, poorFlood: 0.3 },
  },
  flashBetween: {
    does: 'Flash before the black or white',
    seconds: 60,
    spoils: 1,
    fixes: { wetTrap: 0.93, tooWet: 0.8 },
    side: ['flashMore', 'boards', 'SIDE_BLEND'],
  },
  reorder: {
    does: 'Light first, strong last; less overlap',
    seconds: 600,
    spoils: 1,
    fixes: { tooWet: 0.8 },
    side: ['SIDE_REPLAN'],
  },
  runOn: {
    does: 'Run ten on scrap, then judge',
    seconds: 180,
    spoils: 0,
    fixes: { firstPrints: 0.95, stiff: 0.3 },
    side: ['SIDE_SCRAP'],
  },
  wipeBack: {
    does: 'Wipe the backs',
    seconds: 40,
    spoils: 0.3,
    fixes: { dirtyBack: 0.92, tooMany: 0.15 },
    side: ['SIDE_FIRST'],
  },
  smooth: {
    does: 'Smoothing screen straight after the flash',
    seconds: 900,
    spoils: 0.8,
    fixes: { fuzzyCloth: 0.88 },
    side: ['SIDE_HEAD'],
  },
  smoothHot: {
    does: 'Smoothing next to the flash, no station between',
    seconds: 150,
    spoils: 0.8,
    fixes: { coldSmooth: 0.92 },
  },
  cleanOil: {
    does: 'Stop silicone; clean, new garments',
    seconds: 200,
    spoils: 1,
    fixes: { silicone: 0.85 },
  },
  clean: {
    does: 'Clean hands, boards, belt',
    seconds: 60,
    spoils: 0.2,
    fixes: { dirtyHands: 0.92, noTape: 0.1 },
  },
  rightCloth: {
    does: 'Sort garments by lot, match on each',
    seconds: 120,
    spoils: 0.3,
    fixes: { clothColour: 0.9 },
  },
  mist: {
    does: 'Light silicone mist on the stencil',
    seconds: 20,
    spoils: 0.5,
    fixes: { underGel: 0.3, hotFilm: 0.4, hotBoards: 0.4 },
    side: ['SIDE_SILICONE'],
    last: true,
  },
} as const satisfies Readonly<Record<string, Row>>
export type RemedyId = keyof typeof REMEDIES
