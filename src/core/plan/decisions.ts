import * as yup from 'yup'
import { methodSchema } from '../equipment'
import { checkWith } from '../order'
import { FLASH } from '../sequence'
import { choiceProblem } from './rooms'
import type { Decisions } from './runPlan'

const RUN_ID = /^R-(\d{1,9})-[\w.-]{1,120}$/

/** A run by its number: `R-1002-P1-dark`. */
export const runIdSchema = yup
  .string()
  .strict()
  .matches(RUN_ID, 'A run is written R-1002-P1-dark.')
  .required('Which run?')

/**
 * The number of the order that a run is of; undefined for what is no run.
 *
 * @example orderOfRun('R-1002-P1-dark') // 'O-1002'
 */
export function orderOfRun(runId: string): string | undefined {
  const number = RUN_ID.exec(runId)?.[1]
  return number === undefined ? undefined : `O-${number}`
}

/** Far more than a run has settings. */
const MOST = 600
const MOST_LETTERS = 120
const KEY = /^[\w.-]{1,160}$/

const words = (x: unknown) =>
  typeof x !== 'string' || (x.length <= MOST_LETTERS && !/[\p{Cc}\p{Cs}]/u.test(x))

/** Choices by the key of their advice: a number in SI, or a word. */
export const overridesSchema = yup
  .mixed<Decisions['overrides']>()
  .required('What was chosen?')
  .test('choices', (value, ctx) => {
    const wrong = (key: string, message: string) =>
      ctx.createError({ path: `${ctx.path}${key && `.${key}`}`, message })
    if (typeof value !== 'object' || value === null || Array.isArray(value))
      return wrong('', 'Choices, each by the key of its setting.')
    const entries = Object.entries(value)
    if (entries.length > MOST) return wrong('', `At most ${MOST} choices.`)
    for (const [key, x] of entries) {
      const problem = !KEY.test(key) || !words(x) ? 'A number in SI, or a word.' : choiceProblem(key, x)
      if (problem) return wrong(KEY.test(key) ? key : '', problem)
    }
    return true
  })

const method = methodSchema
  .strict()
  .required('Which practices?')
  .noUnknown(({ unknown }) => `There is no practice ${unknown}.`)

/** Screens in the order the lead wants, and `flash` wherever one is wanted between them. */
export const printOrderSchema = yup
  .array(
    yup
      .string()
      .strict()
      .matches(/^[\w.-]{1,80}$/, 'A screen by its id.')
      .required(),
  )
  .strict()
  .max(40, 'At most 40 screens.')
  .required('In which order?')
  .test('once', 'A screen stands in it twice.', (ids) => {
    const screens = (ids ?? []).filter((id) => id !== FLASH)
    return new Set(screens).size === screens.length
  })

/** What the lead decided for a run. */
export const decisionsSchema = yup.object({
  runId: runIdSchema,
  method,
  overrides: overridesSchema,
  order: printOrderSchema,
})

/** Checks anything that claims to be decisions; every mistake at its place. */
export const checkDecisions = (value: unknown) => checkWith<Decisions>(decisionsSchema, value)
