import same from 'fast-deep-equal'

/**
 * One difference between two states of plain data. A path goes through fields by name and through lists by the item's
 * own key (`lines`, `G1`, `sizes`, `M`, `quantity`). An item that came or went is an `Item` on one side and undefined on
 * the other.
 */
export interface Change {
  readonly path: readonly string[]
  readonly from: unknown
  readonly to: unknown
}

/** An item of a keyed list with its place in it. */
export interface Item {
  readonly item: unknown
  readonly at: number
}

type Fields = Readonly<Record<string, unknown>>

const isFields = (x: unknown): x is Fields => typeof x === 'object' && x !== null && !Array.isArray(x)
const isItem = (x: unknown): x is Item => isFields(x) && 'item' in x && 'at' in x

/** What names an item of a list, in this order of preference. */
const KEYS = ['id', 'size', 'number', 'name'] as const

/** The keys of a list whose items all carry one of their own; undefined for a list of plain values. */
function keysOf(list: readonly unknown[]): readonly string[] | undefined {
  if (!list.every(isFields)) return undefined
  const name = KEYS.find((k) => list.every((x) => typeof x[k] === 'string' || typeof x[k] === 'number'))
  const keys = name === undefined ? [] : list.map((x) => String(x[name]))
  return name !== undefined && new Set(keys).size === keys.length ? keys : undefined
}

function listChanges(before: readonly unknown[], after: readonly unknown[], path: readonly string[]) {
  const was = keysOf(before)
  const is = keysOf(after)
  const whole: readonly Change[] = [{ path, from: before, to: after }]
  if (!was || !is) return whole
  const stayed = was.filter((k) => is.includes(k))
  if (
    !same(
      stayed,
      is.filter((k) => was.includes(k)),
    )
  )
    return whole
  const gone = was
    .map((key, at): Change => ({ path: [...path, key], from: { item: before[at], at }, to: undefined }))
    .filter((c) => !is.includes(c.path.at(-1) ?? ''))
    .reverse()
  const come = is
    .map((key, at): Change => ({ path: [...path, key], from: undefined, to: { item: after[at], at } }))
    .filter((c) => !was.includes(c.path.at(-1) ?? ''))
  const inside = stayed.flatMap((key) =>
    changes(before[was.indexOf(key)], after[is.indexOf(key)], [...path, key]),
  )
  return [...gone, ...come, ...inside]
}

/**
 * What changed between two states of plain data, field by field.
 *
 * @example changes({ title: 'Tees' }, { title: 'Hoods' }) // [{ path: ['title'], from: 'Tees', to: 'Hoods' }]
 */
export function changes(before: unknown, after: unknown, path: readonly string[] = []): readonly Change[] {
  if (same(before, after)) return []
  if (Array.isArray(before) && Array.isArray(after)) return listChanges(before, after, path)
  if (!isFields(before) || !isFields(after)) return [{ path, from: before, to: after }]
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
    changes(before[key], after[key], [...path, key]),
  )
}

/** The changes that lead back. */
export const reversed = (list: readonly Change[]): readonly Change[] =>
  list.map(({ path, from, to }) => ({ path, from: to, to: from })).reverse()

function inList(list: readonly unknown[], [key, ...rest]: readonly string[], change: Change): unknown {
  const keys = keysOf(list) ?? []
  const at = keys.indexOf(key ?? '')
  if (rest.length > 0) return at < 0 ? list : list.with(at, put(list[at], rest, change))
  const without = at < 0 ? list : list.toSpliced(at, 1)
  return isItem(change.to) ? without.toSpliced(change.to.at, 0, change.to.item) : without
}

function put(value: unknown, path: readonly string[], change: Change): unknown {
  const [key, ...rest] = path
  if (key === undefined) return change.to
  if (Array.isArray(value)) return inList(value, path, change)
  if (!isFields(value)) return value
  if (rest.length > 0 || change.to !== undefined) return { ...value, [key]: put(value[key], rest, change) }
  const { [key]: _, ...others } = value
  return others
}

/** What stands at a path now, as a change would name it. */
function standing(value: unknown, [key, ...rest]: readonly string[]): unknown {
  if (key === undefined) return value
  if (!Array.isArray(value)) return isFields(value) ? standing(value[key], rest) : undefined
  const at = keysOf(value)?.indexOf(key) ?? -1
  if (at < 0) return undefined
  return rest.length > 0 ? standing(value[at], rest) : { item: value[at], at }
}

const sameState = (a: unknown, b: unknown) => (isItem(a) && isItem(b) ? same(a.item, b.item) : same(a, b))

/** Makes the changes whatever stands there now: the last word wins; what is gone stays gone. */
export const overlaid = <T>(value: T, list: readonly Change[]): T =>
  list.reduce((v: unknown, c) => put(v, c.path, c), value) as T

/** The value with a change made; undefined when the change finds neither what it would replace nor itself made already. */
function fitted(value: unknown, c: Change): { readonly value: unknown } | undefined {
  const there = standing(value, c.path)
  if (sameState(there, c.to)) return { value }
  if (!sameState(there, c.from)) return undefined
  const made = put(value, c.path, c)
  // Nothing can be put into a list that is gone.
  return sameState(standing(made, c.path), c.to) ? { value: made } : undefined
}

/** The first change that finds neither what it would replace nor itself made already, if any. */
export function misfit(value: unknown, list: readonly Change[]): Change | undefined {
  let now = value
  for (const c of list) {
    const next = fitted(now, c)
    if (!next) return c
    now = next.value
  }
  return undefined
}

/** The value with those changes made that fit, one after another. */
export const fittedAll = <T>(value: T, list: readonly Change[]): T =>
  list.reduce((now: unknown, c) => fitted(now, c)?.value ?? now, value) as T

/** Two changes meet when one is made inside what the other made. */
export function meet(a: Change, b: Change): boolean {
  const n = Math.min(a.path.length, b.path.length)
  return same(a.path.slice(0, n), b.path.slice(0, n))
}

/** An item came or went, or a list was put in another order: more than one value in its place. */
export const isStructural = ({ from, to }: Change): boolean =>
  [from, to].some((x) => isItem(x) || Array.isArray(x) || isFields(x))

/**
 * A path with the places of list items instead of their keys, as forms name a field.
 *
 * @example indexPath(order, ['lines', 'G2', 'style']) // 'lines.1.style'
 */
export function indexPath(value: unknown, path: readonly string[]): string {
  const [key, ...rest] = path
  if (key === undefined) return ''
  const at = Array.isArray(value) ? (keysOf(value)?.indexOf(key) ?? -1) : key
  const inside = Array.isArray(value) ? value[Number(at)] : isFields(value) ? value[key] : undefined
  return [at, indexPath(inside, rest)].filter((x) => x !== '').join('.')
}
