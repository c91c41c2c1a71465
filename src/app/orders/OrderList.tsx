'use client'

import { Box, Flex } from '@chakra-ui/react'
import { addDays, differenceInCalendarDays, parseISO } from 'date-fns'
import { useRouter } from 'next/navigation'
import { useEffect, useMemo, useRef, useState } from 'react'
import { q } from '@/core/advice'
import { PLAN } from '@/core/plan'
import type { Shown } from '@/store/orders'
import { AskNumber } from '@/ui/AskNumber'
import { sayDay } from '@/ui/day'
import { Empty } from '@/ui/Empty'
import { Input, Link, PageTitle } from '@/ui/elements'
import { useKeys } from '@/ui/keys'
import { type PageOf, Pager } from '@/ui/Pager'
import { PushButton } from '@/ui/PushButton'
import { Table, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { PrintLook } from '@/ui/Swatch'
import { AskFrame } from '../AskFrame'
import { act } from '../acts/act'
import { recordEdit } from '../edits/history'
import { Filling } from '../Filling'
import { MISSING } from '../missing'
import type { OrderLine } from '../today'
import { Reorder } from './[id]/Reorder'
import { useNewOrder } from './useNewOrder'

interface Props {
  readonly shopName: string
  readonly lines: readonly OrderLine[]
  readonly find: string
  readonly show: Shown
  readonly planning: number
  readonly page: PageOf
}

/** How long a deleted order can be brought back, in days. */
const KEPT = 30
/** Moment to wait for the next letter, in milliseconds. */
const PAUSE = 200

const TITLES: Readonly<Record<Shown, string>> = {
  current: 'Orders',
  open: 'Orders',
  all: 'Orders',
  done: 'Done orders',
  deleted: 'Deleted orders',
}
const LISTS = [
  { show: 'current', href: '/orders', label: 'Open orders' },
  { show: 'done', href: '/orders?show=done', label: 'Done' },
  { show: 'deleted', href: '/orders?show=deleted', label: 'Deleted' },
] as const

/** Every open order by due date, then those done lately; found by customer, job or number; and those that were deleted. */
export function OrderList({ shopName, lines, find, show, planning, page }: Props) {
  const make = useNewOrder()
  return (
    <AskFrame shopName={shopName}>
      <Flex align="baseline" gap="5" mb="3" wrap="wrap">
        <PageTitle>{TITLES[show]}</PageTitle>
        <Box color="soft">{page.total.toLocaleString('en')}</Box>
        <Find find={find} show={show} />
        <Filling planning={planning} />
        <Flex ml="auto" gap="4">
          {LISTS.filter((l) => l.show !== show).map((l) => (
            <Link key={l.show} href={l.href} textDecoration="underline">
              {l.label}
            </Link>
          ))}
          <Link href="/orders/import" textDecoration="underline">
            Import
          </Link>
          <TextButton onClick={() => void make()}>New order</TextButton>
        </Flex>
      </Flex>
      {lines.length === 0 ? (
        <Empty says={noneWords(find, show)}>
          {find === '' && show === 'current' && (
            <PushButton type="button" onClick={() => void make()}>
              Enter an order (n)
            </PushButton>
          )}
        </Empty>
      ) : (
        <Table>
          <thead>
            <tr>
              <th style={{ width: '6rem' }}>Number</th>
              <th style={{ width: '22%' }}>Customer and job</th>
              <th style={{ width: '7rem' }}>Due</th>
              <th className="num" style={{ width: '6rem' }}>
                Pieces
              </th>
              <th>Prints</th>
              <th style={{ width: '13rem' }}>{show === 'deleted' ? 'Deleted' : 'State'}</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <Line key={line.id} line={line} />
            ))}
          </tbody>
        </Table>
      )}
      <Pager page={page} />
      {show === 'current' && page.total > 0 && (
        <Flex gap="4" mt="5" fontSize="small" color="soft">
          As CSV:
          {['orders', 'runs', 'plans'].map((name) => (
            <Link key={name} href={`/api/${name}.csv`} prefetch={false} download textDecoration="underline">
              {name}
            </Link>
          ))}
        </Flex>
      )}
    </AskFrame>
  )
}

