import type { Need } from '../facts'

interface Row {
  readonly ask: string
  /** Seconds it takes. */
  readonly seconds: number
  /** How often each answer is given when nothing of the kind is wrong; the answers in the order they are offered. */
  readonly usual: Readonly<Record<string, number>>
  readonly needs?: readonly Need[]
  /** Says something only while it prints: of no use for what shows hours later. */
  readonly running?: true
}

/** Looks and questions at the press. The looks are common practice, the shares assumed. */
export const QUESTIONS = {
  where: {
    ask: 'Where is it?',
    seconds: 4,
    usual: { everywhere: 0.62, 'one side': 0.12, middle: 0.06, edges: 0.1, 'a spot': 0.1 },
  },
  when: {
    ask: 'Since when?',
    seconds: 3,
    usual: { 'first prints only': 0.08, 'from the start': 0.55, 'came later': 0.37 },
  },
  which: {
    ask: 'On which pieces?',
    seconds: 5,
    usual: { 'every piece': 0.62, 'now and then': 0.22, 'always one board': 0.05, 'more and more': 0.11 },
  },
  screens: { ask: 'One screen or all?', seconds: 4, usual: { 'one screen': 0.7, several: 0.3 } },
  cool: {
    ask: 'Set one print aside for half a minute, then touch it',
    seconds: 35,
    usual: { dry: 0.88, 'still tacky': 0.12 },
    needs: ['flash'],
    running: true,
  },
  filmTemp: {
    ask: 'Infrared gun on the film, just flashed',
    seconds: 15,
    usual: { 'in band': 0.7, below: 0.15, above: 0.15 },
    needs: ['flash', 'gun'],
    running: true,
  },
  printTemp: {
    ask: 'Infrared gun on the film, just before the next screen',
    seconds: 15,
    usual: { 'under 55 C': 0.75, 'over 55 C': 0.25 },
    needs: ['flash', 'gun'],
    running: true,
  },
  boardTemp: {
    ask: 'Infrared gun on an empty board',
    seconds: 10,
    usual: { '30 to 55 C': 0.62, 'under 30 C': 0.2, 'over 55 C': 0.18 },
    needs: ['gun'],
  },
  panel: {
    ask: 'Look at the panel: all of it glowing, right height?',
    seconds: 6,
    usual: { 'all right': 0.95, 'part dark': 0.02, 'too high or low': 0.03 },
    needs: ['flash'],
  },
  timer: {
    ask: 'Watch one flash: longer than set?',
    seconds: 12,
    usual: { 'as set': 0.9, longer: 0.07, shorter: 0.03 },
    needs: ['flash'],
    running: true,
  },
  back: {
    ask: 'Lift the screen: ink on its back?',
    seconds: 8,
    usual: { little: 0.7, heavy: 0.3 },
    running: true,
  },
  mesh: {
    ask: 'Look through the mesh after the stroke',
    seconds: 6,
    usual: {
      clear: 0.72,
      'ink left everywhere': 0.14,
      'ink left on one side': 0.06,
      'closed in places': 0.08,
    },
    running: true,
  },
  again: {
    ask: 'A second stroke on the same piece',
    seconds: 12,
    usual: { 'no change': 0.55, 'fills in': 0.3, worse: 0.15 },
    running: true,
  },
  gap: {
    ask: 'Off-contact with a coin or gauge, four corners',
    seconds: 20,
    usual: { right: 0.82, 'too low': 0.06, 'too high': 0.06, uneven: 0.06 },
  },
  tension: {
    ask: 'Press the mesh with a finger, compare with the next screen',
    seconds: 6,
    usual: { tight: 0.9, slack: 0.1 },
  },
  marks: {
    ask: 'Compare two marks, left and right',
    seconds: 20,
    usual: { on: 0.6, 'same way': 0.18, 'opposite ways': 0.08, unequal: 0.14 },
  },
  shake: { ask: 'Shake the head and the frame', seconds: 6, usual: { firm: 0.94, play: 0.06 } },
  board: {
    ask: 'Shake and level that board',
    seconds: 12,
    usual: { 'firm and level': 0.95, loose: 0.03, low: 0.02 },
  },
  edge: {
    ask: 'Run a nail along the blade edge',
    seconds: 12,
    usual: { sharp: 0.84, rounded: 0.12, nicked: 0.04 },
  },
  blade: {
    ask: 'Read the blade: hardness as planned?',
    seconds: 6,
    usual: { 'as planned': 0.95, softer: 0.04, harder: 0.01 },
  },
  angle: {
    ask: 'Look at the blade while it prints',
    seconds: 8,
    usual: { 'edge prints': 0.88, 'flat side prints': 0.12 },
  },
  even: {
    ask: 'Two slow, careful prints: alike?',
    seconds: 28,
    usual: { 'still the same fault': 0.8, better: 0.2 },
    running: true,
  },
  easier: {
    ask: 'One print with less pressure',
    seconds: 14,
    usual: { 'no change': 0.7, better: 0.15, worse: 0.15 },
    running: true,
  },
  firmer: {
    ask: 'One print with more pressure',
    seconds: 14,
    usual: { 'no change': 0.66, better: 0.16, worse: 0.18 },
    running: true,
  },
  flood: {
    ask: 'Flood again and look: whole image covered?',
    seconds: 6,
    usual: { covered: 0.9, gaps: 0.1 },
    running: true,
  },
  level: {
    ask: 'Ink in front of and behind the blade?',
    seconds: 3,
    usual: { plenty: 0.88, little: 0.12 },
    running: true,
  },
  paddle: {
    ask: 'Stir to the bottom: settled or stiff?',
    seconds: 12,
    usual: { creamy: 0.8, stiff: 0.1, runny: 0.04, settled: 0.06 },
  },
  can: {
    ask: 'Read the can against the formula',
    seconds: 12,
    usual: { 'right can': 0.97, 'wrong can': 0.03 },
  },
  weights: { ask: 'Weigh-sheet against formula', seconds: 45, usual: { 'adds up': 0.95, 'does not': 0.05 } },
  card: {
    ask: 'Print on a white card: colour right there?',
    seconds: 20,
    usual: { 'right on card': 0.6, 'wrong too': 0.4 },
  },
  paper: {
    ask: 'Print on paper: in register there?',
    seconds: 30,
    usual: { 'out on paper too': 0.62, 'in on paper': 0.38 },
  },
  first: {
    ask: 'Lay it beside the approved sample',
    seconds: 6,
    usual: { alike: 0.5, heavier: 0.12, thinner: 0.18, 'other hue': 0.2 },
    needs: ['sample'],
  },
  light: {
    ask: 'Screen against the light',
    seconds: 25,
    usual: { clean: 0.86, pinholes: 0.05, scum: 0.04, 'old image': 0.03, 'edges gone': 0.02 },
  },
  tack: {
    ask: 'Touch the board: does it hold?',
    seconds: 4,
    usual: { holds: 0.85, weak: 0.15 },
    running: true,
  },
  idle: {
    ask: 'Did that screen stand still?',
    seconds: 3,
    usual: { no: 0.85, minutes: 0.15 },
    running: true,
  },
  fibres: { ask: 'Look across the print against the light', seconds: 6, usual: { flat: 0.7, fibres: 0.3 } },
  damp: { ask: 'Feel the garments: damp or cold?', seconds: 5, usual: { dry: 0.92, damp: 0.08 } },
  label: { ask: 'Read the care label', seconds: 5, usual: { 'as ordered': 0.95, 'other fibre': 0.05 } },
  between: {
    ask: 'Flash once before this colour',
    seconds: 40,
    usual: { 'no change': 0.66, better: 0.34 },
    needs: ['flash', 'wet'],
    running: true,
  },
  wipe: {
    ask: 'Wipe the back of the screens, print two',
    seconds: 35,
    usual: { 'no change': 0.75, better: 0.25 },
    running: true,
  },
  loupe: {
    ask: 'Loupe on the dots',
    seconds: 15,
    usual: { 'round and open': 0.62, joined: 0.15, doubled: 0.06, lost: 0.12, 'smeared one way': 0.05 },
    needs: ['loupe'],
  },
  belt: {
    ask: 'Paper strip or probe through the dryer',
    seconds: 100,
    usual: { 'in band': 0.84, 'too cool': 0.09, 'too hot': 0.07 },
  },
  stretch: { ask: 'Stretch the cured print', seconds: 8, usual: { holds: 0.86, cracks: 0.14 } },
  tape: { ask: 'Tape on the top colour, pull', seconds: 15, usual: { holds: 0.92, lifts: 0.08 } },
  gloss: {
    ask: 'Look at the expander',
    seconds: 4,
    usual: { raised: 0.6, 'matt and low': 0.2, 'glossy or dimpled': 0.2 },
    needs: ['puff'],
  },
  load: { ask: 'Load one garment with special care', seconds: 25, usual: { 'no change': 0.8, better: 0.2 } },
  scrap: {
    ask: 'Print a scrap of other cloth',
    seconds: 30,
    usual: { 'same fault': 0.75, 'fault gone': 0.25 },
  },
  setup: {
    ask: 'Mesh and strokes against the plan',
    seconds: 8,
    usual: { 'as planned': 0.93, 'more strokes': 0.03, 'other mesh': 0.04 },
  },
  choke: {
    ask: 'Compare edge gap with the planned choke',
    seconds: 12,
    usual: { 'over the choke': 0.5, 'within or no choke': 0.5 },
  },
} as const satisfies Readonly<Record<string, Row>>
export type QuestionId = keyof typeof QUESTIONS
