import type { RuleOf } from '../advice'
import { type NumberAdvice, type Overrides, q, type ShopMethod } from '../advice'
import { SIZES, sizeOf } from '../order'
import { type Length, mm } from '../quantity'
import { REGISTRATION } from './definition'

/** From where a print is measured: what is laid at the pallet's end tells the rest. */
export type Origin = 'collar' | 'shoulder' | 'hem' | 'edge'

/** Where a print usually sits, millimetres: least, usual, most. */
export interface Spot {
  readonly rule: RuleOf<typeof REGISTRATION>
  readonly down: readonly [number, number, number]
  readonly label: string
  readonly side?: {
    readonly rule: RuleOf<typeof REGISTRATION>
    readonly of: readonly [number, number, number]
  }
  readonly origin: Origin
}

/** Sizes that share one setting, and where their art sits. */
export interface PlacedGroup {
  /** Its sizes in words. */
  readonly group: string
  readonly sizes: readonly string[]
  readonly down: NumberAdvice
  /** From the centre line to the middle of the art, to the wearer's left; on the centre line without. */
  readonly side: NumberAdvice | undefined
}

/** How far a distance follows the garment: by nothing, half or all of it. */
const FOLLOWS = { fixed: 0, blend: 0.5, full: 1 } as const
/** Distances are usual on this size. */
const USUAL = sizeOf('L')
/** Sizes share a setting where none of them is off by more: 10 mm to either side (figure of the model). */
const SHARE: Length = mm(20)

/** The sizes of a run in groups that share one setting, smallest first where the distance follows the garment. */
export function groupsOf(
  spot: Spot,
  sizes: readonly string[],
  method: ShopMethod,
  overrides: Overrides,
): readonly PlacedGroup[] {
  const follows = FOLLOWS[method.placementSizes]
  return follows === 0 ? byAge(spot, sizes, overrides) : bySize(spot, sizes, follows, overrides)
}

const idOf = (group: string) => ({ id: group.replaceAll(' ', '-'), name: group })
const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length
const whole = (millimetres: number): Length => mm(Math.round(millimetres))

/** One setting for adult sizes, and one for kids by their chest. */
function byAge(spot: Spot, sizes: readonly string[], overrides: Overrides): readonly PlacedGroup[] {
  const kids = sizes.filter((s) => SIZES[s]?.group === 'kids')
  const adults = sizes.filter((s) => !kids.includes(s))
  const share = kids.length > 0 ? mean(kids.map((s) => sizeOf(s).halfChest)) / sizeOf('M').halfChest : 1
  const side = (of: number, group?: string) => spot.side && sideOf(spot.side, of, group, overrides)
  return [
    ...(adults.length > 0 ? [placed(spot, 'adult', adults, { down: 1, side: side(1) }, overrides)] : []),
    ...(kids.length > 0
      ? [placed(spot, 'kids', kids, { down: share, side: side(share, 'kids') }, overrides)]
      : []),
  ]
}

/** As far down and aside as the garment is larger; sizes that come to nearly the same share a setting. */
function bySize(
  spot: Spot,
  sizes: readonly string[],
  follows: number,
  overrides: Overrides,
): readonly PlacedGroup[] {
  const [, usualDown] = spot.down
  const usualSide = spot.side?.of[1] ?? 0
  const at = [...sizes]
    .sort((a, b) => sizeOf(a).length - sizeOf(b).length)
    .map((size) => {
      const { length, halfChest } = sizeOf(size)
      return {
        size,
        down: 1 + follows * (length / USUAL.length - 1),
        side: 1 + follows * (halfChest / USUAL.halfChest - 1),
      }
    })
  const groups: (typeof at)[] = []
  for (const one of at) {
    const now = groups.at(-1)
    const fits = now?.every(
      (other) =>
        mm(Math.abs(one.down - other.down) * usualDown) <= SHARE &&
        mm(Math.abs(one.side - other.side) * usualSide) <= SHARE,
    )
    if (now && fits) now.push(one)
    else groups.push([one])
  }
  return groups.map((group) => {
    const [first, last] = [group[0], group.at(-1)]
    const middle = (of: 'down' | 'side') => {
      const all = group.map((g) => g[of])
      return (Math.min(...all) + Math.max(...all)) / 2
    }
    const name = first === last ? (first?.size ?? '') : `${first?.size} to ${last?.size}`
    const side = spot.side && sideOf(spot.side, middle('side'), name, overrides)
    const own = group.map((g) => g.size)
    return placed(spot, name, own, { down: middle('down'), side }, overrides)
  })
}

function placed(
  spot: Spot,
  group: string,
  sizes: readonly string[],
  { down: share, side }: { readonly down: number; readonly side: NumberAdvice | undefined },
  overrides: Overrides,
): PlacedGroup {
  const [low, usual, high] = spot.down.map((x) => whole(x * share)) as [Length, Length, Length]
  const reasons = [REGISTRATION.because(spot.rule)]
  if (group === 'kids') reasons.push(REGISTRATION.because('PLACE_KIDS', { share: q('share', share) }))
  else if (group !== 'adult') reasons.push(sized(sizes, share, usual))
  const of = idOf(group)
  const label = `${spot.label}, ${group}`
  const down = REGISTRATION.number(
    'down',
    { of, label, advised: usual, range: [low, high], reasons },
    overrides,
  )
  return { group, sizes, down, side }
}

const sized = (sizes: readonly string[], share: number, distance: Length) =>
  REGISTRATION.because('PLACE_SIZED', {
    sizes: sizes.join(', '),
    share: q('share', share),
    distance: q('length', distance),
  })

/** @param group undefined where it is the same for all sizes */
function sideOf(
  { rule, of }: NonNullable<Spot['side']>,
  share: number,
  group: string | undefined,
  overrides: Overrides,
): NumberAdvice {
  const [low, advised, high] = of.map((x) => whole(x * share)) as [Length, Length, Length]
  const found = {
    advised,
    range: [low, high] as const,
    reasons: [REGISTRATION.because(rule)],
  }
  if (group === undefined) return REGISTRATION.number('side', found, overrides)
  const own = { of: idOf(group), label: `From the centre line, ${group}` }
  return REGISTRATION.number('aside', { ...found, ...own }, overrides)
}
