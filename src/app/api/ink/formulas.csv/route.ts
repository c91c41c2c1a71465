import { formulasCsv } from '@/formats/inkCsv'
import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { file } from '../../answer'

/** Every formula of the shop. */
export async function GET(): Promise<Response> {
  const { shelf } = await loadShop(await database())
  return file(formulasCsv(shelf.shop.inkRoom.formulas), 'text/csv; charset=utf-8', 'ink-formulas.csv')
}
