import { additivesFor, apart, type Drawdown, MOST_ADDITIVE, strangersIn, withAdditives } from '@/core/ink'
import { no, type Outcome } from '@/core/quantity'
import * as stock from '@/store/inkRoom'
import { loadShop } from '@/store/shop'
import type { At } from './kinds'

/** A batch on the bench is begun, poured, put right, finished and judged; each of them once. */
export const beginBatch = (
  { batch, at }: { readonly batch: stock.NewBatch; readonly at: string },
  { once }: At,
): Promise<Outcome<{ readonly id: string }>> =>
  once<Outcome<{ readonly id: string }>>(async (tx) => {
    const { rack } = (await loadShop(tx)).shelf.shop.inkRoom
    const missing = batch.parts.find((p) => !rack.some((i) => i.code === p.code))
    if (missing) return no(`There is no ${missing.code} on the rack.`)
    const [stranger] = strangersIn(batch.parts, batch.system, rack)
    if (stranger)
      return no(`${stranger.name} ${stranger.code} is of another ink system: the two never go into one tub.`)
    return { ok: true, id: await stock.beginBatch(tx, batch, at) }
  })

export const receiveCans = (
  { cans, at }: { readonly cans: readonly stock.NewCan[]; readonly at: string },
  { once }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const { rack } = (await loadShop(tx)).shelf.shop.inkRoom
    const missing = cans.find((c) => !rack.some((i) => i.code === c.code))
    if (missing) return no(`There is no ${missing.code} on the rack.`)
    await stock.receiveCans(tx, cans, at)
    return { ok: true }
  })

/** What is in a can by the scale or the eye; nothing takes it off the rack. */
export const countCan = (
  { canId, mass, at }: { readonly canId: string; readonly mass: number; readonly at: string },
  { once }: At,
): Promise<Outcome> => once((tx) => stock.countCan(tx, canId, mass, at))

interface OfBatch {
  readonly batchId: string
  readonly at: string
}

export const pour = (
  { at, ...poured }: OfBatch & { readonly canId: string; readonly mass: number },
  { once }: At,
): Promise<Outcome> => once((tx) => stock.pour(tx, poured, at))

export const undoPour = ({ batchId, at }: OfBatch, { once }: At): Promise<Outcome> =>
  once((tx) => stock.undoPour(tx, batchId, at))

/** So much of an additive in a batch on the bench, by share of the whole; none takes it out again. */
export const setAdditive = (
  { batchId, code, share }: { readonly batchId: string; readonly code: string; readonly share: number },
  { once }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const batch = await stock.loadBatch(tx, batchId)
    const { rack } = (await loadShop(tx)).shelf.shop.inkRoom
    if (batch?.state !== 'mixing') return no('It is stirred already: additives go in while it is mixed.')
    if (!additivesFor(batch.system, rack).some((i) => i.code === code))
      return no('That is no additive for this ink system.')
    const { inks, additives } = apart(batch.parts, rack)
    const others = additives.filter((a) => a.code !== code)
    const all = share > 0 ? [...others, { code, share }] : others
    if (all.reduce((sum, a) => sum + a.share, 0) > MOST_ADDITIVE)
      return no('From 0 to 50 % of the whole, all additives together.')
    if (share === 0 && (batch.poured[code] ?? 0) > 0) return no('It is in the tub already.')
    await stock.setParts(tx, batchId, withAdditives(inks, all))
    return { ok: true }
  })

export const restoreBatch = (
  { batchId, wanted, out, at }: OfBatch & { readonly wanted: number; readonly out: number },
  { once }: At,
): Promise<Outcome> => once((tx) => stock.restoreBatch(tx, batchId, wanted, out, at))

export const finishMix = (
  { batchId, at, expires }: OfBatch & { readonly expires?: string | undefined },
  { once }: At,
): Promise<Outcome> => once((tx) => stock.finishMix(tx, batchId, at, expires))

interface Moved extends OfBatch {
  readonly mass: number
  readonly kind: 'used' | 'returned' | 'discarded'
  readonly note: string
}
export const moveInk = ({ at, ...moved }: Moved, { once }: At): Promise<Outcome> =>
  once((tx) => stock.moveInk(tx, moved, at))

export const addDrawdown = (
  { batchId, drawdown }: { readonly batchId: string; readonly drawdown: Drawdown },
  { once }: At,
): Promise<Outcome> => once((tx) => stock.addDrawdown(tx, batchId, drawdown))
