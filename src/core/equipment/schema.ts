import * as yup from 'yup'
import { SCHOOLS, type School } from '../advice'
import { BANDS, LIGHTS } from '../color'
import {
  CHARACTERS,
  type Cloth,
  checkWith,
  clothSchema,
  daySchema,
  each,
  hexSchema,
  INK_SYSTEMS,
  OPACITIES,
  SYSTEMS,
  wordsSchema,
} from '../order'
import { isMoment } from '../quantity'
import {
  BOARDS,
  EDGES,
  FLASH_KINDS,
  FRAME_STATES,
  type HangingPlace,
  PRESS_KINDS,
  PRESSURE_SCALES,
  type ShelfInk,
  type Shop,
  USUAL_HOURS,
} from './equipment'
import { ADDITIVES } from './inkRoom'
import { USUAL_PRICES } from './prices'
import { STROKE_USES } from './proven'
import { USUAL_INK_ROOM } from './rack'
import { EMULSION_KINDS, LAMP_KINDS, STEPS, USUAL_SCREENS, WATER } from './screenRoom'

const id = wordsSchema('An id', 60).required('An id is missing.')
const name = wordsSchema('A name', 80).required('A name is missing.')
const positive = (what: string, most: number) =>
  yup
    .number()
    .typeError(`${what}: a number, please.`)
    .moreThan(0, `${what} must be above 0.`)
    .max(most, `${what} is too large.`)
    .required(`${what} is missing.`)
const whole = (what: string, most: number) => positive(what, most).integer(`${what}: a whole number.`)
const oneOf = (table: Readonly<Record<string, unknown>>) =>
  yup
    .string()
    .oneOf(Object.keys(table), `One of ${Object.keys(table).join(', ')}.`)
    .required('Missing.')

const station = yup.object({
  number: whole('Station number', 40),
  usable: yup.boolean().required('Missing.'),
  flashAllowed: yup.boolean().required('Missing.'),
})

const onScale = positive('On the scale', 2_000_000)
const pressureNote = yup
  .object({
    scale: oneOf(PRESSURE_SCALES),
    light: onScale,
    medium: onScale.test(
      'more',
      'More than for light.',
      (medium, at) => !(Number(medium) <= at.parent.light),
    ),
    firm: onScale.test('more', 'More than for medium.', (firm, at) => !(Number(firm) <= at.parent.medium)),
  })
  .default(undefined)
  .optional()

const press = yup.object({
  id,
  name,
  pressure: pressureNote,
  kind: oneOf(PRESS_KINDS),
  palletWidth: positive('Pallet width', 3),
  palletHeight: positive('Pallet height', 3),
  board: oneOf(BOARDS),
  heads: whole('Heads', 40).when('kind', {
    is: (kind: string) => kind !== 'manual' && kind !== 'single',
    then: (s) => s.optional().strip(),
  }),
  down: yup
    .array(whole('Head', 40))
    .default([])
    .test('heads', 'No such head.', (down, { parent }) => (down ?? []).every((n) => n <= parent.heads))
    .when('kind', {
      is: (kind: string) => kind !== 'manual' && kind !== 'single',
      then: () => yup.mixed().optional().strip(),
    }),
  pallets: whole('Pallets', 40).when('kind', {
    is: (kind: string) => kind !== 'manual',
    then: (s) => s.optional().strip(),
  }),
  stations: yup
    .array(station)
    .min(1, 'An automatic has stations.')
    .required('An automatic has stations.')
    .when('kind', { is: (kind: string) => kind !== 'automatic', then: () => yup.mixed().optional().strip() }),
})

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
})

const method = yup.object(
  Object.fromEntries(
    Object.entries(SCHOOLS).map(([school, { options }]) => [
      school,
      yup.string().oneOf(Object.keys(options), `One of ${Object.keys(options).join(', ')}.`),
    ]),
  ) as Record<School, yup.StringSchema>,
)

