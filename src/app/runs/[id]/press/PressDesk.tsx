'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useCallback, useEffect, useMemo, useState } from 'react'
import type { OwnStep } from '@/core/equipment'
import type { Batch } from '@/core/ink'
import { alarmFactsOf, craftListsOf, planChanges, recordNames, type SheetHeat } from '@/core/plan'
import { keysOf } from '@/core/quantity'
import { type Said, saidOf, targetsOf } from '@/core/record'
import type { Known } from '@/core/trouble'
import type { SheetFacts } from '@/formats/sheet'
import { Differences } from '@/ui/Differences'
import { Button, Link, PageTitle } from '@/ui/elements'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useLight, useSettings } from '@/ui/settings'
import { Tap } from '@/ui/Tap'
import { AskFrame } from '../../../AskFrame'
import { Notes } from '../../../notes/Notes'
import { planner } from '../../../planner'
import { Alarms } from './Alarms'
import type { AtPress, RunFrame } from './atPress'
import { CountTab } from './CountTab'
import { EndTab } from './EndTab'
import { Lists } from './Lists'
import { ReadingsTab } from './ReadingsTab'
import { SampleTab } from './SampleTab'
import { Standing } from './Standing'
import { TroubleTab } from './TroubleTab'
import { type Told, useRecord } from './useRecord'
import { Who } from './Who'

interface Props {
  /** The revision that was released last. */
  readonly latest: SheetFacts & { readonly number: number; readonly heat: readonly SheetHeat[] }
  readonly told: Told
  readonly tubs: readonly Batch[]
  readonly frames: readonly RunFrame[]
  /** What the shop does otherwise in the lists. */
  readonly own: readonly OwnStep[]
  /** What is known of troubles at this press. */
  readonly known: Known
}

const TABS = {
  setUp: 'Set up',
  sample: 'Sample',
  count: 'Count',
  read: 'Readings',
  trouble: 'Trouble',
  end: 'End',
} as const
type Tab = keyof typeof TABS
const AFTER = ['cleanUp', 'boardsAfter']

