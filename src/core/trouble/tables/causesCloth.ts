import type { CauseRow } from './causeRow'

/** Causes in cloth, hands and board. Statements are common practice, strengths and rates assumed. */
export const CLOTH_CAUSES = {
  noBlock: {
    label: 'Dyed polyester at full cure heat, nothing to block it',
    base: 10,
    first: 'lowCure',
    sees: { migrates: 0.9 },
    says: {
      label: { 'as ordered': 0.75, 'other fibre': 0.25 },
      belt: { 'in band': 0.82, 'too cool': 0.02, 'too hot': 0.16 },
      scrap: { 'same fault': 0.25, 'fault gone': 0.75 },
    },
    odds: [{ flag: 'poly', times: 8, else: 0.15 }],
  },
  dampCloth: {
    label: 'Garments damp or cold',
    base: 10,
    first: 'dryCloth',
    sees: { sticks: 0.25, washes: 0.35, blisters: 0.5, tackyAfter: 0.3, cracks: 0.35 },
    says: {
      stretch: { holds: 0.35, cracks: 0.65 },
      damp: { dry: 0.12, damp: 0.88 },
      cool: { dry: 0.45, 'still tacky': 0.55 },
      belt: { 'in band': 0.35, 'too cool': 0.63, 'too hot': 0.02 },
      filmTemp: { 'in band': 0.4, below: 0.57, above: 0.03 },
    },
    odds: [{ flag: 'humid', times: 2.5, else: 0.8 }],
  },
  loading: {
    label: 'Garment loaded crooked or stretched',
    base: 20,
    first: 'loadBetter',
    sees: { offPlace: 0.85, jump: 0.15, halo: 0.1 },
    says: {
      load: { 'no change': 0.12, better: 0.88 },
      which: { 'every piece': 0.1, 'now and then': 0.86, 'always one board': 0.02, 'more and more': 0.02 },
      marks: { on: 0.85, 'same way': 0.06, 'opposite ways': 0.05, unequal: 0.04 },
    },
    odds: [{ flag: 'manual', times: 1.2, else: 1 }],
  },
  shrinks: {
    label: 'Cloth shrinks or creeps under the flash',
    base: 9,
    first: 'preShrink',
    sees: { halo: 0.5, local: 0.4, jump: 0.25 },
    says: {
      paper: { 'out on paper too': 0.05, 'in on paper': 0.95 },
      scrap: { 'same fault': 0.3, 'fault gone': 0.7 },
      screens: { 'one screen': 0.15, several: 0.85 },
      marks: { on: 0.15, 'same way': 0.1, 'opposite ways': 0.1, unequal: 0.65 },
      where: { everywhere: 0.2, 'one side': 0.1, middle: 0.02, edges: 0.66, 'a spot': 0.02 },
    },
    needs: ['flash'],
    odds: [{ flag: 'poly', times: 1.8, else: 0.9 }],
  },
  fuzzyCloth: {
    label: 'Cloth stands up; no smoothing',
    base: 18,
    first: 'smooth',
    sees: { rough: 0.85, dull: 0.3, pinholes: 0.08 },
    says: {
      fibres: { flat: 0.06, fibres: 0.94 },
      scrap: { 'same fault': 0.25, 'fault gone': 0.75 },
      when: { 'first prints only': 0.04, 'from the start': 0.93, 'came later': 0.03 },
      which: { 'every piece': 0.9, 'now and then': 0.07, 'always one board': 0.01, 'more and more': 0.02 },
      boardTemp: { '30 to 55 C': 0.72, 'under 30 C': 0.12, 'over 55 C': 0.16 },
    },
    odds: [
      { flag: 'smoothing', times: 0.3, else: 1.3 },
      { flag: 'fleece', times: 2, else: 1 },
    ],
  },
  silicone: {
    label: 'Silicone or oil on film or cloth',
    base: 4,
    first: 'cleanOil',
    sees: { peels: 0.6, washes: 0.5, patchy: 0.15 },
    says: {
      tape: { holds: 0.15, lifts: 0.85 },
      belt: { 'in band': 0.9, 'too cool': 0.05, 'too hot': 0.05 },
      filmTemp: { 'in band': 0.85, below: 0.08, above: 0.07 },
      stretch: { holds: 0.6, cracks: 0.4 },
      which: { 'every piece': 0.4, 'now and then': 0.57, 'always one board': 0.01, 'more and more': 0.02 },
    },
    odds: [{ flag: 'silicone', times: 8, else: 0.5 }],
  },
  dirtyHands: {
    label: 'Ink on hands, board or belt',
    base: 8,
    first: 'clean',
    sees: { smudge: 0.8 },
    says: {
      where: { everywhere: 0.02, 'one side': 0.15, middle: 0.02, edges: 0.25, 'a spot': 0.56 },
      which: { 'every piece': 0.06, 'now and then': 0.9, 'always one board': 0.03, 'more and more': 0.01 },
      light: { clean: 0.93, pinholes: 0.03, scum: 0.02, 'old image': 0.01, 'edges gone': 0.01 },
    },
  },
  clothColour: {
    label: 'Cloth of another colour or lot',
    base: 6,
    first: 'rightCloth',
    sees: { wrongColour: 0.5, dull: 0.3, differ: 0.35, migrates: 0.2 },
    says: {
      first: { alike: 0.25, heavier: 0.04, thinner: 0.11, 'other hue': 0.6 },
      card: { 'right on card': 0.95, 'wrong too': 0.05 },
      scrap: { 'same fault': 0.1, 'fault gone': 0.9 },
      which: { 'every piece': 0.5, 'now and then': 0.47, 'always one board': 0.01, 'more and more': 0.02 },
      mesh: {
        clear: 0.92,
        'ink left everywhere': 0.03,
        'ink left on one side': 0.02,
        'closed in places': 0.03,
      },
    },
  },
} as const satisfies Readonly<Record<string, CauseRow>>
