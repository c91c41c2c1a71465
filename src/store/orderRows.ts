import type { Kysely } from 'kysely'
import { isHex } from '@/core/color'
import {
  type ArtRelation,
  CLOTH_DRAWS,
  type Cloth,
  canSchema,
  DYES,
  type GarmentLine,
  INK_TYPES,
  type InkColour,
  OPACITIES,
  type Order,
  type Placement,
  SYSTEMS,
  splitOrder,
  WEAVES,
  type Weave,
  WHERES,
} from '@/core/order'
import type { Tables } from './schema'

/** Something stored that cannot be: what it is, and what stands in for it until it is mended. */
type Mend = <T extends string>(value: string, is: (x: string) => boolean, instead: T, what: string) => T

export const mendInto =
  (wrong: string[]): Mend =>
  (value, is, instead, what) => {
    if (is(value)) return value as typeof instead
    wrong.push(`${what} “${value}” cannot be: it is taken for ${instead} until it is mended.`)
    return instead
  }
const oneOf = (table: object) => (x: string) => Object.hasOwn(table, x)

export const lineOf = (
  l: Tables['garment_line'],
  sizes: readonly Tables['size_quantity'][],
  mend: Mend,
): GarmentLine => ({
  id: l.id,
  style: l.style,
  cloth: {
    name: l.cloth_name,
    hex: mend(l.hex, isHex, '#808080', `${l.cloth_name}: the colour`),
    weave: mend<Weave>(l.weave, oneOf(WEAVES), 'jersey', `${l.cloth_name}: the weave`),
    cotton: l.cotton,
    polyester: l.polyester,
    weight: l.weight,
    ...(l.elastane !== null && { elastane: l.elastane }),
    ...(l.dye !== null && Object.hasOwn(DYES, l.dye) && { dye: l.dye as keyof typeof DYES }),
  },
  sizes: sizes
    .filter((s) => s.line_id === l.id)
    .map(({ size, quantity, received }) => ({ size, quantity, ...(received !== null && { received }) })),
  group: l.cloth_group,
})

/** What a can says as it is stored; what cannot be was never said. */
export function canIn({ can }: { readonly can: string | null }): Pick<InkColour, 'can'> {
  if (can === null) return {}
  const said: unknown = JSON.parse(can)
  return canSchema.isValidSync(said) ? { can: canSchema.cast(said, { stripUnknown: true }) } : {}
}
export const canRow = ({ can }: Pick<InkColour, 'can'>): string | null => (can ? JSON.stringify(can) : null)

/** A cloth as it stands in a row. */
export const clothRow = ({ elastane, dye, ...cloth }: Cloth) => ({
  ...cloth,
  elastane: elastane ?? null,
  dye: dye ?? null,
})

export const placementOf = (
  p: Tables['placement'],
  inks: readonly Tables['placement_ink'][],
  relations: readonly Tables['ink_relation'][],
  mend: Mend,
): Placement => ({
  id: p.id,
  where: mend<Placement['where']>(p.location, oneOf(WHERES), 'front', `Print ${p.id}: the place`),
  width: p.width,
  height: p.height,
  sizes: p.sizes as Placement['sizes'],
  ...(p.choke === null ? {} : { choke: p.choke }),
  ...(p.cloth_draws !== null &&
    Object.hasOwn(CLOTH_DRAWS, p.cloth_draws) && {
      clothDraws: p.cloth_draws as keyof typeof CLOTH_DRAWS,
    }),
  inks: inks
    .filter((i) => i.placement_id === p.id)
    .map((i) => ({
      id: i.id,
      name: i.name,
      hex: mend(i.hex, isHex, '#808080', `${i.name}: the colour`),
      inkType: mend<InkColour['inkType']>(i.ink_type, oneOf(INK_TYPES), 'spot', `${i.name}: the ink type`),
      opacity: mend<InkColour['opacity']>(i.opacity, oneOf(OPACITIES), 'ordinary', `${i.name}: the opacity`),
      coverage: i.coverage,
      ...(i.ruling === null ? {} : { ruling: i.ruling }),
      ...(i.angle === null ? {} : { angle: i.angle }),
      ...(i.line === null ? {} : { line: i.line }),
      ...(i.gap === null ? {} : { gap: i.gap }),
      ...(i.particle === null ? {} : { particle: i.particle }),
      ...(i.deposit === null ? {} : { deposit: i.deposit }),
      system: mend<InkColour['system']>(i.system, oneOf(SYSTEMS), 'house', `${i.name}: the ink system`),
      lowCure: i.low_cure === 1,
      ...canIn(i),
    })),
  relations: relations
    .filter((r) => r.placement_id === p.id)
    .map((r) => ({
      a: r.a,
      b: r.b,
      how: r.how as ArtRelation['how'],
      ...(r.width === null ? {} : { width: r.width }),
      ...(r.lies_over === null ? {} : { over: r.lies_over }),
    })),
})

/** Writes lines, prints, inks and runs of an order. Decisions of a run outlive a change that makes the run disappear for a moment. */
export async function writeParts(tx: Kysely<Tables>, order: Order): Promise<void> {
  const order_id = order.id
  for (const [place, { id, style, cloth, sizes, group }] of order.lines.entries()) {
    const { name, ...fabric } = clothRow(cloth)
    await tx
      .insertInto('garment_line')
      .values({ order_id, id, place, style, cloth_name: name, ...fabric, cloth_group: group })
      .execute()
    const rows = sizes.map((s, at) => ({
      order_id,
      line_id: id,
      place: at,
      size: s.size,
      quantity: s.quantity,
      received: s.received ?? null,
    }))
    if (rows.length > 0) await tx.insertInto('size_quantity').values(rows).execute()
  }
  for (const [place, p] of order.placements.entries()) {
    const { id, where, width, height, sizes, choke = null, clothDraws: cloth_draws = null } = p
    await tx
      .insertInto('placement')
      .values({ order_id, id, place, location: where, width, height, sizes, choke, cloth_draws })
      .execute()
    const inks = p.inks.map(({ lowCure, inkType, ...i }, at) => ({
      order_id,
      placement_id: id,
      place: at,
      ...i,
      ruling: i.ruling ?? null,
      angle: i.angle ?? null,
      line: i.line ?? null,
      gap: i.gap ?? null,
      particle: i.particle ?? null,
      deposit: i.deposit ?? null,
      ink_type: inkType,
      low_cure: Number(lowCure),
      can: canRow(i),
    }))
    if (inks.length > 0) await tx.insertInto('placement_ink').values(inks).execute()
    const relations = p.relations.map(({ over, width, ...r }, at) => ({
      ...{ order_id, placement_id: id, place: at },
      ...r,
      width: width ?? null,
      lies_over: over ?? null,
    }))
    if (relations.length > 0) await tx.insertInto('ink_relation').values(relations).execute()
  }
  const runs = splitOrder(order).map((r) => ({ id: r.id, order_id }))
  if (runs.length > 0)
    await tx
      .insertInto('run')
      .values(runs)
      .onConflict((c) => c.doNothing())
      .execute()
}
