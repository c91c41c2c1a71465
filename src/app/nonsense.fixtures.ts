import words from './nonsense.fixtures.json'

/** What is sent where something else is meant: wrong types, nothing, far too much, what a database or a header chokes on. */
export const NONSENSE: readonly unknown[] = [...words, '\ud800']

type Json = unknown

/** Every place inside a value, by its path; a long list counts by its first two items. */
export function placesIn(
  value: Json,
  path: readonly (string | number)[] = [],
): readonly (readonly (string | number)[])[] {
  const inside = Array.isArray(value)
    ? value.slice(0, 2).flatMap((x, i) => placesIn(x, [...path, i]))
    : typeof value === 'object' && value !== null
      ? Object.entries(value).flatMap(([key, x]) => placesIn(x, [...path, key]))
      : []
  return [path, ...inside]
}

/** The same value with something else at a place; `undefined` takes it away. */
export function withAt(value: Json, path: readonly (string | number)[], put: unknown): Json {
  const [key, ...rest] = path
  if (key === undefined) return put
  if (Array.isArray(value)) return value.map((x, i) => (i === key ? withAt(x, rest, put) : x))
  return { ...(value as object), [key]: withAt((value as Record<string, Json>)[key], rest, put) }
}
