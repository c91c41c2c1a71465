import { Box, Flex } from '@chakra-ui/react'
import type { FilmFacts } from '@/core/artwork'
import type { StoredFilm } from '@/store/films'
import { Measure } from '@/ui/Measure'
import { TextButton } from '@/ui/Section'
import type { FilmsDesk } from './useFilms'

interface Props {
  readonly desk: FilmsDesk
  readonly films: readonly StoredFilm[]
  readonly leftOut: FilmFacts['leftOut']
  readonly onSpot: (spot: { readonly x: number; readonly y: number }) => void
}

/** What of the films was taken for marks and labels, each of which may be art after all. */
export function LeftOut({ desk, films, leftOut, onSpot }: Props) {
  // Said of the set, kept with its first film.
  const [first] = films
  const kept = films.flatMap((f) => f.kept ?? [])
  if (!first || (leftOut.length === 0 && kept.length === 0)) return null
  const middle = (o: FilmFacts['leftOut'][number]) => ({ x: o.x + o.width / 2, y: o.y + o.height / 2 })
  const marks = leftOut.filter((o) => o.kind === 'mark').length
  const words = [
    ...(marks > 0 ? [`${marks} ${marks === 1 ? 'mark' : 'marks'}`] : []),
    ...(leftOut.length > marks ? [`${leftOut.length - marks} labels or wedges`] : []),
  ]
  return (
    <Box as="details" mt="2" fontSize="small">
      <Box as="summary" cursor="pointer" width="fit-content">
        {words.length > 0 ? `Left out of the art: ${words.join(', ')}` : 'Nothing left out of the art'}
        {kept.length > 0 && ` · ${kept.length} taken as art`}
      </Box>
      {leftOut.map((o) => (
        <Flex key={`${o.x} ${o.y}`} gap="3" align="baseline" py="0.5">
          <Box minWidth="4rem">{o.kind}</Box>
          <Box minWidth="9rem">
            <Measure kind="length" value={o.width} /> × <Measure kind="length" value={o.height} />
          </Box>
          <TextButton onClick={() => onSpot(middle(o))}>where</TextButton>
          <TextButton
            onClick={() => void desk.correct(first.id, { kept: [...(first.kept ?? []), middle(o)] })}
          >
            It is art
          </TextButton>
        </Flex>
      ))}
      {kept.length > 0 && (
        <TextButton onClick={() => void desk.correct(first.id, { kept: [] })}>Leave all out again</TextButton>
      )}
    </Box>
  )
}
