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
      says: '{time} at {humidity}: 45 to 60 min with a fan in dry air, longer as the air can take up less (1 less humidity).',
      source: 'common practice',
    },
    DRY_DAMP: {
      says: 'At {humidity} nothing dries: dry the air first, or the stencil comes off in wash-out.',
      source: 'common practice',
      severity: 'Watch',
    },
    SCREEN_BY_HAND: { says: '{time} by hand for one screen.', source: 'from memory' },
    LATEST: {
      says: 'On press {press}, less {hands} of work in working hours and {drying} of drying, which may go on overnight.',
      source: 'geometry',
    },
  },
  settings: {},
})
