import { COVERS_ALONE } from '../order'
import { keysOf } from '../quantity'
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

const role = (h: Hit, ...roles: readonly Hit['role'][]) => roles.includes(h.role)
const laysInk = (h: Hit) => h.role !== 'smoothing'
const direct = (h: Hit) => !h.onBase && !isBase(h)
const touchesOrOverlaps = (r: Relation | undefined) => r?.how === 'touch' || r?.how === 'overlap'

/** A black that hides a colour straight on light cloth prints on it wet, where the shop holds with that. */
const trapsWet = (colour: Hit, black: Hit, { darkCloth, method }: Job) =>
  method.blackTrap === 'wet' &&
  !darkCloth &&
  direct(colour) &&
  direct(black) &&
  black.opacity >= COVERS_ALONE &&
  !role(colour, 'highlight', 'metallic') &&
  colour.system === black.system

const isColour = (h: Hit) => !isBase(h) && !role(h, 'smoothing', 'highlight', 'clear', 'expanding')

/** After a smoothing screen its white follows, whatever the school says of highlights. */
const smoothedWhite = ({ hits, smoothsBase = false }: Job) =>
  !smoothsBase && hits.some((h) => h.role === 'smoothing') && !hits.some((h) => h.role === 'base2')

/** The lead put them in their order: a practice of the house says nothing more. */
const byHand = ({ explicit = [] }: Job, i: Hit, j: Hit) => explicit.includes(i.id) && explicit.includes(j.id)

const besideMetal = (metal: Hit, white: Hit, meet: Relation | undefined) =>
  metal.role === 'metallic' && white.role === 'highlight' && touchesOrOverlaps(meet)

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
    applies: (i, j, { meet }) =>
      i.role === 'black' && !role(j, 'black', 'clear', 'expanding') && meet?.over !== j.id,
  },
  CLEAR_LAST: {
    forbids: 'any',
    applies: (i, j, { meet }) => i.role === 'clear' && !role(j, 'clear', 'expanding') && meet?.over !== j.id,
  },
  PUFF_LAST: { forbids: 'any', applies: (i, j) => i.role === 'expanding' && j.role !== 'expanding' },
  /** Shimmer beside a white that touches it: its flakes would get into the white. */
  METAL_WHITE: {
    forbids: 'any',
    applies: (i, j, { job, meet }) => besideMetal(j, i, meet) && meet?.over !== j.id && !smoothedWhite(job),
  },
  HL_LAST: {
    forbids: 'any',
    applies: (i, j, { job, meet }) =>
      job.method.highlight === 'last' &&
      i.role === 'highlight' &&
      isColour(j) &&
      j.role !== 'black' &&
      meet?.over !== j.id &&
      !smoothedWhite(job) &&
      !byHand(job, i, j),
  },
  HL_FIRST: {
    forbids: 'any',
    applies: (i, j, { job, meet }) =>
      job.method.highlight === 'first' &&
      j.role === 'highlight' &&
      isColour(i) &&
      meet?.over !== j.id &&
      !besideMetal(i, j, meet) &&
      !byHand(job, i, j),
  },
  OVER: { forbids: 'any', applies: (i, _j, { meet }) => meet?.over === i.id },
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
    applies: (i, j, { job, meet }) =>
      (j.role === 'black' && touchesOrOverlaps(meet) && !trapsWet(i, j, job)) ||
      (i.role === 'black' && meet?.how === 'overlap'),
  },
  METAL_FLASH: {
    forbids: 'wet',
    applies: (i, j, { meet }) =>
      (i.role === 'metallic' && meet !== undefined) || (j.role === 'metallic' && meet?.how === 'overlap'),
  },
  DIRECT_OPAQUE: {
    forbids: 'wet',
    applies: (i, j, { job, meet }) =>
      job.darkCloth &&
      direct(i) &&
      direct(j) &&
      Math.min(i.opacity, j.opacity) >= COVERS_ALONE &&
      meet !== undefined,
  },
  INK_MIX: { forbids: 'wet', applies: (i, j, { meet }) => i.system !== j.system && meet !== undefined },
  FLASH_EVERY: {
    forbids: 'wet',
    applies: (_i, _j, { job, meet }) => job.method.flash === 'every' && meet?.how !== 'blend',
  },
  FLASH_TOUCH: {
    forbids: 'wet',
    applies: (_i, _j, { job, meet }) => job.method.flash === 'touch' && touchesOrOverlaps(meet),
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

const CODES = keysOf(PAIR_RULES)

/** The codes of every rule that forbids "i before j", with what each forbids. */
export function pairCodes(i: Hit, j: Hit, ctx: PairContext): readonly (readonly [PairCode, Verdict])[] {
  const inked = laysInk(i) && laysInk(j)
  return CODES.filter((code) => {
    const rule: PairRule = PAIR_RULES[code]
    return (inked || rule.forbids === 'any') && rule.applies(i, j, ctx)
  }).map((code) => [code, PAIR_RULES[code].forbids])
}
