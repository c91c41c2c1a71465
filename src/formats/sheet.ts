import { choiceOf, message, numberOf, type Severity } from '@/core/advice'
import type { Cure } from '@/core/heat'
import { type Order, WHERES } from '@/core/order'
import type { Cell, FlashPlan, HitPlan, RunPlan, SheetHeat } from '@/core/plan'
import { type Kind, type System, sayDay, writeQuantity } from '@/core/quantity'
import { sidesOf } from '@/core/registration'
import type { Hold } from '@/core/stroke'

/** What makes a sheet one of a kind: the revision it shows, or a draft. */
export interface SheetMark {
  readonly number: number
  readonly code: string
  /** ISO time. */
  readonly releasedAt: string
}

/** Everything the set-up sheet says, in the reader's units: the screen and the PDF only lay it out. */
export interface SheetContent {
  readonly title: string
  readonly subtitle: string
  readonly press: string
  readonly pieces: string
  /** Which revision this is, or that it is a draft. */
  readonly mark: string
  /** The code to ask the app with; empty on a draft. */
  readonly code: string
  /** Why there is no strip, while no order of printing fits. */
  readonly problem: string
  readonly places: readonly SheetPlace[]
  readonly hitHead: readonly string[]
  readonly hits: readonly (readonly string[])[]
  readonly facts: readonly { readonly label: string; readonly text: string }[]
  /** Each flash along the run. */
  readonly heat: readonly { readonly name: string; readonly words: string }[]
  readonly sizes: readonly string[]
  readonly garments: readonly { readonly name: string; readonly counts: readonly string[] }[]
  readonly placing: readonly { readonly length: string; readonly words: string }[]
  readonly warnings: readonly { readonly severity: Severity; readonly text: string }[]
  readonly notes: string
  readonly cautions: string
  readonly foot: string
}

export interface SheetPlace {
  readonly number: string
  readonly name: string
  readonly detail: string
  readonly flash: boolean
}

export interface SheetFacts {
  readonly order: Order
  readonly plan: RunPlan
  readonly shopName: string
  /** What heat does along the run, where it was worked out. */
  readonly heat?: readonly SheetHeat[]
}

/** The sheet has room for so many warnings, and for so much of the customer's notes. */
const WARNINGS = 5
const NOTES = 180

/** What the crew holds at the press, for a plan as it is now (a draft) or as it was released. */
export function sheetOf(
  { order, plan, shopName, heat = [] }: SheetFacts,
  units: System,
  mark?: SheetMark,
): SheetContent {
  const { run, placement } = plan
  const write = (kind: Kind, x: number) => writeQuantity(kind, x, units)
  const ring = plan.press.kind === 'automatic'
  const sizes = [...new Set(run.lines.flatMap((l) => l.sizes.map((s) => s.size)))]
  return {
    title: [order.customer, order.title].filter(Boolean).join(', '),
    subtitle: [
      order.id,
      run.id,
      WHERES[run.placement.where],
      plan.cloth.name,
      `due ${sayDay(order.due, 'EEE d MMM', units)}`,
    ].join(' · '),
    press: plan.press.name,
    pieces: `${run.quantity} ${run.quantity === 1 ? 'piece' : 'pieces'}`,
    mark: mark
      ? `Revision ${mark.number}, released ${sayDay(mark.releasedAt, 'd MMM yyyy HH:mm', units)}`
      : 'Draft, not released',
    code: mark?.code ?? '',
    problem: plan.sequence.fits ? '' : plan.sequence.reasons.map((r) => message(r, units)).join(' '),
    places: plan.sequence.cells.map((cell, i) => ({
      number: `${ring && 'station' in cell ? cell.station : i + 1}${cell.lap === 2 ? ' II' : ''}`,
      ...placeWords(plan, cell, write),
    })),
    hitHead: [
      ring ? 'Station' : plan.hits.some((h) => h.head !== undefined) ? 'Head' : 'Step',
      'Screen',
      'Frame',
      'Mesh',
      'Strokes',
      'Squeegee',
      'Angle',
      'Pressure',
      'A stroke',
      'Flood',
      'Ink',
    ],
    hits: hitRows(plan, write),
    facts: factsOf(plan, write),
    heat: heat.map((h) => heatWords(h, write)),
    sizes,
    garments: run.lines.map((l) => ({
      name: `${l.style}, ${l.cloth.name}`,
      counts: sizes.map((s) => String(l.sizes.find((x) => x.size === s)?.quantity ?? '')),
    })),
    placing: [
      ...placement.groups.map((g) => ({
        length: write('length', numberOf(g.down)),
        words: g.down.label.toLowerCase(),
      })),
      ...sidesOf(placement).map((side) => ({
        length: write('length', numberOf(side)),
        words: side.label.toLowerCase(),
      })),
    ],
    warnings: plan.warnings
      .flatMap((w) =>
        w.severity && w.severity !== 'Note' ? [{ severity: w.severity, text: message(w, units) }] : [],
      )
      .slice(0, WARNINGS),
    notes: order.notes.slice(0, NOTES),
    cautions: plan.cautions
      .slice(0, 2)
      .map((c) => message(c, units))
      .join(' '),
    foot: `${shopName}. Computed from common practice, not measured at this press.`,
  }
}

