'use client'

import { Box, Flex } from '@chakra-ui/react'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { message, q } from '@/core/advice'
import type { AirOfDay } from '@/core/equipment'
import { PLAN } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { Day } from '@/ui/day'
import { Empty } from '@/ui/Empty'
import { Link, PageTitle } from '@/ui/elements'
import { type PageOf, Pager } from '@/ui/Pager'
import { PushButton } from '@/ui/PushButton'
import { Table, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { PrintLook } from '@/ui/Swatch'
import { useSettings } from '@/ui/settings'
import { AirToday } from './AirToday'
import { AskFrame } from './AskFrame'
import { DaysBoard } from './days/DaysBoard'
import { Filling } from './Filling'
import { MISSING } from './missing'
import { useNewOrder } from './orders/useNewOrder'
import { waitsFor } from './orders/waits'
import { InkNews, type LimitedInk, ScreenNews, type ScreensToday } from './TodayNews'
import type { OrderLine, RunLine } from './today'

interface TodayProps {
  readonly shopName: string
  /** Changes whenever anything was saved. */
  readonly stamp: string
  readonly today: string
  /** As it was said today. */
  readonly air: AirOfDay | undefined
  readonly lines: readonly OrderLine[]
  readonly screens: ScreensToday
  /** Tubs of ink that does not keep. */
  readonly limited: readonly LimitedInk[]
  /** Orders whose plans are being renewed. */
  readonly planning: number
  readonly page: PageOf
}

/** How far away a day is, in the words of a shop. */
function inWords(days: number): string {
  if (days < 0) return days === -1 ? '1 day late' : `${-days} days late`
  if (days === 0) return 'today'
  return days === 1 ? 'tomorrow' : `in ${days} days`
}

const isStopped = (run: RunLine | undefined) =>
  run === undefined ||
  run.wrong !== '' ||
  run.inks.length === 0 ||
  run.open.some((r) => r.severity === 'Stop')

/** Runs by due date, each with what is open and the way to where it is settled. */
export function TodayBoard({
  shopName,
  stamp,
  today,
  air,
  lines,
  screens,
  limited,
  planning,
  page,
}: TodayProps) {
  const make = useNewOrder()
  const waitsOf = waitsFor(lines)
  // An order that makes no run yet stands there with what it misses.
  const rows = lines.flatMap((line) =>
    (line.runs.length === 0 || line.missing ? [undefined] : line.runs).map((run) => ({ line, run })),
  )
  const stops = rows.filter(({ line, run }) => line.wrong !== '' || isStopped(run)).length
  return (
    <AskFrame shopName={shopName}>
      <Flex align="baseline" gap="4" mb="3">
        <PageTitle>
          {rows.length} {rows.length === 1 ? 'run' : 'runs'}
          {stops > 0 && `, ${stops} cannot go to press`}
        </PageTitle>
        <Box color="soft">
          <Day at={today} as="EEEE d MMMM" />
          {page.total > lines.length && `, of ${page.total.toLocaleString('en')} orders`}
        </Box>
        <Filling planning={planning} />
        <TextButton onClick={() => void make()} ml="auto">
          New order
        </TextButton>
      </Flex>
      <AirToday said={air} />
      <ScreenNews {...screens} />
      <InkNews tubs={limited} />
      {page.total > 0 && <DaysBoard stamp={stamp} />}
      {rows.length === 0 ? (
        <Empty says="No open order. The day is planned from the orders: customer, garments, art and when it is due.">
          <PushButton type="button" onClick={() => void make()}>
            Enter an order (n)
          </PushButton>
        </Empty>
      ) : (
        <Table css={IN_BLOCKS}>
          <thead>
            <tr>
              <th style={{ width: '6rem' }}>Due</th>
              <th>Order</th>
              <th>Print</th>
              <th className="num">Pieces</th>
              <th>Press</th>
              <th className="num">Minutes</th>
              <th style={{ width: '31%' }}>Open</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ line, run }, i) => (
              <Line
                key={run?.id ?? line.id}
                {...{ line, run, today }}
                before={rows[i - 1]?.line}
                waits={waitsOf(line)}
              />
            ))}
          </tbody>
        </Table>
      )}
      <Pager page={page} />
    </AskFrame>
  )
}

/** Where the window is narrow a run is a block: due and pieces at its edges, what is open below. */
const IN_BLOCKS = {
  '& td': { verticalAlign: 'middle' },
  '@media (max-width: 63.99em)': {
    display: 'block',
    minWidth: '0',
    '& thead': { display: 'none' },
    '& tbody': { display: 'block' },
    '& tr': {
      display: 'grid',
      gridTemplateColumns: '5rem minmax(0, 1fr) auto',
      columnGap: '2',
      alignItems: 'center',
      borderTop: '1px solid',
      borderColor: 'rule',
      py: '1.5',
    },
    '& td': { border: 'none', p: '0', py: '0.5' },
    '& td:nth-of-type(3)': { gridColumn: '2', gridRow: '2' },
    '& td:nth-of-type(4)': { gridColumn: '3', gridRow: '1' },
    '& td:nth-of-type(5)': { gridColumn: '2', gridRow: '3' },
    '& td:nth-of-type(6)': { gridColumn: '3', gridRow: '2' },
    '& td:nth-of-type(7)': { gridColumn: '2 / 4', gridRow: '4' },
  },
} as const

