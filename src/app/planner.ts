import { type Remote, wrap } from 'comlink'
import type { Planner } from '@/workers/planner'

/** The planner is one for the tab; pages come and go. */
let remote: Remote<Planner> | undefined
const waiting = new Set<() => void>()

export function planner(): Remote<Planner> {
  remote ??= wrap<Planner>(begun())
  return remote
}

function begun(): Worker {
  const worker = new Worker(new URL('../workers/planner.ts', import.meta.url), { type: 'module' })
  // Without a line its code may not come: it would never answer. Whoever asks next begins another.
  worker.addEventListener('error', (event) => {
    event.preventDefault()
    worker.terminate()
    remote = undefined
    for (const tell of waiting) tell()
  })
  return worker
}

/** Tells when the planner could not be had, so that nobody waits for its answer. Returns how to be told no more. */
export function onNoPlanner(tell: () => void): () => void {
  waiting.add(tell)
  return () => waiting.delete(tell)
}
