import type { Checked } from './order'

const NONSENSE = [null, 'odd', [], {}, [null], -1, Number.NaN, true]

/** Every place of a value, however deep: `shop.presses[0].name`. */
const placesIn = (value: unknown, path = ''): string[] =>
  value && typeof value === 'object'
    ? Object.entries(value).flatMap(([key, inner]) => {
        const at = Array.isArray(value) ? `${path}[${key}]` : path ? `${path}.${key}` : key
        return [at, ...placesIn(inner, at)]
      })
    : []

/** A copy of a value with something else at one place. */
export function withAt<T>(value: T, path: string, odd: unknown): T {
  const copy = structuredClone(value)
  const keys = path.split(/[.[\]]+/).filter((key) => key !== '')
  const last = keys.pop() as string
  const at = keys.reduce((x, key) => x[key] as Record<string, unknown>, copy as Record<string, unknown>)
  at[last] = odd
  return copy
}

/** Nonsense put at every place in turn; what came of each that was refused without saying where. */
export const refusedNowhere = <T>(whole: T, check: (value: unknown) => Checked<T>): readonly string[] =>
  placesIn(whole).flatMap((path) =>
    NONSENSE.flatMap((odd) => {
      const checked = check(withAt(whole, path, odd))
      return !checked.ok && '' in checked.errors ? [`${path}: ${JSON.stringify(odd)}`] : []
    }),
  )
