import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { DaysNow, Happened, Over } from '@/core/days'
import { WHERES } from '@/core/order'
import { keysOf } from '@/core/quantity'
import { isoOf, type Moment } from '@/core/schedule'
import { Link } from '@/ui/elements'
import { Pick } from '@/ui/given'
import { PushButton } from '@/ui/PushButton'
import { TextButton } from '@/ui/Section'
import { dayWords, type Names } from './said'

type Kind = Happened['kind']
const DAY = 86_400
const dayIn = (now: Moment, days: number): string => isoOf(now + days * DAY).slice(0, 10)

/** What can happen, and for how long: by the clock, nights with it, or by days. */
const KINDS: Readonly<
  Record<
    Kind,
    {
      readonly says: string
      readonly asks: string
      readonly which: string
      readonly lengths: readonly number[]
    }
  >
> = {
  down: {
    ...{ says: 'A press is down', asks: 'From now on, for how long?', which: 'Press' },
    lengths: [7200, 6 * 3600, DAY, 3 * DAY, 7 * DAY],
  },
  away: {
    ...{ says: 'Somebody is away', asks: 'From today, until the end of which day?', which: 'Person' },
    lengths: [0, 1, 2, 6, 13],
  },
  garments: {
    ...{ says: 'Garments come later', asks: 'On which day?', which: 'Order' },
    lengths: [1, 2, 3, 7, 14],
  },
  longer: {
    ...{ says: 'A run takes longer', asks: 'By how much?', which: 'Run' },
    lengths: [1800, 3600, 7200, 4 * 3600, DAY / 3],
  },
}

/** What a length is called on its button. */
function lengthWords(kind: Kind, length: number, now: Moment): string {
  if (kind === 'away' || kind === 'garments') {
    const words = dayWords(dayIn(now, length), now)
    return `${words.charAt(0).toUpperCase()}${words.slice(1)}`
  }
  if (kind === 'down' && length >= DAY)
    return length === DAY ? 'A day' : length === 7 * DAY ? 'A week' : `${length / DAY} days`
  return length < 3600 ? `${length / 60} min` : length === 3600 ? '1 hour' : `${length / 3600} hours`
}

function happenedOf(kind: Kind, id: string, length: number, now: Moment): Happened {
  switch (kind) {
    case 'down':
      return { kind, pressId: id, from: now, to: now + length }
    case 'away':
      return { kind, personId: id, first: dayIn(now, 0), last: dayIn(now, length) }
    case 'garments':
      return { kind, orderId: id, on: dayIn(now, length) }
    case 'longer':
      return { kind, runId: id, by: length }
    default:
      return kind satisfies never
  }
}

type Options = readonly { readonly id: string; readonly name: string }[]

/** Whom or what each can happen to. */
function optionsOf({ asked, lanes }: DaysNow): Readonly<Record<Kind, Options>> {
  const pressOf = (id: string) => asked.shop.presses.find((p) => p.id === id)?.name ?? id
  const open = lanes.runs.filter((r) => !r.isBegun).map(({ facts }) => facts)
  const orders = new Map(open.map((f) => [f.orderId, { id: f.orderId, name: `${f.orderId}, ${f.words}` }]))
  return {
    down: asked.shop.presses.map(({ id, name }) => ({ id, name })),
    away: (asked.shop.people ?? []).map(({ id, name }) => ({ id, name })),
    garments: [...orders.values()],
    // Runs of one job may differ in nothing but their press.
    longer: lanes.runs.map(({ facts: f, pressId }) => ({
      id: f.runId,
      name: `${[f.words, f.where && WHERES[f.where], f.pieces].filter(Boolean).join(', ')} on ${pressOf(pressId)}`,
    })),
  }
}

interface Props {
  readonly now: DaysNow
  /** What it begins with. */
  readonly first: { readonly kind: Kind; readonly id?: string }
  readonly onHappened: (what: Happened) => void
  readonly onLeave: () => void
}

