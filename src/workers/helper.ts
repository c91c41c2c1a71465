import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { proxy, wrap } from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import type { Hand } from './reading'

let helper: Hand | undefined

/** The second pair of hands; its thread is started when it is first needed, and kept. Its end is the end of this thread. */
export function helperHand(): Hand {
  if (helper) return helper
  const worker = new Worker(join(import.meta.dirname, 'hand.start.mjs'), {
    resourceLimits: { maxOldGenerationSizeMb: 1024 },
  })
  worker.on('error', (error) => {
    throw error
  })
  const remote = wrap<Hand>(nodeEndpoint(worker))
  helper = {
    read: (films, sheet, shared, report) => remote.read(films, sheet, shared, proxy(report)),
    meet: (films, pairs) => remote.meet(films, pairs),
  }
  return helper
}
