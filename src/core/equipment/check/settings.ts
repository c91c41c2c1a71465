import * as yup from 'yup'
import { PRACTICES, type Practice } from '../../advice'
import {
  canSchema,
  clothSchema,
  daySchema,
  each,
  hexSchema,
  INK_TYPES,
  OPACITIES,
  SYSTEMS,
} from '../../order'
import { EDGES, USUAL_HOURS } from '../equipment'
import { USUAL_PRICES } from '../prices'
import { airOfDay } from './calibration'
import { id, name, oneOf, positive, whole } from './fields'

const clock = yup
  .number()
  .typeError('A time of day, for example 8:00.')
  .min(0, 'A time of day, for example 8:00.')
  .max(86_400, 'A time of day, for example 8:00.')
  .required('A time of day, for example 8:00.')
const after = (start: string) =>
  clock.test('after', 'Must end after it starts.', (to, { parent }) => !(to <= parent[start]))

/** Working days, hours and breaks. */
const hours = yup.object({
  days: yup.array(whole('Day', 7)).min(1, 'At least one working day.').required('Which days?'),
  from: clock,
  to: after('from'),
  breaks: yup.array(yup.object({ from: clock, to: after('from') })).default([]),
  own: yup
    .array(yup.object({ day: whole('Day', 7), from: clock, to: after('from') }))
    .max(7, 'Seven days a week.')
    .test(
      'once',
      'Each day of the week once.',
      each((d) => d.day),
    )
    .optional()
    .default(undefined),
  off: yup
    .array(
      yup.object({
        on: daySchema('Which day?'),
        to: clock.notRequired().default(undefined),
      }),
    )
    .max(500, 'At most 500 days.')
    .test(
      'once',
      'Each day once.',
      each((d) => d.on),
    )
    .optional()
    .default(undefined),
  presses: yup
    .array(yup.object({ pressId: id, from: clock, to: after('from') }))
    .max(40, 'At most 40 presses.')
    .test(
      'once',
      'Each press once.',
      each((p) => p.pressId),
    )
    .optional()
    .default(undefined),
})

const people = yup
  .array(
    yup.object({
      id,
      name,
      presses: yup.array(id).max(40, 'At most 40 presses.').default([]),
      away: yup
        .array(
          yup.object({
            first: daySchema('From which day?'),
            last: daySchema('Until which day?').test(
              'span',
              'They are back before they go.',
              (last, { parent }) => !(String(last) < parent.first),
            ),
          }),
        )
        .max(200, 'At most 200 times away.')
        .default([]),
    }),
  )
  .max(200, 'At most 200 people.')
  .test(
    'once',
    'Two people have the same id.',
    each((p: { id: string }) => p.id),
  )
  .optional()
  .default(undefined)

const method = yup.object(
  Object.fromEntries(
    Object.entries(PRACTICES).map(([practice, { options }]) => [
      practice,
      yup.string().oneOf(Object.keys(options), `One of ${Object.keys(options).join(', ')}.`),
    ]),
  ) as Record<Practice, yup.StringSchema>,
)

const money = (what: string) =>
  yup
    .number()
    .typeError(`${what}: an amount, please.`)
    .min(0, `${what}: not below 0.`)
    .max(100_000, `${what} is too large.`)
    .required(`${what} is missing.`)
const prices = yup.object({
  pressHour: money('An hour of the press'),
  personHour: money('An hour of a person'),
  screen: money('A screen'),
  ink: money('A kg of ink'),
  garment: money('A garment'),
})

/** Practices chosen; every one may be left out. */
export const methodSchema = method

const ownStep = yup.object({
  step: yup
    .string()
    .matches(/^\w{1,40}\.\w{1,40}$/, 'A step is named list.step.')
    .required('Which step?'),
  name: yup.string().max(60, 'A step: at most 60 characters.').defined(),
  good: yup.string().max(200, 'What good looks like: at most 200 characters.').defined(),
  off: yup.boolean().required('Left out or not?'),
})

/** What is said only where it is not as usual; an empty choice is the usual one. */
const otherwise = <T extends string>(...words: readonly T[]) =>
  yup
    .string<T>()
    .transform((x: unknown) => (x === '' ? undefined : x))
    .oneOf([...words], `${words.join(' or ')}, or nothing.`)
    .optional()
    .default(undefined)

export const settingFields = {
  name,
  units: otherwise('inch'),
  inches: otherwise('decimals'),
  dayOrder: otherwise('monthFirst', 'yearFirst'),
  weekFrom: otherwise('sunday'),
  air: airOfDay,
  setupPerScreen: yup
    .number()
    .typeError('Set-up of a screen: minutes, please.')
    .min(30, 'So quick is no set-up.')
    .max(7200, 'Two hours for a screen at the most.'),
  leadDays: yup
    .number()
    .typeError('Days, please: 1.')
    .integer('Whole days, please.')
    .min(0, 'Printed after it is due?')
    .max(60, 'At most 60 days.'),
  goesOut: yup.array(whole('Day', 7)).max(7, 'Seven days a week.').optional().default(undefined),
  people,
  ownSteps: yup
    .array(ownStep)
    .max(300, 'At most 300 steps of your own.')
    .test(
      'once',
      'A step stands in it twice.',
      each((s: { step: string }) => s.step),
    ),
  ownTrouble: yup
    .array(
      yup.object({
        row: yup
          .string()
          .matches(/^[a-z]+( [\w +.-]+)+$/i, 'The name of a row, like “base underGel”.')
          .max(120, 'No row is called that long.')
          .required('Missing.'),
        value: yup
          .number()
          .typeError('A number, please.')
          .min(0, 'Nothing is below nothing.')
          .max(86_400, 'More than any number of the tables.')
          .required('Missing.'),
      }),
    )
    .max(2000, 'At most 2000 numbers of your own.')
    .test(
      'once',
      'A row stands in it twice.',
      each((t: { row: string }) => t.row),
    ),
  method: method.default({}),
  hours: hours.default(USUAL_HOURS),
  prices: prices.default(USUAL_PRICES),
  squeegees: yup
    .array(
      yup.object({
        id,
        hardness: yup.string().required('Missing.'),
        length: positive('Squeegee length', 3),
        edge: oneOf(EDGES),
      }),
    )
    .default([]),
}

const ink = yup.object({
  id,
  name,
  hex: hexSchema,
  inkType: oneOf(INK_TYPES),
  opacity: oneOf(OPACITIES),
  system: oneOf(SYSTEMS),
  can: canSchema,
})

/** Every practice is chosen. */
export const settingPart = yup.object({
  ...settingFields,
  method: yup.object(
    Object.fromEntries(
      Object.entries(method.fields).map(([k, f]) => [k, (f as yup.StringSchema).required()]),
    ),
  ),
})

/** What stands on the shelf to choose from. */
export const shelfFields = {
  inks: yup
    .array(ink)
    .defined()
    .test(
      'once',
      'Two inks have the same name.',
      each((i: { name: string }) => i.name),
    ),
  cloths: yup
    .array(clothSchema)
    .defined()
    .test(
      'once',
      'Two cloths have the same name.',
      each((c: { name: string }) => c.name),
    ),
}