const day = daySchema('On which day?')
const moment = yup
  .string()
  .strict()
  .required('When?')
  .test('moment', 'A time is written 2026-11-24T08:30.', isMoment)
const coats = whole('Coats', 12)

const stencil = yup
  .object({
    order: id,
    print: id,
    hit: id,
    words: wordsSchema('What it is', 200),
    emulsionId: wordsSchema('Emulsion', 60),
    coats,
    done: yup.array(yup.object({ step: oneOf(STEPS), at: moment })).default([]),
  })
  .default(undefined)
  .optional()

const frame = yup.object({
  id,
  width: positive('Frame width', 3),
  height: positive('Frame height', 3),
  mesh: positive('Mesh', 30_000),
  tension: positive('Tension', 10_000),
  state: oneOf(FRAME_STATES),
  readings: yup.array(yup.object({ on: day, tension: positive('Tension', 10_000) })).default([]),
  stencil,
  hangs: yup
    .object({ pressId: yup.string().required('On which press?'), head: whole('Head', 40) })
    .default(undefined)
    .optional(),
})

const proven = yup.object({
  id,
  on: day,
  words: wordsSchema('What it is', 200),
  pressId: yup.string().required('On which press?'),
  use: oneOf(STROKE_USES),
  mesh: positive('Mesh', 30_000),
  darkCloth: yup.boolean().required('Missing.'),
  waterBased: yup.boolean().required('Missing.'),
  fleece: yup.boolean().required('Missing.'),
  blade: yup.string().required('Missing.'),
  edge: oneOf(EDGES),
  angle: yup
    .number()
    .min(0, 'Not below 0.')
    .max(Math.PI / 2, 'At most 90°.')
    .required('Missing.'),
  pressure: oneOf({ light: 1, medium: 1, firm: 1 }),
  gauge: onScale.optional(),
  time: positive('Stroke time', 60),
  strokes: whole('Strokes', 20),
  flood: oneOf({ even: 1, hard: 1, slow: 1, full: 1 }),
  offContact: positive('Off-contact', 0.05),
})

const fabric = yup.object({
  count: positive('Mesh', 30_000),
  thread: positive('Thread', 0.001).test(
    'gaps',
    'Thicker than the mesh is apart: nothing stays open.',
    (thread, at) => thread === undefined || !(thread * at.parent.count >= 1),
  ),
  thickness: positive('Thickness', 0.002),
  dyed: oneOf({ white: 1, yellow: 1 }),
})
const seconds = (what: string) => positive(what, 7200)

/** Mesh table, emulsions, lamps, step tests, and what the room is like. */
const screenRoom = yup.object({
  humidity: yup
    .number()
    .typeError('Humidity: a share, for example 45 %.')
    .min(0, 'Humidity is from 0 to 100 %.')
    .max(1, 'Humidity is from 0 to 100 %.')
    .required('Humidity is missing.'),
  frameToPallet: yup
    .number()
    .typeError('A length, please.')
    .min(0, 'Not below 0.')
    .max(1, 'Too far.')
    .required('Missing.'),
  collarLine: yup
    .number()
    .typeError('A length, please.')
    .min(0, 'Not below 0.')
    .max(1, 'Too far.')
    .required('Missing.'),
  fabrics: yup
    .array(fabric)
    .min(1, 'At least one mesh.')
    .required('At least one mesh.')
    .test(
      'once',
      'Two lines have the same mesh.',
      each((f: { count: number }) => Math.round(f.count)),
    ),
  emulsions: yup
    .array(
      yup.object({
        id,
        name,
        kind: oneOf(EMULSION_KINDS),
        water: oneOf(WATER),
        build: positive('Build', 0.001),
      }),
    )
    .default([]),
  lamps: yup
    .array(yup.object({ id, name, kind: oneOf(LAMP_KINDS), distance: positive('Distance', 20) }))
    .default([]),
  tests: yup
    .array(
      yup.object({
        id,
        on: day,
        lampId: yup.string().required('Which lamp?'),
        emulsionId: yup.string().required('Which emulsion?'),
        mesh: positive('Mesh', 30_000),
        coats,
        distance: positive('Distance', 20),
        time: seconds('Time'),
        low: seconds('Lowest time'),
        high: seconds('Highest time'),
      }),
    )
    .default([]),
})

