import { type Remote, wrap } from 'comlink'
import type { Planner } from '@/workers/planner'

/** The planner is one for the tab; pages come and go. */
let remote: Remote<Planner> | undefined
export function planner(): Remote<Planner> {
  remote ??= wrap<Planner>(new Worker(new URL('../workers/planner.ts', import.meta.url), { type: 'module' }))
  return remote
}
