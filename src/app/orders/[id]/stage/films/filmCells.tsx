import { Box, Flex } from '@chakra-ui/react'
import { type ReactNode, useState } from 'react'
import { q } from '@/core/advice'
import { ARTWORK, colourOf, type Detail, type FilmFacts, type Place, type Rectangle } from '@/core/artwork'
import { readNumber } from '@/core/quantity'
import type { StoredFilm } from '@/store/films'
import { AskNumber } from '@/ui/AskNumber'
import { Button, Input } from '@/ui/elements'
import { InOtherUnit, Measure } from '@/ui/Measure'

/** Pixels an inch, asked for when the file does not say. */
export function Resolution({
  film,
  onSay,
}: {
  readonly film: StoredFilm
  readonly onSay: (dpi: number) => void
}) {
  const [text, setText] = useState('')
  const [wrong, setWrong] = useState('')
  if (film.dpi !== undefined)
    return film.raster ? (
      <Box color="soft" fontSize="small">
        {Math.round(film.dpi)} dpi
      </Box>
    ) : null
  const say = () => {
    if (text.trim() === '') return setWrong('')
    const read = readNumber(text)
    const [least, most] = film.raster ? [30, 2400] : [1, 3000]
    if (!read.ok) return setWrong(read.message)
    if (read.value < least || read.value > most) return setWrong(`Between ${least} and ${most}, please.`)
    setWrong('')
    // A drawing without a size counts in units of its own: what is typed is its height in millimetres.
    onSay(film.raster ? read.value : (25.4 * film.down) / read.value)
  }
  return (
    <Flex as="span" gap="1.5" align="baseline" fontSize="small">
      <Input
        aria-label={
          film.raster ? `Resolution of ${film.name} in dpi` : `Height of ${film.name} in millimetres`
        }
        width="4rem"
        bg="raised"
        px="1"
        borderBottom="2px solid"
        borderColor="ink"
        value={text}
        aria-invalid={wrong !== ''}
        onChange={(e) => setText(e.target.value)}
        onBlur={say}
        onKeyDown={(e) => e.key === 'Enter' && say()}
      />
      {film.raster ? 'dpi? The file does not say' : 'mm high? The file does not say'}
      {wrong && (
        <Box role="alert" fontWeight="650">
          {wrong}
        </Box>
      )}
    </Flex>
  )
}

const Big = ({ children }: { readonly children: ReactNode }) => (
  <Box as="span" fontSize="lead" fontWeight="650">
    {children}
  </Box>
)

/** Size and ink of the film; where its middle lies is in the answer. */
export function Inked({
  name,
  facts: { box, inkArea },
}: {
  readonly name: string
  readonly facts: FilmFacts
}) {
  if (!box) return null
  const reasons = [
    ARTWORK.because('READ_BOX', {
      width: q('length', box.width),
      height: q('length', box.height),
      x: q('length', box.x + box.width / 2),
      y: q('length', box.y + box.height / 2),
      ink: q('area', inkArea),
    }),
  ]
  return (
    <Box fontSize="small" color="soft">
      <AskNumber label={`Size of ${name}`} reasons={reasons}>
        <Measure kind="length" value={box.width} /> × <Measure kind="length" value={box.height} />,{' '}
        <Measure kind="area" value={inkArea} />
      </AskNumber>
    </Box>
  )
}

/** How much of the print it covers. */
export function Coverage({
  name,
  facts,
  print,
}: {
  readonly name: string
  readonly facts: FilmFacts
  readonly print: Rectangle
}) {
  const reasons = [
    ARTWORK.because('READ_COVERAGE', {
      ink: q('area', facts.inkArea),
      print: q('area', print.width * print.height),
    }),
  ]
  return (
    <Big>
      <AskNumber label={`Coverage of ${name}`} reasons={reasons}>
        <Measure kind="share" value={colourOf(facts, print).coverage} />
      </AskNumber>
    </Big>
  )
}

/** The finest there is, and where, place by place. */
export function Thinnest({
  rule,
  label,
  detail,
  onSpot,
}: {
  readonly rule: 'READ_LINE' | 'READ_GAP'
  readonly label: string
  readonly detail: Detail | undefined
  readonly onSpot: (place: Place) => void
}) {
  const [next, setNext] = useState(0)
  if (!detail) return <Box color="soft">–</Box>
  const place = detail.places[next % detail.places.length]
  return (
    <Flex as="span" gap="1.5" justify="flex-end" align="baseline">
      <Big>
        <AskNumber label={label} reasons={[ARTWORK.because(rule, { width: q('fine', detail.width) })]}>
          <Measure kind="fine" value={detail.width} />
        </AskNumber>
      </Big>
      {place && (
        <Button
          type="button"
          cursor="pointer"
          textDecoration="underline"
          fontSize="small"
          aria-label={`${label}: show where`}
          onClick={() => {
            onSpot({ x: place.x, y: place.y })
            setNext(next + 1)
          }}
        >
          where
        </Button>
      )}
    </Flex>
  )
}

/** Its rulings. */
export function Screens({ name, facts }: { readonly name: string; readonly facts: FilmFacts | undefined }) {
  if (!facts) return null
  if (facts.halftones.length === 0) return <Box color="soft">{facts.grain > 0 ? 'random dots' : 'flat'}</Box>
  return facts.halftones.map((h) => {
    const reasons = [
      ARTWORK.because('READ_RULING', {
        ruling: q('ruling', h.ruling),
        angle: q('turn', h.angle),
        area: q('area', h.area),
        least: q('share', h.tints[0]),
        most: q('share', h.tints[1]),
        confidence: q('share', h.confidence),
      }),
    ]
    return (
      <Box key={`${h.ruling} ${h.angle}`} whiteSpace="nowrap">
        <Big>
          <AskNumber label={`Ruling of ${name}`} reasons={reasons}>
            <Measure kind="ruling" value={h.ruling} />
          </AskNumber>
        </Big>{' '}
        <Measure kind="turn" value={h.angle} /> {h.shape === 'dots' ? '' : h.shape}
        {!h.sure && <Box fontWeight="650">not sure</Box>}
        <Box>
          <AskNumber label={`Ruling of ${name}, in the other unit`} reasons={reasons}>
            <InOtherUnit kind="ruling" value={h.ruling} />
          </AskNumber>
        </Box>
      </Box>
    )
  })
}
