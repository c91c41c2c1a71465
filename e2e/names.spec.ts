import { expect, open, test } from './house'
import { PAGES } from './pages'

/** A number with its unit and nothing else: said of a control it says nothing of what it sets. */
const BARE =
  /^(Watch|Stop|Note)? ?[\d\s.,+±–−-]*\d[\d\s.,+±–−/-]*(mm|in|µm|mil|s|min|h|°C|°F|K|%|g|kg|oz|lb|N\/cm|T\/cm|tpi|\/h|m\/min|pieces)?$/
/** Which may be there twice: what they say is where they stand. */
const TYPED = new Set(['textbox', 'combobox', 'checkbox', 'slider', 'spinbutton', 'searchbox'])

const MANY = [
  'today',
  'orders',
  'order',
  'art',
  'screens',
  'ink',
  'sequence',
  'placement',
  'heat',
  'run',
  'shop',
  'stock',
  'heatDesk',
  'shelf',
  'method',
  'stencils',
  'screenRoom',
  'inkRoom',
  'rack',
  'customer',
  'quote',
  'register',
  'record',
] as const satisfies readonly (keyof typeof PAGES)[]

for (const name of MANY)
  test(`controls of ${name} are named for what they set, and no two alike`, async ({ page }) => {
    await open(page, PAGES[name])
    const session = await page.context().newCDPSession(page)
    const { nodes } = await session.send('Accessibility.getFullAXTree')
    const controls = nodes
      .filter((n) => !n.ignored && (TYPED.has(n.role?.value) || n.role?.value === 'button'))
      .map((n) => ({ role: n.role?.value as string, name: String(n.name?.value ?? '').trim() }))
    expect(controls.length).toBeGreaterThan(3)
    expect(controls.filter((c) => c.name === '' || BARE.test(c.name))).toEqual([])
    // Month, day and year of a date field are the browser's, under the name of the field.
    const ofDay = /^(Month|Day|Year)\b/
    const typed = controls
      .filter((c) => TYPED.has(c.role) && !(c.role === 'spinbutton' && ofDay.test(c.name)))
      .map((c) => `${c.role}: ${c.name}`)
    expect(typed.filter((t, i) => typed.indexOf(t) !== i)).toEqual([])
  })
