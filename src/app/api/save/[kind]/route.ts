import type { Change } from '@/core/change'
import { applied } from '../../../edits/apply'
import { storeEdit } from '../../../edits/stores'
import { json, nothing, write } from '../../answer'

/** What a page saves: a whole value as seen at a version, or, while it is left, differences laid on what is stored. */
type Saved =
  | { readonly value: unknown; readonly version: number }
  | { readonly id: string; readonly changes: readonly Change[] }

const isKind = (kind: string): kind is 'order' | 'decisions' | 'shop' =>
  ['order', 'decisions', 'shop'].includes(kind)

/** Saves what someone edited on a page: an order, the decisions of a run, or the shop. */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ kind: string }> },
): Promise<Response> {
  return write(request, async () => {
    const { kind } = await params
    if (!isKind(kind)) return nothing(kind)
    const sent = (await request.json()) as Saved
    if ('changes' in sent) return json({ ok: await applied({ kind, id: sent.id }, sent.changes) })
    return json(await storeEdit(kind, sent.value, sent.version))
  })
}
