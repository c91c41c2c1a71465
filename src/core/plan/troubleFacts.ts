import { numberOf, q, type Reason } from '../advice'
import { driesInScreen, isPolyester, meetings, toneOf } from '../order'
import type { Kind } from '../quantity'
import { trapBudget } from '../registration'
import type { Role } from '../sequence'
import type { Check, RunFacts } from '../trouble'
import { TROUBLE } from '../trouble'
import { lapAt, type RunHeat } from './runHeat'
import { ownScreens, type RunPlan } from './runPlan'
import { wetGroupsOf } from './wetGroupsOf'

/** Where the run stands at the press; nothing of it is known before it is printed. */
export interface AtPressNow {
  readonly pieces?: number
  /** Garments that lay on a board since its adhesive was renewed. */
  readonly sinceTack?: number
  readonly sinceInk?: number
  /** Longest stop lately, s. */
  readonly stood?: number
  /** Readings of a gun; celsius. */
  readonly check?: Check
  /** Film out of the dryer as it was read last, kelvin; the slackest screen, N/m. */
  readonly belt?: number
  readonly tension?: number
}

const CELSIUS = 273.15
/** Distances are told in these (model of trouble, section 4): kelvin, seconds, N/m, metres. */
const SD = {
  read: 1.6,
  set: 2.5,
  film: 8,
  cure: 9,
  slack: 400,
  particle: 0.5,
  ruling: 0.5,
  choke: 0.00008,
  cover: 3,
} as const
const LIMIT = {
  print: 58 + CELSIUS,
  board: 52 + CELSIUS,
  tension: 1800,
  particle: 2.9,
  ruling: 3.3,
  overlap: 0.4,
} as const
/** A water-based ink stays open so long in a screen that stands, s (common practice: a few minutes). */
const OPEN = 300
/** A shop that is colder makes inks stiff; damper air makes cloth damp. */
const COLD = 289.15
const DAMP = 0.65
/** As dark as black is; what is white, and not only as light as a yellow. */
const BLACK_L = 25
const WHITES: ReadonlySet<Role> = new Set(['base', 'base2', 'highlight'])

type Distance = keyof RunFacts['z']
const read = (kind: Kind, is: number, limit: number) => ({ is: q(kind, is), limit: q(kind, limit) })

/** Collects distances with their words. */
class Distances {
  readonly z: Partial<Record<Distance, number>> = {}
  readonly words: Partial<Record<Distance, Reason>> = {}
  readonly predicted: Distance[] = []

  add(distance: Distance, z: number, reason: Reason, foretold = false): void {
    if (!Number.isFinite(z) || z <= (this.z[distance] ?? Number.NEGATIVE_INFINITY)) return
    this.z[distance] = z
    this.words[distance] = reason
    if (foretold && !this.predicted.includes(distance)) this.predicted.push(distance)
  }
}

/**
 * What a run says of its own troubles: distances from limits by its models, counts at the press, and what is so of it.
 *
 * @param heat along the run; none where it is not worked out yet, or nothing is flashed
 */
export function troubleFacts(plan: RunPlan, heat: RunHeat | undefined, now: AtPressNow = {}): RunFacts {
  const d = new Distances()
  if (heat) ofHeat(d, plan, heat, now.pieces ?? 0)
  ofDryer(d, plan, now)
  ofScreens(d, plan, now)
  ofInks(d, plan)
  const boards = Math.max(1, plan.press.kind === 'manual' ? plan.press.pallets : 1)
  const { pieces, sinceTack, sinceInk, stood, check } = now
  const dries = plan.hits.some((h) => driesInScreen(h.hit.system))
  return {
    z: d.z,
    predicted: d.predicted,
    x: {
      ...(pieces !== undefined && { pieces, laps: Math.floor(pieces / boards) }),
      ...(sinceTack !== undefined && { sinceTack }),
      ...(sinceInk !== undefined && { sinceInk }),
      ...(dries && stood !== undefined && { idleRatio: stood / OPEN }),
    },
    flags: flagsOf(plan),
    has: { ...hasOf(plan), sample: pieces !== 0 },
    ...(check && { check }),
    words: { ...d.words, ...countWords(now) },
  }
}

