'use client'

import { Box, Flex } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { type ClipboardEvent, type ReactNode, useState } from 'react'
import { type FieldPath, useFieldArray, useFormContext } from 'react-hook-form'
import type { ShopAndShelf } from '@/core/equipment'
import type { Kind } from '@/core/quantity'
import { CountField, ListMessage, QuantityField, SelectField, TextField } from '@/ui/fields'
import { Section, Table, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import type { As, Column, Row } from './columns'
import { rowsPasted } from './pasted'

type ListName =
  | 'shop.flashes'
  | 'shop.dryers'
  | 'shop.sharedPallets'
  | 'shop.frames'
  | 'shop.squeegees'
  | 'shop.hours.breaks'
  | 'shop.screens.emulsions'
  | 'shop.screens.lamps'
  | 'shop.screens.fabrics'
  | 'shop.inkRoom.rack'
  | 'inks'
  | 'cloths'

interface RowsProps {
  readonly title: string
  readonly name: ListName
  readonly columns: readonly Column[]
  readonly newRow: (rows: readonly Row[]) => Row
  /** What the button adds: `frame`. */
  readonly one: string
  /** Only rows of which this is true; others are in other lists. */
  readonly only?: (row: Row) => boolean
  readonly above?: ReactNode
}

const isKind = (as: As): as is { readonly kind: Kind; readonly optional?: boolean } =>
  typeof as === 'object' && 'kind' in as
const isShown = (as: As): as is { readonly show: (row: Row, path: string) => ReactNode } =>
  typeof as === 'object' && 'show' in as && typeof as.show === 'function'

/** One field of a list, by what it holds. */
function Field({
  name,
  column,
  of,
}: {
  readonly name: string
  readonly column: Column
  readonly of: string
}) {
  const { as } = column
  const props = { name: name as FieldPath<ShopAndShelf>, label: `${column.label}, ${of}`, bare: true }
  if (as === 'text' || as === 'color' || as === 'date') return <TextField {...props} type={as} />
  if (as === 'count') return <CountField {...props} />
  if (isShown(as)) return null
  return isKind(as) ? (
    <QuantityField {...props} kind={as.kind} optional={as.optional === true} />
  ) : (
    <SelectField {...props} options={as} />
  )
}

/** A list of equipment: a line each, with a way to add and to remove. */
export function Rows({ title, name, columns, newRow, one, only = () => true, above }: RowsProps) {
  const { control, getValues } = useFormContext<ShopAndShelf>()
  const list = useFieldArray({ control, name, keyName: 'key' })
  const rows = list.fields as unknown as readonly (Row & { readonly key: string })[]
  const shown = rows.map((row, i) => ({ row, i })).filter(({ row }) => only(row))
  const { units } = useSettings()
  const [told, setTold] = useState('')
  const there = () => getValues(name) as unknown as Row[]
  const paste = (e: ClipboardEvent) => {
    const found = rowsPasted(e.clipboardData.getData('text'), columns, newRow, there(), units)
    if (found.length === 0) return
    e.preventDefault()
    list.append(found as never)
    setTold(found.length === 1 ? 'One row was added.' : `${found.length} rows were added.`)
  }
  return (
    <Box onPaste={paste}>
      <Section
        title={title}
        side={
          <Flex gap="5" align="baseline">
            <Box role="status" fontSize="small" color="soft">
              {told || 'several: paste rows of a sheet'}
            </Box>
            <TextButton onClick={() => list.append(newRow(there()) as never)}>Add {one}</TextButton>
          </Flex>
        }
      >
        {above}
        <ListMessage name={name} />
        {shown.length === 0 ? (
          <Box color="soft">None yet.</Box>
        ) : (
          <Table
            minWidth={{ base: '48rem', lg: '0' }}
            css={{ '& td': { paddingBlock: '2px', verticalAlign: 'top' } }}
          >
            <thead>
              <tr>
                {columns.map((c) => (
                  <th
                    key={c.field}
                    className={isKind(c.as) || c.as === 'count' ? 'num' : undefined}
                    style={c.width ? { width: c.width } : undefined}
                  >
                    {c.label}
                  </th>
                ))}
                <th style={{ width: '2rem' }}>
                  <Box srOnly>Remove</Box>
                </th>
              </tr>
            </thead>
            <tbody>
              {shown.map(({ row, i }) => {
                const of = String(row.name ?? row.id ?? `${one} ${i + 1}`)
                return (
                  <tr key={row.key}>
                    {columns.map((c) => (
                      <td key={c.field}>
                        {isShown(c.as) ? (
                          c.as.show(row, `${name}.${i}`)
                        ) : (
                          <Field name={`${name}.${i}.${c.field}`} column={c} of={of} />
                        )}
                      </td>
                    ))}
                    <td>
                      <TextButton
                        onClick={() => list.remove(i)}
                        aria-label={`Remove ${of}`}
                        title="Remove"
                        pt="1"
                      >
                        <X size={16} aria-hidden="true" />
                      </TextButton>
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </Table>
        )}
      </Section>
    </Box>
  )
}

/** The next free id: `B3` after `B1` and `B2`. */
export function nextId(rows: readonly { readonly id?: unknown }[], before: string): string {
  const numbers = rows.map((r) => Number(String(r.id).slice(before.length))).filter(Number.isInteger)
  return `${before}${Math.max(0, ...numbers) + 1}`
}

/** The next free name: `New ink`, then `New ink 2`. */
export function nextName(rows: readonly { readonly name?: unknown }[], name: string): string {
  const names = new Set(rows.map((r) => r.name))
  for (let n = 1; ; n++) {
    const found = n === 1 ? name : `${name} ${n}`
    if (!names.has(found)) return found
  }
}
