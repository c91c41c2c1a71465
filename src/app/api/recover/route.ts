import { object, string } from 'yup'
import { replaceDamaged } from '@/store/backup'
import { damage } from '../../recover/damage'
import { brought, json, write } from '../answer'

const asked = object({ name: string().strict().max(80).required('Which backup?') })

/** Puts a backup in place of data that cannot be read. Data that can be read is left alone. */
export async function POST(request: Request): Promise<Response> {
  return write(request, async () => {
    const { name } = await brought(request, asked)
    if ((await damage()) === '')
      return json(
        { wrong: ['The data can be read, so it stays. Use Shop, Data to go back to a backup.'] },
        409,
      )
    const done = await replaceDamaged(name, new Date())
    return done.ok ? json({ kept: done.before }) : json({ wrong: [done.message] }, 400)
  })
}
