'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useFormContext, useWatch } from 'react-hook-form'
import {
  type BaseInk,
  type InkRoom,
  rackOfShelf,
  type ShelfInk,
  type ShopAndShelf,
  STARTER_RACK,
} from '@/core/equipment'
import { type Can, doesOf, lookAlikes } from '@/core/ink'
import { INK_SYSTEMS } from '@/core/order'
import { QuantityField } from '@/ui/fields'
import { Section, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { unlocked } from '../../edits/unlocked'
import type { Column, Row } from '../../shop/columns'
import { Rows } from '../../shop/Rows'
import { Cans } from './Cans'
import { CharacterisationCell } from './CharacterisationCell'
import { Files } from './Files'
import { Formulas } from './Formulas'

const LIMITS = [
  ['match', 'Match: change of colour up to'],
  ['visible', 'Visible: up to'],
  ['accept', 'Drawdown accepted up to'],
  ['again', 'Looked at again up to'],
  ['white', 'A bright white, L*'],
] as const

const isAdditive = (row: Row) => doesOf(row as unknown as BaseInk) !== undefined
const COLUMNS: readonly Column[] = [
  { field: 'code', label: 'Code', as: 'text', width: '4.5rem' },
  { field: 'name', label: 'Name', as: 'text' },
  { field: 'system', label: 'System', as: INK_SYSTEMS, width: '8.5rem' },
  { field: 'cost', label: 'Cost', as: { kind: 'price' }, width: '5.5rem' },
  { field: 'density', label: 'Density', as: { kind: 'density' }, width: '6rem' },
]
const known = (label: string): Column => ({
  field: 'known',
  label,
  as: { show: (row, path) => <CharacterisationCell row={row} path={path} /> },
  width: '15rem',
})

/** Inks that formulas are mixed from, additives, what stands in their cans, formulas and limits. */
export function Rack({ cans }: { readonly cans: readonly Can[] }) {
  const rack = useWatch({ name: 'shop.inkRoom.rack' }) as readonly BaseInk[]
  const pairs = rack.flatMap((ink, i) =>
    lookAlikes(ink, rack.slice(i + 1)).map((other) => `${ink.name} and ${other.name}`),
  )
  return (
    <>
      <Rows
        title="Inks on the rack"
        name="shop.inkRoom.rack"
        one="an ink"
        newRow={(rows) => ({
          code: freeCode(rows),
          name: 'New ink',
          system: 'plastisol',
          cost: 25,
          density: 1200,
          characterisation: { how: 'class', hex: '#808080', opacity: 'ordinary' },
        })}
        only={(row) => !isAdditive(row)}
        above={
          pairs.length > 0 && (
            <Box mb="1" fontSize="small">
              <SeverityMark severity="Watch" /> Easily mistaken for each other: {pairs.join('; ')}.
            </Box>
          )
        }
        columns={[...COLUMNS, known('Measured by')]}
      />
      <Fill />
      <Rows
        title="Additives"
        name="shop.inkRoom.rack"
        one="an additive"
        newRow={(rows) => ({
          code: freeCode(rows),
          name: 'New additive',
          system: 'plastisol',
          cost: 25,
          density: 1000,
          characterisation: { how: 'additive', does: 'thins' },
        })}
        only={isAdditive}
        columns={[...COLUMNS, known('What it does')]}
      />
      <Files rack={rack} />
      <Cans cans={cans} rack={rack} />
      <Formulas />
      <Section title="Limits (CIEDE2000), and ink laid">
        <Grid
          templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: 'repeat(6, 1fr)' }}
          gap="4"
          alignItems="end"
        >
          {LIMITS.map(([field, label]) => (
            <QuantityField
              key={field}
              name={`shop.inkRoom.limits.${field}`}
              label={label}
              kind="difference"
            />
          ))}
          <QuantityField name="shop.inkRoom.laid" label="Ink laid, of what is computed" kind="share" />
        </Grid>
      </Section>
    </>
  )
}

/** Inks of the shelf that stand on no rack, and inks to try mixing with. */
function Fill() {
  const { getValues, setValue } = useFormContext<ShopAndShelf>()
  const shelf = useWatch({ name: 'inks' }) as readonly ShelfInk[]
  const rack = useWatch({ name: 'shop.inkRoom.rack' }) as readonly BaseInk[]
  const formulas = useWatch({ name: 'shop.inkRoom.formulas' }) as InkRoom['formulas']
  const known = new Set([...rack, ...formulas].map((i) => i.name.trim().toLowerCase()))
  const away = shelf.filter((ink) => !known.has(ink.name.trim().toLowerCase()))
  const stands = new Set(rack.map((i) => i.code))
  const mixing = STARTER_RACK.filter((i) => !stands.has(i.code))
  const put = (inks: readonly BaseInk[]) =>
    setValue('shop.inkRoom.rack', unlocked([...getValues('shop.inkRoom.rack'), ...inks]), {
      shouldDirty: true,
      shouldValidate: true,
    })
  return (
    <Flex gap="6" wrap="wrap" mb="4">
      {away.length > 0 && (
        <Flex gap="3" align="baseline" minWidth="0" maxWidth="100%">
          <TextButton
            px="0"
            flex="none"
            onClick={() =>
              put(
                rackOfShelf(
                  away,
                  getValues('shop.method.ink'),
                  rack.map((i) => i.code),
                ),
              )
            }
          >
            {away.length === 1 ? 'Put 1 ink' : `Put ${away.length} inks`} of the shelf on the rack
          </TextButton>
          <Box color="soft" truncate>
            {away.map((i) => i.name).join(', ')}
          </Box>
        </Flex>
      )}
      {mixing.length === STARTER_RACK.length && (
        <TextButton px="0" onClick={() => put(mixing)}>
          Add {mixing.length} invented inks to try mixing with
        </TextButton>
      )}
    </Flex>
  )
}

function freeCode(rows: readonly Row[]): string {
  const codes = new Set(rows.map((r) => r.code))
  for (let n = 1; ; n++) if (!codes.has(`N${n}`)) return `N${n}`
}
