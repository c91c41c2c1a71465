import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { PressEvent } from '@/core/record'
import { onceId } from '../../../acts/act'

interface Kept extends DBSchema {
  /** Events that the server has not said it has. */
  waiting: {
    key: string
    value: { readonly runId: string; readonly event: PressEvent }
    indexes: { runId: string }
  }
  /** The name of this tablet, and the number of its last event. */
  pad: { key: 'pad'; value: { readonly name: string; readonly seq: number } }
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

/** Keeps an event on this tablet until the server has it, and gives it its stamp; both or neither. */
export async function keep(runId: string, said: object): Promise<PressEvent> {
  const tx = (await open()).transaction(['waiting', 'pad'], 'readwrite')
  const last = (await tx.objectStore('pad').get('pad')) ?? { name: onceId().slice(0, 8), seq: 0 }
  const seq = last.seq + 1
  const event = {
    ...{ id: onceId(), pad: last.name, seq, at: new Date().toISOString() },
    ...said,
  } as PressEvent
  await Promise.all([
    tx.objectStore('pad').put({ ...last, seq }, 'pad'),
    tx.objectStore('waiting').put({ runId, event }),
    tx.done,
  ])
  return event
}

/** What waits to be sent, in the order it was said. */
export const waiting = async (runId: string): Promise<readonly PressEvent[]> =>
  (await (await open()).getAllFromIndex('waiting', 'runId', runId))
    .map(({ event }) => event)
    .sort((a, b) => a.seq - b.seq)

/** The server has these. */
export async function sent(ids: readonly string[]): Promise<void> {
  const tx = (await open()).transaction('waiting', 'readwrite')
  await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done])
}
