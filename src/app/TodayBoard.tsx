'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { differenceInCalendarDays, format, parseISO } from 'date-fns'
import NextLink from 'next/link'
import { tell } from '@/core/advice'
import { groupLabel, WHERES } from '@/core/order'
import { PageTitle } from '@/ui/parts'
import { Table, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { InkRow } from '@/ui/Swatch'
import { useSettings } from '@/ui/settings'
import { Frame } from './Frame'
import { newOrder } from './orders/actions'
import type { TodayLine } from './today'

const Link = chakra(NextLink)

interface TodayProps {
  readonly shopName: string
  readonly today: string
  readonly lines: readonly TodayLine[]
}

/** How far away a day is, in the words of a shop. */
function inWords(days: number): string {
  if (days < 0) return days === -1 ? '1 day late' : `${-days} days late`
  if (days === 0) return 'today'
  return days === 1 ? 'tomorrow' : `in ${days} days`
}

/** Runs by due date, each with what is open and the way to where it is settled. */
export function TodayBoard({ shopName, today, lines }: TodayProps) {
  const stops = lines.filter((l) => l.missing || l.open.some((r) => r.severity === 'Stop')).length
  return (
    <Frame shopName={shopName}>
      <Flex align="baseline" gap="4" mb="3">
        <PageTitle>{format(parseISO(today), 'EEEE d MMMM')}</PageTitle>
        <Box color="soft">
          {lines.length} {lines.length === 1 ? 'run' : 'runs'} to print
          {stops > 0 && `, ${stops} cannot go to press yet`}
        </Box>
        <TextButton onClick={() => void newOrder()} ml="auto">
          New order
        </TextButton>
      </Flex>
      {lines.length === 0 ? (
        <Empty />
      ) : (
        <Table>
          <thead>
            <tr>
              <th style={{ width: '6rem' }}>Due</th>
              <th>Order</th>
              <th>Print</th>
              <th className="num">Pieces</th>
              <th>Press</th>
              <th className="num">Minutes</th>
              <th style={{ width: '38%' }}>Open</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line, i) => (
              <Line
                key={line.run?.id ?? line.order.id}
                line={line}
                today={today}
                before={lines[i - 1]?.order}
              />
            ))}
          </tbody>
        </Table>
      )}
    </Frame>
  )
}

function Line({
  line,
  today,
  before,
}: {
  readonly line: TodayLine
  readonly today: string
  readonly before: TodayLine['order'] | undefined
}) {
  const { order, run, time } = line
  const days = differenceInCalendarDays(parseISO(order.due), parseISO(today))
  return (
    <tr>
      <td>
        {before?.due !== order.due && (
          <Box lineHeight="1.15" whiteSpace="nowrap">
            <Box fontSize="1.15rem" fontWeight="700">
              {format(parseISO(order.due), 'EEE d')}
            </Box>
            <Flex fontSize="0.85rem" color={days < 0 ? 'ink' : 'soft'} fontWeight={days < 0 ? '700' : '400'}>
              {inWords(days)}
            </Flex>
          </Box>
        )}
      </td>
      <td>
        {before?.id !== order.id && (
          <>
            <Link
              href={`/orders/${order.id}/order`}
              fontWeight="650"
              _hover={{ textDecoration: 'underline' }}
            >
              {order.customer || 'New order'}
            </Link>
            <Box fontSize="0.85rem" color="soft" truncate maxWidth="12rem">
              {order.id} {order.title}
            </Box>
          </>
        )}
      </td>
      <td>
        {run && (
          <>
            <InkRow
              cloth={run.lines[0]?.cloth.hex ?? '#808080'}
              inks={run.placement.inks.map((i) => i.hex)}
            />
            <Box fontSize="0.85rem" color="soft" whiteSpace="nowrap">
              {WHERES[run.placement.where]}, {groupLabel(run.group).toLowerCase()}
            </Box>
          </>
        )}
      </td>
      <td className="num">
        <Box fontSize="1.3rem" fontWeight="650" lineHeight="1.15">
          {run?.quantity ?? ''}
        </Box>
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>
        {line.press}
        {line.screens > 0 && (
          <Box fontSize="0.85rem" color="soft" whiteSpace="nowrap">
            {line.screens} {line.screens === 1 ? 'screen' : 'screens'}
          </Box>
        )}
      </td>
      <td className="num">
        {time && (
          <Box whiteSpace="nowrap">
            {Math.round(time[0] / 60)}–{Math.round(time[1] / 60)}
          </Box>
        )}
      </td>
      <td>
        <OpenPoints line={line} />
      </td>
    </tr>
  )
}

function OpenPoints({ line }: { readonly line: TodayLine }) {
  const { units } = useSettings()
  const [worst, ...more] = line.open
  if (line.missing)
    return (
      <Link
        href={line.href}
        display="flex"
        gap="2"
        alignItems="baseline"
        _hover={{ textDecoration: 'underline' }}
      >
        <SeverityMark severity="Stop" /> {line.missing}
      </Link>
    )
  if (!worst)
    return (
      <Link href={line.href} color="soft" _hover={{ textDecoration: 'underline' }}>
        Planned
      </Link>
    )
  return (
    <Link
      href={line.href}
      display="flex"
      gap="2.5"
      alignItems="baseline"
      fontSize="0.92rem"
      _hover={{ textDecoration: 'underline' }}
    >
      <SeverityMark severity={worst.severity ?? 'Note'} />
      <span>
        {tell(worst, units)}
        {more.length > 0 && (
          <Box as="span" color="soft">
            {' '}
            and {more.length} more
          </Box>
        )}
      </span>
    </Link>
  )
}

const Empty = () => (
  <Box maxWidth="32rem" pt="8" fontSize="1.15rem">
    No orders yet. <TextButton onClick={() => void newOrder()}>Enter the first one</TextButton> or press n.
  </Box>
)
