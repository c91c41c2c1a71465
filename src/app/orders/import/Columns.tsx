import { Box, Grid } from '@chakra-ui/react'
import { keysOf } from '@/core/quantity'
import { type Mapping, ORDER_COLUMN_NAMES, ORDER_COLUMNS, type OrderColumn } from '@/formats/orderColumns'
import { DAY_ORDERS, type DayOrder } from '@/formats/writtenDays'
import { Label } from '@/ui/elements'
import { Section } from '@/ui/Section'
import { Select } from '@/ui/Select'

export interface CsvFile {
  readonly name: string
  readonly head: readonly string[]
  readonly count: number
  readonly first: readonly { readonly cells: readonly string[] }[]
}

interface ColumnsProps {
  readonly csv: CsvFile
  readonly mapping: Mapping
  readonly days: DayOrder | undefined
  readonly onMap: (mapping: Mapping, days: DayOrder | undefined) => void
}

/** Which column of the file holds what. */
export function Columns({ csv, mapping, days, onMap }: ColumnsProps) {
  const set = (name: OrderColumn, value: string) => {
    const { [name]: _, ...others } = mapping
    onMap(value === '' ? others : { ...others, [name]: Number(value) }, days)
  }
  return (
    <Section
      title={`${csv.name}: ${csv.count.toLocaleString('en')} ${csv.count === 1 ? 'record' : 'records'}`}
    >
      <Grid
        templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: 'repeat(4, 1fr)' }}
        gap="3"
      >
        {ORDER_COLUMN_NAMES.map((name) => {
          const { label, needed } = ORDER_COLUMNS[name]
          const at = mapping[name]
          return (
            <Box key={name}>
              <Label htmlFor={`column-${name}`} display="block" fontSize="small" color="soft">
                {label}
                {needed ? ', needed' : ''}
              </Label>
              <Select
                id={`column-${name}`}
                field
                own={needed && at === undefined}
                value={at ?? ''}
                onChange={(e) => set(name, e.target.value)}
              >
                <option value="">not in the file</option>
                {csv.head.map((h, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: two columns may have the same head
                  <option key={i} value={i}>
                    {h || `column ${i + 1}`}
                  </option>
                ))}
              </Select>
              <Box fontSize="small" color="soft" truncate>
                {at === undefined
                  ? '\u00a0'
                  : csv.first
                      .map((r) => r.cells[at])
                      .filter(Boolean)
                      .join(' · ') || 'empty'}
              </Box>
            </Box>
          )
        })}
        <Box>
          <Label htmlFor="days-written" display="block" fontSize="small" color="soft">
            Days are written
          </Label>
          <Select
            id="days-written"
            field
            value={days ?? ''}
            onChange={(e) => onMap(mapping, e.target.value === '' ? undefined : (e.target.value as DayOrder))}
          >
            <option value="">as the file tells</option>
            {keysOf(DAY_ORDERS).map((order) => (
              <option key={order} value={order}>
                {DAY_ORDERS[order]}
              </option>
            ))}
          </Select>
        </Box>
      </Grid>
    </Section>
  )
}
