import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { changes, fittedAll } from '@/core/change'
import { type Decisions, noDecisions } from '@/core/plan'
import { database } from '@/store/database'
import { loadDecisions } from '@/store/decisions'
import { seedDemo } from '@/store/demo'
import { loadOrder } from '@/store/orders'
import { applied } from './apply'
import { leading } from './leaving'
import { storeEdit } from './stores'

const folder = mkdtempSync(join(tmpdir(), 'orvint-edits-'))
beforeAll(async () => {
  process.env.ORVINT_DATA = folder
  await seedDemo(await database(), '2026-11-23')
})
afterAll(() => rmSync(folder, { recursive: true }))

const RUN = 'R-1009-P1-in-between'
const decisions = async () => (await loadDecisions(await database(), ['O-1009'])).get(RUN)
const chose = (overrides: Decisions['overrides']): Decisions => ({ ...noDecisions(RUN), overrides })

/** A first choice is on its way while a second goes along with the page that is left. */
const first = chose({ 'time.I1': 1.5 })
const both = chose({ 'time.I1': 1.5, 'strokes.I1': 2 })

it.each(['before', 'after'])(
  'what a page sends while it is left may come %s its save on the way',
  async (when) => {
    const { version = 0, decisions: base = noDecisions(RUN) } = (await decisions()) ?? {}
    const save = () => storeEdit({ kind: 'decisions', id: RUN }, first, version)
    const leave = () => applied({ kind: 'decisions', id: RUN }, changes(base, both))
    if (when === 'after') expect(await save()).toMatchObject({ ok: true })
    expect(await leave()).toBe(true)
    if (when === 'before') expect(await save()).toMatchObject({ ok: false })
    expect((await decisions())?.decisions).toEqual(both)
    expect(await applied({ kind: 'decisions', id: RUN }, changes(both, base))).toBe(true)
  },
)

it('many at once are all made, each in its own field', async () => {
  const keys = ['strokes.I1', 'time.I1', 'coats.I1', 'cureDwell']
  const base = noDecisions(RUN)
  const each = keys.map((key, i) => chose({ [key]: i + 1 }))
  const done = await Promise.all(each.map((d) => applied({ kind: 'decisions', id: RUN }, changes(base, d))))
  expect(done).toEqual(keys.map(() => true))
  expect((await decisions())?.decisions.overrides).toEqual(Object.fromEntries(keys.map((k, i) => [k, i + 1])))
})

it('what someone else changed stays, and nothing beside it is changed', async () => {
  const order = async () => (await loadOrder(await database(), 'O-1009'))?.order
  const now = await order()
  if (!now) throw new Error('no order')
  const theirs = { kind: 'order', id: 'O-1009' } as const
  expect(await applied(theirs, changes(now, { ...now, title: 'Long aprons' }))).toBe(true)
  const mine = changes(now, { ...now, title: 'Short aprons', notes: 'Hurry' })
  expect(await applied(theirs, mine)).toBe(false)
  expect(await order()).toEqual({ ...now, title: 'Long aprons' })
  expect(await applied(theirs, changes({ ...now, title: 'Long aprons' }, { ...now, due: 'soon' }))).toBe(
    false,
  )
  expect(await applied({ kind: 'order', id: 'O-9999' }, mine)).toBe(false)
})

it('what is sent while a page is left keeps all that fits, though someone else changed a field of it', async () => {
  const order = async () => (await loadOrder(await database(), 'O-1008'))?.order
  const now = await order()
  if (!now) throw new Error('no order')
  const edited = { kind: 'order', id: 'O-1008' } as const
  expect(await applied(edited, changes(now, { ...now, title: 'Long aprons' }))).toBe(true)
  const mine = changes(now, { ...now, title: 'Short aprons', notes: 'Hurry' })
  expect(await applied(edited, mine, 'skipped')).toBe(true)
  expect(await order()).toEqual({ ...now, title: 'Long aprons', notes: 'Hurry' })
})

const none = chose({})
const bench = chose({ press: 'bench' })
it.each([
  { stored: 'before the next page was left', there: bench },
  { stored: 'after it was left', there: none },
  { stored: 'with what the next page saved itself', there: chose({ press: 'bench', 'strokes.I1': 2 }) },
])(
  'a page read too early and left at once loses nothing of the page before it, stored $stored',
  ({ there }) => {
    const list = leading({ stored: none, value: bench }, none, chose({ press: 'four', 'strokes.I1': 2 }))
    expect(fittedAll(there, list)).toEqual(chose({ press: 'four', 'strokes.I1': 2 }))
    // What the page before it sent comes last: it changes nothing any more.
    expect(fittedAll(fittedAll(there, list), changes(none, bench))).toEqual(
      chose({ press: 'four', 'strokes.I1': 2 }),
    )
  },
)
