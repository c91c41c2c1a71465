'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import {
  FLASH_KINDS,
  FLASH_MOUNTS,
  headTurned,
  PALLET_MATERIALS,
  PRESS_KINDS,
  PRESSURE_SCALES,
  type Press,
  type PressureNote,
  type ShopAndShelf,
} from '@/core/equipment'
import { GAUGES } from '@/core/stroke'
import { Button, Label } from '@/ui/elements'
import { CountField, QuantityField, TextField } from '@/ui/fields'
import { RingDrawing } from '@/ui/RingDrawing'
import { Section, TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { Notes } from '../notes/Notes'
import { asKind, toggleFlash, withPlaces } from './pressKinds'
import { nextId, nextName, Rows } from './Rows'
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
          mount: 'swings',
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
          { field: 'takes', label: 'Stations it takes', as: 'count', width: '9rem' },
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
            <TextField name={`shop.presses.${at}.name`} label="Name" />
            <Choice
              id={`kind-${at}`}
              label="Kind"
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
                value={String(press.kind === 'automatic' ? press.stations.length : press.heads)}
                options={Object.fromEntries(Array.from({ length: 24 }, (_, i) => [i + 1, String(i + 1)]))}
                onChoose={(count) => become(withPlaces(press, Number(count)))}
              />
            )}
            {press.kind === 'manual' ? (
              <CountField name={`shop.presses.${at}.pallets` as 'shop.presses.0.pallets'} label="Pallets" />
            ) : (
              <Box />
            )}
            <QuantityField name={`shop.presses.${at}.palletWidth`} label="Pallet width" kind="length" />
            <QuantityField name={`shop.presses.${at}.palletHeight`} label="Pallet height" kind="length" />
            <Choice
              id={`board-${at}`}
              label="Pallet material"
              value={press.palletMaterial}
              options={PALLET_MATERIALS}
              onChoose={(palletMaterial) =>
                become({ ...press, palletMaterial: palletMaterial as Press['palletMaterial'] })
              }
            />
          </Grid>
          <Strip press={press} onChange={become} />
          <PressureEditor at={at} press={press} onChange={become} />
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

/** How the press counts pressure, and what the words for it come to there. */
function PressureEditor({
  at,
  press,
  onChange,
}: {
  readonly at: number
  readonly press: Press
  readonly onChange: (press: Press) => void
}) {
  const { pressure: note, ...rest } = press
  const choose = (scale: string) =>
    onChange(
      scale === ''
        ? rest
        : { ...press, pressure: { scale: scale as PressureNote['scale'], ...FIRST_NOTE[scale as 'turns'] } },
    )
  return (
    <Grid
      templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: '12rem 6rem 6rem 6rem' }}
      gap="3"
      mt="3"
      alignItems="end"
    >
      <Choice
        id={`scale-${at}`}
        label="Pressure is counted in"
        value={note?.scale ?? ''}
        options={{ '': 'words', ...PRESSURE_SCALES }}
        onChoose={choose}
      />
      {note &&
        (['light', 'medium', 'firm'] as const).map((word) => (
          <QuantityField
            key={`${note.scale} ${word}`}
            name={`shop.presses.${at}.pressure.${word}`}
            label={`${word[0]?.toUpperCase()}${word.slice(1)} is`}
            kind={GAUGES[note.scale]}
          />
        ))}
    </Grid>
  )
}

/** Somewhere to start from: the shop writes its own. */
const FIRST_NOTE = {
  turns: { light: 2, medium: 3, firm: 4 },
  air: { light: 2e5, medium: 3e5, firm: 4e5 },
} as const

interface ChoiceProps {
  readonly id: string
  readonly label: string
  readonly value: string
  readonly options: Readonly<Record<string, string>>
  readonly onChoose: (value: string) => void
}

/** A choice that changes more than one field of the form. */
const Choice = ({ id, label, value, options, onChoose }: ChoiceProps) => (
  <Box>
    <Label htmlFor={id} display="block" fontSize="small" color="soft">
      {label}
    </Label>
    <Select id={id} field value={value} onChange={(e) => onChoose(e.target.value)}>
      {Object.entries(options).map(([v, words]) => (
        <option key={v} value={v}>
          {words}
        </option>
      ))}
    </Select>
  </Box>
)

/** The press unrolled: each head or station, whether it works, and whether a flash may stand there. */
function Strip({ press, onChange }: { readonly press: Press; readonly onChange: (press: Press) => void }) {
  if (press.kind === 'bench') return null
  const places =
    press.kind === 'automatic'
      ? press.stations
      : Array.from({ length: press.heads }, (_, i) => ({
          number: i + 1,
          usable: !press.down.includes(i + 1),
          flashAllowed: false,
        }))
  return (
    <Flex mt="3" as="ul" listStyleType="none" aria-label={`Places of ${press.name}`} wrap="wrap">
      {places.map((p) => (
        <Box as="li" key={p.number} flex="1 1 0" minWidth="3.2rem" maxWidth="5rem">
          <Button
            type="button"
            aria-pressed={!p.usable}
            aria-label={`${press.kind === 'automatic' ? 'Station' : 'Head'} ${p.number} ${p.usable ? 'works' : 'out of service'}`}
            onClick={() => onChange(headTurned(press, p.number))}
            display="block"
            width="100%"
            height="2.9rem"
            bg={p.usable ? 'raised' : 'transparent'}
            border="1px solid"
            borderStyle={p.usable ? 'solid' : 'dashed'}
            borderColor="soft"
            cursor="pointer"
            lineHeight="1.05"
          >
            <Box as="span" display="block" fontWeight="700" fontSize="lead">
              {p.number}
            </Box>
            <Box as="span" fontSize="small">
              {p.usable ? '' : 'out'}
            </Box>
          </Button>
          {press.kind === 'automatic' && (
            <Button
              type="button"
              aria-pressed={p.flashAllowed}
              aria-label={`Flash at station ${p.number}: ${p.flashAllowed ? 'may stand' : 'may not stand'}`}
              onClick={() => onChange(toggleFlash(press, p.number))}
              display="block"
              width="100%"
              fontSize="small"
              py="0.5"
              color="soft"
              cursor="pointer"
            >
              {p.flashAllowed ? 'flash' : 'no flash'}
            </Button>
          )}
        </Box>
      ))}
    </Flex>
  )
}
