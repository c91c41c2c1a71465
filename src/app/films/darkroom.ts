import { proxy, type Remote } from 'comlink'
import type { FilmsWorker, Outcome, Report, SetOrder } from '@/workers/films'
import { Cancelled, threadOf, type Urgency } from '../thread'

/** The thread that reads films; kept for what it remembers. */
const room = threadOf<FilmsWorker>('films.start.mjs')

/** Looks into files as they come in, apart: a bad one is not waited for by those who read. */
const door = threadOf<FilmsWorker>('films.start.mjs', 'door')
/** Milliseconds. */
const DOOR_LIMIT = 15_000

/** Pages of a file that came in. @throws TooLong for one that was made to be looked at for ever */
export const pagesOf = (path: string) => door.ask((api) => api.pages(path), { limit: DOOR_LIMIT })

/** The largest film of the trade is read in seconds; what takes longer was never meant to be read. Milliseconds. */
const LIMIT = 120_000

/** Lets the thread do one thing after another. @throws TooLong: the thread is ended, others go on with a new one */
export const inDarkroom = <T>(
  act: (api: Remote<FilmsWorker>) => Promise<T>,
  urgency: Urgency = 'now',
): Promise<T> => room.ask(act, { urgency, limit: LIMIT })

/**
 * Reads a set, telling how far it is.
 *
 * @throws Cancelled when `signal` says so: the thread is ended, and what it remembered is read again when needed
 */
export function readFilms(
  order: SetOrder,
  report: (r: Report) => void,
  signal: AbortSignal,
  urgency: Urgency = 'now',
): Promise<Outcome> {
  return inDarkroom(async (api) => {
    if (signal.aborted) throw new Cancelled()
    const stop = () => room.stop()
    signal.addEventListener('abort', stop, { once: true })
    try {
      return await api.read(order, proxy(report))
    } finally {
      signal.removeEventListener('abort', stop)
    }
  }, urgency)
}
