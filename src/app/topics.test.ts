import { describe, expect, it } from 'vitest'
import { isStage } from './orders/[id]/stages'
import { INK_PAGES, PAGES, SCREEN_PAGES, SHOP_PAGES } from './pages'
import { TOPICS, topicHref, topicsFor } from './topics'

const leads = (text: string, path = '/') => topicsFor(text).map((t) => topicHref(t, path))

describe('what printers type', () => {
  // Common practice, no source: words of the trade for what is done there.
  it.each([
    ['squeegee', '/shop/stock'],
    ['tension', '/screens/frames'],
    ['quote', '/orders'],
    ['house rules', '/customers'],
    ['price', '/shop/method'],
    ['flash too long', '/orders'],
    ['wash out', '/screens'],
    ['pinholes', '/screens'],
    ['backup', '/shop/data'],
    ['Reclaim', '/screens'],
    ['white ink', '/shop/shelf'],
    ['step test', '/screens/light'],
    ['head down', '/shop'],
    ['step wedge', '/screens/light'],
  ])('%s leads to %s', (text, href) => expect(leads(text)).toContain(href))

  it('what belongs to an order leads to the one in hand', () => {
    expect(leads('quote', '/orders/O-1004/art')).toContain('/orders/O-1004/order')
    expect(leads('flash too long', '/orders/O-1004/art')).toContain('/orders/O-1004/heat')
  })
  it('nothing and nonsense name nothing', () => {
    for (const text of ['', '  ', '.*', 'zzzz']) expect(leads(text)).toEqual([])
  })
})

it('every topic leads to a place there is', () => {
  const pages = [...PAGES, ...SHOP_PAGES, ...SCREEN_PAGES, ...INK_PAGES].map((p): string => p.href)
  for (const { label, at } of TOPICS)
    expect(
      typeof at === 'string'
        ? [...pages, '/orders/import'].includes(at.replace(/\?.*/, ''))
        : isStage(at.stage),
      label,
    ).toBe(true)
})
