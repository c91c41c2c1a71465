import type { Event, Job, Ring, StationSpace } from './hit'

/** Hangs at a station where a screen of another job does. */
export const OTHER_JOB = 'another job'

const taken = (place: StationSpace): number => (place.hangs === OTHER_JOB ? 1 : 0)

/** Handgrips to have a screen at a station: none where it hangs already; what hangs or stands in its way comes down first. */
export const hangingMoves = (place: StationSpace, hitId: string): number =>
  place.hangs === hitId ? 0 : 1 + taken(place) + (place.flashStands ? 1 : 0)

/** Handgrips to have a flash unit at a station: it is heavier than a screen. */
export const flashMoves = (place: StationSpace): number => (place.flashStands ? 0 : 2 + taken(place))

/** Handgrips that a layout asks for, from what hangs and stands on the ring now. */
export function movesIn(job: Job, events: readonly Event[], { stations }: Ring): number {
  const done = new Map<number, number>()
  for (const e of events) {
    const place = stations.find((s) => s.number === e.station)
    if (!place || done.has(place.number)) continue
    done.set(
      place.number,
      e.kind === 'flash' ? flashMoves(place) : hangingMoves(place, job.hits[e.hit]?.id ?? ''),
    )
  }
  return [...done.values()].reduce((a, b) => a + b, 0)
}
