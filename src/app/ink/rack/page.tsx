import { database } from '@/store/database'
import { ledger, loadInkStock } from '@/store/inkRoom'
import { Rack } from './Rack'

/** Lines of the ledger that are shown. */
const SHOWN = 60

export default async function RackPage() {
  const db = await database()
  const [{ cans }, entries] = await Promise.all([loadInkStock(db), ledger(db, SHOWN)])
  return <Rack cans={cans} entries={entries} />
}
