import { listBackups } from '@/store/backup'
import { dataFolder } from '@/store/database'
import { damage } from './damage'
import { Recovery } from './Recovery'

export const metadata = { title: 'Recover' }

export default async function RecoverPage() {
  return <Recovery folder={dataFolder()} problem={await damage()} backups={await listBackups()} />
}
