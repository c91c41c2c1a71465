import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'

/**
 * What axe finds wrong on a page, each with where. No page has a frame, so axe runs in the page itself and tells only what is
 * wrong: a fifth of the time.
 *
 * @param rules only these; all where none are named
 */
export async function violations(page: Page, rules?: readonly string[]): Promise<readonly string[]> {
  const axe = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'], ...(rules && { runOnly: [...rules] }) })
  return (await axe.analyze()).violations.map(
    (v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`,
  )
}
