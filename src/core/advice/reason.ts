import { type Kind, type System, sayDay, sayQuantity } from '../quantity'

/** Where a statement comes from. Nothing here was measured at a press. */
export type SourceKind =
  | 'common practice'
  | 'geometry'
  | 'physics'
  | 'published'
  | 'from memory'
  /** Someone had to say a number: no one measured or published it. */
  | 'assumed'
  /** Computed by a model that no print has borne out here. */
  | 'a model'
  | 'the order'
  | "the shop's choice"
  /** Written down at the press. */
  | "the shop's record"

/** Stop: a rule is broken. Watch: a risk. Note: worth knowing. */
export type Severity = 'Stop' | 'Watch' | 'Note'

/**
 * One entry of a rule table: a statement of the trade in plain words. `{name}` stands for an input of that name, `{kind:value}` for
 * a quantity in SI that never changes.
 */
export interface Rule {
  readonly says: string
  readonly source: SourceKind
  readonly severity?: Severity
}

/** An input to a rule: a quantity in SI with its kind, several of a kind, or a word. */
export type Input =
  | { readonly kind: Kind; readonly value: number }
  | { readonly kind: Kind; readonly values: readonly number[] }
  | string

/** What a statement names, by name. */
export type Inputs = Readonly<Record<string, Input>>

/** A rule as it applied here, with the inputs it used. */
export interface Reason extends Rule {
  readonly rule: string
  readonly inputs: Inputs
}

/**
 * The reason that rule `id` of `table` gives with these inputs.
 *
 * @throws Error when the statement names an input that is not given: a bug in the caller
 */
export function because<T extends Record<string, Rule>>(
  table: T,
  id: keyof T & string,
  inputs: Inputs = {},
): Reason {
  const rule = table[id]
  if (!rule) throw new Error(`no rule ${id}`)
  for (const [, name] of rule.says.matchAll(/\{(\w+)\}/g)) {
    if (name === undefined || !(name in inputs)) throw new Error(`rule ${id} needs ${name}`)
  }
  return { rule: id, ...rule, inputs }
}

/** A quantity as an input. */
export const q = (kind: Kind, value: number): Input => ({ kind, value })

const DAY = /^\d{4}-\d\d-\d\d$/
const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/
/** An input in words; days in the one format of the app. */
export function inputText(input: Input, system: System): string {
  if (typeof input === 'string') {
    if (MOMENT.test(input)) return sayDay(input, 'EEE d MMM, HH:mm', system)
    return DAY.test(input) ? sayDay(input, 'd MMM yyyy', system) : input
  }
  if ('value' in input) return sayQuantity(input.kind, input.value, system)
  return input.values.map((x) => sayQuantity(input.kind, x, system)).join(', ')
}

/** One of what is counted: `pieces` is `piece`, `flashes` is `flash`. */
const single = (many: string) => many.replace(/(?<=sh|ch|ss)es$|s$/, '')

/** Quantities that a statement carries itself, `{kind:value}` in SI, in the reader's units. */
export const inUnits = (says: string, system: System): string =>
  says.replace(/\{(\w+):([\d.]+)\}/g, (_, kind: Kind, value: string) =>
    sayQuantity(kind, Number(value), system),
  )

/** The statement of a reason with its inputs filled in; one of something is told as one. */
export const message = (reason: Reason, system: System): string =>
  inUnits(reason.says, system).replace(/\{(\w+)\}( [a-z]{3,}s\b)?/g, (_, name: string, counted = '') => {
    const input = reason.inputs[name] ?? ''
    const one = typeof input === 'object' && 'value' in input && input.kind === 'count' && input.value === 1
    return `${inputText(input, system)}${one ? single(counted) : counted}`
  })

const RANK: Readonly<Record<Severity, number>> = { Stop: 0, Watch: 1, Note: 2 }

/** Reasons that warn, worst first, each said once. */
export function warnings(reasons: readonly Reason[]): readonly Reason[] {
  const seen = new Set<string>()
  return reasons
    .filter((r) => {
      const id = message(r, 'metric')
      if (r.severity === undefined || seen.has(id)) return false
      seen.add(id)
      return true
    })
    .sort((a, b) => RANK[a.severity ?? 'Note'] - RANK[b.severity ?? 'Note'])
}
