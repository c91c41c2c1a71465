import { allAccounts } from '@/store/accounts'
import { database } from '@/store/database'
import { answered, file } from '../answer'

/** What came of every run, whole: SI inside, as its schema says. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const runs = await allAccounts(await database())
    return file(
      JSON.stringify({ format: 'orvint-record', version: 1, runs }, null, 1),
      'application/json',
      'orvint-record.json',
    )
  })
}
