import { type BasicFact, PRACTICES, type Practice } from '@/core/advice'
import { type ApprovedSetting, type Shop, STROKE_USES, type StrokeUse } from '@/core/equipment'
import {
  type ArtRelation,
  type Cloth,
  type GarmentLine,
  type InkColour,
  type Order,
  type Placement,
  WHERES,
  type Where,
} from '@/core/order'
import { celsius, degrees, micron, mm, perCm } from '@/core/quantity'

/** A job of a shop, in which one fact after the other is changed. */
export interface Case {
  readonly order: Order
  readonly shop: Shop
}
type Vary = (c: Case) => readonly Case[]

const order =
  (...changes: readonly ((o: Order) => Order)[]): Vary =>
  (c) =>
    changes.map((change) => ({ ...c, order: change(c.order) }))
const shop =
  (...changes: readonly ((s: Shop) => Shop)[]): Vary =>
  (c) =>
    changes.map((change) => ({ ...c, shop: change(c.shop) }))
const lines = (change: (l: GarmentLine) => GarmentLine) => (o: Order) => ({
  ...o,
  lines: o.lines.map(change),
})
const cloth = (change: Partial<Cloth>) => lines((l) => ({ ...l, cloth: { ...l.cloth, ...change } }))
const prints = (change: (p: Placement) => Placement) => (o: Order) => ({
  ...o,
  placements: o.placements.map(change),
})
const inks = (change: (i: InkColour, at: number) => InkColour) =>
  prints((p) => ({ ...p, inks: p.inks.map(change) }))
const ink = (change: Partial<InkColour>) => inks((i) => ({ ...i, ...change }))
const first = (change: Partial<InkColour>) => inks((i, at) => (at === 0 ? { ...i, ...change } : i))

const times = (factor: number) =>
  lines((l) => ({
    ...l,
    sizes: l.sizes.map((s) => ({ ...s, quantity: Math.max(1, Math.round(s.quantity * factor)) })),
  }))
const sized = (size: string) =>
  lines((l) => ({ ...l, sizes: [{ size, quantity: l.sizes.reduce((n, s) => n + s.quantity, 0) }] }))
const meeting = (how: ArtRelation['how'] | undefined) =>
  prints((p) => ({
    ...p,
    relations:
      how === undefined
        ? []
        : p.inks.flatMap((a, i) => p.inks.slice(i + 1).map((b) => ({ a: a.id, b: b.id, how }))),
  }))
const green: InkColour = {
  id: 'extra',
  name: 'Fern green',
  hex: '#2f7d3b',
  inkType: 'spot',
  opacity: 'ordinary',
  coverage: 0.15,
  system: 'house',
  lowCure: false,
}

const presses = (change: (p: Shop['presses'][number]) => Shop['presses'][number]) => (s: Shop) => ({
  ...s,
  presses: s.presses.map(change),
})
const only = (kind: string) => (s: Shop) => {
  const left = s.presses.filter((p) => p.kind === kind)
  return left.length > 0 ? { ...s, presses: left } : s
}
const flashes = (change: Partial<Shop['flashes'][number]>) => (s: Shop) => ({
  ...s,
  flashes: s.flashes.map((f) => ({ ...f, ...change })),
})
const screens = (change: (r: Shop['screens']) => Partial<Shop['screens']>) => (s: Shop) => ({
  ...s,
  screens: { ...s.screens, ...change(s.screens) },
})
const inkRoom = (change: Partial<Shop['inkRoom']>) => (s: Shop) => ({
  ...s,
  inkRoom: { ...s.inkRoom, ...change },
})
const frames = (count: number) => (s: Shop) => ({
  ...s,
  frames: s.frames.map((f) => ({ ...f, mesh: perCm(count) })),
})

