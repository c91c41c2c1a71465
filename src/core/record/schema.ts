import * as yup from 'yup'
import { keysOf } from '../quantity'
import { MOST_AT_ONCE, type PressEvent, SPOILED_BY } from './event'

const word = (most: number) =>
  yup
    .string()
    .strict()
    .matches(/^[\w .+/-]+$/, 'Letters, digits and dashes.')
    .max(most)
const only = <T>(kinds: readonly string[], schema: yup.Schema<T>) =>
  yup
    .mixed()
    .when('kind', (kind, own) =>
      kinds.includes(`${kind}`) ? schema : own.transform(() => undefined).optional(),
    )
const pieces = yup
  .number()
  .strict()
  .integer()
  .min(-MOST_AT_ONCE)
  .max(MOST_AT_ONCE)
  .notOneOf([0], 'No piece is no count.')
  .required()

/** One event as it is brought by a tablet or an archive, in yup's own type. */
export const eventFields = yup.object({
  id: yup
    .string()
    .strict()
    .matches(/^[\w-]{16,64}$/, 'An id: 16 to 64 letters, digits or dashes.')
    .required(),
  pad: word(64).required(),
  seq: yup.number().strict().integer().min(0).max(Number.MAX_SAFE_INTEGER).required(),
  at: yup
    .string()
    .strict()
    .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,3})?Z$/, 'A time, UTC: 2026-11-30T09:12:00.000Z.')
    .test('day', 'No such time.', (at) => !Number.isNaN(Date.parse(at ?? '')))
    .required(),
  kind: yup.string().strict().oneOf(['count', 'spoil', 'undo']).required(),
  line: only(['count', 'spoil'], word(160).required()),
  size: only(['count', 'spoil'], word(40).required()),
  n: only(['count', 'spoil'], pieces),
  cause: only(['spoil'], yup.string().strict().oneOf(keysOf(SPOILED_BY)).required()),
  of: only(['undo'], word(64).required()),
})

export const eventSchema = eventFields as unknown as yup.Schema<PressEvent>
