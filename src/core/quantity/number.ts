import { no, type Outcome } from './outcome'

/** What reading a number gives: it, or why it cannot be read as one. */
export type NumberRead = Outcome<{ readonly value: number }>

/** Signs that tablets type in place of the plain ones. */
const MINUS = /[−–﹣－]/g
const SPACES = /[\u00a0\u2000-\u200a\u202f\u205f]/g

/** Signs of other keyboards as plain ones: true minus, curly quotes, primes, no-break spaces. */
export const plainSigns = (text: string): string =>
  text
    .replace(MINUS, '-')
    .replace(SPACES, ' ')
    .replace(/[‘’‚‛′ʹ]/g, "'")
    .replace(/[“”„‟″ʺ]|''/g, '"')
    .replace(/⁄/g, '/')
    // `.125`: who types an inch leaves out the nought.
    .replace(/(?<![\d.,])([.,])(?=\d)/g, '0$1')

const DIGITS = /^\d+$/
/** Groups of three behind spaces or apostrophes: nothing else is written so. */
const SPACED = /^\d{1,3}(?:[ ']\d{3})+(?=[.,]|$)/

/**
 * Reads a number as people write it, in any country: `1250`, `1 250`, `1,250.5`, `1.250,5`, `0,4`, `−3`. A sign that may
 * part thousands or tenths is not guessed at.
 *
 * @example readNumber('0,4') // { ok: true, value: 0.4 }
 * @example readNumber('1,000') // not ok: “1,000” may be 1 or 1000 …
 * @example readNumber('61.500', { most: 100 }) // 61.5: the other reading is out of range
 * @example readNumber('2.500', { whole: true }) // 2500: the other reading is no whole number
 * @param most what it is at most, whole whether it is counted: either may tell which of two readings is meant
 * @returns a message with an example when it is none, or may be two; never NaN
 */
export function readNumber(
  typed: string,
  { most = Number.POSITIVE_INFINITY, whole: counted = false } = {},
): NumberRead {
  const text = plainSigns(typed).trim()
  const sign = /^[+-]/.exec(text)?.[0] ?? ''
  const body = text.slice(sign.length).trimStart()
  const bare = body.replace(SPACED, (x) => x.replace(/[ ']/g, ''))
  const value = (digits: string): NumberRead => {
    const x = Number(`${sign}${digits}`)
    return Number.isFinite(x) ? { ok: true, value: x } : no(`“${typed}” is no number.`)
  }
  if (DIGITS.test(bare)) return value(bare)
  const signs = bare.replace(/\d/g, '')
  if (!/^(\d+([.,]\d+)+)$/.test(bare)) return no(`“${typed}” is no number: type, for example, 1250 or 0.4.`)
  const last = signs.at(-1) as string
  const tail = bare.slice(bare.lastIndexOf(last) + 1)
  const parts = bare.slice(0, bare.lastIndexOf(last)).split(/[.,]/)
  const grouped = (groups: readonly string[]) =>
    /^[1-9]\d{0,2}$/.test(groups[0] ?? '') && groups.slice(1).every((g) => g.length === 3)
  // One sign, or the last of two kinds, parts the tenths.
  if (signs.length === 1) {
    const [whole = ''] = parts
    if (bare !== body || !grouped([whole, tail])) return value(`${whole}.${tail}`)
    const [small, large] = [`${whole}.${tail}`, `${whole}${tail}`]
    if (Number(large) > most) return value(small)
    if (counted && !Number.isInteger(Number(small))) return value(large)
    return no(
      `“${typed}” may be ${sign}${Number(small)} or ${sign}${large}: type ${sign}${small}0 or ${sign}${large}.`,
    )
  }
  const others = new Set(signs.slice(0, -1))
  if (others.size === 1 && !others.has(last) && grouped(parts)) return value(`${parts.join('')}.${tail}`)
  if (others.size === 1 && others.has(last) && grouped([...parts, tail]))
    return value(`${parts.join('')}${tail}`)
  return no(`“${typed}” is no number: type, for example, 1250 or 0.4.`)
}
