import { readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { INK_TYPES, SIZE_NAMES, splitOrder, WEAVES, WHERES } from '@/core/order'
import { accountOf, noDecisions, plan, planWithBesides } from '@/core/plan'
import { DEMO_SHOP, demoOrders } from '@/store/demo'
import { pastEvents } from '@/store/demo/pastDays'
import { formulasJson } from './formulasJson'
import { planOut, readJob, recordCsv, writeJob } from './index'

/** JSON Schema 2020-12 (published standard), by the reference library ajv. */
const ajv = new Ajv({ allErrors: true, strictTypes: false })
const schema = (name: string) => JSON.parse(readFileSync(`docs/formats/${name}.schema.json`, 'utf8'))
ajv.addSchema(schema('orvint-formulas'))
const isJob = ajv.compile(schema('orvint-job'))
const isPlan = ajv.compile(schema('orvint-plan'))
const example = readFileSync('docs/formats/job.example.json', 'utf8')

const runs = demoOrders('2026-11-23').flatMap((order) =>
  splitOrder(order).map((run) => ({ order, id: run.id })),
)

describe('the JSON Schemas', () => {
  it.each(runs.map((r) => [r.id, r.order] as const))('hold for the job and the plan of %s', (id, order) => {
    const job = JSON.parse(writeJob({ order, shop: DEMO_SHOP, decisions: noDecisions(id) }))
    expect(isJob(job), ajv.errorsText(isJob.errors)).toBe(true)
    const full = planWithBesides(order, DEMO_SHOP, noDecisions(id))
    const out = JSON.parse(JSON.stringify(planOut(full.plan, full.besides)))
    expect(isPlan(out), ajv.errorsText(isPlan.errors)).toBe(true)
  })
  it('hold for a shop that was read and whose air was said; both come back from the file', () => {
    const [first] = runs
    if (!first) throw new Error('no run')
    const air = { on: '2026-11-28', temperature: 281.15, humidity: 0.9 }
    const calibration = {
      on: '2026-11-20',
      readings: [{ belt: 0.04, read: 430.1 }],
      gain: 0.9,
      filmSpread: 5,
    }
    const shop = { ...DEMO_SHOP, air, dryers: DEMO_SHOP.dryers.map((d) => ({ ...d, calibration })) }
    const text = writeJob({ order: first.order, shop, decisions: noDecisions(first.id) })
    expect(isJob(JSON.parse(text)), ajv.errorsText(isJob.errors)).toBe(true)
    const back = readJob(text)
    if (!back.ok) throw new Error(back.wrong.join())
    expect(back.job.shop.air).toEqual(air)
    expect(back.job.shop.flashes).toEqual(shop.flashes)
    expect(back.job.shop.dryers).toEqual(shop.dryers)
    const odd = text.replace('"gain": 0.9', '"gain": 9')
    expect([isJob(JSON.parse(odd)), readJob(odd).ok]).toEqual([false, false])
  })
  it('hold for the record of a run that was lived, as it is written out', () => {
    const isRecord = ajv.compile(schema('orvint-record'))
    const [first] = runs
    if (!first) throw new Error('no run')
    const planned = plan(first.order, DEMO_SHOP, noDecisions(first.id))
    const account = accountOf(
      { order: first.order, plan: planned, number: 1 },
      pastEvents(planned, Date.parse('2026-11-20T08:00:00Z'), 7),
    )
    const out = JSON.parse(JSON.stringify({ format: 'orvint-record', version: 1, runs: [account] }))
    expect(isRecord(out), ajv.errorsText(isRecord.errors)).toBe(true)
    expect(isRecord({ ...out, version: 2 })).toBe(false)
    out.runs[0].good = 'all of them'
    expect(isRecord(out)).toBe(false)
    // And as CSV (RFC 4180), read back by a reader of its own.
    const odd = { ...account, words: 'Tide "Observatory", open\nnights', people: ['=Mara'] }
    const { data } = Papa.parse<Record<string, string>>(recordCsv([odd]), {
      header: true,
      skipEmptyLines: true,
    })
    expect(data).toHaveLength(1)
    expect(data[0]).toMatchObject({
      job: odd.words,
      good: `${account.good}`,
      people: "'=Mara",
      run: account.runId,
    })
    expect(Number(data[0]?.pieces_per_hour)).toBeCloseTo((account.pace?.was ?? 0) * 3600, 0)
  })
  it('hold for the formulas of the shop, and refuse what is none', () => {
    const isFormulas = ajv.getSchema('orvint-formulas.schema.json')!
    const text = formulasJson(DEMO_SHOP.inkRoom)
    expect(isFormulas(JSON.parse(text)), ajv.errorsText(isFormulas.errors)).toBe(true)
    expect(text).toContain('"sharePercent"')
    for (const [good, bad] of [
      ['"how": "curves"', '"how": "guessed"'],
      ['"system": "plastisol"', '"system": "oil"'],
      ['"densityGPerMl": 1.34', '"densityGPerMl": 134'],
    ] as const) {
      expect(text).toContain(good)
      expect(isFormulas(JSON.parse(text.replace(good, bad)))).toBe(false)
    }
  })
  it('hold for a plan that does not fit and for one on every kind of press', () => {
    const [first] = runs
    if (!first) throw new Error('no run')
    for (const press of ['four', 'twelve', 'bench'])
      for (const order of [['I1', 'base'], []]) {
        const p = plan(first.order, DEMO_SHOP, { ...noDecisions(first.id), overrides: { press }, order })
        const out = JSON.parse(JSON.stringify(planOut(p)))
        expect(isPlan(out), ajv.errorsText(isPlan.errors)).toBe(true)
      }
  })
  // What one refuses the other refuses too: the schema and the app’s own check tell the same format.
  it.each([
    ['another version', '"version": 1', '"version": 2'],
    ['a weave no one knows', '"weave": "jersey"', '"weave": "silk"'],
    ['a colour in words', '"hex": "#3b3d40"', '"hex": "charcoal"'],
    ['more than all', '"coveragePercent": 20', '"coveragePercent": 120'],
    ['half a piece', '"quantity": 32', '"quantity": 32.5'],
    ['a press that is none', '"kind": "bench"', '"kind": "table"'],
    ['no frame number', '"meshPerCm": 43', '"meshPerCm": "fine"'],
    ['a time that is none', '"from": "08:00"', '"from": "26:00"'],
    ['a day that is none', '"due": "2026-11-24"', '"due": "soon"'],
  ])('refuse %s, as the app does', (_, good, bad) => {
    expect(example).toContain(good)
    const text = example.replace(good, bad)
    expect(isJob(JSON.parse(text))).toBe(false)
    expect(readJob(text).ok).toBe(false)
  })
  it('know every word the code knows', () => {
    const { $defs } = schema('orvint-job')
    expect($defs.cloth.properties.weave.enum).toEqual(Object.keys(WEAVES))
    expect($defs.size.properties.size.enum).toEqual(SIZE_NAMES)
    expect($defs.ink.properties.inkType.enum).toEqual(Object.keys(INK_TYPES))
    expect($defs.placement.properties.where.enum).toEqual(Object.keys(WHERES))
  })
})
