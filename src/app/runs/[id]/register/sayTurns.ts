/** Eighths as they stand on a tape: a quarter is no 2/8. */
const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'] as const

/** A turn in eighths, and which way. @example sayTurns(-0.5) // '½ turn counter-clockwise' */
export function sayTurns(turns: number): string {
  const eighths = Math.round(Math.abs(turns) * 8)
  if (eighths === 0) return 'not at all'
  const whole = Math.floor(eighths / 8)
  const word = eighths > 8 ? 'turns' : 'turn'
  return `${whole > 0 ? whole : ''}${EIGHTHS[eighths % 8]} ${word} ${turns > 0 ? 'clockwise' : 'counter-clockwise'}`
}
