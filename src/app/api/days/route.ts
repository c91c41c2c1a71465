import { database } from '@/store/database'
import { daysAhead } from '../../days/ahead'
import { answered, json } from '../answer'

/** What the days are planned from, and what was decided of them. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const { needs: _, ...days } = await daysAhead(await database(), new Date())
    return json(days)
  })
}
