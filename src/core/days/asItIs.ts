import { NOTHING_OTHERWISE, type ShopDays } from './facts'

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
