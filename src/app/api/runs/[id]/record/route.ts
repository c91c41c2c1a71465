import { array, object } from 'yup'
import { eventSchema } from '@/core/record'
import { type Database, database } from '@/store/database'
import { eventsAfter, takeEvents } from '@/store/pressEvents'
import { latestNumbers } from '@/store/revisions'
import { answered, brought, json, nothing, write } from '../../../answer'

interface Context {
  readonly params: Promise<{ id: string }>
}

/** What a tablet at the press is told: what came after a place, the last place, and the revision to work from. */
async function told(db: Database, runId: string, revision: number, after: number): Promise<Response> {
  return json({ ...(await eventsAfter(db, runId, after)), revision })
}

const placeOf = (request: Request) => {
  const after = Number(new URL(request.url).searchParams.get('after') ?? 0)
  return Number.isSafeInteger(after) && after > 0 ? after : 0
}

/** What was said at the press of a released run, from `?after=` on. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const db = await database()
    const revision = (await latestNumbers(db, [id])).get(id)
    return revision === undefined ? nothing(`released run ${id}`) : told(db, id, revision, placeOf(request))
  })
}

const sent = object({ events: array(eventSchema).strict().max(500, 'At most 500 at once.').required() })

/** Takes events of a tablet in, each once however often it is sent, and tells what came from others. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id } = await params
    const { events } = await brought(request, sent)
    const db = await database()
    const revision = (await latestNumbers(db, [id])).get(id)
    if (revision === undefined) return nothing(`released run ${id}`)
    await takeEvents(db, id, events)
    return told(db, id, revision, placeOf(request))
  })
}
