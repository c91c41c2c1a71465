import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Press } from '@/core/equipment'
import { planWithBesides } from '@/core/plan'
import { type JobFile, planOut, readJob, writeJob } from './index'

/** A parsed file, free to be broken. */
// biome-ignore lint/suspicious/noExplicitAny: the tests write nonsense on purpose
type Loose = any

const EXAMPLE = 'docs/formats/job.example.json'
const text = readFileSync(EXAMPLE, 'utf8')
const change = (edit: (job: Loose) => void) => {
  const job = JSON.parse(text)
  edit(job)
  return JSON.stringify(job)
}
const wrong = (body: string) => {
  const read = readJob(body)
  return read.ok ? [] : read.wrong
}
const cli = (...args: string[]) =>
  spawnSync('npm', ['run', '-s', 'plan', '--', ...args], { encoding: 'utf8' })

describe('the job file', () => {
  it('reads and writes back to the same text', () => {
    const read = readJob(text)
    if (!read.ok) throw new Error(read.wrong.join('\n'))
    expect(writeJob(read.job)).toBe(text)
    expect(read.job.order.placements[0]?.width).toBeCloseTo(0.29, 9)
    expect(read.job.shop.frames[0]?.mesh).toBeCloseTo(4300, 6)
  })
  it('carries a unit in the name of every quantity', () => {
    const bare = ['width', 'height', 'weight', 'coverage', 'mesh', 'tension', 'heatedLength', 'palletWidth']
    for (const name of bare) expect(text).not.toContain(`"${name}":`)
  })
  it('says what is wrong at its place, in its own names', () => {
    expect(wrong('{')[0]).toMatch(/^Not JSON/)
    expect(wrong(change((j: Loose) => delete j.order.placements[0].widthMm))).toEqual([
      'order.placements[0].widthMm: Type, for example, 305 mm or 12 in.',
    ])
    expect(
      wrong(
        change((j: Loose) => {
          j.version = 2
        }),
      ),
    ).toEqual(['version: version must be 1.'])
    expect(
      wrong(
        change((j: Loose) => {
          j.shop.presses = []
        }),
      ),
    ).toEqual(['shop.presses: A shop has at least one press.'])
    expect(
      wrong(
        change((j: Loose) => {
          j.shop.frames[0].meshPerCm = 'fine'
        }),
      ),
    ).toEqual(['shop.frames[0].meshPerCm: Mesh: a number, please.'])
    expect(
      wrong(
        change((j: Loose) => {
          j.shop.flashes[0].pressId = 'sold'
        }),
      ),
    ).toEqual(['shop.flashes[0].pressId: no press sold.'])
    expect(
      wrong(
        change((j: Loose) => {
          j.shop.method.white = 'magic'
        }),
      )[0],
    ).toMatch(/^shop.method.white: One of highlight/)
    expect(
      wrong(
        change((j: Loose) => {
          j.decisions.runId = 'R-9-P1-dark'
        }),
      )[0],
    ).toMatch(/^decisions.runId: the order has no run R-9-P1-dark; it has R-1003/)
    expect(
      wrong(
        change((j: Loose) => {
          j.decisions.order = ['base', 'flash', 'nobody']
        }),
      )[0],
    ).toMatch(/^decisions.order\[2\]: no screen nobody; there are base, base2, smoothing, flash, /)
    expect(
      wrong(
        change((j: Loose) => {
          j.decisions.overridesSi = { offContact: null }
        }),
      ),
    ).toEqual(['decisions.overridesSi.offContact: A number in SI.'])
  })
})