/** Something that came otherwise than planned, to be told in two choices; what can be done follows. */
export function SomethingHappened({ now, first, onHappened, onLeave }: Props) {
  const [kind, setKind] = useState(first.kind)
  const [chosen, setChosen] = useState(first.id)
  const options = optionsOf(now)[kind]
  const id = options.some((o) => o.id === chosen) ? (chosen ?? '') : (options[0]?.id ?? '')
  const { asks, which, lengths } = KINDS[kind]
  const at = now.asked.now
  return (
    <>
      <Flex gap="4" wrap="wrap" align="end">
        <Box width="13rem">
          <Pick
            label="What happened"
            value={kind}
            options={keysOf(KINDS).map((k) => ({ id: k, name: KINDS[k].says }))}
            onPick={(k) => setKind(k as Kind)}
          />
        </Box>
        {options.length > 0 && (
          <Box width="22rem" maxWidth="100%">
            <Pick label={which} value={id} options={options} onPick={setChosen} />
          </Box>
        )}
      </Flex>
      {options.length === 0 ? (
        <Box mt="1.5">
          {kind === 'away' ? (
            <>
              Nobody is named yet:{' '}
              <Link href="/shop/method" textDecoration="underline" fontWeight="550">
                name who works here
              </Link>
              , and the days know who can run what.
            </>
          ) : (
            'There is nothing that it could have happened to.'
          )}
        </Box>
      ) : (
        <>
          <Box mt="1.5">{asks}</Box>
          <Flex gap="2" mt="1" wrap="wrap">
            {lengths.map((length) => (
              <PushButton
                key={length}
                type="button"
                onClick={() => onHappened(happenedOf(kind, id, length, at))}
              >
                {lengthWords(kind, length, at)}
              </PushButton>
            ))}
          </Flex>
        </>
      )}
      <TextButton onClick={onLeave} mt="1.5">
        Nothing happened
      </TextButton>
    </>
  )
}

/** What came otherwise and is still so, each to be taken back. */
export function StillOtherwise({
  now: { kept, asked },
  names,
  onOver,
}: {
  readonly now: DaysNow
  readonly names: Names
  readonly onOver: (what: Over) => void
}) {
  const today = isoOf(asked.now).slice(0, 10)
  const { away = [], garments = [], longer = [] } = kept.otherwise ?? {}
  const wordsOf = (is: (f: DaysNow['asked']['runs'][number]) => boolean) => asked.runs.find(is)?.words
  const all: readonly { readonly says: string; readonly ends: string; readonly what: Over }[] = [
    ...away
      .filter((a) => a.last >= today)
      .map(({ personId, last }) => ({
        says: `${names.who(personId)} is away until the end of ${dayWords(last, asked.now)}.`,
        ...{ ends: 'Is back', what: { kind: 'away' as const, personId } },
      })),
    ...garments.flatMap(({ orderId, on }) => {
      const words = wordsOf((r) => r.orderId === orderId)
      if (words === undefined) return []
      const says = `Garments of ${words}: expected ${dayWords(on, asked.now)}.`
      return [{ says, ends: 'Come as planned', what: { kind: 'garments' as const, orderId } }]
    }),
    ...longer.flatMap(({ runId, by }) => {
      const words = wordsOf((r) => r.runId === runId)
      if (words === undefined) return []
      const says = `${words} takes ${lengthWords('longer', by, asked.now)} longer than its sheet says.`
      return [{ says, ends: 'As planned after all', what: { kind: 'longer' as const, runId } }]
    }),
  ]
  return all.map(({ says, ends, what }) => (
    <Flex key={says} gap="4" align="baseline" mt="1.5" wrap="wrap">
      <Box>{says}</Box>
      <TextButton onClick={() => onOver(what)} aria-label={`${ends}: ${says}`}>
        {ends}
      </TextButton>
    </Flex>
  ))
}
