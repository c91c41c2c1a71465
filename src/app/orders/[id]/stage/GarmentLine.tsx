import { Box, Flex, Grid } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import { type Cloth, clothGroup, DYES, groupLabel, type Order, SIZE_NAMES, WEAVES } from '@/core/order'
import { AddSelect } from '@/ui/AddSelect'
import { Label } from '@/ui/elements'
import { CountField, ListMessage, QuantityField, SelectField, TextField } from '@/ui/fields'
import { usePaint } from '@/ui/paint'
import { TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { useOrder } from '../orderContext'
import { CameIn } from './CameIn'

/** Garments of one style and cloth: what they are, and how many of each size. */
export function GarmentLine({
  at,
  counting,
  onRemove,
  only,
}: {
  readonly at: number
  /** What came in is counted. */
  readonly counting: boolean
  readonly onRemove: () => void
  readonly only: boolean
}) {
  const { shelf } = useOrder()
  const of = useOneOf(at)
  const { fieldWidth } = usePaint()
  const { control, getValues, setValue } = useFormContext<Order>()
  const cloth = useWatch({ control, name: `lines.${at}.cloth` })
  const known = shelf.cloths.find((c) => c.name === cloth.name)
  const put = (next: Cloth) =>
    setValue(`lines.${at}.cloth`, next, { shouldDirty: true, shouldValidate: true })
  /** Whether another cloth of the shelf is meant, or only its colour: a hood that is ordered stays a hood. */
  const becomes = (found: Cloth) =>
    known !== undefined &&
    sameBody(known, cloth) &&
    (found.weave === cloth.weave || getValues(`lines.${at}.sizes`).every((s) => s.quantity === 0))
  const fromShelf = (found: Cloth | undefined) => {
    if (found) put(becomes(found) ? found : { ...cloth, name: found.name, hex: found.hex })
  }
  return (
    <Box py="3" borderBottom="1px solid" borderColor="rule">
      <Grid
        templateColumns={{
          base: 'repeat(auto-fill, minmax(7.5rem, 1fr))',
          xl: `0.85fr 1.15fr 1fr ${fieldWidth} 6rem 3.8rem 4.2rem 5.4rem 1.6rem`,
        }}
        gap="2.5"
        alignItems="start"
      >
        <TextField name={`lines.${at}.style`} label="Style" of={of} />
        <Box minWidth="0">
          <Label htmlFor={`cloth-${at}`} display="block" fontSize="small" color="soft">
            From the shelf
            {of && <Box as="span" srOnly>{` of ${of}`}</Box>}
          </Label>
          <Select
            id={`cloth-${at}`}
            value={known ? cloth.name : ''}
            onChange={(e) => fromShelf(shelf.cloths.find((c) => c.name === e.target.value))}
            field
          >
            {!known && <option value="">own cloth</option>}
            {shelf.cloths.map((c) => (
              <option key={c.name}>{c.name}</option>
            ))}
          </Select>
        </Box>
        <TextField name={`lines.${at}.cloth.name`} label="Cloth colour" of={of} />
        <TextField name={`lines.${at}.cloth.hex`} label="Seen" type="color" of={of} />
        <SelectField name={`lines.${at}.cloth.weave`} label="Weave" options={WEAVES} of={of} />
        <QuantityField name={`lines.${at}.cloth.cotton`} label="Cotton" kind="share" of={of} />
        <QuantityField name={`lines.${at}.cloth.polyester`} label="Polyester" kind="share" of={of} />
        <QuantityField name={`lines.${at}.cloth.weight`} label="Weight" kind="arealMass" atRight of={of} />
        <Box pt="6">
          {!only && (
            <TextButton onClick={onRemove} aria-label={`Remove ${cloth.name}`} title="Remove" pt="1">
              <X size={16} aria-hidden="true" />
            </TextButton>
          )}
        </Box>
      </Grid>
      {known && !sameBody(known, cloth) && (
        <Flex gap="3" align="baseline" wrap="wrap" fontSize="small">
          <Box color="soft">Weave, fibre or weight are not those of {known.name} on the shelf.</Box>
          <TextButton onClick={() => put(known)}>Take them from the shelf</TextButton>
        </Flex>
      )}
      <Flex mt="2" gap="5" align="start" justify="space-between" wrap={{ base: 'wrap', lg: 'nowrap' }}>
        <Sizes at={at} />
        <Flex gap="2.5" align="start" wrap={{ base: 'wrap', md: 'nowrap' }}>
          <QuantityField
            name={`lines.${at}.cloth.elastane`}
            label="Elastane"
            kind="share"
            width="4.6rem"
            optional
            of={of}
          />
          <SelectField name={`lines.${at}.cloth.dye`} label="Dye" options={DYE} width="9.5rem" of={of} />
          <Group at={at} />
        </Flex>
      </Flex>
      {counting && <CameIn at={at} />}
    </Box>
  )
}

const DYE = { '': 'As its colour', ...DYES }

/** Whether two cloths are the same but for their colour. */
const sameBody = (a: Cloth, b: Cloth): boolean =>
  (['weave', 'cotton', 'polyester', 'weight', 'elastane', 'dye'] as const).every((k) => a[k] === b[k])

/** What a garment line is called where there are others. */
function useOneOf(at: number): string | undefined {
  const lines = useWatch<Order, 'lines'>({ name: 'lines' })
  const line = lines[at]
  return line && lines.length > 1 ? `${line.style}, ${line.cloth.name}` : undefined
}

function Sizes({ at }: { readonly at: number }) {
  const of = useOneOf(at)
  const { control } = useFormContext<Order>()
  const sizes = useFieldArray({ control, name: `lines.${at}.sizes`, keyName: 'key' })
  const left = SIZE_NAMES.filter((s) => !sizes.fields.some((f) => f.size === s))
  return (
    <Box>
      <Flex gap="2" align="start" wrap="wrap">
        {sizes.fields.map((s, i) => (
          <CountField
            key={s.key}
            name={`lines.${at}.sizes.${i}.quantity`}
            label={s.size}
            of={of}
            width="3.6rem"
          />
        ))}
        {left.length > 0 && (
          <Box>
            <Label htmlFor={`size-${at}`} display="block" fontSize="small" color="soft">
              more
              {of && <Box as="span" srOnly>{` of ${of}`}</Box>}
            </Label>
            <AddSelect
              id={`size-${at}`}
              onAdd={(size, shouldFocus) => sizes.append({ size, quantity: 0 }, { shouldFocus })}
              minHeight="field"
              width="4rem"
            >
              <option value="">size</option>
              {left.map((s) => (
                <option key={s}>{s}</option>
              ))}
            </AddSelect>
          </Box>
        )}
      </Flex>
      <ListMessage name={`lines.${at}.sizes`} />
    </Box>
  )
}

/** The cloth group decides the run; the lead may put a line with another. */
function Group({ at }: { readonly at: number }) {
  const of = useOneOf(at)
  const { control } = useFormContext<Order>()
  const { order } = useOrder()
  const own = useWatch({ control, name: `lines.${at}.group` })
  const line = order.lines[at]
  if (!line) return null
  const advice = clothGroup(line)
  const options = {
    '': `${groupLabel(advice.advised)} (advised)`,
    ...Object.fromEntries(
      advice.choices.filter((c) => c.value !== advice.advised).map((c) => [c.value, c.label]),
    ),
  }
  return (
    <Box fontWeight={own ? '650' : '400'}>
      <SelectField name={`lines.${at}.group`} label="Prints with" of={of} options={options} width="15rem" />
    </Box>
  )
}
