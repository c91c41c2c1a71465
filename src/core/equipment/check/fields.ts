import * as yup from 'yup'
import { daySchema, wordsSchema } from '../../order'
import { isMoment } from '../../quantity'

export const id = wordsSchema('An id', 60).required('An id is missing.')
export const name = wordsSchema('A name', 80).required('A name is missing.')
export const positive = (what: string, most: number) =>
  yup
    .number()
    .typeError(`${what}: a number, please.`)
    .moreThan(0, `${what} must be above 0.`)
    .max(most, `${what} is too large.`)
    .required(`${what} is missing.`)
export const whole = (what: string, most: number) => positive(what, most).integer(`${what}: a whole number.`)
export const oneOf = (table: Readonly<Record<string, unknown>>) =>
  yup
    .string()
    .oneOf(Object.keys(table), `One of ${Object.keys(table).join(', ')}.`)
    .required('Missing.')

export const day = daySchema('On which day?')
export const moment = yup
  .string()
  .strict()
  .required('When?')
  .test('moment', 'A time is written 2026-11-24T08:30.', isMoment)
export const coats = whole('Coats', 12)
export const onScale = positive('On the scale', 2_000_000)
