import type { RunFacts } from './facts'
import type { QuestionId } from './tables/questions'
import type { SymptomId } from './tables/symptoms'

interface Worked {
  readonly name: string
  readonly symptom: SymptomId
  readonly facts: RunFacts
  /** Odds of the run by cause. */
  readonly odds: Readonly<Record<string, number>>
  readonly steps: readonly {
    readonly told?: { readonly ask: QuestionId; readonly answer: string }
    readonly shares: Readonly<Record<string, number>>
    /** The next look, or the remedy to act with. */
    readonly next: string
    readonly isPair?: boolean
    readonly saves?: number
    readonly seconds: number
    readonly remedies: readonly (readonly [string, number])[]
  }[]
  readonly lines: readonly {
    readonly remedy: string
    readonly causes: readonly string[]
    readonly share: number
  }[]
}

/** What almost every case has. */
const HAS = {
  flash: true,
  gun: true,
  loupe: true,
  wet: true,
  puff: false,
  white: true,
  base: true,
  halftone: true,
  boards: true,
  smoothing: false,
}
const FLAGS = {
  alu: true,
  noTimer: false,
  poly: false,
  humid: false,
  manual: true,
  wb: false,
  dark: true,
  lockKnown: false,
  coldShop: false,
  special: false,
  blackWhiteWet: false,
  smoothing: false,
  fleece: false,
}

