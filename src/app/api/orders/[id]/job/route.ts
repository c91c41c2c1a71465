import { splitOrder } from '@/core/order'
import { noDecisions } from '@/core/plan'
import { readJob, writeJob } from '@/formats'
import { database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { loadOrder, saveOrder } from '@/store/orders'
import { loadShop } from '@/store/shop'
import { answered, jobText, json, nothing, write } from '../../../answer'

interface Context {
  readonly params: Promise<{ id: string }>
}

const etag = (version: number) => `"${version}"`

/** The job file of an order, for its first run or `?run=`. The version is in the ETag. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const db = await database()
    const [stored, { shelf }, decisions] = await Promise.all([
      loadOrder(db, id),
      loadShop(db),
      loadDecisions(db, [id]),
    ])
    if (!stored || stored.deletedAt !== undefined) return nothing(`order ${id}`)
    const runs = splitOrder(stored.order).map((r) => r.id)
    const runId = new URL(request.url).searchParams.get('run') ?? runs[0] ?? ''
    if (!runs.includes(runId)) return nothing(`run ${runId} in order ${id}`)
    const decided = decisions.get(runId)?.decisions ?? noDecisions(runId)
    const body = writeJob({ order: stored.order, shop: shelf.shop, decisions: decided })
    return new Response(body, {
      headers: {
        'content-type': 'application/json',
        'content-disposition': `inline; filename="${runId}.job.json"`,
        'cache-control': 'no-store',
        etag: etag(stored.version),
      },
    })
  })
}

/** Replaces the order by that of a job file, if it still is at the version named by If-Match. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id } = await params
    const read = readJob(await jobText(request))
    if (!read.ok) return json({ wrong: read.wrong }, 400)
    const { order } = read.job
    if (order.id !== id) return json({ wrong: [`order.id: this is ${order.id}, not ${id}.`] }, 400)
    const seen = Number(/^"(\d+)"$/.exec(request.headers.get('if-match') ?? '')?.[1])
    if (!Number.isInteger(seen))
      return json({ wrong: ['If-Match must name the version that was read, for example "3".'] }, 428)
    const saved = await saveOrder(await database(), order, seen)
    if (saved.ok) return json({ version: saved.version }, 200, { etag: etag(saved.version) })
    if (!saved.now || saved.now.deletedAt !== undefined) return nothing(`order ${id}`)
    const now = saved.now.version
    return json({ wrong: [`Someone else changed ${id}: it is at version ${now}.`] }, 412, { etag: etag(now) })
  })
}
