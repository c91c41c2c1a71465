'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import {
  FLASH_KINDS,
  FLASH_MOUNTS,
  FLASH_SIDES,
  FLASH_SUITS,
  PALLET_MATERIALS,
  PRESS_KINDS,
  type Press,
  type ShopAndShelf,
} from '@/core/equipment'
import { WHERES } from '@/core/order'
import { CountField, QuantityField, TextField } from '@/ui/fields'
import { RingDrawing } from '@/ui/RingDrawing'
import { Section, TextButton } from '@/ui/Section'
import { Notes } from '../notes/Notes'
import { Choice } from './Choice'
import { PressChecks } from './PressChecks'
import { PressureEditor } from './PressureEditor'
import { asKind, withPlaces } from './pressKinds'
import { nextId, nextName, Rows } from './Rows'
import { Strip } from './Strip'
import { useShop } from './shopContext'

/** Every press with what it has; then the flash units and where they stand. */
export function Presses() {
  const { control, getValues } = useFormContext<ShopAndShelf>()
  const list = useFieldArray({ control, name: 'shop.presses', keyName: 'key' })
  const { shop } = useShop()
  const add = () => {
    const rows = getValues('shop.presses')
    const first = rows[0]
    list.append({
      id: nextId(rows, 'p'),
      name: nextName(rows, 'New press'),
      kind: 'manual',
      heads: 6,
      pallets: 4,
      down: [],
      palletWidth: first?.palletWidth ?? 0.406,
      palletHeight: first?.palletHeight ?? 0.56,
      palletMaterial: first?.palletMaterial ?? 'aluminium',
    })
  }
  return (
    <>
      <Grid
        templateColumns={{ base: 'minmax(0, 1fr)', md: 'minmax(0, 22rem) 1fr' }}
        gap="4"
        mb="5"
        alignItems="end"
        justifyItems="start"
      >
        <TextField name="shop.name" label="Name of the shop" />
        <TextButton onClick={add} justifySelf="end">
          Add a press
        </TextButton>
      </Grid>
      {list.fields.map((p, i) => (
        <PressEditor key={p.key} at={i} onRemove={() => list.remove(i)} />
      ))}
      <Rows
        title="Flash units"
        name="shop.flashes"
        one="flash unit"
        newRow={(rows) => ({
          id: nextId(rows, 'flash'),
          name: nextName(rows, 'Flash'),
          kind: 'panel',
          mount: 'timed',
          pressId: shop.presses[0]?.id ?? '',
          takes: 1,
        })}
        columns={[
          { field: 'name', label: 'Name', as: 'text' },
          { field: 'kind', label: 'Kind', as: FLASH_KINDS },
          {
            field: 'pressId',
            label: 'At press',
            as: Object.fromEntries(shop.presses.map((p) => [p.id, p.name])),
          },
          { field: 'mount', label: 'After its dwell it', as: FLASH_MOUNTS },
          { field: 'side', label: 'Stands', as: { '': 'not said', ...FLASH_SIDES }, width: '6.5rem' },
          { field: 'suits', label: 'For', as: { '': 'Any ink', ...FLASH_SUITS } },
          { field: 'takes', label: 'Stations', as: 'count', width: '5.5rem' },
        ]}
      />
      <Rows
        title="Pallets that go from press to press"
        name="shop.sharedPallets"
        one="kind of pallet"
        above={
          <Box color="soft" mb="2">
            Sleeve boards, say, of which there are fewer sets than presses. In the days a print waits until a
            set is free.
          </Box>
        }
        newRow={(rows) => ({
          id: nextId(rows, 'pallets'),
          name: nextName(rows, 'Sleeve boards'),
          where: 'sleeve',
          sets: 1,
          presses: [],
        })}
        columns={[
          { field: 'name', label: 'Name', as: 'text' },
          { field: 'where', label: 'For prints at', as: WHERES },
          { field: 'sets', label: 'Sets', as: 'count', width: '5.5rem' },
          {
            field: 'presses',
            label: 'Used at (none: every press)',
            as: {
              show: (row, path) => (
                <PressChecks name={`${path}.presses`} says={`${String(row.name)} used at`} />
              ),
            },
          },
        ]}
      />
    </>
  )
}

