import { isDay } from '@/core/quantity'
import { isoOf } from '@/core/schedule'
import { changeStamp, database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { Seen } from '../../Seen'
import { crewDay, daysWithWork } from '../crew'
import { lanesAhead } from '../out'
import { CrewList } from './CrewList'

export const metadata = { title: 'List of the day' }

interface Props {
  readonly searchParams: Promise<{ readonly day?: string | string[] }>
}

export default async function CrewListPage({ searchParams }: Props) {
  const db = await database()
  const stamp = await changeStamp(db)
  const { shelf } = await loadShop(db)
  const known = await lanesAhead(db, new Date())
  const { day: wanted } = await searchParams
  const days = daysWithWork(known.lanes)
  const today = isoOf(known.lanes.now).slice(0, 10)
  const day = typeof wanted === 'string' && isDay(wanted) ? wanted : (days.find((d) => d >= today) ?? today)
  return (
    <>
      <Seen stamp={stamp} />
      <CrewList
        shopName={shelf.shop.name}
        list={crewDay(day, known)}
        people={known.people}
        before={days.findLast((d) => d < day)}
        next={days.find((d) => d > day)}
      />
    </>
  )
}
