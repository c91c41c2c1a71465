'use client'

import { Box, Flex } from '@chakra-ui/react'
import { addDays, differenceInCalendarDays, parseISO } from 'date-fns'
import { useRouter } from 'next/navigation'
import { q } from '@/core/advice'
import { ORDER_STATES } from '@/core/order'
import { PLAN } from '@/core/plan'
import type { Shown } from '@/store/orderSearch'
import { AskNumber } from '@/ui/AskNumber'
import { Day } from '@/ui/day'
import { Empty } from '@/ui/Empty'
import { Link, PageTitle } from '@/ui/elements'
import { type PageOf, Pager } from '@/ui/Pager'
import { PushButton } from '@/ui/PushButton'
import { Table, TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { SeverityMark } from '@/ui/Severity'
import { PrintLook } from '@/ui/Swatch'
import { AskFrame } from '../AskFrame'
import { act } from '../acts/act'
import { recordEdit } from '../edits/history'
import { Filling } from '../Filling'
import { FindInList } from '../FindInList'
import { MISSING } from '../missing'
import type { OrderLine } from '../today'
import { Reorder } from './[id]/Reorder'
import { type By, DUE, IS, listPath } from './narrow'
import { useNewOrder } from './useNewOrder'
import { waitsFor } from './waits'

interface Props {
  readonly shopName: string
  readonly lines: readonly OrderLine[]
  readonly find: string
  readonly show: Shown
  readonly by: By
  /** Names of the presses there are. */
  readonly presses: readonly string[]
  readonly planning: number
  readonly page: PageOf
}

/** How long a deleted order can be brought back, in days. */
const KEPT = 30

const TITLES: Readonly<Record<Shown, string>> = {
  current: 'Orders',
  open: 'Orders',
  all: 'Orders',
  done: 'Gone orders',
  deleted: 'Deleted orders',
}
const LISTS = [
  { show: 'current', href: '/orders', label: 'Orders in the house' },
  { show: 'done', href: '/orders?show=done', label: 'Gone' },
  { show: 'deleted', href: '/orders?show=deleted', label: 'Deleted' },
] as const

/** Every order in the house by due date, then those gone lately; found by words, narrowed by how far they are, press and day. */
export function OrderList({ shopName, lines, find, show, by, presses, planning, page }: Props) {
  const make = useNewOrder()
  const waitsOf = waitsFor(lines)
  return (
    <AskFrame shopName={shopName}>
      <Flex align="baseline" gap="5" mb="3" wrap="wrap">
        <PageTitle>{TITLES[show]}</PageTitle>
        <Box color="soft">{page.total.toLocaleString('en')}</Box>
        <FindInList
          key={show}
          find={find}
          placeholder="customer, job or number (f)"
          path={(text) => listPath(text, show, by)}
        />
        {show === 'current' && <Narrow find={find} by={by} presses={presses} />}
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
        <Empty says={noneWords(find, show, by)}>
          {find === '' && show === 'current' && !isNarrowed(by) && (
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
              <Line key={line.id} line={line} waits={waitsOf(line)} />
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
function noneWords(find: string, show: Shown, by: By): string {
  if (isNarrowed(by)) return 'No order is like that.'
  if (find) return `No order with “${find}”.`
  if (show === 'deleted') return 'Nothing was deleted in the last 30 days.'
  if (show === 'done') return 'No order is gone yet. Say so at the order.'
  return 'No open order. Type one in, or import a file of them.'
}

const isNarrowed = (by: By) => Boolean(by.is || by.press || by.due)

/** Narrows the list by how far an order is, by press and by day. */
function Narrow({ find, by, presses }: Pick<Props, 'find' | 'by' | 'presses'>) {
  const router = useRouter()
  const pick = (part: Partial<By>) => router.replace(listPath(find, 'current', { ...by, ...part }))
  const choices = [
    { key: 'is', label: 'How far', any: 'however far', of: Object.entries(IS) },
    { key: 'press', label: 'Press', any: 'any press', of: presses.map((p) => [p, p] as const) },
    { key: 'due', label: 'Due', any: 'whenever due', of: Object.entries(DUE).map(([d, x]) => [d, x.words]) },
  ] as const
  return (
    <Flex gap="3" fontSize="small">
      {choices.map(({ key, label, any, of }) => (
        <Select
          key={key}
          aria-label={label}
          value={by[key]}
          fontWeight={by[key] ? '700' : '400'}
          onChange={(e) => pick({ [key]: e.target.value })}
        >
          <option value="">{any}</option>
          {of.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </Select>
      ))}
    </Flex>
  )
}

function Line({ line, waits }: { readonly line: OrderLine; readonly waits: string }) {
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
      <td>
        <Day at={line.due} />
      </td>
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
            Gone{' '}
            <TextButton onClick={() => void act('markOrder', { id: line.id, mark: 'open', is: true })}>
              Open {line.id} again
            </TextButton>{' '}
            <Reorder id={line.id} as="reorder" />
          </>
        ) : line.wrong ? (
          <Link href={`/orders/${line.id}/order`} _hover={{ textDecoration: 'underline' }}>
            <SeverityMark severity="Stop" /> {line.wrong}
          </Link>
        ) : (
          stateOf(line, waits)
        )}
      </td>
    </tr>
  )
}

function stateOf(line: OrderLine, waits: string): string {
  if (line.state !== 'open') return ORDER_STATES[line.state]
  return [planOf(line), waits && `waits: ${waits}`].filter(Boolean).join(', ')
}

/** How far the plan is. */
function planOf({ missing, runs }: OrderLine): string {
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
