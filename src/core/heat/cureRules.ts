import type { Rule } from '../advice'

/** What heat has to say of the cure: in a tunnel, under a panel, and on which dryer. */
export const CURE_RULES = {
  CURE_PLASTISOL: { says: 'Plastisol: the whole film at {temperature:433.15}.', source: 'common practice' },
  CURE_HIGH_SOLIDS: {
    says: 'High-solids water-based: all water out first, then {temperature:433.15}.',
    source: 'common practice',
  },
  CURE_WATER: {
    says: 'Water-based: all water out first, then {temperature:433.15}.',
    source: 'common practice',
  },
  CURE_DISCHARGE: {
    says: 'Discharge: {temperature:433.15} and time for the dye to let go; its vapour wants exhaust.',
    source: 'from memory',
  },
  CURE_METALLIC: {
    says: 'Metallic: aim at {temperature:443.15}, not under {temperature:433.15}, not over {temperature:463.15}.',
    source: 'common practice',
  },
  CURE_EXPANDING: {
    says: 'Puff (expanding ink): {temperature:438.15} at the surface; hotter turns glossy and collapses.',
    source: 'common practice',
  },
  CURE_LOW: {
    says: 'Low-cure additive: as its data sheet says, here {temperature:403.15}.',
    source: 'common practice',
  },
  NO_GUN: {
    says: '{name}: never under a hot gun, and {unit} is one. Let it dry in the air, or take a panel.',
    source: 'common practice',
    severity: 'Watch',
  },
  AIR_DRY: {
    says: '{time} in the air before any heat ({name}): printed one day, cured {days} later, and {pieces} pieces lie out for as long.',
    source: 'common practice',
    severity: 'Note',
  },
  AIR_DRY_FLASH: {
    says: '{name}: in the air before any heat, and a flash comes right behind. Print it last, or let it dry between.',
    source: 'common practice',
    severity: 'Watch',
  },
  DWELL_PRESS: {
    says: 'Under a heat press at the temperature of the film: plastisol about half a minute, water-based longer, its water out first. A release sheet between. No model reckons a press: wash a piece.',
    source: 'from memory',
  },
  PRESS_FLATTENS: {
    says: '{name} stands up, and a heat press presses it flat: cure it in a dryer, or under a panel.',
    source: 'common practice',
    severity: 'Watch',
  },
  PRESS_WET: {
    says: '{name} goes under the press dry to the touch: wet ink gives steam that lifts it. Flash it, or let it dry.',
    source: 'from memory',
    severity: 'Note',
  },
  CURE_HOTTER: {
    says: 'This shop cures at {temperature:438.15} to {temperature:443.15}.',
    source: "the shop's choice",
  },
  CURE_STRICTEST: {
    says: 'The ink that needs most decides for the whole print.',
    source: 'common practice',
  },
  CURE_CLASH: {
    says: 'No temperature cures every ink here: one needs {low}, another stands at most {high}.',
    source: 'common practice',
    severity: 'Stop',
  },
  CURE_REACHES: {
    says: '{kind} as they usually are, as long as {dryer}, at {belt}: the film comes to {film} and is cured to {cure}, the cloth to {cloth}. Its set points are assumed: read yours.',
    source: 'a model',
  },
  CURE_AS_READ: {
    says: '{dryer} as it was read on {day}, at {belt}: the film comes to {film}, give or take {spread} K, and is cured to {cure}, the cloth to {cloth}.',
    source: 'a model',
  },
  CURE_FAST: {
    says: 'At {belt} the film only comes to {film} in such a tunnel: at most {most}. Run slower, set it hotter, or read the film with a probe.',
    source: 'a model',
    severity: 'Watch',
  },
  CURE_SHIFT: {
    says: 'At {belt} such a tunnel brings the film to {wanted} with every set point {shift} K higher; as it is, at most {most}.',
    source: 'a model',
    severity: 'Note',
  },
  CURE_WET: {
    says: 'At {belt} {water} of the ink’s water is still in the film: at most {most}.',
    source: 'a model',
    severity: 'Watch',
  },
  CURE_SLOW: {
    says: 'At {belt} the film comes to {film} in such a tunnel, over {limit}: at least {least}, or set it cooler.',
    source: 'a model',
    severity: 'Watch',
  },
  CURE_NEVER: {
    says: 'No belt speed cures this print in such a tunnel as {dryer}: set it hotter, or take another.',
    source: 'a model',
    severity: 'Watch',
  },
  PANEL_CURES: {
    says: 'Under {unit}, {height} above it, the corners of this print are cured after {time}; the middle is then at {film}, the cloth at {cloth}.',
    source: 'a model',
  },
  PANEL_LONG: {
    says: 'After {dwell} the middle is at {film}, over {limit}: {time} is enough.',
    source: 'a model',
    severity: 'Watch',
  },
  PANEL_SHORT: {
    says: '{dwell} does not cure the corners: they want {time}.',
    source: 'a model',
    severity: 'Watch',
  },
  PANEL_LIFT: {
    says: 'So near, the middle passes {limit} before the corners are cured: hang {unit} {height} above it, which takes {time}.',
    source: 'a model',
    severity: 'Watch',
  },
  PANEL_SHUT: {
    says: 'At no height up to {length:0.2} are the corners cured before the middle passes {limit}: the print is too large for {unit}. Cure it in two places, or in a tunnel.',
    source: 'a model',
    severity: 'Watch',
  },
  PANEL_NEVER: {
    says: '{unit}, {height} above it, does not cure the corners of this print in four minutes.',
    source: 'a model',
    severity: 'Watch',
  },
  DESK_SAME: { says: 'As it runs: nothing changes.', source: 'geometry' },
  DESK_BELT: { says: 'The belt from {from} to {belt}.', source: 'geometry' },
  DESK_FILM: {
    says: 'The film from {was} to {film}: set points about {shift}. Wait some {time} until the tunnel is even, and send a strip through before the first garment.',
    source: 'assumed',
  },
  CURE_READ: {
    says: 'Read it in the ink film with a wire probe; an infrared gun sees the surface only.',
    source: 'common practice',
  },
  DWELL: {
    says: 'Usual time in the dryer for these inks; the slowest decides.',
    source: 'common practice',
  },
  DWELL_PANEL: {
    says: 'Cured under the flash panel, about a minute a piece: at most 60 an hour.',
    source: "the shop's choice",
  },
  BELT: { says: 'Heated length (the tunnel) {length} / {dwell} in it.', source: 'geometry' },
  BELT_NARROW: {
    says: '{dryer}: the belt of {belt} is narrower than the largest garment either way round ({width} x {length}): fold it, the print flat and on top, and test the cure under the folds.',
    source: 'geometry',
    severity: 'Watch',
  },
  BELT_TOO_NARROW: {
    says: '{dryer}: the print itself does not lie flat on a belt of {belt}; the garment is {width} x {length}.',
    source: 'geometry',
    severity: 'Stop',
  },
  NO_DRYER: {
    says: 'The shop has no dryer: what cures it? Add the dryer at Shop, or cure under a flash panel.',
    source: 'common practice',
    severity: 'Stop',
  },
  NO_PANEL: {
    says: 'Cured under a flash panel, but the shop has none: what cures it? Add the unit at Shop.',
    source: 'common practice',
    severity: 'Stop',
  },
  NO_RACK: {
    says: '{name} is plastisol: it does not dry on a rack. A flash unit or heat gun is wanted at {press}.',
    source: 'common practice',
    severity: 'Stop',
  },
  DRYER_LONGEST: { says: 'The longest dryer runs the fastest belt.', source: 'geometry' },
} as const satisfies Record<string, Rule>
