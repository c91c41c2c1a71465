'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { type Remote, wrap } from 'comlink'
import { useRouter } from 'next/navigation'
import { type ChangeEvent, useEffect, useMemo, useRef, useState } from 'react'
import type { Cloth, Order } from '@/core/order'
import { keysOf } from '@/core/quantity'
import type { CsvProblem } from '@/formats/csv'
import { type Mapping, ORDER_COLUMN_NAMES, ORDER_COLUMNS, type OrderColumn } from '@/formats/orderColumns'
import { DAY_ORDERS, type DayOrder } from '@/formats/writtenDays'
import { AskFirst } from '@/ui/Dialog'
import { Day } from '@/ui/day'
import { Input, Label, PageTitle } from '@/ui/elements'
import { Section, Table, TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { SeverityMark } from '@/ui/Severity'
import type { Importer } from '@/workers/importer'
import { AskFrame } from '../../AskFrame'
import { onceId } from '../../acts/act'
import { keepColumns, keptColumns } from './keptColumns'

interface Props {
  readonly shopName: string
  readonly cloths: readonly Cloth[]
  readonly taken: readonly string[]
  readonly next: number
}

interface CsvFile {
  readonly name: string
  readonly head: readonly string[]
  readonly count: number
  readonly first: readonly { readonly cells: readonly string[] }[]
}

/** Rows of the preview and of the report that are shown. */
const SHOWN = 12

/** Takes orders from a CSV file or a job file: mapped, previewed, and all or none. */
export function ImportDesk({ shopName, cloths, taken, next }: Props) {
  const router = useRouter()
  const importer = useRef<Remote<Importer>>(undefined)
  const [csv, setCsv] = useState<CsvFile>()
  const [mapping, setMapping] = useState<Mapping>({})
  const [read, setRead] = useState<{ orders: readonly Order[]; problems: readonly CsvProblem[] }>()
  const [wrong, setWrong] = useState<readonly string[]>([])
  const [job, setJob] = useState<{ readonly name: string; readonly text: string }>()
  const [busy, setBusy] = useState('')
  const [asking, setAsking] = useState(false)
  const [days, setDays] = useState<DayOrder>()
  const context = useMemo(() => ({ cloths, taken: new Set(taken), next }), [cloths, taken, next])
  useEffect(() => {
    const worker = new Worker(new URL('../../../workers/importer.ts', import.meta.url), { type: 'module' })
    importer.current = wrap<Importer>(worker)
    return () => worker.terminate()
  }, [])
  const preview = async (head: readonly string[], m: Mapping, d: DayOrder | undefined) => {
    setMapping(m)
    setDays(d)
    setBusy('Reading the records …')
    setRead(await importer.current?.orders(m, { ...context, days: d }))
    setBusy('')
    keepColumns({ head, mapping: m, days: d })
  }
  const open = async (e: ChangeEvent<HTMLInputElement>) => {
    const [file] = e.target.files ?? []
    if (!file) return
    setWrong([])
    setRead(undefined)
    setCsv(undefined)
    setJob(undefined)
    const text = await file.text()
    if (file.name.endsWith('.json') || text.trimStart().startsWith('{'))
      return setJob({ name: file.name, text })
    setBusy('Reading the file …')
    const opened = await importer.current?.open(text)
    if (!opened) return setBusy('')
    setCsv({ name: file.name, head: opened.head, count: opened.count, first: opened.first })
    const before = keptColumns(opened.head)
    await preview(opened.head, before?.mapping ?? opened.mapping, before?.days)
  }
  const take = async () => {
    setAsking(false)
    setBusy('Importing …')
    const path = `/api/orders/import${job ? '?as=job' : ''}`
    const sent = job ? job.text : JSON.stringify(read?.orders)
    const headers = { 'idempotency-key': onceId() }
    const answer = await fetch(path, { method: 'POST', body: sent, headers }).catch(() => undefined)
    if (!answer) {
      setBusy('')
      return setWrong(['Orvint does not answer: look whether it is still running, then import again.'])
    }
    const body = (await answer.json()) as { ids?: readonly string[]; wrong?: readonly string[] }
    setBusy('')
    if (!answer.ok) return setWrong(body.wrong ?? ['Nothing was imported.'])
    const [first] = body.ids ?? []
    router.push(body.ids?.length === 1 && first ? `/orders/${first}/order` : '/orders')
  }
  const ready =
    job !== undefined || (read !== undefined && read.orders.length > 0 && read.problems.length === 0)
  const count = job ? 1 : (read?.orders.length ?? 0)
  const words = `${count.toLocaleString('en')} ${count === 1 ? 'order' : 'orders'}`
  return (
    <AskFrame shopName={shopName}>
      <PageTitle>Import orders</PageTitle>
      <Box maxWidth="44rem" mt="2" mb="4">
        From a CSV file with one line a size, or from a job file. Either everything in it is taken or nothing.
      </Box>
      <Flex gap="5" align="center" mb="5">
        <Label fontWeight="650" display="inline-flex" gap="3" alignItems="center">
          File
          <Input
            type="file"
            accept=".csv,.txt,.json,text/csv,application/json"
            onChange={(e) => void open(e)}
          />
        </Label>
        <Box role="status" aria-label="Import" fontWeight="650">
          {busy}
        </Box>
        {ready && !busy && (
          <TextButton onClick={() => setAsking(true)} fontWeight="700" fontSize="lead">
            Import {words}
          </TextButton>
        )}
      </Flex>
      {wrong.length > 0 && (
        <Section title="Nothing was imported">
          {wrong.slice(0, SHOWN).map((w) => (
            <Box key={w} py="1" role="alert">
              <SeverityMark severity="Stop" /> {w}
            </Box>
          ))}
        </Section>
      )}
      {job && (
        <Box>Job file {job.name}: one order with the decisions of one run. The shop in it is not taken.</Box>
      )}
      {csv && (
        <Columns csv={csv} mapping={mapping} days={days} onMap={(m, d) => void preview(csv.head, m, d)} />
      )}
      {read && read.problems.length > 0 && <Problems problems={read.problems} />}
      {read && read.problems.length === 0 && <Preview orders={read.orders} />}
      {asking && (
        <AskFirst
          title={`Import ${words}?`}
          yes="Import"
          onYes={() => void take()}
          onNo={() => setAsking(false)}
        >
          They are added to what is there. Nothing that is there changes.
        </AskFirst>
      )}
    </AskFrame>
  )
}

interface ColumnsProps {
  readonly csv: CsvFile
  readonly mapping: Mapping
  readonly days: DayOrder | undefined
  readonly onMap: (mapping: Mapping, days: DayOrder | undefined) => void
}

/** Which column of the file holds what. */
function Columns({ csv, mapping, days, onMap }: ColumnsProps) {
  const set = (name: OrderColumn, value: string) => {
    const { [name]: _, ...others } = mapping
    onMap(value === '' ? others : { ...others, [name]: Number(value) }, days)
  }
  return (
    <Section
      title={`${csv.name}: ${csv.count.toLocaleString('en')} ${csv.count === 1 ? 'record' : 'records'}`}
    >
      <Grid
        templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: 'repeat(4, 1fr)' }}
        gap="3"
      >
        {ORDER_COLUMN_NAMES.map((name) => {
          const { label, needed } = ORDER_COLUMNS[name]
          const at = mapping[name]
          return (
            <Box key={name}>
              <Label htmlFor={`column-${name}`} display="block" fontSize="small" color="soft">
                {label}
                {needed ? ', needed' : ''}
              </Label>
              <Select
                id={`column-${name}`}
                field
                own={needed && at === undefined}
                value={at ?? ''}
                onChange={(e) => set(name, e.target.value)}
              >
                <option value="">not in the file</option>
                {csv.head.map((h, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: two columns may have the same head
                  <option key={i} value={i}>
                    {h || `column ${i + 1}`}
                  </option>
                ))}
              </Select>
              <Box fontSize="small" color="soft" truncate>
                {at === undefined
                  ? '\u00a0'
                  : csv.first
                      .map((r) => r.cells[at])
                      .filter(Boolean)
                      .join(' · ') || 'empty'}
              </Box>
            </Box>
          )
        })}
        <Box>
          <Label htmlFor="days-written" display="block" fontSize="small" color="soft">
            Days are written
          </Label>
          <Select
            id="days-written"
            field
            value={days ?? ''}
            onChange={(e) => onMap(mapping, e.target.value === '' ? undefined : (e.target.value as DayOrder))}
          >
            <option value="">as the file tells</option>
            {keysOf(DAY_ORDERS).map((order) => (
              <option key={order} value={order}>
                {DAY_ORDERS[order]}
              </option>
            ))}
          </Select>
        </Box>
      </Grid>
    </Section>
  )
}

