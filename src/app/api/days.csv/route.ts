import { daysCsv } from '@/formats'
import { database } from '@/store/database'
import { csvOf, lanesAhead } from '../../days/out'
import { answered, file } from '../answer'

/** The days as they stand, one record a run. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const { lanes, nameOf } = await lanesAhead(await database(), new Date())
    const text = daysCsv(lanes.runs.map((r) => csvOf(r, nameOf)))
    return file(text, 'text/csv; charset=utf-8', 'days.csv')
  })
}
