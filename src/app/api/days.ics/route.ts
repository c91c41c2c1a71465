import { calendarOf } from '@/formats'
import { database } from '@/store/database'
import { entryOf, lanesAhead } from '../../days/out'
import { answered, file, nothing } from '../answer'

/** The days as a calendar to subscribe to: of the shop, of one press with `?press=four`, or of what one person is proposed for with `?person=ada`. */
export async function GET(request: Request): Promise<Response> {
  return answered(async () => {
    const query = new URL(request.url).searchParams
    const [press, person] = [query.get('press'), query.get('person')]
    const { lanes, nameOf, whoOf, presses, people } = await lanesAhead(await database(), new Date())
    if (press !== null && !presses.some((p) => p.id === press)) return nothing('such press')
    if (person !== null && !people.some((p) => p.id === person)) return nothing('such person')
    const runs = lanes.runs.filter(
      (r) => (press === null || r.pressId === press) && (person === null || r.crew.includes(person)),
    )
    const of = [...(press === null ? [] : [nameOf(press)]), ...(person === null ? [] : [whoOf(person)])]
    const name = of.length === 0 ? 'Presses' : of.join(', ')
    const text = calendarOf(
      name,
      runs.map((r) => entryOf(r, nameOf, whoOf)),
    )
    return file(text, 'text/calendar; charset=utf-8', `${person ?? press ?? 'days'}.ics`)
  })
}
