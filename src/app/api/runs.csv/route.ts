import { runsCsv } from '@/formats'
import { database } from '@/store/database'
import { everyOrderLine } from '../../today'
import { file } from '../answer'

export async function GET(): Promise<Response> {
  const orders = await everyOrderLine(await database())
  const runs = orders.flatMap((o) =>
    o.runs.map((r) => ({
      run: r.id,
      order: o.id,
      customer: o.customer,
      due: o.due,
      print: r.where,
      pieces: r.quantity,
      press: r.press,
      screens: r.screens,
      time: r.time,
      revision: r.revision,
      open: r.open.length,
    })),
  )
  return file(runsCsv(runs), 'text/csv; charset=utf-8', 'runs.csv')
}
