import { database } from '@/store/database'
import { ledger, pastBatches } from '@/store/inkRoom'
import { History } from './History'

/** Batches and lines of the ledger that are shown. */
const SHOWN = { batches: 300, entries: 60 } as const

export default async function HistoryPage() {
  const db = await database()
  const [batches, entries] = await Promise.all([pastBatches(db, SHOWN.batches), ledger(db, SHOWN.entries)])
  return <History batches={batches} entries={entries} />
}
