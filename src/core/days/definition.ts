import { defineRoom } from '../advice'

/** What holds a run back in the days of the shop, and what the days are planned with. */
export const DAYS = defineRoom({
  id: 'days',
  title: 'The days',
  model:
    'All runs on all presses in working time, each as soon as press, screens, garments, people and dryer allow; a first answer by rule, then a search.',
  sources: 'Common practice or from memory; never measured in a shop.',
  pages: ['schedule'],
  rules: {
    WAITS_NOTHING: { says: 'Nothing holds it: it begins as soon as its press works.', source: 'geometry' },
    WAITS_PRESS: { says: '{press} prints {other} until {until}.', source: 'geometry' },
    WAITS_SCREENS: {
      says: 'Its screens are ready at {until}: {screens} to make, on {frames}, begun at {from}, when the room and frames are free.',
      source: 'geometry',
    },
    WAITS_FRAME: {
      says: '{frame} hangs for {other} until then, and is clean at {clean}.',
      source: 'from memory',
    },
    WAITS_DRY: { says: 'Its screens are on their way, and ready at {until}.', source: 'geometry' },
    WAITS_SCREENS_OF: { says: 'Its screens hang for {other} until {until}.', source: 'geometry' },
    WAITS_INK: {
      says: '{inks} of its inks are still to be mixed, {each} each, one after the other behind those of jobs before: ready at {until}.',
      source: 'assumed',
    },
    WAITS_GARMENTS: {
      says: 'Garments are not counted in: taken as there at {until}, after the next break or night.',
      source: 'assumed',
    },
    WAITS_GARMENTS_ON: {
      says: 'Garments are expected on {day}, and not counted in: taken as there at {until}.',
      source: 'geometry',
    },
    WAITS_BEFORE: {
      says: '{other} is printed on the same garments first, until {until}.',
      source: 'geometry',
    },
    WAITS_CREW: { says: 'Nobody is free before {other} ends at {until}.', source: 'geometry' },
    WAITS_PERSON: { says: 'Nobody who can run {press} is there before {until}.', source: 'geometry' },
    WAITS_RACKS: {
      says: 'Its screens were begun no sooner: no place to dry in was free before {until} (of {racks} in all).',
      source: 'geometry',
    },
    WAITS_PALLETS: {
      says: '{pallets}: all are with {other} or before it, until {until}.',
      source: 'geometry',
    },
    WAITS_BELT: { says: 'The dryer is full with {other} until {until}.', source: 'geometry' },
    WAITS_HEAT: {
      says: 'The dryer runs another temperature for {other} and has to settle: printing can begin at {until}.',
      source: 'common practice',
    },
    WAITS_LEAD: { says: 'Put there by the lead, not before {until}.', source: 'geometry' },
    WAITS_HOURS: {
      says: 'Ink that dries in is not begun where a break would fall into its batch: the next span of work that is long enough begins at {until}.',
      source: 'common practice',
    },
    CHAIN_GOES_ON: { says: '{run} begins at {begins}, behind {other}.', source: 'geometry' },
    CHAIN_ENDS: { says: '{run} begins at {begins}; it waits for {waits}.', source: 'geometry' },
    PROMISE: {
      says: 'Planned, with some room, it is done at {planned}; in eight of ten of {draws} trials, with set-up and printing that stray as they do, by {likely}.',
      source: 'assumed',
    },
    PROMISE_LEAD: { says: 'Between printed and due it leaves {lead} days.', source: 'geometry' },
    DAY_SET_UP: {
      says: 'Set-up {time}, {change} of it to hang its screens and clear what was there before.',
      source: 'assumed',
    },
    DAY_PRINTS: {
      says: '{time} of printing for {pieces} pieces: the usual and a third of the way to the late end of its range, so that days hold.',
      source: 'assumed',
    },
    DAY_SHORT: {
      says: '{short} of {pieces} pieces were counted in short and are not printed with the others: they want a set-up of their own, unless the run waits for them (say at Today that its garments come later).',
      source: 'geometry',
      severity: 'Watch',
    },
    DAY_SLOWER: {
      says: 'At {pace} of its pace: the dryer has no room for more beside what runs on it, and it is done sooner so than if it waited.',
      source: 'geometry',
    },
    DAY_OTHER_PRESS: {
      says: 'Its sheet is planned for {planned}, these days have it on {press}: taking them plans the sheet for {press}.',
      source: 'geometry',
      severity: 'Watch',
    },
    DAY_PUT_LOST: {
      says: 'The lead had put it on {press}, which is gone or cannot print it: it is planned as if that had not been said.',
      source: 'geometry',
      severity: 'Watch',
    },
    DAY_LATE: { says: 'Ready at {done}, {late} late: it must be so by the end of {by}.', source: 'geometry' },
    DAY_LATE_DAYS: {
      says: 'Ready at {done}, {days} days late: it must be so by the end of {by}.',
      source: 'geometry',
    },
    DAY_BATCHES: {
      says: 'In {count} batches: its ink dries in, so between them, {each} each time, screens are wiped and filled anew.',
      source: 'assumed',
    },
    DAY_DRIES: {
      says: 'Its ink dries {air} in the air behind the last piece: ready at {done}.',
      source: 'geometry',
    },
    DAY_REFUSED_FRAMES: {
      says: 'It wants {screens} screens of {mesh}, and no more than {frames} frames of that mesh can ever be free: other frames, or another mesh at its screens.',
      source: 'geometry',
    },
    DAY_REFUSED_PEOPLE: {
      says: 'It wants more people than there are: {count} at the least, and {there} in the shop. Its crew is chosen at Pace.',
      source: 'geometry',
    },
    DAY_REFUSED_LATE: {
      says: 'There is no working time for it within {days} days, or nobody is there for it.',
      source: 'geometry',
    },
    DAY_REFUSED_BEFORE: { says: 'It follows {other}, which has no place.', source: 'geometry' },
    DAY_REFUSED_PRESS: {
      says: 'It cannot be printed on the press it was put on, or nobody can run that press.',
      source: 'geometry',
    },
  },
  settings: {},
})
