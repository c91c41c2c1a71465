import type { Kind } from '../quantity'
import { because, q, type Reason, type Rule } from './reason'

export interface Choice<V extends string = string> {
  readonly value: V
  readonly label: string
}

interface AdviceBase {
  /** Where the lead's own choice is kept: `screen.base.mesh`. */
  readonly key: string
  readonly label: string
  readonly reasons: readonly Reason[]
}

/** A computed number in SI: the value, the range in which it is fine, the reasons, and the lead's own choice if any. */
export interface NumberAdvice extends AdviceBase {
  readonly kind: Kind
  readonly advised: number
  readonly range: readonly [number, number]
  readonly chosen?: number
}

/** A computed choice among named options. */
export interface ChoiceAdvice<V extends string = string> extends AdviceBase {
  readonly kind: 'choice'
  readonly advised: V
  readonly choices: readonly Choice<V>[]
  readonly chosen?: V
}

export type Advice = NumberAdvice | ChoiceAdvice

/** What the lead chose by hand, by advice key: SI numbers or option names. */
export type Overrides = Readonly<Record<string, number | string>>

export const OVERRIDE_RULES = {
  OVERRIDE_RANGE: {
    says: '{label}: the lead chose {chosen}; advised is {low} to {high}.',
    source: "the shop's choice",
    severity: 'Watch',
  },
  OVERRIDE: { says: 'the lead chose it; advised is {advised}.', source: "the shop's choice" },
  OVERRIDE_UNKNOWN: {
    says: '{label}: the lead’s choice “{chosen}” is no longer possible here; the advice is used.',
    source: "the shop's choice",
    severity: 'Watch',
  },
} as const satisfies Record<string, Rule>

/** The value in force: the lead's choice if there is one, else the advice. */
export const numberOf = (a: NumberAdvice): number => a.chosen ?? a.advised
export const choiceOf = <V extends string>(a: ChoiceAdvice<V>): V => a.chosen ?? a.advised
export const settled = (a: Advice): number | string => (a.kind === 'choice' ? choiceOf(a) : numberOf(a))

/** Lays the lead's choice beside an advised number; a choice outside the range adds a Watch. */
export function decideNumber(a: Omit<NumberAdvice, 'chosen'>, overrides: Overrides): NumberAdvice {
  const chosen = overrides[a.key]
  if (typeof chosen !== 'number' || !Number.isFinite(chosen)) return a
  const [low, high] = a.range
  const slack = 1e-6 * Math.max(1e-3, Math.abs(high))
  if (chosen >= low - slack && chosen <= high + slack) return { ...a, chosen }
  const watch = because(OVERRIDE_RULES, 'OVERRIDE_RANGE', {
    key: a.key,
    label: a.label,
    chosen: q(a.kind, chosen),
    low: q(a.kind, low),
    high: q(a.kind, high),
  })
  return { ...a, chosen, reasons: [...a.reasons, watch] }
}

/** Lays the lead's choice beside an advised option; an option that no longer exists is not used and says so. */
export function decideChoice<V extends string>(
  a: Omit<ChoiceAdvice<V>, 'chosen'>,
  overrides: Overrides,
): ChoiceAdvice<V> {
  const chosen = overrides[a.key]
  if (chosen === undefined) return a
  const own = a.choices.find((c) => c.value === chosen)
  if (own) return { ...a, chosen: own.value }
  const gone = because(OVERRIDE_RULES, 'OVERRIDE_UNKNOWN', {
    key: a.key,
    label: a.label,
    chosen: String(chosen),
  })
  return { ...a, reasons: [...a.reasons, gone] }
}

/** Every advice inside a piece of plain data, however deep. */
export function advicesIn(data: unknown): readonly Advice[] {
  if (typeof data !== 'object' || data === null) return []
  if ('key' in data && 'advised' in data) return [data as Advice]
  return Object.values(data).flatMap(advicesIn)
}
