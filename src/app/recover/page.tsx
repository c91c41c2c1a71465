import { listBackups } from '@/store/backup'
import { damage } from './damage'
import { Recovery } from './Recovery'

export const metadata = { title: 'Recover' }

export default async function RecoverPage() {
  return <Recovery problem={await damage()} backups={await listBackups()} />
}
