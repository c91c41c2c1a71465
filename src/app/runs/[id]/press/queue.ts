import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { PressEvent, Said } from '@/core/record'
import { onceId } from '../../../acts/act'

/** This tablet: its name, the number of its last event and when that was, who works with it, how far its clock is off. */
interface Pad {
  readonly name: string
  readonly seq: number
  /** Of the last event, ms: no later one is earlier. */
  readonly last?: number
  readonly by?: string
  /** What is added to its clock, ms. */
  readonly offset?: number
}

/** An event that the server has not said it has; why it does not take it. */
interface Waiting {
  readonly runId: string
  readonly event: PressEvent
  readonly refused?: string
}

interface Kept extends DBSchema {
  waiting: { key: string; value: Waiting; indexes: { runId: string } }
  pad: { key: 'pad'; value: Pad }
}

let opened: Promise<IDBPDatabase<Kept>> | undefined

const open = () => {
  opened ??= openDB<Kept>('orvint-press', 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'event.id' }).createIndex('runId', 'runId')
      db.createObjectStore('pad')
    },
  })
  return opened
}

const newPad = (): Pad => ({ name: onceId().slice(0, 8), seq: 0 })
export const padNow = async (): Promise<Pad> => (await (await open()).get('pad', 'pad')) ?? newPad()

/** Notes something of this tablet. */
export async function notePad(more: Pick<Pad, 'by' | 'offset' | 'last'>): Promise<void> {
  const tx = (await open()).transaction('pad', 'readwrite')
  await tx.store.put({ ...((await tx.store.get('pad')) ?? newPad()), ...more }, 'pad')
  await tx.done
}

/** Keeps an event on this tablet until the server has it, and gives it its stamp; both or neither. */
export async function keep(runId: string, said: Said): Promise<PressEvent> {
  const tx = (await open()).transaction(['waiting', 'pad'], 'readwrite')
  const pad = (await tx.objectStore('pad').get('pad')) ?? newPad()
  const seq = pad.seq + 1
  const at = Math.max((pad.last ?? 0) + 1, Date.now() + (pad.offset ?? 0))
  const event: PressEvent = {
    ...{ id: onceId(), pad: pad.name, seq, at: new Date(at).toISOString() },
    ...(pad.by && { by: pad.by }),
    ...said,
  }
  await Promise.all([
    tx.objectStore('pad').put({ ...pad, seq, last: at }, 'pad'),
    tx.objectStore('waiting').put({ runId, event }),
    tx.done,
  ])
  return event
}

/** What waits to be sent, in the order it was said. */
export const waiting = async (runId: string): Promise<readonly Waiting[]> =>
  (await (await open()).getAllFromIndex('waiting', 'runId', runId)).sort((a, b) => a.event.seq - b.event.seq)

/** The server has these. */
export async function sent(ids: readonly string[]): Promise<void> {
  const tx = (await open()).transaction('waiting', 'readwrite')
  await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done])
}

/** The server does not take this one: it stays here with the reason, and holds up no other. */
export async function refused(id: string, why: string): Promise<void> {
  const tx = (await open()).transaction('waiting', 'readwrite')
  const kept = await tx.store.get(id)
  if (kept) await tx.store.put({ ...kept, refused: why })
  await tx.done
}