describe('npm run plan', () => {
  it('prints the plan of a job file', () => {
    const out = JSON.parse(execFileSync('npm', ['run', '-s', 'plan', '--', EXAMPLE], { encoding: 'utf8' }))
    const read = readJob(text)
    if (!read.ok) throw new Error('the example is wrong')
    const { order, shop, decisions } = read.job
    const { plan, besides } = planWithBesides(order, shop, decisions)
    expect(out).toEqual(JSON.parse(JSON.stringify(planOut(plan, besides))))
    expect(out.prints).toContain(decisions.runId)
    expect(out.ways.length).toBeGreaterThan(0)
    expect(out.costs.total).toBeGreaterThan(out.costs.ink)
    expect(out.finishMinutes.half).toBeLessThanOrEqual(out.finishMinutes.eighty)
    expect(out.finishMinutes.eighty).toBeLessThanOrEqual(out.finishMinutes.ninetyFive)
    expect(out).toMatchObject({
      format: 'orvint-plan',
      version: 1,
      press: { value: 'twelve' },
      cure: { inkFilm: { value: 160, unit: '°C' } },
    })
    expect(out.sequence.places[2]).toEqual({ does: 'cool', station: 3 })
    expect(out.hits[0].mesh).toMatchObject({ value: 77, unit: 'T/cm', range: [77, 90] })
    expect(out.offContact).toMatchObject({ value: 2, advised: 1.6, unit: 'mm' })
  })
  it('ends with 2 and the mistakes on standard error', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'orvint-')), 'job.json')
    writeFileSync(
      file,
      change((j: Loose) => {
        j.order.customer = ''
      }),
    )
    expect(cli(file)).toMatchObject({
      status: 2,
      stdout: '',
      stderr: 'order.customer: Customer is missing.\n',
    })
    expect(cli('nowhere.json')).toMatchObject({
      status: 2,
      stdout: '',
      stderr: 'Cannot read nowhere.json.\n',
    })
    expect(cli()).toMatchObject({ status: 2, stdout: '' })
  })
})

describe('any job', () => {
  it('reads back as it was written (property)', () => {
    const example = readJob(text)
    if (!example.ok) throw new Error('the example is wrong')
    const { order, shop } = example.job
    const length = fc.integer({ min: 100, max: 12_000 }).map((x) => x / 10_000)
    const anyPress = fc.constantFrom<Press>(
      { id: 'p', name: 'Bench', kind: 'bench', palletWidth: 0.4, palletHeight: 0.5, palletMaterial: 'wood' },
      {
        id: 'p',
        name: 'Single',
        kind: 'single',
        heads: 4,
        down: [2],
        palletWidth: 0.4,
        palletHeight: 0.5,
        palletMaterial: 'wood',
      },
      {
        id: 'p',
        name: 'Manual',
        kind: 'manual',
        heads: 6,
        down: [],
        pallets: 4,
        palletWidth: 0.4,
        palletHeight: 0.5,
        palletMaterial: 'honeycomb',
      },
      {
        id: 'p',
        name: 'Ring',
        kind: 'automatic',
        stations: [{ number: 1, usable: true, flashAllowed: false }],
        palletWidth: 0.4,
        palletHeight: 0.5,
        palletMaterial: 'aluminium',
      },
    )
    const within = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true })
    const anyChoices = fc.record(
      {
        'mesh.base': within(1000, 25_000),
        offContact: within(1e-6, 0.05),
        cureFilm: within(300, 600),
        press: fc.constantFrom('six', 'sold'),
        'pressure.I1': fc.constantFrom('light', 'firm'),
      },
      { requiredKeys: [] },
    )
    fc.assert(
      fc.property(
        length,
        length,
        anyPress,
        anyChoices,
        fc.boolean(),
        (width, height, p, overrides, byHand) => {
          const job: JobFile = {
            order: { ...order, placements: order.placements.map((x) => ({ ...x, width, height })) },
            shop: { ...shop, presses: [p], flashes: [] },
            decisions: {
              runId: 'R-1003-P1-dark',
              method: {},
              overrides: { ...overrides },
              order: byHand ? ['base', 'I1'] : [],
            },
          }
          const read = readJob(writeJob(job))
          if (!read.ok) throw new Error(read.wrong.join('\n'))
          expect(read.job.decisions).toEqual(job.decisions)
          const bare = Object.fromEntries(
            Object.entries(p).filter(([k]) =>
              ['id', 'name', 'kind', 'palletMaterial', 'heads', 'pallets', 'stations'].includes(k),
            ),
          )
          expect(read.job.shop.presses[0]).toMatchObject(bare)
          expect(read.job.order.placements[0]?.width).toBeCloseTo(width, 9)
          expect(writeJob(read.job)).toBe(writeJob(job))
        },
      ),
      { numRuns: 60 },
    )
  })
})
