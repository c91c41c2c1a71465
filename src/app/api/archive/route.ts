import { readArchiveFile, writeArchiveFile } from '@/formats'
import { readArchive, replaceAll } from '@/store/archive'
import { backUp } from '@/store/backup'
import { database } from '@/store/database'
import type { Revision } from '@/store/revisions'
import { file, json, write } from '../answer'

/** Everything, as one file. */
export async function GET(): Promise<Response> {
  return file(
    writeArchiveFile(await readArchive(await database())),
    'application/json',
    'orvint-archive.json',
  )
}

/** Replaces everything by an archive. What was there is backed up first. */
export async function POST(request: Request): Promise<Response> {
  return write(request, async () => {
    const read = readArchiveFile<Revision>(await request.text())
    if (!read.ok) return json({ wrong: read.wrong }, 400)
    const db = await database()
    const backup = await backUp(db, new Date())
    await replaceAll(db, read.archive)
    return json({ orders: read.archive.orders.length, backup })
  })
}
