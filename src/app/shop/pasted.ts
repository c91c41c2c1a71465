import { type Kind, parseQuantity, type System } from '@/core/quantity'
import type { As, Column, Row } from './columns'

const key = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')

/** What a cell says for a column; what cannot be read stays as it is written, and the list says so at its place. */
function read(as: As, cell: string, units: System): unknown {
  if (as === 'text' || as === 'color' || as === 'date') return cell
  if (as === 'count') return /^\d+$/.test(cell) ? Number(cell) : cell
  if ('kind' in as) {
    const parsed = parseQuantity(as.kind as Kind, cell, units)
    return parsed.ok ? parsed.value : cell
  }
  const found = Object.entries(as).find(([value, label]) =>
    [value, label].some((w) => key(`${w}`) === key(cell)),
  )
  return found?.[0] ?? cell
}

/**
 * Rows copied from a sheet: cells parted by tabs, in the order of the columns, or as a line of heads says. What a row leaves
 * empty is as in a new one.
 *
 * @returns nothing where this is no table but a word for one field
 */
export function rowsPasted(
  text: string,
  columns: readonly Column[],
  newRow: (rows: readonly Row[]) => Row,
  there: readonly Row[],
  units: System,
): readonly Row[] {
  const lines = text
    .split(/\r?\n/)
    .filter((l) => l.trim() !== '')
    .map((l) => l.split('\t').map((c) => c.trim()))
  const typed = columns.filter((c) => typeof c.as === 'string' || !('show' in c.as))
  const [first] = lines
  if (!first || (lines.length < 2 && first.length < 2)) return []
  const heads = first.map((cell) => typed.find((c) => [c.label, c.field].some((w) => key(w) === key(cell))))
  const isHead = heads.some(Boolean) && heads.filter(Boolean).length * 2 >= first.length
  const order = isHead ? heads : typed
  const rows: Row[] = []
  for (const cells of isHead ? lines.slice(1) : lines) {
    const own = cells.flatMap((cell, i) => {
      const column = order[i]
      return column && cell !== '' ? [[column.field, read(column.as, cell, units)] as const] : []
    })
    rows.push({ ...newRow([...there, ...rows]), ...Object.fromEntries(own) })
  }
  return rows
}
