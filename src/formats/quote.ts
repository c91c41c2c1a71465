import { numberOf } from '@/core/advice'
import type { Shop } from '@/core/equipment'
import { groupLabel, type Order, WHERES } from '@/core/order'
import { type QuotedRun, type QuoteTerms, quoteRun, type RunPlan } from '@/core/plan'
import { type System, writeQuantity } from '@/core/quantity'
import { type GarmentShape, garmentShape, onSizes } from '@/core/registration'

/** Pieces that prices are told for beside those asked for. */
export const QUANTITIES = [24, 48, 96, 144, 288] as const

/** The swatches stand for inks as they are computed. */
export const COMPUTED =
  'Colours are computed from the inks and the cloth, not measured; a screen and a printer of paper show them differently. The print is drawn to scale on the size named.'

/** A print on the cloth at size and place, millimetres. */
export interface Drawing extends GarmentShape {
  readonly hex: string
  readonly size: string
  readonly art: { readonly x: number; readonly y: number; readonly width: number; readonly height: number }
  /** Art of what is laid by its hem lies the other way round. */
  readonly turned: boolean
  readonly room: { readonly x: number; readonly y: number; readonly width: number; readonly height: number }
}

export interface QuotedPrint {
  readonly runId: string
  readonly print: string
  /** Whether white lies under its colours. */
  readonly based: boolean
  readonly where: string
  readonly on: string
  readonly size: string
  readonly placed: string
  readonly pieces: number
  readonly inks: readonly { readonly name: string; readonly hex: string }[]
  readonly drawing: Drawing | undefined
  readonly priced: QuotedRun | undefined
}

/** What is sent to a customer, in words and figures. */
export interface QuoteContent {
  readonly shopName: string
  readonly order: Pick<Order, 'id' | 'customer' | 'title' | 'due'>
  readonly garments: readonly { readonly words: string; readonly sizes: string; readonly pieces: number }[]
  readonly prints: readonly QuotedPrint[]
  readonly garment: { readonly each: number; readonly pieces: number; readonly sum: number } | undefined
  /** None where something of it cannot be priced. */
  readonly total: number | undefined
}

/** Round the drawing, millimetres. */
const MARGIN = 14

/** Quote and proof of an order from the plans of its runs. */
export function quoteOf(
  order: Order,
  plans: readonly RunPlan[],
  shop: Shop,
  terms: QuoteTerms,
  units: System,
): QuoteContent {
  const prints = plans.map((plan) => quotedPrint(plan, shop, terms, units))
  const garments = order.lines.flatMap((l) => {
    const sizes = l.sizes.filter((s) => s.quantity > 0)
    const pieces = sizes.reduce((sum, s) => sum + s.quantity, 0)
    const words = `${l.style}, ${l.cloth.name.toLowerCase()}`
    return pieces === 0
      ? []
      : [{ words, pieces, sizes: sizes.map((s) => `${s.size} ${s.quantity}`).join(', ') }]
  })
  const pieces = garments.reduce((sum, g) => sum + g.pieces, 0)
  const garment =
    terms.garment > 0 ? { each: terms.garment, pieces, sum: cents(terms.garment * pieces) } : undefined
  const whole = prints.length > 0 && prints.every((p) => p.priced)
  const { id, customer, title, due } = order
  return {
    shopName: shop.name,
    order: { id, customer, title, due },
    garments,
    prints,
    garment,
    total: whole
      ? cents(prints.reduce((sum, p) => sum + (p.priced?.sum ?? 0), garment?.sum ?? 0))
      : undefined,
  }
}

const cents = (x: number) => Math.round(x * 100) / 100

function quotedPrint(plan: RunPlan, shop: Shop, terms: QuoteTerms, units: System): QuotedPrint {
  const { run, placement, cloth } = plan
  const { where, width, height, inks, id, sizes } = run.placement
  const group = placement.groups[Math.floor(placement.groups.length / 2)]
  const length = (x: number) => writeQuantity('length', x, units)
  return {
    runId: run.id,
    print: id,
    based: plan.hits.some((h) => h.hit.id === 'base'),
    where: sizes === 'all' ? WHERES[where] : `${WHERES[where]}, ${sizes} sizes`,
    on: `${cloth.name.toLowerCase()} (${groupLabel(run.group).toLowerCase()})`,
    size: `${length(width)} × ${length(height)}`,
    placed: group ? `${length(numberOf(group.down))} ${group.down.label.toLowerCase()}` : '',
    pieces: run.quantity,
    inks: inks.map(({ name, hex }) => ({ name, hex })),
    drawing: drawingOf(plan),
    priced: quoteRun(plan, shop, terms, QUANTITIES),
  }
}

/** The garment of the middle size. */
function drawingOf(plan: RunPlan): Drawing | undefined {
  const { placement } = plan.run
  const all = onSizes(placement, plan.placement)
  const on = all[Math.floor(all.length / 2)]
  if (!on) return undefined
  const turned = plan.placement.origin === 'hem'
  const isBack = placement.where === 'back' || placement.where === 'backNeck'
  const mm = (x: number) => x * 1000
  const { x, y, width, height } = on.art
  const half = (on.piece.kind === 'body' ? 1.5 : 1.1) * mm(Math.max(on.piece.near, on.piece.far) / 2)
  const neck = on.piece.kind === 'body' ? 95 : 0
  return {
    ...garmentShape(on.piece, { isBack, byHem: turned }),
    hex: plan.cloth.hex,
    size: on.size,
    turned,
    art: { x: mm(x), y: mm(y), width: mm(width), height: mm(height) },
    room: {
      x: -half - MARGIN,
      y: (turned ? 0 : -neck) - MARGIN,
      width: 2 * (half + MARGIN),
      height: mm(on.piece.length) + neck + 2 * MARGIN,
    },
  }
}
