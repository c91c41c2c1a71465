import { object, string } from 'yup'
import { database } from '@/store/database'
import { onceOnly } from '@/store/once'
import { attempt } from '@/store/problems'
import type { At } from '../../../acts/kinds'
import { ACTS, isAct } from '../../../acts/table'
import { fitting, json, nothing, parsed, textOf, write } from '../../answer'

const asked = object({
  once: string()
    .strict()
    .matches(/^[\da-f-]{16,64}$/i, 'An id of this request, of 16 to 64 hexadecimal digits.')
    .required('once is missing.'),
})

/**
 * Does one of the acts of the table: `{ once, given }`. Asked again with the same `once`, it answers the same and does
 * nothing more.
 */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ name: string }> },
): Promise<Response> {
  return write(request, async () => {
    const { name } = await params
    if (!isAct(name)) return nothing(`act ${name}`)
    const sent = parsed(await textOf(request)) as { given?: unknown } | null
    const { once } = fitting(sent, asked)
    const { takes, does } = ACTS[name] as {
      takes: typeof asked
      does: (given: unknown, at: At) => Promise<object>
    }
    const given = fitting(sent?.given ?? {}, takes)
    const now = new Date()
    const db = await database()
    const at: At = { db, now, once: (act) => onceOnly(db, `${name} ${once}`, now, act) }
    return json(await attempt(() => does(given, at)))
  })
}
