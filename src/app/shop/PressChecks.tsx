import { chakra, Flex } from '@chakra-ui/react'
import { type FieldPath, useController, useFormContext } from 'react-hook-form'
import type { ShopAndShelf } from '@/core/equipment'
import { Fieldset, Input, Label } from '@/ui/elements'

const Legend = chakra('legend')

/** Some presses of the shop, or all where none is chosen. */
export function PressChecks({
  name,
  legend,
  says,
}: {
  readonly name: string
  /** Above them; none where a heading of the table says it. */
  readonly legend?: string
  /** What a tick says, before the name of its press. */
  readonly says: string
}) {
  const { control, getValues } = useFormContext<ShopAndShelf>()
  const { field } = useController({ control, name: name as FieldPath<ShopAndShelf> })
  const chosen = Array.isArray(field.value) ? (field.value as readonly string[]) : []
  const presses = getValues('shop.presses')
  // One that was removed since can still be taken off: with it alone chosen, no press would be meant.
  const gone = chosen.filter((id) => !presses.some((p) => p.id === id))
  return (
    <Fieldset border="none">
      <Legend {...(legend ? { fontSize: 'small', color: 'soft' } : { srOnly: true })}>
        {legend ?? says}
      </Legend>
      <Flex columnGap="3" rowGap="1" pt="1" wrap="wrap">
        {[...presses, ...gone.map((id) => ({ id, name: 'a press that is gone' }))].map((press) => (
          <Label key={press.id} display="inline-flex" gap="1.5" alignItems="center">
            <Input
              type="checkbox"
              aria-label={`${says} ${press.name}`}
              accentColor="ink"
              checked={chosen.includes(press.id)}
              onChange={(e) =>
                field.onChange(
                  e.target.checked ? [...chosen, press.id] : chosen.filter((p) => p !== press.id),
                )
              }
            />
            {press.name}
          </Label>
        ))}
      </Flex>
    </Fieldset>
  )
}
