import { useEffect, useState } from 'react'
import type { Reason } from '@/core/advice'
import type { RunPlan } from '@/core/plan'

interface RoomFrame {
  /** None when every frame of that mesh is promised. */
  readonly frame?: string
  readonly why: readonly Reason[]
}

/**
 * Frames as the screen room gives them out among all orders: a job that prints earlier may have what this one alone
 * would take. Undefined until the room answers, and for a screen it does not know yet.
 */
export function useRoomFrames(
  { run, hits }: RunPlan,
  orderId: string,
): (hitId: string) => RoomFrame | undefined {
  const [frames, setFrames] = useState<Readonly<Record<string, RoomFrame>>>({})
  const asked = `/api/orders/${orderId}/frames`
  const wanted = hits.map((h) => `${h.hit.id} ${h.mesh.chosen ?? h.mesh.advised} ${h.frame?.id}`).join()
  // biome-ignore lint/correctness/useExhaustiveDependencies: other screens are asked for again
  useEffect(() => {
    const leave = new AbortController()
    fetch(asked, { signal: leave.signal })
      .then((r) => (r.ok ? r.json() : {}))
      .then(setFrames)
      .catch(() => undefined)
    return () => leave.abort()
  }, [asked, wanted])
  return (hitId) => frames[`${run.placement.id}.${hitId}`]
}
