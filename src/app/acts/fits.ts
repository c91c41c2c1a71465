import * as yup from 'yup'
import { BANDS } from '@/core/color'
import { INK_SYSTEMS, idSchema, wordsSchema } from '@/core/order'
import { runIdSchema } from '@/core/plan'
import { isMoment } from '@/core/quantity'
import { MOST_LOCK, MOST_TURN } from '@/core/registration'

/** What may be asked of the server, value by value. Nothing is taken for what it is not: `"5"` is no number. */
export const number = () =>
  yup.number().strict().typeError('A number, please.').required('A number is missing.')
export const orderId = yup
  .string()
  .strict()
  .matches(/^O-\d{1,9}$/, 'An order number is written O-1001.')
  .required('Which order?')
export const moment = yup
  .string()
  .strict()
  .required('When?')
  .test('moment', 'A time is written 2026-11-24T08:30.', isMoment)
/** A number in SI or the name of an option; whether it can be that setting's is looked up where it is done. */
export const settingValue = yup
  .mixed<number | string>((v): v is number | string => typeof v === 'number' || typeof v === 'string')
  .required('Which value?')
export const version = number().integer().min(0).max(Number.MAX_SAFE_INTEGER)
const batchId = yup
  .string()
  .strict()
  .matches(/^B-\d{1,9}$/, 'A batch is written B-0005.')
  .required('Which batch?')
const canId = yup
  .string()
  .strict()
  .matches(/^C-\d{1,9}$/, 'A can is written C-0004.')
  .required('Which can?')
const system = yup.string().strict().oneOf(Object.keys(INK_SYSTEMS), 'No such ink system.').required()
const words = (what: string, most: number) => wordsSchema(what, most).strict()
export const customer = words('A customer', 120).required('Which customer?')

const MOST_MASS = 200
export const mass = yup
  .number()
  .strict()
  .typeError('A weight, please, for example 600 g.')
  .moreThan(0, 'Must be more than zero.')
  .max(MOST_MASS, 'That is over 200 kg: type grams as 600 g.')
  .required('How much?')

/** A picture is named by what is in it. */
export const photo = yup
  .string()
  .strict()
  .matches(/^[0-9a-f]{64}$/, 'A picture’s name: 64 digits of its hash.')
  .required()
const code = words('A code', 24).required('Which ink?')
const part = yup.object({
  code,
  share: number().moreThan(0, 'A share above 0.').max(1, 'A share, at most 1.'),
})
const spectrum = yup
  .array(number().min(0).max(2))
  .strict()
  .length(BANDS.length, `A curve has ${BANDS.length} values.`)
  .required()

export const newBatch = yup.object({
  batch: yup.object({
    name: words('A name', 80).required('A name is missing.'),
    system,
    target: yup.object({
      l: number().min(0).max(100),
      a: number().min(-200).max(200),
      b: number().min(-200).max(200),
    }),
    parts: yup.array(part).strict().min(1, 'A batch has at least one part.').max(40).required(),
    runId: yup.lazy((x) => (x === '' ? yup.string().defined() : runIdSchema)),
    hitId: yup.lazy((x) => (x === '' ? yup.string().defined() : idSchema)),
    wanted: mass,
  }),
  at: moment,
})
export const cans = yup.object({
  cans: yup
    .array(yup.object({ code, lot: words('A lot', 40).required('A lot is missing.'), mass }))
    .strict()
    .min(1)
    .max(2000)
    .required(),
  at: moment,
})
export const poured = yup.object({ batchId, canId, mass, at: moment })
export const ofBatch = yup.object({ batchId, at: moment })
export const additive = yup.object({ batchId, code, share: number().min(0).max(1) })
export const restored = yup.object({ batchId, wanted: mass, out: number().min(0).max(MOST_MASS), at: moment })
export const finished = yup.object({
  batchId,
  at: moment,
  expires: yup
    .string()
    .strict()
    .optional()
    .test('moment', 'A time is written 2026-11-24T08:30.', (x) => x === undefined || isMoment(x)),
})
export const counted = yup.object({
  canId,
  mass: number().min(0, 'Not below nothing.').max(MOST_MASS, 'That is over 200 kg: type grams as 600 g.'),
  at: moment,
})
export const moved = yup.object({
  batchId,
  mass: number().min(-MOST_MASS).max(MOST_MASS),
  kind: yup
    .string<'used' | 'returned' | 'discarded'>()
    .strict()
    .oneOf(['used', 'returned', 'discarded'])
    .required(),
  note: words('A note', 200),
  at: moment,
})
export const drawn = yup.object({
  batchId,
  drawdown: yup.object({
    at: moment,
    onWhite: spectrum,
    onBlack: spectrum,
    difference: number().min(0).max(500),
    verdict: yup
      .string<'read' | 'accepted' | 'refused'>()
      .strict()
      .oneOf(['read', 'accepted', 'refused'])
      .required(),
    who: words('Who', 80),
  }),
})
export const seen = yup.object({ order: version, decisions: version, shop: version, revision: version })

/** A difference between two states of plain data; what stands on its sides is checked once it is laid on the whole. */
const change = yup.object({
  path: yup.array(yup.string().strict().max(200).defined()).strict().max(30).required(),
  from: yup.mixed(),
  to: yup.mixed(),
})
export const changes = yup.array(change).strict().max(2000, 'At most 2000 changes at once.').required()
export const anyId = words('An id', 160)
export const edited = yup
  .object({
    kind: yup
      .string<'order' | 'decisions' | 'shop' | 'presence'>()
      .strict()
      .oneOf(
        ['order', 'decisions', 'shop', 'presence'],
        'An order, decisions, the shop, or whether an order is there.',
      )
      .required(),
    id: anyId,
  })
  .required()

/** How warm and damp the shop is; nothing: as usual. */
export const saidAir = yup.object({
  air: yup
    .object({
      temperature: number().min(253).max(333),
      humidity: number().min(0.02).max(0.98),
    })
    .default(undefined)
    .optional(),
})
export const head = number().integer('A head, by its number.').min(1).max(99)
const within = (most: number) => number().min(-most).max(most)
/** How far a screen moved when its head was locked. */
export const lock = yup.object({
  pressId: anyId,
  head,
  at: moment,
  dx: within(MOST_LOCK.move),
  dy: within(MOST_LOCK.move),
  turn: within(MOST_LOCK.turn),
})

const turns = number().min(-MOST_TURN.turns).max(MOST_TURN.turns)
/** What turns of the knobs of a head did. */
export const headTurn = yup
  .object({
    pressId: anyId,
    head,
    at: moment,
    ...{ left: turns, right: turns, side: turns },
    back: yup.boolean().strict().required('Turned back?'),
    ...{ x: within(MOST_TURN.from), y: within(MOST_TURN.from) },
    dx: within(MOST_TURN.move),
    dy: within(MOST_TURN.move),
    turn: within(MOST_TURN.turn),
  })
  .test('turned', 'No knob was turned.', ({ left, right, side }) => left !== 0 || right !== 0 || side !== 0)
