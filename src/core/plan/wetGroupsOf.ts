import type { HitPlan, RunPlan } from './runPlan'

/** Hits that are wet together, in the order they are printed: those between two flashes. */
export function wetGroupsOf({
  sequence: { cells },
  hits,
}: Pick<RunPlan, 'sequence' | 'hits'>): readonly (readonly HitPlan[])[] {
  const groups: HitPlan[][] = [[]]
  for (const c of cells) {
    if (c.kind === 'flash') groups.push([])
    const hit = c.kind === 'print' && hits.find((h) => h.hit.id === c.hitId)
    if (hit) groups.at(-1)?.push(hit)
  }
  return groups.filter((g) => g.length > 0)
}
