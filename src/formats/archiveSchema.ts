/** What an archive file has to look like. */

import * as yup from 'yup'
import { TURNS } from '@/core/artwork'
import { BANDS } from '@/core/color'
import { daysKeptSchema } from '@/core/days'
import { INK_SYSTEMS, idSchema, ORDER_STATES, PROGRESS, WHITE_LOOKS, wordsSchema } from '@/core/order'
import { decisionsSchema, runIdSchema } from '@/core/plan'
import { isDay, isMoment, keysOf } from '@/core/quantity'
import { eventFields } from '@/core/record'
import { MOST_LOCK, MOST_TURN } from '@/core/registration'

const moment = yup
  .string()
  .test('moment', 'A time is written 2026-11-24T08:30.', (x) => x === undefined || x === null || isMoment(x))
const decisions = yup.object({
  runId: runIdSchema,
  method: decisionsSchema.fields.method,
  overridesSi: decisionsSchema.fields.overrides,
  order: decisionsSchema.fields.order,
})
const revisionSchema = yup.object({
  runId: runIdSchema,
  number: yup.number().integer().min(1).required(),
  code: yup
    .string()
    .matches(/^\w{3,12}$/)
    .required(),
  releasedAt: moment.required(),
  plan: yup.object().required(),
  order: yup.object().required(),
})
/** Places on a film, metres from its top left corner. */
export const filmPlaces = yup
  .array(
    yup.object({
      x: yup.number().strict().min(-2).max(2).required(),
      y: yup.number().strict().min(-2).max(2).required(),
    }),
  )
  .max(200, 'At most 200 places.')

const filmSchema = yup.object({
  orderId: yup.string().required(),
  print: idSchema,
  id: idSchema,
  ink: yup.string().defined(),
  name: yup.string().max(300).defined(),
  hash: yup
    .string()
    .matches(/^[\da-f]{64}$/, 'A SHA-256 in hexadecimal digits.')
    .required(),
  page: yup.number().integer().min(0).required(),
  across: yup.number().moreThan(0).required(),
  down: yup.number().moreThan(0).required(),
  dpi: yup.number().moreThan(0).optional(),
  raster: yup.boolean().required(),
  negative: yup.boolean().optional(),
  opaque: yup.boolean().optional(),
  screened: yup.boolean().optional(),
  aside: yup.boolean().optional(),
  turn: yup.string().oneOf(keysOf(TURNS)).optional(),
  kept: filmPlaces.optional().default(undefined),
})
const word = yup.string().defined()
const at = moment.required()
const perhaps = moment.nullable().defined()
/** A curve as the book keeps it: JSON of numbers. */
const curve = word.test('curve', 'A curve of numbers, as JSON.', (text) => {
  try {
    const read: unknown = JSON.parse(text)
    return Array.isArray(read) && read.length === BANDS.length && read.every(Number.isFinite)
  } catch {
    return false
  }
})
const figure = yup.number().required()
const whole = yup.number().integer().required()
const rows = <S extends yup.ObjectShape>(shape: S) => yup.array(yup.object(shape)).required()
const bookSchema = yup
  .object({
    can: rows({
      id: word,
      code: word,
      lot: word,
      received: word.test('day', 'A day is written 2026-11-24.', isDay),
      opened: perhaps,
    }),
    batch: rows({
      id: word,
      name: word,
      system: word.oneOf(Object.keys(INK_SYSTEMS)),
      l: figure,
      a: figure,
      b: figure,
      run_id: word,
      hit_id: word,
      wanted: figure,
      begun: at,
      mixed: perhaps,
      expires: perhaps,
      state: word,
    }),
    batch_part: rows({ batch_id: word, place: whole, code: word, share: figure }),
    stock_entry: rows({
      id: whole,
      at,
      tub: word,
      kind: word,
      mass: figure,
      batch_id: word,
      corrects: yup.number().integer().nullable().defined(),
      note: word,
      code: yup.string().nullable().defined(),
    }),
    drawdown: rows({
      id: whole,
      batch_id: word,
      at,
      on_white: curve,
      on_black: curve,
      difference: figure,
      verdict: word,
      who: word,
    }),
  })
  .nullable()
  .default(undefined)
  .optional()
