import { recordCsv } from '@/formats'
import { allAccounts } from '@/store/accounts'
import { database } from '@/store/database'
import { answered, file } from '../answer'

/** What came of every run, one record each. */
export async function GET(): Promise<Response> {
  return answered(async () =>
    file(recordCsv(await allAccounts(await database())), 'text/csv; charset=utf-8', 'record.csv'),
  )
}
