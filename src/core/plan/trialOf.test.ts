import { expect, it } from 'vitest'
import { begin, printOne, standing } from '../rehearsal'
import { trialOf } from './index'
import { CLOTHS, INKS, PRESSES, planFor } from './plan.fixtures'

it.each(Object.keys(PRESSES) as (keyof typeof PRESSES)[])(
  'a plan for the %s press can be rehearsed as it is planned',
  (press) => {
    const plan = planFor({ press })
    const trial = trialOf(plan)
    if (!trial) throw new Error('no trial')
    expect(trial.pieces).toBe(plan.run.quantity)
    expect(trial.screens.map((s) => s.id)).toEqual(plan.hits.map((h) => h.hit.id))
    expect(trial.events.filter((e) => e.kind === 'print')).toHaveLength(plan.hits.length)
    for (const n of [
      trial.pace,
      trial.air,
      trial.cure.target,
      trial.cure.seconds,
      ...trial.screens.flatMap((s) => [s.opening, s.tension, s.gap, s.hardness]),
      ...trial.flashes.flatMap((f) => [f.dwell, f.needed, f.cool]),
    ])
      expect(Number.isFinite(n)).toBe(true)
    const session = begin(trial, 1, [], 0)
    for (let i = 0; i < 30; i++) printOne(session)
    // On a press that does exactly what is planned nothing of flash, stroke or register shows.
    const seen = standing(session)
      .filter((s) => s.v >= 1)
      .map((s) => s.symptom)
    for (const s of ['patchy', 'shift', 'turned', 'local', 'washes'] as const) expect(seen).not.toContain(s)
  },
)

it('a flash that is set too short in the plan sticks in its rehearsal: the plan’s own weakness', () => {
  const trial = trialOf(planFor({ overrides: { 'dwell.base': 3 } }))
  if (!trial) throw new Error('no trial')
  const session = begin(trial, 1, [])
  for (let i = 0; i < 40; i++) printOne(session)
  expect(session.called.map((c) => c.symptom)).toContain('sticks')
  expect(session.called.every((c) => c.own)).toBe(true)
})

it('special inks, and a plan that cannot be printed', () => {
  const trial = trialOf(
    planFor({ cloth: CLOTHS.hood, inks: [INKS.white, INKS.raised, { ...INKS.copper, particle: 0.00006 }] }),
  )
  expect(trial?.screens.map((s) => s.role)).toEqual(expect.arrayContaining(['expander', 'metallic']))
  expect(trial?.screens.find((s) => s.role === 'metallic')?.particle).toBeCloseTo(60, 6)
  const many = Array.from({ length: 9 }, (_, i) => ({ ...INKS.red, id: `c${i}`, name: `c${i}` }))
  const none = planFor({ press: 'manual', inks: many })
  expect(none.sequence.fits).toBe(false)
  expect(trialOf(none)).toBeUndefined()
})
