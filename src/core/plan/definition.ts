import { defineRoom } from '../advice'

/** Presses, what is mounted on them, other ways and what a run costs. */
export const PLAN = defineRoom({
  id: 'plan',
  title: 'Presses and costs',
  model:
    'Presses are tried in an order of preference, and the first on which a print order fits is advised; other ways are the whole job planned again.',
  sources: 'Common practice.',
  pages: ['sequence', 'time'],
  rules: {
    PRESS_ODD: {
      says: 'An odd item in one pass goes on a bench or a manual press.',
      source: 'common practice',
    },
    PRESS_MANY: {
      says: '{screens} screens{halftones}: by hand it would need more flashes, and dots would not hold.',
      source: 'common practice',
    },
    PRESS_MANY_BY_HAND: {
      says: '{screens} screens{halftones}: more than a hand holds easily, but no automatic of this shop takes them.',
      source: 'common practice',
    },
    PRESS_LONG_BY_HAND: {
      says: '{pieces} pieces would pay for an automatic; none of this shop takes the job.',
      source: 'common practice',
    },
    PRESS_ONLY: {
      says: '{pieces} pieces in {screens} screens: by hand would do, but no press by hand takes them here.',
      source: 'common practice',
    },
    PRESS_BOARD: {
      says: '{what} of {width} x {height} does not lie on the boards of {presses}.',
      source: 'geometry',
    },
    PRESS_NO_BOARD: {
      says: '{what} of {width} x {height} lies on no board of this shop.',
      source: 'geometry',
    },
    BENCH_REGISTER: {
      says: '{screens} colours in register on {press}, and nothing holds the garment between them: expect spoils.',
      source: 'common practice',
      severity: 'Watch',
    },
    PRESS_LONG: { says: '{pieces} pieces pay for setting up the automatic.', source: 'common practice' },
    PRESS_SHORT: {
      says: '{pieces} pieces in {screens} screens: quicker by hand than set up on the automatic.',
      source: 'common practice',
    },
    PRESS_NONE: {
      says: 'It fits no press of this shop in one revolution; this press suits it best.',
      source: 'geometry',
    },
    PRESS_FITS: { says: 'The first press in that order on which the print fits.', source: 'geometry' },
    // Numbers that no one advises: counted from facts, or facts themselves.
    PIECES: {
      says: '{pieces}: the quantities of the sizes this print goes on, added up.',
      source: 'the order',
    },
    UNUSUAL: {
      says: 'Look whether it is meant: usual is {low} to {high}.',
      source: 'from memory',
      severity: 'Watch',
    },
    SIZE_PIECES: { says: '{pieces}: as the customer ordered this size.', source: 'the order' },
    HAND: {
      says: '{word}: {film} of dry ink at its thickest place. Soft under {thickness:0.000025}, felt up to {thickness:0.00006}, heavy up to {thickness:0.00014}.',
      source: 'from memory',
    },
    TALLEST: {
      says: '{film}: the dry deposits of the hits that lie on one another, added up.',
      source: 'geometry',
    },
    ORDER_PIECES: {
      says: '{pieces}: the quantities of all sizes of the order, added up.',
      source: 'the order',
    },
    SCREENS: {
      says: '{screens}: one for each hit, hits of the same screen counted once.',
      source: 'geometry',
    },
    FLASHES: {
      says: '{value}: one wherever wet inks would smear; each says which, on the strip.',
      source: 'geometry',
    },
    LAPS: { says: '{value}: how often every garment goes round.', source: 'geometry' },
    MOVES: {
      says: '{value} set-up moves from what is mounted now: one to mount a screen, one for a screen of another job or a flash unit that is in its way, two to move a flash unit. What is mounted where is kept under On the press now.',
      source: 'geometry',
    },
    WET_RISK: {
      says: '{value}: a score for inks that meet wet and may smear or pick up (dark before light, strong before weak, opaque on wet). Fitted to common practice; compare orders of this job only.',
      source: 'common practice',
    },
    EXPOSED_TOGETHER: {
      says: '{time}: the longest exposure of {screens} that go under the light together; their times differ by less than a tenth. Each screen tells its own, and why, at its order.',
      source: 'geometry',
    },
    VARIANT: {
      says: '{way}: {what} {value}. The whole job planned this way, with the lead’s other choices as they are; compare it with the plan in force.',
      source: 'geometry',
    },
    INK_TOTAL: { says: '{value}: the ink of every screen, added up.', source: 'geometry' },
    ART: { says: '{value}: as given at Art.', source: 'the order' },
    LEDGER: { says: '{value}: what the ledger of the tub comes to.', source: 'geometry' },
    STOCK: { says: '{value}: entered for this shop at Shop.', source: "the shop's choice" },
    COST_PART: {
      says: '{part}: {value} for {pieces} pieces, at the prices entered for this shop (Shop, Method and hours).',
      source: 'geometry',
    },
    QUOTE_EACH: {
      says: '{each} a piece for {pieces}: printing one costs {cost}, {markup} on top of that, to the next cent.',
      source: 'geometry',
    },
    COST_PIECE: {
      says: '{piece} a piece for {pieces}: press {press}, people {people}, screens {screens}, ink {ink}, spoiled {spoil}. The garments themselves are not in it, but for those spoiled.',
      source: 'geometry',
    },
    COST_EARNS: {
      says: '{pieces} pieces at {price} less {cost}, over {hours} at the press.',
      source: 'geometry',
    },
    DANCE: {
      says: 'Fastest cycle for {crew} on {pallets} pallets: {pattern}; {rate} in a burst. Turn after each line, then repeat.',
      source: 'geometry',
    },
    CYCLE_TIMED: {
      says: 'A pallet stands about {stop} {where}, and the film wants {dwell}: let the timer end it after that.',
      source: 'a model',
    },
    CYCLE_SWINGS: {
      says: 'A pallet stands about {stop} {where}, and the film wants {dwell}: swing it away after that, before the next pallet is turned in.',
      source: 'a model',
    },
    CYCLE_STAYS: {
      says: 'It stays lit for all of the stop, about {stop} {where}, and the film wants {dwell}: Heat tells whether its middle stands that.',
      source: 'a model',
    },
    BATCH: {
      says: 'Batches of {places}, as many as dry at once: one colour across all of them, then the next. Flood and leave the ink over the image while a batch is carried away, so that it does not dry in. {rate} in a burst.',
      source: 'common practice',
    },
    PRINTS_LABEL: {
      says: 'The label first: nothing is pressed or dried over a finished print.',
      source: 'common practice',
    },
    PRINTS_LABEL_LAST: {
      says: 'House practice is the label last: the main print is laid flat and cool, and is pressed and dried once more.',
      source: "the shop's choice",
    },
    PRINTS_RAISED: {
      says: 'Raised ink last: it sees the dryer once, and no heat press.',
      source: 'common practice',
    },
    PRINTS_SMALL: {
      says: 'Small before large: the main print is heated least.',
      source: 'common practice',
    },
    PRINTS_AGAIN: {
      says: 'It goes through the dryer {times} more at {later} (own cure {own}): watch for gloss, shrinkage and dye bleed on polyester.',
      source: 'common practice',
    },
    PRINTS_TOO_HOT: {
      says: 'A later cure takes it to {later}; its own ink wants no more than {most}.',
      source: 'common practice',
      severity: 'Watch',
    },
    PRINTS_RAISED_AGAIN: {
      says: '{count} prints of raised ink: all but the last are heated again and may fall flat.',
      source: 'common practice',
      severity: 'Watch',
    },
    WAY_ADVISED: { says: 'The order that is advised, without the one by hand.', source: 'geometry' },
    WAY_OTHER: {
      says: 'Flash (|) between other colours: {flashes} flashes instead of {had}, wet contact risk {wetRisk} instead of {hadRisk}.',
      source: 'common practice',
    },
    WAY_LEAST_MOVING: {
      says: 'Keeps most of what is mounted in place: {moves} set-up moves instead of {hadMoves}, wet contact risk {wetRisk} instead of {hadRisk}.',
      source: 'geometry',
    },
    WAY_BASE_ONLY: {
      says: 'Flash after the base only; wet inks may smear: wet contact risk {wetRisk} instead of {hadRisk}.',
      source: "the shop's choice",
    },
    WAY_EVERY: {
      says: 'Flash after every colour to check register on the first prints; nothing blends. Then return to the planned order.',
      source: 'common practice',
    },
    WAY_SCREEN_LESS: {
      says: '{way}: {screens} screens to coat, burn and register instead of {hadScreens}; see Ink for what it does to the colours.',
      source: 'common practice',
    },
    WAY_PRESS: { says: 'On {press}: another press of this shop on which it fits.', source: 'geometry' },
  },
  settings: {
    press: {
      kind: 'choice',
      label: 'Press',
      follows: ['pieces', 'where', 'printWidth', 'printHeight', 'ruling', 'presses', 'printOrder'],
    },
  },
})
