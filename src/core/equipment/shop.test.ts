import { describe, expect, it } from 'vitest'
import { refusedNowhere } from '../nonsense.fixtures'
import { checkShelf, type Press, ringShape, type ShopAndShelf, TEMPLATES, usableHeads } from './index'

const shelfOf = (id: string): ShopAndShelf => {
  const found = TEMPLATES.find((t) => t.id === id)
  if (!found) throw new Error(`no template ${id}`)
  return { ...found.shelf, shop: { ...found.shelf.shop, name: 'Test shop' } }
}
const pressOf = (id: string): { press: Press; shop: ShopAndShelf['shop'] } => {
  const { shop } = shelfOf(id)
  const [press] = shop.presses
  if (!press) throw new Error('no press')
  return { press, shop }
}

describe('the templates', () => {
  it.each(TEMPLATES.map((t) => t.id))('%s is a whole shop once it has a name', (id) => {
    const checked = checkShelf(shelfOf(id))
    expect(checked).toEqual({ ok: true, value: shelfOf(id) })
  })
  it('are the four that shops begin with', () => {
    const kinds = TEMPLATES.map((t) => t.shelf.shop.presses.map((p) => p.kind))
    expect(kinds).toEqual([['bench'], ['manual'], ['manual', 'manual'], ['automatic', 'manual']])
  })
  it('cure under the panel only where no tunnel stands', () => {
    expect(TEMPLATES.map((t) => t.shelf.shop.method.cure)).toEqual(['panel', 'tunnel', 'tunnel', 'tunnel'])
  })
})

describe('a shop that cannot be', () => {
  // biome-ignore lint/suspicious/noExplicitAny: the tests write nonsense on purpose
  const wrong = (edit: (shelf: any) => void) => {
    const shelf = structuredClone(shelfOf('manual'))
    edit(shelf)
    const checked = checkShelf(shelf)
    return checked.ok ? {} : checked.errors
  }
  it('is refused with a message at its place', () => {
    const cases: readonly (readonly [Parameters<typeof wrong>[0], string, RegExp])[] = [
      [
        (s) => {
          s.shop.name = ''
        },
        'shop.name',
        /missing/,
      ],
      [
        (s) => {
          s.shop.presses[0].palletWidth = 'wide'
        },
        'shop.presses[0].palletWidth',
        /a number/,
      ],
      [
        (s) => {
          s.shop.presses[0].down = [9]
        },
        'shop.presses[0].down',
        /No such head/,
      ],
      [
        (s) => {
          s.shop.presses.push(s.shop.presses[0])
        },
        'shop.presses',
        /same id/,
      ],
      [
        (s) => {
          s.shop.frames.push(s.shop.frames[0])
        },
        'shop.frames',
        /same number/,
      ],
      [
        (s) => {
          s.shop.flashes[0].pressId = 'sold'
        },
        'shop',
        /press that is gone/,
      ],
      [
        (s) => {
          s.shop.hours.to = 0
        },
        'shop.hours.to',
        /after it starts/,
      ],
      [
        (s) => {
          s.shop.hours.days = []
        },
        'shop.hours.days',
        /working day/,
      ],
      [
        (s) => {
          s.shop.method.white = 'magic'
        },
        'shop.method.white',
        /One of/,
      ],
      [
        (s) => {
          s.inks.push(s.inks[0])
        },
        'inks',
        /same name/,
      ],
      [
        (s) => {
          s.cloths[0].polyester = 0.5
        },
        'cloths[0].polyester',
        /100 %/,
      ],
    ]
    for (const [edit, path, message] of cases) expect(wrong(edit)[path], path).toMatch(message)
  })

  it('says where, whatever stands where it should not', () => {
    /** The first two of each list: the others are like them. */
    const short = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.slice(0, 2).map(short)
        : value && typeof value === 'object'
          ? Object.fromEntries(Object.entries(value).map(([key, v]) => [key, short(v)]))
          : value
    const shelf = short(shelfOf('automatic')) as ShopAndShelf
    const people = [
      { id: 'p1', name: 'Ana', presses: [], away: [{ first: '2026-12-01', last: '2026-12-02' }] },
    ]
    const sharedPallets = [{ id: 's1', name: 'Boards', where: 'sleeve', sets: 1, presses: [] }]
    const whole = { ...shelf, shop: { ...shelf.shop, people, sharedPallets } }
    expect(checkShelf(whole)).toMatchObject({ ok: true })
    expect(refusedNowhere(whole, checkShelf as never)).toEqual([])
  })

  it('says what is wrong with pallets that presses share, whatever stands in the list', () => {
    const boards = { id: 's1', name: 'Boards', where: 'sleeve', sets: 1, presses: [] }
    const told = (list: unknown) => wrong((s) => void Object.assign(s.shop, { sharedPallets: list }))
    expect(told([boards])).toEqual({})
    for (const odd of [null, 'boards', 7, [], { ...boards, presses: 'all' }, { ...boards, presses: [null] }])
      expect(Object.keys(told([boards, odd])).join(), JSON.stringify(odd)).toMatch(/sharedPallets/)
    expect(told('boards')).not.toEqual({})
    expect(told([{ ...boards, sets: 0 }])['shop.sharedPallets[0].sets']).toMatch(/above 0/)
    expect(told([{ ...boards, sets: 1.5 }])['shop.sharedPallets[0].sets']).toMatch(/whole/)
    expect(told([boards, { ...boards, id: 's2' }])['shop.sharedPallets']).toMatch(/same print/)
    expect(told([boards, { ...boards, where: 'front' }])['shop.sharedPallets']).toMatch(/same id/)
    // A press that was sold since keeps nothing else from being saved.
    expect(told([{ ...boards, presses: ['sold'] }])).toEqual({})
  })
})

