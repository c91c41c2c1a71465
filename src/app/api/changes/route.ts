import { changeStamp, database } from '@/store/database'
import { answered } from '../answer'

/** A word that changes whenever anything was saved. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    return new Response(await changeStamp(await database()), { headers: { 'cache-control': 'no-store' } })
  })
}
