import { Box, Flex } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useFieldArray, useFormContext } from 'react-hook-form'
import type { ShopAndShelf } from '@/core/equipment'
import { localNow } from '@/ui/clock'
import { ListMessage, TextField } from '@/ui/fields'
import { Section, TextButton } from '@/ui/Section'
import { PressChecks } from '../PressChecks'

/** Who works here, which presses they can run, and when they are away. */
export function People() {
  const { control, getValues } = useFormContext<ShopAndShelf>()
  const people = useFieldArray({ control, name: 'shop.people', keyName: 'key' })
  const add = () => {
    const taken = new Set((getValues('shop.people') ?? []).map((p) => p.id))
    let n = 1
    while (taken.has(`person${n}`)) n++
    people.append({ id: `person${n}`, name: '', presses: [], away: [] })
  }
  return (
    <Section title="People" side={<TextButton onClick={add}>Add a person</TextButton>}>
      {people.fields.length === 0 && (
        <Box color="soft">
          Nobody is named: the days take it that there are people enough for every press.
        </Box>
      )}
      {people.fields.map((p, i) => (
        <Flex
          key={p.key}
          columnGap="6"
          rowGap="2"
          align="start"
          wrap="wrap"
          py="2"
          borderTop={i === 0 ? 'none' : '1px solid'}
          borderColor="rule"
          role="group"
          aria-label={`Person ${i + 1}`}
        >
          <TextField name={`shop.people.${i}.name`} label="Name" of={`person ${i + 1}`} width="11rem" />
          <PressChecks
            name={`shop.people.${i}.presses`}
            legend="Can run (none: every press)"
            says={`Person ${i + 1} can run`}
          />
          <Away at={i} />
          <TextButton onClick={() => people.remove(i)} aria-label={`Remove person ${i + 1}`} pt="6">
            <X size={16} aria-hidden="true" />
          </TextButton>
        </Flex>
      ))}
      <ListMessage name="shop.people" />
      <Box color="soft" fontSize="small" mt="2">
        Used for the days: no more presses print at a time than there are people who can run them. Anybody
        loads and unloads.
      </Box>
    </Section>
  )
}

function Away({ at }: { readonly at: number }) {
  const { control } = useFormContext<ShopAndShelf>()
  const away = useFieldArray({ control, name: `shop.people.${at}.away`, keyName: 'key' })
  const add = () => {
    const today = localNow().slice(0, 10)
    away.append({ first: today, last: today })
  }
  return (
    <Box>
      {away.fields.map((a, i) => (
        <Flex key={a.key} gap="3" align="end" mb="1" role="group" aria-label={`Away ${i + 1}`}>
          <TextField
            name={`shop.people.${at}.away.${i}.first`}
            label="Away from"
            of={`person ${at + 1}, ${i + 1}`}
            type="date"
            width="9.5rem"
          />
          <TextField
            name={`shop.people.${at}.away.${i}.last`}
            label="up to and with"
            of={`person ${at + 1}, ${i + 1}`}
            type="date"
            width="9.5rem"
          />
          <TextButton onClick={() => away.remove(i)} aria-label={`Remove away ${i + 1}`} pb="1.5">
            <X size={16} aria-hidden="true" />
          </TextButton>
        </Flex>
      ))}
      <ListMessage name={`shop.people.${at}.away`} />
      <TextButton px="0" onClick={add}>
        Away on some days
      </TextButton>
    </Box>
  )
}
