/**
 * Where printers disagree: each question with its schools. A shop picks once; a job may differ. Rules read the
 * method as data. The first option of each question is the default.
 */
export const SCHOOLS = {
  white: {
    question: 'Bright white on dark cloth',
    options: {
      highlight: 'A separate highlight white, late in the order: thin sharp base, one more screen',
      sameScreen: 'Print, flash, print with the same screen: saves a screen, thicker plate of ink',
      smoothing: 'Smoothing screen after the flash, then second white: flattest surface, one more head',
    },
  },
  baseMesh: {
    question: 'Mesh of the base',
    options: {
      coarse: 'Coarse, 43 to 64 T/cm: one strong hit',
      fine: 'Fine, 77 to 90 T/cm: softer hand, second white on top',
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
      direct: 'Opaque ink straight on the cloth: softer hand, fewer screens, slightly toned down',
    },
  },
  flash: {
    question: 'Flash',
    options: {
      where: 'Where wet ink would spoil the next print',
      afterBase: 'After the base only: widest blends, more risk of mud',
      every: 'After every colour: safest register, slower, no wet blends but declared ones',
    },
  },
  colourOrder: {
    question: 'Order of the colours',
    options: {
      overpower: 'By what overpowers what, small areas first, highlight and black last',
      light: 'Light to dark',
    },
  },
  ruling: {
    question: 'Mesh against halftone ruling',
    options: { four: 'At least 4.5 times the ruling', lean: 'From 3.5 times with thin stencils' },
  },
  offContact: {
    question: 'Off-contact',
    options: { eighth: '3 mm by hand, 1.6 mm on an automatic', low: 'As low as the stencil allows' },
  },
  placement: {
    question: 'Full front below the collar',
    options: { high: '64 to 76 mm', palm: 'A palm, 100 mm' },
  },
  stroke: {
    question: 'Stroke',
    options: { push: 'Push: easier on the wrist, like an automatic', pull: 'Pull' },
  },
  release: {
    question: 'Keeping the smoothing screen free of ink',
    options: {
      clear: 'Lubricated screen with a sticky clear in it',
      spray: 'Silicone spray: contaminates cloth and later prints',
    },
  },
  cure: {
    question: 'Cure',
    options: { tunnel: 'Tunnel', panel: 'Flash panel for a minute a piece: at most 60 an hour' },
  },
  cureTemperature: {
    question: 'Film temperature at the cure',
    options: { standard: '160 °C', hotter: '165 to 170 °C' },
  },
  ink: {
    question: 'House ink system',
    options: {
      plastisol: 'Plastisol: stays open in the screen',
      highSolids: 'High-solids water-based: cleans with water, dries in the screen',
      waterBased: 'Water-based: softest, dries in the screen',
    },
  },
} as const

export type School = keyof typeof SCHOOLS
export type ShopMethod = { readonly [S in School]: keyof (typeof SCHOOLS)[S]['options'] }

/** The first option of every question. */
export const DEFAULT_METHOD = Object.fromEntries(
  Object.entries(SCHOOLS).map(([school, { options }]) => [school, Object.keys(options)[0]]),
) as ShopMethod
