import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { proxy, type Remote, wrap } from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import type { SetFacts } from '@/core/artwork'
import type { FilmsWorker, Report, SetOrder } from '@/workers/films'

/** The thread that reads films; started when first needed, kept for what it remembers. */
interface Thread {
  readonly api: Remote<FilmsWorker>
  readonly stop: () => Promise<unknown>
  /** Rejects when the thread ends, so that no one waits for it in vain. */
  readonly ended: Promise<never>
}

/** Someone looks at the page that asked, or it is a picture that may come when nothing else is to be done. */
export type Urgency = 'now' | 'later'

/** Who waits for the thread. */
interface Line extends Record<Urgency, (() => Promise<void>)[]> {
  busy: boolean
}

const shared = globalThis as {
  orvintFilms?: Thread | undefined
  orvintFilmLine?: Line
}

/** Someone gave up reading. */
export class Cancelled extends Error {}

function start(): Thread {
  // The thread runs from the source, as the scripts do: a bundler need not know of it.
  const source = ['src', 'workers', 'films.start.mjs']
  const worker = new Worker(join(process.cwd(), ...source))
  // The server may end while the thread waits for work.
  worker.unref()
  const ended = new Promise<never>((_, reject) => {
    worker.on('error', reject)
    worker.on('exit', () => reject(new Cancelled('The films were put away.')))
  })
  const thread: Thread = {
    api: wrap<FilmsWorker>(nodeEndpoint(worker)),
    stop: () => {
      forget()
      return worker.terminate()
    },
    ended,
  }
  // A thread that is ending takes nothing new, even while it still answers.
  const forget = () => {
    if (shared.orvintFilms === thread) shared.orvintFilms = undefined
  }
  ended.catch(forget)
  return thread
}

/** Lets the thread do one thing after another; what is wanted now goes before what may come later. */
export function inDarkroom<T>(
  act: (api: Remote<FilmsWorker>) => Promise<T>,
  urgency: Urgency = 'now',
): Promise<T> {
  shared.orvintFilmLine ??= { busy: false, now: [], later: [] }
  const line = shared.orvintFilmLine
  const turn = async () => {
    shared.orvintFilms ??= start()
    const { api, ended } = shared.orvintFilms
    return Promise.race([act(api), ended])
  }
  return new Promise<T>((resolve, reject) => {
    line[urgency].push(() => turn().then(resolve, reject))
    void serve(line)
  })
}

async function serve(line: Line): Promise<void> {
  if (line.busy) return
  line.busy = true
  for (;;) {
    const next = line.now.shift() ?? line.later.shift()
    if (!next) break
    await next()
  }
  line.busy = false
}

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
): Promise<SetFacts | undefined> {
  return inDarkroom(async (api) => {
    if (signal.aborted) throw new Cancelled()
    const stop = () => void shared.orvintFilms?.stop()
    signal.addEventListener('abort', stop, { once: true })
    try {
      return await api.read(order, proxy(report))
    } finally {
      signal.removeEventListener('abort', stop)
    }
  }, urgency)
}
