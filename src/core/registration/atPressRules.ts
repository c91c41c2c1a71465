import type { Rule } from '../advice'

/** What is said where screens are registered: which on which, where to look, what to turn, how heads move. */
export const AT_PRESS_RULES = {
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
  REGISTER_GAP: {
    says: '{name} keeps a gap to {other}: registered on its print the line comes out even, by way of a third screen the error counts twice.',
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
    says: 'Nothing is noted of the knobs of head {head}. Assumed is what heads usually have: the left and right knob {left} and {right} from the middle of the frame, the side knob {side} behind its clamped end, {pitch} a turn, {play} of play.',
    source: 'assumed',
  },
  HEAD_KNOWN: {
    says: 'Learnt for head {head} (readings: {moves}): the left and right knob act {left} and {right} from the middle of the frame, the side knob {side} behind its clamped end; {pitch} a turn, {play} of play.',
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
} as const satisfies Record<string, Rule>
