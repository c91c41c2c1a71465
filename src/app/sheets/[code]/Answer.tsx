'use client'

import { Box } from '@chakra-ui/react'
import type { Order } from '@/core/order'
import type { PlanChange } from '@/core/plan'
import type { SheetMark } from '@/formats/sheet'
import { Differences } from '@/ui/Differences'
import { sayDay } from '@/ui/day'
import { Link, PageTitle } from '@/ui/elements'
import { Section } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { AskFrame } from '../../AskFrame'

interface Props {
  readonly shopName: string
  readonly sheet: SheetMark
  readonly order: Order
  readonly runId: string
  readonly last: number
  readonly changes: readonly PlanChange[]
}

/** Whether the sheet in someone's hand is still the one to work from. */
export function Answer({ shopName, sheet, order, runId, last, changes }: Props) {
  const good = sheet.number === last
  return (
    <AskFrame shopName={shopName}>
      <PageTitle>Sheet {sheet.code}</PageTitle>
      <Box fontSize="big" fontWeight="750" my="4" lineHeight="1.1">
        {good ? (
          'Good: work from it.'
        ) : (
          <>
            <SeverityMark severity="Stop" word={false} /> Out of date: take revision {last}.
          </>
        )}
      </Box>
      <Box mb="5">
        {order.id} {order.customer}, {runId}, revision {sheet.number} of {last}, released{' '}
        {sayDay(sheet.releasedAt, 'EEE d MMM yyyy, HH:mm')}.{' '}
        <Link href={`/runs/${runId}/sheet`} textDecoration="underline">
          The sheet to work from
        </Link>{' '}
        <Link href={`/runs/${runId}/press`} textDecoration="underline">
          At the press
        </Link>
      </Box>
      {!good && (
        <Section title={`What revision ${last} says otherwise`}>
          <Differences changes={changes} />
          {changes.length === 0 && <Box color="soft">No setting differs.</Box>}
        </Section>
      )}
    </AskFrame>
  )
}
