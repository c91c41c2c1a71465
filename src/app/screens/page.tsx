import { database } from '@/store/database'
import { ahead } from '../today'
import { ScreenRoom } from './ScreenRoom'

export default async function ScreensPage() {
  const { jobs, planning, later } = await ahead(await database())
  return <ScreenRoom jobs={jobs} planning={planning} later={later} />
}
