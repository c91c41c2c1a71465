import { type Inputs, q } from '../advice'
import { count, mesh, work } from './exampleQuantities'

const at = (until: string): Inputs => ({ until })
const OTHER = 'Tide Observatory, Open nights star chart'

/** What is said of the shop's days. */
export const DAYS_EXAMPLES: Readonly<Record<string, Inputs>> = {
  WAITS_PRESS: { press: 'Carousel Six', other: OTHER, until: '2026-12-02T10:40' },
  WAITS_SCREENS: {
    until: '2026-12-02T13:41',
    from: '2026-12-02T09:00',
    screens: count(6),
    frames: 'F61-2, F90-3',
  },
  WAITS_FRAME: { frame: 'F90-3', other: OTHER, clean: '2026-12-02T08:50' },
  WAITS_DRY: at('2026-12-02T09:20'),
  WAITS_SCREENS_OF: { other: OTHER, until: '2026-12-02T10:40' },
  WAITS_INK: { inks: count(3), each: work(20), until: '2026-12-02T09:00' },
  WAITS_GARMENTS: at('2026-12-02T08:00'),
  WAITS_GARMENTS_ON: { day: '2026-12-02', until: '2026-12-02T08:00' },
  WAITS_BEFORE: { other: 'Slate Hollow Climbing, Neck label', until: '2026-12-02T11:20' },
  WAITS_PERSON: { press: 'The Twelve', until: '2026-12-03T08:00' },
  WAITS_CREW: { other: OTHER, until: '2026-12-02T10:40' },
  WAITS_RACKS: { racks: count(8), until: '2026-12-02T11:30' },
  WAITS_PALLETS: { pallets: 'Sleeve boards', other: OTHER, until: '2026-12-02T10:40' },
  WAITS_BELT: { other: OTHER, until: '2026-12-02T10:40' },
  WAITS_HEAT: { other: 'Ferrymen Five-a-side', until: '2026-12-02T11:00' },
  WAITS_LEAD: at('2026-12-03T13:00'),
  WAITS_HOURS: at('2026-12-02T12:30'),
  DAY_SET_UP: { time: work(40), change: work(34) },
  DAY_PRINTS: { time: work(97), pieces: count(96) },
  DAY_SHORT: { short: count(6), pieces: count(96) },
  DAY_SLOWER: { pace: q('share', 0.75) },
  DAY_OTHER_PRESS: { planned: 'Carousel Four', press: 'The Twelve' },
  DAY_PUT_LOST: { press: 'Carousel Six' },
  DAY_LATE: { done: '2026-12-03T10:00', late: q('workTime', 36_000), by: '2026-12-02' },
  DAY_LATE_DAYS: { done: '2026-12-06T10:00', days: count(4), by: '2026-12-02' },
  DAY_DRIES: { air: q('workTime', 86_400), done: '2026-12-03T10:00' },
  DAY_BATCHES: { count: count(3), each: work(10) },
  CHAIN_GOES_ON: { run: OTHER, begins: '2026-12-02T10:40', other: 'Kittiwake Count' },
  CHAIN_ENDS: { run: 'Kittiwake Count', begins: '2026-12-02T09:10', waits: 'its screens' },
  PROMISE: { likely: '2026-12-10T11:20', draws: count(200), planned: '2026-12-09T14:20' },
  PROMISE_LEAD: { lead: count(2) },
  DAY_REFUSED_FRAMES: { screens: count(4), mesh: mesh(120), frames: count(3) },
  DAY_REFUSED_PEOPLE: { count: count(2), there: count(1) },
  DAY_REFUSED_LATE: { days: count(90) },
  DAY_REFUSED_BEFORE: { other: 'Slate Hollow Climbing, Neck label' },
}
