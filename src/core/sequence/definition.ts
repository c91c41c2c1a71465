import { defineRoom } from '../advice'

/** The order of printing. */
export const SEQUENCE = defineRoom({
  id: 'sequence',
  title: 'Print order',
  model:
    'Exact search over orders, flashes and stations: no pair rule broken, least cost of flashes, wet contact risk and heads.',
  sources:
    'Common practice as rules; the search is checked against trying everything and against a mixed integer program.',
  pages: ['sequence'],
  rules: {
    BASE_FIRST: { says: '{j} is a base: {i} cannot go before it.', source: 'common practice' },
    SMOOTH_ORDER: {
      says: 'The smoothing screen comes after the base and before all else.',
      source: 'common practice',
    },
    BLACK_LAST: { says: '{i} cleans up outlines: {j} goes before it.', source: 'common practice' },
    CLEAR_LAST: { says: '{i} is clear and lies over {j}.', source: 'common practice' },
    PUFF_LAST: { says: '{i} rises in the dryer: {j} goes before it.', source: 'common practice' },
    METAL_WHITE: {
      says: '{j} is metallic and touches {i}: first the metallic, a flash, then the white, or flakes get into it.',
      source: 'common practice',
    },
    HL_LAST: {
      says: 'House practice is the highlight last: {j} goes before {i}.',
      source: "the shop's choice",
    },
    HL_FIRST: {
      says: 'House practice is the highlight first after the base: {j} goes before {i}.',
      source: "the shop's choice",
    },
    OVER: { says: '{i} lies over {j} in the art: {j} goes before it.', source: 'the order' },
    EXPLICIT: { says: 'The lead puts {j} before {i}.', source: "the shop's choice" },
    BASE_FLASH: { says: '{j} lies on {i}, which must be gelled first.', source: 'common practice' },
    HL_OVERLAP: { says: '{i} and {j} overlap: wet, they make a grey edge.', source: 'common practice' },
    BLACK_FLASH: {
      says: '{i} must be dry where it meets {j}, or the black goes muddy.',
      source: 'common practice',
    },
    METAL_FLASH: { says: '{i} must be dry under {j}, or the shimmer is lost.', source: 'common practice' },
    DIRECT_OPAQUE: {
      says: '{i} and {j} are opaque and straight on dark cloth: the next screen would pick up the wet ink.',
      source: 'common practice',
    },
    INK_MIX: {
      says: '{i} and {j} are different ink systems and must not meet wet.',
      source: 'common practice',
    },
    FLASH_EVERY: {
      says: 'House practice is a flash after every colour: {i}, then {j}.',
      source: "the shop's choice",
    },
    FLASH_TOUCH: {
      says: 'House practice is a flash between colours that touch: {i}, then {j}.',
      source: "the shop's choice",
    },
    WET_MOST: {
      says: 'At most {most} inks that dry in the screen are wet together here: {names} would be more.',
      source: "the shop's choice",
    },
    HAND_FLASH: { says: 'The lead wants a flash between {i} and {j}.', source: "the shop's choice" },
    BENCH_DRY: {
      says: 'On a bench every colour dries before the next: {i}, then {j}.',
      source: 'common practice',
    },
    BLEND_WET: { says: '{i} and {j} blend, so they must stay wet together.', source: 'common practice' },
    SMOOTH_HOT: {
      says: 'The smoothing screen works only on hot film, straight after the flash.',
      source: 'common practice',
    },
    SMOOTH_WHITE: {
      says: 'After the smoothing screen comes the second white, with no flash between.',
      source: 'common practice',
    },
    LAPS_ONE: { says: 'One revolution does: fewest minutes, fewest chances to shift.', source: 'geometry' },
    LAPS_TWO: { says: 'It does not fit into one revolution of this press.', source: 'geometry' },
    LAPS_WISHED: {
      says: 'Two revolutions as the lead wants it, though one would do: film cools and heads stay free, for twice the time at the press and one more chance to shift.',
      source: "the shop's choice",
      severity: 'Note',
    },
    SMOOTH_BASE: {
      says: 'On a smoothed base, as flat as it gets; dry, and with no flash between.',
      source: 'common practice',
    },
    PUFF_NOFLASH: { says: 'Expanding ink is not flashed: it rises in the dryer.', source: 'common practice' },
    MUD: {
      says: '{i} before {j}, {state}: wet contact risk {points}, {why}.',
      source: 'common practice',
      severity: 'Note',
    },
    ORDER_WET_RISK: {
      says: '{i} before {j}: the other way adds {points} to the wet contact risk ({why}).',
      source: 'common practice',
    },
    ORDER_FREE: {
      says: '{i} and {j} could go either way; the order of the art decides.',
      source: 'the order',
    },
    ORDER_ONLY: { says: 'It stands alone: no other ink is wet with it.', source: 'geometry' },
    FLASH_AFTER_BASE: {
      says: 'House practice is one flash after the base: {i} and {j} stay wet together and may go muddy.',
      source: "the shop's choice",
      severity: 'Watch',
    },
    COOL: {
      says: 'Station {station} stays empty so that the film cools after the flash.',
      source: 'common practice',
    },
    COVERED: {
      says: 'Station {station} lies under the flash unit before it: nothing is mounted there.',
      source: 'geometry',
    },
    DOWN: {
      says: 'Head {station} is out of service: nothing is mounted there, the print cools.',
      source: 'the order',
    },
    NO_COOL: {
      says: '{name} prints {missing} cool-down station too soon after the flash: hot ink sticks to the screen.',
      source: 'common practice',
      severity: 'Watch',
    },
    FLASH_SHORT: {
      says: 'The order needs {need} flash units standing in the ring and {press} has {have}.',
      source: 'geometry',
      severity: 'Stop',
    },
    NO_FLASH: { says: 'The order needs a flash and {press} has none.', source: 'geometry', severity: 'Stop' },
    STATIONS_SHORT: {
      says: '{screens} screens and {flashes} flashes need {need} stations in one revolution; {press} has {have} that can take them.',
      source: 'geometry',
      severity: 'Stop',
    },
    HEADS_SHORT: {
      says: '{screens} screens do not fit {press}, which has {have} heads.',
      source: 'geometry',
      severity: 'Stop',
    },
    TWO_LAPS: {
      says: 'One revolution has no room for it: every garment goes round twice. Twice the time, and once more a chance to shift.',
      source: 'geometry',
      severity: 'Watch',
    },
    TWO_SHORT: {
      says: 'In two revolutions they would still need {need}, as every screen has its own; {press} has {have}.',
      source: 'geometry',
      severity: 'Watch',
    },
    TWO_UNKNOWN: {
      says: 'Not found out whether {screens} screens fit in two revolutions: too many ways.',
      source: 'geometry',
      severity: 'Watch',
    },
    BEST_TRIED: {
      says: 'Best of the ways tried; not all could be. A better one could save at most {flashes} flashes and {wetRisk} of wet contact risk.',
      source: 'geometry',
      severity: 'Note',
    },
    HELP_UNIT: { says: 'One more flash unit at {press} would do{laps}.', source: 'geometry' },
    HELP_PLACES: { says: 'If a flash could stand at any station it would fit{laps}.', source: 'geometry' },
    HELP_HEAD: { says: 'With head {station} working it would fit{laps}.', source: 'geometry' },
    HELP_HEADS: { says: 'With every head working it would fit{laps}.', source: 'geometry' },
    HELP_BASE: {
      says: 'Without the second base hit it would fit{laps}: another way to a bright white.',
      source: 'geometry',
    },
    HELP_LESS: {
      says: 'Without {name} it would fit{laps}: a screen less, or another press.',
      source: 'geometry',
    },
    NO_LAYOUT: {
      says: '{screens} screens and {flashes} flashes find no place in one revolution of {press}, given where flashes may stand.',
      source: 'geometry',
      severity: 'Stop',
    },
    CLASH: {
      says: 'These cannot be printed together in any order: {names}. {broken}',
      source: 'common practice',
      severity: 'Stop',
    },
    BY_HAND: {
      says: 'The order by hand breaks a rule between {names}: take it back. {broken}',
      source: 'common practice',
      severity: 'Stop',
    },
    SMOOTH_ALONE: {
      says: 'A smoothing screen needs a second white over it.',
      source: 'common practice',
      severity: 'Stop',
    },
    TOO_MANY: {
      says: '{screens} hits: this planner takes at most {most}.',
      source: 'geometry',
      severity: 'Stop',
    },
  },
  settings: {
    laps: {
      kind: 'choice',
      label: 'Laps',
      options: { one: 'One', two: 'Two' },
      follows: ['presses', 'printOrder'],
      after: ['press'],
    },
  },
})
