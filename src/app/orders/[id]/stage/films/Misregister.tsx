import { Box, chakra, Flex } from '@chakra-ui/react'
import { type ReactNode, useId, useState } from 'react'
import { because, q } from '@/core/advice'
import { type PairFacts, type Push, READING_RULES, STILL } from '@/core/artwork'
import type { InkColour } from '@/core/order'
import { type Kind, parseQuantity, writeQuantity } from '@/core/quantity'
import type { Reading } from '@/store/films'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Table, TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { useSettings } from '@/ui/settings'
import type { FilmsDesk } from './useFilms'
import { useMeasure } from './useMeasure'

const Input = chakra('input')
/** Two pixels at 300 dpi: what a good hand holds on a small print. */
const USUAL = 0.00017

interface Props {
  readonly desk: FilmsDesk
  readonly inks: readonly InkColour[]
  readonly reading: Reading
  readonly pushing: string | undefined
  readonly onChoose: (film: string | undefined) => void
  readonly pushes: Readonly<Record<string, Push>>
  readonly onPushes: (pushes: Readonly<Record<string, Push>>) => void
}

/** How each two films meet, what opens when one is pushed, and what a miss of a given size would show. */
export function Misregister({ desk, inks, reading, pushing, onChoose, pushes, onPushes }: Props) {
  const films = (desk.table?.films ?? []).filter((f) => reading.films.includes(f.id))
  const [tolerance, setTolerance] = useState(USUAL)
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
    return film?.ink === 'base' ? 'Base' : (inks.find((x) => x.id === film?.ink)?.name ?? film?.name ?? '')
  }
  const own = pushing === undefined ? undefined : (pushes[pushing] ?? STILL)
  const set = (change: Partial<Push>) =>
    pushing !== undefined && own && onPushes({ ...pushes, [pushing]: { ...own, ...change } })
  const met = reading.pairs.filter((p) => p.how !== 'apart' && p.a !== base && p.b !== base)
  const is = (p: PairFacts) => (x: { readonly a: number; readonly b: number }) => x.a === p.a && x.b === p.b
  if (films.length < 2) return null
  return (
    <Box mt="5">
      <Flex gap="5" align="end" wrap="wrap" mb="2">
        <Labelled label="Push on the table">
          {(id) => (
            <Select
              id={id}
              value={pushing ?? ''}
              onChange={(e) => onChoose(e.target.value || undefined)}
              width="11rem"
            >
              <option value="">nothing</option>
              {films.map((f, i) => (
                <option key={f.id} value={f.id}>
                  {nameOf(i)}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
        {own && (
          <>
            <Typed label="Right" kind="fine" value={own.dx} onSay={(dx) => set({ dx })} />
            <Typed label="Down" kind="fine" value={own.dy} onSay={(dy) => set({ dy })} />
            <Typed label="Turn" kind="turn" value={own.rotation} onSay={(rotation) => set({ rotation })} />
          </>
        )}
        {pushed && <TextButton onClick={() => onPushes({})}>Lay all straight</TextButton>}
        <Box ml="auto">
          <Typed label="The press misses by" kind="fine" value={tolerance} onSay={setTolerance} />
        </Box>
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

function Labelled({
  label,
  children,
}: {
  readonly label: string
  readonly children: (id: string) => ReactNode
}) {
  const id = useId()
  return (
    <Box>
      <chakra.label htmlFor={id} display="block" fontSize="0.82rem" color="soft">
        {label}
      </chakra.label>
      {children(id)}
    </Box>
  )
}

/** A small quantity to type; what cannot be read stays marked and changes nothing. */
function Typed({
  label,
  kind,
  value,
  onSay,
}: {
  readonly label: string
  readonly kind: Kind
  readonly value: number
  readonly onSay: (value: number) => void
}) {
  const { units } = useSettings()
  const [text, setText] = useState<string>()
  const [wrong, setWrong] = useState('')
  const say = () => {
    if (text === undefined) return
    const read = parseQuantity(kind, text, units)
    if (!read.ok) return setWrong(read.message)
    setWrong('')
    setText(undefined)
    onSay(read.value)
  }
  return (
    <Labelled label={label}>
      {(id) => (
        <>
          <Input
            id={id}
            width="6rem"
            bg="raised"
            px="1.5"
            py="1"
            borderBottom="1px solid"
            borderColor="soft"
            textAlign="right"
            aria-invalid={wrong !== ''}
            title={wrong}
            value={text ?? writeQuantity(kind, value, units)}
            onChange={(e) => setText(e.target.value)}
            onBlur={say}
            onKeyDown={(e) => e.key === 'Enter' && say()}
          />
          {wrong && (
            <Box role="alert" fontSize="0.82rem">
              {wrong}
            </Box>
          )}
        </>
      )}
    </Labelled>
  )
}
