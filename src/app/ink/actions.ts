'use server'

import { revalidatePath } from 'next/cache'
import * as yup from 'yup'
import { additivesFor, apart, type Drawdown, MOST_ADDITIVE, strangersIn, withAdditives } from '@/core/ink'
import { database } from '@/store/database'
import * as stock from '@/store/inkRoom'
import { diskProblem } from '@/store/problems'
import { loadShop } from '@/store/shop'

type Done<T = object> = stock.StockDone<T>

const lab = yup.object({
  l: yup.number().required(),
  a: yup.number().required(),
  b: yup.number().required(),
})
const mass = yup
  .number()
  .typeError('A weight, please, for example 600 g.')
  .moreThan(0, 'More than nothing, please.')
  .max(200, 'That is over 200 kg: type grams as 600 g.')
  .required('How much?')
const batch = yup.object({
  name: yup.string().trim().max(80).required('A name is missing.'),
  system: yup.string().required(),
  target: lab,
  parts: yup
    .array(yup.object({ code: yup.string().required(), share: yup.number().moreThan(0).required() }))
    .min(1, 'A batch has at least one part.')
    .required(),
  runId: yup.string().defined(),
  hitId: yup.string().defined(),
  wanted: mass,
})
const can = yup.object({
  code: yup.string().required('Which ink?'),
  lot: yup.string().trim().max(40, 'At most 40 characters.').required('A lot is missing.'),
  mass,
})

const no = (message: string) => ({ ok: false, message }) as const

/** Does something to the stock; what a person or a disk can cause comes back as a sentence. */
async function attempt<T extends object>(act: () => Promise<Done<T>>): Promise<Done<T>> {
  try {
    const done = await act()
    revalidatePath('/', 'layout')
    return done
  } catch (error) {
    const message = error instanceof yup.ValidationError ? error.errors[0] : diskProblem(error)
    if (message === undefined) throw error
    return { ok: false, message }
  }
}

export const beginBatch = async (value: stock.NewBatch, at: string): Promise<Done<{ readonly id: string }>> =>
  attempt<{ readonly id: string }>(async () => {
    const checked = (await batch.validate(value)) as stock.NewBatch
    const { rack } = (await loadShop(await database())).shelf.shop.inkRoom
    const [stranger] = strangersIn(checked.parts, checked.system, rack)
    if (stranger)
      return no(`${stranger.name} ${stranger.code} is of another ink system: the two never go into one pail.`)
    return { ok: true, id: await stock.beginBatch(await database(), checked, at) }
  })

export const receiveCan = async (
  value: { readonly code: string; readonly lot: string; readonly mass: number },
  at: string,
): Promise<Done> =>
  attempt(async () => {
    await stock.receiveCan(await database(), await can.validate(value), at)
    return { ok: true }
  })

export const pour = async (
  poured: { readonly batchId: string; readonly canId: string; readonly mass: number },
  at: string,
): Promise<Done> => attempt(async () => stock.pour(await database(), poured, at))

export const undoPour = async (batchId: string, at: string): Promise<Done> =>
  attempt(async () => stock.undoPour(await database(), batchId, at))

/** So much of an additive in a batch on the bench, by share of the whole; none takes it out again. */
export const setAdditive = async (batchId: string, code: string, share: number): Promise<Done> =>
  attempt(async () => {
    const db = await database()
    const batch = await stock.loadBatch(db, batchId)
    const { rack } = (await loadShop(db)).shelf.shop.inkRoom
    if (batch?.state !== 'mixing') return no('It is stirred already: additives go in while it is mixed.')
    if (!additivesFor(batch.system, rack).some((i) => i.code === code))
      return no('That is no additive for this ink system.')
    const { inks, additives } = apart(batch.parts, rack)
    const others = additives.filter((a) => a.code !== code)
    const all = share > 0 ? [...others, { code, share }] : others
    if (!(share >= 0) || all.reduce((sum, a) => sum + a.share, 0) > MOST_ADDITIVE)
      return no('From 0 to 50 % of the whole, all additives together.')
    if (share === 0 && (batch.poured[code] ?? 0) > 0) return no('It is in the pail already.')
    await stock.setParts(db, batchId, withAdditives(inks, all))
    return { ok: true }
  })

/** An over-pour is put right: the batch grows, after a stirred share was taken out where the pail is too small. */
export const restore = async (batchId: string, wanted: number, out: number, at: string): Promise<Done> =>
  attempt(async () => {
    const db = await database()
    if (out > 0) {
      const done = await stock.moveInk(
        db,
        { batchId, mass: -out, kind: 'discarded', note: 'taken out to make room' },
        at,
      )
      if (!done.ok) return done
    }
    await stock.resize(db, batchId, await mass.validate(wanted))
    return { ok: true }
  })

export const finishMix = async (batchId: string, at: string, expires: string | undefined): Promise<Done> =>
  attempt(async () => {
    await stock.finishMix(await database(), batchId, at, expires)
    return { ok: true }
  })

export const moveInk = async (
  moved: {
    readonly batchId: string
    readonly mass: number
    readonly kind: 'used' | 'returned' | 'discarded'
    readonly note: string
  },
  at: string,
): Promise<Done> => attempt(async () => stock.moveInk(await database(), moved, at))

export const addDrawdown = async (batchId: string, drawdown: Drawdown): Promise<Done> =>
  attempt(async () => {
    await stock.addDrawdown(await database(), batchId, drawdown)
    return { ok: true }
  })
