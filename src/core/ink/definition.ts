import { defineRoom, type OptionOf } from '../advice'
import { BASE_RULES } from './baseRules'

export const SECOND_WHITES = {
  none: 'One white',
  highlight: 'Highlight white',
  sameScreen: 'Base twice',
  smoothing: 'Smoothed, then white',
} as const

/** Whether a base is smoothed for the colours on it. */
export const SMOOTHS = { no: 'No', base: 'Yes, straight after its flash' } as const
export type Smooth = keyof typeof SMOOTHS

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
    ...BASE_RULES,
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
    LOAD_ALL: {
      says: '{name}: all {mass} at once, for {pieces} pieces. Plenty, but not pressed into the image before the first print.',
      source: 'common practice',
    },
    LOAD_FIRST: {
      says: '{name}: {mass} to begin with, {left} of it stays in the screen. Plenty, but not pressed into the image before the first print.',
      source: 'common practice',
    },
    LOAD_AGAIN: {
      says: 'Every {every} prints scoop back what crept behind the squeegee, and add {mass}: {times} times.',
      source: 'common practice',
    },
    SMOOTH_NO: {
      says: 'A smoothing screen on the flashed base lays its face flat for the colours on it: one hard stroke, a head more.',
      source: 'common practice',
    },
    SMOOTH_ROUGH: {
      says: '{cloth} stands up in fibres, and house practice lays them flat under colours.',
      source: "the shop's choice",
    },
    SMOOTH_ALWAYS: {
      says: 'House practice smooths every base that carries colours.',
      source: "the shop's choice",
    },
    STRETCH: {
      says: '{cloth} stretches ({share} elastane): {names} would crack on it. Take ink that stretches, or what makes it stretch, cure it in full, and pull a print by hand.',
      source: 'common practice',
      severity: 'Watch',
    },
    PVC_ASKED: {
      says: 'The customer wants no PVC: {names} is plastisol, which is PVC unless its can says otherwise.',
      source: 'from memory',
      severity: 'Watch',
    },
    ADDITIVE_FOREIGN: {
      says: '{additive} by {maker} in {name} by {of}: only what the maker of the ink names is sure to cure and hold. Test a cured print.',
      source: 'from memory',
      severity: 'Watch',
    },
    STIR: {
      says: '{name}: flakes settle. Stir before it goes into the screen and again about every {every} prints, and keep plenty of it before the squeegee.',
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
    smooth: {
      kind: 'choice',
      label: 'Base smoothed for colours',
      options: SMOOTHS,
      follows: ['weave', 'practice smooth'],
      after: ['base', 'white'],
    },
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
      follows: ['inkType', 'colours', 'clothColour', 'colourLimits', 'practice white', 'practice whiteAgain'],
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
