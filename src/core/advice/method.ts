import type { System } from '../quantity'
import { inUnits } from './reason'

/**
 * Where printers disagree: each question with its practices. A shop picks once; a job may differ. Rules read the
 * method as data. The first option of each question is the default. `{kind:value}` is a quantity in SI.
 */
export const PRACTICES = {
  white: {
    question: 'Bright white on dark cloth',
    options: {
      highlight: 'A separate highlight white, late in the order: thin sharp base, one more screen',
      sameScreen: 'Print, flash, print with the same screen: saves a screen, thicker plate of ink',
      smoothing: 'Smoothing screen after the flash, then second white: flattest surface, one more head',
    },
  },
  highlight: {
    question: 'Place of the highlight white',
    options: {
      art: 'Where the art lets it print cleanest: late, or before what blends with it',
      last: 'Last, or last before black: brightest, a flash where it overlaps',
      first: 'First after the base, wet: opens the lights and blends, less bright',
    },
  },
  smooth: {
    question: 'Smoothing a base for the colours on it',
    options: {
      no: 'No: a screen or a head less',
      rough: 'On cloth whose fibres stand up: flat where it shows most',
      always: 'Always: the flattest face, one hard stroke more on every base',
    },
  },
  whiteAgain: {
    question: 'The same white screen again',
    options: {
      alone: 'Where white is all that stands on the base: a screen less, the same art exactly',
      never: 'Never: a screen of its own on finer mesh, thinner and sharper, a screen more',
      preferred: 'Wherever it reaches the white that is wanted: a screen less, a thicker plate of ink',
    },
  },
  baseMesh: {
    question: 'Mesh of the base',
    options: {
      coarse: 'Coarse, {meshCount:4300} to {meshCount:6400}: one strong hit',
      fine: 'Fine, {meshCount:7700} to {meshCount:9000}: softer hand, second white on top',
      finer:
        'As fine as the finest colour on it, or finer: thinnest base, holds what it carries, covers least',
    },
  },
  baseTones: {
    question: 'Base under halftones',
    options: {
      fine: 'As fine as the ruling asks: the base carries the tones',
      coarse: 'As coarse as under flat colours: covers most, the colours alone carry the tones',
    },
  },
  inBetween: {
    question: 'Base on in-between cloth',
    options: {
      needed: 'Only under colours that need it: thinner print',
      allButBlack: 'Under everything but black once two need it: brighter, fewer edges to register',
    },
  },
  darkCloth: {
    question: 'Colour on dark cloth',
    options: {
      base: 'White base: bright',
      direct: 'Opaque ink straight on the cloth: softer hand, fewer screens, a visible change',
    },
  },
  flash: {
    question: 'Flash',
    options: {
      where: 'Where wet ink would spoil the next print: fewest flashes that print clean',
      afterBase: 'After the base only: widest blends, colours may go muddy',
      every: 'After every colour: safest register, slower, no wet blends but declared ones',
      touch: 'Between colours that touch, and only there: clean edges, what lies apart stays wet',
    },
  },
  cool: {
    question: 'After a flash on a single station',
    options: {
      wait: 'Wait about half a minute: nothing sticks',
      on: 'Print straight on, with care: quicker, may stick where the film is hot',
    },
  },
  colourOrder: {
    question: 'Order of the colours',
    options: {
      overpower: 'By what overpowers what, small areas first, highlight and black last',
      light: 'Light to dark: easy to explain, weaker where a light colour should stand on top',
    },
  },
  wetMost: {
    question: 'Water-based wet on wet',
    options: {
      any: 'As many wet together as print clean: fewest flashes',
      three: 'At most three wet together: less ink picked up, more flashes',
    },
  },
  blackTrap: {
    question: 'Black over a colour on light cloth',
    options: {
      wet: 'Wet, where it hides the colour: no flash for it',
      flash: 'After a flash: crispest edge, a flash more',
    },
  },
  ruling: {
    question: 'Mesh against halftone ruling',
    options: {
      four: 'At least 4.5 times the ruling: no moire, finer mesh, less ink',
      lean: 'From 3.5 times with thin stencils: more ink, more risk of moire',
      leanest: 'From 3.1 times, a light touch and the thinnest stencils: most ink, dots at their limit',
    },
  },
  offContact: {
    question: 'Off-contact',
    options: {
      eighth: '{length:0.0032} by hand, {length:0.0016} on an automatic: sharp with usual stencils',
      low: 'As low as the stencil allows: less image growth, needs tight screens',
    },
  },
  placement: {
    question: 'Full front below the collar',
    options: {
      high: '{length:0.064} to {length:0.076}: reads on a table and on a body',
      palm: 'A palm, {length:0.1}: quick to check, sits low on small sizes',
    },
  },
  placementSizes: {
    question: 'Other sizes',
    options: {
      fixed: 'One setting for adult sizes, one for kids: quick to load, sits low on an S',
      blend: 'Half way with the garment: a few settings, looks alike on all',
      full: 'In proportion to the garment: looks the same on all, most settings',
    },
  },
  stroke: {
    question: 'Stroke',
    options: {
      push: 'Push: easier on the wrist, like an automatic',
      pull: 'Pull: sees the print as it comes, harder on the back',
    },
  },
  blade: {
    question: 'Squeegee for halftones and fine tops',
    options: {
      hard: 'Straight and hard, 80: the sharpest dots',
      layered: 'Layered, 70/90/70: even shear across the print, dots a little softer',
    },
  },
  highSolids: {
    question: 'High-solids ink on an automatic',
    options: {
      upright: 'Near vertical, low off-contact: white shears off the mesh',
      layered: '15° to 20°, {length:0.0032} off-contact, medium pressure and speed: lays more, smears sooner',
    },
  },
  label: {
    question: 'Neck label',
    options: {
      first: 'First: nothing is pressed or dried over a finished print',
      last: 'Last, except under raised ink: the main print lies flat and cool when it is printed',
    },
  },
  release: {
    question: 'Keeping the smoothing screen free of ink',
    options: {
      clear: 'Lubricated screen with a sticky clear in it: clean cloth, one more mix',
      spray: 'Silicone spray: contaminates cloth and later prints',
    },
  },
  cure: {
    question: 'Cure',
    options: {
      tunnel: 'Dryer: even heat, keeps up with the press',
      panel: 'Flash panel for a minute a piece: at most 60 an hour',
      press: 'Heat press: quickest a piece and a flat face, one at a time; nothing that stands up',
    },
  },
  cureTemperature: {
    question: 'Film temperature at the cure',
    options: {
      standard: '{temperature:433.15}: the usual cure',
      hotter:
        '{temperature:438.15} to {temperature:443.15}: safe for thick ink, more scorch and dye bleeding',
    },
  },
  ink: {
    question: 'House ink system',
    options: {
      plastisol: 'Plastisol: stays open in the screen, heavier hand',
      highSolids: 'High-solids water-based: cleans with water, dries in the screen',
      waterBased: 'Water-based: softest, dries in the screen',
    },
  },
} as const

export type Practice = keyof typeof PRACTICES
export type ShopMethod = { readonly [S in Practice]: keyof (typeof PRACTICES)[S]['options'] }

/** The first option of every question. */
export const DEFAULT_METHOD = Object.fromEntries(
  Object.entries(PRACTICES).map(([practice, { options }]) => [practice, Object.keys(options)[0]]),
) as ShopMethod

/** Of practices and options by their names those that there are: a stored word of another program is left out. */
export const knownPractices = (options: Readonly<Record<string, unknown>>): Partial<ShopMethod> =>
  Object.fromEntries(
    Object.entries(options).filter(
      ([practice, option]) =>
        Object.hasOwn(PRACTICES, practice) &&
        typeof option === 'string' &&
        Object.hasOwn(PRACTICES[practice as Practice].options, option),
    ),
  ) as Partial<ShopMethod>

/** What an option means and what it costs, in the reader's units. */
export function optionWords(practice: Practice, option: string, units: System): string {
  const words = (PRACTICES[practice].options as Readonly<Record<string, string>>)[option] ?? option
  return inUnits(words, units)
}