/** Why a list of orders is empty. */
function noneWords(find: string, show: Shown): string {
  if (find) return `No order with “${find}”.`
  if (show === 'deleted') return 'Nothing was deleted in the last 30 days.'
  if (show === 'done') return 'No order was done yet. Say so at the order, beside its customer.'
  return 'No open order. Type one in, or import a file of them.'
}

/** Finds while someone types. */
function Find({ find, show }: { readonly find: string; readonly show: Shown }) {
  const router = useRouter()
  const [text, setText] = useState(find)
  const input = useRef<HTMLInputElement>(null)
  useKeys(useMemo(() => [{ keys: 'f', label: 'Find in this list', act: () => input.current?.focus() }], []))
  useEffect(() => {
    if (text === find) return
    const timer = setTimeout(() => {
      const query = new URLSearchParams({ ...(text && { find: text }), ...(show !== 'current' && { show }) })
      router.replace(`/orders${query.size > 0 ? `?${query}` : ''}`)
    }, PAUSE)
    return () => clearTimeout(timer)
  }, [text, find, show, router])
  return (
    <Input
      ref={input}
      type="search"
      aria-label="Find in this list"
      placeholder="customer, job or number (f)"
      value={text}
      onChange={(e) => setText(e.target.value)}
      bg="raised"
      px="2"
      py="1"
      width="17rem"
      borderBottom="1px solid"
      borderColor="soft"
    />
  )
}

function Line({ line }: { readonly line: OrderLine }) {
  return (
    <tr>
      <td>{line.id}</td>
      <td>
        {line.deletedAt ? (
          <Box fontWeight="650">{line.customer}</Box>
        ) : (
          <Link href={`/orders/${line.id}/order`} fontWeight="650" _hover={{ textDecoration: 'underline' }}>
            {line.customer || 'New order'}
          </Link>
        )}
        <Box color="soft" fontSize="small">
          {line.title}
        </Box>
      </td>
      <td>{sayDay(line.due)}</td>
      <td className="num">
        <Box fontSize="lead" fontWeight="650">
          <AskNumber
            label={`Pieces of ${line.id}`}
            reasons={[PLAN.because('ORDER_PIECES', { pieces: q('count', line.pieces) })]}
          >
            {line.pieces}
          </AskNumber>
        </Box>
      </td>
      <td>
        <Flex gap="2" wrap="wrap">
          {line.runs.map((r) => (
            <PrintLook key={r.id} cloth={r.cloth} inks={r.inks} picture={r.picture} />
          ))}
        </Flex>
      </td>
      <td>
        {line.deletedAt ? (
          <BringBack line={line} at={line.deletedAt} />
        ) : line.state === 'done' ? (
          <>
            Done{' '}
            <TextButton onClick={() => void act('markOrder', { id: line.id, state: 'open' })}>
              Open {line.id} again
            </TextButton>{' '}
            <Reorder id={line.id} as="reorder" />
          </>
        ) : line.wrong ? (
          <Link href={`/orders/${line.id}/order`} _hover={{ textDecoration: 'underline' }}>
            <SeverityMark severity="Stop" /> {line.wrong}
          </Link>
        ) : (
          stateOf(line)
        )}
      </td>
    </tr>
  )
}

function stateOf({ missing, runs, state }: OrderLine): string {
  if (state === 'printing') return 'Printing'
  if (missing) return MISSING[missing].words
  const released = runs.filter((r) => r.revision > 0)
  const changed = released.filter((r) => r.changed)
  if (changed.length > 0) return `${changed.length} of ${runs.length} changed since release`
  if (released.length > 0) return `${released.length} of ${runs.length} released`
  const stops = runs.filter((r) => r.open.some((o) => o.severity === 'Stop')).length
  return stops > 0 ? `${stops} of ${runs.length} stopped` : 'Planned'
}

function BringBack({ line, at }: { readonly line: OrderLine; readonly at: string }) {
  const left = differenceInCalendarDays(addDays(parseISO(at), KEPT), new Date())
  const bringBack = async () => {
    const back = await act('restoreOrder', { id: line.id })
    if (!back.ok) return
    recordEdit({ kind: 'presence', id: line.id }, `Bring back ${line.id}`, [
      { path: ['deleted'], from: true, to: false },
    ])
  }
  return (
    <>
      <TextButton onClick={() => void bringBack()}>Bring back {line.id}</TextButton>
      <Box color="soft" fontSize="small">
        {left} {left === 1 ? 'day' : 'days'} left
      </Box>
    </>
  )
}
