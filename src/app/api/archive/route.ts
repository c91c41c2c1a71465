import { readArchiveFile, writeArchiveFile } from '@/formats'
import { readArchive, replaceAll } from '@/store/archive'
import { backUp } from '@/store/backup'
import { database } from '@/store/database'
import type { InkBook } from '@/store/inkBook'
import { isMisfit } from '@/store/problems'
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
    const read = readArchiveFile<Revision, InkBook>(await request.text())
    if (!read.ok) return json({ wrong: read.wrong }, 400)
    const db = await database()
    const backup = await backUp(db, new Date())
    try {
      await replaceAll(db, read.archive)
    } catch (error) {
      if (!isMisfit(error)) throw error
      return json({ wrong: [`Its parts do not fit together: ${(error as Error).message}.`] }, 400)
    }
    return json({ orders: read.archive.orders.length, backup })
  })
}
