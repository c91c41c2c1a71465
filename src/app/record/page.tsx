import { allAccounts } from '@/store/accounts'
import { changeStamp, database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { Seen } from '../Seen'
import { RecordBoard } from './RecordBoard'

export const metadata = { title: 'Record' }

/** What came of all runs: pace, spoils, where time goes. */
export default async function RecordPage() {
  const db = await database()
  const stamp = await changeStamp(db)
  const { shelf } = await loadShop(db)
  const accounts = await allAccounts(db)
  return (
    <>
      <Seen stamp={stamp} />
      <RecordBoard
        shopName={shelf.shop.name}
        planned={shelf.shop.setupPerScreen}
        // Pieces by the minute are told where one run is.
        accounts={accounts.map((a) => ({ ...a, through: [] }))}
      />
    </>
  )
}
