import { defineRoom } from '../advice'
import { CREWS, SKILLS } from './times'

const labels = <K extends string>(table: Readonly<Record<K, { readonly label: string }>>) =>
  Object.fromEntries(
    Object.entries<{ readonly label: string }>(table).map(([k, { label }]) => [k, label]),
  ) as Readonly<Record<K, string>>

/** How long a run takes. */
export const RATE = defineRoom({
  id: 'rate',
  title: 'Time',
  model:
    'Seconds of each operation by kind of press and crew; the longest circle of waits, the slowest station, the flash or the dryer sets the pace; the same run many times over gives when it is done.',
  sources: 'Fitted to common practice; single operations are from memory.',
  pages: ['time'],
  rules: {
    RATE_MODEL: {
      says: '{cycle} a piece in a burst, {burst}: {press}, {crew}, {skill}. Fitted to common practice, never timed in this shop.',
      source: 'common practice',
    },
    CREW_ALONE: {
      says: 'One person loads, prints and unloads. A second pays off where hand work holds up printing.',
      source: 'common practice',
    },
    CREW_AUTOMATIC: { says: 'One person loads, one catches at the dryer end.', source: 'common practice' },
    SKILL: {
      says: 'Hand times of a trained person; a learner takes 1.41 times as long, the best 0.82. Machine times stay.',
      source: 'common practice',
    },
    RATE_HOLDS: {
      says: '{what} a tenth quicker: {gain} more pieces.',
      source: 'geometry',
    },
    WHAT_IF: {
      says: '{way}: {rate} instead of {now}, breaks of rhythm, misprints and re-inking counted. The same model, one thing changed.',
      source: 'geometry',
    },
    USE: {
      says: '{who}: busy {use} of the time. The busiest is not always what limits the pace.',
      source: 'geometry',
    },
    SPREAD: {
      says: '{runs} simulated runs of this job: pace of the day (7 % either way), {prints} first prints, misprints, a check every 50 (30 s), stops (0.6 an hour, 4 min), breaks inside. Half of them are done by the first time, 4 in 5 by the second, 19 in 20 by the third. Assumed but for the first prints: keep a log and replace them.',
      source: 'assumed',
    },
    RATE_VARIES: {
      says: 'With 20 % spread in each hand motion: {cycle} a piece, {burst} in a burst, as the quick wait for the slow. Spread assumed.',
      source: 'assumed',
    },
    RATE_SHIFT: {
      says: 'Less 8 % for breaks of rhythm, 1.5 % misprints and re-inking of {screens} screens.',
      source: 'common practice',
    },
    RATE_DRYER: {
      says: 'The belt takes at most {most}: {lanes} abreast, one every {pitch}. The dryer sets the pace.',
      source: 'geometry',
      severity: 'Note',
    },
    OPEN_STROKES: {
      says: 'About three strokes of 3 to 4 s open a screen, {screens} of them: {time} and {ink}, within the set-up.',
      source: 'common practice',
    },
    OPEN_SQUARES: {
      says: '{prints} test squares to bring the screens into register: {time} and {ink}, within the set-up. How many it takes depends on the screens.',
      source: 'from memory',
    },
    OPEN_SCRAP: {
      says: '{prints}: one scrap garment, then one or two real ones before the run: {time} and {ink}, within the set-up.',
      source: 'common practice',
    },
    OPEN_FIRST: {
      says: '{prints} first prints until the ink on the backs of the screens is steady: {time} and {ink}. Squares or spoiled garments, counted in the time of the run.',
      source: 'common practice',
    },
    FIRST_PRINTS: {
      says: 'Inks that meet wet: the first {low} to {high} prints build up on the backs of the screens and are not good. {first} are counted as spoiled, and in the time: print them on squares.',
      source: 'common practice',
      severity: 'Note',
    },
    LONG_CREW: {
      says: '{time} at the press: people keep their pace 4 to 6 h. Plan a second crew, or the pace falls.',
      source: 'common practice',
      severity: 'Note',
    },
    RATE_FEW: {
      says: '{pieces} in the batch: a screen change of {swap} is shared by few, so the pace is low.',
      source: 'geometry',
    },
    RATE_LONE: {
      says: 'Two would wait for each other here: one prints alone, the other fetches and folds.',
      source: 'geometry',
    },
    RATE_PALLETS: {
      says: 'In strict turns {pallets} pallets take {cycle} a piece, slower than fewer; crews skip or double a turn, so the quicker pace is taken.',
      source: 'assumed',
    },
    RATE_PRESS: {
      says: 'A heat press cures one piece at a time, {handling} to lay and lift it: at most {most}.',
      source: 'from memory',
    },
    RATE_PANEL: {
      says: 'A panel that cures for a minute caps the line at {most}.',
      source: 'geometry',
      severity: 'Note',
    },
    SETUP: {
      says: '5 to 8 min a screen with levelling, inking and taping: {screens} screens.',
      source: 'from memory',
    },
    SETUP_OWN: {
      says: '{screens} screens at {each} each, as this shop’s own record has it; 5 to 8 min is usual.',
      source: "the shop's record",
    },
    FINISH: {
      says: '{work} of work from {from}; nights, free days and breaks ({breaks}) do not count.',
      source: 'geometry',
    },
    TIME_TOTAL: { says: '{setup} set-up + {pieces} pieces at {rate}.', source: 'geometry' },
  },
  settings: {
    crew: { kind: 'choice', label: 'Crew', options: labels(CREWS), follows: [], after: ['press'] },
    skill: { kind: 'choice', label: 'Skill', options: labels(SKILLS), follows: [] },
    setup: {
      kind: 'workTime',
      within: [0, 432_000],
      label: 'Set-up',
      follows: ['colours', 'inkType', 'touching', 'ownSetup'],
      after: ['base', 'white'],
    },
    rate: {
      kind: 'rate',
      within: [1e-5, 2],
      label: 'Pace',
      follows: ['practice cure', 'printOrder', 'sizes', 'where', 'printHeight', 'dryers'],
      after: [
        'press',
        'crew',
        'skill',
        'base',
        'white',
        'strokes',
        'time',
        'flood',
        'dwell',
        'coolDown',
        'laps',
        'cureDwell',
        'dryer',
        'belt',
      ],
    },
    total: {
      kind: 'workTime',
      within: [0, 1e8],
      label: 'Press time',
      repeats: true,
      follows: ['pieces', 'printOrder'],
      after: ['setup', 'rate', 'base', 'white'],
    },
  },
})
