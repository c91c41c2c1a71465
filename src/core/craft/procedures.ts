import type { Duration } from '../quantity'

/** Where a list is worked through. */
export const CRAFT_ROOMS = { screenRoom: 'Screen room', inkRoom: 'Ink room', press: 'At the press' } as const
export type CraftRoom = keyof typeof CRAFT_ROOMS

/** What a list is made for: once for the run, or for each of its screens, flashes or inks. */
export type CraftOf = 'run' | 'screen' | 'flash' | 'ink'

/** What a step or a list is for; without it, for every job. */
export type When =
  | 'driesInScreen'
  | 'plastisol'
  | 'lightExposed'
  | 'carousel'
  | 'onPallet'
  | 'allOver'
  /** Adhesive is on the board, not in the garment. */
  | 'tackedBoard'
  /** The screen is moved by knobs. */
  | 'knobs'
  | 'hood'
  | 'flashed'
  | 'belt'
  | 'flakes'

/** A number of the plan that stands beside a step. */
export type Figure =
  | 'coats'
  | 'exposure'
  | 'offContact'
  | 'squeegee'
  | 'angle'
  | 'pressure'
  | 'flood'
  | 'inkLoad'
  | 'flashPlace'
  | 'flashHeight'
  | 'panel'
  | 'dwell'
  | 'belt'
  | 'cureFilm'
  | 'cureDwell'
  | 'tackEvery'

export interface CraftStep {
  readonly name: string
  /** What good looks like. */
  readonly good: string
  readonly figure?: Figure
  /** It has to wait so long, s. */
  readonly wait?: Duration
  readonly when?: When
}

export interface Procedure {
  readonly title: string
  readonly room: CraftRoom
  readonly of: CraftOf
  readonly when?: When
  /** The caution that stands over it: a rule of the room of cautions. */
  readonly caution?: string
  readonly steps: Readonly<Record<string, CraftStep>>
}

const MINUTE: Duration = 60

/**
 * The craft around the press as lists: common practice throughout. A step is named `list.step`; what a shop does otherwise is
 * laid over it by those names.
 */
