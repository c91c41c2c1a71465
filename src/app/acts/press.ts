import type { Kysely } from 'kysely'
import { type Broke, type Frame, type Shop, screenBroke } from '@/core/equipment'
import { choiceProblem, orderOfRun } from '@/core/plan'
import { no, type Outcome } from '@/core/quantity'
import type { HeadLock, HeadTurn } from '@/core/registration'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { headLocks, headTurns } from '@/store/headNotes'
import type { Tables } from '@/store/schema'
import { loadShop, putPart } from '@/store/shop'
import type { At } from './kinds'

const isThere = async (tx: Kysely<Tables>, pressId: string): Promise<boolean> =>
  (await loadShop(tx)).shelf.shop.presses.some((p) => p.id === pressId)

/** Notes how far a screen moved when its head was locked. */
export const noteLock = (lock: HeadLock, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    if (!(await isThere(tx, lock.pressId))) return no('There is no such press any more.')
    await headLocks.note(tx, lock)
    return { ok: true }
  })

/** Notes what turns of the knobs of a head did. */
export const noteTurn = (turn: HeadTurn, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    if (!(await isThere(tx, turn.pressId))) return no('There is no such press any more.')
    await headTurns.note(tx, turn)
    return { ok: true }
  })

type OfHead = { readonly pressId: string; readonly head: number }

/** Takes the last note of a head back. */
const forgetIn =
  (notes: Pick<typeof headLocks | typeof headTurns, 'forget'>) =>
  ({ pressId, head }: OfHead, { once }: At): Promise<Outcome> =>
    once<Outcome>(async (tx) =>
      (await notes.forget(tx, pressId, head)) ? { ok: true } : no('Nothing is noted for this head.'),
    )
export const forgetLock = forgetIn(headLocks)
export const forgetTurn = forgetIn(headTurns)

interface PutAway {
  readonly runId: string
  readonly frameId: string
  /** For a reorder; else it was reclaimed. */
  readonly keep: boolean
}

/** A screen of a run comes down: kept with its stencil, or reclaimed. */
export const putAway = ({ runId, frameId, keep }: PutAway, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const { shelf } = await loadShop(tx)
    const frame = shelf.shop.frames.find((f) => f.id === frameId)
    if (!frame?.stencil || frame.stencil.order !== orderOfRun(runId))
      return no('That frame carries no screen of this job.')
    const { stencil, mounted: _, ...bare } = frame
    await putFrame(tx, shelf.shop, keep ? { ...bare, stencil } : { ...bare, state: 'clean' })
    return { ok: true }
  })

const putFrame = (tx: Kysely<Tables>, shop: Shop, frame: Frame) =>
  putPart(tx, 'frames', { shop: { frames: shop.frames.map((f) => (f.id === frame.id ? frame : f)) } })

/** A screen of a run broke at the press: the screen room makes it anew. */
export const tellBroke = (
  { runId, frameId, what }: Omit<PutAway, 'keep'> & { readonly what: Broke },
  { once }: At,
): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const { shelf } = await loadShop(tx)
    const frame = shelf.shop.frames.find((f) => f.id === frameId)
    if (frame?.stencil?.order !== orderOfRun(runId)) return no('That frame carries no screen of this job.')
    await putFrame(tx, shelf.shop, screenBroke(frame as Frame, what))
    return { ok: true }
  })

interface Offered {
  readonly runId: string
  readonly setting: string
  readonly value: number | string
}

/** What was set at the press becomes the lead's own choice for the run. */
export const takeIntoPlan = ({ runId, setting, value }: Offered, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    const problem = choiceProblem(setting, value)
    if (problem) return no(problem)
    const orderId = orderOfRun(runId)
    const stored = orderId === undefined ? undefined : (await loadDecisions(tx, [orderId])).get(runId)
    if (!stored) return no('There is no such run any more.')
    const { decisions, version } = stored
    const overrides = { ...decisions.overrides, [setting]: value }
    const saved = await saveDecisions(tx, { ...decisions, overrides }, version)
    return saved.ok ? { ok: true } : no('Someone else has just decided on this run: look again.')
  })
