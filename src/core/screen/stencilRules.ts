import type { Rule } from '../advice'

/** Rules of the room's other half: stencils, light, and where the film is taped. */
export const STENCIL_RULES = {
  STENCIL_WATER: { says: '{name} stands water-based ink.', source: "the shop's choice" },
  STENCIL_ANY: {
    says: 'Plastisol: any emulsion stands it; the first on the list here.',
    source: 'common practice',
  },
  STENCIL_DISSOLVES: {
    says: '{ink} is water-based: {name} breaks down in mid-run. Use a water-resistant emulsion or a hardener, or post-expose after wash-out.',
    source: 'common practice',
    severity: 'Stop',
  },
  STENCIL_NONE: {
    says: 'No emulsion is entered for this shop: enter one at Shop, Stencils and light.',
    source: "the shop's choice",
    severity: 'Note',
  },
  COATS_TWO: { says: 'Two coats, one each side, dried face up in the dark.', source: 'common practice' },
  COATS_HIGH: {
    says: 'Puff (expanding ink) wants a thick stencil: six or seven coats as usual, two to four where the rise is to be subtle.',
    source: 'common practice',
  },
  COATS_FILM: {
    says: 'A film stencil has almost no EOM: set the off-contact very low.',
    source: 'common practice',
  },
  BUILD_MESH: {
    says: '{coats} coats x {build} of EOM each. The build of a coat is from memory: measure yours.',
    source: 'from memory',
  },
  BUILD_TARGET: {
    says: 'EOM wanted on {mesh}: {low} to {high}, a tenth to a fifth of the mesh thickness.',
    source: 'from memory',
  },
  BUILD_THIN: {
    says: '{name}: an EOM of {build} is under {low}: edges print ragged. One more coat.',
    source: 'from memory',
    severity: 'Note',
  },
  LINE_LOST: {
    says: '{name}: the thinnest line, {line}, is under one opening plus thread ({pitch}) and breaks up. Use a finer mesh.',
    source: 'geometry',
    severity: 'Watch',
  },
  EXPOSE_TESTED: {
    says: 'Step test of {day}: {time} held with {coats} coats on {mesh} at {distance}.',
    source: "the shop's choice",
  },
  EXPOSE_DISTANCE: {
    says: 'The lamp stands at {now}, in the test at {then}: x {factor}, inverse square.',
    source: 'published',
  },
  EXPOSE_COATS: {
    says: '{coats} coats instead of {before}: x {factor}, by thickness.',
    source: 'from memory',
  },
  EXPOSE_MESH: {
    says: '{mesh} instead of {before} holds more or less emulsion: x {factor}.',
    source: 'common practice',
  },
  EXPOSE_DYED: {
    says: 'Yellow mesh absorbs light that white mesh scatters: x {factor} against the test.',
    source: 'from memory',
  },
  EXPOSE_GUESS: {
    says: 'No step test for {lamp} with {emulsion} yet: {time} is only a start. Make a step test before burning.',
    source: 'common practice',
    severity: 'Note',
  },
  EXPOSE_MEDIUM: {
    says: 'Film on {medium}, tested on {before}: {factor} times the light. From memory: step-test each medium.',
    source: 'from memory',
  },
  EXPOSE_THIN_BLACK: {
    says: 'Its black is thinner than on clear film: a narrower range, or the image fills.',
    source: 'common practice',
  },
  EMULSION_OLD: {
    says: '{name} was mixed on {day}, {days} days ago, and keeps {keeps}: it washes out badly or breaks down. Mix new.',
    source: 'common practice',
    severity: 'Watch',
  },
  EMULSION_SOON: {
    says: '{name} was mixed on {day} and keeps {keeps} days: {left} left.',
    source: 'common practice',
    severity: 'Note',
  },
  EMULSION_MIX: {
    says: '{part} of the emulsion by weight: {sensitiser} to {base}, {all} together. Stir, let the air out, write the day on it. Topping up old with new, its colour is the judge.',
    source: 'common practice',
  },
  EXPOSE_FAR: {
    says: 'The nearest step test is far from this screen: make another one.',
    source: 'from memory',
    severity: 'Note',
  },
  EXPOSE_UNFIT: {
    says: '{lamp} bakes {emulsion}: with a halogen lamp use dual-cure emulsion only.',
    source: 'common practice',
    severity: 'Stop',
  },
  EXPOSE_COARSE: {
    says: '{name}: halogen holds coarse detail only.',
    source: 'common practice',
    severity: 'Watch',
  },
  EXPOSE_NO_LAMP: {
    says: 'No lamp or emulsion is entered for this shop: enter them at Shop, Stencils and light.',
    source: "the shop's choice",
    severity: 'Note',
  },
  EXPOSE_PREHEATED: {
    says: 'A film stencil is made by heat: it is not exposed.',
    source: 'common practice',
  },
  POSITION_TOP: {
    says: 'Frame to pallet {frame} + pallet to collar {collar} + collar to art {down}.',
    source: 'geometry',
  },
  POSITION_SHOULDER: {
    says: '{frame} from the frame to the pallet + {collar} to the collar seam - {drop} up to the shoulder seam at the neck + {down} to the art. How far the seam lies up is assumed: lay one garment on and measure.',
    source: 'assumed',
  },
  POSITION_HEM: {
    says: '{frame} from the frame to the pallet, where the hem lies, + {down} to the foot of the art: the film is turned, its foot towards the hem.',
    source: 'geometry',
  },
  POSITION_EDGE: {
    says: '{frame} from the frame to the pallet, where the edge of the item lies, + {down} to the art.',
    source: 'geometry',
  },
  POSITION_SIDE: {
    says: 'The wearer’s left is on the right as you look at the garment, and on the left as you look at the print side of the screen: the film is taped there.',
    source: 'geometry',
  },
  POSITION_MIDDLE: { says: 'In the middle of the frame.', source: 'geometry' },
  POSITION_END: {
    says: 'Only {room} from art to the {end} of the frame: under {least} the mesh stretches unevenly. Move collar line and film together.',
    source: 'from memory',
    severity: 'Note',
  },
  POSITION_OUT: {
    says: 'The art does not fit on the frame here: it reaches {over} past the {end} of the inside.',
    source: 'geometry',
    severity: 'Stop',
  },
} as const satisfies Record<string, Rule>
