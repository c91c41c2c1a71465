import { ruleTable } from '../advice'

/** Numbers that no one advises: counted from facts, or facts themselves. */
export const FACT_RULES = ruleTable({
  PIECES: {
    says: '{pieces}: the quantities of the sizes this print goes on, added up.',
    source: 'the order',
  },
  SIZE_PIECES: { says: '{pieces}: as the customer ordered this size.', source: 'the order' },
  TALLEST: {
    says: '{film}: the dry films of the hits that lie on one another, added up.',
    source: 'geometry',
  },
  ORDER_PIECES: {
    says: '{pieces}: the quantities of all sizes of the order, added up.',
    source: 'the order',
  },
  SCREENS: { says: '{screens}: one for each hit, hits of the same screen counted once.', source: 'geometry' },
  FLASHES: {
    says: '{value}: where inks would smear wet; each tells which, on the strip.',
    source: 'geometry',
  },
  LAPS: { says: '{value}: how often every garment goes round.', source: 'geometry' },
  MOVES: {
    says: '{value} handgrips from what hangs now: one to hang a screen, one for a screen of another job or a flash unit that is in its way, two to move a flash unit. What hangs where is kept under Heads now.',
    source: 'geometry',
  },
  MUD_POINTS: {
    says: '{value} mud points: what dark before light, strong before weak and opaque on wet add up to. A score fitted to common practice, good for comparing orders of this job only.',
    source: 'common practice',
  },
  EXPOSED_TOGETHER: {
    says: '{time}: the longest exposure of {screens} that go under the light together; their times differ by less than a tenth. Each screen tells its own, and why, at its order.',
    source: 'geometry',
  },
  VARIANT: {
    says: '{way}: {what} {value}. The whole job planned this way, with the lead’s other choices as they are; compare it with the plan in force.',
    source: 'geometry',
  },
  INK_TOTAL: { says: '{value}: the ink of every screen, added up.', source: 'geometry' },
  ART: { says: '{value}: as given at Art.', source: 'the order' },
  LEDGER: { says: '{value}: what the ledger of the tub comes to.', source: 'geometry' },
  STOCK: { says: '{value}: entered for this shop at Shop.', source: "the shop's choice" },
})

/** What each computed setting follows from, by the start of its key: the facts and schools that would change it. */
const DEPENDS: Readonly<Record<string, readonly string[]>> = {
  press: ['pieces', 'number of screens', 'halftones', 'presses and heads of the shop'],
  base: [
    'ink opacity and colour',
    'cloth colour',
    'school: colour on dark cloth',
    'school: base on in-between cloth',
  ],
  white: ['cloth colour', 'a white in the art', 'school: bright white on dark cloth'],
  coverage: ['coverage of the colours on base'],
  mesh: [
    'what the screen prints',
    'ruling and angle',
    'smallest line',
    'largest flake in the ink',
    'wanted dry film',
    'frames in stock',
    'school: mesh of the base',
    'school: mesh against halftone ruling',
  ],
  emulsion: ['ink system', 'emulsions of the shop'],
  coats: ['what the screen prints', 'kind of emulsion'],
  build: ['coats', 'build of the emulsion', 'mesh'],
  expose: ['step tests of the shop', 'lamp and its distance', 'coats', 'mesh and its colour'],
  blade: ['what the screen prints', 'halftones', 'blades of the shop'],
  angle: ['what the screen prints', 'press'],
  edge: ['what the screen prints', 'blades of the shop'],
  pressure: ['what the screen prints', 'halftones', 'samples found good'],
  gauge: ['the word for pressure', 'what the shop wrote down for the press'],
  holdTime: ['halftones'],
  holdAngle: ['halftones'],
  holdGauge: ['what the shop wrote down for the press'],
  holdOffContact: ['halftones'],
  holdStray: ['what is held of time, angle and pressure'],
  time: ['what the screen prints', 'cloth'],
  strokes: ['base or top colour', 'cloth weave'],
  flood: ['ink system', 'halftones'],
  ink: ['print size', 'coverage', 'mesh', 'strokes', 'pieces'],
  film: ['mesh', 'strokes', 'blade, angle, pressure, time and flood'],
  dwell: ['kind of flash unit', 'which flash it is', 'ink system'],
  offContact: ['kind of press', 'cloth', 'school: off-contact'],
  bladeLength: ['width of the print', 'blades of the shop'],
  direction: ['school: stroke'],
  cureFilm: [
    'ink system',
    'polyester in the cloth',
    'low-cure additive',
    'school: film temperature at the cure',
  ],
  cureDwell: ['ink system', 'cloth', 'school: cure'],
  dryer: ['dryers of the shop', 'width of the print'],
  belt: ['heated length of the dryer', 'time in the heat'],
  down: [
    'where the print sits',
    'size of the garment',
    'height of the print',
    'school: full front below the collar',
  ],
  side: ['where the print sits', 'size of the garment'],
  setup: ['number of screens', 'kind of press'],
  crew: ['kind of press'],
  skill: ['who stands at the press'],
  rate: ['crew and skill', 'press', 'strokes', 'flashes and their dwell', 'cool-down', 'belt speed'],
  total: ['set-up', 'pace', 'pieces'],
  flashHeight: ['kind of flash unit'],
  coolDown: ['kind of press', 'number of pallets'],
  group: ['cloth colour', 'polyester in the cloth'],
}

/** What would change an advised value, in words; empty for a key no one knows. */
export const dependsOn = (key: string): readonly string[] => DEPENDS[key.split('.')[0] ?? ''] ?? []
