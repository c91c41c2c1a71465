import type { ArtRelation, Cloth, GarmentLine, InkColour, Order, Placement } from '@/core/order'
import { orderedSystem } from '@/core/order'
import type { Decisions } from '@/core/plan'
import { degrees, lpi, mm } from '@/core/quantity'
import { DEMO_CLOTHS, DEMO_INKS } from './shelf'

const cloth = (name: string): Cloth => {
  const found = DEMO_CLOTHS.find((c) => c.name === name)
  if (!found) throw new Error(`no cloth ${name}`)
  return found
}

const line = (id: string, style: string, clothName: string, sizes: Record<string, number>): GarmentLine => ({
  id,
  style,
  cloth: cloth(clothName),
  sizes: Object.entries(sizes).map(([size, quantity]) => ({ size, quantity })),
  group: '',
})

/** An ink of the shelf in a print: id, shelf ink, coverage; a ruling makes it a halftone. */
const ink = (id: string, shelf: string, coverage: number, more: Partial<InkColour> = {}): InkColour => {
  const found = DEMO_INKS.find((x) => x.id === shelf)
  if (!found) throw new Error(`no ink ${shelf}`)
  const { name, hex } = found
  const kind = {
    inkType: found.inkType,
    opacity: found.opacity,
    system: orderedSystem(found.system, 'plastisol'),
  }
  return { id, name, hex, ...kind, coverage, lowCure: false, ...more }
}

/** One ruling and one safe angle for all films of the photograph. */
const SEABIRD = { ruling: lpi(50), angle: degrees(22.5) }

const meet = (how: ArtRelation['how'], ...pairs: readonly string[]): ArtRelation[] =>
  pairs.map((pair) => {
    const [a = '', b = ''] = pair.split('-')
    return how === 'overlap' ? { a, b, how, width: mm(0.3) } : { a, b, how }
  })

const print = (
  id: string,
  where: Placement['where'],
  width: number,
  height: number,
  inks: InkColour[],
  relations: ArtRelation[] = [],
  sizes: Placement['sizes'] = 'all',
): Placement => ({ id, where, width: mm(width), height: mm(height), sizes, inks, relations })

const PENNANTS = [
  ink('I1', 'red', 0.14),
  ink('I2', 'blue', 0.16),
  ink('I3', 'green', 0.1),
  ink('I4', 'brown', 0.06),
  ink('I5', 'black', 0.08),
]
const PENNANTS_MEET = [
  ...meet('touch', 'I1-I2', 'I2-I3'),
  ...meet('overlap', 'I1-I5', 'I2-I5', 'I3-I5', 'I4-I5'),
]

const day = (today: string, offset: number): string => {
  const date = new Date(`${today}T12:00:00Z`)
  date.setUTCDate(date.getUTCDate() + offset)
  return date.toISOString().slice(0, 10)
}

const thisWeek = (today: string): readonly Order[] => [
  {
    id: 'O-1001',
    customer: 'Tide Observatory',
    title: 'Open nights star chart',
    due: day(today, 2),
    notes: 'Fine star trails in the yellow: keep them open.',
    lines: [line('G1', 'Classic tee', 'Navy', { S: 24, M: 48, L: 48, XL: 24 })],
    placements: [
      print(
        'P1',
        'front',
        280,
        330,
        [ink('I1', 'yellow', 0.12), ink('I2', 'sky', 0.22), ink('I3', 'white', 0.06)],
        [...meet('touch', 'I1-I2'), ...meet('overlap', 'I2-I3')],
      ),
    ],
  },
  {
    id: 'O-1002',
    customer: 'Tarnquay Regatta',
    title: 'Pennants',
    due: day(today, 4),
    notes: 'Second, smaller artwork for the juniors.',
    lines: [
      line('G1', 'Classic tee', 'Heather grey', { S: 30, M: 50, L: 40, XL: 20, '9-11': 10, '12-13': 5 }),
      line('G2', 'Classic tee', 'Navy', { S: 15, M: 30, L: 25, XL: 10, '9-11': 10, '12-13': 5 }),
    ],
    placements: [
      print('P1', 'front', 300, 320, PENNANTS, PENNANTS_MEET, 'adult'),
      print('P2', 'front', 230, 245, PENNANTS, PENNANTS_MEET, 'kids'),
    ],
  },
  {
    id: 'O-1003',
    customer: 'Kittiwake Count',
    title: 'Photographic seabird',
    due: day(today, 1),
    notes: 'Simulated process; wet-on-wet feathers.',
    lines: [line('G1', 'Classic tee', 'Charcoal', { S: 16, M: 32, L: 32, XL: 16 })],
    placements: [
      print(
        'P1',
        'front',
        290,
        350,
        [
          ink('I1', 'white', 0.08, { ...SEABIRD }),
          ink('I2', 'yellow', 0.2, { ...SEABIRD }),
          ink('I3', 'orange', 0.22, { ...SEABIRD, opacity: 'ordinary' }),
          ink('I4', 'sky', 0.25, { ...SEABIRD }),
          ink('I5', 'black', 0.12, { ...SEABIRD }),
        ],
        [...meet('blend', 'I1-I2', 'I2-I3', 'I3-I4'), ...meet('overlap', 'I1-I5', 'I2-I5', 'I3-I5', 'I4-I5')],
      ),
    ],
  },
]

