import { stockCsv } from '@/formats/inkCsv'
import { database } from '@/store/database'
import { loadInkStock } from '@/store/inkRoom'
import { answered, file } from '../../answer'

/** What stands in the cans. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const { cans } = await loadInkStock(await database())
    return file(stockCsv(cans), 'text/csv; charset=utf-8', 'ink-stock.csv')
  })
}
