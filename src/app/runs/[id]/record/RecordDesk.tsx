'use client'

import { Box, Flex } from '@chakra-ui/react'
import { format } from 'date-fns'
import { useMemo } from 'react'
import { type Account, type Against, accountReasons, recordNames } from '@/core/plan'
import { type Kind, keysOf, writeQuantity } from '@/core/quantity'
import { fold, PAUSED_BY, type PressEvent, SPOILED_BY, saidOf, sayEvent } from '@/core/record'
import type { SheetFacts } from '@/formats/sheet'
import { AskNumber } from '@/ui/AskNumber'
import { useSayDay } from '@/ui/day'
import { Link, PageTitle } from '@/ui/elements'
import { Headline } from '@/ui/parts'
import { Folded, Section, Table } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { AskFrame } from '../../../AskFrame'
import { SetAtPress } from './SetAtPress'
import { ThroughChart } from './ThroughChart'

interface Props {
  readonly facts: SheetFacts
  readonly account: Account | undefined
  readonly events: readonly PressEvent[]
}

/** A run as it was lived: minutes, pace, spoils, ink, readings and changes beside the plan. */
export function RecordDesk({ facts: { plan, order, shopName }, account, events }: Props) {
  const { units } = useSettings()
  const sayDay = useSayDay()
  const { said } = useMemo(() => fold(events), [events])
  const names = useMemo(() => recordNames(plan, units), [plan, units])
  return (
    <AskFrame shopName={shopName}>
      <Flex gap="4" align="baseline" wrap="wrap" mb="4">
        <PageTitle>Record</PageTitle>
        <Box>
          {order.customer}, {order.title}, {plan.run.id}, {plan.press.name}
          {account && `, ${sayDay(account.on, 'EEE d MMM yyyy')}`}
          {account && account.people.length > 0 && `, ${account.people.join(', ')}`}
        </Box>
        <Flex gap="4" ml="auto">
          <Link href={`/runs/${plan.run.id}/press`} prefetch={false} textDecoration="underline">
            At the press
          </Link>
          <Link href={`/orders/${order.id}/run?run=${plan.run.id}`} textDecoration="underline">
            The order
          </Link>
          <Link href="/record" textDecoration="underline">
            All runs
          </Link>
        </Flex>
      </Flex>
      {account ? (
        <Told account={account} />
      ) : (
        <Box color="soft">Nothing was said of this run at the press yet.</Box>
      )}
      {account && account.through.length > 1 && (
        <Section title="Pieces through, by time">
          <ThroughChart account={account} />
        </Section>
      )}
      <SetAtPress plan={plan} said={said} names={names} />
      <Samples said={said} />
      <Folded title="Everything that was said" says={`${said.length} entries`}>
        <Table>
          <tbody>
            {said.map((e) => (
              <tr key={e.id}>
                <td className="num">{format(new Date(e.at), 'HH:mm')}</td>
                <td>{sayEvent(e, names, units)}</td>
                <td>{e.by ?? ''}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Folded>
    </AskFrame>
  )
}

/** By how much, in words: "12 % more", "as planned". */
function against({ planned, was }: Against): string {
  const share = Math.round((was / planned - 1) * 100)
  return share === 0 ? 'as planned' : `${Math.abs(share)} % ${share > 0 ? 'more' : 'less'} than planned`
}

function Told({ account }: { readonly account: Account }) {
  const reasons = accountReasons(account)
  const shown = [
    ['Set-up', 'workTime', account.setup, reasons.setup],
    ['Printing', 'workTime', account.printing, reasons.pace],
    ['Pace', 'rate', account.pace, reasons.pace],
  ] as const satisfies readonly (readonly [string, Kind, Against | undefined, unknown])[]
  const { units } = useSettings()
  const pauses = keysOf(PAUSED_BY).filter((cause) => (account.pauses[cause] ?? 0) > 0)
  const causes = keysOf(SPOILED_BY).filter((cause) => (account.causes[cause] ?? 0) > 0)
  const weighed = account.ink.filter((i) => i.left !== undefined)
  return (
    <>
      <Flex gap="8" rowGap="4" wrap="wrap" mb="6">
        <Headline label={`Good, of ${account.ordered} ordered`}>{account.good}</Headline>
        <Headline label="Spoiled">{account.spoiled}</Headline>
        {shown.map(([label, kind, value, why]) =>
          value ? (
            <Headline key={label} label={label}>
              <AskNumber label={label} reasons={why}>
                {writeQuantity(kind, value.was, units)}
              </AskNumber>
              <Box fontSize="small" fontWeight="400" color="soft">
                planned {writeQuantity(kind, value.planned, units)}, {against(value)}
              </Box>
            </Headline>
          ) : null,
        )}
        <Headline label="Stood">{writeQuantity('workTime', account.paused, units)}</Headline>
      </Flex>
      <Flex gap="10" wrap="wrap">
        {causes.length > 0 && (
          <Box flex="1 1 16rem" minWidth="0" maxWidth="100%">
            <Section title="Spoiled by">
              <Table>
                <tbody>
                  {causes.map((cause) => (
                    <tr key={cause}>
                      <td>{SPOILED_BY[cause]}</td>
                      <td className="num">{account.causes[cause]}</td>
                    </tr>
                  ))}
                </tbody>
              </Table>
              <Box color="soft" mt="1">
                {account.spoiledWhen[0]} among the first twelve, {account.spoiledWhen[1]} in the first half
                after them, {account.spoiledWhen[2]} in the second.
              </Box>
            </Section>
          </Box>
        )}
        {pauses.length > 0 && (
          <Box flex="1 1 16rem" minWidth="0" maxWidth="100%">
            <Section title="Why it stood">
              <Table>
                <tbody>
                  {pauses.map((cause) => (
                    <tr key={cause}>
                      <td>{PAUSED_BY[cause]}</td>
                      <td className="num">{writeQuantity('workTime', account.pauses[cause] ?? 0, units)}</td>
                    </tr>
                  ))}
                </tbody>
              </Table>
            </Section>
          </Box>
        )}
        {weighed.length > 0 && (
          <Box flex="1 1 16rem" minWidth="0" maxWidth="100%">
            <Section title="Ink">
              <Table>
                <tbody>
                  {weighed.map((i) => (
                    <tr key={i.name}>
                      <td>{i.name}</td>
                      <td className="num">{writeQuantity('mass', i.left ?? 0, units)} left</td>
                      <td className="num">
                        {i.planned !== undefined && `planned ${writeQuantity('mass', i.planned, units)}`}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </Table>
            </Section>
          </Box>
        )}
      </Flex>
    </>
  )
}

function Samples({ said }: { readonly said: ReturnType<typeof fold>['said'] }) {
  const photos = saidOf(said, 'sample').flatMap((s) => s.photos)
  if (photos.length === 0) return null
  return (
    <Section title="Samples">
      <Flex gap="3" wrap="wrap">
        {photos.map((hash) => (
          // biome-ignore lint/performance/noImgElement: it is of this very server, and as large as it is shown
          <img key={hash} src={`/api/photos/${hash}`} alt="Of the sample" width={240} />
        ))}
      </Flex>
    </Section>
  )
}
