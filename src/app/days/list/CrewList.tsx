'use client'

import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import type { LaneRun } from '@/core/days'
import { isThere, type Person } from '@/core/equipment'
import type { Moment } from '@/core/schedule'
import { AskNumber } from '@/ui/AskNumber'
import { Day } from '@/ui/day'
import { Link, PageTitle } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { Section, TextButton } from '@/ui/Section'
import { Swatch } from '@/ui/Swatch'
import { AskFrame } from '../../AskFrame'
import type { CrewDay } from '../crew'
import { clockWords, lateWords } from '../said'

interface Props {
  readonly shopName: string
  readonly list: CrewDay
  readonly people: readonly Person[]
  /** Days with work on either side. */
  readonly before: string | undefined
  readonly next: string | undefined
}

/** What is done on a day, place by place: one page to hang up. */
export function CrewList({ shopName, list, people, before, next }: Props) {
  const midnight = Date.parse(`${list.day}T00:00Z`) / 1000
  const at = (moment: Moment) => clockWords(moment, midnight)
  const who = (ids: readonly string[]) =>
    ids.map((id) => people.find((p) => p.id === id)?.name ?? id).join(' with ')
  const away = people.filter((p) => !isThere(p, list.day))
  return (
    <AskFrame shopName={shopName}>
      <Flex align="baseline" gap="4" mb="3" wrap="wrap">
        <PageTitle>
          <Day at={list.day} as="EEEE d MMMM" />
        </PageTitle>
        <Flex gap="3" className="no-print" textDecoration="underline" textUnderlineOffset="3px">
          {before && <Link href={`/days/list?day=${before}`}>← the day before</Link>}
          {next && <Link href={`/days/list?day=${next}`}>the next day →</Link>}
        </Flex>
        <Flex gap="4" ml="auto" className="no-print">
          <Link
            href="/api/days.csv"
            prefetch={false}
            download
            textDecoration="underline"
            textUnderlineOffset="3px"
          >
            CSV
          </Link>
          <TextButton onClick={() => window.print()}>Print</TextButton>
        </Flex>
      </Flex>
      {away.length > 0 && (
        <Box mb="3">
          <b>Away:</b> {away.map((p) => p.name).join(', ')}
        </Box>
      )}
      <Box css={{ '@media print': { fontSize: '9pt', '& section': { mb: '3', breakInside: 'avoid' } } }}>
        {list.presses.map((press) => (
          <Section
            key={press.id}
            title={press.name}
            side={
              <Link
                className="no-print"
                href={`/api/days.ics?press=${press.id}`}
                prefetch={false}
                download
                textDecoration="underline"
                textUnderlineOffset="3px"
              >
                Calendar of {press.name}
              </Link>
            }
          >
            {press.runs.length === 0 && <Box color="soft">nothing planned</Box>}
            {press.runs.map((run) => (
              <Row key={run.facts.runId} time={`${at(run.setUp)}–${at(run.end)}`} run={run}>
                {run.crew.length > 0 && <b>{who(run.crew)}: </b>}
                {run.facts.pieces - run.short} pieces{run.short > 0 && ` (${run.short} came short)`}, printing
                from {at(run.start)}
                {run.pace < 1 && `, at ${Math.round(100 * run.pace)} % of its pace`}
                {run.late > 0 && <b> ▲ {lateWords(run.late)}</b>}
              </Row>
            ))}
          </Section>
        ))}
        <Section title="Screen room">
          {list.screens.length === 0 && <Box color="soft">no screen to make</Box>}
          {list.screens.map(({ run, by, make }) => (
            <Row key={run.facts.runId} time={`by ${at(by)}`} run={run}>
              {make} {make === 1 ? 'screen' : 'screens'}
            </Row>
          ))}
        </Section>
        <Section title="Ink room">
          {list.inks.length === 0 && <Box color="soft">no ink to have ready</Box>}
          {list.inks.map(({ run, by, needs }) => (
            <Row key={run.facts.runId} time={`by ${at(by)}`} run={run}>
              {needs.map(({ name, mass }, i) => (
                <span key={name}>
                  {i > 0 && ', '}
                  {name} <Measure kind="mass" value={mass} />
                </span>
              ))}
            </Row>
          ))}
        </Section>
        {people.length > 0 && (
          <Box className="no-print">
            <Section title="Calendars of people">
              <Flex columnGap="4" rowGap="1" wrap="wrap">
                {people.map(({ id, name }) => (
                  <Link
                    key={id}
                    href={`/api/days.ics?person=${id}`}
                    prefetch={false}
                    download
                    aria-label={`Calendar of ${name}`}
                    textDecoration="underline"
                    textUnderlineOffset="3px"
                  >
                    {name}
                  </Link>
                ))}
              </Flex>
            </Section>
          </Box>
        )}
      </Box>
    </AskFrame>
  )
}

/** When, what, and what is to be done for it. */
function Row({
  time,
  run,
  children,
}: {
  readonly time: string
  readonly run: LaneRun
  readonly children: ReactNode
}) {
  return (
    <Flex gap="3" align="baseline" py="1" borderBottom="1px solid" borderColor="rule" wrap="wrap">
      <Box flex="none" minWidth="8.5rem" fontSize="lead" fontWeight="650">
        <AskNumber label={`${run.facts.words}: ${time}`} reasons={run.why}>
          {time}
        </AskNumber>
      </Box>
      <Flex gap="2" align="baseline" flex="1" minWidth="12rem">
        <Swatch hex={run.facts.cloth} size={12} />
        <Link href={`/orders/${run.facts.orderId}/run`} _hover={{ textDecoration: 'underline' }}>
          <b>{run.facts.words}</b>{' '}
          <Box as="span" color="soft">
            {run.facts.orderId} {run.facts.print}
          </Box>
        </Link>
      </Flex>
      <Box flex="1" minWidth="12rem">
        {children}
      </Box>
    </Flex>
  )
}
