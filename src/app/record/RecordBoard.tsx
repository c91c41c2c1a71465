'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { type Account, type Against, meanAgainst, timeSpent } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { SPOILED_BY } from '@/core/record'
import { Day } from '@/ui/day'
import { Link, PageTitle } from '@/ui/elements'
import { Pick } from '@/ui/given'
import { Headline } from '@/ui/parts'
import { Section, Table, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { AskFrame } from '../AskFrame'
import { OwnSetup } from './OwnSetup'
import { PaceChart } from './PaceChart'
import { SpoilsChart } from './SpoilsChart'
import { TimeBars } from './TimeBars'

interface Props {
  readonly shopName: string
  /** The last said first. */
  readonly accounts: readonly Account[]
  /** Set-up of a screen that is planned with; none where it is the usual one. */
  readonly planned: number | undefined
}

const ALL = 'all'
const SPANS = { all: 'All of it', '28': 'Last four weeks', '7': 'Last week' } as const
const DAY = 86_400_000
/** Rows at first. */
const SHOWN = 60

/** The record of the shop: filtered by press, by who printed and by how long ago. */
export function RecordBoard({ shopName, accounts, planned }: Props) {
  const { units } = useSettings()
  const [press, setPress] = useState(ALL)
  const [who, setWho] = useState(ALL)
  const [span, setSpan] = useState<keyof typeof SPANS>('all')
  const [every, setEvery] = useState(false)
  const newest = accounts[0]?.on ?? ''
  const shown = useMemo(
    () =>
      accounts.filter(
        (a) =>
          (press === ALL || a.press === press) &&
          (who === ALL || a.people.includes(who)) &&
          (span === 'all' || Date.parse(newest) - Date.parse(a.on) < Number(span) * DAY),
      ),
    [accounts, press, who, span, newest],
  )
  const good = shown.reduce((sum, a) => sum + a.good, 0)
  const spoiled = shown.reduce((sum, a) => sum + a.spoiled, 0)
  const options = (names: readonly string[], all: string) => [
    { id: ALL, name: all },
    ...[...new Set(names)].sort().map((name) => ({ id: name, name })),
  ]
  return (
    <AskFrame shopName={shopName}>
      <Flex gap="4" align="baseline" wrap="wrap" mb="4">
        <PageTitle>Record</PageTitle>
        <Flex gap="4" ml="auto">
          <Link href="/api/record.csv" prefetch={false} textDecoration="underline">
            CSV
          </Link>
          <Link href="/api/record.json" prefetch={false} textDecoration="underline">
            JSON
          </Link>
        </Flex>
      </Flex>
      <Flex gap="4" wrap="wrap" mb="4">
        <Pick
          label="Press"
          value={press}
          options={options(
            accounts.map((a) => a.press),
            'Every press',
          )}
          onPick={setPress}
        />
        <Pick
          label="Who"
          value={who}
          options={options(
            accounts.flatMap((a) => a.people),
            'Everyone',
          )}
          onPick={setWho}
        />
        <Pick
          label="When"
          value={span}
          options={Object.entries(SPANS).map(([id, name]) => ({ id, name }))}
          onPick={(id) => setSpan(id as keyof typeof SPANS)}
        />
      </Flex>
      {shown.length === 0 ? (
        <Box color="soft">
          Nothing was said at a press yet: release a run and open its press side from the code on the sheet.
        </Box>
      ) : (
        <>
          <Flex gap="8" rowGap="4" wrap="wrap" mb="6">
            <Headline label="Runs">{shown.length}</Headline>
            <Headline label="Good">{good}</Headline>
            <Headline label="Spoiled">
              {spoiled}{' '}
              <Box as="span" fontSize="small" fontWeight="400" color="soft">
                {good + spoiled > 0 ? `${((100 * spoiled) / (good + spoiled)).toFixed(1)} %` : ''}
              </Box>
            </Headline>
            <Headline label="Pace against plan">{shareWords(meanAgainst(shown.map((a) => a.pace)))}</Headline>
            <Headline label="Set-up against plan">
              {shareWords(meanAgainst(shown.map((a) => a.setup)))}
            </Headline>
          </Flex>
          <OwnSetup accounts={shown} planned={planned} />
          <Section title="Pace against plan, by press">
            <PaceChart accounts={shown} />
          </Section>
          <Section title="Spoiled by cause, by week">
            <SpoilsChart accounts={shown} />
          </Section>
          <Section title="Where the time goes">
            <TimeBars spent={timeSpent(shown)} />
          </Section>
          <Section title="Runs">
            <Table>
              <thead>
                <tr>
                  <th>Day</th>
                  <th>Run</th>
                  <th>Press</th>
                  <th className="num">Good</th>
                  <th className="num">Spoiled</th>
                  <th className="num">Set-up</th>
                  <th className="num">Pace</th>
                  <th>Most</th>
                </tr>
              </thead>
              <tbody>
                {shown.slice(0, every ? undefined : SHOWN).map((a) => (
                  <tr key={a.runId}>
                    <td>
                      <Day at={a.on} as="d MMM" />
                    </td>
                    <td>
                      <Link href={`/runs/${a.runId}/record`} prefetch={false} textDecoration="underline">
                        {a.words}
                      </Link>
                    </td>
                    <td>{a.press}</td>
                    <td className="num">{a.good}</td>
                    <td className="num">{a.spoiled}</td>
                    <td className="num">{a.setup ? writeQuantity('workTime', a.setup.was, units) : ''}</td>
                    <td className="num">{a.pace ? writeQuantity('rate', a.pace.was, units) : ''}</td>
                    <td>{mostOf(a)}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
            {!every && shown.length > SHOWN && (
              <TextButton onClick={() => setEvery(true)}>all {shown.length}</TextButton>
            )}
          </Section>
        </>
      )}
    </AskFrame>
  )
}

const shareWords = (mean: Against['planned'] | undefined): string =>
  mean === undefined ? '–' : `${mean >= 1 ? '+' : '−'}${Math.abs(Math.round((mean - 1) * 100))} %`

/** What spoiled most. */
const mostOf = ({ causes }: Account): string => {
  const [first] = Object.entries(causes).sort(([, a], [, b]) => b - a)
  return first && first[1] > 0 ? SPOILED_BY[first[0] as keyof typeof SPOILED_BY].toLowerCase() : ''
}
