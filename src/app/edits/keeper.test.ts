import { beforeEach, expect, it, vi } from 'vitest'
import { type Change, fittedAll } from '@/core/change'
import { inLine, keeper } from './keeper'
import type { Stored } from './save'

type Job = Readonly<Record<string, string>>

const subject = { kind: 'decisions', id: 'R-1' } as const

/** What was sent along with a page that was left. */
let sent: readonly Change[] = []

beforeEach(() => {
  const kept = new Map<string, string>()
  sent = []
  vi.stubGlobal('sessionStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => kept.set(k, v),
    removeItem: (k: string) => kept.delete(k),
  })
  vi.stubGlobal('fetch', async (_: string, { body }: { readonly body: string }) => {
    sent = JSON.parse(body).changes
    return new Response('{"ok":true}')
  })
})

/** A page that read `value`; `store` answers its saves. */
const page = (value: Job, version: number, store: () => Promise<Stored<Job>>) =>
  keeper<Job>(
    subject,
    { value, version },
    () => ({ store, label: () => '', stored: () => undefined }),
    inLine(),
  )

const waits = (): Promise<Stored<Job>> => new Promise(() => undefined)

it('a page read too early and left at once goes by way of what the page before it sent', () => {
  page({ press: 'six' }, 1, waits).leave({ press: 'six' })
  expect(sent).toEqual([])
  const first = page({ press: 'six' }, 1, waits)
  first.send({ kind: 'whole', value: { press: 'bench' } })
  first.leave({ press: 'bench' })
  const second = page({ press: 'six' }, 1, waits)
  // Seen while something is typed, and not built on.
  second.send({ kind: 'typed' })
  second.send({ kind: 'read', read: { value: { press: 'bench' }, version: 2 }, there: true })
  second.leave({ press: 'four' })
  for (const there of [{ press: 'six' }, { press: 'bench' }, { press: 'four' }])
    expect(fittedAll(there, sent)).toEqual({ press: 'four' })
})

it('what a page sent is not made again once it was built on and taken back', () => {
  const first = page({ press: 'six' }, 1, waits)
  first.send({ kind: 'whole', value: { press: 'bench' } })
  first.leave({ press: 'bench' })
  const second = page({ press: 'bench' }, 2, waits)
  second.send({ kind: 'read', read: { value: { press: 'six' }, version: 3 }, there: true })
  second.send({ kind: 'typed' })
  second.leave({ press: 'six', flood: 'slow' })
  expect(fittedAll({ press: 'six' }, sent)).toEqual({ press: 'six', flood: 'slow' })
})

it('what was sent half a minute ago is stored or lost: nothing goes by way of it', () => {
  vi.useFakeTimers()
  const first = page({ press: 'six' }, 1, waits)
  first.send({ kind: 'whole', value: { press: 'bench' } })
  first.leave({ press: 'bench' })
  vi.advanceTimersByTime(31_000)
  const second = page({ press: 'six' }, 5, waits)
  second.send({ kind: 'typed' })
  second.leave({ press: 'six', flood: 'slow' })
  expect(sent).toEqual([{ path: ['flood'], to: 'slow' }])
  vi.useRealTimers()
})
