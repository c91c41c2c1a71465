import { isHex } from './hex'
import { type Lab, labOfHex } from './spectrum'

/** A comma between digits is a decimal point where what parts the numbers is something else. */
const NUMBER = /[-+−]?\d+(?:[.,]\d+)?/g

/**
 * A colour as it is typed or pasted: `#0b5d7a` or `0b5d7a`, or L* a* b* as three numbers with or without their names:
 * `52.1 -3 20`, `L* 52,1; a* -3,0; b* 20`, `lab(52.1, -3, 20)`.
 *
 * @returns undefined where it is none, or L* is not 0 to 100
 */
export function readColour(text: string): Lab | undefined {
  const word = text.trim()
  const hex = word.startsWith('#') ? word : `#${word}`
  if (isHex(hex)) return labOfHex(hex)
  const bare = word.replace(/\blab\b|[lab]\*|[=:()]/gi, ' ')
  if (/[^\d.,;+−\s-]/.test(bare)) return undefined
  // `52,1,-3,20` says nothing sure; `52,-3,20` does.
  const parted = /[;\s]/.test(bare.trim()) ? bare : bare.replaceAll(',', ' ')
  const found = parted.replace(/,(?=\s|$)/g, ' ').match(NUMBER) ?? []
  const [l, a, b] = found.map((n) => Number(n.replace(',', '.').replace('−', '-')))
  if (found.length !== 3 || l === undefined || a === undefined || b === undefined) return undefined
  return l >= 0 && l <= 100 && Math.abs(a) <= 200 && Math.abs(b) <= 200 ? { l, a, b } : undefined
}
