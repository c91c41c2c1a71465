import { Box, Flex } from '@chakra-ui/react'
import { useFormContext, useWatch } from 'react-hook-form'
import { asRead, remeetings } from '@/core/artwork'
import { changes } from '@/core/change'
import type { Order } from '@/core/order'
import { type Length, writeQuantity } from '@/core/quantity'
import type { Reading, StoredFilm } from '@/store/films'
import { changeWords } from '@/ui/changeWords'
import { TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { unlocked } from '../../../../edits/unlocked'

interface Props {
  readonly at: number
  readonly films: readonly StoredFilm[]
  readonly reading: Reading
  /** Of the film of the base. */
  readonly choke: Length | undefined
}

/** Lays what was read into the order, as one step that can be undone; every value stays correctable. */
export function UseReadings({ at, films, reading, choke }: Props) {
  const { units } = useSettings()
  const { control, setValue } = useFormContext<Order>()
  const said = useWatch({ control, name: `placements.${at}` })
  const read = asRead(
    said,
    reading.films.map((id) => films.find((f) => f.id === id)?.ink ?? ''),
    reading,
    choke,
  )
  const name = (id: string) => said.inks.find((i) => i.id === id)?.name || id
  const words = [
    ...changes({ ...said, relations: [] }, { ...read, relations: [] }).map((c) => {
      const { label, from, to } = changeWords({ ...c, path: c.path.map(name) }, units)
      return `${label} ${to}, not ${from}`
    }),
    ...remeetings(said, read).map(({ a, b, is }) => {
      const how = is
        ? `${is.how}${is.width ? ` by ${writeQuantity('fine', is.width, units)}` : ''}`
        : 'stay apart'
      return `${name(a)} and ${name(b)} ${how}`
    }),
  ]
  if (words.length === 0)
    return (
      <Box mt="3" color="soft">
        The order says what the films say.
      </Box>
    )
  return (
    <Box mt="3" px="3" py="2" bg="raised">
      <Flex gap="4" align="baseline">
        <Box fontWeight="650">The films say otherwise</Box>
        <Box ml="auto">
          <TextButton
            onClick={() =>
              setValue(`placements.${at}`, unlocked(read), {
                shouldDirty: true,
                shouldValidate: true,
              })
            }
            fontWeight="700"
          >
            Use all {words.length} readings
          </TextButton>
        </Box>
      </Flex>
      <Box fontSize="small">{words.join(' · ')}</Box>
    </Box>
  )
}
