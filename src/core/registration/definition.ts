import { defineRoom } from '../advice'

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
    PLACE_POCKET: { says: 'Pocket line.', source: 'common practice' },
    PLACE_NECK: { says: 'Inside label, below the collar seam.', source: 'from memory' },
    PLACE_SLEEVE: { says: 'Above the sleeve hem.', source: 'from memory' },
    PLACE_OFF: {
      says: 'Lay the item’s edge at the pallet edge. Measure the highest and lowest place the print can land first; this is a start.',
      source: 'from memory',
    },
    PLACE_KIDS: {
      says: 'The same share of the chest as on an M: {share} of the adult distance.',
      source: 'common practice',
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
      says: 'Choked by {choke}, the base shows at the worst corner on {share} of pieces, colours registered on the printed base; {need} holds on 95 of 100. Choke more, or expect several tries at the set-up. Assumed spreads, never measured at this press.',
      source: 'assumed',
      severity: 'Watch',
    },
  },
  settings: {
    down: {
      kind: 'length',
      within: [0, 1],
      label: '{name}',
      follows: ['where', 'sizes', 'practice placement'],
    },
    side: { kind: 'length', within: [0, 1], label: 'From the centre line', follows: ['where'] },
  },
})
