import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { plan, sheetHeatOf } from '@/core/plan'
import { type JobFile, readJob } from './job'
import { pagesOf } from './pdfWords.fixtures'
import { sheetOf } from './sheet'
import { sheetPdf } from './sheetPdf'

const read = readJob(readFileSync('docs/formats/job.example.json', 'utf8'))
if (!read.ok) throw new Error(read.wrong.join('\n'))
const { order, shop, decisions }: JobFile = read.job
const planned = plan(order, shop, decisions)
const facts = { order, plan: planned, shopName: shop.name, heat: sheetHeatOf(planned) }
const MARK = { number: 2, code: 'K7Q2M', releasedAt: '2026-11-23T09:10:00' }

const squeezed = (text: string) => text.replace(/\s+/g, '')
/** Every word the sheet says, however deep. */
const wordsIn = (x: unknown): string[] =>
  typeof x === 'string' ? [x] : typeof x === 'object' && x !== null ? Object.values(x).flatMap(wordsIn) : []

describe('the set-up sheet', () => {
  it('carries order, run, revision, date and code', () => {
    const sheet = sheetOf(facts, 'metric', MARK)
    expect(sheet.subtitle).toContain(`${order.id} · ${decisions.runId}`)
    expect(sheet.mark).toBe('Revision 2, released 23 Nov 2026 09:10')
    expect(sheet.code).toBe('K7Q2M')
    expect(sheetOf(facts, 'metric')).toMatchObject({ mark: 'Draft, not released', code: '' })
  })
  it.each(['metric', 'inch'] as const)(
    'as a PDF says what the screen says, on one page (%s)',
    async (units) => {
      for (const paper of ['A4', 'LETTER'] as const) {
        const pages = await pagesOf(await sheetPdf(facts, units, MARK, paper))
        expect(pages).toHaveLength(1)
        const said = squeezed(pages[0] ?? '')
        const words = wordsIn(sheetOf(facts, units, MARK))
        expect(words.length).toBeGreaterThan(80)
        for (const w of words) expect(said).toContain(squeezed(w))
      }
    },
  )
  it('says how each flash changes along the run, and what a gun finds; nothing where no one worked it out', () => {
    const { heat } = sheetOf(facts, 'metric', MARK)
    expect(heat.map((h) => h.name)).toEqual(facts.heat.map((h) => `Flash after ${h.name}:`))
    expect(heat.length).toBeGreaterThan(0)
    for (const { words } of heat)
      expect(words).toMatch(/^[\d.]+\ss( · from \d+: [\d.]+\ss)* · gun at once after [\d.]+\ss: \d+\s°C$/)
    expect(sheetOf({ ...facts, heat: [] }, 'metric').heat).toEqual([])
  })
  it('embeds its fonts and draws with vectors, without a picture', async () => {
    const pdf = (await sheetPdf(facts, 'metric', undefined)).toString('latin1')
    expect(pdf).toMatch(/\/FontFile[23]?\b/)
    expect(pdf).not.toMatch(/\/Subtype\s*\/Image/)
  })
})
