'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { planChanges } from '@/core/plan'
import { type PressEvent, type Target, targetsOf } from '@/core/record'
import type { SheetFacts } from '@/formats/sheet'
import { Differences } from '@/ui/Differences'
import { Button, Link, PageTitle } from '@/ui/elements'
import { SeverityMark } from '@/ui/Severity'
import { AskFrame } from '../../../AskFrame'
import { Causes } from './Causes'
import { Entries } from './Entries'
import { countId, SizeCard } from './SizeCard'
import { useRecord } from './useRecord'

interface Props {
  /** The revision that was released last. */
  readonly latest: SheetFacts & { readonly number: number }
  readonly said: { readonly events: readonly PressEvent[]; readonly place: number }
}

/** At the press: what is printed is counted, size by size. */
export function PressDesk({ latest, said }: Props) {
  // The sheet in hand stays until the crew takes another.
  const [inHand, setInHand] = useState(latest)
  const [spoiling, setSpoiling] = useState<Target>()
  const { order, plan, shopName, number } = inHand
  const { run } = plan
  const record = useRecord(run.id, { ...said, revision: number })
  const newest = Math.max(record.revision, latest.number)
  const targets = targetsOf(run, record.recorded)
  const say = (what: Parameters<typeof record.say>[0]) => void record.say(what)
  const left = targets.reduce((sum, t) => sum + Math.max(0, t.left), 0)
  const spoiled = targets.reduce((sum, t) => sum + t.spoiled, 0)
  return (
    <AskFrame shopName={shopName}>
      <Flex gap="4" align="baseline" wrap="wrap" mb="3">
        <PageTitle>At the press</PageTitle>
        <Box>
          {order.customer}, {run.id}, {plan.press.name}, revision {number}
        </Box>
        <Link href={`/runs/${run.id}/sheet`} textDecoration="underline" ml="auto">
          Set-up sheet
        </Link>
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
      <Flex gap="6" align="baseline" wrap="wrap" mb="3">
        <Box fontSize="figure" fontWeight="750" role="status" aria-label="Still to print">
          {left} to print
        </Box>
        <Box>
          {run.quantity} ordered, {spoiled} spoiled
        </Box>
        <Box role="status" aria-label="Sending" ml="auto" fontWeight={record.kept > 0 ? '700' : undefined}>
          {record.kept > 0 ? `Kept here: ${record.kept}` : 'All sent'}
          {record.problem && `. ${record.problem}`}
        </Box>
      </Flex>
      {spoiling ? (
        <Causes
          target={spoiling}
          onCause={(cause) => {
            const { line, size } = spoiling
            if (cause) say({ kind: 'spoil', line, size, n: 1, cause })
            setSpoiling(undefined)
            requestAnimationFrame(() => document.getElementById(countId(spoiling))?.focus())
          }}
        />
      ) : (
        <Grid templateColumns="repeat(auto-fill, minmax(11rem, 1fr))" gap="3" mb="6">
          {targets.map((target) => (
            <SizeCard key={target.key} target={target} say={say} onSpoiled={() => setSpoiling(target)} />
          ))}
        </Grid>
      )}
      <Entries entries={record.recorded.entries} targets={targets} say={say} />
    </AskFrame>
  )
}
