import { Box, Flex } from '@chakra-ui/react'
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import type { ArtRelation, Order } from '@/core/order'
import { USUAL_GAP } from '@/core/registration'
import { ListMessage, QuantityField } from '@/ui/fields'
import { Table } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { Swatch } from '@/ui/Swatch'
import { useOfPrint } from './ofPrint'

const HOW = { '': 'apart', touch: 'touch', overlap: 'overlap', blend: 'blend', gap: 'gap, meant' }
/** An overlap with what lies over, as one choice. */
const OVER = 'over '
/** Usual width of a trap. */
const TRAP = 0.0003
/** Widths of the names and of one meeting, rem: with many colours the table moves within itself. */
const NAMES = 8
const MEETING = 7.5

/** How each pair of colours meets, as a table: one line for each colour, one column for each colour before it. */
export function Meetings({ at }: { readonly at: number }) {
  const { control } = useFormContext<Order>()
  const ofPrint = useOfPrint(at)
  const inks = useWatch({ control, name: `placements.${at}.inks` })
  const relations = useFieldArray({ control, name: `placements.${at}.relations`, keyName: 'key' })
  if (inks.length < 2) return null
  const find = (a: string, b: string) =>
    relations.fields.findIndex((r) => (r.a === a && r.b === b) || (r.a === b && r.b === a))
  /** Of the overlap that is there. */
  const widthAt = (index: number) => {
    const { how, width } = relations.fields[index] ?? {}
    return how === 'overlap' ? (width ?? TRAP) : TRAP
  }
  const set = (a: string, b: string, how: string) => {
    const index = find(a, b)
    if (how === '') return relations.remove(index)
    const over = how.startsWith(OVER) ? how.slice(OVER.length) : undefined
    const row: ArtRelation =
      over === undefined && how !== 'overlap'
        ? { a, b, how: how as ArtRelation['how'], ...(how === 'gap' && { width: USUAL_GAP }) }
        : { a, b, how: 'overlap', width: widthAt(index), ...(over && { over }) }
    if (index < 0) relations.append(row)
    else relations.update(index, row)
  }
  return (
    <Box overflowX="auto" position="relative">
      <Box fontWeight="650" mb="1">
        Where colours meet
      </Box>
      <Table width={`${NAMES + MEETING * (inks.length - 1)}rem`} tableLayout="fixed">
        <thead>
          <tr>
            <th style={{ width: `${NAMES}rem` }}>
              <Box srOnly>Meets</Box>
            </th>
            {inks.slice(0, -1).map((ink) => (
              <th key={ink.id}>
                <Flex gap="1.5" align="center">
                  <Swatch hex={ink.hex} size={12} round /> {ink.name || ink.id}
                </Flex>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {inks.slice(1).map((b, row) => (
            <tr key={b.id}>
              <td>
                <Flex gap="1.5" align="center" pr="2">
                  <Swatch hex={b.hex} size={12} round /> {b.name || b.id}
                </Flex>
              </td>
              {inks.slice(0, row + 1).map((a) => {
                const index = find(a.id, b.id)
                const { how = '', over } = relations.fields[index] ?? {}
                return (
                  <td key={a.id}>
                    <Select
                      aria-label={`${a.name || a.id} and ${b.name || b.id}${ofPrint}`}
                      value={over ? `${OVER}${over}` : how}
                      onChange={(e) => set(a.id, b.id, e.target.value)}
                      width="100%"
                      fontWeight={how ? '650' : '400'}
                      color={how ? 'ink' : 'soft'}
                    >
                      {Object.entries(HOW).map(([value, label]) => (
                        <option key={value} value={value}>
                          {label}
                        </option>
                      ))}
                      {[a, b].map((ink, i) => (
                        <option key={ink.id} value={`${OVER}${ink.id}`}>
                          {ink.name || ink.id} over {[b, a][i]?.name || [b, a][i]?.id}
                        </option>
                      ))}
                    </Select>
                    {(how === 'overlap' || how === 'gap') && (
                      <QuantityField
                        bare
                        name={`placements.${at}.relations.${index}.width`}
                        label={`Width of the ${how} of ${a.name || a.id} and ${b.name || b.id}${ofPrint}`}
                        kind="length"
                        width="5rem"
                      />
                    )}
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </Table>
      <ListMessage name={`placements.${at}.relations`} />
    </Box>
  )
}
