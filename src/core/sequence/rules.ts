import { ruleTable } from '../advice'
import { FLASH, type Hit, isBase, type Job, type Relation } from './hit'

/** What a pair rule forbids for "i before j": in any state, while wet, or once dried by a flash. */
export type Verdict = 'any' | 'wet' | 'dry'

export interface PairContext {
  readonly job: Job
  /** How i and j meet, if they do. */
  readonly meet: Relation | undefined
  /** The press prints wet-on-wet. A bench dries every colour on a rack. */
  readonly wetOnWet: boolean
}

interface PairRule {
  readonly forbids: Verdict
  readonly applies: (i: Hit, j: Hit, ctx: PairContext) => boolean
}

export const SEQUENCE_RULES = ruleTable({
  BASE_FIRST: { says: '{j} is a base: {i} cannot go before it.', source: 'common practice' },
  SMOOTH_ORDER: {
    says: 'The smoothing screen comes after the base and before all else.',
    source: 'common practice',
  },
  BLACK_LAST: { says: '{i} cleans up outlines: {j} goes before it.', source: 'common practice' },
  CLEAR_LAST: { says: '{i} is clear and lies over {j}.', source: 'common practice' },
  PUFF_LAST: { says: '{i} rises in the dryer: {j} goes before it.', source: 'common practice' },
  EXPLICIT: { says: 'The lead puts {j} before {i}.', source: "the shop's choice" },
  BASE_FLASH: { says: '{j} lies on {i}, which must be gelled first.', source: 'common practice' },
  HL_OVERLAP: { says: '{i} and {j} overlap: wet, they make a grey edge.', source: 'common practice' },
  BLACK_FLASH: {
    says: '{i} must be dry where it meets {j}, or the black goes muddy.',
    source: 'common practice',
  },
  METAL_FLASH: { says: '{i} must be dry under {j}, or the shimmer is lost.', source: 'common practice' },
  DIRECT_OPAQUE: {
    says: '{i} and {j} are opaque and straight on dark cloth: the next screen would pick up the wet ink.',
    source: 'common practice',
  },
  INK_MIX: {
    says: '{i} and {j} are different ink systems and must not meet wet.',
    source: 'common practice',
  },
  FLASH_EVERY: { says: 'This shop flashes after every colour: {i}, then {j}.', source: "the shop's choice" },
  WET_MOST: {
    says: 'At most {most} inks that dry in the screen are wet together here: {names} would be more.',
    source: "the shop's choice",
  },
  HAND_FLASH: { says: 'The lead wants a flash between {i} and {j}.', source: "the shop's choice" },
  BENCH_DRY: {
    says: 'On a bench every colour dries before the next: {i}, then {j}.',
    source: 'common practice',
  },
  BLEND_WET: { says: '{i} and {j} blend, so they must stay wet together.', source: 'common practice' },
  SMOOTH_HOT: {
    says: 'The smoothing screen works only on hot film, straight after the flash.',
    source: 'common practice',
  },
  SMOOTH_WHITE: {
    says: 'After the smoothing screen comes the second white, with no flash between.',
    source: 'common practice',
  },
  PUFF_NOFLASH: { says: 'Expanding ink is not flashed: it rises in the dryer.', source: 'common practice' },
  MUD: {
    says: '{i} before {j}, {state}: {points} mud points, {why}.',
    source: 'common practice',
    severity: 'Note',
  },
  ORDER_MUD: {
    says: '{i} before {j}: the other way costs {points} mud points more ({why}).',
    source: 'common practice',
  },
  ORDER_FREE: { says: '{i} and {j} could go either way; the order of the art decides.', source: 'the order' },
  ORDER_ONLY: { says: 'It stands alone: no other ink is wet with it.', source: 'geometry' },
  FLASH_AFTER_BASE: {
    says: 'This shop flashes after the base only: {i} and {j} stay wet together, which risks mud.',
    source: "the shop's choice",
    severity: 'Watch',
  },
  COOL: {
    says: 'Station {station} stays empty so that the film cools after the flash.',
    source: 'common practice',
  },
  COVERED: {
    says: 'Station {station} lies under the flash unit before it: nothing hangs there.',
    source: 'geometry',
  },
  DOWN: { says: 'Head {station} is down: nothing hangs there, the print cools.', source: 'the order' },
  NO_COOL: {
    says: '{name} prints with {missing} cool-down station too few after the flash: hot film sticks to the screen.',
    source: 'common practice',
    severity: 'Watch',
  },
  FLASH_SHORT: {
    says: 'The order needs {need} flash units standing in the ring and {press} has {have}.',
    source: 'geometry',
    severity: 'Stop',
  },
  NO_FLASH: { says: 'The order needs a flash and {press} has none.', source: 'geometry', severity: 'Stop' },
  STATIONS_SHORT: {
    says: '{screens} screens and {flashes} flashes need {need} stations in one revolution; {press} has {have} that can take them.',
    source: 'geometry',
    severity: 'Stop',
  },
  HEADS_SHORT: {
    says: '{screens} screens do not fit {press}, which has {have} heads.',
    source: 'geometry',
    severity: 'Stop',
  },
  TWO_LAPS: {
    says: 'One revolution has no room for it: every garment goes round twice. Twice the time, and once more a chance to shift.',
    source: 'geometry',
    severity: 'Watch',
  },
  TWO_SHORT: {
    says: 'In two revolutions they would still need {need}, as every screen has its own; {press} has {have}.',
    source: 'geometry',
    severity: 'Watch',
  },
  TWO_UNKNOWN: {
    says: 'Whether {screens} screens fit in two revolutions was not found out: too many ways were tried.',
    source: 'geometry',
    severity: 'Watch',
  },
  BEST_TRIED: {
    says: 'The best of the ways that were tried, before there were too many: at most {flashes} flashes and {mud} mud points could still be saved.',
    source: 'geometry',
    severity: 'Note',
  },
  HELP_UNIT: { says: 'One more flash unit at {press} would do{laps}.', source: 'geometry' },
  HELP_PLACES: { says: 'If a flash could stand at any station it would fit{laps}.', source: 'geometry' },
  HELP_HEAD: { says: 'With head {station} working it would fit{laps}.', source: 'geometry' },
  HELP_HEADS: { says: 'With every head working it would fit{laps}.', source: 'geometry' },
  HELP_BASE: {
    says: 'Without the second base hit it would fit{laps}: another way to a bright white.',
    source: 'geometry',
  },
  HELP_LESS: {
    says: 'Without {name} it would fit{laps}: a screen less, or another press.',
    source: 'geometry',
  },
  NO_LAYOUT: {
    says: '{screens} screens and {flashes} flashes find no place in one revolution of {press}, given where flashes may stand.',
    source: 'geometry',
    severity: 'Stop',
  },
  CLASH: {
    says: 'These cannot be printed together in any order: {names}.',
    source: 'common practice',
    severity: 'Stop',
  },
  BY_HAND: {
    says: 'The order by hand breaks a rule between {names}: take it back.',
    source: 'common practice',
    severity: 'Stop',
  },
  SMOOTH_ALONE: {
    says: 'A smoothing screen needs a second white over it.',
    source: 'common practice',
    severity: 'Stop',
  },
  TOO_MANY: {
    says: '{screens} hits: this planner takes at most {most}.',
    source: 'geometry',
    severity: 'Stop',
  },
})

