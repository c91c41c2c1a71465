import * as yup from 'yup'
import { isHex } from '../color'
import { isDay } from '../quantity'
import { CLOTH_GROUPS } from './definition'
import { CLOTH_DRAWS, DYES, INK_TYPES, OPACITIES, type Order, WEAVES, WHERES, WHITE_LOOKS } from './order'
import { canSchema, quantity, rowsOf, saidIfSo, trimmed, UNTYPED, wordsSchema } from './schemaParts'
import { SIZE_NAMES } from './sizes'
import { SYSTEMS } from './systems'

/** What names a thing inside an order, a shop or a file: it stands in addresses, file names and headers. */
export const idSchema = yup
  .string()
  .strict()
  .matches(/^[\w][\w.-]{0,59}$/, 'An id is letters, digits, points and dashes, at most 60.')
  .required('An id is missing.')

/** Each item of a list by its own name. */
export const each =
  <T>(key: (row: T) => unknown) =>
  (list: readonly T[] | undefined) => {
    const rows = rowsOf(list)
    return new Set(rows.map(key)).size === rows.length
  }

/** A day that there is. @param missing what is said when there is none */
export const daySchema = (missing: string) =>
  yup
    .string()
    .strict()
    .required(missing)
    .test(
      'day',
      'A date is written 2026-12-01, and must be one that there is.',
      // That nothing is there is told by its own rule.
      (x) => x === '' || isDay(x),
    )

const text = wordsSchema
const name = (what: string) => text(what, 80).required(`${what} is missing.`)
const oneOf = <T extends string>(table: Readonly<Record<T, unknown>>) =>
  yup
    .mixed<T>()
    .oneOf(Object.keys(table) as T[], 'Choose one of the list.')
    .required('Choose one of the list.')
/** A choice of a table, or nothing said. */
export const oneOfOrNone = <T extends string>(table: Readonly<Record<T, unknown>>) =>
  yup
    .mixed<T>()
    .transform((x: unknown) => (x === '' || x === null ? undefined : x))
    .oneOf(Object.keys(table) as T[], 'Choose one of the list.')
    .optional()
export const hexSchema = yup
  .string()
  .required('Choose a colour.')
  .test('hex', 'A colour is written #1f2a44.', (x) => isHex(x))

const pieces = yup
  .number()
  .typeError('A whole number of pieces.')
  .integer('A whole number of pieces.')
  .min(0, 'Not below 0.')
  .max(100_000, 'At most 100,000.')

const sizes = yup
  .array(
    yup.object({
      size: yup.string().oneOf(SIZE_NAMES, 'Choose a size of the list.').required('Choose a size.'),
      quantity: pieces.required('How many?'),
      received: pieces.optional(),
    }),
  )
  .defined()
  .test(
    'once',
    'Each size once.',
    each((r: { size?: unknown }) => r.size),
  )

/** A cloth as an order and the shelf check it. */
export const clothSchema = yup
  .object({
    name: name('Cloth colour'),
    hex: hexSchema,
    weave: oneOf(WEAVES),
    cotton: quantity('share', 0, 1),
    polyester: quantity('share', 0, 1),
    weight: quantity('arealMass', 0.02, 0.6),
    elastane: quantity('share', 0, 0.4).optional(),
    dye: oneOfOrNone(DYES),
  })
  .test('blend', (value, ctx) =>
    Number(value.cotton) + Number(value.polyester) + Number(value.elastane ?? 0) <= 1 + 1e-9
      ? true
      : ctx.createError({
          path: `${ctx.path}.polyester`,
          message: 'The fibres are more than 100 % together.',
        }),
  )

const ink = yup.object({
  id: idSchema,
  name: name('Ink'),
  hex: hexSchema,
  inkType: oneOf(INK_TYPES),
  opacity: oneOf(OPACITIES),
  coverage: quantity('share', 0.001, 1),
  ruling: quantity('ruling', 590, 5000).optional(),
  angle: quantity('angle', -Math.PI, Math.PI).optional(),
  line: quantity('fine', 0.00002, 0.05).optional(),
  gap: quantity('fine', 0.00002, 0.05).optional(),
  particle: quantity('thickness', 0.000001, 0.005).optional(),
  deposit: quantity('thickness', 0.000001, 0.002).optional(),
  system: oneOf(SYSTEMS),
  lowCure: yup.boolean().required(),
  can: canSchema,
})

const relation = yup
  .object({
    a: yup.string().required('Choose two colours.'),
    b: yup.string().required('Choose two colours.'),
    how: oneOf({ touch: 1, overlap: 1, blend: 1, gap: 1 }),
    width: quantity('length', 0, 0.05).optional(),
    over: yup.string().optional(),
  })
  .test('over', (value, ctx) =>
    value.over === undefined || (value.how === 'overlap' && [value.a, value.b].includes(value.over))
      ? true
      : ctx.createError({
          path: `${ctx.path}.over`,
          message: 'Of two colours that overlap, one lies over the other.',
        }),
  )
  .test('two', (value, ctx) =>
    value.a !== value.b
      ? true
      : ctx.createError({ path: `${ctx.path}.b`, message: 'Choose two different colours.' }),
  )

