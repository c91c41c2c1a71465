import { format } from 'date-fns'
import { roomLines } from '@/core/plan'
import { momentOf } from '@/core/schedule'
import { changeStamp, database } from '@/store/database'
import { limitedInk } from '@/store/inkRoom'
import { loadShop } from '@/store/shop'
import { offsetOf } from './offsetOf'
import { Seen } from './Seen'
import { FirstStart } from './Seldom'
import { TodayBoard } from './TodayBoard'
import { ahead, orderLines } from './today'

export const metadata = { title: 'Today' }

/** Orders on one page of Today. */
const PAGE = 20

interface Props {
  readonly searchParams: Promise<{ readonly from?: string }>
}

export default async function TodayPage({ searchParams }: Props) {
  const db = await database()
  const stamp = await changeStamp(db)
  const { shelf } = await loadShop(db)
  if (shelf.shop.presses.length === 0) return <FirstStart />
  const offset = offsetOf((await searchParams).from)
  const { lines, total } = await orderLines(db, { text: '', show: 'open', offset, limit: PAGE })
  const { jobs, planning } = await ahead(db)
  const room = roomLines(jobs, shelf.shop)
  const limited = await limitedInk(db)
  const now = momentOf(format(new Date(), "yyyy-MM-dd'T'HH:mm"))
  const screens = {
    waiting: room.filter((l) => l.next !== undefined).length,
    late: room.filter((l) => l.latest !== undefined && l.latest < now).length,
    bare: room.filter((l) => l.frame === undefined).length,
  }
  return (
    <>
      <Seen stamp={stamp} />
      <TodayBoard
        stamp={stamp}
        shopName={shelf.shop.name}
        today={format(new Date(), 'yyyy-MM-dd')}
        air={shelf.shop.air}
        lines={lines}
        screens={screens}
        limited={limited}
        planning={planning}
        page={{ offset, size: PAGE, total, path: '/' }}
      />
    </>
  )
}
