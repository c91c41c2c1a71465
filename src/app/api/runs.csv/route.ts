import { runsCsv } from '@/formats'
import { database } from '@/store/database'
import { everyOrderLine } from '../../today'
import { answered, streamed } from '../answer'

/** Every run of every order that is not deleted, as it was planned last. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const db = await database()
    async function* parts() {
      yield runsCsv([])
      for await (const o of everyOrderLine(db)) {
        const runs = o.runs.map((r) => ({
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
        }))
        if (runs.length > 0) yield withoutHead(runsCsv(runs))
      }
    }
    return streamed(parts(), 'text/csv; charset=utf-8', 'runs.csv')
  })
}

const withoutHead = (csv: string) => csv.slice(csv.indexOf('\n') + 1)
