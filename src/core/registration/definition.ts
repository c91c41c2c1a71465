import { defineRoom } from '../advice'
import { AT_PRESS_RULES } from './atPressRules'

/** Where the print sits, and how well it registers. */
export const REGISTRATION = defineRoom({
  id: 'registration',
  title: 'Placement',
  model:
    'Distances from collar and centre line by place and size; the print against the pallet; where the film is taped; what registration to expect.',
  sources: 'Common practice; the place of the film is geometry.',
  pages: ['placement', 'exposure'],
  rules: {
    PLACE_HIGH: {
      says: 'Top of the art below the collar seam, common full front; arched art to the top of its arch.',
      source: 'common practice',
    },
    PLACE_PALM: { says: 'A palm below the collar seam.', source: "the shop's choice" },
    PLACE_BACK: {
      says: 'Backs sit {length:0.102} to {length:0.127} below the collar.',
      source: 'common practice',
    },
    PLACE_CHEST: {
      says: 'Down from the shoulder seam at the neck; mirrored on the screen.',
      source: 'common practice',
    },
    PLACE_CHEST_SIDE: { says: 'From the centre line to the middle of the art.', source: 'common practice' },
    PLACE_SIDE: { says: 'From the centre line to the middle of the art.', source: 'from memory' },
    PLACE_POCKET: { says: 'Pocket line.', source: 'common practice' },
    PLACE_NECK: { says: 'Inside label, below the collar seam.', source: 'from memory' },
    PLACE_NAPE: { says: 'Outside, below the collar seam at the back.', source: 'from memory' },
    PLACE_CORNER: {
      says: 'Above the bottom hem, clear of its stitching. The hem lies at the pallet’s end, so the art stands on its head as the loader sees it.',
      source: 'from memory',
    },
    PLACE_POUCH: {
      says: 'On the pocket of a hooded sweatshirt, above its rib and clear of its stitching. The hem lies at the pallet’s end, so the art stands on its head as the loader sees it.',
      source: 'from memory',
    },
    POUCH_EDGE: {
      says: 'The pocket is a second layer of cloth: its edges are a step under the screen. A board that ends inside the pocket keeps it flat, else more off-contact and a look at the edges of the print.',
      source: 'from memory',
      severity: 'Note',
    },
    POUCH_WIDE: {
      says: 'On {sizes} the pocket is about {across} wide between its slanted openings: a print {width} wide runs over their seams.',
      source: 'from memory',
      severity: 'Watch',
    },
    PLACE_ALL: {
      says: 'The whole garment lies on the board, one layer up and without a wrinkle, one or two to load it; seams and collar show as lines in the print.',
      source: 'from memory',
    },
    PLACE_HOOD: {
      says: 'From the hood’s edge, clear of its seam and cord; one half of the hood at a time lies flat.',
      source: 'from memory',
    },
    PLACE_LEG: {
      says: 'Above the leg hem, on one leg laid flat, its seams at the sides. The hem lies at the pallet’s end, so the art stands on its head as the loader sees it.',
      source: 'from memory',
    },
    PLACE_SLEEVE: {
      says: 'Above the sleeve hem. The hem lies at the pallet’s end, so the art stands on its head as the loader sees it.',
      source: 'from memory',
    },
    PLACE_OFF: {
      says: 'Lay the item’s edge at the pallet edge. Measure the highest and lowest place the print can land first; this is a start.',
      source: 'from memory',
    },
    PLACE_KIDS: {
      says: 'The same share of the chest as on an M: {share} of the adult distance.',
      source: 'common practice',
    },
    PLACE_SIZED: {
      says: '{sizes} share one setting: {share} of the distance on an L, {distance}; none of them is off by more than {length:0.01}.',
      source: 'a model',
    },
    WIDTH_SMALL: {
      says: 'The print is {width} wide; over {limit} it runs into the seams of {sizes}.',
      source: 'common practice',
      severity: 'Watch',
    },
    WIDTH_SEAM: {
      says: 'On {sizes} (chest {chests}) a print {width} wide leaves less than {beside} to each seam.',
      source: 'from memory',
      severity: 'Watch',
    },
    WIDTH_BEYOND: {
      says: 'On {sizes} (chest {chests}) a print {width} wide is wider than the garment: it runs over both seams, and ink lands on the pallet.',
      source: 'geometry',
      severity: 'Watch',
    },
    PLACE_HAND: {
      says: 'Garments laid by hand lie {careful} to {hurried} off, one standard deviation (assumed): {seen} off is seen on a body, a third of that is not. Lines, lasers and a template bring it down.',
      source: 'common practice',
    },
    SIZE_CLEAR: {
      says: '{size}: {part} {across}, {left} from the art to its nearer edge.',
      source: 'geometry',
    },
    SIZE_NEAR: {
      says: '{size}: {part} {across}, {left} from the art to the side; nearer than {beside} it meets the seam’s bulk, or the fold.',
      source: 'from memory',
    },
    SIZE_OVER: {
      says: '{size}: {part} {across}, the art runs {left} over the edge.',
      source: 'geometry',
    },
    SIZE_MEANT: {
      says: '{size}: {part} {across}; an all-over print is meant to meet seams and edges. What runs past them inks the board: a sheet under the garment, changed often.',
      source: 'from memory',
    },
    PIECE_BEYOND: {
      says: 'On {sizes} a print of {width} x {height} runs over the edge of the {part}: ink lands on the pallet.',
      source: 'geometry',
      severity: 'Watch',
    },
    SIZE_INWARD: {
      says: '{size}: laid {by} nearer to the centre line it has room at the seam.',
      source: 'geometry',
    },
    SIZE_SECOND: {
      says: 'A second artwork for {size}, at most {width} wide and on the centre line, leaves room at both seams.',
      source: 'geometry',
    },
    PRINTS_OVERLAP: {
      says: '{a} and {b} lie on one another on {sizes}, by up to {over}: move one, or make it smaller.',
      source: 'geometry',
      severity: 'Stop',
    },
    PRINTS_NEAR: {
      says: '{a} and {b} come within {over} of one another on {sizes}: they may touch as garments land differently.',
      source: 'geometry',
      severity: 'Watch',
    },
    PALLET_NARROW: {
      says: 'A print of {width} x {height} does not fit the pallet of {press} ({palletWidth} x {palletHeight}).',
      source: 'geometry',
      severity: 'Stop',
    },
    PALLET_WIDE: {
      says: '{sizes} ({part} {widths}) do not go over a pallet {palletWidth} wide unstretched: mount a narrower one, or lay them on top, flat and as loosely as they hang.',
      source: 'geometry',
      severity: 'Watch',
    },
    PALLET_WHOLE: {
      says: 'All-over work wants the whole garment on the board, without a wrinkle: that is {width} x {height} here, sleeves aside, the pallet of {press} {palletWidth} x {palletHeight}.',
      source: 'common practice',
      severity: 'Stop',
    },
    OFF_PALLET: {
      says: 'Off the pallet there is no way back into register: one pass, but this print has {screens} screens.',
      source: 'common practice',
      severity: 'Stop',
    },
    BUDGET_MISS: {
      says: 'At the corners of a print {width} x {height}, 95 % of pieces miss by less than {miss}: reading the marks {reading}, rounding the turns {rounding}, locking {locking}, film and mesh {strain}, indexing and pallet {index}, cloth {cloth} (standard deviations there). Assumed, never measured at this press.',
      source: 'assumed',
    },
    BUDGET_DIRECT: {
      says: 'Registered on the printed base instead of film on film: {direct}.',
      source: 'assumed',
    },
    BUDGET_CHOKE: {
      says: 'Choked by {choke}, the base shows at the worst corner on {share} of pieces, colours registered on the printed base: too tight, {holds} of set-ups hold at once, about {tries} tries. {need} holds on 95 of 100. Choke more, or improve the largest part of the error, {size} there: {part}. Assumed spreads, never measured at this press.',
      source: 'assumed',
      severity: 'Watch',
    },
    BUDGET_TRIES: {
      says: 'Choked by {choke}, the base shows at the worst corner on {share} of pieces of any set-up; {holds} of set-ups hold at once: expect about {tries} tries. {need} holds on 95 of 100. The largest part of the error, {size} there: {part}. Assumed spreads, never measured at this press.',
      source: 'assumed',
      severity: 'Watch',
    },
    BUDGET_CHECK: {
      says: 'Choked by {choke}, {holds} of set-ups hold at once: look at the corners of a test print before the run. {need} holds on 95 of 100.',
      source: 'assumed',
    },
    GAP_HOLDS: {
      says: 'A gap of {gap} is left between {a} and {b}: what lies under shows as a line, {low} to {high} wide as a usual set-up has it.',
      source: 'a model',
      severity: 'Note',
    },
    GAP_CLOSES: {
      says: 'A gap of {gap} is left between {a} and {b}: at the corner {share} of pieces miss by more, and the colours meet there. A gap of {need} holds on a usual set-up, or a trap.',
      source: 'a model',
      severity: 'Watch',
    },
    BUDGET_HOLDS: {
      says: 'Choked by {choke}, the base shows at the worst corner on {share} of pieces: it holds, colours registered on the printed base.',
      source: 'assumed',
    },
    BUDGET_LEARNT: {
      says: 'Locking counts as it was learnt of this head; all other parts as assumed.',
      source: "the shop's record",
    },
    GAP_GROWS: {
      says: 'Pressed through {gap} the mesh carries the edges of the art {along} outward along the stroke and {across} across it. The same on all screens it does not count; a head that hangs {off} higher misses by {adds} there, and no knob mends that. Geometry; how much of it the blade lets slide is an estimate.',
      source: 'geometry',
    },
    ...AT_PRESS_RULES,
  },
  settings: {
    down: {
      kind: 'length',
      within: [0, 1],
      label: '{name}',
      follows: ['where', 'sizes', 'practice placement', 'practice placementSizes'],
    },
    side: {
      kind: 'length',
      within: [0, 1],
      label: 'From the centre line',
      follows: ['where', 'practice placementSizes'],
    },
    aside: {
      kind: 'length',
      within: [0, 1],
      label: '{name}',
      follows: ['where', 'sizes', 'practice placementSizes'],
    },
  },
})
