import { inksWanted } from '@/core/ink'
import { database } from '@/store/database'
import { loadInkStock } from '@/store/inkRoom'
import { loadShop } from '@/store/shop'
import { daysAhead } from '../../days/ahead'
import { answered, json } from '../answer'

/** What the days are planned from, and what was decided of them. */
export async function GET(): Promise<Response> {
  return answered(async () => {
    const db = await database()
    const [{ needs, ...days }, { cans, batches }, { shelf }] = await Promise.all([
      daysAhead(db, new Date()),
      loadInkStock(db),
      loadShop(db),
    ])
    const tubs = batches.filter((b) => b.state !== 'mixing')
    const inkShort: Record<string, string[]> = {}
    for (const ink of inksWanted(needs, shelf.shop.inkRoom, cans, tubs))
      for (const { need, kept } of ink.needs)
        if (kept < need.mass) inkShort[need.runId] = [...(inkShort[need.runId] ?? []), need.name]
    return json({ ...days, inkShort })
  })
}
