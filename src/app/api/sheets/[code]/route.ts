import { database } from '@/store/database'
import { revisionByCode } from '@/store/revisions'
import { answered, json, nothing } from '../../answer'

/** A released revision by the code on its sheet, as it was frozen. */
export async function GET(
  _: Request,
  { params }: { readonly params: Promise<{ code: string }> },
): Promise<Response> {
  return answered(async () => {
    const { code } = await params
    const found = await revisionByCode(await database(), code)
    return found ? json(found.revision) : nothing(`sheet ${code}`)
  })
}
