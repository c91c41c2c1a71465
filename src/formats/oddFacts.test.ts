import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { plan } from '@/core/plan'
import { readJob } from './index'

const text = readFileSync('docs/formats/job.example.json', 'utf8')
type Job = {
  order: { pvcFree?: unknown; lines: { cloth: object }[]; placements: { inks: object[] }[] }
  shop: { presses: object[]; flashes: object[]; frames: object[]; screens: { emulsions: object[] } }
}
const read = (change: (job: Job) => void) => {
  const job = JSON.parse(text) as Job
  change(job)
  return readJob(JSON.stringify(job))
}
const into = (target: object | undefined, more: object) => void Object.assign(target ?? {}, more)

describe('facts that cannot be, in a job file', () => {
  it.each([
    ['a cloth of elastane alone', (j: Job) => into(j.order.lines[0]?.cloth, { elastanePercent: 90 })],
    ['fibres over 100 %', (j: Job) => into(j.order.lines[0]?.cloth, { elastanePercent: 20 })],
    ['a dye no one knows', (j: Job) => into(j.order.lines[0]?.cloth, { dye: 'red' })],
    ['a can that is a number', (j: Job) => into(j.order.placements[0]?.inks[0], { can: 5 })],
    ['air for a month', (j: Job) => into(j.order.placements[0]?.inks[0], { can: { airDryHours: 720 } })],
    ['air in words', (j: Job) => into(j.order.placements[0]?.inks[0], { can: { airDryHours: 'a day' } })],
    ['cloth that draws blue', (j: Job) => into(j.order.placements[0], { clothDraws: 'blue' })],
    ['a frame of nothing', (j: Job) => into(j.shop.presses[0], { frameWidthMm: 0 })],
    ['a flash above', (j: Job) => into(j.shop.flashes[0], { side: 'above' })],
    ['a flash for soup', (j: Job) => into(j.shop.flashes[0], { suits: 'soup' })],
    ['a frame kept as a table', (j: Job) => into(j.shop.frames[0], { standing: 'table' })],
    ['glass for film', (j: Job) => into(j.shop.screens, { medium: 'glass' })],
    ['a day that is none', (j: Job) => into(j.shop.screens.emulsions[0], { mixedOn: '2026-13-45' })],
    ['emulsion that keeps no day', (j: Job) => into(j.shop.screens.emulsions[0], { keeps: 0 })],
  ])('%s is refused at its place', (_, change) => {
    const found = read(change)
    expect(found.ok).toBe(false)
    if (!found.ok) expect(found.wrong.every((w) => /^\S+: \S/.test(w))).toBe(true)
  })
  it.each([
    ['nothing said', (j: Job) => into(j.order.placements[0]?.inks[0], { can: {} })],
    [
      'all of it no',
      (j: Job) => into(j.order.placements[0]?.inks[0], { can: { stretches: false, maker: '' } }),
    ],
    ['no PVC: no', (j: Job) => into(j.order, { pvcFree: false })],
  ])('%s is as if it was left out', (_, change) => {
    expect(read(change)).toEqual(readJob(text))
  })
  it('what is said is planned with', () => {
    const found = read((j) => {
      into(j.order.lines[0]?.cloth, { cottonPercent: 90, elastanePercent: 8, dye: 'bleeds' })
      into(j.order.placements[0]?.inks[0], { can: { airDryHours: 24, noGun: true } })
      into(j.order, { pvcFree: true })
    })
    if (!found.ok) throw new Error(found.wrong.join('\n'))
    const { order, shop, decisions } = found.job
    const rules = plan(order, shop, decisions).warnings.map((r) => r.rule)
    for (const rule of ['STRETCH', 'CLOTH_DYE', 'AIR_DRY', 'PVC_ASKED']) expect(rules).toContain(rule)
  })
})
