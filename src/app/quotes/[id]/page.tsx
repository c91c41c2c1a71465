import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { changeStamp, database } from '@/store/database'
import { picturedPrints } from '@/store/films'
import { Seen } from '../../Seen'
import { quoteAsked, readQuote } from '../read'
import { QuoteDesk } from './QuoteDesk'

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<Readonly<Record<string, string | readonly string[]>>>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `Quote ${(await params).id}` }
}

/** What an order costs its customer, and what it will look like. */
export default async function QuotePage({ params, searchParams }: Props) {
  const { id } = await params
  const asked = quoteAsked(await searchParams)
  const db = await database()
  const stamp = await changeStamp(db)
  const read = await readQuote(db, id, asked)
  if (!read) notFound()
  return (
    <>
      <Seen stamp={stamp} />
      <QuoteDesk
        asked={asked}
        content={{
          metric: read.contentIn({ ...read.reader, measure: 'metric' }),
          inch: read.contentIn({ ...read.reader, measure: 'inch' }),
        }}
        pictured={[...((await picturedPrints(db, [id])).get(id) ?? [])]}
      />
    </>
  )
}
