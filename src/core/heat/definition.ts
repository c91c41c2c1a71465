import { defineRoom } from '../advice'
import { CURE_RULES } from './cureRules'
import { RUN_RULES } from './runRules'

/** Flash, cool-down and cure. */
export const HEAT = defineRoom({
  id: 'heat',
  title: 'Heat',
  model:
    'Film, cloth and board as layers that take up and pass on heat, under a flash, lap after lap, and in a tunnel; cure temperatures and times by ink system and cloth.',
  sources:
    'Physics and handbook values; panels, gelling and tunnels are tuned to common practice. Nothing was measured at a press.',
  pages: ['heat'],
  rules: {
    ...RUN_RULES,
    ...CURE_RULES,
    FLASH_PANEL: {
      says: 'Black panel on a warm pallet: gelled, dry to the touch, not cured.',
      source: 'common practice',
    },
    FLASH_QUARTZ: { says: 'Quartz gels faster than a black panel.', source: 'from memory' },
    FLASH_AIR: { says: 'Moving air takes the vapour away.', source: 'from memory' },
    UNIT_SUITS: {
      says: '{unit}: of {units} units here it suits {name} best.',
      source: 'common practice',
    },
    UNIT_LEFT: {
      says: '{unit} is what is left for {name}: another of the {units} units suits it better, and is taken.',
      source: 'common practice',
      severity: 'Note',
    },
    FLASH_GUN: { says: 'A heat gun takes 30 to 45 s.', source: 'common practice' },
    FLASH_NEEDS: {
      says: 'On a board of {boards} the corners of this print are dry to the touch after {needed}.',
      source: 'a model',
    },
    FLASH_CLOSES: {
      says: 'After {limit} its middle is closed: the next colour peels in the wash.',
      source: 'a model',
    },
    FLASH_AS_READ: {
      says: '{unit} was read on {day}: it gives {gain} of the heat of a usual one, and a dwell is right to {spread} or so.',
      source: 'a model',
    },
    FLASH_UNREAD: {
      says: '{unit} was never read: as such units usually are, a dwell may be {spread} off. Calibrate it at Shop, Heat.',
      source: 'a model',
    },
    READ_DWELL: {
      says: 'A usual unit dries this print on a pallet of {boards} in {usual}, this one in {then}, give or take {spread}.',
      source: 'a model',
    },
    READ_HEAT: {
      says: '{gain} of the heat of a usual unit; cloth and pallet pass on {contact} of the heat, and the pallet loses {loss} below.',
      source: 'a model',
    },
    READ_TUNNEL: {
      says: '{gain} of the heat of a usual tunnel of its kind and length; the film is known to {spread} K or so.',
      source: 'a model',
    },
    READ_EACH: {
      says: '{read} was read; a usual one would give {usual}, this one gives {then}.',
      source: 'a model',
    },
    READ_ODD: {
      says: '{name} does not fit: {read} was read, and the others make it {expected}. Read it again, or leave it out.',
      source: 'a model',
      severity: 'Watch',
    },
    READ_ALONE: {
      says: '{name} does not fit: {read} was read, where a usual one gives {expected}. Read it again.',
      source: 'a model',
      severity: 'Watch',
    },
    FLASH_SLOW: {
      says: '{name}: {needed} under {unit} for each garment is not practical for a print of this size. A panel, or air with it.',
      source: 'a model',
      severity: 'Watch',
    },
    FLASH_USUAL: {
      says: 'Common practice for such a unit says {low} to {high}, at most 12 s on a warm board.',
      source: 'common practice',
    },
    FLASH_COLD: {
      says: 'The first prints on cold boards want {cold}; a damp morning takes longer still: warm the pallets first.',
      source: 'a model',
    },
    FLASH_WATER: {
      says: 'Water-based ink under a flash without air flow: the vapour stays. Expect a longer flash.',
      source: 'common practice',
      severity: 'Watch',
    },
    PANEL_USUAL: {
      says: 'As {unit} is sold, about {panel} as a mean over its face. No dial says that: how far to turn it down counts, and reading the unit tells more.',
      source: 'a model',
    },
    FLASH_HEIGHT: { says: '{length:0.05} to {length:0.075} above the pallet.', source: 'common practice' },
    COOL_BENCH: { says: 'Off the hinge it cools while others are printed.', source: 'common practice' },
    COOL_SINGLE: { says: 'On a single station the garment waits.', source: 'common practice' },
    COOL_ON: {
      says: 'House practice prints straight on at a single station: quicker, and with care. Heat tells how hot the film still is under the next screen.',
      source: "the shop's choice",
    },
    COOL_MANUAL: {
      says: '{pallets} pallets: the print cools on {idle} idle ones on its way round.',
      source: 'common practice',
    },
    COOL_AUTOMATIC: { says: 'One empty head after the flash.', source: 'common practice' },
    DRY_RACK: {
      says: 'No flash unit at the bench: on the rack until it is not tacky; drying places set the pace.',
      source: 'common practice',
    },
    COOL_STICKS: {
      says: 'Sticky when hot: wait. Sticky when cool: longer flash.',
      source: 'common practice',
    },
    POLY_HOT: {
      says: 'Polyester dye bleeds from about {limit}; this print cures at {cure}. Use low-cure ink and a blocking base.',
      source: 'common practice',
      severity: 'Stop',
    },
    BLEND_HOT: {
      says: 'The polyester in this blend bleeds from about {limit}; this print cures at {cure}. Test before the run.',
      source: 'common practice',
      severity: 'Watch',
    },
    PUCKERS: {
      says: '{cloth} is thin ({weight}): it puckers as {name} rises. Take a heavier cloth, or raise less.',
      source: 'from memory',
      severity: 'Watch',
    },
    AIR_SAID: { says: 'As it was said on {day}: {air} and {humidity}.', source: "the shop's choice" },
    AIR_USUAL: { says: 'A shop of {temperature:295.15}, until you say how warm it is.', source: 'assumed' },
    AIR_DAMP: {
      says: 'Damp cloth holds water that the flash and the dryer have to drive out first.',
      source: 'common practice',
    },
    BOARDS_HOT: {
      says: 'The boards of {press} heat up: by about piece {pieces} the flash wants to be shorter. Heat shows by how much; feel whether prints stick.',
      source: 'common practice',
      severity: 'Note',
    },
    POLY_WHITE: {
      says: '{cloth} is white or undyed: there is no dye to bleed. Watch shrinkage and gloss.',
      source: 'common practice',
      severity: 'Note',
    },
    POLY_BASE: {
      says: 'Polyester bleeds into the ink when hot, sometimes hours later: blocking base, and look at a piece next day.',
      source: 'common practice',
      severity: 'Note',
    },
  },
  settings: {
    dwell: {
      kind: 'duration',
      within: [0.1, 600],
      label: 'Flash after {name}',
      follows: ['flashUnits', 'inkSystem', 'inkCan', 'polyester', 'practice ink', 'printOrder'],
      after: [
        'press',
        'air',
        'humidity',
        'flashHeight',
        'panelTemperature',
        'coolDown',
        'crew',
        'skill',
        'rate',
      ],
    },
    flashHeight: {
      kind: 'length',
      within: [0, 1],
      label: 'Flash height',
      follows: ['printOrder'],
      after: ['press'],
    },
    panelTemperature: {
      kind: 'temperature',
      within: [373.15, 1_073.15],
      label: 'Panel temperature',
      follows: ['flashUnits'],
      after: ['press'],
    },
    coolDown: {
      kind: ['count', 'duration'],
      within: [0, 3_600],
      label: 'Cool-down',
      follows: ['printOrder', 'practice cool'],
      after: ['press'],
    },
    air: { kind: 'temperature', within: [253, 333], label: 'Air of the shop', follows: ['airToday'] },
    humidity: { kind: 'share', within: [0.02, 0.98], label: 'Humidity', follows: ['airToday'] },
    cureFilm: {
      kind: 'temperature',
      within: [300, 600],
      label: 'Ink film at the cure',
      follows: ['inkType', 'lowCure', 'colours', 'practice cureTemperature'],
    },
    cureDwell: {
      kind: 'duration',
      within: [1, 3_600],
      label: 'Time in the dryer',
      follows: ['inkType', 'inkSystem', 'lowCure', 'colours', 'practice cure', 'practice ink'],
    },
    dryer: { kind: 'choice', label: 'Dryer', follows: ['dryers'] },
    belt: {
      kind: 'beltSpeed',
      within: [5e-4, 1],
      label: 'Belt speed',
      follows: ['dryers', 'practice cure'],
      after: ['cureDwell', 'dryer'],
    },
  },
})
