import * as yup from 'yup'
import type { Down, Otherwise, Pin } from './facts'
import type { KeptChoice } from './lanes'

/** What the lead decided of the days: the plan that was taken, runs that were put somewhere, presses that stand. */
export interface DaysKept {
  readonly choice?: KeptChoice | undefined
  readonly pins: readonly Pin[]
  readonly down: readonly Down[]
  /** Who is gone, what comes later and what takes longer than was planned. */
  readonly otherwise?: Otherwise | undefined
  /** Runs that get one more person to load and unload. */
  readonly helped?: readonly string[] | undefined
  /** Runs whose press was changed by taking the days, not by hand: the days may change it again. */
  readonly settled?: Readonly<Record<string, string>> | undefined
}

export const NOTHING_KEPT: DaysKept = { pins: [], down: [] }

const MOST = 5000
/** 1970 to 2200, seconds of the shop's clock. */
const moment = yup
  .number()
  .strict()
  .typeError('A moment, please: seconds of the shop’s clock.')
  .min(0, 'That is before 1970.')
  .max(7.26e9, 'That is after the year 2200.')
  .required('When?')
const id = yup
  .string()
  .strict()
  .matches(/^[\w.-]{1,160}$/, 'A name of letters, digits, dots and dashes.')
  .required('Which?')
const day = yup
  .string()
  .strict()
  .matches(/^\d{4}-\d\d-\d\d$/, 'A day is written 2026-12-01.')
  .required('Which day?')

/** An object whose names are ids, and whose values fit. */
const named = <T>(of: yup.Schema<T>) =>
  yup
    .mixed<Readonly<Record<string, T>>>()
    .required('Something is missing.')
    .test('named', 'A list by names, please.', (value) => {
      if (value === undefined) return true
      if (typeof value !== 'object' || value === null || Array.isArray(value)) return false
      const entries = Object.entries(value)
      return entries.length <= MOST && entries.every(([key, x]) => id.isValidSync(key) && of.isValidSync(x))
    })

const choice = yup
  .object({
    order: yup
      .array(id)
      .strict()
      .max(MOST)
      .required('In which order?')
      .test('once', 'A run stands in it twice.', (ids) => new Set(ids ?? []).size === (ids ?? []).length),
    press: named(id),
    overtime: named(yup.array(day).strict().max(400).required()),
  })
  .default(undefined)
  .optional()

const otherwise = yup
  .object({
    away: yup
      .array(
        yup
          .object({ personId: id, first: day, last: day })
          .test('span', 'They are back before they went.', (a) => a.last >= a.first),
      )
      .strict()
      .max(200, 'At most 200 times that somebody is away.')
      .required('Who is away?'),
    garments: yup
      .array(yup.object({ orderId: id, on: day }))
      .strict()
      .max(MOST)
      .required('Which garments come later?'),
    longer: yup
      .array(
        yup.object({
          runId: id,
          by: yup
            .number()
            .strict()
            .typeError('Seconds, please.')
            .min(60, 'A minute at least.')
            .max(604_800, 'A week at most.')
            .required('By how much?'),
        }),
      )
      .strict()
      .max(MOST)
      .required('Which runs take longer?'),
  })
  .default(undefined)
  .optional()

export const daysKeptSchema = yup.object({
  choice,
  helped: yup.array(id).strict().max(MOST).optional().default(undefined),
  otherwise,
  settled: named(id).optional().default(undefined),
  pins: yup
    .array(yup.object({ runId: id, pressId: id, at: moment }))
    .strict()
    .max(MOST)
    .required('Which runs were put somewhere?'),
  down: yup
    .array(
      yup
        .object({ pressId: id, from: moment, to: moment })
        .test('span', 'It is back before it went.', (d) => d.to > d.from),
    )
    .strict()
    .max(200, 'At most 200 times that a press stands.')
    .required('Which presses stand?'),
})
