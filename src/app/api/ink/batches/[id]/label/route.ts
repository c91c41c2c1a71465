import { systemName } from '@/core/order'
import { isMoment, sayDay, writeQuantity } from '@/core/quantity'
import { inkLabelPdf } from '@/formats/inkLabelPdf'
import { database } from '@/store/database'
import { loadBatch, lotsOf } from '@/store/inkRoom'
import { answered, file, nothing, printed } from '../../../../answer'

/** The label of a tub. `?units=inch`. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const db = await database()
    const batch = await loadBatch(db, id)
    if (!batch) return nothing(`batch ${id}`)
    const { units } = printed(request)
    const say = (at: string | undefined) => (isMoment(at) ? sayDay(at, 'd MMM yyyy HH:mm', units) : '')
    const label = await inkLabelPdf({
      batch: batch.id,
      name: batch.name,
      system: systemName(batch.system),
      parts: batch.parts.map((p) => `${p.code} ${(p.share * 100).toFixed(1)} %`),
      lots: (await lotsOf(db, [id])).get(id) ?? [],
      mass: writeQuantity('mass', batch.mass, units),
      mixed: say(batch.mixed),
      expires: say(batch.expires),
      link: new URL(`/ink/bench/${id}`, request.url).href,
    })
    return file(label, 'application/pdf', `${id}.pdf`)
  })
}
