import { Box, Flex } from '@chakra-ui/react'
import { useWatch } from 'react-hook-form'
import { hexOfLab } from '@/core/color'
import { ADDITIVES, type Characterisation } from '@/core/equipment'
import { CONFIDENCE, colourOfCharacterisation } from '@/core/ink'
import { OPACITIES } from '@/core/order'
import { SelectField, TextField } from '@/ui/fields'
import { Swatch } from '@/ui/Swatch'
import type { Row } from '../../shop/columns'

const labels = (table: Readonly<Record<string, { readonly label: string }>>) =>
  Object.fromEntries(Object.entries(table).map(([key, { label }]) => [key, label]))
const OPACITY_WORDS = labels(OPACITIES)
const DOES = labels(ADDITIVES)

/** How an ink is known: as it was read, or a colour and class to choose. */
export function CharacterisationCell({ row, path }: { readonly row: Row; readonly path: string }) {
  const known = useWatch({ name: `${path}.characterisation` }) as Characterisation
  const of = String(row.name)
  if (known.how === 'additive')
    return (
      <SelectField
        name={`${path}.characterisation.does` as never}
        label={`Does, ${of}`}
        bare
        options={DOES}
      />
    )
  if (known.how === 'class')
    return (
      <Flex gap="2" align="center">
        <TextField
          name={`${path}.characterisation.hex` as never}
          label={`Seen, ${of}`}
          bare
          type="color"
          width="2.2rem"
        />
        <SelectField
          name={`${path}.characterisation.opacity` as never}
          label={`Covers, ${of}`}
          bare
          options={OPACITY_WORDS}
        />
      </Flex>
    )
  return (
    <Flex gap="2" align="center" minHeight="2.1rem">
      <Swatch hex={hexOfLab(colourOfCharacterisation(known))} size={22} />
      <Box fontSize="small">
        {CONFIDENCE[known.how].label}
        {known.letDown && ', tint'}
      </Box>
    </Flex>
  )
}
