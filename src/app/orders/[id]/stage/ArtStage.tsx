'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import {
  type ArtRelation,
  CHARACTERS,
  type InkColour,
  OPACITIES,
  type Order,
  orderedSystem,
  SYSTEMS,
  WHERES,
} from '@/core/order'
import type { Kind } from '@/core/quantity'
import { CheckField, ListMessage, QuantityField, SelectField, TextField } from '@/ui/fields'
import { usePaint } from '@/ui/paint'
import { Section, Table, TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { Swatch } from '@/ui/Swatch'
import { useOrder } from '../orderContext'
import { FilmsOfPrint } from './films/FilmsOfPrint'
import { highest } from './highest'

const OPACITY_WORDS = Object.fromEntries(Object.entries(OPACITIES).map(([id, o]) => [id, o.label]))
const FOR_SIZES = { all: 'All sizes', adult: 'Adult sizes', kids: 'Kids’ sizes' }

/** Stage 2: the prints, their colours, and how the colours meet. */
export function ArtStage() {
  const { control } = useFormContext<Order>()
  const prints = useFieldArray({ control, name: 'placements', keyName: 'key' })
  const add = () => {
    const number = highest(prints.fields) + 1
    prints.append({
      id: `P${number}`,
      where: 'back',
      width: 0.28,
      height: 0.33,
      sizes: 'all',
      inks: [],
      relations: [],
    })
  }
  return (
    <>
      {prints.fields.map((p, i) => (
        <Print
          key={p.key}
          at={i}
          id={p.id}
          onRemove={() => prints.remove(i)}
          only={prints.fields.length === 1}
        />
      ))}
      <TextButton onClick={add}>Add a print</TextButton>
    </>
  )
}

interface PrintProps {
  readonly at: number
  readonly id: string
  readonly only: boolean
  readonly onRemove: () => void
}

function Print({ at, id, only, onRemove }: PrintProps) {
  return (
    <Section
      title={`Print ${id}`}
      side={only ? undefined : <TextButton onClick={onRemove}>Remove print</TextButton>}
    >
      <Grid templateColumns="11rem 8rem 8rem 10rem" gap="4" mb="4">
        <SelectField name={`placements.${at}.where`} label="Where" options={WHERES} />
        <QuantityField name={`placements.${at}.width`} label="Width" kind="length" />
        <QuantityField name={`placements.${at}.height`} label="Height" kind="length" />
        <SelectField name={`placements.${at}.sizes`} label="Printed on" options={FOR_SIZES} />
      </Grid>
      <FilmsOfPrint at={at} id={id} />
      <Inks at={at} />
      <Finest at={at} />
      <Meetings at={at} />
    </Section>
  )
}

const newInk = (id: string): InkColour => ({
  id,
  name: '',
  hex: '#808080',
  character: 'spot',
  opacity: 'ordinary',
  coverage: 0.2,
  system: 'house',
  lowCure: false,
})

function Inks({ at }: { readonly at: number }) {
  const { shelf } = useOrder()
  const { fieldWidth } = usePaint()
  const { control, getValues, setValue } = useFormContext<Order>()
  const inks = useFieldArray({ control, name: `placements.${at}.inks`, keyName: 'key' })
  const live = useWatch({ control, name: `placements.${at}.inks` })
  const nextId = () => `I${highest(getValues(`placements.${at}.inks`)) + 1}`
  const fromShelf = (shelfId: string) => {
    const found = shelf.inks.find((i) => i.id === shelfId)
    if (!found) return
    inks.append({
      ...newInk(nextId()),
      name: found.name,
      hex: found.hex,
      character: found.character as InkColour['character'],
      opacity: found.opacity as InkColour['opacity'],
      system: orderedSystem(found.system, shelf.shop.method.ink),
    })
  }
  const remove = (i: number) => {
    const gone = inks.fields[i]?.id
    const relations = getValues(`placements.${at}.relations`).filter((r) => r.a !== gone && r.b !== gone)
    setValue(`placements.${at}.relations`, relations)
    inks.remove(i)
  }
  return (
    <>
      <Table css={{ tableLayout: 'fixed', '& td': { paddingRight: '6px', verticalAlign: 'top' } }}>
        <thead>
          <tr>
            <th style={{ width: fieldWidth }}>
              <Box srOnly>Colour</Box>
            </th>
            <th>Name</th>
            <th style={{ width: '8rem' }}>Kind</th>
            <th style={{ width: '6.6rem' }}>Covers</th>
            <th style={{ width: '4.4rem' }} className="num">
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
            const name = live[i]?.name || 'ink'
            return (
              <tr key={ink.key}>
                <td>
                  <TextField bare name={`${path}.hex`} label={`Colour of ${name}`} type="color" />
                </td>
                <td>
                  <TextField bare name={`${path}.name`} label="Name" />
                </td>
                <td>
                  <SelectField bare name={`${path}.character`} label="Kind" options={CHARACTERS} />
                </td>
                <td>
                  <SelectField bare name={`${path}.opacity`} label="Covers" options={OPACITY_WORDS} />
                </td>
                <td>
                  <QuantityField bare name={`${path}.coverage`} label="Coverage" kind="share" />
                </td>
                <td>
                  <QuantityField
                    bare
                    optional
                    name={`${path}.ruling`}
                    label="Ruling, empty for flat"
                    kind="ruling"
                  />
                </td>
                <td>
                  <SelectField bare name={`${path}.system`} label="Ink system" options={SYSTEMS} />
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
        <Select
          aria-label="Add a colour from the shelf"
          value=""
          onChange={(e) => fromShelf(e.target.value)}
          field
          width="12rem"
        >
          <option value="">Add from the shelf …</option>
          {shelf.inks.map((i) => (
            <option key={i.id} value={i.id}>
              {i.name}
            </option>
          ))}
        </Select>
        <TextButton onClick={() => inks.append(newInk(nextId()))}>Add another colour</TextButton>
      </Flex>
    </>
  )
}

const HOW = { '': 'apart', touch: 'touch', overlap: 'overlap', blend: 'blend' }
/** Usual width of a trap. */
const TRAP = 0.0003

/** What each film asks of its mesh: read off the films, or typed. */
function Finest({ at }: { readonly at: number }) {
  const { control } = useFormContext<Order>()
  const inks = useWatch({ control, name: `placements.${at}.inks` })
  if (inks.length === 0) return null
  return (
    <Table width="auto" mb="5" css={{ '& td': { paddingRight: '6px', verticalAlign: 'middle' } }}>
      <thead>
        <tr>
          <th style={{ width: '12rem' }}>What the mesh must hold</th>
          <th className="num">Smallest line</th>
          <th className="num">Halftone angle</th>
          <th className="num">Largest flake</th>
          <th className="num">Wanted dry film</th>
        </tr>
      </thead>
      <tbody>
        {inks.map((ink, i) => {
          const path = `placements.${at}.inks.${i}` as const
          const field = (name: 'line' | 'angle' | 'particle' | 'deposit', kind: Kind, label: string) => (
            <td style={{ width: '8rem' }}>
              <QuantityField
                bare
                optional
                name={`${path}.${name}`}
                label={`${label} of ${ink.name}`}
                kind={kind}
              />
            </td>
          )
          return (
            <tr key={ink.id}>
              <td>{ink.name || 'ink'}</td>
              {field('line', 'fine', 'Smallest line')}
              {field('angle', 'turn', 'Halftone angle')}
              {field('particle', 'film', 'Largest flake')}
              {field('deposit', 'film', 'Wanted dry film')}
            </tr>
          )
        })}
      </tbody>
    </Table>
  )
}

/** How each pair of colours meets, as a table: one line for each colour, one column for each colour before it. */
function Meetings({ at }: { readonly at: number }) {
  const { control } = useFormContext<Order>()
  const inks = useWatch({ control, name: `placements.${at}.inks` })
  const relations = useFieldArray({ control, name: `placements.${at}.relations`, keyName: 'key' })
  if (inks.length < 2) return null
  const find = (a: string, b: string) =>
    relations.fields.findIndex((r) => (r.a === a && r.b === b) || (r.a === b && r.b === a))
  const set = (a: string, b: string, how: string) => {
    const index = find(a, b)
    if (how === '') return relations.remove(index)
    const row: ArtRelation = {
      a,
      b,
      how: how as ArtRelation['how'],
      ...(how === 'overlap' ? { width: TRAP } : {}),
    }
    if (index < 0) relations.append(row)
    else relations.update(index, row)
  }
  return (
    <Box>
      <Box fontWeight="650" mb="1">
        Where colours meet
      </Box>
      <Table width="auto">
        <thead>
          <tr>
            <th>
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
                const how = relations.fields[index]?.how ?? ''
                return (
                  <td key={a.id}>
                    <Select
                      aria-label={`${a.name || a.id} and ${b.name || b.id}`}
                      value={how}
                      onChange={(e) => set(a.id, b.id, e.target.value)}
                      fontWeight={how ? '650' : '400'}
                      color={how ? 'ink' : 'soft'}
                    >
                      {Object.entries(HOW).map(([value, label]) => (
                        <option key={value} value={value}>
                          {label}
                        </option>
                      ))}
                    </Select>
                    {how === 'overlap' && (
                      <QuantityField
                        bare
                        name={`placements.${at}.relations.${index}.width`}
                        label={`Width of the overlap of ${a.name || a.id} and ${b.name || b.id}`}
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
