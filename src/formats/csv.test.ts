import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { type Order, SIZE_NAMES, sizeNamed, splitOrder } from '@/core/order'
import { noDecisions, plan } from '@/core/plan'
import { DEMO_CLOTHS, DEMO_SHOP, demoOrders } from '@/store/demo'
import { readCsv } from './csv'
import { type CellProblem, type Mended, mendedBy, NOT_MENDED } from './orderCells'
import { guessMapping, ORDER_COLUMN_NAMES } from './orderColumns'
import { type CsvContext, ordersCsv, ordersFromCsv } from './ordersCsv'
import { plansCsv, runsCsv } from './plansCsv'
import { type DayOrder, dayOrderIn, readDay } from './writtenDays'

const CONTEXT = { cloths: DEMO_CLOTHS, taken: new Set(['O-1001']), next: 1011 }
const take = (text: string, context: CsvContext = CONTEXT) => {
  const { head, records, problems } = readCsv(text)
  const read = ordersFromCsv(head, records, guessMapping(head), context)
  const all: readonly CellProblem[] = [...problems, ...read.problems]
  return { ...read, problems: all }
}
const HEAD = 'order,customer,job,due,cloth,size,quantity'
const lines = (...rows: string[]) => [HEAD, ...rows].join('\r\n')

describe('CSV as RFC 4180 has it (published)', () => {
  it('quotes, doubled quotes, commas and line breaks inside quotes, with the line each record begins on', () => {
    const { head, records } = readCsv('a,"b ""c""",d\r\n"1\r\n2","x,y",\r\n3,4,5\r\n')
    expect(head).toEqual(['a', 'b "c"', 'd'])
    expect(records).toEqual([
      { line: 2, cells: ['1\r\n2', 'x,y', ''] },
      { line: 4, cells: ['3', '4', '5'] },
    ])
  })
  it('a mark at the start, other line ends, empty lines and no last line end', () => {
    const { head, records } = readCsv('\uFEFFa,b\n\n1,2\n,\n3,4')
    expect(head).toEqual(['a', 'b'])
    expect(records.map((r) => r.line)).toEqual([3, 5])
  })
  it('a semicolon or a tab where spreadsheets write one', () => {
    expect(readCsv('a;b\r\n1,5;2').records[0]?.cells).toEqual(['1,5', '2'])
    expect(readCsv('a\tb\r\n1\t2').records[0]?.cells).toEqual(['1', '2'])
    expect(readCsv('"a;b;c",d\r\n1,2').head).toEqual(['a;b;c', 'd'])
  })
  it('a quotation mark that is not closed is a mistake', () => {
    expect(readCsv('a,b\r\n"1,2\r\n').problems).toEqual([
      { line: 2, column: '', message: 'A quotation mark is not closed.' },
    ])
  })
})

