import { isoOf, type Moment } from '../schedule'
import { NOTHING_OTHERWISE, type Otherwise, type ShopDays } from './facts'
import type { DaysKept } from './kept'

/** One thing that happened. */
export type Happened =
  | ({ readonly kind: 'down' } & DaysKept['down'][number])
  | ({ readonly kind: 'away' } & Otherwise['away'][number])
  | ({ readonly kind: 'garments' } & Otherwise['garments'][number])
  | ({ readonly kind: 'longer' } & Otherwise['longer'][number])

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
