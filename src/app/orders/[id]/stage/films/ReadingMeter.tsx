import { Box, Flex } from '@chakra-ui/react'
import type { StoredFilm } from '@/store/films'
import { TextButton } from '@/ui/Section'
import type { Progress } from './useFilms'

interface Props {
  readonly progress: Progress
  readonly films: readonly StoredFilm[]
  readonly onCancel: () => void
}

/** How far the reading is: film by film, then pair by pair. */
export function ReadingMeter({ progress, films, onCancel }: Props) {
  const pairs = (films.length * (films.length - 1)) / 2
  const now = films.find((f) => f.id === progress.reading)
  const done = progress.done / films.length
  return (
    <Box mb="2">
      <Flex gap="3" align="baseline">
        <Box role="status">
          {now
            ? `Reading ${now.name}, ${progress.done + 1} of ${films.length}`
            : progress.done > 0
              ? `Laying them on each other, ${progress.pairs} of ${pairs}`
              : 'Waiting for the light table'}
        </Box>
        <TextButton onClick={onCancel}>Cancel</TextButton>
      </Flex>
      <Box height="4px" bg="rule" mt="1">
        <Box
          height="4px"
          bg="ink"
          style={{ width: `${80 * done + (pairs > 0 ? (20 * progress.pairs) / pairs : 0)}%` }}
        />
      </Box>
    </Box>
  )
}
