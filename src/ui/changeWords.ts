import { PRACTICES } from '@/core/advice'
import type { Change } from '@/core/change'
import { type Names, settingWords } from '@/core/plan'
import { type Kind, type System, writeClock, writeQuantity } from '@/core/quantity'
import { FIELDS } from './fieldNames'

/** A change as a person reads it. */
export interface ChangeWords {
  readonly label: string
  readonly from: string
  readonly to: string
}

const isRecord = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null

function words(value: unknown, kind: Kind | 'clock' | undefined, units: System): string {
  if (value === undefined || value === null || value === '') return 'none'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number')
    return kind === 'clock' ? writeClock(value) : kind ? writeQuantity(kind, value, units) : String(value)
  if (Array.isArray(value))
    return value.length === 0 ? 'none' : value.map((x) => words(x, kind, units)).join(', ')
  if (!isRecord(value)) return String(value)
  const item = 'item' in value && isRecord(value.item) ? value.item : value
  return String(item.name ?? item.style ?? item.size ?? item.id ?? Object.values(item).join(' '))
}

/** A practice is called by what it asks. */
function nameOf(path: Change['path']): (typeof FIELDS)[string] {
  const last = path.at(-1) ?? ''
  const isPractice = path.at(-2) === 'method' && Object.hasOwn(PRACTICES, last)
  return isPractice ? [PRACTICES[last as keyof typeof PRACTICES].question] : (FIELDS[last] ?? [last])
}

/** Where a change was made and what it changed, in the reader's units. */
export function changeWords(change: Change, units: System, names?: Names): ChangeWords {
  const last = change.path.at(-1) ?? ''
  const found = change.path[0] === 'overrides' ? settingWords(last, names) : undefined
  const [label, kind] = nameOf(change.path)
  const around = change.path
    .slice(0, -1)
    .filter((p) => !['shop', 'method', 'hours'].includes(p))
    .map((p) => FIELDS[p]?.[0] ?? p)
  const name = found?.label ?? label
  const text = around.length > 0 ? `${around.join(' ')}, ${name.toLowerCase()}` : name
  return {
    label: text,
    from: words(change.from, found?.kind ?? kind, units),
    to: words(change.to, found?.kind ?? kind, units),
  }
}

/** A name for a whole edit: its first change, and how many more. */
export function editLabel(changes: readonly Change[], names?: Names): string {
  const [first] = changes
  if (!first) return ''
  const { label } = changeWords(first, 'metric', names)
  return changes.length === 1 ? label : `${label} and ${changes.length - 1} more`
}
