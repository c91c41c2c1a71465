import { Box, Flex } from '@chakra-ui/react'
import { Eye, EyeOff, X } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { q } from '@/core/advice'
import { ARTWORK, colourOf, type Detail, type FilmFacts, type Rectangle, type SetFacts } from '@/core/artwork'
import type { InkColour } from '@/core/order'
import { readNumber } from '@/core/quantity'
import type { StoredFilm } from '@/store/films'
import { AskNumber } from '@/ui/AskNumber'
import { Button, Input } from '@/ui/elements'
import { InOtherUnit, Measure } from '@/ui/Measure'
import { Table } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { Swatch } from '@/ui/Swatch'
import { BASE_HEX } from '../../../../films/paints'
import type { FilmsDesk } from './useFilms'

interface Props {
  readonly desk: FilmsDesk
  readonly inks: readonly InkColour[]
  readonly facts: Pick<SetFacts, 'facts' | 'print'> | undefined
  readonly hidden: ReadonlySet<string>
  readonly onHide: (film: string) => void
  readonly onSpot: (spot: { readonly x: number; readonly y: number }) => void
}

/** One line for each film: whose colour, how much it prints, how fine it is. */
export function FilmTable({ desk, inks, facts, hidden, onHide, onSpot }: Props) {
  const films = desk.table?.films ?? []
  const sized = films.filter((f) => f.dpi !== undefined)
  return (
    <Table mt="3" css={{ '& td': { verticalAlign: 'middle' } }}>
      <thead>
        <tr>
          <th style={{ width: '2rem' }}>
            <Box srOnly>Shown</Box>
          </th>
          <th style={{ width: '11rem' }}>Colour</th>
          <th>File</th>
          <th className="num">Coverage</th>
          <th className="num">Thinnest line</th>
          <th className="num">Thinnest gap</th>
          <th className="num">Halftone</th>
          <th style={{ width: '2rem' }}>
            <Box srOnly>Remove</Box>
          </th>
        </tr>
      </thead>
      <tbody>
        {films.map((film) => {
          const own = facts?.facts[sized.indexOf(film)]
          const ink = inks.find((i) => i.id === film.ink)
          const shown = !hidden.has(film.id)
          return (
            <tr key={film.id}>
              <td>
                <Button
                  type="button"
                  cursor="pointer"
                  aria-label={`Show ${film.name}`}
                  aria-pressed={shown}
                  onClick={() => onHide(film.id)}
                >
                  {shown ? <Eye size={17} /> : <EyeOff size={17} />}
                </Button>
              </td>
              <td>
                <Flex gap="2" align="center">
                  <Swatch hex={film.ink === 'base' ? BASE_HEX : (ink?.hex ?? '#808080')} />
                  <Select
                    aria-label={`Colour of ${film.name}`}
                    value={film.ink}
                    fontWeight="650"
                    onChange={(e) => void desk.correct(film.id, { ink: e.target.value })}
                  >
                    <option value="">which colour?</option>
                    <option value="base">Base</option>
                    {inks.map((i) => (
                      <option key={i.id} value={i.id}>
                        {i.name || i.id}
                      </option>
                    ))}
                  </Select>
                </Flex>
              </td>
              <td>
                <Box fontSize="small" maxWidth="13rem" overflowWrap="anywhere">
                  {film.name}
                </Box>
                {own && <Inked name={film.name} facts={own} />}
                <Resolution film={film} onSay={(dpi) => void desk.correct(film.id, { dpi })} />
                {own?.negative && (
                  <Button
                    type="button"
                    fontSize="small"
                    textDecoration="underline"
                    cursor="pointer"
                    onClick={() => void desk.correct(film.id, { negative: false })}
                  >
                    read as a negative: it is none
                  </Button>
                )}
              </td>
              <td className="num">
                {own && facts?.print && <Coverage name={film.name} facts={own} print={facts.print} />}
              </td>
              <td className="num">
                <Thinnest
                  rule="READ_LINE"
                  label={`Thinnest line of ${film.name}`}
                  detail={own?.line}
                  onSpot={onSpot}
                />
              </td>
              <td className="num">
                <Thinnest
                  rule="READ_GAP"
                  label={`Thinnest gap of ${film.name}`}
                  detail={own?.gap}
                  onSpot={onSpot}
                />
              </td>
              <td className="num">
                <Screens name={film.name} facts={own} />
              </td>
              <td>
                <Button
                  type="button"
                  cursor="pointer"
                  aria-label={`Remove ${film.name}`}
                  onClick={() => void desk.remove(film.id)}
                >
                  <X size={16} />
                </Button>
              </td>
            </tr>
          )
        })}
      </tbody>
    </Table>
  )
}

/** Pixels an inch, asked for when the file does not say. */
function Resolution({ film, onSay }: { readonly film: StoredFilm; readonly onSay: (dpi: number) => void }) {
  const [text, setText] = useState('')
  if (film.dpi !== undefined)
    return film.raster ? (
      <Box color="soft" fontSize="small">
        {Math.round(film.dpi)} dpi
      </Box>
    ) : null
  const say = () => {
    const read = readNumber(text)
    const said = read.ok ? read.value : 0
    // A drawing without a size counts in shares of its height: what is typed is the height in millimetres.
    if (said > 0) onSay(film.raster ? said : 25.4 / said)
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
        onChange={(e) => setText(e.target.value)}
        onBlur={say}
        onKeyDown={(e) => e.key === 'Enter' && say()}
      />
      {film.raster ? 'dpi? The file does not say' : 'mm high? The file does not say'}
    </Flex>
  )
}

const Big = ({ children }: { readonly children: ReactNode }) => (
  <Box as="span" fontSize="lead" fontWeight="650">
    {children}
  </Box>
)

/** Size and ink of the film; where its middle lies is in the answer. */
function Inked({ name, facts: { box, inkArea } }: { readonly name: string; readonly facts: FilmFacts }) {
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

function Coverage({
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

function Thinnest({
  rule,
  label,
  detail,
  onSpot,
}: {
  readonly rule: 'READ_LINE' | 'READ_GAP'
  readonly label: string
  readonly detail: Detail | undefined
  readonly onSpot: Props['onSpot']
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

function Screens({ name, facts }: { readonly name: string; readonly facts: FilmFacts | undefined }) {
  if (!facts) return null
  if (facts.halftones.length === 0) return <Box color="soft">flat</Box>
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
        <Box>
          <AskNumber label={`Ruling of ${name}, in the other unit`} reasons={reasons}>
            <InOtherUnit kind="ruling" value={h.ruling} />
          </AskNumber>
        </Box>
      </Box>
    )
  })
}