type Write = (kind: Kind, x: number) => string

const hitRows = (plan: RunPlan, write: Write): SheetContent['hits'] =>
  plan.hits.map((h) => [
    stationOf(plan, h),
    h.hit.name,
    h.sameScreenAs ? 'same' : (h.frame?.id ?? 'none'),
    write('meshCount', numberOf(h.mesh)),
    String(numberOf(h.stroke.strokes)),
    choiceOf(h.stroke.squeegee),
    write('angle', numberOf(h.stroke.angle)),
    h.stroke.gauge
      ? `${choiceOf(h.stroke.pressure)}, ${write(h.stroke.gauge.kind, numberOf(h.stroke.gauge))}`
      : choiceOf(h.stroke.pressure),
    write('duration', numberOf(h.stroke.time)),
    choiceOf(h.stroke.flood),
    h.ink ? write('mass', numberOf(h.ink)) : '',
  ])

/** What holds for the whole run. */
function factsOf(plan: RunPlan, write: Write): SheetContent['facts'] {
  const { cure } = plan
  const fact = (label: string, text: string | undefined) => (text === undefined ? [] : [{ label, text }])
  return [
    ...fact('Off-contact', write('length', numberOf(plan.offContact))),
    ...fact('Squeegee length', write('length', numberOf(plan.squeegeeLength))),
    ...fact('Stroke', plan.direction && choiceOf(plan.direction)),
    ...fact(
      plan.hold?.gauge ? 'Hold time, angle, pressure' : 'Hold time, angle',
      plan.hold && heldWords(plan.hold, write),
    ),
    ...fact('Flash height', plan.flashHeight && write('length', numberOf(plan.flashHeight))),
    ...fact('Panel at', plan.panelTemperature && write('temperature', numberOf(plan.panelTemperature))),
    ...fact(
      plan.coolDown?.kind === 'count' ? 'Empty heads' : 'Cool-down',
      plan.coolDown && write(plan.coolDown.kind, numberOf(plan.coolDown)),
    ),
    ...fact('Film at cure', write('temperature', numberOf(cure.inkFilm))),
    ...fact('In the heat', write('duration', numberOf(cure.dwell))),
    ...fact(dryerName(cure) ?? 'Belt', cure.belt && write('beltSpeed', numberOf(cure.belt))),
    ...fact('Time, roughly', plan.time?.total.range.map((x) => write('workTime', x)).join(' to ')),
  ]
}

/** A dwell as it changes along the run, and what a gun finds right after the flash as it is set. */
const heatWords = ({ name, schedule, set, film }: SheetHeat, write: Write): SheetContent['heat'][number] => ({
  name: `Flash after ${name}:`,
  words: [
    ...schedule.map((s) =>
      s.from === 1 ? write('duration', s.time) : `from ${s.from}: ${write('duration', s.time)}`,
    ),
    `gun at once after ${write('duration', set)}: ${write('temperature', film)}`,
  ].join(' · '),
})

/** As it is set, and what the first prints want. */
const dwellWords = ({ dwell, cold }: FlashPlan, write: Write): string =>
  [
    write('duration', numberOf(dwell)),
    ...(cold === undefined ? [] : [`cold ${write('duration', cold)}`]),
  ].join(', ')

const dryerName = ({ dryer }: Cure): string | undefined =>
  dryer?.choices.find((c) => c.value === choiceOf(dryer))?.label

const heldWords = ({ time, angle, gauge }: Hold, write: Write): string =>
  `± ${[time, angle, ...(gauge ? [gauge] : [])].map((a) => write(a.kind, numberOf(a))).join(', ')}`

function placeWords(plan: RunPlan, cell: Cell, write: Write): Omit<SheetPlace, 'number'> {
  switch (cell.kind) {
    case 'print': {
      const hit = plan.hits.find((h) => h.hit.id === cell.hitId)
      return {
        name: hit?.hit.name ?? '',
        detail: hit ? write('meshCount', numberOf(hit.mesh)) : '',
        flash: false,
      }
    }
    case 'flash': {
      const flash = plan.flashes[cell.flash]
      return {
        name: flash?.unit ? 'FLASH' : 'DRY',
        detail: flash ? dwellWords(flash, write) : '',
        flash: true,
      }
    }
    case 'cool':
      return { name: '', detail: 'cool', flash: false }
    case 'down':
      return { name: '', detail: 'out of service', flash: false }
    case 'covered':
      return { name: '', detail: 'flash', flash: true }
    case 'free':
      return { name: '', detail: '', flash: false }
    default:
      return cell satisfies never
  }
}

/** Where a screen is mounted; where that is not known, its station or its step. */
function stationOf(plan: RunPlan, h: HitPlan): string {
  if (h.head !== undefined) return String(h.head)
  const at = plan.sequence.cells.findIndex((c) => c.kind === 'print' && c.hitId === h.hit.id)
  const cell = plan.sequence.cells[at]
  if (!cell) return '–'
  return String('station' in cell ? (cell.station ?? at + 1) : at + 1)
}
