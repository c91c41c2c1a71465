import {
  CHOICES,
  type ChoiceSetting,
  factWords,
  type NumberSetting,
  type Overrides,
  type RoomTable,
  type Setting,
} from '../advice'
import { ARTWORK } from '../artwork'
import { DAYS } from '../days'
import { HEAT } from '../heat'
import { INK } from '../ink'
import { ORDER } from '../order'
import { isWithin, type Kind, type System, writeQuantity } from '../quantity'
import { RATE } from '../rate'
import { RECORD } from '../record'
import { REGISTRATION } from '../registration'
import { SAFETY } from '../safety'
import { SCHEDULE } from '../schedule'
import { SCREEN } from '../screen'
import { SEQUENCE } from '../sequence'
import { STROKE } from '../stroke'
import { TROUBLE } from '../trouble'
import { PLAN } from './definition'

/** Every room of the plan, in working order: what the app lists is what it computes with. */
export const ROOMS = [
  ORDER,
  ARTWORK,
  PLAN,
  INK,
  SCREEN,
  SCHEDULE,
  DAYS,
  SEQUENCE,
  STROKE,
  REGISTRATION,
  HEAT,
  RATE,
  RECORD,
  TROUBLE,
  SAFETY,
  CHOICES,
] as const satisfies readonly RoomTable[]

export type RoomId = (typeof ROOMS)[number]['id']

const SETTINGS: ReadonlyMap<string, { readonly room: RoomId; readonly setting: Setting }> = new Map(
  ROOMS.flatMap((room) =>
    Object.entries<Setting>(room.settings).map(([name, setting]) => [name, { room: room.id, setting }]),
  ),
)
const ROOM_OF_RULE: ReadonlyMap<string, RoomId> = new Map(
  ROOMS.flatMap((room) => Object.keys(room.rules).map((rule) => [rule, room.id])),
)

/** The setting that a key names, and its room; undefined for a key no one knows. */
export const settingOf = (key: string) => SETTINGS.get(key.split('.')[0] ?? '')

/** The room whose page shows a setting; undefined for a key no one knows. */
export const shownWith = (key: string): RoomId | undefined => {
  const found = settingOf(key)
  return found && ((found.setting.shownWith as RoomId | undefined) ?? found.room)
}

/** The room a rule stands in; undefined for a rule of an older program. */
export const roomOfRule = (rule: string): RoomId | undefined => ROOM_OF_RULE.get(rule)

/** What would change an advised value, in words: facts first, then the settings it comes after. Empty for a key no one knows. */
export function whatChanges(key: string): readonly string[] {
  const setting = settingOf(key)?.setting
  if (!setting) return []
  const after = (setting.after ?? []).map((name) =>
    (SETTINGS.get(name)?.setting.label ?? name)
      .replace(/[, ]*(of |under |after )?\{name\}/, '')
      .toLowerCase(),
  )
  return [...setting.follows.map(factWords), ...after]
}

/** How ids in keys are called: screens, colours, sizes. */
export type Names = (id: string) => string

/** What a setting is called and measured in, wherever there is no plan to ask; undefined for a key no one knows. */
export function settingWords(
  key: string,
  names: Names = (id) => id,
): { readonly label: string; readonly kind: Kind | undefined } | undefined {
  const setting = settingOf(key)?.setting
  if (!setting) return undefined
  const label = setting.label.replace('{name}', names(key.slice(key.indexOf('.') + 1)))
  const single = typeof setting.kind === 'string' && setting.kind !== 'choice'
  return { label, kind: single ? (setting.kind as Kind) : undefined }
}

/** Why this cannot be the lead's own for a setting, in words; undefined where it can. */
export function choiceProblem(key: string, value: unknown, units: System = 'metric'): string | undefined {
  const setting = settingOf(key)?.setting
  const named = /^[^.]+\../.test(key)
  if (!setting || setting.label.includes('{name}') !== named) return `There is no setting ${key}.`
  if (setting.kind === 'choice') {
    const { options } = setting as ChoiceSetting
    if (typeof value !== 'string' || value === '') return 'One of the options, by its name.'
    return options && !Object.hasOwn(options, value) ? `There is no option ${value}.` : undefined
  }
  const { kind, within } = setting as NumberSetting
  const [first] = [kind].flat() as readonly Kind[]
  if (typeof value !== 'number' || !Number.isFinite(value)) return 'A number in SI.'
  const [least, most] = within
  const inside =
    typeof kind === 'string' ? isWithin(kind, value, least, most) : value >= least && value <= most
  if (!inside) {
    const [low, high] = within.map((x) =>
      typeof kind === 'string' ? writeQuantity(kind, x, units) : String(x),
    )
    return `Between ${low} and ${high}, please.`
  }
  return first === 'count' && typeof kind === 'string' && !Number.isInteger(value)
    ? 'A whole number.'
    : undefined
}

/** Choices that were stored and cannot be any more, in words: which, and why. */
export const lostChoices = (
  choices: Readonly<Record<string, unknown>>,
  names?: Names,
  units?: System,
): readonly string[] =>
  Object.entries(choices).flatMap(([key, value]) => {
    const problem = choiceProblem(key, value, units)
    if (problem === undefined) return []
    const words = settingWords(key, names)
    const said =
      typeof value === 'number' && words?.kind && words.kind !== 'count'
        ? writeQuantity(words.kind, value, units ?? 'metric')
        : String(value)
    return [`${words?.label ?? key}: your own ${said} is left out. ${problem}`]
  })

/** Of the lead's choices those that can be: what another program stored is left out. */
export const knownChoices = (choices: Readonly<Record<string, unknown>>): Overrides =>
  Object.fromEntries(
    Object.entries(choices).filter(([key, value]) => choiceProblem(key, value) === undefined),
  ) as Overrides
