import { Box, chakra, Flex } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useController, useFieldArray, useFormContext } from 'react-hook-form'
import type { ShopAndShelf } from '@/core/equipment'
import { localNow } from '@/ui/clock'
import { Fieldset, Input, Label } from '@/ui/elements'
import { ClockField, CountField, ListMessage, SelectField, TextField } from '@/ui/fields'
import { Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'

const Legend = chakra('legend')

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const

/** Days with their numbers, from the one that a week begins on. */
const inWeek = (from: 1 | 7) => {
  const week = DAYS.map((day, i) => [day, i] as const)
  return from === 7 ? [...week.slice(6), ...week.slice(0, 6)] : week
}

/** When the shop works: days, hours, breaks, what differs on a day of the week, and days off. */
export function Hours() {
  const { control } = useFormContext<ShopAndShelf>()
  const breaks = useFieldArray({ control, name: 'shop.hours.breaks', keyName: 'key' })
  return (
    <Section
      title="Working hours"
      side={<TextButton onClick={() => breaks.append({ from: 36_000, to: 36_900 })}>Add a break</TextButton>}
    >
      <Flex gap="8" align="start" wrap="wrap">
        <WeekDays name="shop.hours.days" legend="Working days" />
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
      <OwnHours />
      <PressHours />
      <DaysOff />
      <GoesOut />
      <Box color="soft" fontSize="small" mt="2">
        Used for finish times, breaks included, and for when the screens of an order must be begun.
      </Box>
    </Section>
  )
}

/** Days of the week that are chosen. */
function WeekDays({
  name,
  legend,
}: {
  readonly name: 'shop.hours.days' | 'shop.goesOut'
  readonly legend: string
}) {
  const { units } = useSettings()
  const { control } = useFormContext<ShopAndShelf>()
  const { field } = useController({ control, name })
  const days = (field.value ?? []) as readonly number[]
  return (
    <Fieldset border="none">
      <Legend fontSize="small" color="soft">
        {legend}
      </Legend>
      <Flex columnGap="3" rowGap="1" pt="1" wrap="wrap">
        {inWeek(units.weekFrom).map(([day, i]) => (
          <Label key={day} display="inline-flex" gap="1.5" alignItems="center">
            <Input
              type="checkbox"
              // Two rows of the same days: each says what it sets.
              aria-label={name === 'shop.goesOut' ? `Goods leave on ${day}` : undefined}
              accentColor="ink"
              checked={days.includes(i + 1)}
              onChange={(e) =>
                field.onChange(
                  e.target.checked ? [...days, i + 1].sort((a, b) => a - b) : days.filter((d) => d !== i + 1),
                )
              }
            />
            {day}
          </Label>
        ))}
      </Flex>
      <ListMessage name={name} />
    </Fieldset>
  )
}

/** Days on which goods are fetched or sent; any day where none is said. */
const GoesOut = () => (
  <Box mt="3">
    <WeekDays name="shop.goesOut" legend="Goods leave only on (none: any day)" />
  </Box>
)

/** Presses that open and close at other times: an early or a late shift. */
function PressHours() {
  const { control, getValues } = useFormContext<ShopAndShelf>()
  const own = useFieldArray({ control, name: 'shop.hours.presses', keyName: 'key' })
  const { presses } = getValues('shop')
  const names = Object.fromEntries(presses.map((p) => [p.id, p.name]))
  const add = () => {
    const { from, to, presses: there = [] } = getValues('shop.hours')
    const press = presses.find((p) => !there.some((o) => o.pressId === p.id))
    if (press) own.append({ pressId: press.id, from, to: Math.min(86_400, to + 2 * 3600) })
  }
  return (
    <Box mt="3">
      {own.fields.map((p, i) => (
        <Flex key={p.key} gap="3" align="end" mb="2" role="group" aria-label={`Hours of a press ${i + 1}`}>
          <SelectField name={`shop.hours.presses.${i}.pressId`} label="Press" options={names} width="11rem" />
          <ClockField name={`shop.hours.presses.${i}.from`} label="opens" width="5rem" />
          <ClockField name={`shop.hours.presses.${i}.to`} label="closes" width="5rem" />
          <TextButton
            onClick={() => own.remove(i)}
            aria-label={`Remove the hours of ${names[p.pressId] ?? p.pressId}`}
            pb="1.5"
          >
            <X size={16} aria-hidden="true" />
          </TextButton>
        </Flex>
      ))}
      <ListMessage name="shop.hours.presses" />
      <TextButton px="0" onClick={add}>
        Other hours of one press
      </TextButton>
    </Box>
  )
}

const DAY_NAMES = Object.fromEntries(DAYS.map((day, i) => [i + 1, day]))

/** Days of the week that open or close at other times. */
function OwnHours() {
  const { control, getValues } = useFormContext<ShopAndShelf>()
  const own = useFieldArray({ control, name: 'shop.hours.own', keyName: 'key' })
  const add = () => {
    const { days, from, to, own: there = [] } = getValues('shop.hours')
    const day = [...days].reverse().find((d) => !there.some((o) => o.day === d))
    if (day !== undefined) own.append({ day, from, to: Math.max(from + 3600, to - 3 * 3600) })
  }
  return (
    <Box mt="3">
      {own.fields.map((d, i) => (
        <Flex key={d.key} gap="3" align="end" mb="2" role="group" aria-label={`Hours of their own ${i + 1}`}>
          <SelectField name={`shop.hours.own.${i}.day`} label="On" options={DAY_NAMES} width="5.5rem" />
          <ClockField name={`shop.hours.own.${i}.from`} label="opens" width="5rem" />
          <ClockField name={`shop.hours.own.${i}.to`} label="closes" width="5rem" />
          <TextButton
            onClick={() => own.remove(i)}
            aria-label={`Remove the hours of ${DAY_NAMES[d.day]}`}
            pb="1.5"
          >
            <X size={16} aria-hidden="true" />
          </TextButton>
        </Flex>
      ))}
      <ListMessage name="shop.hours.own" />
      <TextButton px="0" onClick={add}>
        Other hours on one day
      </TextButton>
    </Box>
  )
}

/** Holidays, and days that end early. */
function DaysOff() {
  const { control } = useFormContext<ShopAndShelf>()
  const off = useFieldArray({ control, name: 'shop.hours.off', keyName: 'key' })
  return (
    <Box mt="3">
      <Flex columnGap="6" rowGap="2" wrap="wrap">
        {off.fields.map((d, i) => (
          <Flex key={d.key} gap="3" align="end" role="group" aria-label={`Day off ${i + 1}`}>
            <TextField name={`shop.hours.off.${i}.on`} label="Off on" type="date" width="9.5rem" />
            <ClockField name={`shop.hours.off.${i}.to`} label="works until" width="5.5rem" optional />
            <TextButton onClick={() => off.remove(i)} aria-label={`Remove the day off ${d.on}`} pb="1.5">
              <X size={16} aria-hidden="true" />
            </TextButton>
          </Flex>
        ))}
      </Flex>
      <ListMessage name="shop.hours.off" />
      <TextButton px="0" onClick={() => off.append({ on: localNow().slice(0, 10) })}>
        A day off, or half of one
      </TextButton>
    </Box>
  )
}
