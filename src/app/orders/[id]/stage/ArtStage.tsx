'use client'

import { Grid } from '@chakra-ui/react'
import { useFieldArray, useFormContext } from 'react-hook-form'
import { type Order, WHERES } from '@/core/order'
import { QuantityField, SelectField } from '@/ui/fields'
import { Section, TextButton } from '@/ui/Section'
import { Finest } from './art/Finest'
import { Inks } from './art/Inks'
import { Meetings } from './art/Meetings'
import { FilmsOfPrint } from './films/FilmsOfPrint'
import type { Films, FilmsByPrint } from './films/useFilms'
import { highest } from './highest'

const FOR_SIZES = { all: 'All sizes', adult: 'Adult sizes', kids: 'Kids’ sizes' }

/** Stage 2: the prints, their colours, and how the colours meet. */
export function ArtStage({ films }: { readonly films: FilmsByPrint | undefined }) {
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
          films={films?.[p.id]}
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
  readonly films: Films | undefined
  readonly only: boolean
  readonly onRemove: () => void
}

function Print({ at, id, films, only, onRemove }: PrintProps) {
  return (
    <Section
      title={`Print ${id}`}
      side={only ? undefined : <TextButton onClick={onRemove}>Remove print</TextButton>}
    >
      <FilmsOfPrint
        at={at}
        id={id}
        known={films}
        beside={
          <Grid
            templateColumns={{ base: 'repeat(auto-fill, minmax(9rem, 1fr))', xl: '1fr' }}
            gap="3"
            alignContent="start"
          >
            <SelectField name={`placements.${at}.where`} label="Where" options={WHERES} />
            <QuantityField name={`placements.${at}.width`} label="Width" kind="length" />
            <QuantityField name={`placements.${at}.height`} label="Height" kind="length" />
            <SelectField name={`placements.${at}.sizes`} label="Printed on" options={FOR_SIZES} />
            <QuantityField name={`placements.${at}.choke`} label="Base choked by" kind="fine" optional />
          </Grid>
        }
      />
      <Inks at={at} />
      <Finest at={at} />
      <Meetings at={at} />
    </Section>
  )
}
