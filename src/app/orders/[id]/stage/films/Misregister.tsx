import { Box, Flex } from '@chakra-ui/react'
import { type ReactNode, useMemo, useState } from 'react'
import { because, q } from '@/core/advice'
import { type PairFacts, type Push, READING_RULES, STILL } from '@/core/artwork'
import type { InkColour } from '@/core/order'
import { registrationBudget } from '@/core/registration'
import type { Reading } from '@/store/films'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Table } from '@/ui/Section'
import { filmName } from './PushBar'
import { Typed } from './Typed'
import type { FilmsDesk } from './useFilms'
import { useMeasure } from './useMeasure'

interface Props {
  readonly desk: FilmsDesk
  readonly inks: readonly InkColour[]
  readonly reading: Reading
  readonly pushes: Readonly<Record<string, Push>>
}

/** How each two films meet, what opens when one is pushed, and what a miss of a given size would show. */
export function Misregister({ desk, inks, reading, pushes }: Props) {
  const films = (desk.table?.films ?? []).filter((f) => reading.films.includes(f.id))
  const print = reading.print
  const budget = useMemo(() => registrationBudget(print?.width ?? 0, print?.height ?? 0), [print])
  const [tolerance, setTolerance] = useState(Math.round(budget.miss * 1e5) / 1e5)
  const base = films.findIndex((f) => f.ink === 'base')
  const pushed = films.some((f) => pushes[f.id] && pushes[f.id] !== STILL)
  const question = {
    tolerance,
    ...(base < 0 ? {} : { base }),
    ...(pushed ? { pushes: films.map((f) => pushes[f.id] ?? STILL) } : {}),
  }
  const measured = useMeasure(desk.base, desk.table?.set.key ?? '', question)
  const nameOf = (i: number) => {
    const film = films[i]
    return film ? filmName(film, inks) : ''
  }
  const met = reading.pairs.filter((p) => p.how !== 'apart' && p.a !== base && p.b !== base)
  const is = (p: PairFacts) => (x: { readonly a: number; readonly b: number }) => x.a === p.a && x.b === p.b
  if (films.length < 2) return null
  return (
    <Box mt="5">
      <Flex justify="flex-end" align="end" gap="4" mb="2">
        <Box fontSize="0.9rem" color="soft" pb="1">
          to expect at the corners:{' '}
          <AskNumber label="Registration to expect" reasons={budget.reasons}>
            <Measure kind="fine" value={budget.miss} />
          </AskNumber>
        </Box>
        <Typed label="The press misses by" kind="fine" value={tolerance} onSay={setTolerance} />
      </Flex>
      <Table>
        <thead>
          <tr>
            <th>Where films meet</th>
            <th>How</th>
            <th className="num">Trap or gap</th>
            <th className="num">Shows at that miss</th>
            <th className="num">Wants more</th>
            <th className="num">{pushed ? 'Opened by the push' : <Box srOnly>Opened by a push</Box>}</th>
          </tr>
        </thead>
        <tbody>
          {met.map((p) => {
            const shown = measured?.exposed.find(is(p))
            const opened = measured?.opened.find(is(p))
            const label = `${nameOf(p.a)} and ${nameOf(p.b)}`
            return (
              <tr key={label}>
                <td>{label}</td>
                <td>{p.how}</td>
                <td className="num">
                  {p.trap && (
                    <AskNumber
                      label={`Trap of ${label}`}
                      reasons={[
                        because(READING_RULES, 'READ_TRAP', {
                          least: q('fine', p.trap.least),
                          median: q('fine', p.trap.median),
                          most: q('fine', p.trap.most),
                        }),
                      ]}
                    >
                      <Strong>
                        <Measure kind="fine" value={p.trap.median} />
                      </Strong>
                    </AskNumber>
                  )}
                </td>
                <td className="num">
                  {shown && (
                    <AskNumber
                      label={`What ${label} would show`}
                      reasons={[
                        because(READING_RULES, 'READ_EXPOSED', {
                          tolerance: q('fine', tolerance),
                          cloth: q('share', shown.cloth),
                          base: q('share', shown.base),
                          more: q('fine', shown.more),
                        }),
                      ]}
                    >
                      {shown.cloth + shown.base === 0 ? (
                        'nothing'
                      ) : (
                        <Strong>
                          {shown.cloth > 0 && (
                            <>
                              cloth <Measure kind="share" value={shown.cloth} />
                            </>
                          )}
                          {shown.cloth > 0 && shown.base > 0 && ', '}
                          {shown.base > 0 && (
                            <>
                              base <Measure kind="share" value={shown.base} />
                            </>
                          )}
                        </Strong>
                      )}
                    </AskNumber>
                  )}
                </td>
                <td className="num">
                  {shown && shown.more > 0 && shown.cloth + shown.base > 0 && (
                    <Measure kind="fine" value={shown.more} />
                  )}
                </td>
                <td className="num">
                  {pushed && opened && (
                    <AskNumber
                      label={`Gap of ${label}`}
                      reasons={[
                        because(READING_RULES, 'READ_OPENED', {
                          open: q('length', opened.open),
                          edge: q('length', opened.edge),
                          widest: q('fine', opened.widest),
                        }),
                      ]}
                    >
                      {opened.widest > 0 ? (
                        <Strong>
                          <Measure kind="fine" value={opened.widest} />
                        </Strong>
                      ) : (
                        'closed'
                      )}
                    </AskNumber>
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </Table>
    </Box>
  )
}

const Strong = ({ children }: { readonly children: ReactNode }) => (
  <Box as="span" fontSize="1.15rem" fontWeight="650">
    {children}
  </Box>
)
