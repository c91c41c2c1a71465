/** A colour that a film can be for. */
export interface Named {
  readonly id: string
  readonly name: string
}

const words = (text: string): readonly string[] =>
  text
    .replace(/\.[a-z]{3,4}$/i, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((w) => w.length > 1)

/** Words by which films of the base are called. */
const BASE = new Set(['base', 'underbase', 'under', 'flash', 'ub', 'wb'])

/**
 * The colour a file is for, by its name: most words in common, then the base, then white for white.
 *
 * @returns the id of a colour, `base`, or an empty text when the name does not say
 */
export function colourOfFile(file: string, colours: readonly Named[]): string {
  const said = words(file)
  if (said.some((w) => BASE.has(w))) return 'base'
  const scored = colours.map((c) => {
    const own = words(c.name)
    const hits = own.filter((w) => said.includes(w)).length
    return { id: c.id, score: own.length === 0 ? 0 : hits + hits / own.length }
  })
  const best = Math.max(0, ...scored.map((s) => s.score))
  const [first, second] = scored.filter((s) => s.score === best)
  return best > 0 && first && !second ? first.id : ''
}
