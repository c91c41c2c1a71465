import { writeCgats } from '@/formats/cgats'
import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { answered, file } from '../../answer'

/** The curves of the rack, as measurement text that others read. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const { shelf } = await loadShop(await database())
    const samples = shelf.shop.inkRoom.rack.flatMap(({ code, characterisation }) =>
      characterisation.how === 'curves'
        ? [
            { name: `${code}.white`, spectrum: characterisation.onWhite },
            { name: `${code}.black`, spectrum: characterisation.onBlack },
          ]
        : [],
    )
    return file(writeCgats({ samples, light: 'D65' }), 'text/plain; charset=utf-8', 'rack-readings.txt')
  })
}
