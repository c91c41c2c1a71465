import { database } from '@/store/database'
import { everyScreenJob } from '../today'
import { ScreenRoom } from './ScreenRoom'

export default async function ScreensPage() {
  return <ScreenRoom jobs={await everyScreenJob(await database())} />
}