interface LineProps {
  readonly line: OrderLine
  readonly run: RunLine | undefined
  readonly today: string
  readonly before: OrderLine | undefined
  /** What it waits for; empty as a rule. */
  readonly waits: string
}

function Line({ line, run, today, before, waits }: LineProps) {
  const days = differenceInCalendarDays(parseISO(line.due), parseISO(today))
  return (
    <tr>
      <td>
        {before?.due !== line.due && (
          <Box lineHeight="1.15" whiteSpace="nowrap" data-due={line.due}>
            <Box fontSize="lead" fontWeight="700">
              <Day at={line.due} as="EEE d" />
            </Box>
            <Flex fontSize="small" color={days < 0 ? 'ink' : 'soft'} fontWeight={days < 0 ? '700' : '400'}>
              {Number.isFinite(days) ? inWords(days) : 'no such day'}
            </Flex>
          </Box>
        )}
      </td>
      <td>
        {before?.id !== line.id && (
          <>
            <Link href={`/orders/${line.id}/order`} fontWeight="650" _hover={{ textDecoration: 'underline' }}>
              {line.customer || 'New order'}
            </Link>
            <Box fontSize="small" color="soft" truncate maxWidth="12rem">
              {line.id} {line.title}
            </Box>
            {waits && <Box fontSize="small">waits: {waits}</Box>}
          </>
        )}
      </td>
      <td>
        {run && (
          <PrintLook cloth={run.cloth} inks={run.inks} picture={run.picture}>
            {run.where}
          </PrintLook>
        )}
      </td>
      <td className="num">
        <Box fontSize="title" fontWeight="650" lineHeight="1.15">
          {run && (
            <AskNumber
              label={`Pieces of ${run.id}`}
              reasons={[PLAN.because('PIECES', { pieces: q('count', run.quantity) })]}
            >
              {run.quantity}
            </AskNumber>
          )}
        </Box>
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>
        {run?.press}
        {run && run.screens > 0 && (
          <Box fontSize="small" color="soft" whiteSpace="nowrap">
            <AskNumber
              label={`Screens of ${run.id}`}
              reasons={[PLAN.because('SCREENS', { screens: q('count', run.screens) })]}
            >
              {run.screens} {run.screens === 1 ? 'screen' : 'screens'}
            </AskNumber>
          </Box>
        )}
      </td>
      <td className="num">
        {run?.time && (
          <Box whiteSpace="nowrap">
            <AskNumber label={`Minutes of ${run.id}`} reasons={run.timeWhy}>
              {Math.round(run.time[0] / 60)}–{Math.round(run.time[1] / 60)}
            </AskNumber>
          </Box>
        )}
      </td>
      <td>
        <OpenPoints line={line} run={run} />
        {run && run.revision > 0 && (
          <Box fontSize="small" color="soft">
            {run.changed ? `Changed since revision ${run.revision}` : `Revision ${run.revision} released`}{' '}
            <Link href={`/runs/${run.id}/press`} prefetch={false} textDecoration="underline">
              At the press
            </Link>
          </Box>
        )}
      </td>
    </tr>
  )
}

function OpenPoints({ line, run }: { readonly line: OrderLine; readonly run: RunLine | undefined }) {
  const { units } = useSettings()
  const { href } = run ?? line
  const missing = run === undefined ? line.missing : run.inks.length === 0 ? 'colours' : undefined
  const [worst, ...more] = run?.open ?? []
  const wrong = line.wrong || run?.wrong
  if (wrong)
    return (
      <Link href={href} display="flex" gap="2" alignItems="baseline" _hover={{ textDecoration: 'underline' }}>
        <SeverityMark severity="Stop" /> {wrong}
      </Link>
    )
  if (missing)
    return (
      <Link href={href} display="flex" gap="2" alignItems="baseline" _hover={{ textDecoration: 'underline' }}>
        <SeverityMark severity="Stop" /> {MISSING[missing].words}
      </Link>
    )
  if (!worst)
    return (
      <Link href={href} color="soft" _hover={{ textDecoration: 'underline' }}>
        {run?.planning ? 'being planned …' : 'Planned'}
      </Link>
    )
  return (
    <Link
      href={href}
      display="flex"
      gap="2.5"
      alignItems="baseline"
      fontSize="small"
      _hover={{ textDecoration: 'underline' }}
    >
      <SeverityMark severity={worst.severity ?? 'Note'} />
      <span>
        {message(worst, units)}
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