function PressEditor({ at, onRemove }: { readonly at: number; readonly onRemove: () => void }) {
  const { control, setValue } = useFormContext<ShopAndShelf>()
  const { shop } = useShop()
  const press = useWatch({ control, name: `shop.presses.${at}` })
  const become = (next: Press) =>
    setValue(`shop.presses.${at}`, next as never, { shouldDirty: true, shouldValidate: true })
  const flashes = shop.flashes.filter((f) => f.pressId === press.id)
  const of = shop.presses.length > 1 ? press.name || `press ${at + 1}` : undefined
  return (
    <Section
      title={press.name || 'Press'}
      side={
        <TextButton onClick={onRemove} aria-label={`Remove ${press.name}`}>
          Remove
        </TextButton>
      }
    >
      <Grid
        templateColumns={{ base: 'minmax(0, 1fr)', lg: '12.5rem minmax(0, 1fr)' }}
        gap="5"
        alignItems="center"
      >
        <RingDrawing press={press} shop={shop} />
        <Box>
          <Grid
            templateColumns={{
              base: 'repeat(auto-fill, minmax(7.5rem, 1fr))',
              lg: '1.2fr 1.4fr 4.6rem 4.2rem 5.6rem 5.6rem 7.6rem',
            }}
            gap="3"
          >
            <TextField name={`shop.presses.${at}.name`} label="Name" of={of} />
            <Choice
              id={`kind-${at}`}
              label="Kind"
              of={of}
              value={press.kind}
              options={PRESS_KINDS}
              onChoose={(kind) => become(asKind(press, kind as Press['kind']))}
            />
            {press.kind === 'bench' ? (
              <Box />
            ) : (
              <Choice
                id={`places-${at}`}
                label={press.kind === 'automatic' ? 'Stations' : 'Heads'}
                of={of}
                value={String(press.kind === 'automatic' ? press.stations.length : press.heads)}
                options={Object.fromEntries(Array.from({ length: 24 }, (_, i) => [i + 1, String(i + 1)]))}
                onChoose={(count) => become(withPlaces(press, Number(count)))}
              />
            )}
            {press.kind === 'manual' ? (
              <CountField
                name={`shop.presses.${at}.pallets` as 'shop.presses.0.pallets'}
                label="Pallets"
                of={of}
              />
            ) : (
              <Box />
            )}
            <QuantityField
              name={`shop.presses.${at}.palletWidth`}
              label="Pallet width"
              kind="length"
              of={of}
            />
            <QuantityField
              name={`shop.presses.${at}.palletHeight`}
              label="Pallet height"
              kind="length"
              of={of}
            />
            <Choice
              id={`board-${at}`}
              label="Pallet material"
              of={of}
              value={press.palletMaterial}
              options={PALLET_MATERIALS}
              onChoose={(palletMaterial) =>
                become({ ...press, palletMaterial: palletMaterial as Press['palletMaterial'] })
              }
            />
          </Grid>
          <Strip press={press} of={of} onChange={become} />
          <Flex columnGap="6" rowGap="2" wrap="wrap" align="end">
            <PressureEditor at={at} of={of} press={press} onChange={become} />
            {(['frameWidth', 'frameHeight'] as const).map((side) => (
              <QuantityField
                key={side}
                name={`shop.presses.${at}.${side}`}
                label={`Frames up to, ${side === 'frameWidth' ? 'wide' : 'high'}`}
                kind="length"
                width="8rem"
                of={of}
                optional
              />
            ))}
          </Flex>
          <Box color="soft" fontSize="small" mt="1.5">
            {flashes.length === 0
              ? 'No flash stands here.'
              : `Flash: ${flashes.map((f) => f.name).join(', ')}.`}
            {press.kind !== 'bench' && ' Press a number to take that head out of work, or back.'}
          </Box>
        </Box>
      </Grid>
      <Box mt="3">
        <Notes about="press" of={press.id} name={press.name} folded />
      </Box>
    </Section>
  )
}
