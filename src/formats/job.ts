import * as yup from 'yup'
import { DEFAULT_METHOD } from '@/core/advice'
import { type CheckedShop, type InkRoom, methodSchema, type Shop, shopSchema } from '@/core/equipment'
import { checkWith, type Order, orderSchema, splitOrder } from '@/core/order'
import {
  type Decisions,
  inTodaysWords,
  orderable,
  overridesSchema,
  printOrderSchema,
  runIdSchema,
} from '@/core/plan'
import { messageOf } from '@/core/quantity'
import { filePath, toNamedUnits, toSi } from './namedUnits'

/** What a job file holds: an order, the shop facts its plan needs, and what the lead decided for one run. */
export interface JobFile {
  readonly order: Order
  readonly shop: Shop
  readonly decisions: Decisions
}

export type JobRead =
  | { readonly ok: true; readonly job: JobFile }
  | { readonly ok: false; readonly wrong: readonly string[] }

const jobSchema = yup.object({
  format: yup.string().oneOf(['orvint-job'], 'format must be "orvint-job".').required('format is missing.'),
  version: yup.number().oneOf([1], 'version must be 1.').required('version is missing.'),
  order: orderSchema,
  shop: shopSchema.required(),
  decisions: yup.object({
    runId: runIdSchema,
    method: methodSchema.default({}),
    overridesSi: overridesSchema.default({}),
    order: printOrderSchema.default([]),
  }),
})

/**
 * Reads the text of a job file.
 *
 * @returns every mistake as `place: message`, in the names the file uses
 */
export function readJob(text: string): JobRead {
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch (error) {
    return { ok: false, wrong: [`Not JSON: ${messageOf(error)}`] }
  }
  const checked = checkWith<yup.InferType<typeof jobSchema>>(jobSchema, toSi(inTodaysWords(raw)))
  if (!checked.ok)
    return {
      ok: false,
      wrong: Object.entries(checked.errors).map(
        ([path, message]) =>
          `${(path.startsWith('decisions.overridesSi') ? path : filePath(path)) || 'file'}: ${message}`,
      ),
    }
  const { order, shop, decisions } = checked.value
  const { overridesSi, ...decided } = decisions
  const facts = shop as unknown as CheckedShop
  const job: JobFile = {
    order: order as Order,
    shop: { ...facts, method: { ...DEFAULT_METHOD, ...facts.method } },
    decisions: { ...decided, overrides: overridesSi } as Decisions,
  }
  const wrong = doesNotBelong(job)
  return wrong.length > 0 ? { ok: false, wrong } : { ok: true, job }
}

/** Ids of an order by hand that are no screen of the print. */
function strangers(order: Order, { runId, order: byHand }: Decisions): readonly string[] {
  const run = splitOrder(order).find((r) => r.id === runId)
  if (!run) return []
  const known = orderable(run.placement)
  return byHand.flatMap((id, i) =>
    known.includes(id) ? [] : [`decisions.order[${i}]: no screen ${id}; there are ${known.join(', ')}.`],
  )
}

/** References inside the file that lead nowhere. */
function doesNotBelong({ order, shop, decisions }: JobFile): readonly string[] {
  const runs = splitOrder(order).map((r) => r.id)
  const presses = shop.presses.map((p) => p.id)
  return [
    ...(runs.includes(decisions.runId)
      ? []
      : [`decisions.runId: the order has no run ${decisions.runId}; it has ${runs.join(', ') || 'none'}.`]),
    ...strangers(order, decisions),
    ...shop.flashes.flatMap((f, i) =>
      presses.includes(f.pressId) ? [] : [`shop.flashes[${i}].pressId: no press ${f.pressId}.`],
    ),
  ]
}

/** Of the ink room what the plan of the order reads: formulas that bear the name of one of its inks, and their inks. */
function inkRoomOf({ placements }: Order, { rack, formulas, ...held }: InkRoom): InkRoom {
  const names = new Set(placements.flatMap((p) => p.inks.map((i) => i.name.toLowerCase())))
  const used = formulas.filter((f) => names.has(f.name.toLowerCase()))
  const codes = new Set(used.flatMap((f) => f.parts.map((p) => p.code)))
  return { ...held, rack: rack.filter((i) => codes.has(i.code)), formulas: used }
}

/** Writes a job file. */
export function writeJob({ order, shop, decisions }: JobFile): string {
  const { overrides, ...rest } = decisions
  const facts = { ...shop, inkRoom: inkRoomOf(order, shop.inkRoom) }
  const body = toNamedUnits({ format: 'orvint-job', version: 1, order, shop: facts, decisions: rest }) as {
    decisions: Record<string, unknown>
  }
  return `${JSON.stringify({ ...body, decisions: { ...body.decisions, overridesSi: overrides } }, null, 2)}\n`
}