const Problems = ({ problems }: { readonly problems: readonly CsvProblem[] }) => (
  <Section title={`${problems.length.toLocaleString('en')} to mend before anything is imported`}>
    <Table role="alert">
      <thead>
        <tr>
          <th className="num" style={{ width: '5rem' }}>
            Line
          </th>
          <th style={{ width: '12rem' }}>Column</th>
          <th>What is wrong</th>
        </tr>
      </thead>
      <tbody>
        {problems.slice(0, SHOWN).map((p) => (
          <tr key={`${p.line} ${p.column} ${p.message}`}>
            <td className="num">{p.line}</td>
            <td>{p.column}</td>
            <td>{p.message}</td>
          </tr>
        ))}
      </tbody>
    </Table>
    {problems.length > SHOWN && (
      <Box color="soft">and {(problems.length - SHOWN).toLocaleString('en')} more</Box>
    )}
  </Section>
)

function Preview({ orders }: { readonly orders: readonly Order[] }) {
  const pieces = (o: Order) => o.lines.flatMap((l) => l.sizes).reduce((sum, s) => sum + s.quantity, 0)
  return (
    <Section title="What would be taken">
      <Table>
        <thead>
          <tr>
            <th>Number</th>
            <th>Customer</th>
            <th>Job</th>
            <th>Due</th>
            <th>Garments</th>
            <th className="num">Pieces</th>
          </tr>
        </thead>
        <tbody>
          {orders.slice(0, SHOWN).map((o) => (
            <tr key={o.id}>
              <td>{o.id}</td>
              <td>{o.customer}</td>
              <td>{o.title}</td>
              <td>
                <Day at={o.due} />
              </td>
              <td>{o.lines.map((l) => `${l.style}, ${l.cloth.name}`).join('; ')}</td>
              <td className="num">{pieces(o)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {orders.length > SHOWN && (
        <Box color="soft">and {(orders.length - SHOWN).toLocaleString('en')} more</Box>
      )}
      <Box mt="3" color="soft">
        Prints and colours are not in the file: each order comes with one empty full front.
      </Box>
    </Section>
  )
}