describe('orders from CSV', () => {
  it('one record a size; garments and orders are put together', () => {
    const { orders, problems } = take(
      lines(
        'O-2001,Osprey Rugby,Away,2026-12-11,Navy,M,30',
        'O-2001,Osprey Rugby,Away,2026-12-11,Navy,L,20',
        'O-2001,Osprey Rugby,Away,2026-12-11,Heather grey,L,5',
        ',Tern & Co,,2026-12-12,white,s,7',
        'W-9,Tern & Co,,2026-12-13,White,S,8',
      ),
    )
    expect(problems).toEqual([])
    expect(orders.map((o) => o.id)).toEqual(['O-2001', 'O-1011', 'O-1012'])
    expect(orders[0]?.lines.map((l) => [l.cloth.name, l.sizes])).toEqual([
      [
        'Navy',
        [
          { size: 'M', quantity: 30 },
          { size: 'L', quantity: 20 },
        ],
      ],
      ['Heather grey', [{ size: 'L', quantity: 5 }]],
    ])
    expect(orders[1]?.lines[0]).toMatchObject({
      cloth: { name: 'White', weight: 0.16 },
      sizes: [{ size: 'S' }],
    })
    expect(orders[2]?.notes).toBe('Their number: W-9.')
  })
  it.each([
    ['a number that is taken', 'O-1001,A,,2026-12-11,Navy,M,1', 'order', /is there already/],
    ['a cloth no one knows', ',A,,2026-12-11,Mauve,M,1', 'cloth', /not on the shelf/],
    ['no pieces', ',A,,2026-12-11,Navy,M,', 'quantity', /How many/],
    ['pieces in words', ',A,,2026-12-11,Navy,M,ten', 'quantity', /“ten” is no number/],
    ['half a piece', ',A,,2026-12-11,Navy,M,1.5', 'quantity', /whole number/],
    ['a size no one knows', ',A,,2026-12-11,Navy,Huge,1', 'size', /Choose a size/],
    ['a day that is none', ',A,,soon,Navy,M,1', 'due', /2026-12-01/],
    ['no customer', ',,,2026-12-11,Navy,M,1', 'customer', /missing/],
  ])('%s is said at its line and column, and nothing is taken', (_, row, column, message) => {
    const { orders, problems } = take(lines('O-3000,Good,,2026-12-11,Navy,M,1', row))
    expect(orders).toEqual([])
    expect(problems).toHaveLength(1)
    expect(problems[0]).toMatchObject({ line: 3, column })
    expect(problems[0]?.message).toMatch(message)
  })
  it('records of one order that contradict each other are a mistake', () => {
    const { problems } = take(lines('O-3000,A,,2026-12-11,Navy,M,1', 'O-3000,A,,2026-12-18,Navy,L,1'))
    expect(problems).toMatchObject([
      { line: 3, column: 'due', message: 'Differs from line 2 of the same order: “2026-12-11”.' },
    ])
  })
  it('columns are found by other heads, and what is needed is asked for', () => {
    expect(guessMapping(['Qty', 'Garment colour', 'Client', 'Deadline', 'SIZE'])).toEqual({
      quantity: 0,
      cloth: 1,
      customer: 2,
      due: 3,
      size: 4,
    })
    expect(take('Who\r\nA').problems.map((p) => p.message)).toContain('Say which column holds: Customer.')
  })
  it('heads, sizes and days as shops write them', () => {
    expect(guessMapping(['Ship by', 'Shade', 'Hex code', 'Sz', 'Qty', 'Buyer'])).toEqual({
      due: 0,
      cloth: 1,
      hex: 2,
      size: 3,
      quantity: 4,
      customer: 5,
    })
    const { orders, problems } = take(
      ['buyer,ship by,shade,sz,qty', 'A,31/12/2026,Navy,XXL,4', 'A,31/12/2026,Navy,x-large,2'].join('\r\n'),
    )
    expect(problems).toEqual([])
    expect(orders[0]).toMatchObject({
      due: '2026-12-31',
      lines: [
        {
          sizes: [
            { size: '2XL', quantity: 4 },
            { size: 'XL', quantity: 2 },
          ],
        },
      ],
    })
  })
  it('a day that may be two is asked about once, and read as it is said', () => {
    const text = lines(',A,,04/12/2026,Navy,M,1', ',A,,04/12/2026,Navy,L,1')
    expect(take(text).problems).toEqual([
      {
        line: 2,
        column: 'due',
        message: '“04/12/2026” may be two days: say which comes first, the day or the month.',
      },
    ])
    const due = (days: DayOrder) => take(text, { ...CONTEXT, days }).orders[0]?.due
    expect([due('dayFirst'), due('monthFirst')]).toEqual(['2026-12-04', '2026-04-12'])
  })
  it.each([
    ['4.12.2026', 'dayFirst', '2026-12-04'],
    ['4 Dec 2026', undefined, '2026-12-04'],
    ['December 4, 2026', undefined, '2026-12-04'],
    ['2026/12/4', undefined, '2026-12-04'],
    ['31/02/2026', 'dayFirst', undefined],
    ['12/31/26', 'monthFirst', '2026-12-31'],
    ['5/5/2026', undefined, '2026-05-05'],
    ['next week', 'dayFirst', undefined],
    ['4 Foo 2026', undefined, undefined],
  ] as const)('%s, %s, is %s', (text, order, day) => expect(readDay(text, order)).toBe(day))
  it('any day is read back from any way of writing it (property)', () => {
    const day = fc.date({ min: new Date('1991-01-01'), max: new Date('2198-12-31'), noInvalidDate: true })
    fc.assert(
      fc.property(day, (date) => {
        const iso = date.toISOString().slice(0, 10)
        const [year, month, of] = iso.split('-')
        expect(readDay(`${of}/${month}/${year}`, 'dayFirst')).toBe(iso)
        expect(readDay(`${month}-${of}-${year}`, 'monthFirst')).toBe(iso)
        expect(dayOrderIn([`${of}.${month}.${year}`])).toBe(
          Number(of) <= 12 && Number(month) > 12 ? 'monthFirst' : 'dayFirst',
        )
      }),
    )
  })
  it.each([
    ['XXL', '2XL'],
    ['xx-large', '2XL'],
    ['Medium', 'M'],
    ['5/6 yrs', '5-6'],
    ['one size', 'One'],
    ['Age 7-8', '7-8'],
    ['Huge', 'Huge'],
  ])('size %s is %s (common practice, no source)', (text, size) => expect(sizeNamed(text)).toBe(size))
  it('a cloth of its own comes with its colour', () => {
    const text =
      'customer,due,cloth,hex,weave,cotton_percent,polyester_percent,weight_gsm,size,quantity\r\nA,2026-12-11,Mauve,#8A5B8C,fleece,80,20,280,M,3'
    expect(take(text).orders[0]?.lines[0]?.cloth).toEqual({
      name: 'Mauve',
      hex: '#8a5b8c',
      weave: 'fleece',
      cotton: 0.8,
      polyester: 0.2,
      weight: 0.28,
    })
  })
})

