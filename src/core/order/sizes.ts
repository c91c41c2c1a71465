import { type Length, mm } from '../quantity'

/** A garment size: its group and its chest laid flat (half the round). Common practice, no source; makers differ. */
interface Size {
  readonly group: 'adult' | 'kids' | 'one'
  readonly halfChest: Length
}

export const SIZES: Readonly<Record<string, Size>> = {
  '5-6': { group: 'kids', halfChest: mm(355) },
  '7-8': { group: 'kids', halfChest: mm(380) },
  '9-11': { group: 'kids', halfChest: mm(410) },
  '12-13': { group: 'kids', halfChest: mm(440) },
  XS: { group: 'adult', halfChest: mm(440) },
  S: { group: 'adult', halfChest: mm(470) },
  M: { group: 'adult', halfChest: mm(520) },
  L: { group: 'adult', halfChest: mm(560) },
  XL: { group: 'adult', halfChest: mm(605) },
  '2XL': { group: 'adult', halfChest: mm(650) },
  '3XL': { group: 'adult', halfChest: mm(700) },
  One: { group: 'one', halfChest: mm(600) },
}

export const SIZE_NAMES = Object.keys(SIZES)

/** Whether a placement for adults or kids is printed on this size; one-size items take either. */
export function isPrinted(size: string, sizes: 'all' | 'adult' | 'kids'): boolean {
  const group = SIZES[size]?.group ?? 'adult'
  return sizes === 'all' || group === 'one' || group === sizes
}
