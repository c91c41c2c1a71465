import { plan } from '@/core/plan'
import { planOut, readJob } from '@/formats'
import { json, write } from '../answer'

/** Plans a job file: 200 with the plan file, 400 with every mistake in the job. Nothing is kept. */
export async function POST(request: Request): Promise<Response> {
  return write(request, async () => {
    const read = readJob(await request.text())
    if (!read.ok) return json({ wrong: read.wrong }, 400)
    const { order, shop, decisions } = read.job
    return json(planOut(plan(order, shop, decisions)))
  })
}