/** Cells as another reader takes them (papaparse). */
const readCsvRaw = (csv: string) => Papa.parse<string[]>(csv.trim()).data.slice(1).flat()

describe('lists as CSV', () => {
  const orders = demoOrders('2026-11-23')
  it('orders read back as they were written, but for their prints', () => {
    const { head, records } = readCsv(ordersCsv(orders))
    const read = ordersFromCsv(head, records, guessMapping(head), { cloths: [], taken: new Set(), next: 1 })
    expect(read.problems).toEqual([])
    const bare = (o: Order) => ({
      ...o,
      placements: [],
      lines: o.lines.map((l) => ({ ...l, id: '', group: '' })),
    })
    expect(read.orders.map(bare)).toEqual(orders.map(bare))
  })
  it('any text in an order reads back (property)', () => {
    const [first] = orders
    if (!first) throw new Error('no order')
    const text = fc
      .string({ unit: fc.constantFrom('a', ' ', '"', ',', '\n', ';', 'é', '='), minLength: 1, maxLength: 20 })
      .map((t) => `x${t}`.trim())
    fc.assert(
      fc.property(text, text, fc.constantFrom(...SIZE_NAMES), (customer, notes, size) => {
        const order = {
          ...first,
          customer,
          notes,
          lines: first.lines.map((l) => ({ ...l, sizes: [{ size, quantity: 3 }] })),
        }
        const { head, records } = readCsv(ordersCsv([order]))
        const read = ordersFromCsv(head, records, guessMapping(head), {
          cloths: [],
          taken: new Set(),
          next: 1,
        })
        // What is one line stays one line.
        const named = customer.replace(/\n+/g, ' ').trim()
        expect(read.orders[0]).toMatchObject({
          customer: named,
          notes,
          lines: [{ sizes: [{ size, quantity: 3 }] }],
        })
      }),
    )
  })
  it('what a spreadsheet would calculate is made harmless, and reads back equal', () => {
    const [first] = orders
    if (!first) throw new Error('no order')
    for (const odd of [
      '=1+1',
      '+49 30',
      '-2',
      '@sum',
      "'=x",
      "''+",
      "it's = fine",
      '=HYPERLINK("http://x")',
      '＝1',
    ]) {
      const order = { ...first, customer: odd, title: odd, notes: odd }
      const csv = ordersCsv([order])
      for (const cell of readCsvRaw(csv)) expect(cell, csv).not.toMatch(/^[=+@\t\r＝＋－＠]/)
      const { head, records } = readCsv(csv)
      const read = ordersFromCsv(head, records, guessMapping(head), { cloths: [], taken: new Set(), next: 1 })
      expect(read.orders[0], odd).toMatchObject({ customer: odd, title: odd, notes: odd })
    }
  })
  it('a number of pieces that may be two is asked, one that cannot is taken', () => {
    const read = (quantity: string) => {
      const { head, records } = readCsv(
        `customer,due,cloth,hex,size,quantity\nA,2026-12-01,Red,#aa0000,M,"${quantity}"\n`,
      )
      const found = ordersFromCsv(head, records, guessMapping(head), {
        cloths: [],
        taken: new Set(),
        next: 1,
      })
      return found.orders[0]?.lines[0]?.sizes[0]?.quantity ?? found.problems[0]?.message
    }
    expect(read('2,500')).toBe(2500)
    expect(read('1 200')).toBe(1200)
    expect(read('1,000')).toMatch(/may be 1 or 1000/)
    expect(read('1.000')).toMatch(/may be 1 or 1000/)
    expect(read('0x20')).toMatch(/is no number/)
  })
  it('head and line ends are those of RFC 4180', () => {
    expect(ordersCsv([])).toBe(`${ORDER_COLUMN_NAMES.join(',')}\r\n`)
    const run = {
      run: 'R-1-P1-dark',
      order: 'O-1',
      customer: 'A, B',
      due: '2026-12-01',
      print: 'Full front',
      pieces: 3,
      press: 'Four',
      screens: 2,
      time: [600, 1290] as const,
      revision: 0,
      open: 1,
    }
    expect(runsCsv([run]).split('\r\n').slice(1)).toEqual([
      'R-1-P1-dark,O-1,"A, B",2026-12-01,Full front,3,Four,2,10,22,,1',
      '',
    ])
  })
  it('plans have a record for each screen, with units in the head', () => {
    const [order] = orders
    const [run] = order ? splitOrder(order) : []
    if (!order || !run) throw new Error('no run')
    const { head, records } = readCsv(plansCsv([plan(order, DEMO_SHOP, noDecisions(run.id))]))
    expect(head).toContain('mesh_per_cm')
    expect(records.map((r) => r.cells[head.indexOf('screen')])).toEqual([
      'Base white',
      'Moon yellow',
      'Comet blue',
      'Harbour white',
    ])
    expect(records[0]?.cells.slice(0, 6)).toEqual([
      'R-1001-P1-dark',
      'Carousel Four',
      '1',
      'Base white',
      'F61-2',
      '61',
    ])
  })
})

