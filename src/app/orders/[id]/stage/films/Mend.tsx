import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { PairFacts } from '@/core/artwork'
import { registrationBudget } from '@/core/registration'
import type { Reading, StoredFilm } from '@/store/films'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { wrongIn } from '../../../../acts/wrong'
import { Labelled, Typed } from './Typed'
import type { OnBase } from './useBase'
import type { FilmsDesk } from './useFilms'

interface Props {
  readonly desk: FilmsDesk
  readonly reading: Reading
  readonly films: readonly StoredFilm[]
  readonly nameOf: (film: number) => string
  readonly under: OnBase | undefined
}

interface Told {
  readonly token: string
  readonly before: PairFacts['trap']
  readonly after: PairFacts['trap']
  readonly holds: boolean
}

/** Rounded up to a twentieth of a millimetre. */
const rounded = (metres: number) => Math.ceil(metres / 0.00005 - 1e-6) * 0.00005

/** Chokes and traps made as wide as the press needs, on a new film; what is offered was read back off it first. */
export function Mend({ desk, reading, films, nameOf, under }: Props) {
  const budget = registrationBudget(reading.print?.width ?? 0, reading.print?.height ?? 0)
  const works = [
    ...(under && under.needing.length > 0
      ? [
          {
            says: 'Choke the base',
            ask: { film: under.base, needing: under.needing },
            by: rounded(budget.direct - 0.00005),
          },
        ]
      : []),
    ...reading.pairs
      .filter((p) => p.a !== under?.base && p.b !== under?.base)
      .filter(
        (p) =>
          p.how === 'touching' || p.how === 'overlapping' || (p.gap && !p.gap.rough && p.gap.least < 0.0005),
      )
      .flatMap((p) =>
        (
          [
            [p.a, p.b],
            [p.b, p.a],
          ] as const
        ).map(([film, into]) => ({
          says: `Spread ${nameOf(film)} under ${nameOf(into)}`,
          ask: { film, into },
          by: rounded(budget.miss),
        })),
      ),
  ]
  const [at, setAt] = useState(0)
  const [said, setBy] = useState<number>()
  const [told, setTold] = useState<Told>()
  const [busy, setBusy] = useState(false)
  const [wrong, setWrong] = useState('')
  const work = works[at] ?? works[0]
  if (!work) return null
  const by = said ?? work.by
  const send = async (use: boolean) => {
    setBusy(true)
    setWrong('')
    const body = JSON.stringify({ ...work.ask, by, use })
    const answer = await fetch(`${desk.base}/mend`, { method: 'POST', body }).catch(() => undefined)
    if (answer?.ok) {
      setTold((await answer.json()) as Told)
      if (use) await desk.correct(films[work.ask.film]?.id ?? '', {})
    } else
      setWrong(answer ? (await wrongIn(answer)).join(' ') : 'The server could not be reached: try again.')
    setBusy(false)
  }
  const other = () => setTold(undefined)
  return (
    <Box mt="5">
      <Box fontWeight="650" mb="1">
        Mend a choke or a trap
      </Box>
      <Flex gap="4" align="end" wrap="wrap">
        <Labelled label="What">
          {(id) => (
            <Select
              id={id}
              value={String(at)}
              onChange={(e) => {
                setAt(Number(e.target.value))
                setBy(undefined)
                other()
              }}
            >
              {works.map((w, i) => (
                <option key={w.says} value={i}>
                  {w.says}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
        <Typed
          label="By"
          kind="fine"
          value={by}
          onSay={(v) => {
            setBy(v)
            other()
          }}
        />
        <PushButton type="button" disabled={busy} onClick={() => void send(false)}>
          {busy ? 'Mending …' : 'Try'}
        </PushButton>
      </Flex>
      {wrong && <Box role="alert">{wrong}</Box>}
      {told && (
        <Flex role="status" aria-label="Mended" gap="4" align="baseline" wrap="wrap" mt="2">
          <Box>
            {told.before ? <Measure kind="fine" value={told.before.median} /> : 'none'} before,{' '}
            <Box as="span" fontSize="title" fontWeight="650">
              {told.after ? <Measure kind="fine" value={told.after.median} /> : 'none'}
            </Box>{' '}
            read back off the new film
            {told.after && (
              <Box as="span" color="soft">
                {' '}
                (<Measure kind="fine" value={told.after.least} /> to{' '}
                <Measure kind="fine" value={told.after.most} />)
              </Box>
            )}
          </Box>
          {told.holds ? (
            <>
              <Link
                href={`${desk.base}/mend?film=${told.token}`}
                prefetch={false}
                download
                textDecoration="underline"
              >
                TIFF
              </Link>
              <Link
                href={`${desk.base}/mend?film=${told.token}&mirrored=1`}
                prefetch={false}
                download
                textDecoration="underline"
              >
                TIFF, mirrored
              </Link>
              <TextButton onClick={() => void send(true)} fontWeight="700">
                Use it, and set the old one aside
              </TextButton>
            </>
          ) : (
            <Box>Narrower than asked for: it is not offered. Parts of the art are too thin for it.</Box>
          )}
        </Flex>
      )}
    </Box>
  )
}
