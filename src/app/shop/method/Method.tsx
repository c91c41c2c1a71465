'use client'

import { chakra, Grid } from '@chakra-ui/react'
import { useFormContext } from 'react-hook-form'
import { optionWords, PRACTICES, type Practice } from '@/core/advice'
import type { ShopAndShelf } from '@/core/equipment'
import { keysOf } from '@/core/quantity'
import { Fieldset, Input, Label } from '@/ui/elements'
import { QuantityField } from '@/ui/fields'
import { Section } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Approved } from './Approved'
import { Hours } from './Hours'
import { People } from './People'
import { Writing } from './Writing'

const Legend = chakra('legend')

/** Where printers disagree: what this shop does, and what that costs. */
export function Method() {
  return (
    <>
      <Hours />
      <People />
      <Writing />
      <Prices />
      <Approved />
      <Section title="How this shop works">
        <Grid templateColumns={{ base: 'minmax(0, 1fr)', md: '1fr 1fr' }} columnGap="8" rowGap="4">
          {keysOf(PRACTICES).map((s) => (
            <PracticeChoice key={s} practice={s} />
          ))}
        </Grid>
      </Section>
    </>
  )
}

function PracticeChoice({ practice }: { readonly practice: Practice }) {
  const { register } = useFormContext<ShopAndShelf>()
  const { units } = useSettings()
  const { question, options } = PRACTICES[practice]
  return (
    <Fieldset border="none">
      <Legend fontWeight="650" mb="1">
        {question}
      </Legend>
      {Object.keys(options).map((option) => (
        <Label key={option} display="flex" gap="2" alignItems="baseline" py="0.5" cursor="pointer">
          <Input
            type="radio"
            value={option}
            accentColor="ink"
            flex="none"
            {...register(`shop.method.${practice}`)}
          />
          {optionWords(practice, option, units)}
        </Label>
      ))}
    </Fieldset>
  )
}

const PRICES = [
  ['pressHour', 'An hour of the press'],
  ['personHour', 'An hour of a person'],
  ['screen', 'A screen, coated to reclaimed'],
  ['ink', 'Ink, as a rule'],
  ['garment', 'A garment spoiled'],
] as const

function Prices() {
  return (
    <Section title="What things cost">
      <Grid
        templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: 'repeat(5, 1fr)' }}
        gap="4"
        alignItems="end"
      >
        {PRICES.map(([field, label]) => (
          <QuantityField
            key={field}
            name={`shop.prices.${field}`}
            label={label}
            kind={field === 'ink' ? 'price' : 'money'}
          />
        ))}
      </Grid>
    </Section>
  )
}
