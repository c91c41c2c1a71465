import { ruleTable } from '../advice'

export const STROKE_RULES = ruleTable({
  BLADE_WHITE: {
    says: 'Layered blade: soft edge that does not bend, for white and high-solids ink.',
    source: 'common practice',
  },
  BLADE_HALFTONE: { says: 'Hard blade: dots stay open.', source: 'common practice' },
  BLADE_SOFT: { says: 'Soft blade: heavy deposit.', source: 'common practice' },
  BLADE_SMOOTH: { says: 'The hardest blade flattens best.', source: 'common practice' },
  BLADE_GENERAL: { says: 'General work.', source: 'common practice' },
  BLADE_NOT_HELD: {
    says: '{name} wants a {wanted} blade; the shop has none.',
    source: 'the order',
    severity: 'Watch',
  },
  BLADE_LENGTH: {
    says: '25 to 50 mm wider than the image of {width} on each side, the same on all heads.',
    source: 'common practice',
  },
  BLADE_SHORT: {
    says: 'No blade of the shop is 25 to 50 mm wider than {width} on each side.',
    source: 'common practice',
    severity: 'Watch',
  },
  EDGE_SQUARE: { says: 'A sharp square edge: detail prints as it is drawn.', source: 'common practice' },
  EDGE_ROUNDED: { says: 'A rounded edge lays more.', source: 'common practice' },
  STROKE_PROVEN: {
    says: 'Found good at {press} on {on}: {words}{more}. The usual is {usual}.',
    source: "the shop's choice",
  },
  GAUGE_NOTE: {
    says: '{word} is {value} on {press}, as the shop wrote it down; half way to the next word it reads as that.',
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
  ANGLE_SMOOTH: { says: 'The smoothing blade stands as upright as possible.', source: 'common practice' },
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
  TIME_THICK: { says: 'Slow clears thick white and lays more.', source: 'common practice' },
  STROKES_BASE: { says: 'Base on dark: two.', source: 'common practice' },
  STROKES_TOP: { says: 'One stroke on a base or on light cloth.', source: 'common practice' },
  STROKES_HIGHLIGHT: { says: 'Highlight: one firm, or two for extra brightness.', source: 'common practice' },
  STROKES_EXPANDING: { says: 'Two, wet-on-wet, for height.', source: 'common practice' },
  STROKES_DIRECT: { says: 'Opaque ink straight on dark cloth: one or two.', source: 'common practice' },
  STROKES_ONE_PASS: {
    says: 'There is no way back into register off the pallet: one pass.',
    source: 'common practice',
  },
  FLOOD_THIN: { says: 'Hard flood for thin stencils and halftones.', source: 'common practice' },
  FLOOD_SLOW: { says: 'Slow flood fills a thick stencil.', source: 'common practice' },
  FLOOD_WATER: { says: 'Full flood after every print: it dries in the openings.', source: 'common practice' },
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
})
