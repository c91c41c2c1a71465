import { numberOf } from '../advice'
import type { Fabric } from '../equipment'
import { type Looks, looksOf } from '../ink'
import { type MeshCount, perCm } from '../quantity'
import { dryFilm, fabricOf, type Solids } from '../screen'
import type { HitPlan, RunPlan } from './runPlan'

/** Whites as they are usually printed, where the plan has none. */
const BASE: MeshCount = perCm(43)
const SECOND: MeshCount = perCm(90)
/** Inks that do more than lie on the cloth as a film of one colour. */
const BEYOND: ReadonlySet<string> = new Set(['metallic', 'expanding', 'clear'])

/** One colour of a print as it should look, with and without whites under it. */
export interface Look {
  readonly inkId: string
  readonly waterBased: boolean
  readonly looks: Looks
  /** Which of them the plan prints. */
  readonly planned: keyof Looks
}

/** How each colour of a run should look through the meshes of its plan; inks that no film describes are left out. */
export function looksOfRun(plan: RunPlan, fabrics: readonly Fabric[]): readonly Look[] {
  const through = (hit: HitPlan | undefined, mesh: MeshCount, system: Solids, onFilm: boolean) =>
    dryFilm(
      fabricOf(fabrics, hit ? numberOf(hit.mesh) : mesh),
      hit ? numberOf(hit.stroke.strokes) : 1,
      system,
      onFilm,
    )
  const base = plan.hits.find((h) => h.hit.role === 'base')
  const second = plan.hits.find((h) => h.hit.role === 'base2' || h.use === 'highlight')
  return plan.run.placement.inks.flatMap((ink): Look[] => {
    const own = plan.hits.find((h) => h.hit.id === ink.id)
    if (!own || BEYOND.has(ink.character)) return []
    const system = own.hit.system as Solids
    const mesh = numberOf(own.mesh)
    const looks = looksOf(ink, plan.cloth, {
      direct: through(own, mesh, system, false),
      onFilm: through(own, mesh, system, true),
      base: through(base, BASE, system, false),
      second: through(second === own ? undefined : second, SECOND, system, true),
    })
    const based = own.hit.onBase
    const twice = based && plan.hits.some((h) => h.hit.role === 'base2')
    return [
      {
        inkId: ink.id,
        waterBased: system !== 'plastisol',
        looks,
        planned: twice ? 'twice' : based ? 'based' : 'direct',
      },
    ]
  })
}
