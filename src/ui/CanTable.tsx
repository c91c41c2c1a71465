import { Box } from '@chakra-ui/react'
import { useFormContext } from 'react-hook-form'
import { CAN_NAMES, CAN_SAYS, type Can, canSchema } from '@/core/order'
import { CheckField, QuantityField, TextField } from './fields'
import type { FieldProps } from './labelled'
import { Folded, Table } from './Section'

interface Row {
  readonly id: string
  readonly name: string
  readonly can?: Can | undefined
}

/** How many inks have a can that says anything. */
const says = (rows: readonly Row[]): string => {
  const said = rows.filter(({ can }) => canSchema.cast(can) !== undefined)
  return said.length === 0 ? 'nothing beyond what is usual' : said.map((r) => r.name).join(', ')
}

/** What the cans of inks and their data sheets say. @param name of the list in the form */
export function CanTable({
  name,
  of,
}: {
  readonly name: string
  /** Of which print, where there are others. */
  readonly of?: string
}) {
  const { watch } = useFormContext()
  const rows = (watch(name) ?? []) as readonly Row[]
  if (rows.length === 0) return null
  return (
    <Folded title="What the cans say" says={says(rows)}>
      <Box overflowX="auto" position="relative">
        <Table
          minWidth="54rem"
          css={{ tableLayout: 'fixed', '& td': { paddingRight: '6px', verticalAlign: 'top' } }}
        >
          <thead>
            <tr>
              <th style={{ width: '9rem' }}>Ink</th>
              {Object.values(CAN_SAYS).map((label) => (
                <th key={label} style={{ width: '4.2rem' }}>
                  {label}
                </th>
              ))}
              <th className="num" style={{ width: '6rem' }}>
                In the air before heat
              </th>
              {Object.values(CAN_NAMES).map((label) => (
                <th key={label}>{label}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => {
              const at = (key: string) => `${name}.${i}.can.${key}` as FieldProps['name']
              const which = `${row.name || 'ink'}${of ?? ''}`
              return (
                <tr key={row.id}>
                  <td style={{ verticalAlign: 'middle' }}>{row.name || 'ink'}</td>
                  {Object.entries(CAN_SAYS).map(([key, label]) => (
                    <td key={key}>
                      <CheckField bare name={at(key)} label={`${label}, ${which}`} />
                    </td>
                  ))}
                  <td>
                    <QuantityField
                      bare
                      optional
                      name={at('airDry')}
                      label="In the air before heat"
                      of={which}
                      kind="workTime"
                    />
                  </td>
                  {Object.entries(CAN_NAMES).map(([key, label]) => (
                    <td key={key}>
                      <TextField bare name={at(key)} label={label} of={which} />
                    </td>
                  ))}
                </tr>
              )
            })}
          </tbody>
        </Table>
      </Box>
    </Folded>
  )
}
