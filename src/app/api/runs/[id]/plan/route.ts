import { planOut } from '@/formats'
import { database } from '@/store/database'
import { revisionsOf } from '@/store/revisions'
import { planInFull } from '../../../../planning'
import { readFacts } from '../../../../runs/readRun'
import { answered, json, nothing } from '../../../answer'

/** The plan file of a run as it is now, with what goes beside it, or as it was released with `?revision=`. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const db = await database()
    const wanted = new URL(request.url).searchParams.get('revision')
    if (wanted !== null) {
      const found = (await revisionsOf(db, id)).find((r) => r.number === Number(wanted))
      return found ? json(planOut(found.plan)) : nothing(`revision ${wanted} of run ${id}`)
    }
    const facts = await readFacts(db, id)
    if (!facts) return nothing(`run ${id} to plan`)
    const { plan, besides } = await planInFull(facts)
    return json(planOut(plan, besides))
  })
}
