import { planOut, readJob } from '@/formats'
import { planInFull } from '../../planning'
import { jobText, json, write } from '../answer'

/** Plans a job file: 200 with the plan file, 400 with every mistake in the job. Nothing is kept. */
export async function POST(request: Request): Promise<Response> {
  return write(request, async () => {
    const read = readJob(await jobText(request))
    if (!read.ok) return json({ wrong: read.wrong }, 400)
    const { plan, besides } = await planInFull(read.job)
    return json(planOut(plan, besides))
  })
}
