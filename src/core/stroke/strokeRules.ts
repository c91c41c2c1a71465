import type { Rule } from '../advice'

/** What is said of squeegee and stroke. */
export const STROKE_RULES = {
  SQUEEGEE_WHITE: {
    says: 'Layered squeegee: soft edge on a stiff core, for white and high-solids ink.',
    source: 'common practice',
  },
  SQUEEGEE_STIFF: {
    says: 'High-solids ink is stiff: a layered squeegee for all of it.',
    source: 'common practice',
  },
  SQUEEGEE_SHEAR: {
    says: 'House practice is a layered squeegee for halftones: it shears evenly across the print.',
    source: "the shop's choice",
  },
  SQUEEGEE_HALFTONE: { says: 'Hard squeegee: dots stay open.', source: 'common practice' },
  SQUEEGEE_SOFT: { says: 'Soft squeegee: heavy deposit.', source: 'common practice' },
  SQUEEGEE_SMOOTH: { says: 'The hardest squeegee flattens best.', source: 'common practice' },
  SQUEEGEE_GENERAL: { says: 'General work.', source: 'common practice' },
  SQUEEGEE_NOT_HELD: {
    says: '{name} wants a {wanted} squeegee; the shop has none.',
    source: 'the order',
    severity: 'Watch',
  },
  SQUEEGEE_LENGTH: {
    says: '{length:0.025} to {length:0.05} wider than the image of {width} on each side, the same on all heads.',
    source: 'common practice',
  },
  SQUEEGEE_SHORT: {
    says: 'No squeegee of the shop is {length:0.025} to {length:0.05} wider than {width} on each side.',
    source: 'common practice',
    severity: 'Watch',
  },
  EDGE_SQUARE: { says: 'A sharp square edge: detail prints as it is drawn.', source: 'common practice' },
  EDGE_ROUNDED: { says: 'A rounded edge lays more.', source: 'common practice' },
  STROKE_APPROVED: {
    says: 'Approved at {press} on {on}: {words}{more}. The usual is {usual}.',
    source: "the shop's choice",
  },
  GAUGE_NOTE: {
    says: '{word} is {value} on {press}, as this shop noted; from half way on it counts as the next word.',
    source: "the shop's choice",
  },
  ANGLE_GENERAL: {
    says: 'From vertical, for general high-solids work; flatter lays more and smears more.',
    source: 'common practice',
  },
  ANGLE_SHEAR: {
    says: 'Near vertical: white shears off the mesh on an automatic.',
    source: 'common practice',
  },
  ANGLE_STIFF: {
    says: 'House practice is high-solids ink at 15° to 20° on an automatic: more ink, and it smears sooner.',
    source: "the shop's choice",
  },
  ANGLE_SMOOTH: {
    says: 'The smoothing squeegee stands as upright as possible.',
    source: 'common practice',
  },
  PRESSURE_LEAST: {
    says: 'The least that clears the mesh; then small increments.',
    source: 'common practice',
  },
  PRESSURE_HALFTONE: { says: 'Too much blows dots out.', source: 'common practice' },
  PRESSURE_FIRM: { says: 'One firm stroke.', source: 'common practice' },
  TIME_PRODUCTION: {
    says: '1 to 2 s a stroke in production; 3 to 4 s while opening the screen. Even beats fast.',
    source: 'common practice',
  },
  TIME_LONG: {
    says: 'The squeegee goes {height}: longer than usual, so the stroke takes longer at the same speed.',
    source: 'assumed',
  },
  TIME_METAL: {
    says: 'Metallic is pushed slowly, with plenty of ink before the squeegee: flakes need time to go through.',
    source: 'common practice',
  },
  TIME_THICK: { says: 'Slow clears thick white and lays more.', source: 'common practice' },
  STROKES_BASE: { says: 'Base on dark: two.', source: 'common practice' },
  STROKES_WORN: {
    says: 'A worn white: one to three light passes, wet on wet.',
    source: 'common practice',
  },
  PRESSURE_WORN: {
    says: 'A worn white is laid lightly: the cloth shows through.',
    source: 'common practice',
  },
  STROKES_SOFT: { says: 'A soft white: thin ink, one to three passes.', source: 'common practice' },
  STROKES_SMOOTH: { says: 'One hard stroke, two when in doubt.', source: 'common practice' },
  STROKES_TOP: { says: 'One stroke on a base or on light cloth.', source: 'common practice' },
  STROKES_HIGHLIGHT: {
    says: 'Highlight: one firm, or two for extra brightness.',
    source: 'common practice',
  },
  STROKES_EXPANDING: { says: 'Two, wet-on-wet, for height.', source: 'common practice' },
  STROKES_RISE: {
    says: 'By the height that is wanted: one where it is subtle, three wet-on-wet where it is extreme.',
    source: 'from memory',
  },
  STROKES_DIRECT: { says: 'Opaque ink straight on dark cloth: one or two.', source: 'common practice' },
  STROKES_ONE_PASS: {
    says: 'There is no way back into register off the pallet: one pass.',
    source: 'common practice',
  },
  FLOOD_THIN: {
    says: 'Hard flood for thin stencils, base too, and for halftones.',
    source: 'common practice',
  },
  FLOOD_METAL: {
    says: 'Metallic: a generous flood keeps the open mesh full of flakes.',
    source: 'common practice',
  },
  FLOOD_SLOW: { says: 'Slow flood fills a thick stencil.', source: 'common practice' },
  FLOOD_WATER: {
    says: 'Full flood after every print, or ink dries in the openings.',
    source: 'common practice',
  },
  FLOOD_USUAL: { says: 'An even flood keeps the openings filled.', source: 'common practice' },
  RELEASE_CLEAR: {
    says: 'Lubricated, with a sticky clear in it, so that it lifts no ink.',
    source: "the shop's choice",
  },
  RELEASE_SPRAY: {
    says: 'Silicone spray keeps it free, and contaminates cloth and later prints. Aerosol off before heat on.',
    source: "the shop's choice",
    severity: 'Watch',
  },
  DIRECTION: {
    says: 'One direction for the whole job: mixed directions shift registration.',
    source: "the shop's choice",
  },
  HOLD: {
    says: 'Halftones go muddy when speed, angle or pressure vary from print to print: dots land elsewhere. Set them once, write them down, and check them with the counts. How closely is assumed.',
    source: 'common practice',
  },
  HOLD_STRAY: {
    says: 'Held so, the ink laid stays within {stray}: a quarter of what the time strays, 1.5 % a degree, 5 % from one word for pressure to the next. Assumed, never weighed.',
    source: 'from memory',
  },
} as const satisfies Record<string, Rule>
