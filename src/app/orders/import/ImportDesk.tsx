'use client'

import { Box, Flex } from '@chakra-ui/react'
import { type Remote, wrap } from 'comlink'
import { useRouter } from 'next/navigation'
import { type ChangeEvent, useEffect, useMemo, useRef, useState } from 'react'
import { type Cloth, SIZE_NAMES } from '@/core/order'
import { NOT_MENDED } from '@/formats/orderCells'
import type { OrdersRead } from '@/formats/ordersCsv'
import { AskFirst } from '@/ui/Dialog'
import { Input, Label, PageTitle } from '@/ui/elements'
import { Section, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import type { Importer } from '@/workers/importer'
import { AskFrame } from '../../AskFrame'
import { onceId } from '../../acts/act'
import { Columns, type CsvFile } from './Columns'
import { type HowRead, howToRead, keepHowRead } from './keptColumns'
import { Preview } from './Preview'
import { Problems, ReadOtherwise } from './Problems'
import { SHOWN } from './shown'

const AS_WRITTEN: HowRead = { mapping: {}, days: undefined, mended: NOT_MENDED }

interface Props {
  readonly shopName: string
  readonly cloths: readonly Cloth[]
  readonly taken: readonly string[]
  readonly next: number
}

/** Takes orders from a CSV file or a job file: mapped, previewed, and all or none. */
export function ImportDesk({ shopName, cloths, taken, next }: Props) {
  const router = useRouter()
  const importer = useRef<Remote<Importer>>(undefined)
  const [csv, setCsv] = useState<CsvFile>()
  const [how, setHow] = useState<HowRead>(AS_WRITTEN)
  const [read, setRead] = useState<OrdersRead>()
  const [wrong, setWrong] = useState<readonly string[]>([])
  const [job, setJob] = useState<{ readonly name: string; readonly text: string }>()
  const [busy, setBusy] = useState('')
  const [asking, setAsking] = useState(false)
  const context = useMemo(() => ({ cloths, taken: new Set(taken), next }), [cloths, taken, next])
  const meant = useMemo(() => ({ cloth: cloths.map((c) => c.name), size: SIZE_NAMES }), [cloths])
  useEffect(() => {
    const worker = new Worker(new URL('../../../workers/importer.ts', import.meta.url), { type: 'module' })
    importer.current = wrap<Importer>(worker)
    return () => worker.terminate()
  }, [])
  const taking = useRef<HTMLButtonElement>(null)
  /** By key: to what is still to be mended, else to what takes it all. */
  const goesOn = useRef(false)
  useEffect(() => {
    if (busy || !read || !goesOn.current) return
    goesOn.current = false
    const next = document.querySelector<HTMLElement>('[data-mend]') ?? taking.current
    next?.focus()
  }, [busy, read])
  const preview = async (head: readonly string[], next: HowRead) => {
    setHow(next)
    setBusy('Reading the records …')
    const { mapping, days, mended } = next
    setRead(await importer.current?.orders(mapping, { ...context, days, mended }))
    setBusy('')
    keepHowRead(head, next)
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
    await preview(opened.head, howToRead(opened.head, opened.mapping))
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
          <TextButton ref={taking} onClick={() => setAsking(true)} fontWeight="700" fontSize="lead">
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
        <Columns
          csv={csv}
          mapping={how.mapping}
          days={how.days}
          onMap={(mapping, days) => void preview(csv.head, { ...how, mapping, days })}
        />
      )}
      {csv && read && read.problems.length > 0 && (
        <Problems
          problems={read.problems}
          mended={how.mended}
          meant={meant}
          onMend={(mended, byKey = false) => {
            goesOn.current = byKey
            void preview(csv.head, { ...how, mended })
          }}
        />
      )}
      {csv && (
        <ReadOtherwise mended={how.mended} onMend={(mended) => void preview(csv.head, { ...how, mended })} />
      )}
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
