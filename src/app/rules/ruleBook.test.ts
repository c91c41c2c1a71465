import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { advicesIn } from '@/core/advice'
import { splitOrder } from '@/core/order'
import { dependsOn, noDecisions, plan, RULE_BOOK } from '@/core/plan'
import { DEMO_SHOP, demoOrders } from '@/store/demo'

const CORE = join(import.meta.dirname, '..', '..', 'core')
const sources = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.ts') && !f.includes('.test.'))
  .map((f) => readFileSync(join(CORE, f), 'utf8'))

describe('the rule book', () => {
  const listed = RULE_BOOK.flatMap((c) => Object.keys(c.rules))
  it('lists every rule that stands in the code, once', () => {
    const written = sources.flatMap((text) =>
      text
        .split('ruleTable({')
        .slice(1)
        .flatMap((table) => {
          const body = table.slice(0, table.indexOf('\n})'))
          return [...body.matchAll(/^ {2}([A-Z][A-Z0-9_]+):/gm)].map((m) => m[1] ?? '')
        }),
    )
    expect(written.length).toBeGreaterThan(80)
    expect([...listed].sort()).toEqual([...new Set(written)].sort())
    expect(new Set(listed).size).toBe(listed.length)
  })
  it('names a page of the docs for every chapter', () => {
    const pages = readdirSync(join(CORE, '..', '..', 'docs', 'models'))
    for (const c of RULE_BOOK) expect(pages).toContain(`${c.page}.md`)
  })
})

it('every advised value says what would change it', () => {
  for (const order of demoOrders('2026-11-23'))
    for (const run of splitOrder(order))
      for (const press of DEMO_SHOP.presses) {
        const p = plan(order, DEMO_SHOP, { ...noDecisions(run.id), overrides: { press: press.id } })
        for (const a of advicesIn(p)) expect(dependsOn(a.key).length, a.key).toBeGreaterThan(0)
      }
  expect(dependsOn('nothing')).toEqual([])
})
