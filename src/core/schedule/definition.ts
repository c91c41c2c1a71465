import { defineRoom } from '../advice'

/** When screens must be begun. */
export const SCHEDULE = defineRoom({
  id: 'schedule',
  title: 'Screen room',
  model: 'Steps of every screen back from when its run is due, in working hours where hands are wanted.',
  sources: 'Common practice or from memory.',
  pages: ['exposure'],
  rules: {
    DRY_AIR: {
      says: '{time} at {humidity}: 45 to 60 min with a fan in dry air; damp air takes longer.',
      source: 'common practice',
    },
    DRY_DAMP: {
      says: 'At {humidity} emulsion does not dry: dry the air first, or the stencil comes off in wash-out.',
      source: 'common practice',
      severity: 'Watch',
    },
    COAT_ROUNDS: {
      says: '{time}: {coats} coats in {rounds} rounds, one on each side, and {drying} of drying between two rounds.',
      source: 'common practice',
    },
    SCREEN_BY_HAND: { says: '{time} by hand for one screen.', source: 'from memory' },
    LATEST: {
      says: 'At press {press}, less {hands} of work in working hours and {drying} of drying, which may run overnight.',
      source: 'geometry',
    },
  },
  settings: {},
})
