import * as yup from 'yup'
import { isWithin, KINDS, type Kind, writeQuantity } from '../quantity'
import { CAN_NAMES, CAN_SAYS, type CanSays } from './can'

/** A quantity in SI between two limits. What a person typed and no one understood arrives as text and is refused. */
export const quantity = (kind: Kind, least: number, most: number) =>
  yup
    .mixed<number>()
    .required(`Type, for example, ${KINDS[kind].example}.`)
    .test('number', (value, ctx) => {
      if (value === undefined) return true
      if (typeof value !== 'number' || !Number.isFinite(value))
        return ctx.createError({
          message: `Not a ${KINDS[kind].name}: type, for example, ${KINDS[kind].example}.`,
        })
      if (isWithin(kind, value, least, most)) return true
      // Who typed it reads one or the other; the schema knows neither whom nor where.
      const [metric, inch] = (['metric', 'inch'] as const).map((system) => {
        const [low, high] = [least, most].map((x) => writeQuantity(kind, x, system))
        return `${low} and ${high}`
      })
      return ctx.createError({ message: `Between ${metric}${inch === metric ? '' : ` (${inch})`}, please.` })
    })

/** Control characters and halves of characters: nothing that was typed. */
export const UNTYPED = /[\p{Cc}\p{Cs}]/u

/** The rows of a list, whatever stands for it or in it: what is none is told at its own place. */
export const rowsOf = <T>(list: readonly T[] | null | undefined): readonly NonNullable<T>[] =>
  Array.isArray(list) ? list.filter((row) => row !== null && typeof row === 'object') : []

/** Without the blanks round it; what is no text is left to be refused at its place, which the library's own way falls over. */
export const trimmed = yup.string().transform((x: unknown) => (typeof x === 'string' ? x.trim() : x))

/** Words in one line, as a person types them. */
export const wordsSchema = (what: string, most: number) =>
  trimmed
    .transform((x: unknown) => (typeof x === 'string' ? x.replace(/[\t\r\n]+/g, ' ') : x))
    .max(most, `${what}: at most ${most} characters.`)
    .defined()
    .test('typed', `${what}: one line of plain text.`, (x) => !UNTYPED.test(x))

/** What is said only where it is so. */
export const saidIfSo = yup
  .boolean()
  .transform((x: unknown) => (x === true ? true : undefined))
  .optional()
const isSaid = (x: unknown) => x !== undefined && x !== false && x !== ''

/** What a can says, as orders and the shelf check it; nothing where it says nothing. */
export const canSchema = yup
  .object({
    ...(Object.fromEntries(Object.keys(CAN_SAYS).map((k) => [k, saidIfSo])) as Record<
      CanSays,
      typeof saidIfSo
    >),
    airDry: quantity('workTime', 0, 7 * 86_400).optional(),
    ...Object.fromEntries(
      Object.entries(CAN_NAMES).map(([k, what]) => [
        k,
        wordsSchema(what, 60)
          .optional()
          .transform((x: unknown) => (x === '' ? undefined : x)),
      ]),
    ),
  })
  .transform((x: unknown) =>
    typeof x === 'object' && x !== null && !Object.values(x).some(isSaid) ? undefined : x,
  )
  .optional()
  .default(undefined)