function countWords({ pieces, sinceTack, sinceInk, check }: AtPressNow): NonNullable<RunFacts['words']> {
  return {
    ...(pieces !== undefined && { pieces: TROUBLE.because('FACT_PIECES', { is: q('count', pieces) }) }),
    ...(sinceTack !== undefined && {
      sinceTack: TROUBLE.because('FACT_TACK', { is: q('count', sinceTack) }),
    }),
    ...(sinceInk !== undefined && { sinceInk: TROUBLE.because('FACT_INK', { is: q('count', sinceInk) }) }),
    ...(check?.boardC !== undefined && {
      boardC: TROUBLE.because('FACT_CHECK', {
        is: q('temperature', check.boardC + CELSIUS),
        age: q('count', check.age),
      }),
    }),
  }
}

function ofHeat(d: Distances, plan: RunPlan, heat: RunHeat, pieces: number): void {
  const lap = lapAt(heat, Math.max(1, pieces))
  if (!lap) return
  const units = plan.flashes.filter((f) => f.unit)
  for (const [i, f] of lap.flashes.entries()) {
    const sd = units[i]?.unit?.calibration ? SD.read : SD.set
    if (f.needed !== undefined)
      d.add(
        'under',
        (f.needed - f.time) / sd,
        TROUBLE.because('FACT_UNDER', read('duration', f.time, f.needed)),
        true,
      )
    if (f.limit !== undefined)
      d.add(
        'over',
        (f.time - f.limit) / SD.set,
        TROUBLE.because('FACT_OVER', read('duration', f.time, f.limit)),
        true,
      )
  }
  for (const p of lap.prints)
    d.add(
      'hot',
      (p.film - LIMIT.print) / SD.film,
      TROUBLE.because('FACT_HOT', read('temperature', p.film, LIMIT.print)),
      true,
    )
  d.add(
    'board',
    (lap.board - LIMIT.board) / SD.film,
    TROUBLE.because('FACT_BOARD', read('temperature', lap.board, LIMIT.board)),
    true,
  )
}

function ofDryer(d: Distances, { cure: { inkFilm } }: RunPlan, { belt }: AtPressNow): void {
  const peak = belt ?? numberOf(inkFilm)
  const [, most] = inkFilm.range
  d.add(
    'cure',
    (inkFilm.advised - peak) / SD.cure,
    TROUBLE.because('FACT_CURE', read('temperature', peak, inkFilm.advised)),
    belt === undefined,
  )
  d.add(
    'cureHot',
    (peak - most) / SD.cure,
    TROUBLE.because('FACT_CURE_HOT', read('temperature', peak, most)),
    belt === undefined,
  )
}

function ofScreens(d: Distances, plan: RunPlan, { tension }: AtPressNow): void {
  const slackest = Math.min(
    tension ?? Number.POSITIVE_INFINITY,
    ...plan.hits.flatMap((h) => h.frame?.tension ?? []),
  )
  if (Number.isFinite(slackest))
    d.add(
      'slack',
      (LIMIT.tension - slackest) / SD.slack,
      TROUBLE.because('FACT_SLACK', read('tension', slackest, LIMIT.tension)),
    )
  for (const h of plan.hits) {
    const ink = plan.run.placement.inks.find((i) => i.id === h.hit.id)
    const mesh = numberOf(h.mesh)
    if (ink?.ruling)
      d.add(
        'ruling',
        (LIMIT.ruling - mesh / ink.ruling) / SD.ruling,
        TROUBLE.because(
          'FACT_RULING',
          read('count', Math.round((10 * mesh) / ink.ruling) / 10, LIMIT.ruling),
        ),
      )
  }
  const { width, height, choke } = plan.run.placement
  if (choke !== undefined && plan.hits.some((h) => h.hit.role === 'base')) {
    const { need } = trapBudget(width, height, choke)
    d.add('choke', (need - choke) / SD.choke, TROUBLE.because('FACT_CHOKE', read('fine', choke, need)))
  }
}

