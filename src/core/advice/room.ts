import type { Kind } from '../quantity'
import {
  type Choice,
  type ChoiceAdvice,
  decideChoice,
  decideNumber,
  type NumberAdvice,
  type Overrides,
} from './advice'
import type { Fact } from './facts'
import { because, type Inputs, type Reason, type Rule } from './reason'

/** What a number or a choice of the plan is called, and what would change it. */
interface SettingBase {
  /** `{name}` stands for the screen, colour or size that it is of: those have one each. */
  readonly label: string
  /** Facts of order, shop or method that it reads itself; whatever else they move comes through `after`. */
  readonly follows: readonly Fact[]
  /** Other settings of the plan that it is worked out from, by name. */
  readonly after?: readonly string[]
  /** The room on whose page it is shown, where that is not its own. */
  readonly shownWith?: string
  /** Only repeats what it comes after: no change worth telling by itself. */
  readonly repeats?: boolean
}
export interface NumberSetting extends SettingBase {
  /** More than one where the press decides what it counts in. */
  readonly kind: Kind | readonly Kind[]
  /** What anyone could choose, SI: far more than is advised, but what no press, light or dryer exceeds. */
  readonly within: readonly [number, number]
}
export interface ChoiceSetting extends SettingBase {
  readonly kind: 'choice'
  /** Value and words of each, where they are the same for every shop. */
  readonly options?: Readonly<Record<string, string>>
}
export type Setting = NumberSetting | ChoiceSetting

/** The screen, colour or size of the order that a setting is of. */
export interface Subject {
  readonly id: string
  readonly name: string
}
type Of<S extends Setting> = S['label'] extends `${string}{name}${string}`
  ? { readonly of: Subject }
  : { readonly of?: never }
type KindOf<S extends Setting> = S['kind'] extends readonly Kind[]
  ? { readonly kind: S['kind'][number] }
  : { readonly kind?: never }
type OptionsOf<S extends Setting> = S extends { readonly options: infer O }
  ? { readonly advised: keyof O & string; readonly choices?: readonly Choice<keyof O & string>[] }
  : { readonly advised: string; readonly choices: readonly Choice[] }
export type OptionOf<S> = S extends { readonly options: infer O } ? keyof O & string : string

/** What is advised, for whom. A label of its own where the setting's does not say it well. */
export type GivenNumber<S extends Setting> = Of<S> &
  KindOf<S> & {
    readonly label?: string
    readonly advised: number
    readonly range: readonly [number, number]
    readonly reasons: readonly Reason[]
  }
export type GivenChoice<S extends Setting> = Of<S> &
  OptionsOf<S> & { readonly label?: string; readonly reasons: readonly Reason[] }

export interface RoomTable {
  readonly id: string
  readonly title: string
  /** What is computed here, in a sentence or two. */
  readonly model: string
  /** Where the computation comes from. */
  readonly sources: string
  /** The pages of `docs/models` that tell more. */
  readonly pages: readonly string[]
  readonly rules: Readonly<Record<string, Rule>>
  readonly settings: Readonly<Record<string, Setting>>
}

type Names<R extends RoomTable, K> = {
  [N in keyof R['settings']]: R['settings'][N]['kind'] extends 'choice'
    ? K extends 'choice'
      ? N
      : never
    : K extends 'choice'
      ? never
      : N
}[keyof R['settings']] &
  string

/** The key under which the lead's own choice is kept: `mesh.base`. */
export const settingKey = (name: string, of?: Subject): string => (of ? `${name}.${of.id}` : name)

/** Options that are called what they are. */
export const words = <const V extends string>(...values: readonly V[]) =>
  Object.fromEntries<string>(values.map((v) => [v, v])) as Record<V, string>

/** The option of that name, if there is one. */
export const among = <V extends string>(
  options: Readonly<Record<V, string>>,
  value: string | undefined,
): V | undefined => (value !== undefined && Object.hasOwn(options, value) ? (value as V) : undefined)

/** Options as an advice lists them. */
export const choicesOf = <V extends string>(options: Readonly<Record<V, string>>): readonly Choice<V>[] =>
  Object.entries<string>(options).map(([value, label]) => ({ value: value as V, label }))

/**
 * A room of the trade: its rules, and the settings it advises, with what each follows from. What lists them (rule book, "what
 * would change it", palette, where a warning leads, the checking of decisions) is computed from this table.
 */
export function defineRoom<const R extends RoomTable>(room: R) {
  const setting = (name: string): Setting => {
    const found = room.settings[name]
    if (!found) throw new Error(`no setting ${name} in ${room.id}`)
    return found
  }
  const labelOf = (name: string, of?: Subject) => setting(name).label.replace('{name}', of?.name ?? '')
  return {
    ...room,
    /** The reason that a rule of the room gives. @throws Error when it names an input that is not given */
    because: (rule: keyof R['rules'] & string, inputs: Inputs = {}): Reason =>
      because(room.rules, rule, inputs),
    /** Advises a number, and lays the lead's own beside it. */
    number<N extends Names<R, 'number'>>(
      name: N,
      { of, kind, label, advised, range, reasons }: GivenNumber<R['settings'][N]>,
      overrides: Overrides,
    ): NumberAdvice {
      const kinds = setting(name).kind
      return decideNumber(
        {
          key: settingKey(name, of),
          label: label ?? labelOf(name, of),
          kind: (kind ?? kinds) as Kind,
          advised,
          range,
          reasons,
        },
        overrides,
      )
    },
    /** Advises one of several options, and lays the lead's own beside it. */
    choice<N extends Names<R, 'choice'>>(
      name: N,
      { of, label, advised, choices, reasons }: GivenChoice<R['settings'][N]>,
      overrides: Overrides,
    ): ChoiceAdvice<OptionOf<R['settings'][N]>> {
      const { options = {} } = setting(name) as ChoiceSetting
      type V = OptionOf<R['settings'][N]>
      return decideChoice<V>(
        {
          key: settingKey(name, of),
          label: label ?? labelOf(name, of),
          kind: 'choice',
          advised: advised as V,
          choices: (choices ?? choicesOf(options)) as readonly Choice<V>[],
          reasons,
        },
        overrides,
      )
    },
  }
}

/** The rules of a room, by name. */
export type RuleOf<R extends { readonly rules: object }> = keyof R['rules'] & string
