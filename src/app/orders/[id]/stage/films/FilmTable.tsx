import { Box, Flex } from '@chakra-ui/react'
import { Eye, EyeOff, X } from 'lucide-react'
import { isLaid, type SetFacts } from '@/core/artwork'
import type { InkColour } from '@/core/order'
import { Button } from '@/ui/elements'
import { Table, TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { Swatch } from '@/ui/Swatch'
import { BASE_HEX } from '../../../../films/paints'
import { saidOf } from './answers'
import { Coverage, Inked, Resolution, Screens, Thinnest } from './filmCells'
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
  const sized = films.filter(isLaid)
  return (
    <Table mt="3" minWidth={{ base: '46rem', lg: '0' }} css={{ '& td': { verticalAlign: 'middle' } }}>
      <thead>
        <tr>
          <th style={{ width: '2rem' }}>
            <Box srOnly>Shown</Box>
          </th>
          <th style={{ width: '10rem' }}>Colour</th>
          <th style={{ width: '24%' }}>File</th>
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
          const own = isLaid(film) ? facts?.facts[sized.indexOf(film)] : undefined
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
                {saidOf(film).map(([says, back]) => (
                  <Flex key={says} gap="1.5" fontSize="small" color="soft">
                    {says}
                    <TextButton
                      aria-label={`Take back: ${says}, ${film.name}`}
                      onClick={() => void desk.correct(film.id, back)}
                    >
                      take back
                    </TextButton>
                  </Flex>
                ))}
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
