import { listBackups } from '@/store/backup'
import { dataFolder } from '@/store/database'
import { Data } from './Data'

export default async function DataPage() {
  return <Data folder={dataFolder()} backups={await listBackups()} />
}
