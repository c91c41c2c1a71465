import { calendarOf } from '@/formats'
import { database } from '@/store/database'
import { entryOf, lanesAhead } from '../../days/out'
import { answered, file, nothing } from '../answer'

/** The days as a calendar to subscribe to: of the shop, or of one press with `?press=four`. */
export async function GET(request: Request): Promise<Response> {
  return answered(async () => {
    const press = new URL(request.url).searchParams.get('press')
    const { lanes, nameOf, presses } = await lanesAhead(await database(), new Date())
    if (press !== null && !presses.some((p) => p.id === press)) return nothing('such press')
    const runs = lanes.runs.filter((r) => press === null || r.pressId === press)
    const name = press === null ? 'Presses' : nameOf(press)
    const text = calendarOf(
      name,
      runs.map((r) => entryOf(r, nameOf)),
    )
    return file(text, 'text/calendar; charset=utf-8', `${press ?? 'days'}.ics`)
  })
}