export const PROCEDURES = {
  coat: {
    ...{ title: 'Coat and dry', room: 'screenRoom', of: 'screen', when: 'lightExposed' },
    caution: 'ROOM_SENSITISER',
    steps: {
      clean: { name: 'Degrease, dry', good: 'water runs off as one film; no drop, no lint' },
      stir: { name: 'Emulsion stirred', good: 'one colour, no bubbles, within its date' },
      coat: { name: 'Coat', good: 'even, no line where the trough was set down', figure: 'coats' },
      dry: {
        name: 'Dry, face up, in the dark',
        good: 'dry to the touch all over; in damp air longer',
        wait: 45 * MINUTE,
      },
    },
  },
  expose: {
    ...{ title: 'Expose', room: 'screenRoom', of: 'screen', when: 'lightExposed' },
    caution: 'EXPOSURE_UV',
    steps: {
      glass: { name: 'Glass clean', good: 'no streak, no lint: each prints as a pinhole' },
      film: { name: 'Film on the print side', good: 'reads backwards, marks measured, no air under it' },
      under: { name: 'Black underneath', good: 'nothing that throws light back' },
      expose: { name: 'Expose', good: 'lamp at its distance, weighed down flat', figure: 'exposure' },
    },
  },
  washOut: {
    ...{ title: 'Wash out', room: 'screenRoom', of: 'screen', when: 'lightExposed' },
    caution: 'ROOM_WASHER',
    steps: {
      mist: { name: 'Mist both sides', good: 'wet all over, then let it stand', wait: MINUTE },
      rinse: { name: 'Rinse gently, both sides', good: 'lukewarm; more only where it stays shut' },
      light: { name: 'Against the light', good: 'every opening clear, no scum, edges sharp' },
      blot: { name: 'Blot the openings', good: 'no water left to close them again' },
      dry: { name: 'Dry', good: 'no damp corner' },
    },
  },
  finishScreen: {
    ...{ title: 'Pinholes, tape, harden', room: 'screenRoom', of: 'screen' },
    steps: {
      pinholes: { name: 'Pinholes spotted', good: 'none against the light' },
      marks: {
        name: 'Marks',
        good: 'left open on what is registered, closed before the run',
      },
      harden: {
        name: 'Hardened or exposed again',
        good: 'water-based ink eats what is not',
        when: 'driesInScreen',
      },
      tape: { name: 'Inside edges taped', good: 'no ink between frame and mesh' },
    },
  },
  ink: {
    ...{ title: 'Ink ready', room: 'inkRoom', of: 'ink' },
    caution: 'INK_SKIN',
    steps: {
      stir: { name: 'Stirred', good: 'to the bottom, warm enough to fall off the knife' },
      flakes: { name: 'Stirred again now and then', good: 'flakes off the bottom', when: 'flakes' },
      wet: { name: 'Tub and knife wetted', good: 'nothing dries on the rim', when: 'driesInScreen' },
      load: {
        name: 'Enough of it',
        good: 'for the whole run, what stays in the screen with it',
        figure: 'inkLoad',
      },
    },
  },
  boards: {
    ...{ title: 'Boards', room: 'press', of: 'run', when: 'onPallet' },
    caution: 'PRESS_SPRAY',
    steps: {
      locked: { name: 'Boards locked', good: 'none gives when it is pressed at a corner', when: 'carousel' },
      clean: { name: 'Lint and old adhesive off', good: 'smooth to the hand' },
      adhesive: {
        name: 'Adhesive',
        good: 'holds a garment without marking it; renewed every so many',
        figure: 'tackEvery',
        when: 'tackedBoard',
      },
      inside: {
        name: 'Spray inside the garment',
        good: 'thin, not on the board',
        when: 'allOver',
      },
      warm: { name: 'Boards warm', good: 'a few empty flashes first', when: 'flashed' },
    },
  },
  head: {
    ...{ title: 'Set up', room: 'press', of: 'screen' },
    steps: {
      pinholes: { name: 'Pinholes', good: 'none against the light' },
      tapeSides: { name: 'Tape both sides', good: 'inside edges and marks you do not need' },
      zero: {
        name: 'Zero the knobs',
        good: 'each in the middle of its travel, so that it can go both ways',
        when: 'knobs',
      },
      clamp: { name: 'Load and clamp', good: 'image within {length:0.003} of the film, clamps even' },
      level: {
        name: 'Level',
        good: 'side to side, then front to back: loosen, hold flat, tighten, feel again',
      },
      offContact: {
        name: 'Off-contact',
        good: 'the same at all four corners, and on every head',
        figure: 'offContact',
      },
      register: { name: 'Register', good: 'within what the job forgives' },
      lock: { name: 'Lock', good: 'tight, without leaning on the frame' },
      check: { name: 'Check again', good: 'the marks read once more, locked' },
      tape: { name: 'Tape the marks', good: 'closed from below, or blocked out' },
      inkIn: {
        name: 'Ink in',
        good: 'a bank wider than the image, never pressed into it',
      },
      blade: { name: 'Blade', good: 'sharp, wider than the image on each side', figure: 'squeegee' },
      angle: { name: 'Angle', good: 'the edge shears, its flat side does not press', figure: 'angle' },
      pressure: { name: 'Pressure', good: 'the least that clears the mesh', figure: 'pressure' },
      flood: { name: 'Flood', good: 'openings full, the mesh not pressed down', figure: 'flood' },
    },
  },
  flash: {
    ...{ title: 'Flash', room: 'press', of: 'flash' },
    caution: 'HEAT_FIRE',
    steps: {
      place: { name: 'Place', good: 'over the whole print', figure: 'flashPlace' },
      height: { name: 'Height', good: 'the same at all four corners', figure: 'flashHeight' },
      panel: { name: 'Warm', good: 'steady before the first garment', figure: 'panel' },
      dwell: { name: 'Dwell', good: 'dry to the touch, a little tacky at most', figure: 'dwell' },
    },
  },
  cure: {
    ...{ title: 'Cure', room: 'press', of: 'run' },
    caution: 'HEAT_FUMES',
    steps: {
      belt: { name: 'Belt', good: 'as many abreast as planned', figure: 'belt', when: 'belt' },
      heat: { name: 'Time in the heat', good: 'counted with a stopwatch', figure: 'cureDwell' },
      film: { name: 'Film as it leaves', good: 'read on the ink, the thickest place', figure: 'cureFilm' },
      proof: { name: 'Proof of cure', good: 'stretch; wash one, and keep it with date and belt speed' },
    },
  },
  signOff: {
    ...{ title: 'Opening and sign-off', room: 'press', of: 'run' },
    steps: {
      open: {
        name: 'Open each screen',
        good: 'two or three slow strokes, until the image clears',
      },
      paper: { name: 'On paper', good: 'all colours, marks in register' },
      scrap: { name: 'On scrap', good: 'hand, cover, flash; wet on wet settles only after 6 to 12' },
      garment: { name: 'On a garment', good: 'place and size measured, colour against the target' },
      marks: { name: 'Marks and strips off', good: 'nothing prints beside the art' },
    },
  },
  load: {
    ...{ title: 'Loading', room: 'press', of: 'run', when: 'onPallet' },
    steps: {
      hands: { name: 'Clean hands', good: 'no ink at the neck' },
      straight: { name: 'Straight', good: 'seams or centre crease along the board' },
      smooth: { name: 'Smooth, not stretched', good: 'it lies as it hangs' },
      wrinkle: {
        name: 'No wrinkle',
        good: 'whole garment on the board, one or two loaders',
        when: 'allOver',
      },
      hood: { name: 'Hood and cords out of the way', good: 'nothing under the screen', when: 'hood' },
    },
  },
  stand: {
    ...{ title: 'When the press stands', room: 'press', of: 'run', when: 'driesInScreen' },
    steps: {
      minutes: { name: 'A few minutes', good: 'flooded, never open' },
      longer: {
        name: 'Longer',
        good: 'image cleaned, misted; in dry air misted in any case',
        wait: 3 * MINUTE,
      },
      night: { name: 'Over night', good: 'ink out, screen washed' },
    },
  },
  cleanUp: {
    ...{ title: 'Clean-down', room: 'press', of: 'screen' },
    caution: 'INK_WASTE',
    steps: {
      back: { name: 'Ink back to its tub', good: 'weighed, lid on, label right' },
      tapeOff: { name: 'Tape off', good: 'no ink under it' },
      water: { name: 'Image washed with water', good: 'at once, before it skins', when: 'driesInScreen' },
      solvent: {
        name: 'Image wiped with its cleaner',
        good: 'both sides, nothing down the drain',
        when: 'plastisol',
      },
      degrease: { name: 'Degreased', good: 'kept with its label, or reclaimed' },
    },
  },
  boardsAfter: {
    ...{ title: 'Boards after the run', room: 'press', of: 'run', when: 'onPallet' },
    steps: { clean: { name: 'Lint and adhesive off', good: 'while they are still warm' } },
  },
} as const satisfies Readonly<Record<string, Procedure>>
