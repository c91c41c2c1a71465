import { Box, Flex } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import { INK_TYPES, type InkColour, OPACITIES, type Order, orderedSystem, SYSTEMS } from '@/core/order'
import { AddSelect } from '@/ui/AddSelect'
import { CheckField, ListMessage, QuantityField, SelectField, TextField } from '@/ui/fields'
import { usePaint } from '@/ui/paint'
import { Table, TextButton } from '@/ui/Section'
import { useOrder } from '../../orderContext'
import { highest } from '../highest'
import { useOfPrint } from './ofPrint'

const OPACITY_WORDS = Object.fromEntries(Object.entries(OPACITIES).map(([id, o]) => [id, o.label]))

const newInk = (id: string): InkColour => ({
  id,
  name: '',
  hex: '#808080',
  inkType: 'spot',
  opacity: 'ordinary',
  coverage: 0.2,
  system: 'house',
  lowCure: false,
})

/** The colours of a print: named, coloured, and what they are. */
export function Inks({ at }: { readonly at: number }) {
  const { shelf } = useOrder()
  const { fieldWidth } = usePaint()
  const { control, getValues, setValue } = useFormContext<Order>()
  const inks = useFieldArray({ control, name: `placements.${at}.inks`, keyName: 'key' })
  const ofPrint = useOfPrint(at)
  const live = useWatch({ control, name: `placements.${at}.inks` })
  const nextId = () => `I${highest(getValues(`placements.${at}.inks`)) + 1}`
  const fromShelf = (shelfId: string) => {
    const found = shelf.inks.find((i) => i.id === shelfId)
    if (!found) return
    const added = {
      ...newInk(nextId()),
      name: found.name,
      hex: found.hex,
      inkType: found.inkType,
      opacity: found.opacity,
      system: orderedSystem(found.system, shelf.shop.method.ink),
      ...(found.can && { can: found.can }),
    }
    // The next colour is chosen at the same place.
    inks.append(added, { shouldFocus: false })
  }
  const remove = (i: number) => {
    const gone = inks.fields[i]?.id
    const relations = getValues(`placements.${at}.relations`).filter((r) => r.a !== gone && r.b !== gone)
    setValue(`placements.${at}.relations`, relations)
    inks.remove(i)
  }
  return (
    <>
      <Table
        minWidth="46rem"
        css={{ tableLayout: 'fixed', '& td': { paddingRight: '6px', verticalAlign: 'top' } }}
      >
        <thead>
          <tr>
            <th style={{ width: fieldWidth }}>
              <Box srOnly>Colour</Box>
            </th>
            <th>Name</th>
            <th style={{ width: '8rem' }}>Kind</th>
            <th style={{ width: '6.6rem' }}>Covers</th>
            <th style={{ width: '5rem' }} className="num">
              Coverage
            </th>
            <th style={{ width: '4.4rem' }} className="num">
              Ruling
            </th>
            <th style={{ width: '7rem' }}>Ink</th>
            <th style={{ width: '2.6rem' }}>Low cure</th>
            <th style={{ width: '2rem' }}>
              <Box srOnly>Remove</Box>
            </th>
          </tr>
        </thead>
        <tbody>
          {inks.fields.map((ink, i) => {
            const path = `placements.${at}.inks.${i}` as const
            const name = `${live[i]?.name || 'ink'}${ofPrint}`
            return (
              <tr key={ink.key}>
                <td>
                  <TextField bare name={`${path}.hex`} label={`Colour of ${name}`} type="color" />
                </td>
                <td>
                  <TextField bare name={`${path}.name`} label="Name" of={name} />
                </td>
                <td>
                  <SelectField bare name={`${path}.inkType`} label="Kind" options={INK_TYPES} of={name} />
                </td>
                <td>
                  <SelectField
                    bare
                    name={`${path}.opacity`}
                    label="Covers"
                    options={OPACITY_WORDS}
                    of={name}
                  />
                </td>
                <td>
                  <QuantityField bare name={`${path}.coverage`} label="Coverage" kind="share" of={name} />
                </td>
                <td>
                  <QuantityField
                    bare
                    optional
                    name={`${path}.ruling`}
                    label="Ruling, empty for flat"
                    of={name}
                    kind="ruling"
                  />
                </td>
                <td>
                  <SelectField bare name={`${path}.system`} label="Ink system" options={SYSTEMS} of={name} />
                </td>
                <td>
                  <CheckField bare name={`${path}.lowCure`} label={`Low cure, ${name}`} />
                </td>
                <td>
                  <TextButton onClick={() => remove(i)} aria-label={`Remove ${name}`} title="Remove" pt="1.5">
                    <X size={16} aria-hidden="true" />
                  </TextButton>
                </td>
              </tr>
            )
          })}
        </tbody>
      </Table>
      <ListMessage name={`placements.${at}.inks`} />
      <Flex gap="4" mt="2" mb="5" align="center">
        <AddSelect aria-label={`Add a colour from the shelf${ofPrint}`} onAdd={fromShelf} field width="12rem">
          <option value="">Add from the shelf …</option>
          {shelf.inks.map((i) => (
            <option key={i.id} value={i.id}>
              {i.name}
            </option>
          ))}
        </AddSelect>
        <TextButton aria-label={`Add another colour${ofPrint}`} onClick={() => inks.append(newInk(nextId()))}>
          Add another colour
        </TextButton>
      </Flex>
    </>
  )
}
