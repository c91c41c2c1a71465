/** What the press person sees first: twelve groups, each a few symptoms. */
export const GROUPS = {
  sticking: 'Sticks or lifts',
  wet: 'Colours mix wet',
  cover: 'Dull, patchy, missing',
  edges: 'Edges and dots',
  surface: 'Rough, specks, marks',
  fit: 'Out of register',
  moves: 'Register moves',
  drying: 'Dries in, stencil goes',
  colour: 'Colour is wrong',
  special: 'Raised or shimmering',
  dryer: 'After the dryer',
  later: 'In the wash, hours later',
} as const
export type Group = keyof typeof GROUPS

/** When it is seen: while printing, behind the dryer, or after hours and washes. */
export type Seen = 'press' | 'dryer' | 'later'

interface Row {
  readonly label: string
  readonly group: Group
  readonly seen: Seen
  /** Symptoms that people take it for. */
  readonly confused: readonly string[]
  /** Questions that naming it answers. */
  readonly answers?: readonly string[]
}

/** Forty symptoms. Statements are common practice (blisters: assumed). */
export const SYMPTOMS = {
  sticks: {
    label: 'Ink sticks to the next screen',
    group: 'sticking',
    seen: 'press',
    confused: ['pickup', 'lifts'],
  },
  pickup: {
    label: 'Next screen lifts wet ink off',
    group: 'sticking',
    seen: 'press',
    confused: ['sticks', 'muddy'],
  },
  muddy: {
    label: 'Colours muddy where they meet wet',
    group: 'wet',
    seen: 'press',
    confused: ['differ', 'wrongColour'],
  },
  greyEdge: { label: 'Grey edge between black and white', group: 'wet', seen: 'press', confused: ['muddy'] },
  differ: {
    label: 'Prints differ from each other',
    group: 'wet',
    seen: 'press',
    confused: ['muddy', 'patchy'],
  },
  dull: {
    label: 'White dull, cloth shows through',
    group: 'cover',
    seen: 'press',
    confused: ['patchy', 'rough'],
  },
  patchy: {
    label: 'Patches, ink left in the mesh',
    group: 'cover',
    seen: 'press',
    confused: ['dull', 'missing'],
  },
  oneSide: {
    label: 'Weak or wrong on one side only',
    group: 'cover',
    seen: 'press',
    confused: ['patchy', 'local'],
    answers: ['where'],
  },
  missing: {
    label: 'Fine dots or lines missing',
    group: 'cover',
    seen: 'press',
    confused: ['patchy', 'dryIn'],
  },
  blown: {
    label: 'Halftones closed up, clumpy',
    group: 'edges',
    seen: 'press',
    confused: ['bleed', 'muddy'],
  },
  bleed: {
    label: 'Edges smeared, blurred or bleeding',
    group: 'edges',
    seen: 'press',
    confused: ['blown', 'ghost'],
  },
  through: { label: 'Ink through to the board', group: 'edges', seen: 'press', confused: ['bleed'] },
  rough: {
    label: 'Rough, fibres stand',
    group: 'surface',
    seen: 'press',
    confused: ['dull'],
    answers: ['fibres'],
  },
  pinholes: { label: 'Specks where no ink should be', group: 'surface', seen: 'press', confused: ['smudge'] },
  halo: {
    label: 'White or cloth peeps out at edges',
    group: 'fit',
    seen: 'press',
    confused: ['shift', 'local'],
  },
  shift: { label: 'Out by the same amount everywhere', group: 'fit', seen: 'press', confused: ['halo'] },
  turned: {
    label: 'Turned: left and right are out opposite ways',
    group: 'fit',
    seen: 'press',
    confused: ['local', 'shift'],
  },
  local: {
    label: 'Fits in one place, not in another',
    group: 'fit',
    seen: 'press',
    confused: ['turned', 'oneSide'],
  },
  creep: {
    label: 'Register gets worse through the run',
    group: 'moves',
    seen: 'press',
    confused: ['jump', 'shift'],
    answers: ['which', 'when'],
  },
  jump: {
    label: 'Register jumps from piece to piece',
    group: 'moves',
    seen: 'press',
    confused: ['creep', 'ghost'],
    answers: ['which'],
  },
  oneBoard: {
    label: 'Same fault each time one board comes round',
    group: 'moves',
    seen: 'press',
    confused: ['jump', 'patchy'],
    answers: ['which'],
  },
  ghost: { label: 'Double or ghost image', group: 'edges', seen: 'press', confused: ['bleed', 'jump'] },
  lifts: { label: 'Garment lifts with the screen', group: 'sticking', seen: 'press', confused: ['sticks'] },
  dryIn: {
    label: 'Ink dries in, image fills',
    group: 'drying',
    seen: 'press',
    confused: ['missing', 'patchy'],
  },
  clogs: {
    label: 'Coverage fades, flakes stay in the mesh',
    group: 'drying',
    seen: 'press',
    confused: ['dryIn', 'noShimmer'],
  },
  noShimmer: { label: 'Metallic or glitter dull', group: 'special', seen: 'press', confused: ['clogs'] },
  stencil: { label: 'Stencil edges break down', group: 'drying', seen: 'press', confused: ['pinholes'] },
  offPlace: {
    label: 'Print off centre or crooked on the garment',
    group: 'moves',
    seen: 'press',
    confused: ['shift'],
  },
  smudge: {
    label: 'Smudges or marks on the garment',
    group: 'surface',
    seen: 'press',
    confused: ['pinholes'],
  },
  wrongColour: {
    label: 'Colour differs from the sample',
    group: 'colour',
    seen: 'press',
    confused: ['muddy', 'dull'],
  },
  drift: {
    label: 'Colour drifts through the run',
    group: 'colour',
    seen: 'press',
    confused: ['wrongColour', 'differ'],
  },
  scorch: { label: 'Cloth yellow or scorched', group: 'dryer', seen: 'dryer', confused: [] },
  flat: {
    label: 'Expander stays flat',
    group: 'special',
    seen: 'dryer',
    confused: ['dapple'],
    answers: ['gloss'],
  },
  dapple: {
    label: 'Expander glossy, dappled, collapsed',
    group: 'special',
    seen: 'dryer',
    confused: ['flat'],
    answers: ['gloss'],
  },
  cracks: {
    label: 'Print cracks when stretched',
    group: 'dryer',
    seen: 'dryer',
    confused: ['washes'],
    answers: ['stretch'],
  },
  tackyAfter: { label: 'Still tacky after the dryer', group: 'dryer', seen: 'dryer', confused: ['cracks'] },
  washes: {
    label: 'Print comes off in the wash',
    group: 'later',
    seen: 'later',
    confused: ['peels', 'cracks'],
  },
  peels: {
    label: 'Top colour peels from the base',
    group: 'later',
    seen: 'later',
    confused: ['washes'],
    answers: ['tape'],
  },
  migrates: { label: 'Dye comes through hours later', group: 'later', seen: 'later', confused: ['dull'] },
  blisters: { label: 'Bubbles or blisters', group: 'dryer', seen: 'dryer', confused: ['rough'] },
} as const satisfies Readonly<Record<string, Row>>
export type SymptomId = keyof typeof SYMPTOMS
