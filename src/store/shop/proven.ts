import { placed, type StoredPart } from './part'

/** Settings approved at a sample. */
export const proven: StoredPart<'proven'> = {
  read: async (db) => {
    const rows = await db.selectFrom('proven').selectAll().orderBy('place').execute()
    return {
      shop: {
        proven: rows.map(
          ({ place: _, found_on, press_id, dark_cloth, water_based, gauge, off_contact, ...p }) => ({
            ...p,
            on: found_on,
            pressId: press_id,
            darkCloth: dark_cloth === 1,
            waterBased: water_based === 1,
            fleece: p.fleece === 1,
            ...(gauge === null ? {} : { gauge }),
            offContact: off_contact,
          }),
        ),
      },
    }
  },
  rows: ({ shop }) => ({
    proven: placed(shop.proven).map(({ on, pressId, darkCloth, waterBased, gauge, offContact, ...p }) => ({
      ...p,
      found_on: on,
      press_id: pressId,
      dark_cloth: Number(darkCloth),
      water_based: Number(waterBased),
      fleece: Number(p.fleece),
      gauge: gauge ?? null,
      off_contact: offContact,
    })),
  }),
}
