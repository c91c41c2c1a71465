import { keysOf } from '../quantity'
import { PRACTICES, type Practice } from './method'

const FACTS = {
  // The order.
  quantities: 'quantities ordered',
  sizes: 'sizes of the garments',
  printWidth: 'width of the print',
  printHeight: 'height of the print',
  where: 'where the print sits',
  clothColour: 'cloth colour',
  weave: 'weave of the cloth',
  polyester: 'polyester in the cloth',
  colours: 'colours of the art',
  inkColour: 'ink colour',
  inkType: 'ink type',
  opacity: 'how the ink covers',
  coverage: 'coverage of the colours',
  inkSystem: 'ink system',
  lowCure: 'low-cure additive',
  inkCan: 'what the can of the ink says',
  ruling: 'ruling and angle of halftones',
  line: 'smallest line',
  flakes: 'particle size of the ink',
  wantedFilm: 'wanted dry deposit',
  touching: 'what touches or overlaps in the art',
  // The shop.
  presses: 'presses and heads of the shop',
  pressures: 'the pressure scale noted for the press',
  flashUnits: 'flash units of the shop',
  dryers: 'dryers of the shop',
  airToday: 'air of the shop as it was said today',
  frames: 'frames in stock',
  filmLine: 'how frames sit over the pallet',
  fabrics: 'mesh table of the shop',
  emulsions: 'emulsions of the shop',
  medium: 'what films are printed on',
  lamps: 'lamps of the shop and their distance',
  stepTests: 'step tests of the shop',
  squeegees: 'squeegees of the shop',
  approved: 'approved settings',
  measuredInks: 'inks measured by the shop',
  colourLimits: 'how far the shop lets a colour be off',
  inkLaid: 'what the shop weighed back',
  ownSetup: 'set-up of a screen as the shop logged it',
} as const

/** Facts that come of others, worked out in one place for all that read them. */
const DERIVED = {
  pieces: { words: 'pieces', from: ['quantities', 'sizes'], after: [] },
  printOrder: {
    words: 'print order',
    from: [
      'colours',
      'inkColour',
      'inkType',
      'opacity',
      'coverage',
      'inkSystem',
      'touching',
      'clothColour',
      'flashUnits',
      'practice flash',
      'practice colourOrder',
      'practice wetMost',
      'practice blackTrap',
      'practice highlight',
      'practice ink',
      'practice smooth',
    ],
    after: ['base', 'white', 'smooth'],
  },
} as const satisfies Record<string, { words: string; from: readonly BasicFact[]; after: readonly string[] }>

/** A fact of the order or the shop, or the practice of the shop or the job. */
export type BasicFact = keyof typeof FACTS | `practice ${Practice}`
type DerivedFact = keyof typeof DERIVED
/** What a setting may follow from. */
export type Fact = BasicFact | DerivedFact

const isDerived = (fact: Fact): fact is DerivedFact => Object.hasOwn(DERIVED, fact)

/** A fact in words. */
export function factWords(fact: Fact): string {
  if (isDerived(fact)) return DERIVED[fact].words
  if (Object.hasOwn(FACTS, fact)) return FACTS[fact as keyof typeof FACTS]
  return `practice: ${PRACTICES[fact.replace('practice ', '') as Practice].question.toLowerCase()}`
}

/** The facts that one comes of, itself if of none, and the settings it is worked out after. */
export const comesOf = (
  fact: Fact,
): { readonly from: readonly BasicFact[]; readonly after: readonly string[] } =>
  isDerived(fact) ? DERIVED[fact] : { from: [fact], after: [] }

/** Every fact that stands by itself. */
export const BASIC_FACTS: readonly BasicFact[] = [
  ...keysOf(FACTS),
  ...keysOf(PRACTICES).map((s) => `practice ${s}` as const),
]
