import type { Rule } from '../advice'

/** Rules of one half of the room: base or none, and how white is made bright. */
export const BASE_RULES = {
  BASE_BLACK: { says: 'Black covers anything brighter: never a base under it.', source: 'common practice' },
  BASE_LABEL: {
    says: 'A neck label is one thin hit that no one feels: no base under it.',
    source: 'common practice',
  },
  BASE_WHITE: { says: 'White on coloured cloth always has white under it.', source: 'common practice' },
  BASE_OPEN_KNIT: {
    says: '{cloth} is open: a second hit would fall through beside the first. {ink} prints once, heavily.',
    source: 'from memory',
  },
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
  WHITE_AGAIN: {
    says: 'The same screen again reaches the white that is wanted: a screen less, and a thicker plate of ink. House practice.',
    source: "the shop's choice",
  },
  WHITE_NEVER: {
    says: 'White is all that stands on the base: the same screen again would save a screen. House practice is one of its own, thinner and sharper.',
    source: "the shop's choice",
  },
  WHITE_CARRIES: {
    says: 'No white shows, but colours on dark cloth are brighter on two hits. House practice: {practice}.',
    source: "the shop's choice",
  },
} as const satisfies Record<string, Rule>