function ofInks(d: Distances, plan: RunPlan): void {
  for (const { id, particle } of plan.run.placement.inks) {
    const mesh = plan.hits.find((h) => h.hit.id === id)?.mesh
    const open = mesh?.reasons.find((r) => r.rule === 'MESH_DEPOSIT')?.inputs.opening
    if (particle && typeof open === 'object' && 'value' in open)
      d.add(
        'particle',
        (LIMIT.particle - open.value / particle) / SD.particle,
        TROUBLE.because('FACT_PARTICLE', read('thickness', open.value, LIMIT.particle * particle)),
      )
  }
  const short = plan.secondWhite.reasons.find((r) => r.rule === 'WHITE_SHORT')
  const [reached, wanted] = [short?.inputs.reached, short?.inputs.wanted]
  if (typeof reached === 'object' && 'value' in reached && typeof wanted === 'object' && 'value' in wanted)
    d.add(
      'cover',
      (wanted.value - reached.value) / SD.cover,
      TROUBLE.because('FACT_COVER', { is: reached, limit: wanted }),
    )
  const mud = mudOf(plan)
  if (mud !== undefined)
    d.add('mud', (mud - LIMIT.overlap) / 0.15, TROUBLE.because('FACT_MUD', { is: q('share', mud) }))
}

/** How much of the print wet colours share, by how strong the one below is; nothing where none meet wet. */
function mudOf(plan: RunPlan): number | undefined {
  let worst: number | undefined
  for (const group of wetGroupsOf(plan))
    for (const [i, under] of group.entries())
      for (const over of group.slice(i + 1)) {
        const meets = meetings(plan.run.placement.relations).some(
          (r) => r.how !== 'touch' && [r.a, r.b].includes(under.hit.id) && [r.a, r.b].includes(over.hit.id),
        )
        if (!meets) continue
        const overlap = Math.min(under.hit.coverage, over.hit.coverage)
        const strong = (100 - under.hit.L) / 100
        worst = Math.max(worst ?? 0, Math.min(1, overlap * (0.5 + strong)))
      }
  return worst
}

function flagsOf(plan: RunPlan): RunFacts['flags'] {
  const { press, cloth, ambient, flashes, hits, run } = plan
  const units = flashes.flatMap((f) => f.unit ?? [])
  const inkOf = (id: string) => run.placement.inks.find((i) => i.id === id)
  const wet = wetGroupsOf(plan)
  return {
    alu: 'palletMaterial' in press && press.palletMaterial === 'aluminium',
    noTimer: units.some((u) => u.mount !== 'timed') && press.kind !== 'automatic',
    poly: isPolyester(cloth),
    humid: numberOf(ambient.humidity) > DAMP,
    manual: press.kind !== 'automatic',
    wb: hits.some((h) => driesInScreen(h.hit.system)),
    dark: toneOf(cloth) === 'dark',
    coldShop: numberOf(ambient.air) < COLD,
    special: hits.some((h) => isSpecial(inkOf(h.hit.id)?.inkType)),
    blackWhiteWet: wet.some((g) => g.some((h) => h.hit.L < BLACK_L) && g.some((h) => WHITES.has(h.hit.role))),
    smoothing: hits.some((h) => h.hit.role === 'smoothing'),
    fleece: cloth.weave === 'fleece',
    puffFlashed: hits.some((h, i) => inkOf(h.hit.id)?.inkType === 'expanding' && flashedAfter(plan, i)),
  }
}

const isSpecial = (type: string | undefined) => type === 'metallic' || type === 'expanding'

/** Whether a flash comes behind the hit. */
function flashedAfter({ sequence: { cells }, hits }: RunPlan, at: number): boolean {
  const place = cells.findIndex((c) => c.kind === 'print' && c.hitId === hits[at]?.hit.id)
  return place >= 0 && cells.slice(place).some((c) => c.kind === 'flash')
}

function hasOf(plan: RunPlan): RunFacts['has'] {
  const { hits, run, press } = plan
  return {
    flash: plan.flashes.some((f) => f.unit),
    several: ownScreens(hits).length > 1,
    wet: wetGroupsOf(plan).some((g) => g.length > 1),
    puff: run.placement.inks.some((i) => i.inkType === 'expanding'),
    white: run.placement.inks.some((i) => i.inkType === 'white') || hits.some((h) => h.hit.role === 'base'),
    base: hits.some((h) => h.hit.role === 'base'),
    halftone: run.placement.inks.some((i) => i.ruling !== undefined),
    boards: press.kind === 'manual' || press.kind === 'automatic',
    smoothing: hits.some((h) => h.hit.role === 'smoothing'),
  }
}
