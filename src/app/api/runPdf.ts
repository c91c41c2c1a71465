import type { Order } from '@/core/order'
import type { RunPlan } from '@/core/plan'
import type { System } from '@/core/quantity'
import type { Paper } from '@/formats/paper'
import { database } from '@/store/database'
import { readRun } from '../runs/readRun'
import { answered, file, nothing, printed } from './answer'

/** A PDF of a run as it is planned now. `?units=inch`, `?paper=letter`. */
export const runPdf = (
  request: Request,
  params: Promise<{ readonly id: string }>,
  name: string,
  made: (order: Order, plan: RunPlan, units: System, paper: Paper) => Promise<Buffer>,
): Promise<Response> =>
  answered(async () => {
    const { id } = await params
    const { now } = await readRun(await database(), id)
    if (!now) return nothing(`run ${id}`)
    const { units, paper } = printed(request)
    return file(await made(now.order, now.plan, units, paper), 'application/pdf', `${id}-${name}.pdf`)
  })
