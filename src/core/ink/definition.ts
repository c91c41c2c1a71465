import { defineRoom, type OptionOf } from '../advice'

export const SECOND_WHITES = {
  none: 'One white',
  highlight: 'Highlight white',
  sameScreen: 'Base twice',
  smoothing: 'Smoothed, then white',
} as const

/** Base and whites, what inks look like, how much is mixed and how. */
export const INK = defineRoom({
  id: 'ink',
  title: 'Ink',
  model:
    'Base or none by how each colour is predicted to look, films of ink over the cloth absorbing and scattering in 16 bands of light; ink from printed area x coverage x deposit x pieces; mixes in parts by weight, largest first, an over-pour put right by the smallest additions that restore the ratio.',
  sources:
    'Published: Kubelka (1948), Saunderson (1942), CIEDE2000 after Sharma, Wu and Dalal (2005), mixing of K and S after Duncan (1940). Strengths of inks and deposits are tuned to common practice; limits are table values; no batch was measured.',
  pages: ['ink', 'mixing'],
  rules: {
    BASE_BLACK: { says: 'Black covers anything brighter: never a base under it.', source: 'common practice' },
    BASE_LABEL: {
      says: 'A neck label is one thin hit that no one feels: no base under it.',
      source: 'common practice',
    },
    BASE_WHITE: { says: 'White on coloured cloth always has white under it.', source: 'common practice' },
    BASE_OPEN_WEAVE: {
      says: 'Open weave takes one heavy hit through a coarse mesh: opaque enough.',
      source: 'common practice',
    },
    BASE_HOLDS: {
      says: '{ink} straight on {cloth}: ΔE {change} from the same deposit on white (CIEDE2000), under the match limit {meant} by {within}: no base needed.',
      source: 'common practice',
    },
    BASE_SWALLOWED: {
      says: '{ink} straight on {cloth}: ΔE {change} from the same deposit on white (CIEDE2000), over the limit {toned} by {over}: off, the cloth shows through. On one base {based}.',
      source: 'common practice',
    },
    BASE_DIRECT: {
      says: '{ink} straight on {cloth}: ΔE {change} (CIEDE2000), a visible change (limit {toned}); house practice takes that on dark cloth: softer, a screen less.',
      source: "the shop's choice",
    },
    BASE_BRIGHT: {
      says: '{ink} straight on {cloth}: ΔE {change} (CIEDE2000), over the match limit {meant}; house practice prints bright on dark cloth. On one base {based}.',
      source: "the shop's choice",
    },
    BASE_MAYBE: {
      says: '{ink} straight on {cloth}: ΔE {change} (CIEDE2000), between match {meant} and visible {toned}. Ask the customer, or give it a base ({based}).',
      source: 'common practice',
      severity: 'Watch',
    },
    BASE_FLAKES: {
      says: 'Flakes cover what is below them: no base under metallic here.',
      source: 'common practice',
    },
    BASE_FLAKES_DARK: {
      says: '{cloth} would show between the flakes of {ink}: this cannot be computed, so a rule of thumb decides.',
      source: 'common practice',
    },
    BASE_EXPANDING: { says: 'A base would hold back the rise of expanding ink.', source: 'common practice' },
    BASE_CLEAR: { says: 'Clear lies over the finished print.', source: 'common practice' },
    BASE_ALL: {
      says: 'Two or more colours need a base, so it goes under all but black: no extra screen.',
      source: "the shop's choice",
    },
    BASE_OFFER: {
      says: '{count} colours need a base anyway: basing all but black costs no extra screen.',
      source: 'common practice',
      severity: 'Note',
    },
    BASE_COVERAGE: {
      says: 'The colours on it cover {sum} together; where they overlap the base is smaller, never under {largest}.',
      source: 'geometry',
    },
    BASE_ONE_PASS: {
      says: 'Off the pallet there is one pass: one heavy hit, nothing under it.',
      source: 'common practice',
    },
    BASE_WORN: {
      says: 'The order wants a worn white: light passes straight on the cloth, no base, no flash.',
      source: 'the order',
    },
    BASE_DISCHARGE: {
      says: '{ink} takes the dye out of {cloth}: nothing lies under it.',
      source: 'common practice',
    },
    DISCHARGE_ASK: {
      says: '{ink}: only some dyes on cotton let themselves be discharged. Ask the maker of {cloth} and print a test: neither the colour nor how it stands light is predicted.',
      source: 'common practice',
      severity: 'Watch',
    },
    DISCHARGE_NOT: {
      says: '{ink}: {cloth} is {cotton} cotton, and discharge shows on cotton only.',
      source: 'common practice',
      severity: 'Stop',
    },
    BASE_FLUORESCENT: {
      says: '{ink} glows only over white: a base on all but light cloth.',
      source: 'common practice',
    },
    FLUORESCENT: {
      says: '{ink} is fluorescent: what it gains in daylight is not predicted, and it fades in light. Judge a sample.',
      source: 'common practice',
      severity: 'Note',
    },
    WHITE_SOFT: {
      says: 'The order wants a soft white: thin ink, no second coat.',
      source: 'the order',
    },
    WHITE_FLATTEST: {
      says: 'The order wants the flattest white: a smoothing screen while hot, then a second white.',
      source: 'the order',
    },
    WHITE_NONE: { says: 'No colour has a base, so there is no second white.', source: 'common practice' },
    WHITE_ONE: {
      says: 'One hit of white on {cloth}: ΔE {one} from the white that is wanted (CIEDE2000, match {match}), L* {oneL}, {wanted} is bright: enough, the base itself shows as the white.',
      source: 'common practice',
    },
    WHITE_NO_WHITE: {
      says: 'No white shows in this art: one hit of base is enough.',
      source: 'common practice',
    },
    WHITE_PRACTICE: {
      says: 'One hit of white on {cloth}: ΔE {one} from the white that is wanted (CIEDE2000, match {match}), L* {oneL}, {wanted} is bright. House practice: {practice}; a second white leaves ΔE {left}, L* {reached}.',
      source: "the shop's choice",
    },
    WHITE_SHORT: {
      says: '{practice} still leaves ΔE {left}, L* {reached} ({wanted} is bright), beyond what the prediction may err: a coarser base, or one more hit.',
      source: 'common practice',
      severity: 'Watch',
    },
    WHITE_UNKNOWN: {
      says: 'No film describes this white: print a sample, and judge it there.',
      source: 'from memory',
    },
    WHITE_ALONE: {
      says: 'White is all that stands on the base, so its own screen would carry the same image: the same screen twice.',
      source: 'common practice',
    },
    WHITE_CARRIES: {
      says: 'No white shows, but colours on dark cloth are brighter on two hits. House practice: {practice}.',
      source: "the shop's choice",
    },
    PREDICTED: {
      says: '{print}: L* {lightness}, ΔE {change} from the same deposits on white (CIEDE2000), {film} of ink in all. Up to {meant} is a match, up to {toned} visible (ask the customer), above that off. Two-constant model, tuned to common practice; no print was measured.',
      source: 'a model',
    },
    KNOWN_CLASS: {
      says: '{ink} is known by its colour and how it covers: good enough to say whether it needs a base (as measured films would in about 93 of 100 cases, model against model), not to mix by; nine of ten predictions lie within {within}.',
      source: 'assumed',
    },
    KNOWN_READ: {
      says: '{ink} is known by its formula, whose inks were read: {how}; nine of ten predictions lie within {within} (model against model).',
      source: 'common practice',
    },
    PREDICTED_TINT: {
      says: '{dot} on the film prints as {printed} and comes to L* {lightness}: dots gain 4 x 0.12 x a (1 - a), light spreads between them. Assumed: print a step wedge.',
      source: 'a model',
    },
    PREDICTED_DYES: {
      says: 'Water-based ink dyes the fibre rather than lying on it: the prediction is poor there.',
      source: 'a model',
    },
    INK_MASS: {
      says: '{area} of print x {coverage} covered x {deposit} laid x {pieces} pieces + {waste} waste + {left} left in screen and tub.',
      source: 'geometry',
    },
    INK_LAID: {
      says: '{laid} of that is laid here, by runs that this shop weighed back.',
      source: "the shop's choice",
    },
    INK_DEPOSIT: {
      says: 'Ink that a hit takes through {mesh} on {weave}: on the cloth, in it and pressed through. Assumed from practice (base {arealMass:0.11}, tops {arealMass:0.06}), never weighed here. Weigh what comes back.',
      source: 'assumed',
    },
    INK_POT: {
      says: '{name}: dries in the screen, workable about {pot} to 2 h; this run prints for {time}. Mix {batches} batches, {each} of all inks each, and put in a fresh one every {pot}.',
      source: 'common practice',
      severity: 'Watch',
    },
    INK_BREAKS: {
      says: 'Breaks of the shop fall into the run: a relief prints on through them, or the screens are washed out, 5 min each and 4 prints spoiled.',
      source: 'common practice',
      severity: 'Note',
    },
    INK_NIGHTS: {
      says: 'It goes over {nights} nights: wash out {screens} screens at closing, none stays with ink in it.',
      source: 'common practice',
      severity: 'Watch',
    },
    STIR: {
      says: '{name}: flakes settle. Stir before it goes into the screen, and now and then.',
      source: 'common practice',
      severity: 'Note',
    },
    INK_FLOODED: {
      says: '{name}: dries in the screen, never left un-flooded.',
      source: 'common practice',
      severity: 'Note',
    },
    PART: {
      says: '{part} of {batch}: {share} by weight. Largest first, so that no small part is stuck to the bottom of the tub.',
      source: 'common practice',
    },
    READING: {
      says: 'The scale’s reading, less what was in the tub before this part.',
      source: 'geometry',
    },
    BAND: {
      says: 'From {low} to {high}: {share} of the part either way, but never less than the scale can tell.',
      source: 'common practice',
    },
    OVERPOUR: {
      says: '{over} too much of {part}: raise the rest in the same ratio, to {total} in all.',
      source: 'geometry',
    },
    OVERPOUR_ACCEPT: {
      says: 'Left as it is: ΔE {difference} (CIEDE2000). Computed, not measured.',
      source: 'common practice',
    },
    OVERPOUR_FULL: {
      says: 'The tub holds {capacity}: take out {out} of what is in it, stirred, before adding.',
      source: 'geometry',
    },
    NEED: {
      says: '{mass} for {run}: as its plan computes it from the print, the mesh and the pieces, with what stays in the screen. See the Ink stage of the order.',
      source: 'geometry',
    },
    LEARNT: {
      says: '{factor} of the computed ink was laid: the median of {runs} runs that were weighed back.',
      source: "the shop's choice",
    },
    FOUND: {
      says: 'ΔE {difference} from the target in daylight (CIEDE2000), {lamp} under lamplight; hides {hides} of a black card. Computed from the rack’s readings as a drawdown on white: draw it down to be sure.',
      source: 'a model',
    },
    ON_CLOTH: {
      says: 'As thick as a drawdown straight on {cloth}, no white below: ΔE {difference} from the target (CIEDE2000). The order’s Ink stage says it for the deposits printed.',
      source: 'a model',
    },
    MONEY: { says: 'What the parts cost by weight, as entered for the rack.', source: "the shop's choice" },
    PAST: {
      says: 'ΔE {difference} from the target (CIEDE2000) when its drawdown was accepted.',
      source: 'common practice',
    },
    PAST_SAMPLE: {
      says: 'ΔE {difference} from the accepted drawdown of {batch}, the first of this colour (CIEDE2000): what the customer has seen.',
      source: 'common practice',
    },
    READ: {
      says: 'ΔE {difference} from the target (CIEDE2000): {word}. Accept up to {accept}, look again up to {again}.',
      source: 'common practice',
    },
    ADDITIVE: {
      says: '{additive}: {share} of the whole by weight; {usual} is usual, over {most} hardly ever. The sheet of the can counts.',
      source: 'common practice',
    },
    ADDITIVE_MUCH: {
      says: '{additive}: {share} of the whole is more than the {most} that is usual at most. See the sheet of the can.',
      source: 'common practice',
      severity: 'Watch',
    },
    ADDITIVE_RISES: {
      says: 'As puff rises the print goes lighter by about L* {lighter}, ΔE {change} (CIEDE2000); half to twice of that. Bubbles are taken to scatter half as much as white: assumed. A flat drawdown does not show it.',
      source: 'assumed',
    },
    ADDITIVE_WEAKENS: {
      says: 'An additive without colour weakens the ink: ΔE {change} (CIEDE2000) in a drawdown on white.',
      source: 'a model',
    },
  },
  settings: {
    base: {
      kind: 'choice',
      label: 'Base under {name}',
      options: { base: 'Base', none: 'No base' },
      follows: [
        'clothColour',
        'weave',
        'where',
        'inkColour',
        'inkType',
        'opacity',
        'inkSystem',
        'measuredInks',
        'colourLimits',
        'practice darkCloth',
        'practice inBetween',
        'practice ink',
      ],
      after: ['mesh', 'strokes', 'squeegee', 'edge', 'angle', 'pressure', 'time', 'flood'],
    },
    white: {
      kind: 'choice',
      label: 'Second white',
      options: SECOND_WHITES,
      follows: ['inkType', 'colours', 'clothColour', 'colourLimits', 'practice white'],
      after: ['base'],
    },
    coverage: {
      kind: 'share',
      within: [0, 1],
      label: 'Coverage of {name}',
      follows: ['coverage', 'colours'],
      after: ['base'],
    },
    ink: {
      kind: 'mass',
      within: [0, 500],
      label: 'Ink, {name}',
      repeats: true,
      follows: [
        'pieces',
        'printWidth',
        'printHeight',
        'coverage',
        'fabrics',
        'inkLaid',
        'weave',
        'inkType',
        'inkSystem',
        'practice ink',
      ],
      after: [
        'mesh',
        'strokes',
        'squeegee',
        'edge',
        'angle',
        'pressure',
        'gauge',
        'time',
        'flood',
        'coverage',
        'white',
        'press',
      ],
    },
  },
})

export type SecondWhite = OptionOf<(typeof INK.settings)['white']>
export type BaseOrNone = OptionOf<(typeof INK.settings)['base']>
