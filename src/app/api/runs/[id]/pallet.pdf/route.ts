import { palletPdf } from '@/formats/palletPdf'
import { database } from '@/store/database'
import { readRun } from '../../../../runs/readRun'
import { answered, file, nothing, printed } from '../../../answer'

/** The template of a run for its pallet, as it is planned now. `?units=inch`, `?paper=letter`. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const { now } = await readRun(await database(), id)
    if (!now) return nothing(`run ${id}`)
    const { units, paper } = printed(request)
    return file(await palletPdf(now.order, now.plan, units, paper), 'application/pdf', `${id}-pallet.pdf`)
  })
}
