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
    PLACE_NAPE: { says: 'Outside, below the collar seam at the back.', source: 'from memory' },
    PLACE_CORNER: {
      says: 'Above the bottom hem, clear of its stitching; load the hem at the pallet’s end.',
      source: 'from memory',
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
      says: 'Above the leg hem, on one leg laid flat, its seams at the sides.',
      source: 'from memory',
    },
    PLACE_SLEEVE: { says: 'Above the sleeve hem.', source: 'from memory' },
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
      says: '{size}: chest {chest}, {left} from the art to the nearer edge of the garment.',
      source: 'geometry',
    },
    SIZE_NEAR: {
      says: '{size}: chest {chest}, {left} from the art to the side seam; nearer than {length:0.05} it meets the seam’s bulk.',
      source: 'from memory',
    },
    SIZE_OVER: {
      says: '{size}: chest {chest}, the art runs {left} over the edge of the garment.',
      source: 'geometry',
    },
    SIZE_SECOND: {
      says: 'A second artwork for {size}, at most {width} wide, leaves room at both seams.',
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
    REGISTER_BASE: {
      says: '{name} first, on its film: flash it, print it, and register the others on the print.',
      source: 'common practice',
    },
    REGISTER_FIRST: {
      says: '{name} first, on its film: more colours meet it than any other.',
      source: 'geometry',
    },
    REGISTER_TOUCH: {
      says: '{name} and {other} touch, so nothing is forgiven between them: registered on its print the error counts once, by way of a third screen twice.',
      source: 'geometry',
    },
    REGISTER_OVERLAP: {
      says: '{name} laps over {other}: registered on its print the error counts once, by way of a third screen twice.',
      source: 'geometry',
    },
    REGISTER_BLEND: {
      says: '{name} runs into {other}: registered on its print, what is off shows least.',
      source: 'geometry',
    },
    REGISTER_LOOK: {
      says: '{name} on the printed {other}, and then look where it meets {partner}: between those two the error counts twice.',
      source: 'geometry',
    },
    REGISTER_HERE: {
      says: '{name} and {other} meet by {width} along {length} of edge: a miss shows here before elsewhere.',
      source: 'geometry',
    },
    BOARD_LIES: {
      says: 'The top mark lies {found} from the frame’s edge, as planned: {planned}. The board stays.',
      source: 'geometry',
    },
    BOARD_FARTHER: {
      says: 'The art lies {off} farther from the collar end of the frame than planned ({found}, planned {planned}): slide the board as far the same way, or lay every garment with its collar as far in on the board. All screens of the job the same.',
      source: 'geometry',
    },
    BOARD_NEARER: {
      says: 'The art lies {off} nearer to the collar end of the frame than planned ({found}, planned {planned}): slide the board as far the same way, or lay every garment with its collar as far out on the board. All screens of the job the same.',
      source: 'geometry',
    },
    REGISTER_FREE: {
      says: '{name} meets nothing that is registered before it: on the print that most others are registered on.',
      source: 'geometry',
    },
    AID_LIES: {
      says: 'At the centre of the art the screen lies {dx} to the {side} and {dy} {fore}, turned by {turn} {way}; at the marks that is known to {spread}.',
      source: 'geometry',
    },
    AID_KNOB: {
      says: '{name} knob: {exact} turns would bring it there; {turns} in eighths, all three rounded together so that least is left. Assumed: {pitch} a turn, clockwise moves the screen {way}. Try yours once.',
      source: 'assumed',
    },
    AID_KNOB_KNOWN: {
      says: '{name} knob: {exact} turns would bring it there; {turns} in eighths, all three rounded together so that least is left. Learnt for this head (readings: {moves}): {pitch} a turn, clockwise moves the screen {way}.',
      source: 'a model',
    },
    HEAD_USUAL: {
      says: 'Nothing is noted of the knobs of head {head}. Assumed is what heads usually have: the left and right knob {left} and {right} from the middle of the frame, the side knob {side} behind its clamped end, {pitch} a turn.',
      source: 'assumed',
    },
    HEAD_KNOWN: {
      says: 'Learnt for head {head} (readings: {moves}): the left and right knob act {left} and {right} from the middle of the frame, the side knob {side} behind its clamped end; {pitch} a turn. Play is assumed.',
      source: 'a model',
    },
    HEAD_SENSE: {
      says: 'The {name} knob of head {head} is cut the other way: clockwise moves the screen {way}.',
      source: 'a model',
    },
    HEAD_TURNED: {
      says: 'The turns moved it {dx} {side} and {dy} {fore}, turned {turn} {way}.',
      source: 'geometry',
    },
    HEAD_SHOULD: {
      says: 'By what is known of this head they should have moved it {dx} {side} and {dy} {fore}, turned {turn} {way}. At the marks that is {off} off.',
      source: 'a model',
    },
    AID_LEFT: {
      says: 'Over the centre and the marks it misses {before} now and {left} then: what rounding leaves.',
      source: 'geometry',
    },
    AID_HOLDS: {
      says: 'It holds: no mark lies more than {worst} off, the reading counted in, and the choke of the base forgives {allows}.',
      source: 'geometry',
    },
    AID_LEAVE: {
      says: 'Leave it: it lies within what these readings can tell, or within half a step of a knob. Every turn means locking again, and locking moves it too.',
      source: 'geometry',
    },
    AID_SETUP: {
      says: 'Logged from the first step to the last, pauses of over half an hour left out: {total}. Planned for a screen: {planned}.',
      source: "the shop's record",
    },
    AID_MOVED: {
      says: 'Locking moved it {dx} {side} and {dy} {fore}, turned {turn} {way}.',
      source: 'geometry',
    },
    AID_LOCKS: {
      says: 'Head {head} moves {dx} {side} and {dy} {fore} when it is locked, turns {turn} {way}: learnt from {locks} locks; one scatters by {spread}.',
      source: 'a model',
    },
    AID_AGAINST: {
      says: 'The turns for head {head} go against that: it is left off by as much and comes right when it is locked.',
      source: 'a model',
    },
    AID_UNSURE: {
      says: 'Head {head} is not turned against that yet: from the third lock on, and only the way the locks agree on.',
      source: 'a model',
    },
    AID_OTHER: {
      says: 'From lock {lock} on head {head} moves otherwise than before: was something changed at it? What was learnt before counts no more.',
      source: 'a model',
      severity: 'Watch',
    },
    AID_NO_X: {
      says: 'Not yet: read how far a mark lies to the left or right.',
      source: 'geometry',
    },
    AID_NO_Y: {
      says: 'Not yet: read how far a mark lies towards or away from you.',
      source: 'geometry',
    },
    AID_FEW: {
      says: 'Not yet: read one more line, at a mark far from the others.',
      source: 'geometry',
    },
    AID_SCALE: {
      says: 'Stop turning: the screen has grown or shrunk by {edge} at the marks, and no knob mends that. Film or mesh stretched, tension changed since exposure, or another off-contact than the first screen.',
      source: 'a model',
      severity: 'Watch',
    },
    AID_ANISO: {
      says: 'Stop turning: the screen has grown one way and shrunk the other, by {edge} at the marks. Off-contact or squeegee length differ, film pulled one way, or one pair of sides retensioned.',
      source: 'a model',
      severity: 'Watch',
    },
    AID_SHEAR: {
      says: 'Stop turning: the mesh is pulled out of square, by {edge} at the marks. No knob mends that.',
      source: 'a model',
      severity: 'Watch',
    },
    AID_BENT: {
      says: 'Stop turning and look at the screen: no move, turn or growth explains these marks. Slack mesh, a crooked or bubbled film, or a wrong reading.',
      source: 'a model',
      severity: 'Watch',
    },
    AID_MIXED: {
      says: 'Stop turning: the screen has changed its shape, in more than one way. Compare its tension and off-contact with the first screen.',
      source: 'a model',
      severity: 'Watch',
    },
    AID_SIGN: {
      says: 'Check mark {name}: read the other way, {way}, it would go with all the others.',
      source: 'a model',
      severity: 'Watch',
    },
    AID_MARK: {
      says: 'Read mark {name} again: without it all the others agree.',
      source: 'a model',
      severity: 'Watch',
    },
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
