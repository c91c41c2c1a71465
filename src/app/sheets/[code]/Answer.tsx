'use client'

import { Box } from '@chakra-ui/react'
import type { Severity } from '@/core/advice'
import type { Order } from '@/core/order'
import type { SheetMark } from '@/formats/sheet'
import { Differences } from '@/ui/Differences'
import { Day } from '@/ui/day'
import { Link, PageTitle } from '@/ui/elements'
import { Section } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { AskFrame } from '../../AskFrame'
import type { Standing } from '../../runs/standing'

interface Props {
  readonly shopName: string
  readonly sheet: SheetMark
  readonly order: Order
  readonly runId: string
  readonly last: number
  /** What is printed is not worked from any more: what changed since is no matter of this sheet. */
  readonly standing: Standing | { readonly is: 'printed' }
}

const WORDS: Readonly<Record<Props['standing']['is'], readonly [severity: Severity | '', words: string]>> = {
  good: ['', 'Good: work from it.'],
  printed: ['Note', 'Printed: the order is done.'],
  outOfDate: ['Stop', 'Out of date.'],
  changed: ['Stop', 'The plan has changed since: ask the lead.'],
  gone: ['Stop', 'The order makes no such run any more: ask the lead.'],
}

/** Whether the sheet in someone's hand is still the one to work from. */
export function Answer({ shopName, sheet, order, runId, last, standing }: Props) {
  const [severity, words] = WORDS[standing.is]
  return (
    <AskFrame shopName={shopName}>
      <PageTitle>Sheet {sheet.code}</PageTitle>
      <Box fontSize="big" fontWeight="750" my="4" lineHeight="1.1">
        {severity && <SeverityMark severity={severity} word={false} />} {words}
        {standing.is === 'outOfDate' && ` Take revision ${last}.`}
      </Box>
      <Box mb="5">
        {order.id} {order.customer}, {runId}, revision {sheet.number} of {last}, released{' '}
        <Day at={sheet.releasedAt} as="EEE d MMM yyyy, HH:mm" />.{' '}
        <Link href={`/runs/${runId}/sheet`} textDecoration="underline">
          The sheet to work from
        </Link>{' '}
        <Link href={`/runs/${runId}/press`} textDecoration="underline">
          At the press
        </Link>
      </Box>
      {'changes' in standing && (
        <Section
          title={
            standing.is === 'changed'
              ? 'What is planned otherwise now'
              : `What revision ${last} says otherwise`
          }
        >
          <Differences changes={standing.changes} />
          {standing.changes.length === 0 && <Box color="soft">No setting differs.</Box>}
        </Section>
      )}
    </AskFrame>
  )
}
