import { database } from '@/store/database'
import { ahead } from '../../today'
import { DryerDesk } from './DryerDesk'
import { Heat } from './Heat'

export default async function HeatPage() {
  const { cures, planning, later } = await ahead(await database())
  return (
    <>
      <DryerDesk cures={cures} planning={planning} later={later} />
      <Heat />
    </>
  )
}
