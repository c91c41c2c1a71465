import { array, object } from 'yup'
import { eventSchema } from '@/core/record'
import { type Database, database } from '@/store/database'
import { eventsAfter } from '@/store/pressEvents'
import { revisionAtPress, takeSaid } from '../../../../runs/atPress'
import { answered, brought, json, nothing, write } from '../../../answer'

interface Context {
  readonly params: Promise<{ id: string }>
}

/** What a tablet is told: what came after a place, the last place, the revision to work from, and what time it is here. */
async function told(db: Database, runId: string, revision: number, request: Request): Promise<Response> {
  const after = Number(new URL(request.url).searchParams.get('after') ?? 0)
  const from = Number.isSafeInteger(after) && after > 0 ? after : 0
  return json({ ...(await eventsAfter(db, runId, from)), revision, now: Date.now() })
}

/** What was said at the press of a run, from `?after=` on. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const db = await database()
    const revision = await revisionAtPress(db, id)
    return revision === undefined ? nothing(`run ${id}`) : told(db, id, revision, request)
  })
}

const sent = object({ events: array(eventSchema).strict().max(500, 'At most 500 at once.').required() })

/** Takes events of a tablet in, each once however often it is sent, and tells what came from others. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id } = await params
    const { events } = await brought(request, sent)
    const db = await database()
    const revision = await revisionAtPress(db, id)
    if (revision === undefined) return nothing(`run ${id}`)
    await takeSaid(db, id, events, new Date())
    return told(db, id, revision, request)
  })
}
