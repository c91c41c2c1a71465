import { expect, it } from 'vitest'
import type { Office } from '@/workers/office'
import { TooLong, threadOf } from './thread'

it('what never ends is given up, and the thread begun anew: others go on', async () => {
  const thread = threadOf<Office>('office.start.mjs', 'tried')
  const never = thread.ask(() => new Promise<never>(() => undefined), { limit: 300 })
  // Asked meanwhile: it waits its turn, and gets a new thread.
  const next = thread.ask((api) => api.summarize([]), { limit: 20_000 }).catch((e: Error) => e.message)
  await expect(never).rejects.toBeInstanceOf(TooLong)
  expect(await next).toBe('the office knows no shop')
})
