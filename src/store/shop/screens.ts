import { USUAL_SCREENS } from '@/core/equipment'
import { bare, placed, type StoredPart } from './part'

/** What the screen room is like, and what is known of its stencils. */
export const screens: StoredPart<'screens'> = {
  read: async (db) => {
    const [head, fabrics, emulsions, lamps, tests] = await Promise.all([
      db.selectFrom('screen_room').selectAll().executeTakeFirst(),
      db.selectFrom('fabric').selectAll().orderBy('place').execute(),
      db.selectFrom('emulsion').selectAll().orderBy('place').execute(),
      db.selectFrom('lamp').selectAll().orderBy('place').execute(),
      db.selectFrom('step_test').selectAll().orderBy('place').execute(),
    ])
    if (!head) return { shop: { screens: USUAL_SCREENS } }
    const room = {
      humidity: head.humidity,
      frameToPallet: head.frame_to_pallet,
      collarLine: head.collar_line,
      leastTension: head.least_tension,
      mostTension: head.most_tension,
      ...(head.medium && { medium: head.medium }),
      ...(head.racks !== null && { racks: head.racks }),
      fabrics: fabrics.map(bare),
      emulsions: emulsions.map(bare).map(({ mixed_on, keeps, ...e }) => ({
        ...e,
        ...(mixed_on !== null && { mixedOn: mixed_on }),
        ...(keeps !== null && { keeps }),
      })),
      lamps: lamps.map(bare),
      tests: tests.map(({ place: _, on_day, lamp_id, emulsion_id, medium, ...t }) => ({
        ...t,
        ...(medium && { medium }),
        on: on_day,
        lampId: lamp_id,
        emulsionId: emulsion_id,
      })),
    }
    return { shop: { screens: room } }
  },
  rows: ({ shop: { screens } }) => ({
    screen_room: [
      {
        id: 1,
        humidity: screens.humidity,
        frame_to_pallet: screens.frameToPallet,
        collar_line: screens.collarLine,
        least_tension: screens.leastTension,
        most_tension: screens.mostTension,
        medium: screens.medium ?? null,
        racks: screens.racks ?? null,
      },
    ],
    fabric: placed(screens.fabrics),
    emulsion: placed(screens.emulsions).map(({ mixedOn, keeps, ...e }) => ({
      ...e,
      mixed_on: mixedOn ?? null,
      keeps: keeps ?? null,
    })),
    lamp: placed(screens.lamps),
    step_test: placed(screens.tests).map(({ on, lampId, emulsionId, medium, ...t }) => ({
      ...t,
      medium: medium ?? null,
      on_day: on,
      lamp_id: lampId,
      emulsion_id: emulsionId,
    })),
  }),
}