/** A good sample of every use on every press, struck as nobody would. */
const found = (s: Shop): Shop => ({
  ...s,
  approved: s.presses.flatMap((p) =>
    (Object.keys(STROKE_USES) as StrokeUse[]).flatMap((use) =>
      [43, 61, 77, 90, 120].flatMap((mesh) =>
        [true, false].flatMap((darkCloth) =>
          [true, false].map(
            (driesInScreen): ApprovedSetting => ({
              id: 'R/x',
              words: 'Another job: x',
              on: '2026-10-01',
              pressId: p.id,
              use,
              mesh: perCm(mesh),
              darkCloth,
              driesInScreen,
              fleece: false,
              squeegee: '80',
              edge: 'rounded',
              angle: degrees(8),
              pressure: 'firm',
              gauge: 3.3,
              time: 2.7,
              strokes: 3,
              flood: 'slow',
              offContact: mm(5),
            }),
          ),
        ),
      ),
    ),
  ),
})

const CHANGES: Readonly<Record<Exclude<BasicFact, `practice ${Practice}`>, Vary>> = {
  quantities: order(times(5), times(0.05)),
  sizes: order(sized('9-11'), sized('M'), sized('3XL')),
  printWidth: order(
    prints((p) => ({ ...p, width: p.width * 0.6 })),
    prints((p) => ({ ...p, width: p.width * 1.4 })),
  ),
  printHeight: order(
    prints((p) => ({ ...p, height: p.height * 0.6 })),
    prints((p) => ({ ...p, height: mm(700) })),
  ),
  where: order(...(Object.keys(WHERES) as Where[]).map((where) => prints((p) => ({ ...p, where })))),
  clothColour: order(cloth({ hex: '#f4f4f0' }), cloth({ hex: '#8a8f94' }), cloth({ hex: '#16181c' })),
  weave: order(cloth({ weave: 'fleece' }), cloth({ weave: 'canvas' }), cloth({ weave: 'jersey' })),
  polyester: order(cloth({ cotton: 0, polyester: 1 }), cloth({ cotton: 0.5, polyester: 0.5 })),
  colours: order(
    prints((p) => ({ ...p, inks: [...p.inks, green] })),
    prints((p) => ({ ...p, inks: p.inks.slice(0, 1) })),
  ),
  inkColour: order(ink({ hex: '#d9262c' }), ink({ hex: '#fbf7e8' }), first({ hex: '#101114' })),
  inkType: order(
    ...(['black', 'white', 'metallic', 'expanding', 'clear', 'cyan'] as const).flatMap((inkType) => [
      first({ inkType }),
      ink({ inkType }),
    ]),
  ),
  opacity: order(ink({ opacity: 'transparent' }), ink({ opacity: 'opaque' }), ink({ opacity: 'ordinary' })),
  coverage: order(ink({ coverage: 0.05 }), ink({ coverage: 0.7 }), first({ coverage: 0.4 })),
  inkSystem: order(
    ink({ system: 'waterBased' }),
    ink({ system: 'highSolids' }),
    first({ system: 'waterBased' }),
  ),
  lowCure: order(ink({ lowCure: true }), first({ lowCure: true })),
  inkCan: order(ink({ can: { flashesFast: true } })),
  ruling: order(ink({ ruling: 2165, angle: degrees(22.5) }), ink({ ruling: 1575, angle: degrees(45) })),
  line: order(ink({ line: mm(0.12) }), ink({ line: mm(0.2) })),
  flakes: order(ink({ particle: mm(0.06) }), ink({ particle: mm(0.02) })),
  wantedFilm: order(ink({ deposit: micron(10) }), ink({ deposit: micron(40) })),
  touching: order(meeting(undefined), meeting('touch'), meeting('overlap'), meeting('blend')),
  presses: shop(
    only('manual'),
    only('automatic'),
    only('single'),
    only('bench'),
    presses((p) => (p.kind === 'manual' ? { ...p, pallets: p.pallets + 2 } : p)),
    presses((p) =>
      p.kind === 'automatic' ? { ...p, stations: p.stations.map((s, i) => ({ ...s, usable: i > 3 })) } : p,
    ),
  ),
  pressures: shop(
    presses((p) => ({ ...p, pressure: { scale: 'turns', light: 1, medium: 2, firm: 4 } })),
    presses((p) => ({ ...p, pressure: { scale: 'turns', light: 2, medium: 3, firm: 7 } })),
  ),
  flashUnits: shop(flashes({ kind: 'panel' }), flashes({ kind: 'air' }), flashes({ takes: 2 }), (s) => ({
    ...s,
    flashes: [],
  })),
  ownSetup: shop((s) => ({ ...s, setupPerScreen: 700 })),
  airToday: shop((s) => ({
    ...s,
    air: { on: '2026-11-28', temperature: celsius(8), humidity: 0.9 },
  })),
  dryers: shop(
    (s) => ({ ...s, dryers: s.dryers.map((d) => ({ ...d, heatedLength: d.heatedLength * 1.7 })) }),
    (s) => ({ ...s, dryers: [{ id: 'new', name: 'New', heatedLength: 4, beltWidth: 0.9 }, ...s.dryers] }),
  ),
  frames: shop(
    frames(43),
    frames(77),
    frames(120),
    (s) => ({ ...s, frames: [] }),
    (s) => ({ ...s, frames: s.frames.map((f) => ({ ...f, width: f.width + mm(200) })) }),
  ),
  filmLine: shop(screens((r) => ({ frameToPallet: r.frameToPallet + mm(30) }))),
  fabrics: shop(
    screens((r) => ({
      fabrics: r.fabrics.map((f) =>
        f.count > perCm(70) ? { ...f, thread: f.thread * 0.9, thickness: f.thickness * 0.85 } : f,
      ),
    })),
    screens((r) => ({
      fabrics: r.fabrics.map((f) => ({ ...f, dyed: f.dyed === 'white' ? 'yellow' : 'white' })),
    })),
  ),
  emulsions: shop(
    screens((r) => ({ emulsions: r.emulsions.map((e) => ({ ...e, build: e.build * 1.6 })) })),
    screens((r) => ({ emulsions: [...r.emulsions].reverse() })),
    screens((r) => ({ emulsions: r.emulsions.map((e) => ({ ...e, kind: 'thermal' as const })) })),
  ),
  medium: shop(screens(() => ({ medium: 'vellum' }))),
  lamps: shop(
    screens((r) => ({
      lamps: r.lamps.map((l) => ({ ...l, kind: 'bulb' as const, distance: l.distance * 1.5 })),
    })),
    screens((r) => ({ lamps: r.lamps.map((l) => ({ ...l, kind: 'halogen' as const })) })),
  ),
  stepTests: shop(
    screens((r) => ({
      tests: r.tests.map((t) => ({ ...t, time: t.time * 2, low: t.low * 2, high: t.high * 2 })),
    })),
    screens(() => ({ tests: [] })),
  ),
  squeegees: shop(
    (s) => ({ ...s, squeegees: [{ id: 'n', hardness: '60', length: mm(390), edge: 'rounded' }] }),
    (s) => ({
      ...s,
      squeegees: s.squeegees.map((b) => ({ ...b, edge: 'square', length: b.length + mm(7) })),
    }),
  ),
  approved: shop(found),
  measuredInks: shop(inkRoom({ rack: [], formulas: [] })),
  colourLimits: shop(
    inkRoom({ limits: { match: 1, visible: 2, white: 99, accept: 2, again: 3 } }),
    inkRoom({ limits: { match: 40, visible: 60, white: 20, accept: 2, again: 3 } }),
  ),
  inkLaid: shop(inkRoom({ laid: 1.3 })),
}

/** The same job with one fact changed, in every way that is tried. */
export function changed(fact: BasicFact, c: Case): readonly Case[] {
  if (!fact.startsWith('practice ')) return CHANGES[fact as keyof typeof CHANGES](c)
  const practice = fact.slice('practice '.length) as Practice
  return Object.keys(PRACTICES[practice].options).map((option) => ({
    ...c,
    shop: { ...c.shop, method: { ...c.shop.method, [practice]: option } },
  }))
}
