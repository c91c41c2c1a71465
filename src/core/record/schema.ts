import * as yup from 'yup'
import { keysOf } from '../quantity'
import {
  CAME,
  CHANGED,
  JUDGES,
  MOST_AT_ONCE,
  MOST_BELIEVED,
  PAUSED_BY,
  type PressEvent,
  READINGS,
  type Reading,
  SAMPLES,
  type Said,
  SET_BECAUSE,
  SPOILED_BY,
  TACK,
  VERDICTS,
} from './event'

const WORD = /^[\w .+/:-]+$/
const word = (most: number) =>
  yup.string().strict().matches(WORD, 'Letters, digits and dashes.').max(most).required()
/** Of which hit; empty for the run. */
const hit = yup
  .string()
  .strict()
  .matches(/^[\w .+/:-]*$/, 'Letters, digits and dashes.')
  .max(80)
  .defined()
const among = (options: Readonly<Record<string, unknown>>) =>
  yup.string().strict().oneOf(keysOf(options)).required()
const pieces = yup
  .number()
  .strict()
  .integer()
  .min(-MOST_AT_ONCE)
  .max(MOST_AT_ONCE)
  .notOneOf([0], 'No piece is no count.')
  .required()
const whole = (least: number, most: number) => yup.number().strict().integer().min(least).max(most).required()
/** Kilograms of one tub. */
const mass = yup.number().strict().min(0, 'Nothing weighs less than nothing.').max(100).required()
const settingValue = yup
  .mixed()
  .test(
    'setting',
    'A number in SI, or the name of an option.',
    (v) =>
      (typeof v === 'number' && Number.isFinite(v) && Math.abs(v) < 1e9) ||
      (typeof v === 'string' && v.length <= 60 && WORD.test(v)),
  )
const reading = yup
  .number()
  .strict()
  .required()
  .test('believed', 'No such reading is believed.', (value, { parent }) => {
    const between = READINGS[(parent as { what: Reading }).what]?.between
    return between !== undefined && value >= between[0] && value <= between[1]
  })
/** What a trouble was called: a word of the tables, known here or not. */
const trouble = yup
  .string()
  .strict()
  .matches(/^[\p{L}\d .+-]{1,40}$/u, 'A word of the tables.')
  .required()
const troubles = (most: number) => yup.array(trouble).strict().max(most).defined()
const share = yup.number().strict().min(0).max(1).required()
/** A picture is named by what is in it. */
const photo = yup
  .string()
  .strict()
  .matches(/^[0-9a-f]{64}$/, 'A picture’s name: 64 digits of its hash.')
  .required()

/** What each kind of event says besides its stamp. */
const SAYS: { readonly [K in Said['kind']]: Readonly<Record<string, yup.Schema>> } = {
  count: {
    line: word(160),
    size: word(40),
    n: pieces,
    place: yup.string().strict().oneOf(['exit']).optional(),
  },
  spoil: { line: word(160), size: word(40), n: pieces, cause: among(SPOILED_BY) },
  undo: { of: word(64) },
  spare: { line: word(160), size: word(40), n: pieces },
  packed: { line: word(160), size: word(40), n: pieces },
  passed: { n: pieces },
  scrap: { n: pieces },
  start: {},
  stop: {},
  go: {},
  pause: { cause: among(PAUSED_BY) },
  crew: { people: whole(1, 20) },
  tick: { step: word(80), hit },
  set: { setting: word(120), value: settingValue, why: among(SET_BECAUSE) },
  read: { what: among(READINGS), value: reading, hit },
  tack: { word: among(TACK), hit },
  sample: {
    of: among(SAMPLES),
    verdict: among(VERDICTS),
    judge: among(JUDGES),
    photos: yup.array(photo).strict().max(12, 'At most 12 pictures of one sample.').defined(),
  },
  ink: { hit, mass },
  weigh: { hit, mass },
  changed: { part: among(CHANGED), hit },
  down: { head: whole(1, 40) },
  tried: {
    press: word(80),
    hit,
    symptom: trouble,
    also: troubles(40),
    notThere: troubles(40),
    answers: yup
      .array(yup.object({ ask: trouble, answer: trouble }).noUnknown())
      .strict()
      .max(60)
      .defined(),
    remedy: trouble,
    believed: yup
      .array(yup.object({ cause: trouble, share }).noUnknown())
      .strict()
      .max(MOST_BELIEVED)
      .defined(),
  },
  came: { of: word(64), how: among(CAME) },
  heard: { alarm: word(120), pieces: whole(0, 1_000_000) },
}

/** One event as it is brought by a tablet, with more fields where a file has more, in yup's own type. */
export const eventFields = (more: Readonly<Record<string, yup.Schema>> = {}) =>
  yup.lazy((value: unknown) => {
    const kind = (value as { readonly kind?: unknown } | null)?.kind
    const says = typeof kind === 'string' && Object.hasOwn(SAYS, kind) ? SAYS[kind as Said['kind']] : {}
    return yup.object({
      ...more,
      id: yup
        .string()
        .strict()
        .matches(/^[\w-]{16,64}$/, 'An id: 16 to 64 letters, digits or dashes.')
        .required(),
      pad: word(64),
      seq: whole(0, Number.MAX_SAFE_INTEGER),
      at: yup
        .string()
        .strict()
        .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,3})?Z$/, 'A time, UTC: 2026-11-30T09:12:00.000Z.')
        .test('day', 'No such time.', (at) => !Number.isNaN(Date.parse(at ?? '')))
        .required(),
      by: yup
        .string()
        .strict()
        .trim('No spaces around a name.')
        .matches(/^\P{Cc}*$/u, 'A name: plain text.')
        .min(1, 'A name of no letters is none.')
        .max(40)
        .optional(),
      kind: among(SAYS),
      ...says,
    })
  })
export const eventSchema = eventFields() as unknown as yup.Schema<PressEvent>
