import type { Event, Job, Ring, StationSpace } from './hit'

/** Mounted at a station where a screen of another job does. */
export const OTHER_JOB = 'another job'

const taken = (place: StationSpace): number => (place.mounted === OTHER_JOB ? 1 : 0)

/** Set-up moves to have a screen at a station: none where it mounted already; what mounted or stands in its way comes down first. */
export const mountingMoves = (place: StationSpace, hitId: string): number =>
  place.mounted === hitId ? 0 : 1 + taken(place) + (place.flashStands ? 1 : 0)

/** Set-up moves to have a flash unit at a station: it is heavier than a screen, and what mounted under it comes down. */
export function standingMoves({ stations, flashWidth = 1 }: Ring, at: number): number {
  const under = stations.slice(at, at + flashWidth)
  if (stations[at]?.flashStands) return 0
  return 2 + under.reduce((sum, place) => sum + taken(place), 0)
}

/** Set-up moves that a layout asks for, from what mounted and stands on the ring now. */
export function movesIn(job: Job, events: readonly Event[], ring: Ring): number {
  const done = new Map<number, number>()
  for (const e of events) {
    const at = ring.stations.findIndex((s) => s.number === e.station)
    const place = ring.stations[at]
    if (!place || done.has(at)) continue
    done.set(
      at,
      e.kind === 'flash' ? standingMoves(ring, at) : mountingMoves(place, job.hits[e.hit]?.id ?? ''),
    )
  }
  return [...done.values()].reduce((a, b) => a + b, 0)
}
