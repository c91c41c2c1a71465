import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { beforeAll, describe, expect, it } from 'vitest'
import { partOf, SHOP_PARTS } from '@/core/equipment'
import { noDecisions } from '@/core/plan'
import { listBackups } from '@/store/backup'
import { closeDatabase, type Database, database } from '@/store/database'
import { DEMO_SHELF, seedDemo } from '@/store/demo'
import { ledger, loadBatch, loadInkStock } from '@/store/inkRoom'
import { loadOrder } from '@/store/orders'
import type { ActName } from './acts/table'
import { ACTS } from './acts/table'
import {
  AT,
  BODIES,
  filesIn,
  GIVEN,
  GOOD,
  type Handler,
  HOST,
  handlersOf,
  NEW_BATCH,
  once,
  order,
  ROUTES,
  RUN,
} from './door.fixtures'
import { NONSENSE, placesIn, withAt } from './nonsense.fixtures'

let db: Database
beforeAll(async () => {
  process.env.ORVINT_DATA = mkdtempSync(join(tmpdir(), 'orvint-door-'))
  await closeDatabase()
  db = await database()
  await seedDemo(db, '2026-11-23')
})

/** Sends something; a refusal is told in words, and nothing is ever a fault of our own. */
async function send(
  { method, handler }: { readonly method: string; readonly handler: Handler },
  params: Readonly<Record<string, string>>,
  body?: string,
  query = '',
): Promise<Response> {
  const init = {
    method,
    headers: { host: '127.0.0.1:3000', 'if-match': '"1"' },
    ...(body === undefined || method === 'GET' ? {} : { body }),
  }
  const answer = await handler(new Request(`${HOST}/api/x${query}`, init), {
    params: Promise.resolve(params),
  })
  const told = `${method} ${JSON.stringify(params)} ${body?.slice(0, 200)}: ${answer.status}`
  expect(answer.status, told).toBeLessThan(500)
  if (answer.status >= 400) {
    const { wrong } = (await answer.clone().json()) as { wrong: readonly string[] }
    expect(wrong?.[0], told).toMatch(/\w/)
  }
  return answer
}

const act = async (name: ActName, given: unknown, id = once()) => {
  const [handler] = await handlersOf('act/[name]')
  if (!handler) throw new Error('no door for acts')
  return send(handler, { name }, JSON.stringify({ once: id, given }))
}

