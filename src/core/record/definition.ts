import { defineRoom } from '../advice'

/** What is looked at while a run is printed, and what came of it. */
export const RECORD = defineRoom({
  id: 'record',
  title: 'At the press',
  model:
    'What is said at the press is kept as it was said; counts, times and alarms are worked out of it again each time. The same in any order of arrival.',
  sources: 'Intervals are common practice; ink in a screen is assumed.',
  pages: ['record'],
  rules: {
    ROUND_CHECK: {
      says: 'Film after the flash, pallet, dryer, register, colour against the sample, ink, adhesive. Every 25 or 50: with {pieces} ordered, every 50 would be found too late or not at all.',
      source: 'common practice',
    },
    ROUND_CHECK_LONG: {
      says: 'Film after the flash, pallet, dryer, register, colour against the sample, ink, adhesive. Every 25 or 50: at a steady pace 50 is often enough.',
      source: 'common practice',
    },
    ROUND_INK: {
      says: 'Every few dozen prints scoop back what crept behind the blade, and top up.',
      source: 'common practice',
    },
    ROUND_TACK: {
      says: 'Web spray holds about {each} garments on a board; {pallets} boards are done in one go. Water-based tack is wetted, scrubbed free of lint and warmed.',
      source: 'common practice',
    },
    ALARM_POT: {
      says: '{name} has been in its screen for {time}; it is good for {pot}. A fresh batch.',
      source: 'common practice',
    },
    ALARM_IDLE: {
      says: 'No print for {time}: {name} dries in the screen. Flood it; longer, clean the image and mist.',
      source: 'common practice',
    },
    ALARM_DWELL: {
      says: 'The boards are warmer from piece {from} on: set the flash after {name} to {dwell}.',
      source: 'a model',
    },
    RECORD_TIME: {
      says: 'Planned {planned}, took {took}. Pauses and closed hours are not in it.',
      source: "the shop's record",
    },
    RECORD_PACE: {
      says: 'Planned {planned}, was {was}: {pieces} good and spoiled in {took} of printing.',
      source: "the shop's record",
    },
    RECORD_GAP: {
      says: '{time} without a count and no pause noted: pace lies between {low} and {high}.',
      source: "the shop's record",
      severity: 'Note',
    },
  },
  settings: {
    checkEvery: {
      kind: 'count',
      within: [1, 10_000],
      label: 'Look every',
      follows: ['pieces'],
    },
    inkEvery: { kind: 'count', within: [1, 10_000], label: 'Top up ink every', follows: [] },
    tackEvery: {
      kind: 'count',
      within: [1, 10_000],
      label: 'Adhesive every',
      follows: ['presses', 'where'],
      after: ['press'],
    },
  },
})
