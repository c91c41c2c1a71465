import { storeEdit } from '../../../edits/stores'
import { json, nothing, write } from '../../answer'

/** Saves what someone edited on a page: an order, the decisions of a run, or the shop, as seen at a version. */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ kind: string }> },
): Promise<Response> {
  return write(request, async () => {
    const { kind } = await params
    const { value, version } = (await request.json()) as { value: unknown; version: number }
    const saved = await storeEdit(kind, value, version)
    return saved ? json(saved) : nothing(kind)
  })
}