const role = (h: Hit, ...roles: readonly Hit['role'][]) => roles.includes(h.role)
const laysInk = (h: Hit) => h.role !== 'smoothing'
const direct = (h: Hit) => !h.onBase && !isBase(h)
const touchesOrOverlaps = (r: Relation | undefined) => r?.how === 'touch' || r?.how === 'overlap'

/** Every rule that is a statement about an ordered pair, i before j. */
export const PAIR_RULES = {
  BASE_FIRST: {
    forbids: 'any',
    applies: (i, j) =>
      (j.role === 'base' && i.role !== 'base') || (j.role === 'base2' && !role(i, 'base', 'smoothing')),
  },
  SMOOTH_ORDER: { forbids: 'any', applies: (i, j) => j.role === 'smoothing' && i.role !== 'base' },
  BLACK_LAST: {
    forbids: 'any',
    applies: (i, j) => i.role === 'black' && !role(j, 'black', 'clear', 'expanding'),
  },
  CLEAR_LAST: { forbids: 'any', applies: (i, j) => i.role === 'clear' && !role(j, 'clear', 'expanding') },
  PUFF_LAST: { forbids: 'any', applies: (i, j) => i.role === 'expanding' && j.role !== 'expanding' },
  EXPLICIT: {
    forbids: 'any',
    applies: (i, j, { job }) => {
      const [a, b] = [job.explicit?.indexOf(i.id) ?? -1, job.explicit?.indexOf(j.id) ?? -1]
      return a >= 0 && b >= 0 && a > b
    },
  },
  BASE_FLASH: { forbids: 'wet', applies: (i, _j, { meet }) => isBase(i) && meet !== undefined },
  HL_OVERLAP: {
    forbids: 'wet',
    applies: (i, j, { meet }) =>
      (i.role === 'highlight' || j.role === 'highlight') && meet?.how === 'overlap',
  },
  BLACK_FLASH: {
    forbids: 'wet',
    applies: (i, j, { meet }) =>
      (j.role === 'black' && touchesOrOverlaps(meet)) || (i.role === 'black' && meet?.how === 'overlap'),
  },
  METAL_FLASH: {
    forbids: 'wet',
    applies: (i, j, { meet }) =>
      (i.role === 'metallic' && meet !== undefined) || (j.role === 'metallic' && meet?.how === 'overlap'),
  },
  DIRECT_OPAQUE: {
    forbids: 'wet',
    applies: (i, j, { job, meet }) =>
      job.darkCloth && direct(i) && direct(j) && Math.min(i.opacity, j.opacity) >= 0.7 && meet !== undefined,
  },
  INK_MIX: { forbids: 'wet', applies: (i, j, { meet }) => i.system !== j.system && meet !== undefined },
  FLASH_EVERY: {
    forbids: 'wet',
    applies: (_i, _j, { job, meet }) => job.method.flash === 'every' && meet?.how !== 'blend',
  },
  HAND_FLASH: {
    forbids: 'wet',
    applies: (i, j, { job }) => {
      const order = job.explicit ?? []
      const [a, b] = [order.indexOf(i.id), order.indexOf(j.id)]
      return a >= 0 && b > a && order.slice(a, b).includes(FLASH)
    },
  },
  BENCH_DRY: { forbids: 'wet', applies: (_i, _j, { wetOnWet }) => !wetOnWet },
  BLEND_WET: { forbids: 'dry', applies: (_i, _j, { meet, wetOnWet }) => wetOnWet && meet?.how === 'blend' },
} as const satisfies Record<string, PairRule>

export type PairCode = keyof typeof PAIR_RULES

const CODES = Object.keys(PAIR_RULES) as PairCode[]

/** The codes of every rule that forbids "i before j", with what each forbids. */
export function pairCodes(i: Hit, j: Hit, ctx: PairContext): readonly (readonly [PairCode, Verdict])[] {
  const inked = laysInk(i) && laysInk(j)
  return CODES.filter((code) => {
    const rule: PairRule = PAIR_RULES[code]
    return (inked || rule.forbids === 'any') && rule.applies(i, j, ctx)
  }).map((code) => [code, PAIR_RULES[code].forbids])
}
