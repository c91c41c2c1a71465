import { formulasCsv } from '@/formats/inkCsv'
import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { answered, file } from '../../answer'

/** Every formula of the shop. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const { shelf } = await loadShop(await database())
    return file(formulasCsv(shelf.shop.inkRoom.formulas), 'text/csv; charset=utf-8', 'ink-formulas.csv')
  })
}
