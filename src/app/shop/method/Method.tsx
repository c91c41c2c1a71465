'use client'

import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useController, useFieldArray, useFormContext } from 'react-hook-form'
import { optionWords, PRACTICES, type Practice } from '@/core/advice'
import type { ShopAndShelf } from '@/core/equipment'
import { keysOf } from '@/core/quantity'
import { Fieldset, Input, Label } from '@/ui/elements'
import { ClockField, CountField, ListMessage, QuantityField } from '@/ui/fields'
import { Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Approved } from './Approved'

const Legend = chakra('legend')

/** Where printers disagree: what this shop does, and what that costs. */
export function Method() {
  return (
    <>
      <Hours />
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
  ['ink', 'A kg of ink, as a rule'],
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
          <QuantityField key={field} name={`shop.prices.${field}`} label={label} kind="money" />
        ))}
      </Grid>
    </Section>
  )
}

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const

function Hours() {
  const { control } = useFormContext<ShopAndShelf>()
  const { field } = useController({ control, name: 'shop.hours.days' })
  const breaks = useFieldArray({ control, name: 'shop.hours.breaks', keyName: 'key' })
  const days = field.value as readonly number[]
  return (
    <Section
      title="Working hours"
      side={<TextButton onClick={() => breaks.append({ from: 36_000, to: 36_900 })}>Add a break</TextButton>}
    >
      <Flex gap="8" align="start" wrap="wrap">
        <Fieldset border="none">
          <Legend fontSize="small" color="soft">
            Working days
          </Legend>
          <Flex gap="3" pt="1">
            {DAYS.map((day, i) => (
              <Label key={day} display="inline-flex" gap="1.5" alignItems="center">
                <Input
                  type="checkbox"
                  accentColor="ink"
                  checked={days.includes(i + 1)}
                  onChange={(e) =>
                    field.onChange(
                      e.target.checked
                        ? [...days, i + 1].sort((a, b) => a - b)
                        : days.filter((d) => d !== i + 1),
                    )
                  }
                />
                {day}
              </Label>
            ))}
          </Flex>
          <ListMessage name="shop.hours.days" />
        </Fieldset>
        <ClockField name="shop.hours.from" label="Opens" width="5rem" />
        <ClockField name="shop.hours.to" label="Closes" width="5rem" />
        {breaks.fields.map((b, i) => (
          <Flex key={b.key} gap="2" align="end">
            <ClockField name={`shop.hours.breaks.${i}.from`} label={`Break ${i + 1} from`} width="6rem" />
            <ClockField name={`shop.hours.breaks.${i}.to`} label="to" width="5rem" />
            <TextButton onClick={() => breaks.remove(i)} aria-label={`Remove break ${i + 1}`} pb="1.5">
              <X size={16} aria-hidden="true" />
            </TextButton>
          </Flex>
        ))}
        <CountField name="shop.leadDays" label="Days between printed and due" width="13rem" />
      </Flex>
      <Box color="soft" fontSize="small" mt="2">
        Used for finish times, breaks included, and for when the screens of an order must be begun.
      </Box>
    </Section>
  )
}
