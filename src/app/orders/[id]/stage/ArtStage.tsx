'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useCallback, useEffect, useRef } from 'react'
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import { CLOTH_DRAWS, isSize, type Order, type PrintSize, sizeMoved, usualSize, WHERES } from '@/core/order'
import { writeQuantity } from '@/core/quantity'
import { CanTable } from '@/ui/CanTable'
import { QuantityField, SelectField } from '@/ui/fields'
import { Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { unlocked } from '../../../edits/unlocked'
import { Notes } from '../../../notes/Notes'
import { useOrder } from '../orderContext'
import { Finest } from './art/Finest'
import { Inks } from './art/Inks'
import { Meetings } from './art/Meetings'
import { useOfPrint } from './art/ofPrint'
import { FilmsOfPrint } from './films/FilmsOfPrint'
import type { Films, FilmsByPrint } from './films/useFilms'
import { highest } from './highest'

const DRAWS = { '': 'Nothing of it', ...CLOTH_DRAWS }
const FOR_SIZES = { all: 'All sizes', adult: 'Adult sizes', kids: 'Kids’ sizes' }

/** Stage 2: the prints, their colours, and how the colours meet. */
export function ArtStage({ films }: { readonly films: FilmsByPrint | undefined }) {
  const { control, getValues } = useFormContext<Order>()
  const prints = useFieldArray({ control, name: 'placements', keyName: 'key' })
  const add = () => {
    const number = highest(prints.fields) + 1
    prints.append({
      id: `P${number}`,
      where: 'back',
      ...usualSize('back'),
      sizes: 'all',
      inks: [],
      relations: [],
    })
  }
  /** Its colours and how they meet; films are of one print. */
  const duplicate = (at: number) =>
    prints.append(unlocked({ ...getValues(`placements.${at}`), id: `P${highest(prints.fields) + 1}` }))
  return (
    <>
      {prints.fields.map((p, i) => (
        <Print
          key={p.key}
          at={i}
          id={p.id}
          films={films?.[p.id]}
          onRemove={() => prints.remove(i)}
          onDuplicate={() => duplicate(i)}
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
  readonly onDuplicate: () => void
}

function Print({ at, id, films, only, onRemove, onDuplicate }: PrintProps) {
  const { order } = useOrder()
  const of = only ? undefined : id
  const ofPrint = useOfPrint(at)
  return (
    <Section
      title={`Print ${id}`}
      side={
        <Flex gap="5">
          <TextButton aria-label={`Duplicate print ${id}`} onClick={onDuplicate}>
            Duplicate print
          </TextButton>
          {!only && (
            <TextButton aria-label={`Remove print ${id}`} onClick={onRemove}>
              Remove print
            </TextButton>
          )}
        </Flex>
      }
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
            <SelectField name={`placements.${at}.where`} label="Where" options={WHERES} of={of} />
            <SizeOfPlace at={at} />
            <QuantityField name={`placements.${at}.width`} label="Width" kind="length" of={of} />
            <QuantityField name={`placements.${at}.height`} label="Height" kind="length" of={of} />
            <SelectField name={`placements.${at}.sizes`} label="Printed on" options={FOR_SIZES} of={of} />
            <QuantityField
              name={`placements.${at}.choke`}
              label="Base choked by"
              kind="fine"
              of={of}
              optional
            />
            <SelectField
              name={`placements.${at}.clothDraws`}
              label="The cloth draws"
              options={DRAWS}
              of={of}
            />
          </Grid>
        }
      />
      <Inks at={at} />
      <CanTable name={`placements.${at}.inks`} of={ofPrint} />
      <Finest at={at} />
      <Meetings at={at} />
      <Box mt="4">
        <Notes about="print" of={`${order.id}.${id}`} name={`print ${id}`} folded />
      </Box>
    </Section>
  )
}

/** Each place asks for its own size: what was usual follows the place, what is not is asked about. */
function SizeOfPlace({ at }: { readonly at: number }) {
  const { units } = useSettings()
  const { control, getValues, setValue } = useFormContext<Order>()
  const [where, width, height] = useWatch({
    control,
    name: [`placements.${at}.where`, `placements.${at}.width`, `placements.${at}.height`],
  })
  const take = useCallback(
    (size: PrintSize) => {
      for (const side of ['width', 'height'] as const)
        setValue(`placements.${at}.${side}`, size[side], { shouldDirty: true, shouldValidate: true })
    },
    [at, setValue],
  )
  const before = useRef(where)
  useEffect(() => {
    const from = before.current
    before.current = where
    if (from === where) return
    const is = getValues(`placements.${at}`)
    const moved = sizeMoved(from, where, is)
    if (!isSize(moved, is)) take(moved)
  }, [where, at, getValues, take])
  const usual = usualSize(where)
  // Fronts and backs come in every size.
  if (['front', 'back'].includes(where) || isSize({ width, height }, usual)) return null
  return (
    <TextButton onClick={() => take(usual)} fontSize="small" textAlign="left">
      Usual there: {writeQuantity('length', usual.width, units)} ×{' '}
      {writeQuantity('length', usual.height, units)}
    </TextButton>
  )
}
