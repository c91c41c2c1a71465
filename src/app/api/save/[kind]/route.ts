import { object } from 'yup'
import * as fits from '../../../acts/fits'
import { applied } from '../../../edits/apply'
import { storeEdit } from '../../../edits/stores'
import { fitting, json, nothing, parsed, textOf, write } from '../../answer'

const left = object({ id: fits.anyId, changes: fits.changes })
const seenAt = object({ id: fits.anyId, version: fits.version })

/** What is saved here. */
const KINDS = ['order', 'decisions', 'shop'] as const

/**
 * Saves what someone edited on a page: an order, the decisions of a run, or a part of the shop. A whole value as seen at a version, or,
 * while the page is left, differences laid on what is stored.
 */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ kind: string }> },
): Promise<Response> {
  return write(request, async () => {
    const { kind } = await params
    const known = KINDS.find((k) => k === kind)
    if (!known) return nothing(`kind ${kind} of thing to save`)
    const sent = parsed(await textOf(request)) as { value?: unknown; changes?: unknown } | null
    if (sent?.changes !== undefined) {
      const { id, changes } = fitting(sent, left)
      const whole = changes.map(({ path, from, to }) => ({ path, from, to }))
      return json({ ok: await applied({ kind: known, id }, whole, 'skipped') })
    }
    const { id, version } = fitting(sent, seenAt)
    return json(await storeEdit({ kind: known, id }, sent?.value, version))
  })
}