const limit = (what: string) => positive(what, 30)
const limits = yup.object({
  asMeant: limit('As meant'),
  tonedDown: limit('Toned down').test(
    'above',
    'Not below what counts as meant.',
    (most, at) => !(Number(most) < at.parent.asMeant),
  ),
  accept: limit('Accepted'),
  again: limit('Looked at again').test(
    'above',
    'Not below what is accepted.',
    (most, at) => !(Number(most) < at.parent.accept),
  ),
  white: positive('L* of white', 100),
})

const readings = yup
  .array(
    yup
      .number()
      .typeError('A curve holds numbers only.')
      .min(0, 'A reflectance is not below 0.')
      .max(2, 'A reflectance is a share, 1 for all light.')
      .required(),
  )
  .length(BANDS.length, `A curve has ${BANDS.length} values, 400 to 700 nm by 20.`)
const lab = yup.object({
  l: yup.number().min(0).max(100, 'L* is from 0 to 100.').required('L* is missing.'),
  a: yup.number().min(-200).max(200).required('a* is missing.'),
  b: yup.number().min(-200).max(200).required('b* is missing.'),
})
const letDown = yup
  .object({
    share: positive('Share of the tint', 1),
    lightness: positive('L* of the tint', 100),
  })
  .default(undefined)
  .optional()
const KNOWN = {
  curves: yup.object({
    how: oneOf({ curves: 1 }),
    film: positive('Thickness of the smear', 0.001),
    onWhite: readings.required('The curve over white is missing.'),
    onBlack: readings.required('The curve over black is missing.'),
    letDown,
  }),
  labs: yup.object({
    how: oneOf({ labs: 1 }),
    film: positive('Thickness of the smear', 0.001),
    light: oneOf(LIGHTS),
    onWhite: lab,
    onBlack: lab,
    letDown,
  }),
  class: yup.object({ how: oneOf({ class: 1 }), hex: hexSchema, opacity: oneOf(OPACITIES) }),
  additive: yup.object({ how: oneOf({ additive: 1 }), does: oneOf(ADDITIVES) }),
}

const KNOWN_WAYS = Object.keys(KNOWN) as (keyof typeof KNOWN)[]

/** An ink of the rack, on a form or in a file. */
export const baseInkSchema = yup.object({
  code: yup.string().trim().max(24, 'At most 24 characters.').required('A code is missing.'),
  name,
  system: oneOf(INK_SYSTEMS),
  cost: yup
    .number()
    .typeError('A price, please.')
    .min(0, 'Not below 0.')
    .max(10_000)
    .required('A price is missing.'),
  density: yup
    .number()
    .typeError('g/ml, for example 1.2.')
    .min(500, 'Lighter than any ink: 0.5 g/ml at least.')
    .max(5000, 'Heavier than any ink: 5 g/ml at most.')
    .required('The density is missing.'),
  known: yup.lazy(
    (value: { how?: unknown } | null | undefined) =>
      KNOWN[KNOWN_WAYS.find((how) => how === value?.how) ?? 'class'],
  ),
})

