'use client'

import { Box } from '@chakra-ui/react'
import type { Order } from '@/core/order'
import type { PlanChange } from '@/core/plan'
import { Differences } from '@/ui/Differences'
import { Day } from '@/ui/day'
import { Link, PageTitle } from '@/ui/elements'
import { Section } from '@/ui/Section'
import { AskFrame } from '../../../AskFrame'

interface Props {
  readonly shopName: string
  readonly runId: string
  readonly order: Order
  readonly revisions: readonly {
    readonly number: number
    readonly code: string
    readonly releasedAt: string
    readonly changes: readonly PlanChange[]
  }[]
}

/** The revisions of a run, the newest first. */
export function Revisions({ shopName, runId, order, revisions }: Props) {
  return (
    <AskFrame shopName={shopName}>
      <PageTitle>Revisions of {runId}</PageTitle>
      <Box mb="4">
        <Link href={`/orders/${order.id}/run?run=${runId}`} textDecoration="underline">
          {order.id} {order.customer}
        </Link>
      </Box>
      {revisions.map((r, i) => (
        <Section
          key={r.number}
          title={`Revision ${r.number}${i === 0 ? ', the one to work from' : ''}`}
          side={
            <Link href={`/runs/${runId}/sheet?revision=${r.number}`} textDecoration="underline">
              Sheet {r.code}
            </Link>
          }
        >
          <Box color="soft" mb="1">
            Released <Day at={r.releasedAt} as="EEE d MMM yyyy, HH:mm" />
          </Box>
          {r.number === 1 ? <Box>The first.</Box> : <Differences changes={r.changes} />}
          {r.number > 1 && r.changes.length === 0 && <Box>No setting differs from the one before.</Box>}
        </Section>
      ))}
    </AskFrame>
  )
}
