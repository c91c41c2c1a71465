import { type DaysNow, DaysSearch, type Proposal } from './decide'
import type { DayFacts, OnPress, ShopDays } from './facts'
import type { DaysKept } from './kept'
import type { LaneRun } from './lanes'

/** Seconds earlier that are worth a change. */
const WORTH = 1800

/** What can be done for an order that is late. */
export const RESCUES = ['as it is', 'press', 'overtime', 'loader', 'split'] as const
export type RescueKind = (typeof RESCUES)[number]

/** One way to have an order earlier, before it is searched. */
interface Way {
  readonly kind: RescueKind
  readonly pressId?: string
  readonly asked: ShopDays
  readonly kept: DaysKept
}

/** One way with what it comes to. */
export interface Rescue {
  readonly kind: RescueKind
  readonly pressId: string | undefined
  /** When the order is done, and seconds that it is late then; none where a run of it has no place. */
  readonly done: number | undefined
  readonly late: number | undefined
  /** What cannot be taken here has only to be decided at the order: its quantities are split there. */
  readonly canBeTaken: boolean
  readonly proposal: Proposal
}

/** The same days for one order that counts more than all others, and is no longer held where the lead put it. */
const urgent = ({ asked }: DaysNow, orderId: string): ShopDays => ({ ...asked, urgent: orderId })

/** Half of a run on other presses than the first half, on screens of its own. */
function halved(asked: ShopDays, orderId: string): ShopDays | undefined {
  const own = asked.runs.filter((r) => r.orderId === orderId && r.pieces > 1 && r.on.length > 1)
  const isOwn = (r: DayFacts) => own.includes(r) && !asked.begun.some((b) => b.runId === r.runId)
  if (!own.some(isOwn)) return undefined
  const half = (o: OnPress): OnPress => ({
    ...o,
    print: o.print / 2,
    ...(o.helped !== undefined && { helped: o.helped / 2 }),
  })
  const screens: Record<string, ShopDays['screens'][string]> = { ...asked.screens }
  const runs = asked.runs.flatMap((r) => {
    if (!isOwn(r)) return [r]
    const pieces = Math.floor(r.pieces / 2)
    const second = { ...r, runId: `${r.runId}.half`, print: `${r.print}.half`, pieces, on: r.on.map(half) }
    screens[`${orderId}.${second.print}`] = (asked.screens[`${orderId}.${r.print}`] ?? []).map(
      ({ mesh }) => ({
        mesh,
        left: undefined,
      }),
    )
    return [{ ...r, pieces: r.pieces - pieces, on: r.on.map(half) }, second]
  })
  return { ...asked, runs, screens }
}

/** Ways that are worth a search: always the days as they are, then each that changes something. */
function waysFor(now: DaysNow, orderId: string): readonly Way[] {
  const asked = urgent(now, orderId)
  const own = asked.runs.filter((r) => r.orderId === orderId && !asked.begun.some((b) => b.runId === r.runId))
  const ids = own.map((r) => r.runId)
  const kept = { ...now.kept, pins: now.kept.pins.filter((p) => !ids.includes(p.runId)) }
  const noLonger = { ...asked, overtime: now.kept.choice?.overtime ?? {} }
  const onOther = asked.shop.presses.flatMap(({ id }): Way[] => {
    const moves = own.filter(
      (r) => r.on.some((o) => o.pressId === id) && now.kept.choice?.press[r.runId] !== id,
    )
    if (moves.length === 0) return []
    const only = Object.fromEntries(moves.map((r) => [r.runId, id]))
    return [{ kind: 'press', pressId: id, asked: { ...noLonger, only }, kept }]
  })
  const helped = own.filter((r) => r.on.some((o) => o.helped !== undefined)).map((r) => r.runId)
  const split = halved(noLonger, orderId)
  return [
    { kind: 'as it is', asked: noLonger, kept },
    ...onOther,
    { kind: 'overtime', asked, kept },
    ...(helped.length > 0
      ? [
          {
            kind: 'loader' as const,
            asked: noLonger,
            kept: { ...kept, helped: [...(kept.helped ?? []), ...helped] },
          },
        ]
      : []),
    ...(split ? [{ kind: 'split' as const, asked: split, kept }] : []),
  ]
}

/**
 * Ways to have a late order earlier, each searched for as long as the days as they are: what only searching brings is not put to
 * the account of a way (model of the schedule, section 6).
 */
export class Rescues {
  private readonly now: DaysNow
  private readonly orderId: string
  private readonly ways: readonly { readonly way: Way; readonly search: DaysSearch }[]

  /** @param evaluations plans tried for each way */
  constructor(now: DaysNow, orderId: string, evaluations: number) {
    this.now = now
    this.orderId = orderId
    this.ways = waysFor(now, orderId).map((way) => ({
      way,
      search: new DaysSearch(now, way.kept, { price: 'usual', evaluations }, way.asked),
    }))
  }

  get isDone(): boolean {
    return this.ways.every((w) => w.search.isDone)
  }
  get share(): number {
    return this.ways.reduce((sum, w) => sum + w.search.share, 0) / Math.max(1, this.ways.length)
  }
  go(evaluations: number): void {
    this.ways.find((w) => !w.search.isDone)?.search.go(evaluations)
  }

  /** What was found, what does it at the least cost to others first; ways that bring nothing beyond the days as they are left out. */
  found(): readonly Rescue[] {
    const all = this.ways.map(({ way, search }) => this.rescueOf(way, search.proposal(way.kept)))
    const plain = all[0]
    const before = orderIn(this.now.lanes.runs, this.orderId)
    const isGood = (r: Rescue) => {
      const other = (r === plain ? before.late : plain?.late) ?? Number.POSITIVE_INFINITY
      return r.late !== undefined && r.late < other && (r.late === 0 || other - r.late >= WORTH)
    }
    const others = (r: Rescue) => r.proposal.lanes.late - (r.late ?? 0)
    return all.filter(isGood).sort((a, b) => (a.late ?? 0) - (b.late ?? 0) || others(a) - others(b))
  }

  private rescueOf({ kind, pressId }: Way, proposal: Proposal): Rescue {
    const canBeTaken = kind !== 'split'
    return { ...{ kind, pressId, canBeTaken, proposal }, ...orderIn(proposal.lanes.runs, this.orderId) }
  }
}

/** When an order is done, and how late. */
function orderIn(runs: readonly LaneRun[], orderId: string): Pick<Rescue, 'done' | 'late'> {
  const own = runs.filter((r) => r.facts.orderId === orderId)
  return own.length === 0
    ? { done: undefined, late: undefined }
    : { done: Math.max(...own.map((r) => r.done)), late: Math.max(...own.map((r) => r.late)) }
}
