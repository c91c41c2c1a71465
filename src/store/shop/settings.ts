import { DEFAULT_METHOD, knownSchools } from '@/core/advice'
import { USUAL_HOURS, USUAL_PRICES } from '@/core/equipment'
import { bare, placed, type StoredPart } from './part'

/** Name, schools, hours, prices, blades, and the shelf. */
export const settings: StoredPart<'settings'> = {
  read: async (db) => {
    const [head, options, pauses, price, blades, inks, cloths] = await Promise.all([
      db.selectFrom('shop').selectAll().executeTakeFirst(),
      db.selectFrom('method').selectAll().execute(),
      db.selectFrom('pause').selectAll().orderBy('place').execute(),
      db.selectFrom('price').selectAll().executeTakeFirst(),
      db.selectFrom('blade').selectAll().orderBy('place').execute(),
      db.selectFrom('ink').selectAll().orderBy('place').execute(),
      db.selectFrom('cloth').selectAll().orderBy('place').execute(),
    ])
    return {
      shop: {
        name: head?.name ?? '',
        method: {
          ...DEFAULT_METHOD,
          ...knownSchools(Object.fromEntries(options.map((o) => [o.school, o.option]))),
        },
        hours: head
          ? {
              days: head.days.split(',').filter(Boolean).map(Number),
              from: head.opens,
              to: head.closes,
              breaks: pauses.map((p) => ({ from: p.begins, to: p.ends })),
            }
          : USUAL_HOURS,
        prices: price
          ? {
              pressHour: price.press_hour,
              personHour: price.person_hour,
              screen: price.screen,
              ink: price.ink,
              garment: price.garment,
            }
          : USUAL_PRICES,
        blades: blades.map(bare),
      },
      inks: inks.map(bare),
      cloths: cloths.map(bare),
    }
  },
  rows: ({ shop: { name, method, hours, prices, blades }, inks, cloths }) => {
    const { pressHour, personHour, ...price } = prices
    return {
      shop: [{ id: 1, name, days: hours.days.join(','), opens: hours.from, closes: hours.to }],
      method: Object.entries(method).map(([school, option]) => ({ school, option })),
      pause: hours.breaks.map((b, place) => ({ place, begins: b.from, ends: b.to })),
      price: [{ id: 1, press_hour: pressHour, person_hour: personHour, ...price }],
      blade: placed(blades),
      ink: placed(inks),
      cloth: placed(cloths),
    }
  },
}