describe('mistakes mended where they are told', () => {
  const file = lines(
    ',Tern Tea,,2026-12-11,FRST,XXL,12',
    ',Tern Tea,,2026-12-11,frst,M,x',
    ',Tern Tea,,2026-12-11,Navy,L,4',
  )
  const read = (mended: Mended) => take(file, { ...CONTEXT, mended })
  const mend = (mended: Mended, said: RegExp, text: string): Mended => {
    const found = read(mended).problems.find((p) => said.test(p.message))
    if (!found?.cell) throw new Error(`nothing says ${said}`)
    return mendedBy(mended, found.line, found.cell, text)
  }
  it('a word is mended in its whole column, a number in its own cell', () => {
    expect(read(NOT_MENDED).problems.map((p) => [p.line, p.cell?.name, p.cell?.written])).toEqual([
      [2, 'cloth', 'FRST'],
      [3, 'cloth', 'frst'],
      [3, 'quantity', 'x'],
    ])
    const words = mend(NOT_MENDED, /not on the shelf/, 'Navy')
    expect(words).toEqual({ words: { cloth: { frst: 'Navy' } }, cells: {} })
    expect(read(words).problems.map((p) => p.line)).toEqual([3])
    const all = mend(words, /is no number/, '7')
    expect(all.cells).toEqual({ '3 quantity': '7' })
    const [order] = read(all).orders
    expect(order?.lines.map((l) => [l.cloth.name, l.sizes])).toEqual([
      [
        'Navy',
        [
          { size: '2XL', quantity: 12 },
          { size: 'M', quantity: 7 },
          { size: 'L', quantity: 4 },
        ],
      ],
    ])
  })
  it('mended wrongly it is told again, and said as it is written it is as it was', () => {
    const wrong = mend(NOT_MENDED, /not on the shelf/, 'Mauve')
    const again = read(wrong).problems[0]
    expect(again?.cell).toEqual({ name: 'cloth', written: 'FRST', read: 'Mauve' })
    expect(mendedBy(wrong, 2, again!.cell!, 'FRST')).toEqual({ words: { cloth: {} }, cells: {} })
  })
  it('words that every object knows are words', () => {
    for (const word of ['__proto__', 'constructor', 'toString']) {
      const odd = lines(`,Tern Tea,,2026-12-11,${word},M,12`)
      const found = take(odd).problems.find((p) => p.cell?.name === 'cloth')
      const mended = mendedBy(NOT_MENDED, 2, found!.cell!, 'Navy')
      expect(take(odd, { ...CONTEXT, mended }).orders[0]?.lines[0]?.cloth.name).toBe('Navy')
    }
  })
})
