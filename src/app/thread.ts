import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { type Remote, wrap } from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'

/** A thread of the server, and how to end it. */
interface Running<W> {
  readonly api: Remote<W>
  readonly stop: () => Promise<unknown>
  /** Rejects when the thread ends, so that no one waits for it in vain. */
  readonly ended: Promise<never>
}

/** Someone gave up waiting. */
export class Cancelled extends Error {}
/** It took longer than anything that is meant. */
export class TooLong extends Error {}

/** Someone looks at the page that asked, or it may come when nothing else is to be done. */
export type Urgency = 'now' | 'later'

/** How one thing is asked of a thread. */
interface Asking {
  readonly urgency?: Urgency
  /** Milliseconds after which the thread is ended; the next asks a new one. */
  readonly limit: number
}

export interface Thread<W> {
  /** Does one thing after another; what is wanted now goes before what may come later. @throws TooLong, Cancelled */
  readonly ask: <T>(act: (api: Remote<W>) => Promise<T>, how: Asking) => Promise<T>
  /** Ends what runs; what it remembered is worked out again when needed. */
  readonly stop: () => void
}

function start<W>(source: string, onEnd: (thread: Running<W>) => void): Running<W> {
  // The thread runs from the source, as the scripts do: a bundler need not know of it.
  const parts = ['src', 'workers', source]
  const worker = new Worker(join(/* turbopackIgnore: true */ process.cwd(), ...parts), {
    resourceLimits: { maxOldGenerationSizeMb: 1024 },
  })
  // The server may end while the thread waits for work.
  worker.unref()
  const ended = new Promise<never>((_, reject) => {
    worker.on('error', reject)
    worker.on('exit', () => reject(new Cancelled('The work was put away.')))
  })
  const thread: Running<W> = {
    api: wrap<W>(nodeEndpoint(worker)),
    stop: () => {
      onEnd(thread)
      return worker.terminate()
    },
    ended,
  }
  // A thread that is ending takes nothing new, even while it still answers.
  ended.catch(() => onEnd(thread))
  return thread
}

const shared = globalThis as { orvintThreads?: Map<string, Thread<unknown>> }

/** The one thread of this name; it outlives hot reloads and starts when it is first needed. */
export function threadOf<W>(source: string, name: string = source): Thread<W> {
  shared.orvintThreads ??= new Map()
  const found = shared.orvintThreads.get(name) ?? (newThread<W>(source) as Thread<unknown>)
  shared.orvintThreads.set(name, found)
  return found as Thread<W>
}

function newThread<W>(source: string): Thread<W> {
  const line: Record<Urgency, (() => Promise<void>)[]> = { now: [], later: [] }
  let busy = false
  let running: Running<W> | undefined
  const forget = (thread: Running<W>) => {
    if (running === thread) running = undefined
  }
  const turn = async <T>(act: (api: Remote<W>) => Promise<T>, limit: number): Promise<T> => {
    running ??= start<W>(source, forget)
    const thread = running
    let timer: NodeJS.Timeout | undefined
    const late = new Promise<never>((_, reject) => {
      timer = setTimeout(() => {
        reject(new TooLong(`It took longer than ${Math.round(limit / 1000)} seconds.`))
        void thread.stop()
      }, limit)
    })
    late.catch(() => undefined)
    try {
      return await Promise.race([act(thread.api), thread.ended, late])
    } finally {
      clearTimeout(timer)
    }
  }
  const serve = async () => {
    if (busy) return
    busy = true
    for (;;) {
      const next = line.now.shift() ?? line.later.shift()
      if (!next) break
      await next()
    }
    busy = false
  }
  return {
    ask: (act, { urgency = 'now', limit }) =>
      new Promise((resolve, reject) => {
        line[urgency].push(() => turn(act, limit).then(resolve, reject))
        void serve()
      }),
    stop: () => void running?.stop(),
  }
}
