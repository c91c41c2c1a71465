import { SYMPTOMS } from '@/core/trouble'
import type { StageName } from './orders/[id]/stages'

/** A place by the words that printers have for what is done there. */
interface Topic {
  readonly label: string
  /** A page, or the stage of an order: of the one in hand, else of one that is picked. */
  readonly at: string | { readonly stage: StageName }
  /** What else it is called, and what is seen when it goes wrong. */
  readonly words: string
}

const at = (stage: StageName) => ({ stage })

export const TOPICS: readonly Topic[] = [
  {
    label: 'Units, inches, dates, first day of the week',
    at: '/shop/method',
    words:
      'units metric imperial inch millimetre fraction decimal fahrenheit celsius date format week sunday',
  },
  {
    label: 'Presses, heads out of service',
    at: '/shop',
    words: 'carousel automatic manual bench station pallet platen head down broken',
  },
  {
    label: 'The days: which press, when, what is late',
    at: '/',
    words:
      'schedule plan week calendar queue lane press order late due promise overtime replan breakdown down today',
  },
  {
    label: 'Squeegees, frames, flashes, dryers',
    at: '/shop/stock',
    words:
      'squeegee blade rubber durometer shore frame screen stock flash unit quartz dryer tunnel oven conveyor',
  },
  {
    label: 'Probe, gun, belt and boards',
    at: '/shop/heat',
    words: 'donut probe strip thermometer gun infrared belt speed hot board pallet temperature',
  },
  {
    label: 'Emulsion, mesh, lamps',
    at: '/shop/stencils',
    words: 'emulsion mesh thread lamp stencil film position humidity',
  },
  {
    label: 'Inks and cloths of the shelf',
    at: '/shop/shelf',
    words: 'ink colour color white ink cloth garment shirt tee shelf range',
  },
  {
    label: 'Wages, hours, money',
    at: '/shop/method',
    words: 'hours breaks shift wage cost per hour money price currency practice school method press cycle',
  },
  {
    label: 'Backups, archive, restore',
    at: '/shop/data',
    words: 'backup back up restore archive export import copy save lost data',
  },
  {
    label: 'Words and steps of the lists',
    at: '/shop/lists',
    words: 'checklist check list procedure step list own words',
  },
  {
    label: 'Reclaim, coat, dry, expose, wash',
    at: '/screens',
    words:
      'reclaim strip haze coat coating dry burn expose wash out washout rinse pinhole pinholes block out tape screen room to do',
  },
  {
    label: 'Exposure and step test',
    at: '/screens/light',
    words:
      'exposure burn time step test step wedge scale calculator under exposed over exposed bubbles underlay',
  },
  {
    label: 'Tension of frames',
    at: '/screens/frames',
    words: 'tension newton meter slack retension restretch stretch torn mesh',
  },
  { label: 'Mix ink', at: '/ink', words: 'mix ink mixing weigh scale bucket tub pot life' },
  { label: 'Find a formula', at: '/ink/formulas', words: 'formula recipe match colour color swatch lab hex' },
  {
    label: 'Stock of ink, book in cans',
    at: '/ink/rack',
    words: 'stock can cans book in order ink run out price per kg base white pigment',
  },
  { label: 'Bring orders in', at: '/orders/import', words: 'import csv spreadsheet excel paste orders list' },
  {
    label: 'Done orders, print one again',
    at: '/orders?show=done',
    words: 'reorder again repeat done archive old order same design',
  },
  {
    label: 'Open a sheet by its code',
    at: '/press',
    words: 'sheet code scan camera qr press tablet count run',
  },
  {
    label: 'Customers, house rules',
    at: '/customers',
    words: 'customer client account house rules merge duplicate usual lead time contact notes',
  },
  {
    label: 'Quote and proof of an order',
    at: at('order'),
    words: 'quote quotation offer estimate proof mockup price list approval send pdf',
  },
  {
    label: 'Pace, spoils, where time goes',
    at: '/record',
    words: 'record log history spoilage rejects misprints waste pace speed report statistics',
  },
  {
    label: 'Garments, sizes, quantities',
    at: at('order'),
    words:
      'garment size quantity pieces customer due date split run cloth received came in short packed shipped gone accepted art approved',
  },
  {
    label: 'Films, colours, traps',
    at: at('art'),
    words: 'film separation seps artwork halftone dots choke trap base colour marks moire',
  },
  {
    label: 'Mesh, off-contact, exposure of each screen',
    at: at('screens'),
    words: 'mesh off contact snap gap which screen count frame exposure ruling lpi',
  },
  {
    label: 'Ink of the run, white under it',
    at: at('ink'),
    words: 'how much ink underbase base white highlight bleed block grams',
  },
  {
    label: 'Trouble: what is wrong, what to change first',
    at: at('sequence'),
    words: `trouble fault problem wrong fix seen at the sample ${Object.values(SYMPTOMS)
      .map((s) => s.label.toLowerCase())
      .join(' ')}`,
  },
  {
    label: 'Rehearse a run, learn on a simulated press',
    at: at('run'),
    words:
      'rehearsal rehearse simulate simulation simulator train training trainee learn lesson practise what if',
  },
  {
    label: 'Tables of trouble: causes, remedies, how often',
    at: '/shop/trouble',
    words: 'trouble table causes remedies rates outcomes learnt',
  },
  {
    label: 'Order of printing, flashes, strokes',
    at: at('sequence'),
    words:
      'sequence print order colour order flash rotation revolver squeegee angle pressure stroke flood smear smudge pick up wet on wet opacity',
  },
  {
    label: 'Where it sits, registration',
    at: at('placement'),
    words:
      'placement position collar hem center centre register registration micro shift off out of register',
  },
  {
    label: 'Flash, film, cure',
    at: at('heat'),
    words:
      'flash too long too short dwell cure temperature gel tacky sticks sticking wash test crack scorch dye migration belt',
  },
  {
    label: 'Time, cost and price of the run',
    at: at('run'),
    words: 'price cost margin charge estimate time how long minutes finish when release revision spare',
  },
]

/** Topics that a typed text names: each of its words begins one of theirs. */
export function topicsFor(text: string): readonly Topic[] {
  const wanted = text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
  if (wanted.length === 0) return []
  const has = ({ label, words }: Topic) => {
    const own = `${label} ${words}`.toLowerCase().split(/[^\p{L}\p{N}]+/u)
    return wanted.every((w) => own.some((o) => o.startsWith(w)))
  }
  return TOPICS.filter(has)
}

/** Where a topic is: at the order in hand, if it belongs to one and one is. */
export const topicHref = ({ at }: Topic, path: string): string => {
  if (typeof at === 'string') return at
  const [, order] = /^\/orders\/(O-[^/?]+)/.exec(path) ?? []
  return order ? `/orders/${order}/${at.stage}` : '/orders'
}
