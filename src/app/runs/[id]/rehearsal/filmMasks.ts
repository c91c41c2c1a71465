import type { Mask, TrialPlan } from '@/core/rehearsal'

/** Films of a print, by screen; none where a colour has no film, or nothing can be read: then a stand-in is drawn. */
export async function loadMasks(
  order: string,
  print: string,
  { screens }: TrialPlan,
): Promise<readonly Mask[] | undefined> {
  try {
    const answer = await fetch(
      `/api/orders/${encodeURIComponent(order)}/films/${encodeURIComponent(print)}/masks`,
    )
    if (!answer.ok) return undefined
    const { side, masks } = (await answer.json()) as {
      readonly side: number
      readonly masks: Readonly<Record<string, string>>
    }
    const found = screens.map(({ id, role }) => {
      const film = masks[id] ?? (role === 'base' || role === 'smoothing' ? masks.base : undefined)
      return film === undefined
        ? undefined
        : { side, ink: Uint8Array.from(atob(film), (c) => c.charCodeAt(0)) }
    })
    return found.every((m) => m !== undefined) ? found : undefined
  } catch {
    return undefined
  }
}
