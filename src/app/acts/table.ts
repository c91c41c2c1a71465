import * as yup from 'yup'
import { daysKeptSchema } from '@/core/days'
import { BROKE, type Broke } from '@/core/equipment'
import { PROGRESS, type Progress, WHITE_LOOKS, type WhiteLook, wordsSchema } from '@/core/order'
import { runIdSchema } from '@/core/plan'
import type { Outcome } from '@/core/quantity'
import { backUp, restore } from '@/store/backup'
import { ABOUT, type About } from '@/store/notes'
import { applied } from '../edits/apply'
import type { Found } from '../find'
import { find } from '../find'
import * as customers from './customers'
import * as days from './days'
import * as fits from './fits'
import * as ink from './ink'
import type { Act, Frozen } from './kinds'
import * as notes from './notes'
import * as orders from './orders'
import * as press from './press'
import * as shop from './shop'

const MOVED_ON = 'Someone else has changed this since, so it stays as it is now.'

/** An act with what it takes: the schema says the type. */
const of = <S extends yup.Schema, A extends object>(
  takes: S,
  does: Act<Frozen<yup.InferType<S>>, A>['does'],
) => ({ takes, does })
const nothingGiven = yup.object({})

/** Everything that is asked of the server by its name, but for whole values that are saved. */
export const ACTS = {
  newOrder: of(nothingGiven, orders.newOrder),
  duplicate: of(yup.object({ id: fits.orderId }), orders.duplicate),
  reorder: of(yup.object({ id: fits.orderId }), orders.reorder),
  removeOrder: of(yup.object({ id: fits.orderId }), orders.removeOrder),
  restoreOrder: of(yup.object({ id: fits.orderId }), orders.restoreOrder),
  sayOfCustomer: of(
    yup.object({
      name: fits.customer,
      leadDays: yup.number().strict().integer().min(0).max(60, 'At most 60 days.').nullable().optional(),
      whiteLook: yup
        .string<WhiteLook | ''>()
        .strict()
        .oneOf(['', ...(Object.keys(WHITE_LOOKS) as WhiteLook[])])
        .optional(),
      rules: wordsSchema('House rules', 400).strict().optional().default(undefined),
    }),
    customers.sayOfCustomer,
  ),
  mergeCustomer: of(yup.object({ from: fits.customer, to: fits.customer }), customers.mergeCustomer),
  copyFrom: of(yup.object({ id: fits.orderId, from: fits.orderId }), orders.copyFrom),
  writeNote: of(
    yup.object({
      about: yup
        .string<About>()
        .strict()
        .oneOf([...ABOUT])
        .required(),
      of: yup.string().strict().max(200).required('About what?'),
      words: yup.string().strict().trim().max(4000, 'At most 4,000 letters.').defined(),
      photos: yup.array(fits.photo).strict().max(12, 'At most 12 pictures.').defined(),
    }),
    notes.writeNote,
  ),
  forgetNote: of(yup.object({ id: fits.version }), notes.forgetNote),
  markOrder: of(
    yup.object({
      id: fits.orderId,
      mark: yup
        .string<Progress>()
        .strict()
        .oneOf(Object.keys(PROGRESS) as Progress[])
        .required(),
      is: yup.boolean().strict().required(),
    }),
    orders.markOrder,
  ),
  releaseRun: of(yup.object({ runId: runIdSchema, seen: fits.seen }), orders.releaseRun),
  applyChanges: of(
    yup.object({ edited: fits.edited, changes: fits.changes }),
    async ({ edited, changes }): Promise<Outcome> =>
      (await applied(
        edited,
        changes.map(({ path, from, to }) => ({ path, from, to })),
      ))
        ? { ok: true }
        : { ok: false, message: MOVED_ON },
  ),
  find: of(
    yup.object({ text: yup.string().strict().max(200).defined() }),
    async ({ text }): Promise<Outcome<{ found: readonly Found[] }>> => ({
      ok: true,
      found: await find(text),
    }),
  ),
  shareBelt: of(
    yup.object({
      runs: yup
        .array(runIdSchema)
        .strict()
        .length(2, 'Two runs, please.')
        .required('Which runs?')
        .test('two', 'Two different runs, please.', (runs) => new Set(runs).size === 2),
      dryer: fits.anyId,
    }),
    shop.shareBelt,
  ),
  keepDays: of(yup.object({ kept: daysKeptSchema, seen: fits.version }), days.keepDays),
  noteLock: of(fits.lock, press.noteLock),
  forgetLock: of(yup.object({ pressId: fits.anyId, head: fits.head }), press.forgetLock),
  noteTurn: of(fits.headTurn, press.noteTurn),
  forgetTurn: of(yup.object({ pressId: fits.anyId, head: fits.head }), press.forgetTurn),
  takeIntoPlan: of(
    yup.object({
      runId: runIdSchema,
      setting: yup.string().strict().max(120).required('Which setting?'),
      value: fits.settingValue,
    }),
    press.takeIntoPlan,
  ),
  putAway: of(
    yup.object({
      runId: runIdSchema,
      frameId: fits.anyId,
      keep: yup.boolean().strict().required('Kept or reclaimed?'),
    }),
    press.putAway,
  ),
  tellBroke: of(
    yup.object({
      runId: runIdSchema,
      frameId: fits.anyId,
      what: yup
        .string<Broke>()
        .strict()
        .oneOf(Object.keys(BROKE) as Broke[])
        .required(),
    }),
    press.tellBroke,
  ),
  setUpShop: of(
    yup.object({
      template: fits.anyId,
      name: yup
        .string()
        .strict()
        .trim('No spaces around a name.')
        .max(80)
        .required('How is the shop called?'),
    }),
    shop.setUpShop,
  ),
  planSetup: of(
    yup.object({ perScreen: yup.number().strict().min(30).max(7200).optional() }),
    shop.planSetup,
  ),
  sayAir: of(fits.saidAir, shop.sayAir),
  beginBatch: of(fits.newBatch, ink.beginBatch),
  receiveCans: of(fits.cans, ink.receiveCans),
  countCan: of(fits.counted, ink.countCan),
  pour: of(fits.poured, ink.pour),
  undoPour: of(fits.ofBatch, ink.undoPour),
  setAdditive: of(fits.additive, ink.setAdditive),
  restoreBatch: of(fits.restored, ink.restoreBatch),
  finishMix: of(fits.finished, ink.finishMix),
  moveInk: of(fits.moved, ink.moveInk),
  addDrawdown: of(fits.drawn, ink.addDrawdown),
  backUpNow: of(nothingGiven, async (_, { db, now }): Promise<Outcome> => {
    await backUp(db, now)
    return { ok: true }
  }),
  restoreBackup: of(
    yup.object({ name: yup.string().strict().max(80).required('Which backup?') }),
    async ({ name }, { db, now }): Promise<Outcome> => restore(db, name, now),
  ),
} as const

export type ActName = keyof typeof ACTS
export type ActGiven<N extends ActName> = Parameters<(typeof ACTS)[N]['does']>[0]
export type ActAnswer<N extends ActName> = Awaited<ReturnType<(typeof ACTS)[N]['does']>> | Outcome<never>

export const isAct = (name: string): name is ActName => Object.hasOwn(ACTS, name)
