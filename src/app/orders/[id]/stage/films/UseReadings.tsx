import { Box, Flex } from '@chakra-ui/react'
import { useFormContext, useWatch } from 'react-hook-form'
import { asRead, remeetings } from '@/core/artwork'
import { changes, overlaid } from '@/core/change'
import type { Order, Placement } from '@/core/order'
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

/** One thing that the films say otherwise, and the print with that alone taken over. */
interface Saying {
  readonly words: string
  /** The size was ordered: it is only taken over by itself. */
  readonly isSize: boolean
  readonly laid: (print: Placement) => Placement
}

/** Lays what was read into the order, one by one or at once, each a step that can be undone; every value stays correctable. */
export function UseReadings({ at, films, reading, choke }: Props) {
  const { units } = useSettings()
  const { control, getValues, setValue } = useFormContext<Order>()
  const said = useWatch({ control, name: `placements.${at}` })
  const read = asRead(
    said,
    reading.films.map((id) => films.find((f) => f.id === id)?.ink ?? ''),
    reading,
    choke,
  )
  const name = (id: string) => said.inks.find((i) => i.id === id)?.name || id
  const sayings: readonly Saying[] = [
    ...changes({ ...said, relations: [] }, { ...read, relations: [] }).map((c) => {
      const { label, from, to } = changeWords({ ...c, path: c.path.map(name) }, units)
      return {
        words: `${label} ${to}, not ${from}`,
        isSize: c.path.length === 1 && ['width', 'height'].includes(c.path[0] ?? ''),
        laid: (print: Placement) => overlaid(print, [c]),
      }
    }),
    ...remeetings(said, read).map(({ a, b, is }) => {
      const how = is
        ? `${is.how}${is.width ? ` by ${writeQuantity('fine', is.width, units)}` : ''}`
        : 'stay apart'
      return {
        words: `${name(a)} and ${name(b)} ${how}`,
        isSize: false,
        laid: (print: Placement) => ({
          ...print,
          relations: [
            ...print.relations.filter((r) => ![r.a, r.b].includes(a) || ![r.a, r.b].includes(b)),
            ...(is ? [is] : []),
          ],
        }),
      }
    }),
  ]
  const unread = films.filter((f) => !reading.films.includes(f.id)).length
  if (sayings.length === 0)
    return (
      <Box mt="3" color="soft">
        {unread === 0
          ? 'The order says what the films say.'
          : `The order says what the films that were read say; ${unread} ${unread === 1 ? 'is' : 'are'} not read.`}
      </Box>
    )
  const use = (which: readonly Saying[]) =>
    setValue(
      `placements.${at}`,
      unlocked(which.reduce((print, s) => s.laid(print), getValues(`placements.${at}`) as Placement)),
      { shouldDirty: true, shouldValidate: true },
    )
  const atOnce = sayings.filter((s) => !s.isSize)
  return (
    <Box mt="3" px="3" py="2" bg="raised">
      <Flex gap="4" align="baseline">
        <Box fontWeight="650">The films say otherwise</Box>
        {atOnce.length > 0 && (
          <Box ml="auto">
            <TextButton onClick={() => use(atOnce)} fontWeight="700">
              Use all {atOnce.length} readings
            </TextButton>
          </Box>
        )}
      </Flex>
      {sayings.map((s) => (
        <Flex key={s.words} gap="3" align="baseline" fontSize="small">
          <Box>
            {s.words}
            {s.isSize && ': the size was ordered so'}
          </Box>
          <TextButton onClick={() => use([s])} aria-label={`Use ${s.words}`} ml="auto">
            use
          </TextButton>
        </Flex>
      ))}
    </Box>
  )
}
