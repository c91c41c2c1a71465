import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { troubleKnown } from '../../trouble'
import { answered, json } from '../answer'

/** What is known of troubles at a press: `?press=twelve`. A press that is not there knows what the shop knows. */
export async function GET(request: Request): Promise<Response> {
  return answered(async () => {
    const press = (new URL(request.url).searchParams.get('press') ?? '').slice(0, 80)
    const db = await database()
    const { shelf } = await loadShop(db)
    return json(await troubleKnown(db, shelf.shop.ownTrouble, press))
  })
}
