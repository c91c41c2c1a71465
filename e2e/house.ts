import { type Locator, type Page, test as plain } from '@playwright/test'
import { portOf } from './ports'

export { expect } from '@playwright/test'

/** Every test also fails on a request to another host and on any error or warning in the console. */
export const test = plain.extend<{ quiet: undefined; mayFail: RegExp }>({
  // biome-ignore lint/correctness/noEmptyPattern: fixtures are given by name
  baseURL: async ({}, use, info) => use(`http://127.0.0.1:${portOf(info.parallelIndex)}`),
  /** What a test breaks on purpose. */
  mayFail: [/^$/, { option: true }],
  quiet: [
    async ({ page, baseURL, mayFail }, use) => {
      const heard: string[] = []
      page.on(
        'console',
        (m) =>
          ['error', 'warning'].includes(m.type()) &&
          heard.push(`${m.type()}: ${m.text()} (${m.location().url})`),
      )
      page.on('pageerror', (e) => heard.push(`page error: ${e.message}`))
      page.on('request', (r) => {
        if (!r.url().startsWith(baseURL ?? '') && !/^(data|blob):/.test(r.url()))
          heard.push(`request to ${r.url()}`)
      })
      await use(undefined)
      const wrong = heard.filter((h) => !mayFail.test(h))
      if (wrong.length > 0) throw new Error(wrong.join('\n'))
    },
    { auto: true },
  ],
})

/** Goes to a page and waits until it listens to keys. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path)
  await page.locator('html[data-keys=on]').waitFor({ state: 'attached' })
}

/** Reads a page again and waits until it listens to keys: it shows its numbers before. */
export async function reload(page: Page): Promise<void> {
  await page.reload()
  await page.locator('html[data-keys=on]').waitFor({ state: 'attached' })
}

/** How the page says that its input is saved. */
export const saveStatus = (page: Page): Locator => page.getByRole('status', { name: 'Saving' })

/** A page that hears nothing of what others do until it writes itself. */
export async function deafen(page: Page): Promise<void> {
  await page.route('**/api/changes', (route) => route.fulfill({ status: 204 }))
}

/**
 * Tabs until the element of this accessible name has the focus.
 *
 * @param press counts the keys where a test counts them
 */
export async function tabTo(
  page: Page,
  name: string | RegExp,
  press: (key: string) => Promise<void> = (key) => page.keyboard.press(key),
): Promise<void> {
  for (let i = 0; i < 80; i++) {
    await press('Tab')
    const here = await page.evaluate(() => {
      const el = document.activeElement as HTMLInputElement | null
      return (el?.getAttribute('aria-label') ?? el?.labels?.[0]?.textContent ?? el?.textContent ?? '').trim()
    })
    if (typeof name === 'string' ? here === name : name.test(here)) return
  }
  throw new Error(`Tab never reached ${name}`)
}

/** A field by its label, also where it says of which of several it is: `Width`, `Width of P2`. */
export const field = (within: Page | Locator, label: string): Locator =>
  within.getByLabel(new RegExp(`^${label.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}( of .*)?$`))