const { move, turn } = MOST_LOCK
const lockSchema = yup.object({
  pressId: idSchema.required(),
  head: yup.number().integer().min(1).max(99).required(),
  at: moment.required(),
  dx: yup.number().min(-move).max(move).required(),
  dy: yup.number().min(-move).max(move).required(),
  turn: yup.number().min(-turn).max(turn).required(),
})
const from = yup.number().min(-MOST_TURN.from).max(MOST_TURN.from).required()
const turns = yup.number().min(-MOST_TURN.turns).max(MOST_TURN.turns).required()
const turnSchema = yup.object({
  pressId: idSchema.required(),
  head: yup.number().integer().min(1).max(99).required(),
  at: moment.required(),
  ...{ left: turns, right: turns, side: turns, x: from, y: from },
  back: yup.boolean().required(),
  dx: yup.number().min(-MOST_TURN.move).max(MOST_TURN.move).required(),
  dy: yup.number().min(-MOST_TURN.move).max(MOST_TURN.move).required(),
  turn: yup.number().min(-MOST_TURN.turn).max(MOST_TURN.turn).required(),
})
const setupSchema = yup.object({
  runId: runIdSchema,
  hitId: idSchema.required(),
  step: yup
    .string()
    .matches(/^\w{1,40}$/)
    .required(),
  at: moment.required(),
})
export const archiveSchema = yup.object({
  format: yup
    .string()
    .oneOf(['orvint-archive'], 'format must be "orvint-archive".')
    .required('format is missing.'),
  version: yup.number().oneOf([1], 'version must be 1.').required('version is missing.'),
  shop: yup.object().required(),
  inks: yup.array().required(),
  cloths: yup.array().required(),
  orders: yup
    .array(
      yup.object({
        order: yup.object().required(),
        deletedAt: moment.optional(),
        state: yup.string().oneOf(Object.keys(ORDER_STATES)).optional(),
        said: yup
          .object(Object.fromEntries(Object.keys(PROGRESS).map((mark) => [mark, moment.optional()])))
          .noUnknown()
          .optional()
          .default(undefined),
        endedAt: moment.optional(),
      }),
    )
    .required(),
  decisions: yup.array(decisions).required(),
  revisions: yup.array(revisionSchema).required(),
  films: yup.array(filmSchema).optional(),
  inkBook: bookSchema,
  customers: yup
    .array(
      yup.object({
        name: wordsSchema('Customer', 120).required(),
        leadDays: yup.number().integer().min(0).max(60).optional(),
        whiteLook: yup.string().oneOf(Object.keys(WHITE_LOOKS)).optional(),
        rules: wordsSchema('House rules', 1000),
      }),
    )
    .max(100_000)
    .optional(),
  notes: yup
    .array(
      yup.object({
        about: yup.string().oneOf(['order', 'print', 'press', 'frame', 'customer']).required(),
        of: yup.string().max(200).required(),
        at: moment.required(),
        words: yup.string().max(4000).defined(),
        photos: yup
          .array(
            yup
              .string()
              .matches(/^[0-9a-f]{64}$/)
              .required(),
          )
          .max(12)
          .required(),
      }),
    )
    .max(1_000_000)
    .optional(),
  days: daysKeptSchema.default(undefined).optional() as unknown as yup.Schema,
  locks: yup.array(lockSchema).max(100_000).optional(),
  turns: yup.array(turnSchema).max(100_000).optional(),
  setups: yup.array(setupSchema).optional(),
  atPress: yup
    .array(eventFields({ runId: runIdSchema }) as unknown as yup.Schema)
    .max(1_000_000)
    .optional(),
})
