import { type Duration, KINDS, type Kind, type System } from './kinds'

/** What parsing gives: the SI value, or a message for the person who typed. */
export type Parsed =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly message: string }

const NUMBER = String.raw`[+-]?\d+(?:[.,]\d+)?`
/** A number, a fraction, or both with a space between them; then a unit. */
const TERM = new RegExp(
  String.raw`^(?:(${NUMBER})(?:\s+(\d+)\/(\d+))?|(\d+)\/(\d+))\s*([^\d\s+-][^\d]*?\d?)?$`,
  'u',
)

const fail = (kind: Kind): Parsed => ({
  ok: false,
  message: `Not a ${KINDS[kind].name}: type, for example, ${KINDS[kind].example}.`,
})

const unitsOf = (kind: Kind) => KINDS[kind].units

/** The unit a bare number is read in, and the one shown. */
export const shownUnit = (kind: Kind, system: System) => {
  const unit = unitsOf(kind)[KINDS[kind].shown[system]]
  if (!unit) throw new Error(`no unit for ${kind} in ${system}`)
  return unit
}

/**
 * Reads what a person typed into the SI value of `kind`. A bare number counts in the unit that `system` shows.
 *
 * @example parseQuantity('length', '1/8"', 'metric') // { ok: true, value: 0.003175 }
 * @example parseQuantity('temperature', '320F', 'metric') // { ok: true, value: 433.15 }
 * @example parseQuantity('meshCount', '230 tpi', 'metric') // 9055.1 threads per metre
 * @example parseQuantity('mass', '2 lb 3 oz', 'metric') // { ok: true, value: 0.9922 }
 * @returns a message with an example when the text is no such quantity, never NaN
 */
export function parseQuantity(kind: Kind, text: string, system: System): Parsed {
  const one = parseTerm(kind, text, system)
  if (one.ok) return one
  const [first, ...rest] = text.trim().split(BETWEEN)
  const last = rest.length === 1 ? rest[0] : undefined
  if (first === undefined || last === undefined || /^[+-]/.test(last)) return one
  const parts = [parseTerm(kind, first, system), parseTerm(kind, last, system)]
  const [big, small] = parts.map((p) => (p.ok ? p.value : Number.NaN)) as [number, number]
  return ADDS.has(kind) && big > small ? { ok: true, value: big + small } : fail(kind)
}

/** Kinds told in two units at once: `2 lb 3 oz`, `5' 3"`, `1 min 30 s`. */
const ADDS: ReadonlySet<Kind> = new Set<Kind>(['length', 'mass', 'duration', 'workTime'])
/** Where a unit ends and the next number begins. */
const BETWEEN = /(?<=[a-z"'″])\s*(?=\d)/i

function parseTerm(kind: Kind, text: string, system: System): Parsed {
  const match = TERM.exec(text.trim())
  if (!match) return fail(kind)
  const [, whole = '0', above, below, top = above, bottom = below, typedUnit] = match
  const fraction = top === undefined ? 0 : Number(top) / Number(bottom)
  const number = Number(whole.replace(',', '.')) + fraction
  const name = typedUnit?.trim().toLowerCase()
  const unit = name
    ? unitsOf(kind).find(
        (x) =>
          x.symbol.toLowerCase() === name || (x.typed as readonly string[]).includes(name.replace(/^°/, '')),
      )
    : shownUnit(kind, system)
  if (!unit || !Number.isFinite(number)) return fail(kind)
  const value = number * unit.factor + (unit.offset ?? 0)
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

/** Half the finest mark of a rule, 1/64 in. */
const RULE_SLACK = 1 / 128

/**
 * Inches are read off a rule: a sixteenth is shown as one when the length, or the decimal that would be shown, is that
 * close to it. So what is shown is read back as it was shown.
 */
function inches(x: number): string {
  const decimal = round(x, x < 1 ? 3 : 2)
  const sixteenths = Math.round(x * 16)
  const far = (length: number) => Math.abs(length - sixteenths / 16) > RULE_SLACK
  if (sixteenths === 0 || (far(x) && far(Number(decimal)))) return decimal
  const whole = Math.floor(sixteenths / 16)
  const rest = sixteenths % 16
  if (rest === 0) return String(whole)
  const step = [8, 4, 2, 1].find((d) => rest % d === 0) ?? 1
  return `${whole === 0 ? '' : `${whole} `}${rest / step}/${16 / step}`
}

/**
 * Number and unit as a person reads them, kept apart so that the unit can be set lighter.
 *
 * @example showQuantity('temperature', 433.15, 'inch') // { number: '320', unit: '°F' }
 */
export function showQuantity(kind: Kind, value: number, system: System): Shown {
  const unit = shownUnit(kind, system)
  const x = (value - (unit.offset ?? 0)) / unit.factor
  return { number: unit.symbol === 'in' ? inches(x) : round(x, unit.digits), unit: unit.symbol }
}

/**
 * The same in the unit that `showQuantity` does not choose, of the two that a kind has.
 *
 * @example otherUnit('meshCount', 9000, 'metric') // { number: '229', unit: 'tpi' }
 */
export function otherUnit(kind: 'meshCount' | 'ruling', value: number, system: System): Shown {
  const unit = KINDS[kind].units[1 - KINDS[kind].shown[system]] ?? shownUnit(kind, system)
  return { number: round(value / unit.factor, unit.digits), unit: unit.symbol }
}

/** `showQuantity` as one string; the percent and degree signs stand close, other units after a space. */
export function writeQuantity(kind: Kind, value: number, system: System): string {
  const { number, unit } = showQuantity(kind, value, system)
  if (unit === '') return number
  return unit === '°' ? `${number}°` : `${number} ${unit}`
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
