import { placed, type StoredPart } from './part'

/** Settings approved at a sample. */
export const approved: StoredPart<'approved'> = {
  read: async (db) => {
    const rows = await db.selectFrom('approved').selectAll().orderBy('place').execute()
    return {
      shop: {
        approved: rows.map(
          ({ place: _, found_on, press_id, dark_cloth, dries_in_screen, gauge, off_contact, ...p }) => ({
            ...p,
            on: found_on,
            pressId: press_id,
            darkCloth: dark_cloth === 1,
            driesInScreen: dries_in_screen === 1,
            fleece: p.fleece === 1,
            ...(gauge === null ? {} : { gauge }),
            offContact: off_contact,
          }),
        ),
      },
    }
  },
  rows: ({ shop }) => ({
    approved: placed(shop.approved).map(
      ({ on, pressId, darkCloth, driesInScreen, gauge, offContact, ...p }) => ({
        ...p,
        found_on: on,
        press_id: pressId,
        dark_cloth: Number(darkCloth),
        dries_in_screen: Number(driesInScreen),
        fleece: Number(p.fleece),
        gauge: gauge ?? null,
        off_contact: offContact,
      }),
    ),
  }),
}