const placement = yup.object({
  id: idSchema,
  where: oneOf(WHERES),
  width: quantity('length', 0.01, 1.2),
  height: quantity('length', 0.01, 1.2),
  sizes: oneOf({ all: 1, adult: 1, kids: 1 }),
  choke: quantity('fine', -0.005, 0.005).optional(),
  clothDraws: oneOfOrNone(CLOTH_DRAWS),
  inks: yup
    .array(ink)
    .defined()
    .max(12, 'At most 12 colours in one print.')
    .test(
      'once',
      'Two colours have the same id.',
      each((i: { id?: unknown }) => i.id),
    ),
  relations: yup
    .array(relation)
    .defined()
    .test('known', 'A meeting names a colour that is gone.', (rows, ctx) => {
      const ids = new Set(rowsOf((ctx.parent as { inks?: { id: string }[] }).inks).map((i) => i.id))
      return rowsOf(rows).every((r) => ids.has(r.a) && ids.has(r.b))
    })
    .test(
      'once',
      'Two colours meet once.',
      each((r: { a?: unknown; b?: unknown }) => [r.a, r.b].sort().join('|')),
    ),
})

const line = yup.object({
  id: idSchema,
  style: name('Style'),
  cloth: clothSchema,
  sizes,
  group: yup
    .string()
    .defined()
    .oneOf(['', ...Object.keys(CLOTH_GROUPS)], 'Choose one of the list.'),
})

/** An order as the form, the server and the job file check it. Quantities in SI. */
export const orderSchema = yup.object({
  id: yup
    .string()
    .matches(/^O-\d{1,9}$/, 'An order number is written O-1001.')
    .required(),
  customer: name('Customer'),
  title: text('Job', 80),
  due: daySchema('When is it due?'),
  notes: trimmed
    .max(2000, 'Notes: at most 2000 characters.')
    .defined()
    .test('typed', 'Notes: plain text.', (x) => !UNTYPED.test(x.replace(/[\t\r\n]/g, ''))),
  reorderOf: yup.string().matches(/^O-\d{1,9}$/, 'An order number is written O-1001.'),
  // What is usual is not said: two orders that mean the same are the same.
  whiteLook: yup
    .string()
    .oneOf([...Object.keys(WHITE_LOOKS), undefined], 'Choose one of the list.')
    .transform((x) => (x === 'bright' || x === '' ? undefined : x)),
  pvcFree: saidIfSo,
  garmentsOn: yup
    .string()
    .strict(false)
    .transform((x) => (x === '' || x === null ? undefined : x))
    .test(
      'day',
      'A date is written 2026-12-01, and must be one that there is.',
      (x) => x === undefined || isDay(x),
    ),
  lines: yup
    .array(line)
    .defined()
    .max(200, 'At most 200 garment lines.')
    .test(
      'once',
      'Two garment lines have the same id.',
      each((l: { id?: unknown }) => l.id),
    ),
  placements: yup
    .array(placement)
    .defined()
    .max(40, 'At most 40 prints.')
    .test(
      'once',
      'Two prints have the same id.',
      each((p: { id?: unknown }) => p.id),
    ),
})

/** What is wrong, by field path (`lines[0].cloth.name`). */
export type FieldErrors = Readonly<Record<string, string>>
export type Checked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly errors: FieldErrors }

/** Checks anything that claims to be an order; every mistake at its place. */
export const checkOrder = (value: unknown) => checkWith<Order>(orderSchema, value)

/** Checks an order that is held already: one that was just opened has no customer yet. */
export const checkHeldOrder = (value: unknown) =>
  checkWith<Order>(orderSchema.shape({ customer: wordsSchema('Customer', 80) }), value)

/** Checks a value against a schema; every mistake at its place, the first of several at one place. */
export function checkWith<T>(schema: yup.Schema, value: unknown): Checked<T> {
  try {
    return { ok: true, value: schema.validateSync(value, { abortEarly: false, stripUnknown: true }) as T }
  } catch (error) {
    // A rule of a list that met something that is no object at all; the schema never gets to name its place.
    if (error instanceof TypeError)
      return { ok: false, errors: { '': 'A part of it is missing or is not what it should be.' } }
    if (!(error instanceof yup.ValidationError)) throw error
    const rows = error.inner.length > 0 ? error.inner : [error]
    return {
      ok: false,
      errors: Object.fromEntries([...rows].reverse().map((e) => [e.path ?? '', e.message])),
    }
  }
}
