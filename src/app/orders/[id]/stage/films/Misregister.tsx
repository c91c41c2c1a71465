import { Box, Flex } from '@chakra-ui/react'
import { type ReactNode, useMemo, useState } from 'react'
import { q, type Reason } from '@/core/advice'
import {
  ARTWORK,
  areaKind,
  type ExposureFacts,
  type OpenedFacts,
  type PairFacts,
  type PeepingFacts,
  type Push,
  STILL,
} from '@/core/artwork'
import type { InkColour } from '@/core/order'
import type { Length } from '@/core/quantity'
import { registrationBudget } from '@/core/registration'
import type { Reading } from '@/store/films'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Table } from '@/ui/Section'
import { filmName } from './PushBar'
import { Typed } from './Typed'
import { useBase } from './useBase'
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
  const under = useBase(films, inks)
  const pushed = films.some((f) => pushes[f.id] && pushes[f.id] !== STILL)
  const measured = useMeasure(desk.base, desk.table?.set.key ?? '', {
    tolerance,
    ...(under && { base: under.base, needing: under.needing }),
    ...(pushed && { pushes: films.map((f) => pushes[f.id] ?? STILL) }),
  })
  const nameOf = (i: number) => {
    const film = films[i]
    return film ? filmName(film, inks) : ''
  }
  const colours = reading.pairs.filter((p) => p.a !== under?.base && p.b !== under?.base)
  const pairs = [
    ...colours.filter((p) => p.how !== 'apart'),
    ...colours.filter((p) => p.how === 'apart' && p.gap),
  ]
  const of = (p: PairFacts) => (x: { readonly a: number; readonly b: number }) => x.a === p.a && x.b === p.b
  if (films.length < 2) return null
  return (
    <Box mt="5">
      <Flex justify="flex-end" align="end" gap="4" mb="2">
        <Box fontSize="small" color="soft" pb="1">
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
          {measured?.peeping && <BaseRow peeping={measured.peeping} tolerance={tolerance} />}
          {pairs.map((p) => (
            <PairRow
              key={`${p.a} ${p.b}`}
              pair={p}
              label={`${nameOf(p.a)} and ${nameOf(p.b)}`}
              tolerance={tolerance}
              exposed={measured?.exposed.find(of(p))}
              opened={pushed ? measured?.opened.find(of(p)) : undefined}
            />
          ))}
        </tbody>
      </Table>
    </Box>
  )
}

/** The base under all colours that need it, as one line beside the pairs of colours. */
function BaseRow({ peeping, tolerance }: { readonly peeping: PeepingFacts; readonly tolerance: Length }) {
  const { base, more } = peeping
  return (
    <tr>
      <td>Base under its colours</td>
      <td>choked</td>
      <td />
      <td className="num">
        <AskNumber
          label="What the base would show"
          reasons={[
            ARTWORK.because('READ_PEEPING', {
              tolerance: q('fine', tolerance),
              base: q('share', base),
              more: q('fine', more),
            }),
          ]}
        >
          <Shows parts={[['base', base]]} />
        </AskNumber>
      </td>
      <td className="num">{base > 0 && more > 0 && <More value={more} what="choke" />}</td>
      <td />
    </tr>
  )
}

interface PairProps {
  readonly pair: PairFacts
  readonly label: string
  readonly tolerance: Length
  readonly exposed: ExposureFacts | undefined
  readonly opened: OpenedFacts | undefined
}

function PairRow({ pair, label, tolerance, exposed, opened }: PairProps) {
  // Where colours fade into each other there is no edge that a trap could hold.
  const shown = pair.how === 'blending' || pair.how === 'apart' ? undefined : exposed
  return (
    <tr>
      <td>{label}</td>
      <td>{pair.how}</td>
      <td className="num">
        <Met pair={pair} label={label} />
      </td>
      <td className="num">
        {shown && (
          <AskNumber
            label={`What ${label} would show`}
            reasons={[
              ARTWORK.because('READ_EXPOSED', {
                tolerance: q('fine', tolerance),
                cloth: q('share', shown.cloth),
                base: q('share', shown.base),
                more: q('fine', shown.more),
              }),
            ]}
          >
            <Shows
              parts={[
                ['cloth', shown.cloth],
                ['base', shown.base],
              ]}
            />
          </AskNumber>
        )}
      </td>
      <td className="num">
        {shown && shown.more > 0 && shown.cloth + shown.base > 0 && <More value={shown.more} what="trap" />}
      </td>
      <td className="num">
        {opened && (
          <AskNumber
            label={`Gap of ${label}`}
            reasons={[
              ARTWORK.because('READ_OPENED', {
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
}

/** What is read where two films meet: the trap, the clear gap, or the area both print. */
function Met({ pair: { trap, gap, how, overlap }, label }: Pick<PairProps, 'pair' | 'label'>) {
  const area = q(areaKind(overlap), overlap)
  const ask = (what: string, reason: Reason, number: ReactNode) => (
    <AskNumber label={`${what} of ${label}`} reasons={[reason]}>
      {number}
    </AskNumber>
  )
  if (trap)
    return ask(
      'Trap',
      ARTWORK.because('READ_TRAP', {
        least: q('fine', trap.least),
        median: q('fine', trap.median),
        most: q('fine', trap.most),
        widest: q('fine', trap.widest),
        area,
      }),
      <Strong>
        <Measure kind="fine" value={trap.median} />
      </Strong>,
    )
  if (gap)
    return ask(
      'Distance',
      ARTWORK.because(gap.rough ? 'READ_ROUGH' : 'READ_APART', {
        gap: q(gap.rough ? 'length' : 'fine', gap.least),
      }),
      <>
        {gap.rough && 'about '}
        <Measure kind={gap.rough ? 'length' : 'fine'} value={gap.least} />
      </>,
    )
  if (how === 'touching') return null
  return ask(
    'Overlap',
    ARTWORK.because('READ_OVERLAP', { area }),
    <Measure kind={areaKind(overlap)} value={overlap} />,
  )
}

const Shows = ({ parts }: { readonly parts: readonly (readonly [string, number])[] }) => {
  const some = parts.filter(([, share]) => share > 0)
  if (some.length === 0) return <>nothing</>
  return (
    <Strong>
      {some.map(([what, share], i) => (
        <Box as="span" key={what}>
          {i > 0 && ', '}
          {what} <Measure kind="share" value={share} />
        </Box>
      ))}
    </Strong>
  )
}

const More = ({ value, what }: { readonly value: Length; readonly what: string }) => (
  <>
    <Measure kind="fine" value={value} />{' '}
    <Box as="span" color="soft">
      {what}
    </Box>
  </>
)

const Strong = ({ children }: { readonly children: ReactNode }) => (
  <Box as="span" fontSize="lead" fontWeight="650">
    {children}
  </Box>
)