/** Worked cases of the model itself: inside figures, rounded to three digits. */
export const WORKED: readonly Worked[] = [
  {
    name: 'Sticking at piece 120 on aluminium boards, gun to hand',
    symptom: 'sticks',
    facts: {
      z: { under: -0.8, hot: 0.2, board: 1.2, over: -0.5 },
      x: { pieces: 120, laps: 20 },
      has: HAS,
      flags: FLAGS,
    },
    odds: {
      underGel: 0.269,
      hotFilm: 1.377,
      hotBoards: 9.6,
      coldBoards: 0.1,
      overFlash: 0.446,
      leftUnder: 0.4,
      dampCloth: 0.8,
    },
    steps: [
      {
        shares: { hotBoards: 0.659, hotFilm: 0.134, underGel: 0.025, flashHeight: 0.018, deadElement: 0.017 },
        next: 'when',
        saves: 11,
        seconds: 382,
        remedies: [
          ['coolLonger', 0.484],
          ['coolLonger', 0.341],
          ['coolLonger', 0.221],
        ],
      },
      {
        told: { ask: 'boardTemp', answer: 'over 55 C' },
        shares: { hotBoards: 0.891, hotFilm: 0.043, flashHeight: 0.006, deadElement: 0.006, gapLow: 0.004 },
        next: 'act: coolLonger',
        seconds: 187,
        remedies: [
          ['coolLonger', 0.529],
          ['coolLonger', 0.477],
          ['coolLonger', 0.405],
        ],
      },
      {
        told: { ask: 'cool', answer: 'dry' },
        shares: { hotBoards: 0.901, hotFilm: 0.045, overFlash: 0.005, gapLow: 0.004, noTack: 0.004 },
        next: 'act: coolLonger',
        seconds: 170,
        remedies: [
          ['coolLonger', 0.537],
          ['coolLonger', 0.491],
          ['coolLonger', 0.428],
        ],
      },
    ],
    lines: [
      { remedy: 'flashShorter', causes: ['hotBoards', 'overFlash'], share: 0.906 },
      { remedy: 'coolLonger', causes: ['hotFilm'], share: 0.045 },
      { remedy: 'fewerStrokes', causes: ['tooMany', 'thickFilm'], share: 0.005 },
    ],
  },
  {
    name: 'Sticking from the first prints, cold morning',
    symptom: 'sticks',
    facts: {
      z: { under: 1.1, hot: -1.2, board: -2, over: -2 },
      x: { pieces: 6, boardC: 16 },
      has: { ...HAS, gun: false },
      flags: { ...FLAGS, humid: true, coldShop: true },
    },
    odds: { underGel: 6, hotFilm: 0.25, hotBoards: 0.4, overFlash: 0.25, leftUnder: 0.4, dampCloth: 2.5 },
    steps: [
      {
        shares: { underGel: 0.674, hotBoards: 0.033, hotFilm: 0.029, dampCloth: 0.024, flashHeight: 0.022 },
        next: 'first',
        saves: 13,
        seconds: 432,
        remedies: [
          ['flashLonger', 0.637],
          ['flashLonger', 0.215],
          ['coolLonger', 0.16],
        ],
      },
      {
        told: { ask: 'cool', answer: 'still tacky' },
        shares: {
          underGel: 0.866,
          deadElement: 0.022,
          flashHeight: 0.021,
          dampCloth: 0.019,
          coldBoards: 0.013,
        },
        next: 'act: flashLonger',
        seconds: 180,
        remedies: [
          ['flashLonger', 0.805],
          ['flashLonger', 0.475],
          ['flashLonger', 0.168],
        ],
      },
    ],
    lines: [
      { remedy: 'flashLonger', causes: ['underGel', 'coldBoards'], share: 0.879 },
      { remedy: 'fixPanel', causes: ['deadElement'], share: 0.022 },
      { remedy: 'panelHeight', causes: ['flashHeight'], share: 0.021 },
    ],
  },
  {
    name: 'Sticking, no reading at all, no gun',
    symptom: 'sticks',
    facts: { z: {}, x: { pieces: 40, laps: 7 }, has: { ...HAS, gun: false }, flags: FLAGS },
    odds: { hotBoards: 1.6, coldBoards: 0.1, leftUnder: 0.4, dampCloth: 0.8 },
    steps: [
      {
        shares: { hotBoards: 0.222, hotFilm: 0.197, underGel: 0.189, flashHeight: 0.037, deadElement: 0.034 },
        next: 'cool',
        isPair: true,
        saves: -7,
        seconds: 674,
        remedies: [
          ['coolLonger', 0.301],
          ['flashLonger', 0.279],
          ['flashShorter', 0.187],
        ],
      },
      {
        told: { ask: 'cool', answer: 'dry' },
        shares: { hotBoards: 0.283, hotFilm: 0.256, overFlash: 0.039, underGel: 0.039, gapLow: 0.032 },
        next: 'when',
        seconds: 712,
        remedies: [
          ['coolLonger', 0.388],
          ['flashShorter', 0.198],
          ['coolLonger', 0.089],
        ],
      },
    ],
    lines: [
      { remedy: 'flashShorter', causes: ['hotBoards', 'overFlash'], share: 0.322 },
      { remedy: 'coolLonger', causes: ['hotFilm'], share: 0.256 },
      { remedy: 'flashLonger', causes: ['underGel', 'coldBoards'], share: 0.042 },
    ],
  },
  {
    name: 'Muddy simulated process, hand press',
    symptom: 'muddy',
    facts: { z: { mud: -0.6 }, x: { pieces: 60 }, has: HAS, flags: FLAGS },
    odds: { hand: 1.7, wetTrap: 0.15, tooWet: 0.378, firstPrints: 0.05 },
    steps: [
      {
        shares: { hand: 0.272, pressHigh: 0.1, underGel: 0.058, dirtyBack: 0.053, tooMany: 0.04 },
        next: 'even',
        isPair: true,
        saves: 16,
        seconds: 1083,
        remedies: [
          ['lessPressure', 0.118],
          ['steady', 0.234],
          ['flashLonger', 0.081],
        ],
      },
      {
        told: { ask: 'which', answer: 'now and then' },
        shares: { hand: 0.58, pressHigh: 0.064, underGel: 0.037, tooMany: 0.026, flatAngle: 0.023 },
        next: 'first',
        seconds: 702,
        remedies: [
          ['steady', 0.436],
          ['lessPressure', 0.135],
          ['steady', 0.224],
        ],
      },
      {
        told: { ask: 'even', answer: 'better' },
        shares: { hand: 0.824, pressHigh: 0.027, underGel: 0.015, tooMany: 0.011, flatAngle: 0.01 },
        next: 'act: steady',
        seconds: 377,
        remedies: [
          ['steady', 0.62],
          ['steady', 0.409],
          ['lessPressure', 0.14],
        ],
      },
    ],
    lines: [
      { remedy: 'steady', causes: ['hand'], share: 0.824 },
      { remedy: 'lessPressure', causes: ['pressHigh'], share: 0.027 },
      { remedy: 'flashLonger', causes: ['underGel', 'coldBoards'], share: 0.015 },
    ],
  },
  {
    name: 'First six prints differ, wet on wet',
    symptom: 'differ',
    facts: { z: { mud: -0.3 }, x: { pieces: 6 }, has: HAS, flags: { ...FLAGS, manual: false } },
    odds: { leftUnder: 0.4, hand: 0.35, firstPrints: 4 },
    steps: [
      {
        shares: { firstPrints: 0.358, hand: 0.071, pressLow: 0.048, lowBoard: 0.039, pressHigh: 0.028 },
        next: 'which',
        saves: 61,
        seconds: 1102,
        remedies: [
          ['runOn', 0.346],
          ['morePressure', 0.095],
          ['reInk', 0.056],
        ],
      },
      {
        told: { ask: 'which', answer: 'more and more' },
        shares: { firstPrints: 0.679, inkLow: 0.061, hotBoards: 0.023, pressLow: 0.021, hand: 0.019 },
        next: 'when',
        seconds: 585,
        remedies: [
          ['runOn', 0.647],
          ['reInk', 0.173],
          ['morePressure', 0.09],
        ],
      },
    ],
    lines: [
      { remedy: 'runOn', causes: ['firstPrints'], share: 0.679 },
      { remedy: 'reInk', causes: ['inkLow'], share: 0.061 },
      { remedy: 'flashShorter', causes: ['hotBoards', 'overFlash'], share: 0.025 },
    ],
  },
  {
    name: 'Fits in one place, not in another',
    symptom: 'local',
    facts: { z: { slack: 1.2 }, x: { pieces: 2 }, has: HAS, flags: FLAGS },
    odds: { slack: 6, shrinks: 0.9 },
    steps: [
      {
        shares: { slack: 0.574, gapUneven: 0.041, filmSize: 0.036, gapHigh: 0.035, tilted: 0.024 },
        next: 'tension',
        saves: 762,
        seconds: 3122,
        remedies: [
          ['reInk', 0.015],
          ['coolLonger', 0.015],
          ['morePressure', 0.016],
        ],
      },
      {
        told: { ask: 'tension', answer: 'slack' },
        shares: { slack: 0.88, gapUneven: 0.012, gapHigh: 0.01, tilted: 0.007, filmSize: 0.006 },
        next: 'act: remake',
        seconds: 2792,
        remedies: [
          ['remake', 0.822],
          ['reInk', 0.024],
          ['coolLonger', 0.025],
        ],
      },
      {
        told: { ask: 'marks', answer: 'unequal' },
        shares: { slack: 0.95, gapHigh: 0.009, gapUneven: 0.008, filmSize: 0.007, shrinks: 0.006 },
        next: 'act: remake',
        seconds: 2781,
        remedies: [
          ['remake', 0.887],
          ['setGap', 0.075],
          ['preShrink', 0.046],
        ],
      },
    ],
    lines: [
      { remedy: 'remake', causes: ['slack', 'softStencil'], share: 0.951 },
      { remedy: 'setGap', causes: ['gapHigh', 'gapLow'], share: 0.009 },
      { remedy: 'levelScreen', causes: ['gapUneven'], share: 0.008 },
    ],
  },
  {
    name: 'Fits in one place, tension typed and good',
    symptom: 'local',
    facts: { z: { slack: -2 }, x: { pieces: 2 }, has: HAS, flags: FLAGS },
    odds: { slack: 0.25, shrinks: 0.9 },
    steps: [
      {
        shares: { gapUneven: 0.092, filmSize: 0.08, gapHigh: 0.078, tilted: 0.053, slack: 0.053 },
        next: 'where',
        saves: 151,
        seconds: 1631,
        remedies: [
          ['reInk', 0.032],
          ['coolLonger', 0.034],
          ['morePressure', 0.038],
        ],
      },
      {
        told: { ask: 'gap', answer: 'right' },
        shares: { filmSize: 0.096, slack: 0.064, shrinks: 0.054, rotated: 0.051, tilted: 0.046 },
        next: 'which',
        seconds: 1634,
        remedies: [
          ['reInk', 0.039],
          ['coolLonger', 0.042],
          ['flashLonger', 0.042],
        ],
      },
      {
        told: { ask: 'marks', answer: 'unequal' },
        shares: { filmSize: 0.256, slack: 0.159, shrinks: 0.126, gapHigh: 0.029, tilted: 0.027 },
        next: 'tension',
        isPair: true,
        seconds: 1840,
        remedies: [
          ['preShrink', 0.102],
          ['reInk', 0.026],
          ['coolLonger', 0.027],
        ],
      },
    ],
    lines: [
      { remedy: 'remakeFilms', causes: ['filmSize'], share: 0.256 },
      { remedy: 'remake', causes: ['slack', 'softStencil'], share: 0.161 },
      { remedy: 'preShrink', causes: ['shrinks'], share: 0.126 },
    ],
  },
  {
    name: 'Expander flat, plan flashes it',
    symptom: 'flat',
    facts: {
      z: { particle: -1.5, cure: -0.6, cureHot: -2 },
      x: { pieces: 20 },
      has: { ...HAS, puff: true },
      flags: { ...FLAGS, special: true, puffFlashed: true },
    },
    odds: { puffTwice: 6, underCure: 0.378, meshFine: 0.25, notStirred: 2.5, additive: 2 },
    steps: [
      {
        shares: { puffTwice: 0.372, notStirred: 0.131, additive: 0.1, underCure: 0.028, dryerZone: 0.021 },
        next: 'paddle',
        isPair: true,
        saves: 13,
        seconds: 1309,
        remedies: [
          ['stirWarm', 0.123],
          ['puffLast', 0.39],
          ['coolLonger', 0.044],
        ],
      },
      {
        told: { ask: 'gloss', answer: 'glossy or dimpled' },
        shares: { puffTwice: 0.629, additive: 0.083, notStirred: 0.022, dryerZone: 0.015, hand: 0.013 },
        next: 'which',
        seconds: 1055,
        remedies: [
          ['puffLast', 0.579],
          ['coolLonger', 0.04],
          ['stirWarm', 0.057],
        ],
      },
    ],
    lines: [
      { remedy: 'puffLast', causes: ['puffTwice'], share: 0.629 },
      { remedy: 'remix', causes: ['additive', 'weighing'], share: 0.088 },
      { remedy: 'stirWarm', causes: ['notStirred', 'stiff'], share: 0.026 },
    ],
  },
  {
    name: 'Metallic dull',
    symptom: 'noShimmer',
    facts: { z: { particle: -1 }, x: { pieces: 12 }, has: HAS, flags: { ...FLAGS, special: true } },
    odds: { meshFine: 0.25, notStirred: 2.5 },
    steps: [
      {
        shares: { notStirred: 0.364, firstPrints: 0.038, hand: 0.03, meshFine: 0.029, hotBoards: 0.029 },
        next: 'which',
        saves: 88,
        seconds: 1150,
        remedies: [
          ['stirWarm', 0.336],
          ['coolLonger', 0.057],
          ['flashLonger', 0.049],
        ],
      },
      {
        told: { ask: 'paddle', answer: 'settled' },
        shares: { notStirred: 0.82, firstPrints: 0.011, hand: 0.009, meshFine: 0.008, hotBoards: 0.008 },
        next: 'act: stirWarm',
        seconds: 407,
        remedies: [
          ['stirWarm', 0.74],
          ['stirWarm', 0.284],
          ['coolLonger', 0.058],
        ],
      },
    ],
    lines: [
      { remedy: 'stirWarm', causes: ['notStirred', 'stiff'], share: 0.822 },
      { remedy: 'runOn', causes: ['firstPrints'], share: 0.011 },
      { remedy: 'flashShorter', causes: ['hotBoards', 'overFlash'], share: 0.011 },
    ],
  },
  {
    name: 'Weak on one side',
    symptom: 'oneSide',
    facts: {
      z: { under: -0.5, hot: -1, slack: -1 },
      x: { pieces: 15, sinceInk: 15 },
      has: HAS,
      flags: FLAGS,
    },
    odds: {},
    steps: [
      {
        shares: { tilted: 0.167, inkLow: 0.097, gapUneven: 0.093, pressLow: 0.06, deadElement: 0.048 },
        next: 'level',
        isPair: true,
        saves: 0,
        seconds: 1253,
        remedies: [
          ['reInk', 0.1],
          ['morePressure', 0.126],
          ['levelBlade', 0.167],
        ],
      },
      {
        told: { ask: 'mesh', answer: 'ink left on one side' },
        shares: { tilted: 0.516, gapUneven: 0.211, inkLow: 0.039, pressLow: 0.019, deadElement: 0.019 },
        next: 'gap',
        isPair: true,
        seconds: 619,
        remedies: [
          ['levelBlade', 0.507],
          ['reInk', 0.081],
          ['levelScreen', 0.371],
        ],
      },
      {
        told: { ask: 'gap', answer: 'right' },
        shares: { tilted: 0.558, inkLow: 0.06, gapUneven: 0.05, pressLow: 0.03, deadElement: 0.029 },
        next: 'first',
        seconds: 728,
        remedies: [
          ['levelBlade', 0.512],
          ['reInk', 0.125],
          ['morePressure', 0.11],
        ],
      },
    ],
    lines: [
      { remedy: 'levelBlade', causes: ['tilted'], share: 0.558 },
      { remedy: 'reInk', causes: ['inkLow'], share: 0.06 },
      { remedy: 'levelScreen', causes: ['gapUneven'], share: 0.05 },
    ],
  },
  {
    name: 'Register jumps, adhesive 22 garments old',
    symptom: 'jump',
    facts: { z: { slack: -1 }, x: { pieces: 80, sinceTack: 22 }, has: HAS, flags: FLAGS },
    odds: { noTack: 2.5, loading: 1.2, shrinks: 0.9 },
    steps: [
      {
        shares: { noTack: 0.403, looseHead: 0.076, looseBoard: 0.052, loading: 0.049, shrinks: 0.025 },
        next: 'shake',
        saves: 61,
        seconds: 1005,
        remedies: [
          ['newTack', 0.383],
          ['loadBetter', 0.067],
          ['coolLonger', 0.049],
        ],
      },
      {
        told: { ask: 'tack', answer: 'weak' },
        shares: { noTack: 0.746, looseHead: 0.032, looseBoard: 0.022, loading: 0.021, shrinks: 0.011 },
        next: 'shake',
        seconds: 466,
        remedies: [
          ['newTack', 0.703],
          ['newTack', 0.146],
          ['loadBetter', 0.07],
        ],
      },
    ],
    lines: [
      { remedy: 'newTack', causes: ['noTack'], share: 0.746 },
      { remedy: 'tightenHead', causes: ['looseHead'], share: 0.032 },
      { remedy: 'tightenBoard', causes: ['looseBoard'], share: 0.022 },
    ],
  },
  {
    name: 'Print comes off in the wash',
    symptom: 'washes',
    facts: { z: { cure: 0.4, cureHot: -2, over: -1 }, x: { pieces: 200 }, has: HAS, flags: FLAGS },
    odds: { overFlash: 0.25, underCure: 1.902, dampCloth: 0.8 },
    steps: [
      {
        shares: { underCure: 0.435, dryerZone: 0.065, dampCloth: 0.037, hotBoards: 0.036, thickFilm: 0.029 },
        next: 'stretch',
        saves: 28,
        seconds: 1035,
        remedies: [
          ['beltSlower', 0.454],
          ['flashShorter', 0.081],
          ['flashLonger', 0.05],
        ],
      },
      {
        told: { ask: 'belt', answer: 'too cool' },
        shares: { underCure: 0.732, dryerZone: 0.102, dampCloth: 0.044, thickFilm: 0.014, hotBoards: 0.009 },
        next: 'act: beltSlower',
        seconds: 503,
        remedies: [
          ['beltSlower', 0.735],
          ['beltSlower', 0.397],
          ['flashShorter', 0.07],
        ],
      },
    ],
    lines: [
      { remedy: 'beltSlower', causes: ['underCure'], share: 0.732 },
      { remedy: 'dryerCheck', causes: ['dryerZone'], share: 0.102 },
      { remedy: 'dryCloth', causes: ['dampCloth'], share: 0.044 },
    ],
  },
  {
    name: 'Sticking at piece 62, check at piece 51: board 66 C, film before the next print 71 C',
    symptom: 'sticks',
    facts: {
      z: { under: -0.6, hot: -0.4, over: -0.8 },
      x: { pieces: 62, laps: 15, boardC: 66 },
      has: HAS,
      flags: FLAGS,
      predicted: ['board', 'hot', 'under', 'over', 'cure', 'cureHot'],
      check: { age: 11, boardC: 66, filmC: 121, printC: 71 },
    },
    odds: {
      underGel: 0.378,
      hotFilm: 0.526,
      hotBoards: 1.6,
      coldBoards: 0.02,
      overFlash: 0.35,
      leftUnder: 0.4,
      dampCloth: 0.8,
    },
    steps: [
      {
        shares: { hotBoards: 0.661, hotFilm: 0.125, gapLow: 0.016, deadElement: 0.015, noTack: 0.014 },
        next: 'when',
        saves: 15,
        seconds: 417,
        remedies: [
          ['coolLonger', 0.477],
          ['coolLonger', 0.336],
          ['flashShorter', 0.263],
        ],
      },
      {
        told: { ask: 'cool', answer: 'dry' },
        shares: { hotBoards: 0.684, hotFilm: 0.132, gapLow: 0.015, noTack: 0.014, overFlash: 0.012 },
        next: 'when',
        seconds: 371,
        remedies: [
          ['coolLonger', 0.496],
          ['coolLonger', 0.361],
          ['flashShorter', 0.293],
        ],
      },
    ],
    lines: [
      { remedy: 'flashShorter', causes: ['hotBoards', 'overFlash'], share: 0.696 },
      { remedy: 'coolLonger', causes: ['hotFilm'], share: 0.132 },
      { remedy: 'fewerStrokes', causes: ['tooMany', 'thickFilm'], share: 0.017 },
    ],
  },
  {
    name: 'Edges smeared, hand press',
    symptom: 'bleed',
    facts: {
      z: { under: -1, hot: -1 },
      x: { pieces: 30 },
      has: HAS,
      flags: FLAGS,
      predicted: ['under', 'hot'],
    },
    odds: { underGel: 0.35, hotFilm: 0.35, hotBoards: 1.6, softStencil: 0.5 },
    steps: [
      {
        shares: { pressHigh: 0.168, gapLow: 0.077, dullEdge: 0.067, flatAngle: 0.063, slack: 0.062 },
        next: 'first',
        saves: 51,
        seconds: 1155,
        remedies: [
          ['lessPressure', 0.206],
          ['lessPressure', 0.072],
          ['coolLonger', 0.059],
        ],
      },
      {
        told: { ask: 'setup', answer: 'as planned' },
        shares: { pressHigh: 0.178, gapLow: 0.082, dullEdge: 0.071, flatAngle: 0.066, slack: 0.065 },
        next: 'gap',
        isPair: true,
        seconds: 1156,
        remedies: [
          ['lessPressure', 0.209],
          ['coolLonger', 0.058],
          ['lessPressure', 0.072],
        ],
      },
      {
        told: { ask: 'blade', answer: 'as planned' },
        shares: { pressHigh: 0.185, gapLow: 0.085, dullEdge: 0.074, flatAngle: 0.069, slack: 0.068 },
        next: 'gap',
        isPair: true,
        seconds: 1170,
        remedies: [
          ['lessPressure', 0.205],
          ['coolLonger', 0.06],
          ['wipeBack', 0.073],
        ],
      },
      {
        told: { ask: 'paddle', answer: 'runny' },
        shares: { thin: 0.349, pressHigh: 0.126, gapLow: 0.058, dullEdge: 0.05, flatAngle: 0.047 },
        next: 'when',
        seconds: 994,
        remedies: [
          ['lessPressure', 0.188],
          ['lessPressure', 0.09],
          ['newInk', 0.309],
        ],
      },
    ],
    lines: [
      { remedy: 'newInk', causes: ['thin', 'dirtyInk'], share: 0.35 },
      { remedy: 'lessPressure', causes: ['pressHigh'], share: 0.126 },
      { remedy: 'setGap', causes: ['gapLow', 'gapHigh'], share: 0.062 },
    ],
  },
  {
    name: 'Patches, all over',
    symptom: 'patchy',
    facts: { z: {}, x: { pieces: 10 }, has: HAS, flags: FLAGS },
    odds: { hand: 1.7, stiff: 0.9, driedIn: 0.12 },
    steps: [
      {
        shares: { pressLow: 0.159, inkLow: 0.09, hand: 0.083, stiff: 0.064, tooFast: 0.058 },
        next: 'level',
        isPair: true,
        saves: -3,
        seconds: 1068,
        remedies: [
          ['morePressure', 0.198],
          ['reInk', 0.135],
          ['slower', 0.079],
        ],
      },
      {
        told: { ask: 'paddle', answer: 'creamy' },
        shares: { pressLow: 0.169, inkLow: 0.096, hand: 0.089, tooFast: 0.062, poorFlood: 0.059 },
        next: 'level',
        isPair: true,
        seconds: 1048,
        remedies: [
          ['morePressure', 0.193],
          ['reInk', 0.142],
          ['steady', 0.125],
        ],
      },
      {
        told: { ask: 'gap', answer: 'too high' },
        shares: { gapHigh: 0.308, pressLow: 0.121, inkLow: 0.069, hand: 0.063, lowBoard: 0.053 },
        next: 'mesh',
        seconds: 911,
        remedies: [
          ['morePressure', 0.138],
          ['reInk', 0.095],
          ['setGap', 0.375],
        ],
      },
    ],
    lines: [
      { remedy: 'setGap', causes: ['gapHigh', 'gapLow'], share: 0.315 },
      { remedy: 'morePressure', causes: ['pressLow'], share: 0.121 },
      { remedy: 'reInk', causes: ['inkLow'], share: 0.069 },
    ],
  },
]