describe('a press from above (geometry)', () => {
  it('an automatic has its stations in order round the ring, loading at the bottom', () => {
    const { press, shop } = pressOf('automatic')
    const { heads, pallets, flashes } = ringShape(press, shop)
    expect(heads.filter((h) => h.loader)).toHaveLength(2)
    expect(pallets).toHaveLength(12)
    expect(flashes).toEqual(['Quartz A', 'Quartz B'])
    for (const h of heads) expect(Math.hypot(h.x, h.y)).toBeCloseTo(1, 12)
    const [left, right] = heads.filter((h) => h.loader)
    expect(left?.y).toBeCloseTo(right?.y ?? 0, 12)
    expect(Math.max(...heads.map((h) => h.y))).toBeCloseTo(left?.y ?? 0, 12)
    const turns = heads
      .filter((h) => !h.loader)
      .map((h) => (Math.atan2(-h.x, h.y) + 2 * Math.PI) % (2 * Math.PI))
    expect(turns).toEqual([...turns].sort((a, b) => a - b))
  })
  it('a carousel has as many heads and pallets as it has', () => {
    const { press, shop } = pressOf('manual')
    const { heads, pallets } = ringShape({ ...press, down: [2] } as Press, shop)
    expect(heads.map((h) => h.down)).toEqual([false, true, false, false, false, false])
    expect(pallets).toHaveLength(4)
  })
  it('a bench has one place, a single station its heads in a row', () => {
    const { press, shop } = pressOf('bench')
    expect(ringShape(press, shop).heads).toEqual([expect.objectContaining({ x: 0, y: 0, number: 1 })])
    const row = ringShape({ ...press, kind: 'single', heads: 3, down: [] } as Press, shop).heads
    expect(row.map((h) => h.x)).toEqual([-1, 0, 1])
  })
  it('a head that is down holds no screen', () => {
    const { press } = pressOf('manual')
    if (press.kind !== 'manual') throw new Error('no carousel')
    expect([usableHeads(press), usableHeads({ ...press, down: [1, 4] })]).toEqual([6, 4])
  })
})
