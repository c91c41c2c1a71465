import { planOut } from '@/formats'
import { database } from '@/store/database'
import { readRun } from '../../../../runs/readRun'
import { answered, json, nothing } from '../../../answer'

/** The plan file of a run as it is now, or as it was released with `?revision=`. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const { now, revisions } = await readRun(await database(), id)
    const wanted = new URL(request.url).searchParams.get('revision')
    const found = wanted === null ? now : revisions.find((r) => r.number === Number(wanted))
    if (!found) return nothing(wanted === null ? `run ${id} to plan` : `revision ${wanted} of run ${id}`)
    return json(planOut(found.plan))
  })
}
