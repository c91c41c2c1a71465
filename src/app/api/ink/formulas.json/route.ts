import { formulasJson } from '@/formats/formulasJson'
import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { answered, file } from '../../answer'

/** Every formula of the shop with the inks it is mixed from. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const { shelf } = await loadShop(await database())
    return file(formulasJson(shelf.shop.inkRoom), 'application/json', 'ink-formulas.json')
  })
}
