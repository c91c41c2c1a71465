import { beforeEach, expect, it } from 'vitest'
import type { FilmFacts } from '@/core/artwork'
import { type Database, openDatabase } from '@/store/database'
import { seedDemo } from '@/store/demo'
import { addFilms, loadFilms, saveReading } from '@/store/films'
import { orderLines } from '../today'
import { filmWarningsOf } from './filmWarnings'
import { setOrderOf } from './setOrder'

let db: Database
beforeEach(async () => {
  db = await openDatabase(':memory:')
  await seedDemo(db, '2026-11-23')
})

const FACTS = {
  ...{ width: 0.3, height: 0.4, dpi: 300, negative: false, either: false, opaque: false, translucent: 0 },
  ...{
    mislaid: undefined,
    inkArea: 0.01,
    box: { x: 0, y: 0, width: 0.1, height: 0.1 },
    halftones: [],
    grain: 0,
  },
  ...{ line: undefined, gap: undefined, specks: 0, dust: 0, grey: 0, leftOut: [], marks: [] },
  misfit: { dx: 0, dy: 0, rotation: 0, scale: 1, worst: 0 },
} satisfies FilmFacts

/** Two films of a print of which none has marks, as they were read. */
async function films(print = 'P1') {
  const film = (ink: string) => ({
    ...{
      ink,
      name: `${ink}.png`,
      hash: 'a'.repeat(64),
      page: 0,
      across: 3000,
      down: 4000,
      dpi: 300,
      raster: true,
    },
  })
  await addFilms(db, 'O-1005', print, [film('I1'), film('I2')])
  const laid = (await loadFilms(db, 'O-1005'))[print] ?? []
  const { key } = setOrderOf(laid)
  await saveReading(db, 'O-1005', print, key, {
    films: laid.map((f) => f.id),
    facts: laid.map(() => FACTS),
    pairs: [],
  } as never)
}

const openOf = async () =>
  (await orderLines(db, { text: '', show: 'open', offset: 0, limit: 20 })).lines
    .filter((l) => l.id === 'O-1005')
    .flatMap((l) => l.runs.map((r) => ({ id: r.id, rules: r.open.map((o) => o.rule), href: r.href })))

it('what stands against films is open on the runs of their print, and nowhere else', async () => {
  expect(await filmWarningsOf(db, 'O-1005')).toEqual({})
  await films()
  expect(Object.keys(await filmWarningsOf(db, 'O-1005'))).toEqual(['P1'])
  const open = await openOf()
  const ofFirst = open.filter((r) => r.id.includes('-P1-'))
  expect(ofFirst.length).toBeGreaterThan(0)
  for (const run of ofFirst) {
    expect(run.rules).toContain('MARKS_NONE')
    expect(run.href).toContain('/art')
  }
  for (const run of open.filter((r) => !r.id.includes('-P1-'))) expect(run.rules).not.toContain('MARKS_NONE')
})

it('films that changed are looked at again, and a reading that is torn takes no page down', async () => {
  await films()
  expect((await filmWarningsOf(db, 'O-1005')).P1).toHaveLength(1)
  await db.updateTable('film').set({ name: 'other.png' }).execute()
  for (const facts of ['null', '{}', '{"films":[],"facts":3}']) {
    await db.updateTable('film_reading').set({ facts }).execute()
    expect((await filmWarningsOf(db, 'O-1005')).P1).toEqual([])
    expect(await openOf()).not.toEqual([])
  }
})
