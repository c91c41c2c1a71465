import { type Duration, GALLON, KINDS, type Kind } from './kinds'
import { meshOfPerInch, soldPerInch } from './mesh'
import { plainSigns, readNumber } from './number'
import type { Outcome } from './outcome'
import { measureOf, type System } from './reader'

/** What parsing gives: the SI value, or a message for the person who typed. */
export type Parsed = Outcome<{ readonly value: number }>

/** A number in any writing, a fraction, or both with a space or dash between them; then a unit. */
const TERM =
  /^([+-]? ?\d[\d.,' ]*(?<=\d))?(?:(?:(?<=\d)[ -]|^)(\d{1,4})\/(\d{1,4}))? ?((?!\/\d)[^\d\s.,+-][^\d]*?\d?)?$/u

/** `½` as ` 1/2`: fractions in one sign come apart. */
const apart = (text: string): string =>
  text.replace(/\p{No}/gu, (c) => {
    const plain = c.normalize('NFKD').replace('\u2044', '/')
    return /^\d+\/\d+$/.test(plain) ? ` ${plain}` : c
  })

const fail = (kind: Kind): Parsed => ({
  ok: false,
  message: `Not a ${KINDS[kind].name}: type, for example, ${KINDS[kind].example}.`,
})

const unitsOf = (kind: Kind) => KINDS[kind].units

/** The unit a bare number is read in, and the one shown. */
export const shownUnit = (kind: Kind, system: System) => {
  const unit = unitsOf(kind)[KINDS[kind].shown[measureOf(system)]]
  if (!unit) throw new Error(`no unit for ${kind} in ${system}`)
  return unit
}

/**
 * Reads what a person typed into the SI value of `kind`. A bare number counts in the unit that `system` shows.
 *
 * @example parseQuantity('length', '1/8"', 'metric') // { ok: true, value: 0.003175 }
 * @example parseQuantity('temperature', '320F', 'metric') // { ok: true, value: 433.15 }
 * @example parseQuantity('meshCount', '230 tpi', 'metric') // 9000 threads per metre: it is sold as 230
 * @example parseQuantity('mass', '2 lb 3 oz', 'metric') // { ok: true, value: 0.9922 }
 * @example parseQuantity('mass', '1 gal', 'inch', 1200) // { ok: true, value: 4.54 }: so much of what weighs 1200 kg/m3
 * @param density of what is weighed, kg/m3: then it may be told by its volume
 * @returns a message with an example when the text is no such quantity, never NaN
 */
export function parseQuantity(kind: Kind, typed: string, system: System, density?: number): Parsed {
  const plain = plainSigns(apart(typed)).replace(/\s+/g, ' ')
  const text = (MONEY.has(kind) ? plain.replace(/\p{Sc}/gu, '') : plain).trim()
  if (text.length > LONGEST) return fail(kind)
  const one = parseTerm(kind, text, system)
  if (one.ok) return one
  const filled = kind === 'mass' ? byVolume(text, density) : undefined
  if (filled) return filled
  const [first, ...rest] = text.split(BETWEEN)
  const last = rest.length === 1 ? rest[0] : undefined
  if (first === undefined || last === undefined || /^[+-]/.test(last)) return one
  // Feet and a bare number: inches, in whichever units the page is read.
  const bare = /[a-z"'µ]/i.test(last) ? '' : /'$|ft$/i.test(first.trim()) ? ' in' : undefined
  if (bare === undefined) return fail(kind)
  const parts = [parseTerm(kind, first, system), parseTerm(kind, `${last}${bare}`, system)]
  const [big, small] = parts.map((p) => (p.ok ? p.value : Number.NaN)) as [number, number]
  return ADDS.has(kind) && big > small ? { ok: true, value: big + small } : fail(kind)
}

/** Litres, and US measures: a gallon is 231 cubic inches (NIST SP 811, appendix B.8). */
const VOLUMES = { ml: 1e-6, l: 0.001, pt: GALLON / 8, qt: GALLON / 4, gal: GALLON } as const

/** `1 gal`, `1/2 qt`: a weight for who says of what; undefined where no volume is told. */
function byVolume(text: string, density: number | undefined): Parsed | undefined {
  const [, amount = '', name = ''] = /^(.*\d)\s*([a-z]+)\.?$/i.exec(text) ?? []
  const unit = VOLUMES[singular(name.toLowerCase()) as keyof typeof VOLUMES]
  const many = unit === undefined ? undefined : parseTerm('count', amount, 'metric')
  if (unit === undefined || !many?.ok) return undefined
  if (density === undefined)
    return { ok: false, message: 'How much that weighs hangs on the ink: type its weight.' }
  return { ok: true, value: many.value * unit * density }
}

const singular = (name: string): string =>
  ({ gals: 'gal', gallon: 'gal', gallons: 'gal', quart: 'qt', quarts: 'qt', pint: 'pt', pints: 'pt' })[
    name
  ] ?? name

/** Whose currency it is the shop knows. */
const MONEY: ReadonlySet<Kind> = new Set<Kind>(['money', 'price'])

/** No quantity is written longer. */
const LONGEST = 60

/** Kinds told in two units at once: `2 lb 3 oz`, `5' 3"`, `1 min 30 s`. */
const ADDS: ReadonlySet<Kind> = new Set<Kind>(['length', 'mass', 'duration', 'workTime'])
/** Where a unit ends and the next number begins. */
const BETWEEN = /(?<=[a-z"'])\s*(?=\d)/i

function parseTerm(kind: Kind, text: string, system: System): Parsed {
  // A sign before nothing but a fraction stands before a nought.
  const match = TERM.exec(text.replace(/^[+-](?= ?\d+\/)/, (sign) => `${sign}0 `).replace(/ {2}/, ' '))
  const [, whole, above, below, typedUnit] = match ?? []
  if (!match || (whole === undefined && above === undefined)) return fail(kind)
  const read = whole === undefined ? ({ ok: true, value: 0 } as const) : readNumber(whole)
  if (!read.ok) return read
  const fraction = above === undefined ? 0 : Number(above) / Number(below)
  const number = read.value < 0 || whole?.startsWith('-') ? read.value - fraction : read.value + fraction
  const name = typedUnit?.trim().toLowerCase()
  const unit = name
    ? unitsOf(kind).find(
        (x) =>
          x.symbol.toLowerCase() === name || (x.typed as readonly string[]).includes(name.replace(/^°/, '')),
      )
    : shownUnit(kind, system)
  if (!unit || !Number.isFinite(number)) return fail(kind)
  const sold = kind === 'meshCount' && unit.symbol === 'tpi' ? meshOfPerInch(number) : undefined
  const value = sold ?? number * unit.factor + (unit.offset ?? 0)
  if (value < KINDS[kind].least) return fail(kind)
  return { ok: true, value }
}

export interface Shown {
  readonly number: string
  readonly unit: string
}

const round = (x: number, digits: number): string => {
  const text = x.toFixed(digits)
  const short = text.includes('.') ? text.replace(/\.?0+$/, '') : text
  return short === '-0' ? '0' : short
}

/** Below the finest mark of a rule, 1/64 in, nobody speaks of fractions. */
const FINEST_MARK = 1 / 64

/**
 * Inches as they are read off a rule, to the 64th below a quarter, to the 32nd below one, to the 16th from there on; or in
 * decimals, for a shop that measures with a caliper. One writing for all, never both in a column.
 */
function inches(x: number, decimals: boolean): string {
  const marks = x < 0.25 ? 64 : x < 1 ? 32 : 16
  const count = Math.round(x * marks)
  if (decimals || x < FINEST_MARK) return round(x, x < 1 ? 3 : 2)
  const whole = Math.floor(count / marks)
  const rest = count % marks
  if (rest === 0) return String(whole)
  const step = [32, 16, 8, 4, 2, 1].find((d) => rest % d === 0) ?? 1
  return `${whole === 0 ? '' : `${whole} `}${rest / step}/${marks / step}`
}

/**
 * Number and unit as a person reads them, kept apart so that the unit can be set lighter.
 *
 * @example showQuantity('temperature', 433.15, 'inch') // { number: '320', unit: '°F' }
 */
export function showQuantity(kind: Kind, value: number, system: System): Shown {
  const unit = shownUnit(kind, system)
  const sold = unit.symbol === 'tpi' ? soldPerInch(value) : undefined
  if (sold !== undefined) return { number: String(sold), unit: unit.symbol }
  const x = (value - (unit.offset ?? 0)) / unit.factor
  // Less than a minute is told in seconds: `0 min` would say nothing.
  const seconds = unit.symbol === 'min' && value < unit.factor ? round(value, value < 1 ? 1 : 0) : '0'
  if (seconds !== '0') return { number: seconds, unit: 's' }
  // Nobody reads 3138 min.
  if (unit.symbol === 'min' && Math.round(x) >= MANY_MINUTES) return { number: round(x / 60, 1), unit: 'h' }
  // Some kilograms of ink are no figure on a scale any more.
  if (unit.symbol === 'g' && x >= MANY_GRAMS)
    return { number: round(x / 1000, x < 10_000 ? 2 : 1), unit: 'kg' }
  if (unit.symbol === 'oz' && x >= MANY_OUNCES) return { number: round(x / 16, x < 160 ? 2 : 1), unit: 'lb' }
  // No eye tells hundredths apart, and in a column they would stand out as if they mattered.
  if (kind === 'difference' || kind === 'money') return { number: x.toFixed(unit.digits), unit: unit.symbol }
  // A fine length is told in thousandths: no rule has marks for it.
  if (unit.symbol === 'in' && kind !== 'fine')
    return { number: inches(x, typeof system !== 'string' && system.decimals === true), unit: 'in' }
  return { number: kept(x, unit.digits, unit.offset), unit: unit.symbol }
}

const MANY_MINUTES = 300
const MANY_GRAMS = 2000
const MANY_OUNCES = 32

/** Rounded, but a small amount keeps its first figure: what is there never reads as nothing, nor as twice as much. */
function kept(x: number, digits: number, offset = 0): string {
  const size = Math.abs(x)
  if (offset === 0 && size >= 1e-9 && size < 10 ** -digits) return round(x, Math.ceil(-Math.log10(size)))
  // Three figures after the point could be read as thousands.
  return round(x, size >= 1 ? Math.min(digits, 2) : digits)
}

/**
 * The same in the unit that `showQuantity` does not choose, of the two that a kind has.
 *
 * @example otherUnit('meshCount', 9000, 'metric') // { number: '230', unit: 'tpi' }
 */
export function otherUnit(kind: 'meshCount' | 'ruling', value: number, system: System): Shown {
  const unit = KINDS[kind].units[1 - KINDS[kind].shown[measureOf(system)]] ?? shownUnit(kind, system)
  const sold = unit.symbol === 'tpi' ? soldPerInch(value) : undefined
  return { number: String(sold ?? round(value / unit.factor, unit.digits)), unit: unit.symbol }
}

/** `showQuantity` as one string; the percent and degree signs stand close, other units after a space. */
export function writeQuantity(kind: Kind, value: number, system: System): string {
  const { number, unit } = showQuantity(kind, value, system)
  if (unit === '') return number
  return unit === '°' ? `${number}°` : `${number} ${unit}`
}

/**
 * `writeQuantity` for a sentence: inches as they are read off a rule, to the eighth from one inch on. What a rule of 50 mm
 * says is 2 in, never 1.97.
 *
 * @example sayQuantity('length', 0.305, 'inch') // '12 in'
 */
export function sayQuantity(kind: Kind, value: number, system: System): string {
  const unit = shownUnit(kind, system)
  const step = unit.factor / (value >= unit.factor - 1e-9 ? 8 : 16)
  const near = value >= unit.factor / 2 ? Math.round(value / step) * step : value
  return writeQuantity(kind, unit.symbol === 'in' ? near : value, system)
}

const READERS: readonly System[] = ['metric', 'inch', { measure: 'inch', decimals: true }]

/**
 * Whether a value lies between two others, ends included as people read them: what a message names as the most is let
 * through when it is typed.
 */
export function isWithin(kind: Kind, value: number, least: number, most: number): boolean {
  if (value >= least && value <= most) return true
  const end = value < least ? least : most
  return READERS.some((reader) => writeQuantity(kind, value, reader) === writeQuantity(kind, end, reader))
}

/** Seconds after midnight of a time of day as people write it: `8:00`, `16.30`, `4 pm`; undefined if it is none. */
export function parseClock(text: string): Duration | undefined {
  const match = /^(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?$/i.exec(text.trim())
  if (!match) return undefined
  const [, hours, minutes = '0', half] = match
  const hour = half ? (Number(hours) % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : Number(hours)
  if (hour > 23 || Number(minutes) > 59 || (half && Number(hours) > 12)) return undefined
  return hour * 3600 + Number(minutes) * 60
}

/** A time of day in hours and minutes: `08:00`. */
export const writeClock = (time: Duration): string => {
  const minutes = Math.round(time / 60)
  return `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
}
