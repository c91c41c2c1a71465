import { group } from 'd3-array'
import { type Characterisation, USUAL_INK_ROOM } from '@/core/equipment'
import { bare, placed, type StoredPart } from './part'

/** Limits of colour, the rack and its formulas. */
export const rack: StoredPart<'rack'> = {
  read: async (db) => {
    const [head, inks, formulas, parts] = await Promise.all([
      db.selectFrom('colour_limits').selectAll().executeTakeFirst(),
      db.selectFrom('base_ink').selectAll().orderBy('place').execute(),
      db.selectFrom('formula').selectAll().orderBy('place').execute(),
      db.selectFrom('formula_part').selectAll().orderBy('place').execute(),
    ])
    if (!head) return { shop: { inkRoom: USUAL_INK_ROOM } }
    const partsOf = group(parts, (p) => p.formula_id)
    return {
      shop: {
        inkRoom: {
          limits: {
            match: head.match_up_to,
            visible: head.visible_up_to,
            accept: head.accept,
            again: head.again,
            white: head.white,
          },
          laid: head.laid,
          rack: inks.map((i) => ({
            ...bare(i),
            characterisation: JSON.parse(i.characterisation) as Characterisation,
          })),
          formulas: formulas.map(({ place: _, l, a, b, ...f }) => ({
            ...f,
            target: { l, a, b },
            parts: (partsOf.get(f.id) ?? []).map(({ code, share }) => ({ code, share })),
          })),
        },
      },
    }
  },
  rows: ({ shop: { inkRoom } }) => {
    const { limits, laid, rack, formulas } = inkRoom
    return {
      colour_limits: [
        {
          id: 1,
          match_up_to: limits.match,
          visible_up_to: limits.visible,
          accept: limits.accept,
          again: limits.again,
          white: limits.white,
          laid,
        },
      ],
      base_ink: placed(rack).map((i) => ({ ...i, characterisation: JSON.stringify(i.characterisation) })),
      formula: placed(formulas).map(({ target, parts: _, ...f }) => ({ ...f, ...target })),
      formula_part: formulas.flatMap((f) => placed(f.parts).map((p) => ({ ...p, formula_id: f.id }))),
    }
  },
}
