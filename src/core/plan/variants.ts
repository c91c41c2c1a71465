import { choiceOf, numberOf, type Overrides } from '../advice'
import type { Shop } from '../equipment'
import { SECOND_WHITES } from '../ink'
import type { Order } from '../order'
import { type Film, micron } from '../quantity'
import { lapStripShape } from './lapStripShape'
import { looksOfRun } from './looks'
import { plan } from './plan'
import { type Decisions, type RunPlan, screensOf } from './runPlan'

/** Another way to do the whole job, with what it takes and gives. */
export interface Variant {
  readonly id: string
  readonly label: string
  /** Keys of the choices that make it, and those of them that differ from the advice. */
  readonly keys: readonly string[]
  readonly overrides: Overrides
  /** It is what the plan does now. */
  readonly inForce: boolean
  readonly fits: boolean
  /** What is laid, in order: two ways with the same hits are the same. */
  readonly hits: string
  readonly screens: number
  readonly flashes: number
  /** Seconds from set-up to the last piece; none while it does not fit. */
  readonly time: number | undefined
  /** Hand: the thickest ink on the cloth. */
  readonly hand: Film
  /** The colour that the cloth changes most, and by how much (CIEDE2000); none without a colour to tell. */
  readonly worst: { readonly inkId: string; readonly change: number } | undefined
  /** L* of the white; none without one. */
  readonly white: number | undefined
}

/** Never a base under these, in whatever way the job is done. */
const NEVER: ReadonlySet<string> = new Set(['black', 'expanding', 'clear'])

function facts(run: RunPlan, shop: Shop): Omit<Variant, 'id' | 'label' | 'keys' | 'overrides' | 'inForce'> {
  const looks = looksOfRun(run, shop.inkRoom)
  const printed = looks.map((l) => ({ inkId: l.inkId, ...l.looks[l.planned] }))
  const worst = printed.reduce<(typeof printed)[number] | undefined>(
    (a, b) => (a && a.change >= b.change ? a : b),
    undefined,
  )
  const white = run.run.placement.inks.find((i) => i.inkType === 'white')
  return {
    fits: run.sequence.fits,
    hits: run.hits.map((h) => `${h.hit.id} ${h.hit.role} ${h.sameScreenAs}`).join(),
    screens: screensOf(run),
    flashes: run.flashes.length,
    time: run.time && numberOf(run.time.total),
    hand: Math.max(micron(0), lapStripShape(run).tallest),
    worst: worst && { inkId: worst.inkId, change: worst.change },
    white: white && printed.find((p) => p.inkId === white.id)?.lightness,
  }
}

function variant(
  id: string,
  label: string,
  wanted: Overrides,
  { order, shop, decisions, now }: VariantAsk,
): Variant {
  const run = plan(order, shop, {
    ...decisions,
    overrides: { ...decisions.overrides, ...wanted },
    order: [],
  })
  const settledAs = (p: RunPlan) => [choiceOf(p.secondWhite), ...p.colours.map((c) => choiceOf(c.base))]
  const inForce = String(settledAs(run)) === String(settledAs(now))
  const advised = new Map([now.secondWhite, ...now.colours.map((c) => c.base)].map((a) => [a.key, a.advised]))
  const overrides = Object.fromEntries(Object.entries(wanted).filter(([key, v]) => advised.get(key) !== v))
  return { id, label, keys: Object.keys(wanted), overrides, inForce, ...facts(run, shop) }
}

/** What variants are made of. */
export interface VariantAsk {
  readonly order: Order
  readonly shop: Shop
  readonly decisions: Decisions
  /** The plan as it stands. */
  readonly now: RunPlan
}

/**
 * The whole job with no base, with one only where the numbers ask for it, and with one under all but black; each is a plan
 * of its own. Ways that come to the same are told once, under the first of their names.
 */
export function baseVariants(ask: VariantAsk): readonly Variant[] {
  const { inks } = ask.now.run.placement
  const each = (base: (i: number) => boolean): Overrides =>
    Object.fromEntries(inks.map((ink, i) => [`base.${ink.id}`, base(i) ? 'base' : 'none']))
  const needed = (i: number) => ask.now.colours[i]?.base.advised === 'base'
  const ways = [
    ['none', 'No base', each(() => false)],
    ['needed', 'Where it is needed', each(needed)],
    ['all', 'Under all but black', each((i) => !NEVER.has(inks[i]?.inkType ?? ''))],
  ] as const
  const told = new Set<string>()
  return ways.flatMap(([id, label, overrides]) => {
    const key = JSON.stringify(overrides)
    if (told.has(key)) return []
    told.add(key)
    return [variant(id, label, overrides, ask)]
  })
}

/** Each way to make the white bright that is possible here, told once where two come to the same screens and hits. */
export function whiteVariants(ask: VariantAsk): readonly Variant[] {
  const { choices } = ask.now.secondWhite
  if (choices.length < 2) return []
  const ways = choices.map(({ value }) =>
    variant(value, SECOND_WHITES[value as keyof typeof SECOND_WHITES], { white: value }, ask),
  )
  const same = (a: Variant, b: Variant) => a.hits === b.hits
  // Of two that are the same, the one that the plan is set to is told.
  return ways.filter((way, i) =>
    way.inForce ? true : !ways.some((o, j) => same(o, way) && (o.inForce || j < i)),
  )
}
