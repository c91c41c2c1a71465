import type { Kysely } from 'kysely'
import { DEFAULT_METHOD, knownPractices } from '@/core/advice'
import { airOfDay, type Person, USUAL_HOURS, USUAL_PRICES } from '@/core/equipment'
import { canIn, canRow, clothRow } from '../orderRows'
import type { Tables } from '../schema'
import { bare, namesIn, placed, type Row, type StoredPart } from './part'

/** Name, practices, hours, prices, squeegees, and the shelf. */
export const settings: StoredPart<'settings'> = {
  read: async (db) => {
    const [head, options, pauses, own, off, price, squeegees, inks, cloths, steps, trouble, crew, shifts] =
      await Promise.all([
        db.selectFrom('shop').selectAll().executeTakeFirst(),
        db.selectFrom('method').selectAll().execute(),
        db.selectFrom('pause').selectAll().orderBy('place').execute(),
        db.selectFrom('own_hours').selectAll().orderBy('place').execute(),
        db.selectFrom('day_off').selectAll().orderBy('place').execute(),
        db.selectFrom('price').selectAll().executeTakeFirst(),
        db.selectFrom('squeegee').selectAll().orderBy('place').execute(),
        db.selectFrom('ink').selectAll().orderBy('place').execute(),
        db.selectFrom('cloth').selectAll().orderBy('place').execute(),
        db.selectFrom('own_step').selectAll().orderBy('place').execute(),
        db.selectFrom('own_trouble').selectAll().orderBy('place').execute(),
        crewIn(db),
        db.selectFrom('press_hours').selectAll().orderBy('place').execute(),
      ])
    return {
      shop: {
        name: head?.name ?? '',
        method: {
          ...DEFAULT_METHOD,
          ...knownPractices(Object.fromEntries(options.map((o) => [o.practice, o.option]))),
        },
        hours: head
          ? {
              days: weekdaysIn(head.days),
              from: head.opens,
              to: head.closes,
              breaks: pauses.map((p) => ({ from: p.begins, to: p.ends })),
              ...(own.length > 0 && {
                own: own.map((d) => ({ day: d.day, from: d.opens, to: d.closes })),
              }),
              ...(off.length > 0 && {
                off: off.map((d) => ({ on: d.on_day, ...(d.closes !== null && { to: d.closes }) })),
              }),
              ...(shifts.length > 0 && {
                presses: shifts.map((p) => ({ pressId: p.press_id, from: p.opens, to: p.closes })),
              }),
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
        squeegees: squeegees.map(bare),
        // In the order that the part is taken out of a shop again: what plans follow from is told by its text.
        ...(head?.units === 'inch' && { units: 'inch' as const }),
        ...(head?.inches && { inches: head.inches }),
        ...(head?.day_order && { dayOrder: head.day_order }),
        ...(head?.week_from && { weekFrom: head.week_from }),
        ...airIn(head),
        ...(head?.setup_per_screen && { setupPerScreen: head.setup_per_screen }),
        ...(head?.lead_days && { leadDays: head.lead_days }),
        ...(head?.goes_out && { goesOut: weekdaysIn(head.goes_out) }),
        ...(crew.length > 0 && { people: crew }),
        ...(steps.length > 0 && { ownSteps: steps.map(bare).map((s) => ({ ...s, off: s.off === 1 })) }),
        ...(trouble.length > 0 && { ownTrouble: trouble.map(bare) }),
      },
      inks: inks.map(bare).map(({ ink_type, can, ...i }) => ({ ...i, inkType: ink_type, ...canIn({ can }) })),
      cloths: cloths.map(bare).map(({ elastane, dye, ...c }) => ({
        ...c,
        ...(elastane !== null && { elastane }),
        ...(dye && { dye }),
      })),
    }
  },
  rows: ({ shop, inks, cloths }) => {
    const {
      name,
      units,
      inches,
      dayOrder,
      weekFrom,
      air,
      setupPerScreen,
      leadDays,
      goesOut = [],
      people = [],
      ownSteps = [],
      ownTrouble = [],
      method,
      hours,
      prices,
      squeegees,
    } = shop
    const { pressHour, personHour, ...price } = prices
    return {
      shop: [
        {
          id: 1,
          name,
          units: units ?? 'metric',
          inches: inches ?? null,
          day_order: dayOrder ?? null,
          week_from: weekFrom ?? null,
          days: hours.days.join(','),
          opens: hours.from,
          closes: hours.to,
          air_on: air?.on ?? null,
          air: air?.temperature ?? null,
          air_humidity: air?.humidity ?? null,
          setup_per_screen: setupPerScreen ?? null,
          lead_days: leadDays ?? 0,
          goes_out: goesOut.length > 0 ? goesOut.join(',') : null,
        },
      ],
      method: Object.entries(method).map(([practice, option]) => ({ practice, option })),
      pause: hours.breaks.map((b, place) => ({ place, begins: b.from, ends: b.to })),
      own_hours: (hours.own ?? []).map((d, place) => ({
        ...{ place, day: d.day },
        ...{ opens: d.from, closes: d.to },
      })),
      day_off: (hours.off ?? []).map((d, place) => ({ place, on_day: d.on, closes: d.to ?? null })),
      press_hours: (hours.presses ?? []).map(({ pressId, from, to }, place) => ({
        ...{ press_id: pressId, place },
        ...{ opens: from, closes: to },
      })),
      person: placed(people).map(({ away: _, presses, ...p }) => ({
        ...p,
        presses: JSON.stringify(presses),
      })),
      person_away: people.flatMap(({ id, away }) =>
        away.map((a, place) => ({ person_id: id, place, first_day: a.first, last_day: a.last })),
      ),
      price: [{ id: 1, press_hour: pressHour, person_hour: personHour, ...price }],
      squeegee: placed(squeegees),
      ink: placed(inks).map(({ inkType, ...i }) => ({ ...i, ink_type: inkType, can: canRow(i) })),
      cloth: placed(cloths.map(clothRow)),
      own_step: placed(ownSteps).map((s) => ({ ...s, off: Number(s.off) })),
      own_trouble: placed(ownTrouble).map(({ row, value, place }) => ({ row, value, place })),
    }
  },
}

const weekdaysIn = (list: string): readonly number[] => list.split(',').filter(Boolean).map(Number)

/** Who works here, and when they are away. */
async function crewIn(db: Kysely<Tables>): Promise<readonly Person[]> {
  const [people, away] = await Promise.all([
    db.selectFrom('person').selectAll().orderBy('place').execute(),
    db.selectFrom('person_away').selectAll().orderBy('place').execute(),
  ])
  return people.map((p) => ({
    ...{ id: p.id, name: p.name, presses: namesIn(p.presses) },
    away: away.flatMap((a) => (a.person_id === p.id ? [{ first: a.first_day, last: a.last_day }] : [])),
  }))
}

/** The air as it was said; what is stored wrong was never said. */
function airIn(head: Row<'shop'> | undefined) {
  if (!head?.air_on) return {}
  const said = { on: head.air_on, temperature: head.air, humidity: head.air_humidity }
  return airOfDay.isValidSync(said) ? { air: airOfDay.cast(said) } : {}
}
