import type { InkType } from '../order'
import type { SymptomId } from '../trouble'
import type { RunHeat } from './runHeat'
import type { RunPlan } from './runPlan'

const ON_FILM: readonly SymptomId[] = ['sticks', 'pickup']
const OF_BASE: readonly SymptomId[] = ['dull', 'rough', 'peels']
/** Symptoms of one kind of ink. */
const OF_INK: Readonly<Partial<Record<SymptomId, InkType>>> = {
  noShimmer: 'metallic',
  clogs: 'metallic',
  flat: 'expanding',
  dapple: 'expanding',
}

/** The flash that is furthest below what cold boards need, or whose print is warmest; the first where heat is not known. */
function worstFlash(heat: RunHeat | undefined): number {
  const short = (heat?.laps[0]?.flashes ?? []).map((f) => (f.needed ?? 0) - f.time)
  const worst = Math.max(...short, 0)
  return Math.max(0, short.indexOf(worst))
}

/** The screen that prints next on the film of a flash. */
function afterFlash(cells: RunPlan['sequence']['cells'], nth: number): string | undefined {
  const flashes = cells.flatMap((c, at) => (c.kind === 'flash' ? [at] : []))
  const at = flashes[nth] ?? flashes[0]
  const next = at === undefined ? undefined : cells.slice(at + 1).find((c) => c.kind === 'print')
  return next?.kind === 'print' ? next.hitId : undefined
}

/** The screen that a symptom shows on first, to be corrected by a tap. */
export function showsOn(
  { hits, run, sequence: { cells } }: RunPlan,
  symptom: SymptomId,
  heat: RunHeat | undefined,
): string {
  const typeOf = (id: string) => run.placement.inks.find((i) => i.id === id)?.inkType
  if (ON_FILM.includes(symptom)) {
    const next = afterFlash(cells, worstFlash(heat))
    if (next) return next
  }
  if (OF_BASE.includes(symptom)) {
    const white = hits.find((h) => h.hit.role === 'base') ?? hits.find((h) => typeOf(h.hit.id) === 'white')
    if (white) return white.hit.id
  }
  const special = hits.find((h) => typeOf(h.hit.id) === OF_INK[symptom])
  if (OF_INK[symptom] && special) return special.hit.id
  const largest = [...hits]
    .filter((h) => h.hit.role !== 'base')
    .sort((a, b) => b.hit.coverage - a.hit.coverage)[0]
  return (largest ?? hits[0])?.hit.id ?? ''
}