const part = yup.object({ code: yup.string().required('Which ink?'), share: positive('Share', 1) })
const formula = yup.object({
  id,
  name,
  system: oneOf(INK_SYSTEMS),
  target: lab,
  parts: yup
    .array(part)
    .min(1, 'A formula has at least one part.')
    .required('A formula has parts.')
    .test(
      'once',
      'An ink stands in it twice.',
      each((p: { code: string }) => p.code),
    )
    .test(
      'whole',
      'The parts do not make 100 %.',
      (parts) => Math.abs((parts ?? []).reduce((sum, p) => sum + p.share, 0) - 1) < 0.005,
    ),
})
const inkRoom = yup.object({
  limits,
  laid: positive('Ink laid against ink computed', 3).default(1),
  rack: yup
    .array(baseInkSchema)
    .default([])
    .test(
      'once',
      'Two inks of the rack have the same code.',
      each((i: { code: string }) => i.code),
    ),
  formulas: yup.array(formula).default([]),
})

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

/** Schools chosen; every one may be left out. */
export const methodSchema = method

/** A shop as the job file carries it. Quantities in SI; schools left out take the default. */
export const shopSchema = yup.object({
  name,
  method: method.default({}),
  presses: yup
    .array(press)
    .min(1, 'A shop has at least one press.')
    .required('A shop has at least one press.'),
  flashes: yup
    .array(
      yup.object({
        id,
        name,
        kind: oneOf(FLASH_KINDS),
        pressId: yup.string().required('At which press?'),
        takes: whole('Stations it takes', 6).default(1),
        station: whole('Station', 40).optional(),
      }),
    )
    .default([]),
  dryers: yup
    .array(
      yup.object({
        id,
        name,
        heatedLength: positive('Heated length', 30),
        beltWidth: positive('Belt width', 5),
      }),
    )
    .default([]),
  frames: yup.array(frame).default([]),
  blades: yup
    .array(
      yup.object({
        id,
        hardness: yup.string().required('Missing.'),
        length: positive('Blade length', 3),
        edge: oneOf(EDGES),
      }),
    )
    .default([]),
  hours: hours.default(USUAL_HOURS),
  screens: screenRoom.default(USUAL_SCREENS as yup.InferType<typeof screenRoom>),
  prices: prices.default(USUAL_PRICES),
  inkRoom: inkRoom.default(USUAL_INK_ROOM as unknown as yup.InferType<typeof inkRoom>),
  proven: yup.array(proven).default([]),
})

/** The shop with its shelf: what a plan reads, and what forms offer. */
export interface ShopAndShelf {
  readonly shop: Shop
  readonly inks: readonly ShelfInk[]
  readonly cloths: readonly Cloth[]
}

const ink = yup.object({
  id,
  name,
  hex: hexSchema,
  character: oneOf(CHARACTERS),
  opacity: oneOf(OPACITIES),
  system: oneOf(SYSTEMS),
})

/** A whole shop as its own forms and the archive check it: everything there, references lead somewhere. */
export const shelfSchema = yup.object({
  shop: shopSchema
    .shape({
      presses: yup
        .array(press)
        .defined()
        .test(
          'once',
          'Two presses have the same id.',
          each((p: { id: string }) => p.id),
        ),
      frames: yup
        .array(frame)
        .defined()
        .test(
          'once',
          'Two frames have the same number.',
          each((f: { id: string }) => f.id),
        )
        .test('place', 'Two frames hang at the same head.', (rows) =>
          each((h: HangingPlace) => `${h.pressId} ${h.head}`)(rows.flatMap((f) => f.hangs ?? [])),
        ),
      method: yup.object(
        Object.fromEntries(
          Object.entries(method.fields).map(([k, f]) => [k, (f as yup.StringSchema).required()]),
        ),
      ),
    })
    .test('stands', 'A flash unit stands at a press that is gone.', ({ flashes, presses }) =>
      (flashes ?? []).every((f) => (presses ?? []).some((p) => p.id === f.pressId)),
    ),
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
})

/** Checks a whole shop; every mistake at its place (`shop.presses[0].name`). */
export const checkShelf = (value: unknown) => checkWith<ShopAndShelf>(shelfSchema, value)

/** The type of a checked shop but for the schools, which the reader fills up with defaults. */
export type CheckedShop = Omit<Shop, 'method'> & { readonly method: Partial<Shop['method']> }
