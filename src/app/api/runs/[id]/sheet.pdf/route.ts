import { sheetPdf } from '@/formats/sheetPdf'
import { database } from '@/store/database'
import { heatForSheet } from '../../../../planning'
import { readRun } from '../../../../runs/readRun'
import { answered, file, nothing, printed } from '../../../answer'

/** The set-up sheet as a PDF: the last revision, `?revision=`, or the draft. `?units=inch`, `?paper=letter`. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const query = new URL(request.url).searchParams
    const { now, revisions } = await readRun(await database(), id)
    const wanted = query.get('revision')
    const revision = wanted === null ? revisions.at(-1) : revisions.find((r) => r.number === Number(wanted))
    const facts = revision ?? (wanted === null ? now : undefined)
    if (!facts) return nothing(wanted === null ? `sheet of run ${id}` : `revision ${wanted} of run ${id}`)
    const { units, paper } = printed(request)
    const heat = await heatForSheet(facts.plan)
    const pdf = await sheetPdf({ ...facts, heat }, units, revision, paper)
    return file(pdf, 'application/pdf', `${id}${revision ? `-${revision.number}` : '-draft'}.pdf`)
  })
}
