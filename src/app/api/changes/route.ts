import { changeStamp, database } from '@/store/database'

/** A word that changes whenever anything was saved. */
export async function GET(): Promise<Response> {
  return new Response(await changeStamp(await database()), { headers: { 'cache-control': 'no-store' } })
}
