import type { CauseRow } from './causeRow'

/** Causes in what holds colours on each other. Statements are common practice, strengths and rates assumed. */
export const REGISTER_CAUSES = {
  setUp: {
    label: 'Set-up off: shifted',
    base: 36,
    first: 'refit',
    sees: { shift: 0.85, halo: 0.7 },
    says: {
      marks: { on: 0.05, 'same way': 0.88, 'opposite ways': 0.02, unequal: 0.05 },
      when: { 'first prints only': 0.03, 'from the start': 0.92, 'came later': 0.05 },
      paper: { 'out on paper too': 0.95, 'in on paper': 0.05 },
      screens: { 'one screen': 0.88, several: 0.12 },
      which: { 'every piece': 0.95, 'now and then': 0.02, 'always one board': 0.02, 'more and more': 0.01 },
    },
    odds: [{ x: 'pieces', above: 60, times: 0.3 }],
  },
  lockDrift: {
    label: 'Head moved while locking',
    base: 24,
    first: 'aimOff',
    sees: { shift: 0.75, halo: 0.6, turned: 0.25 },
    says: {
      marks: { on: 0.05, 'same way': 0.7, 'opposite ways': 0.18, unequal: 0.07 },
      when: { 'first prints only': 0.03, 'from the start': 0.9, 'came later': 0.07 },
      paper: { 'out on paper too': 0.95, 'in on paper': 0.05 },
      screens: { 'one screen': 0.92, several: 0.08 },
      which: { 'every piece': 0.94, 'now and then': 0.03, 'always one board': 0.02, 'more and more': 0.01 },
    },
    odds: [
      { flag: 'lockKnown', times: 0.4, else: 1.2 },
      { x: 'pieces', above: 60, times: 0.4 },
    ],
  },
  rotated: {
    label: 'Set-up off: turned',
    base: 16,
    first: 'refit',
    sees: { turned: 0.85, halo: 0.5 },
    says: {
      marks: { on: 0.05, 'same way': 0.04, 'opposite ways': 0.86, unequal: 0.05 },
      when: { 'first prints only': 0.02, 'from the start': 0.93, 'came later': 0.05 },
      paper: { 'out on paper too': 0.95, 'in on paper': 0.05 },
      which: { 'every piece': 0.95, 'now and then': 0.02, 'always one board': 0.02, 'more and more': 0.01 },
    },
  },
  looseHead: {
    label: 'Frame clamp or head works loose',
    base: 14,
    first: 'tightenHead',
    sees: { creep: 0.8, jump: 0.35, halo: 0.3, ghost: 0.15, shift: 0.25 },
    says: {
      shake: { firm: 0.12, play: 0.88 },
      when: { 'first prints only': 0.01, 'from the start': 0.12, 'came later': 0.87 },
      which: { 'every piece': 0.15, 'now and then': 0.2, 'always one board': 0.01, 'more and more': 0.64 },
      screens: { 'one screen': 0.94, several: 0.06 },
      marks: { on: 0.1, 'same way': 0.6, 'opposite ways': 0.2, unequal: 0.1 },
      paper: { 'out on paper too': 0.92, 'in on paper': 0.08 },
    },
  },
  looseBoard: {
    label: 'One board arm is loose',
    base: 9,
    first: 'tightenBoard',
    sees: { oneBoard: 0.8, jump: 0.5, halo: 0.2, differ: 0.3 },
    says: {
      which: { 'every piece': 0.04, 'now and then': 0.4, 'always one board': 0.55, 'more and more': 0.01 },
      board: { 'firm and level': 0.1, loose: 0.87, low: 0.03 },
      screens: { 'one screen': 0.25, several: 0.75 },
    },
    needs: ['boards'],
  },
  lowBoard: {
    label: 'One board sits low or is warped',
    base: 9,
    first: 'shimBoard',
    sees: { oneBoard: 0.8, patchy: 0.35, differ: 0.5, dull: 0.2, oneSide: 0.15, muddy: 0.15 },
    says: {
      which: { 'every piece': 0.04, 'now and then': 0.4, 'always one board': 0.55, 'more and more': 0.01 },
      board: { 'firm and level': 0.12, loose: 0.04, low: 0.84 },
      screens: { 'one screen': 0.15, several: 0.85 },
      mesh: {
        clear: 0.3,
        'ink left everywhere': 0.55,
        'ink left on one side': 0.1,
        'closed in places': 0.05,
      },
      gap: { right: 0.5, 'too low': 0.02, 'too high': 0.3, uneven: 0.18 },
    },
    needs: ['boards'],
  },
  noTack: {
    label: 'Board adhesive gone or full of lint',
    base: 22,
    first: 'newTack',
    sees: { jump: 0.6, lifts: 0.75, ghost: 0.45, halo: 0.25, creep: 0.2 },
    says: {
      tack: { holds: 0.08, weak: 0.92 },
      when: { 'first prints only': 0.01, 'from the start': 0.35, 'came later': 0.64 },
      which: { 'every piece': 0.15, 'now and then': 0.5, 'always one board': 0.02, 'more and more': 0.33 },
      paper: { 'out on paper too': 0.15, 'in on paper': 0.85 },
      screens: { 'one screen': 0.25, several: 0.75 },
    },
    odds: [
      { x: 'sinceTack', above: 12, times: 2.5 },
      { x: 'sinceTack', below: 5, times: 0.4 },
    ],
  },
  chokeSmall: {
    label: 'Choke smaller than this press can hold',
    base: 16,
    first: 'moreChoke',
    sees: { halo: 0.85 },
    says: {
      marks: { on: 0.8, 'same way': 0.08, 'opposite ways': 0.05, unequal: 0.07 },
      choke: { 'over the choke': 0.1, 'within or no choke': 0.9 },
      which: { 'every piece': 0.4, 'now and then': 0.56, 'always one board': 0.02, 'more and more': 0.02 },
      screens: { 'one screen': 0.45, several: 0.55 },
    },
    needs: ['base'],
    odds: [{ z: 'choke' }],
  },
} as const satisfies Readonly<Record<string, CauseRow>>
