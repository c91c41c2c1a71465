'use client'

import { Box, Flex } from '@chakra-ui/react'
import { Printer } from 'lucide-react'
import type { Severity } from '@/core/advice'
import { groupLabel, WHERES } from '@/core/order'
import type { OrderState as State } from '@/store/schema'
import { AdviceChoice } from '@/ui/AdviceValue'
import { sayDay } from '@/ui/day'
import { Link } from '@/ui/elements'
import { PageTitle } from '@/ui/parts'
import { SeverityMark } from '@/ui/Severity'
import { InkRow } from '@/ui/Swatch'
import { SAVE_WORDS } from '../../edits/saveWords'
import type { SaveState } from '../../edits/session'
import { DeleteOrder } from './DeleteOrder'
import { OrderState } from './OrderState'
import { useOrder } from './orderContext'
import { ReleaseStatus } from './Release'
import { STAGES } from './stages'

/** Head of every stage: whose order, which run, on which press, and what stands in the way. */
interface HeadProps {
  readonly saveState: SaveState
  readonly state: State
  /** What is stored and cannot be. */
  readonly wrong: readonly string[]
  /** What the disk said. */
  readonly problem: string
  /** Prints that have films. */
  readonly pictured: readonly string[]
}

export function OrderHead({ saveState, state, wrong, problem, pictured }: HeadProps) {
  const { order, stage, runs, run, plan, stagePath } = useOrder()
  const counts = (['Stop', 'Watch'] as const)
    .map((severity): readonly [Severity, number] => [
      severity,
      plan?.warnings.filter((w) => w.severity === severity).length ?? 0,
    ])
    .filter(([, n]) => n > 0)
  return (
    <Box as="header">
      <Flex align="baseline" gap="4" wrap="wrap">
        <PageTitle>{STAGES[stage].label}</PageTitle>
        <Box fontSize="lead" truncate>
          {[order.customer, order.title].filter(Boolean).join(', ') || 'New order'}
        </Box>
        <Box color="soft">due {sayDay(order.due)}</Box>
        <OrderState state={state} />
        <Box
          role="status"
          aria-label="Saving"
          ml="auto"
          fontSize="small"
          color="soft"
          fontWeight={saveState === 'saved' ? '400' : '700'}
        >
          {problem || SAVE_WORDS[saveState]}
        </Box>
        <DeleteOrder />
      </Flex>
      {wrong.map((w) => (
        <Box key={w} role="alert" mt="2">
          <SeverityMark severity="Stop" /> {w}
        </Box>
      ))}
      {runs.length > 0 && (
        <Flex as="nav" aria-label="Runs" mt="3" gap="2" wrap="wrap">
          {runs.map((r) => {
            const here = r.id === run?.id
            return (
              <Link
                key={r.id}
                href={stagePath(stage, r.id)}
                aria-current={here ? 'true' : undefined}
                display="flex"
                alignItems="center"
                gap="2"
                px="2"
                py="1"
                bg={here ? 'raised' : 'transparent'}
                borderBottom="3px solid"
                borderColor={here ? 'ink' : 'rule'}
              >
                <InkRow
                  cloth={r.lines[0]?.cloth}
                  inks={r.placement.inks}
                  picture={
                    pictured.includes(r.placement.id)
                      ? {
                          orderId: order.id,
                          print: r.placement.id,
                          based: !here || !plan || plan.hits.some((h) => h.hit.id === 'base'),
                        }
                      : undefined
                  }
                />
                <Box as="span" fontWeight={here ? '700' : '500'}>
                  {WHERES[r.placement.where]}
                  {r.placement.sizes === 'all' ? '' : ` ${r.placement.sizes}`}
                </Box>
                <Box as="span" color="soft" fontSize="small">
                  {groupLabel(r.group).toLowerCase()}, {r.quantity}
                </Box>
              </Link>
            )
          })}
        </Flex>
      )}
      {plan && (
        <Flex mt="3" gap="4" align="baseline" wrap="wrap">
          <Flex as="span" gap="2" align="baseline">
            <Box as="span" color="soft">
              on
            </Box>
            <AdviceChoice advice={plan.pressAdvice} size="lead" />
          </Flex>
          {counts.map(([severity, n]) => (
            <Flex as="span" key={severity} gap="1.5" align="baseline">
              <SeverityMark severity={severity} /> {n}
            </Flex>
          ))}
          <Box ml="auto">
            <ReleaseStatus />
          </Box>
          <Link
            href={`/runs/${plan.run.id}/sheet`}
            prefetch={false}
            display="inline-flex"
            alignItems="center"
            gap="2"
            fontWeight="650"
            textDecoration="underline"
          >
            <Printer size={16} aria-hidden="true" /> Set-up sheet
          </Link>
        </Flex>
      )}
    </Box>
  )
}
