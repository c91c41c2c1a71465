'use client'

import { Box, Flex } from '@chakra-ui/react'
import { group } from 'd3-array'
import type { Broke } from '@/core/equipment'
import type { RoomLine } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { sayMoment } from '@/ui/clock'
import { Link } from '@/ui/elements'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { LineRow } from './LineRow'

interface Props {
  readonly lines: readonly RoomLine[]
  readonly now: number | undefined
  readonly onAdvance: (lines: readonly RoomLine[], head?: number) => void
  readonly onBroke: (line: RoomLine, what: Broke) => void
}

/** Screens print by print, each print with the one time by which the first of them must be begun. */
export function PrintGroups({ lines, now, onAdvance, onBroke }: Props) {
  const prints = group(lines, (l) => `${l.job.orderId} ${l.job.print}`)
  return [...prints].map(([key, of]) => {
    const [first] = of
    if (!first) return null
    const ready = of.filter((l) => l.frame && l.next)
    return (
      <Box key={key} borderTop="1px solid" borderColor="rule" pb="1" data-print={key}>
        <Flex columnGap="4" align="baseline" wrap="wrap" pt="1.5">
          <ByWhen line={soonest(of)} now={now} />
          <Link
            href={`/orders/${first.job.orderId}/screens?run=${first.job.runId}`}
            minWidth="0"
            _hover={{ textDecoration: 'underline' }}
          >
            {first.job.words}
            <Box as="span" fontSize="small" color="soft" ml="2">
              {key}
            </Box>
          </Link>
          <Link
            href={`/runs/${first.job.runId}/lists`}
            prefetch={false}
            fontSize="small"
            textDecoration="underline"
            aria-label={`Lists of ${first.job.runId}`}
          >
            Lists
          </Link>
          {ready.length > 1 && prints.size > 1 && (
            <TextButton
              ml="auto"
              onClick={() => onAdvance(ready)}
              aria-label={`These ${ready.length} done, ${key}`}
            >
              these {ready.length} done
            </TextButton>
          )}
        </Flex>
        {of.map((l) => (
          <LineRow key={l.key} line={l} now={now} onAdvance={onAdvance} onBroke={onBroke} />
        ))}
      </Box>
    )
  })
}

const soonest = (lines: readonly RoomLine[]): RoomLine | undefined =>
  lines.reduce<RoomLine | undefined>(
    (a, b) => (a?.latest !== undefined && a.latest <= (b.latest ?? Number.POSITIVE_INFINITY) ? a : b),
    undefined,
  )

/** When the first of them must be begun; late in word and shape. */
function ByWhen({ line, now }: { readonly line: RoomLine | undefined; readonly now: number | undefined }) {
  if (!line?.latestWhy || line.latest === undefined) return null
  const late = now !== undefined && line.latest < now
  return (
    <AskNumber
      label={`Latest start, ${line.screen.name}, ${line.job.words}, ${line.job.print}`}
      reasons={[line.latestWhy]}
    >
      <Flex as="span" gap="2" align="baseline" whiteSpace="nowrap">
        {late && <SeverityMark severity="Watch" />}
        <Box as="span" fontWeight={late ? '750' : '650'}>
          {late ? 'should have begun ' : 'begin by '}
          {sayMoment(line.latest)}
        </Box>
      </Flex>
    </AskNumber>
  )
}