const nextWeek = (today: string): readonly Order[] => [
  {
    id: 'O-1004',
    customer: 'Wendle Valley Railway',
    title: 'Engine photograph',
    due: day(today, 6),
    notes: 'True process on white.',
    lines: [line('G1', 'Light tee', 'White', { S: 50, M: 100, L: 100, XL: 50 })],
    placements: [
      print(
        'P1',
        'front',
        320,
        260,
        [
          ink('I1', 'py', 0.4, { ruling: lpi(55) }),
          ink('I2', 'pm', 0.4, { ruling: lpi(55) }),
          ink('I3', 'pc', 0.35, { ruling: lpi(55) }),
          ink('I4', 'pk', 0.3, { ruling: lpi(55) }),
        ],
        meet('blend', 'I1-I2', 'I1-I3', 'I1-I4', 'I2-I3', 'I2-I4', 'I3-I4'),
      ),
    ],
  },
  {
    id: 'O-1005',
    customer: 'Slate Hollow Climbing',
    title: 'Block letters, raised',
    due: day(today, -1),
    notes: 'Neck label first, then the raised print.',
    lines: [line('G1', 'Heavy hood', 'Black hood', { S: 8, M: 16, L: 16, XL: 8 })],
    placements: [
      print('P1', 'neckLabel', 60, 40, [ink('I1', 'white', 0.3)]),
      print(
        'P2',
        'front',
        270,
        200,
        [ink('I1', 'orange', 0.2), ink('I2', 'raised', 0.25)],
        meet('touch', 'I1-I2'),
      ),
    ],
  },
  {
    id: 'O-1006',
    customer: 'Nightjar Short Films',
    title: 'Copper moth',
    due: day(today, 8),
    notes: 'Choke the base under the copper.',
    lines: [line('G1', 'Classic tee', 'Black', { S: 15, M: 30, L: 20, XL: 10 })],
    placements: [
      print(
        'P1',
        'front',
        260,
        300,
        [ink('I1', 'copper', 0.35), ink('I2', 'white', 0.05)],
        meet('overlap', 'I1-I2'),
      ),
    ],
  },
  {
    id: 'O-1007',
    customer: 'Ferrymen Five-a-side',
    title: 'Match shirts',
    due: day(today, 9),
    notes: 'Polyester: low-cure additive in both inks.',
    lines: [line('G1', 'Match shirt', 'Maroon polyester', { S: 6, M: 10, L: 10, XL: 6 })],
    placements: [
      print(
        'P1',
        'back',
        280,
        300,
        [ink('I1', 'white', 0.22, { lowCure: true }), ink('I2', 'yellow', 0.1, { lowCure: true })],
        meet('touch', 'I1-I2'),
      ),
    ],
  },
]

const later = (today: string): readonly Order[] => [
  {
    id: 'O-1008',
    customer: 'Marram Dune Trust',
    title: 'Two soft colours',
    due: day(today, 12),
    notes: 'Soft hand. No pause once the ink is in the screens.',
    lines: [line('G1', 'Organic tee', 'Natural organic', { S: 40, M: 60, L: 50, XL: 30 })],
    placements: [
      print(
        'P1',
        'front',
        270,
        310,
        [ink('I1', 'sand', 0.25), ink('I2', 'sea', 0.2)],
        meet('touch', 'I1-I2'),
      ),
    ],
  },
  {
    id: 'O-1009',
    customer: 'Ropewalk Bakehouse',
    title: 'Bakehouse aprons',
    due: day(today, 5),
    notes: 'Does not fit over a pallet: measure the lay first.',
    lines: [line('G1', 'Bib apron', 'Rust canvas', { One: 60 })],
    placements: [print('P1', 'offPallet', 220, 180, [ink('I1', 'white', 0.3)])],
  },
  {
    id: 'O-1010',
    customer: 'Osselby School',
    title: 'Leavers’ sweatshirts',
    due: day(today, 15),
    notes:
      'Customer picks one ink of five: bottle green, pennant red, samphire green, harbour white, coal black.',
    lines: [line('G1', 'Crew sweat', 'Marigold sweat', { '12-13': 30, S: 40, M: 30, L: 20 })],
    placements: [print('P1', 'back', 300, 280, [ink('I1', 'pennant', 0.28)])],
  },
]

/** The ten orders of the demo, due around `today` (`2026-11-23`). */
export const demoOrders = (today: string): readonly Order[] => [
  ...thisWeek(today),
  ...nextWeek(today),
  ...later(today),
]

/** What the lead of the demo has already decided. */
export const DEMO_DECISIONS: readonly Decisions[] = [
  { runId: 'R-1005-P1-dark', method: {}, overrides: { 'base.I1': 'none' }, order: [] },
  { runId: 'R-1001-P1-dark', method: {}, overrides: { 'dwell.base': 7 }, order: [] },
]
