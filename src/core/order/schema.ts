import * as yup from 'yup'
import { isHex } from '../color'
import { KINDS, type Kind, writeQuantity } from '../quantity'
import { CHARACTERS, OPACITIES, type Order, SYSTEMS, WEAVES, WHERES } from './order'
import { SIZE_NAMES } from './sizes'

/** A quantity in SI between two limits. What a person typed and no one understood arrives as text and is refused. */
const quantity = (kind: Kind, least: number, most: number) =>
  yup
    .mixed<number>()
    .required(`Type, for example, ${KINDS[kind].example}.`)
    .test('number', (value, ctx) => {
      if (value === undefined) return true
      if (typeof value !== 'number' || !Number.isFinite(value))
        return ctx.createError({
          message: `Not a ${KINDS[kind].name}: type, for example, ${KINDS[kind].example}.`,
        })
      if (value >= least - 1e-9 && value <= most + 1e-9) return true
      const [low, high] = [least, most].map((x) => writeQuantity(kind, x, 'metric'))
      return ctx.createError({ message: `Between ${low} and ${high}, please.` })
    })

const text = (what: string, most: number) =>
  yup.string().trim().max(most, `${what}: at most ${most} characters.`).defined()
const name = (what: string) => text(what, 80).required(`${what} is missing.`)
const oneOf = <T extends string>(table: Readonly<Record<T, unknown>>) =>
  yup
    .mixed<T>()
    .oneOf(Object.keys(table) as T[], 'Choose one of the list.')
    .required('Choose one of the list.')
export const hexSchema = yup
  .string()
  .required('Choose a colour.')
  .test('hex', 'A colour is written #1f2a44.', (x) => isHex(x))

const sizes = yup
  .array(
    yup.object({
      size: yup.string().oneOf(SIZE_NAMES, 'Choose a size of the list.').required('Choose a size.'),
      quantity: yup
        .number()
        .typeError('A whole number of pieces.')
        .integer('A whole number of pieces.')
        .min(0, 'Not below 0.')
        .max(100_000, 'At most 100,000.')
        .required('How many?'),
    }),
  )
  .defined()
  .test('once', 'Each size once.', (rows) => new Set(rows.map((r) => r.size)).size === rows.length)

/** A cloth as an order and the shelf check it. */
export const clothSchema = yup
  .object({
    name: name('Cloth colour'),
    hex: hexSchema,
    weave: oneOf(WEAVES),
    cotton: quantity('share', 0, 1),
    polyester: quantity('share', 0, 1),
    weight: quantity('arealMass', 0.02, 0.6),
  })
  .test('blend', (value, ctx) =>
    Number(value.cotton) + Number(value.polyester) <= 1 + 1e-9
      ? true
      : ctx.createError({
          path: `${ctx.path}.polyester`,
          message: 'Cotton and polyester are more than 100 % together.',
        }),
  )

const ink = yup.object({
  id: yup.string().required(),
  name: name('Ink'),
  hex: hexSchema,
  character: oneOf(CHARACTERS),
  opacity: oneOf(OPACITIES),
  coverage: quantity('share', 0.001, 1),
  ruling: quantity('ruling', 590, 5000).optional(),
  angle: quantity('angle', -Math.PI, Math.PI).optional(),
  line: quantity('fine', 0.00002, 0.05).optional(),
  particle: quantity('film', 0.000001, 0.005).optional(),
  deposit: quantity('film', 0.000001, 0.002).optional(),
  system: oneOf(SYSTEMS),
  lowCure: yup.boolean().required(),
})

const relation = yup
  .object({
    a: yup.string().required('Choose two colours.'),
    b: yup.string().required('Choose two colours.'),
    how: oneOf({ touch: 1, overlap: 1, blend: 1 }),
    width: quantity('length', 0, 0.05).optional(),
  })
  .test('two', (value, ctx) =>
    value.a !== value.b
      ? true
      : ctx.createError({ path: `${ctx.path}.b`, message: 'Choose two different colours.' }),
  )

const placement = yup.object({
  id: yup.string().required(),
  where: oneOf(WHERES),
  width: quantity('length', 0.01, 1.2),
  height: quantity('length', 0.01, 1.2),
  sizes: oneOf({ all: 1, adult: 1, kids: 1 }),
  inks: yup.array(ink).defined().max(12, 'At most 12 colours in one print.'),
  relations: yup
    .array(relation)
    .defined()
    .test('known', 'A meeting names a colour that is gone.', (rows, ctx) => {
      const ids = new Set((ctx.parent as { inks: { id: string }[] }).inks.map((i) => i.id))
      return rows.every((r) => ids.has(r.a) && ids.has(r.b))
    })
    .test('once', 'Two colours meet once.', (rows) => {
      const pairs = rows.map((r) => [r.a, r.b].sort().join('|'))
      return new Set(pairs).size === pairs.length
    }),
})

const line = yup.object({
  id: yup.string().required(),
  style: name('Style'),
  cloth: clothSchema,
  sizes,
  group: yup.string().defined(),
})

/** An order as the form, the server and the job file check it. Quantities in SI. */
export const orderSchema = yup.object({
  id: yup
    .string()
    .matches(/^O-\d{1,9}$/, 'An order number is written O-1001.')
    .required(),
  customer: name('Customer'),
  title: text('Job', 80),
  due: yup
    .string()
    .required('When is it due?')
    .test(
      'date',
      'A date is written 2026-12-01.',
      (x) => /^\d{4}-\d{2}-\d{2}$/.test(x) && !Number.isNaN(Date.parse(x)),
    ),
  notes: text('Notes', 2000),
  lines: yup.array(line).defined(),
  placements: yup.array(placement).defined(),
})

/** What is wrong, by field path (`lines[0].cloth.name`). */
export type FieldErrors = Readonly<Record<string, string>>
export type Checked =
  | { readonly ok: true; readonly order: Order }
  | { readonly ok: false; readonly errors: FieldErrors }

/** Checks anything that claims to be an order; every mistake at its place. */
export function checkOrder(value: unknown): Checked {
  const checked = checkWith<Order>(orderSchema, value)
  return checked.ok ? { ok: true, order: checked.value } : checked
}

/** Checks a value against a schema; every mistake at its place, the first of several at one place. */
export function checkWith<T>(
  schema: yup.Schema,
  value: unknown,
): { readonly ok: true; readonly value: T } | { readonly ok: false; readonly errors: FieldErrors } {
  try {
    return { ok: true, value: schema.validateSync(value, { abortEarly: false, stripUnknown: true }) as T }
  } catch (error) {
    if (!(error instanceof yup.ValidationError)) throw error
    const rows = error.inner.length > 0 ? error.inner : [error]
    return {
      ok: false,
      errors: Object.fromEntries([...rows].reverse().map((e) => [e.path ?? '', e.message])),
    }
  }
}
