import { Box, Flex, Grid } from '@chakra-ui/react'
import { message, q, type Reason } from '@/core/advice'
import { ARTWORK, type BaseFacts, baseFindings, type FilmFinding, filmFindings } from '@/core/artwork'
import { chokeTooTight } from '@/core/registration'
import type { Reading } from '@/store/films'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { answersTo } from './answers'
import type { FilmsDesk } from './useFilms'

interface Props {
  readonly desk: FilmsDesk
  readonly reading: Reading
  /** What the base was measured to be; undefined without one, and until then. */
  readonly under: BaseFacts | undefined
  /** Tints that their mesh would not hold. */
  readonly lost: readonly FilmFinding[]
  readonly onSpot: (spot: { readonly x: number; readonly y: number }) => void
}

/** What is wrong with the films, or worth knowing, before a screen is burnt. */
export function Findings({ desk, reading, under, lost, onSpot }: Props) {
  const { units } = useSettings()
  const films = desk.table?.films.filter((f) => reading.films.includes(f.id)) ?? []
  const tight =
    under?.choke && reading.print
      ? chokeTooTight(reading.print.width, reading.print.height, under.choke.median)
      : undefined
  const alone = (reason: Reason): FilmFinding => ({ reason, film: undefined })
  const read = reading.films.map((id) => films.find((f) => f.id === id))
  const found = [
    ...(tight ? [alone(tight)] : []),
    ...lost,
    ...filmFindings(
      reading.facts,
      read.map((f, i) => f?.name ?? reading.films[i] ?? ''),
      reading.pairs,
      reading.tiles,
    ),
    ...(under ? baseFindings(under).map(alone) : []),
  ]
  const places: Readonly<Record<string, { readonly x: number; readonly y: number } | undefined>> = {
    BASE_OPEN: under?.uncovered.places[0],
    BASE_PEEPS: under?.peep.places[0],
    BASE_BARE: under?.bare.places[0],
    BASE_NEEDLESS: under?.needless.places[0],
  }
  return (
    <Box mt="4">
      {under?.choke && <Choke of={under.choke} />}
      {found.map(({ reason, film, place = places[reason.rule] }) => {
        const own = film === undefined ? undefined : read[film]
        const turn = film === undefined ? undefined : reading.facts[film]?.mislaid?.turn
        return (
          <Grid
            key={`${reason.rule} ${JSON.stringify(reason.inputs)}`}
            templateColumns="4.5rem minmax(0, 1fr)"
            gap="2"
            py="0.5"
          >
            <Box>{reason.severity && <SeverityMark severity={reason.severity} />}</Box>
            <Box maxWidth="46rem">
              {message(reason, units)}
              <Flex as="span" display="inline-flex" gap="3" ml="2">
                {place && <TextButton onClick={() => onSpot(place)}>where</TextButton>}
                {own && film !== undefined && reason.rule === 'FILM_TILES' && (
                  <TextButton onClick={() => void desk.join(film)} fontWeight="700">
                    Join them
                  </TextButton>
                )}
                {own &&
                  answersTo({ reason, film }, own, turn).map(([says, change]) => (
                    <TextButton key={says} onClick={() => void desk.correct(own.id, change)} fontWeight="700">
                      {says}
                    </TextButton>
                  ))}
              </Flex>
            </Box>
          </Grid>
        )
      })}
    </Box>
  )
}

/** How far the base stays inside what lies on it, or spreads beyond it. */
function Choke({ of }: { readonly of: NonNullable<BaseFacts['choke']> }) {
  const beyond = of.median < 0
  const [median, least, most] = beyond ? [-of.median, -of.most, -of.least] : [of.median, of.least, of.most]
  const told = { median: q('fine', median), least: q('fine', least), most: q('fine', most) }
  return (
    <Flex gap="3" align="baseline" mb="1">
      <Box fontWeight="650">{beyond ? 'Base spreads beyond by' : 'Base choked by'}</Box>
      <Box fontSize="title" fontWeight="650">
        <AskNumber
          label="Choke of the base"
          reasons={[ARTWORK.because(beyond ? 'BASE_BEYOND' : 'BASE_CHOKE', told)]}
        >
          <Measure kind="fine" value={median} />
        </AskNumber>
      </Box>
      <Box color="soft">
        <Measure kind="fine" value={least} /> to <Measure kind="fine" value={most} />
      </Box>
    </Flex>
  )
}
