import { type Length, mm } from '../quantity'

/** A garment size: its group, its chest laid flat (half the round), collar to hem. Common practice, no source; makers differ. */
export interface Size {
  readonly group: 'adult' | 'kids' | 'one'
  readonly halfChest: Length
  readonly length: Length
}

export const SIZES: Readonly<Record<string, Size>> = {
  '5-6': { group: 'kids', halfChest: mm(355), length: mm(470) },
  '7-8': { group: 'kids', halfChest: mm(380), length: mm(510) },
  '9-11': { group: 'kids', halfChest: mm(410), length: mm(560) },
  '12-13': { group: 'kids', halfChest: mm(440), length: mm(610) },
  XS: { group: 'adult', halfChest: mm(440), length: mm(660) },
  S: { group: 'adult', halfChest: mm(470), length: mm(690) },
  M: { group: 'adult', halfChest: mm(520), length: mm(720) },
  L: { group: 'adult', halfChest: mm(560), length: mm(740) },
  XL: { group: 'adult', halfChest: mm(605), length: mm(760) },
  '2XL': { group: 'adult', halfChest: mm(650), length: mm(790) },
  '3XL': { group: 'adult', halfChest: mm(700), length: mm(810) },
  One: { group: 'one', halfChest: mm(600), length: mm(700) },
}

/** A size that no one knows is taken for an M. */
export const sizeOf = (size: string): Size => SIZES[size] ?? (SIZES.M as Size)

/** The largest garment laid flat, sleeves on it. @param sizes at least one */
export const laidFlat = (sizes: readonly string[]): { readonly width: Length; readonly length: Length } => ({
  width: Math.max(...sizes.map((s) => sizeOf(s).halfChest)),
  length: Math.max(...sizes.map((s) => sizeOf(s).length)),
})

export const SIZE_NAMES = Object.keys(SIZES)

/** Whether a placement for adults or kids is printed on this size; one-size items take either. */
export function isPrinted(size: string, sizes: 'all' | 'adult' | 'kids'): boolean {
  const group = SIZES[size]?.group ?? 'adult'
  return sizes === 'all' || group === 'one' || group === sizes
}

const SAME_SIZE: Readonly<Record<string, string>> = {
  XSMALL: 'XS',
  EXTRASMALL: 'XS',
  SM: 'S',
  SMALL: 'S',
  MD: 'M',
  MED: 'M',
  MEDIUM: 'M',
  LG: 'L',
  LARGE: 'L',
  XLARGE: 'XL',
  EXTRALARGE: 'XL',
  XXL: '2XL',
  '2X': '2XL',
  XXLARGE: '2XL',
  XXXL: '3XL',
  '3X': '3XL',
  XXXLARGE: '3XL',
  ONESIZE: 'One',
  OS: 'One',
  OSFA: 'One',
}

/**
 * A size as it is named here, however it is written (common practice); what no one knows stays as it is.
 *
 * @example sizeNamed('xx-large') // '2XL'
 * @example sizeNamed('5/6 yrs') // '5-6'
 */
export function sizeNamed(text: string): string {
  const plain = text.trim().toUpperCase()
  const years = plain
    .replace(/\s*(YRS?|YEARS?|Y)\.?$/, '')
    .replace(/^(AGE|KIDS)\s*/, '')
    .replace(/\s*[/\u2013-]\s*/, '-')
  const known = SIZE_NAMES.find((s) => [plain, years].includes(s.toUpperCase()))
  return known ?? SAME_SIZE[plain.replace(/[^A-Z0-9]/g, '')] ?? text
}