/** At the press: the run from the list to packed sizes, one thing at a time. */
export function PressDesk({ latest, told, tubs, frames, own, known }: Props) {
  // The sheet in hand stays until the crew takes another.
  const [inHand, setInHand] = useState(latest)
  const { order, plan, shopName, number, heat } = inHand
  const { run } = plan
  const { units } = useSettings()
  const { mode, switchMode } = useLight()
  const record = useRecord(run.id, told)
  const { recorded, say: keep } = record
  const say = useCallback((what: Said) => void keep(what), [keep])
  // What works a trouble out is there before the line may be gone.
  useEffect(() => void planner(), [])
  const newest = Math.max(record.revision, latest.number)
  const targets = targetsOf(run, recorded)
  const lists = useMemo(() => craftListsOf(plan, own).filter((l) => l.room !== 'screenRoom'), [plan, own])
  const facts = useMemo(() => alarmFactsOf(plan, heat), [plan, heat])
  const names = useMemo(() => recordNames(plan, units, own), [plan, units, own])
  const [tab, setTab] = useTab(recorded.said.some((e) => e.kind === 'count'))
  const press: AtPress = { plan, recorded, said: recorded.said, names, say }
  const left = targets.reduce((sum, t) => sum + Math.max(0, t.left), 0)
  const spoiled = targets.reduce((sum, t) => sum + t.spoiled, 0)
  const down = saidOf(recorded.said, 'down')
  return (
    <AskFrame shopName={shopName} bare>
      <Flex gap="4" align="baseline" wrap="wrap" mb="3">
        <PageTitle>At the press</PageTitle>
        <Box>
          {order.customer}, {run.id}, {plan.press.name}, revision {number}
        </Box>
        <Flex gap="4" ml="auto">
          <TextButton onClick={switchMode}>{mode === 'dark' ? 'Light' : 'Dark'}</TextButton>
          <Link href="/" textDecoration="underline">
            Today
          </Link>
          <Link href={`/runs/${run.id}/sheet`} textDecoration="underline">
            Set-up sheet
          </Link>
          <Link href={`/runs/${run.id}/record`} prefetch={false} textDecoration="underline">
            Record
          </Link>
        </Flex>
      </Flex>
      {newest > number && (
        <Box role="alert" bg="raised" borderTop="3px solid" borderColor="ink" p="3" mb="4">
          <Flex gap="3" align="center" fontSize="lead" fontWeight="700" wrap="wrap">
            <SeverityMark severity="Stop" word={false} />
            <Box flex="1 1 16rem">The sheet in hand is out of date: revision {newest} is out.</Box>
            <Button
              type="button"
              onClick={() => (latest.number > number ? setInHand(latest) : location.reload())}
              minHeight="54px"
              px="4"
              border="2px solid"
              borderColor="ink"
            >
              Take revision {newest}
            </Button>
          </Flex>
          {latest.number > number && <Differences changes={planChanges(plan, latest.plan)} />}
        </Box>
      )}
      <Notes about="press" of={plan.press.id} name={plan.press.name} still />
      <Notes about="order" of={order.id} name={order.id} still />
      <Flex gap="6" align="baseline" wrap="wrap" mb="2">
        <Box fontSize="big" fontWeight="750" lineHeight="1.1" role="status" aria-label="Still to print">
          {left} to print
        </Box>
        <Box>
          {run.quantity} ordered, {spoiled} spoiled
          {down.length > 0 && `, head ${down.map((e) => e.head).join(', ')} out of service`}
        </Box>
        <Box role="status" aria-label="Sending" ml="auto" fontWeight={record.kept > 0 ? '700' : undefined}>
          {record.kept > 0 ? `Kept here: ${record.kept}` : 'All sent'}
          {record.problem && `. ${record.problem}`}
        </Box>
      </Flex>
      {record.clock !== undefined && (
        <Box mb="2">
          This tablet’s clock is {Math.round(Math.abs(record.clock) / 60_000)} min{' '}
          {record.clock > 0 ? 'ahead' : 'behind'}: times are put right here; set it.
        </Box>
      )}
      <Standing {...press} />
      <Alarms facts={facts} {...press} />
      <Grid
        role="group"
        aria-label="Parts of the run"
        templateColumns="repeat(auto-fit, minmax(6rem, 1fr))"
        gap="2"
        mb="4"
      >
        {keysOf(TABS).map((t) => (
          <Tap key={t} chosen={t === tab} onTap={() => setTab(t)}>
            {TABS[t]}
          </Tap>
        ))}
      </Grid>
      {tab === 'setUp' && (
        <>
          <Who />
          <Lists lists={lists.filter((l) => !AFTER.includes(l.id))} {...press} />
        </>
      )}
      {tab === 'sample' && <SampleTab {...press} />}
      {tab === 'count' && <CountTab targets={targets} {...press} />}
      {tab === 'read' && <ReadingsTab heat={heat} frames={frames} {...press} />}
      {tab === 'trouble' && <TroubleTab known={known} {...press} />}
      {tab === 'end' && (
        <EndTab
          targets={targets}
          lists={lists.filter((l) => AFTER.includes(l.id))}
          tubs={tubs}
          frames={frames}
          {...press}
        />
      )}
    </AskFrame>
  )
}

/** The part that is shown stays over a reload; a run that is counted opens at its count. */
function useTab(counted: boolean): readonly [Tab, (tab: Tab) => void] {
  const [tab, setTab] = useState<Tab>(counted ? 'count' : 'setUp')
  useEffect(() => {
    const named = location.hash.slice(1)
    if (Object.hasOwn(TABS, named)) setTab(named as Tab)
  }, [])
  const go = (next: Tab) => {
    setTab(next)
    history.replaceState(history.state, '', `#${next}`)
  }
  return [tab, go]
}
