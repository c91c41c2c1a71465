import { DEFAULT_METHOD } from '@/core/advice'
import {
  type FlashCalibration,
  frameStock,
  type ScreenRoom,
  type Shop,
  squeegeeStock,
  USUAL_HOURS,
  USUAL_PRICES,
  USUAL_SCREENS,
} from '@/core/equipment'
import { celsius, mm, perCm } from '@/core/quantity'
import { DEMO_INK_ROOM } from './inkRoom'

const DEMO_SCREENS: ScreenRoom = {
  ...USUAL_SCREENS,
  humidity: 0.55,
  lamps: [
    { id: 'led', name: 'LED unit', kind: 'led', distance: mm(120) },
    { id: 'halogen', name: 'Work lamp', kind: 'halogen', distance: mm(430) },
  ],
  tests: [
    {
      id: 'T1',
      on: '2026-10-05',
      lampId: 'led',
      emulsionId: 'dual',
      mesh: perCm(77),
      coats: 2,
      distance: mm(120),
      time: 27,
      low: 19,
      high: 27,
    },
    {
      id: 'T2',
      on: '2026-10-05',
      lampId: 'led',
      emulsionId: 'dual',
      mesh: perCm(43),
      coats: 2,
      distance: mm(120),
      time: 19,
      low: 13.5,
      high: 19,
    },
  ],
}

/** All invented. */
/** One unit of the shop was read; the others are as such units usually are. */
const QUARTZ_READ: FlashCalibration = {
  on: '2026-10-12',
  above: mm(65),
  roomAir: celsius(22),
  humidity: 0.5,
  readings: [
    { of: 'hot', pallet: celsius(30), dwell: 4, delay: 1.5, read: 367.1 },
    { of: 'touch', pallet: celsius(30), dwell: 4 },
    { of: 'pallet', laps: 40, dwell: 4, lap: 40, read: 326.6 },
  ],
  gain: 0.955,
  contact: 0.942,
  loss: 1.066,
  dwellSpread: 0.31,
}

export const DEMO_SHOP: Shop = {
  name: 'Gannet Wharf Printroom',
  method: DEFAULT_METHOD,
  presses: [
    {
      id: 'four',
      name: 'Carousel Four',
      kind: 'manual',
      heads: 6,
      down: [],
      pallets: 4,
      palletWidth: mm(406),
      palletHeight: mm(560),
      palletMaterial: 'aluminium',
    },
    {
      id: 'six',
      name: 'Carousel Six',
      kind: 'manual',
      heads: 6,
      down: [],
      pallets: 6,
      palletWidth: mm(406),
      palletHeight: mm(560),
      palletMaterial: 'aluminium',
    },
    {
      id: 'twelve',
      name: 'The Twelve',
      kind: 'automatic',
      palletWidth: mm(406),
      palletHeight: mm(560),
      palletMaterial: 'aluminium',
      stations: Array.from({ length: 10 }, (_, i) => ({
        number: i + 1,
        usable: i + 1 !== 7,
        flashAllowed: i + 1 !== 7,
      })),
      pressure: { scale: 'air', light: 2e5, medium: 2.8e5, firm: 3.6e5 },
    },
    {
      id: 'bench',
      name: 'Bench',
      kind: 'bench',
      palletWidth: mm(455),
      palletHeight: mm(600),
      palletMaterial: 'wood',
    },
  ],
  flashes: [
    { id: 'panel', name: 'Black panel', kind: 'panel', pressId: 'four', takes: 1 },
    { id: 'quartz', name: 'Quartz', kind: 'quartz', pressId: 'six', takes: 1, calibration: QUARTZ_READ },
    { id: 'quartz-a', name: 'Quartz A', kind: 'quartz', pressId: 'twelve', takes: 1, station: 2 },
    { id: 'quartz-b', name: 'Quartz B', kind: 'quartz', pressId: 'twelve', takes: 1, station: 9 },
  ],
  dryers: [
    { id: 'one', name: 'Tunnel One', heatedLength: mm(2400), beltWidth: mm(900) },
    { id: 'two', name: 'Tunnel Two', heatedLength: mm(1200), beltWidth: mm(600) },
  ],
  frames: [
    ...frameStock(43, [26], [25.5], [25], [24]),
    ...frameStock(61, [26.5], [26], [25], [25], [17, 'tension']),
    ...frameStock(77, [26], [26], [25.5], [25], [24.5], [24]),
    ...frameStock(90, [27], [26.5], [26], [26], [25], [18, 'tension']),
    ...frameStock(120, [27], [26.5], [26], [16.5, 'tension'], [15, 'tension']),
  ],
  squeegees: squeegeeStock(
    ['70', 140],
    ['70/90/70', 140],
    ['70', 300],
    ['70/90/70', 300],
    ['70', 240],
    ['70', 350],
    ['70', 380],
    ['70/90/70', 240],
    ['70/90/70', 350],
    ['70/90/70', 380],
    ['80', 350],
    ['80', 380],
    ['60', 350],
    ['90', 380],
  ),
  hours: { ...USUAL_HOURS, to: 16.5 * 3600 },
  prices: USUAL_PRICES,
  ownSteps: [
    { step: 'head.own1', name: 'Photograph the head', good: 'knobs and gauge in one picture', off: false },
  ],
  approved: [],
  screens: DEMO_SCREENS,
  inkRoom: DEMO_INK_ROOM,
}
