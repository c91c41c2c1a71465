import { isoOf, type Moment } from '../schedule'
import type { ShopDays } from './facts'
import type { DaysKept } from './kept'

/** What came otherwise than it was planned; a person and an order by their ids, days as ISO and both included. */
export interface Otherwise {
  readonly away: readonly { readonly personId: string; readonly first: string; readonly last: string }[]
  /** Garments that are not here yet, and the day on which they are now expected. */
  readonly garments: readonly { readonly orderId: string; readonly on: string }[]
  /** Seconds that a run prints longer than it was planned for. */
  readonly longer: readonly { readonly runId: string; readonly by: number }[]
}

export const NOTHING_OTHERWISE: Otherwise = { away: [], garments: [], longer: [] }

/** One thing that happened. */
export type Happened =
  | ({ readonly kind: 'down' } & DaysKept['down'][number])
  | ({ readonly kind: 'away' } & Otherwise['away'][number])
  | ({ readonly kind: 'garments' } & Otherwise['garments'][number])
  | ({ readonly kind: 'longer' } & Otherwise['longer'][number])

/** The shop and its runs with what came otherwise: people who are gone, garments that come later, runs that take longer. */
export function asItIs(asked: ShopDays): ShopDays {
  const { away, garments, longer } = asked.otherwise ?? NOTHING_OTHERWISE
  if (away.length + garments.length + longer.length === 0) return asked
  const late = new Map(garments.map((g) => [g.orderId, g.on]))
  // Of what is begun only a part is still to be printed: it is that part that grows by so much.
  const leftOf = (runId: string) => Math.max(0.01, asked.begun.find((b) => b.runId === runId)?.left ?? 1)
  const by = new Map(longer.map((l) => [l.runId, l.by / leftOf(l.runId)]))
  const more = (seconds: number | undefined, runId: string) =>
    seconds === undefined ? undefined : seconds + (by.get(runId) ?? 0)
  return {
    ...asked,
    shop: {
      ...asked.shop,
      people: asked.shop.people?.map((p) => ({
        ...p,
        away: [...p.away, ...away.filter((a) => a.personId === p.id)],
      })),
    },
    garmentsIn: asked.garmentsIn.filter((id) => !late.has(id)),
    runs: asked.runs.map((r) => ({
      ...r,
      garmentsOn: late.get(r.orderId) ?? r.garmentsOn,
      on: r.on.map((o) => ({
        ...o,
        print: more(o.print, r.runId) ?? o.print,
        helped: more(o.helped, r.runId),
        range: [o.range[0], o.range[1] + (by.get(r.runId) ?? 0)] as const,
      })),
    })),
  }
}

/** What is kept of the days once something has happened: the last word counts; what is over, or of runs that are gone, is forgotten. */
export function happened({ now, runs }: ShopDays, kept: DaysKept, what: Happened): DaysKept {
  const today = isoOf(now).slice(0, 10)
  const { away, garments, longer } = kept.otherwise ?? NOTHING_OTHERWISE
  const open: Otherwise = {
    away: away.filter((a) => a.last >= today),
    garments: garments.filter((g) => runs.some((r) => r.orderId === g.orderId)),
    longer: longer.filter((l) => runs.some((r) => r.runId === l.runId)),
  }
  const still = { ...kept, down: stillDown(kept.down, now), otherwise: open }
  switch (what.kind) {
    case 'down': {
      const { pressId, from, to } = what
      const others = still.down.filter((d) => d.pressId !== pressId)
      return { ...still, down: [...others, { pressId, from, to }] }
    }
    case 'away': {
      const { personId, first, last } = what
      const others = open.away.filter((a) => a.personId !== personId)
      return { ...still, otherwise: { ...open, away: [...others, { personId, first, last }] } }
    }
    case 'garments': {
      const { orderId, on } = what
      const others = open.garments.filter((g) => g.orderId !== orderId)
      return { ...still, otherwise: { ...open, garments: [...others, { orderId, on }] } }
    }
    case 'longer': {
      const { runId, by } = what
      const others = open.longer.filter((l) => l.runId !== runId)
      return { ...still, otherwise: { ...open, longer: [...others, { runId, by }] } }
    }
    default:
      return what satisfies never
  }
}

const stillDown = (down: DaysKept['down'], now: Moment): DaysKept['down'] => down.filter((d) => d.to > now)

/** What is over after all: the press works, the person is back, the garments are here, the run takes what it should. */
export type Over =
  | { readonly kind: 'down'; readonly pressId: string }
  | { readonly kind: 'away'; readonly personId: string }
  | { readonly kind: 'garments'; readonly orderId: string }
  | { readonly kind: 'longer'; readonly runId: string }

/** What is kept of the days once something is over after all. */
export function over(kept: DaysKept, what: Over): DaysKept {
  const { away, garments, longer } = kept.otherwise ?? NOTHING_OTHERWISE
  const otherwise = { away, garments, longer }
  switch (what.kind) {
    case 'down':
      return { ...kept, down: kept.down.filter((d) => d.pressId !== what.pressId) }
    case 'away':
      return { ...kept, otherwise: { ...otherwise, away: away.filter((a) => a.personId !== what.personId) } }
    case 'garments':
      return {
        ...kept,
        otherwise: { ...otherwise, garments: garments.filter((g) => g.orderId !== what.orderId) },
      }
    case 'longer':
      return { ...kept, otherwise: { ...otherwise, longer: longer.filter((l) => l.runId !== what.runId) } }
    default:
      return what satisfies never
  }
}