describe('every door', () => {
  it('is a route that this walk knows; there is no other way in', () => {
    const inSource = filesIn(join(import.meta.dirname, '..')).filter(
      (f) => /\.tsx?$/.test(f) && !f.endsWith('door.test.ts'),
    )
    expect(inSource.filter((f) => /^\s*['"]use server['"]/m.test(readFileSync(f, 'utf8')))).toEqual([])
    for (const route of ROUTES)
      for (const name of route.match(/(?<=\[)\w+/g) ?? []) expect(GOOD).toHaveProperty(name)
    for (const key of Object.keys(BODIES)) expect(ROUTES).toContain(key.split(' ')[1])
  })
  it.each(ROUTES)('%s refuses nonsense in its address in words', async (route) => {
    const names = route.match(/(?<=\[)\w+/g) ?? []
    const odd = NONSENSE.filter((x) => typeof x === 'string')
    for (const handler of await handlersOf(route)) {
      const body = BODIES[`${handler.method} ${route}`]
      const text = body === undefined ? undefined : JSON.stringify(body)
      for (const name of names)
        for (const put of odd) await send(handler, { ...GOOD, [name]: put as string }, text)
      for (const query of [
        '?from=-1&width=1e9&revision=NaN&run=%00',
        '?film=x&key=y&level=1e9&x=-1&y=0.5',
        '?as=job&order=%22',
      ])
        await send(handler, GOOD, text, query)
    }
  })
  it.each(ROUTES)('%s refuses what is no JSON, nothing, and what nests too deep', async (route) => {
    for (const handler of await handlersOf(route)) {
      if (!(`${handler.method} ${route}` in BODIES)) continue
      for (const body of ['', '{', 'null', '7', '"x"', '[]', `${'['.repeat(5000)}${']'.repeat(5000)}`])
        await send(handler, GOOD, body)
    }
  })
  it.each(Object.entries(BODIES))(
    '%s refuses nonsense at every place of its body',
    async (key, body) => {
      const [method, route = ''] = key.split(' ')
      const handler = (await handlersOf(route)).find((h) => h.method === method)
      if (!handler) throw new Error(`no ${key}`)
      // The shop of a job is walked by its own save.
      const places = placesIn(body).filter((p) => p[0] !== 'shop' || p.length < 3)
      for (const [i, path] of places.entries())
        for (const put of NONSENSE.filter((_, k) => path.length < 3 || (i + k) % 6 === 0))
          await send(handler, GOOD, JSON.stringify(withAt(body, path, put)))
      // Hundreds of plans: only a door that hangs takes so long.
    },
    120_000,
  )
  it.each(Object.entries(GIVEN))('the act %s refuses nonsense at every place', async (name, given) => {
    for (const path of placesIn(given))
      for (const put of [...NONSENSE, undefined]) await act(name as ActName, withAt(given, path, put))
  })
  it('the whole shop and decisions too', async () => {
    const [handler] = await handlersOf('save/[kind]')
    if (!handler) throw new Error('no door to save')
    const save = (kind: string, id: string, value: unknown) =>
      send(handler, { kind }, JSON.stringify({ id, value, version: 999 }))
    for (const part of SHOP_PARTS) {
      const value = partOf(DEMO_SHELF, part)
      for (const [i, path] of placesIn(value).entries())
        await save('shop', part, withAt(value, path, NONSENSE[i % NONSENSE.length]))
    }
    await save('shop', 'constructor', partOf(DEMO_SHELF, 'frames'))
    const decided = {
      ...noDecisions(RUN),
      method: { white: 'highlight' },
      overrides: { mesh: 4300 },
      order: ['I1'],
    }
    for (const path of placesIn(decided))
      for (const put of NONSENSE) await save('decisions', RUN, withAt(decided, path, put))
  })
  it('no more than its size is read', async () => {
    const [handler] = await handlersOf('save/[kind]')
    let read = 0
    const body = new ReadableStream({
      pull(out) {
        read++
        out.enqueue(new Uint8Array(1024 ** 2))
      },
    })
    const request = new Request(`${HOST}/api/save/order`, {
      method: 'POST',
      body,
      duplex: 'half',
    } as RequestInit)
    const answer = await handler?.handler(request, { params: Promise.resolve({ kind: 'order' }) })
    expect(answer?.status).toBe(413)
    expect(read).toBeLessThan(10)
  })
  it('what another site sends through the browser is refused, whatever it calls itself', async () => {
    const [handler] = await handlersOf('act/[name]')
    const before = (await listBackups()).length
    for (const origin of ['http://elsewhere.example', 'null', 'nonsense'])
      expect(
        (
          await handler?.handler(
            new Request(`${HOST}/api/act/backUpNow`, {
              method: 'POST',
              headers: { origin, host: '127.0.0.1:3000' },
              body: JSON.stringify({ once: once(), given: {} }),
            }),
            { params: Promise.resolve({ name: 'backUpNow' }) },
          )
        )?.status,
      ).toBe(403)
    expect(await listBackups()).toHaveLength(before)
  })
})

describe('what is asked for with an id', () => {
  const answerOf = async (response: Response) =>
    (await response.json()) as { ok: boolean; message?: string; id?: string }
  const canOf = async () => (await loadInkStock(db)).cans.find((c) => c.mass > 1)
  it('is done once, however often it is sent', async () => {
    const can = await canOf()
    const made = await answerOf(
      await act('beginBatch', { batch: { ...NEW_BATCH, parts: [{ code: can?.code, share: 1 }] }, at: AT }),
    )
    const id = once()
    const given = { batchId: made.id, canId: can?.id, mass: 0.1, at: AT }
    const answers = await Promise.all([1, 2, 3].map(async () => answerOf(await act('pour', given, id))))
    expect(answers).toEqual([{ ok: true }, { ok: true }, { ok: true }])
    expect((await loadBatch(db, made.id ?? ''))?.mass).toBeCloseTo(0.1, 9)
    const twice = once()
    for (let i = 0; i < 3; i++) await act('undoPour', { batchId: made.id, at: AT }, twice)
    expect((await loadBatch(db, made.id ?? ''))?.mass).toBeCloseTo(0, 9)
    const entries = (await ledger(db, 50)).filter((e) => e.batchId === made.id)
    expect(entries).toHaveLength(4)
  })
  it('that says no leaves nothing behind, and may be asked for again', async () => {
    const can = await canOf()
    const { id: batchId = '' } = await answerOf(
      await act('beginBatch', { batch: { ...NEW_BATCH, parts: [{ code: can?.code, share: 1 }] }, at: AT }),
    )
    await act('pour', { batchId, canId: can?.id, mass: 0.2, at: AT })
    const before = await loadBatch(db, batchId)
    for (const [name, given, why] of [
      ['restoreBatch', { batchId, wanted: -1, out: 0.001, at: AT }, undefined],
      ['restoreBatch', { batchId, wanted: 0.7, out: 5, at: AT }, /holds only/],
      ['pour', { batchId, canId: can?.id, mass: 500, at: AT }, undefined],
      ['finishMix', { batchId: 'B-999999', at: AT }, /not on the bench/],
      ['moveInk', { batchId, mass: 0.1, kind: 'used', note: '', at: AT }, /Nothing was taken out/],
      ['addDrawdown', { ...GIVEN.addDrawdown, batchId }, /not mixed yet/],
    ] as const) {
      const said = (await (await act(name, given)).json()) as {
        ok?: boolean
        message?: string
        wrong?: readonly string[]
      }
      if (why) expect(said.message, name).toMatch(why)
      else expect(said.wrong, name).toHaveLength(1)
    }
    expect(await loadBatch(db, batchId)).toEqual(before)
    expect(await answerOf(await act('finishMix', { batchId, at: AT }))).toEqual({ ok: true })
    const judged = { ...GIVEN.addDrawdown.drawdown, verdict: 'accepted' }
    expect(await answerOf(await act('addDrawdown', { batchId, drawdown: judged }))).toEqual({ ok: true })
    expect((await answerOf(await act('finishMix', { batchId, at: AT }))).ok).toBe(false)
    expect(
      (await answerOf(await act('pour', { batchId, canId: can?.id, mass: 0.1, at: AT }))).message,
    ).toMatch(/was accepted/)
    expect((await loadBatch(db, batchId))?.state).toBe('accepted')
  })
  it('imports once; a number that is taken is told', async () => {
    const [handler] = await handlersOf('orders/import')
    const sent = (key: string, id: string) =>
      handler?.handler(
        new Request(`${HOST}/api/orders/import`, {
          method: 'POST',
          headers: { 'idempotency-key': key },
          body: JSON.stringify([{ ...order, id }]),
        }),
        { params: Promise.resolve({}) },
      )
    const key = once()
    for (let i = 0; i < 3; i++) expect((await sent(key, 'O-4001'))?.status).toBe(200)
    expect((await sent(once(), 'O-4001'))?.status).toBe(409)
    expect(await loadOrder(db, 'O-4001')).toMatchObject({ version: 1 })
  })
  it('a deleted order takes no films, decisions or release', async () => {
    await act('removeOrder', { id: 'O-1007' })
    const [film] = (await handlersOf('orders/[id]/films/[print]')).filter((h) => h.method === 'POST')
    const [save] = await handlersOf('save/[kind]')
    if (!film || !save) throw new Error('no door')
    expect((await send(film, { id: 'O-1007', print: 'P1' }, 'x')).status).toBe(404)
    const runId = 'R-1007-P1-dark-poly'
    const kept = await send(
      save,
      { kind: 'decisions' },
      JSON.stringify({ id: runId, value: { ...noDecisions(runId), overrides: { mesh: 4300 } }, version: 1 }),
    )
    expect(((await kept.json()) as { ok: boolean }).ok).toBe(false)
    const seen = { order: 2, decisions: 1, shop: 1, revision: 0 }
    expect((await answerOf(await act('releaseRun', { runId, seen }))).ok).toBe(false)
    expect(ACTS).toHaveProperty('restoreOrder')
    await act('restoreOrder', { id: 'O-1007' })
  })
})
