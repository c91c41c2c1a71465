import { type Advice, advicesIn, numberOf, type Overrides } from '../advice'
import {
  type CraftJob,
  type CraftList,
  type CraftSubject,
  type Figure,
  listsFor,
  stepName,
  type When,
} from '../craft'
import type { OwnStep } from '../equipment'
import { POT_LIFE } from '../ink'
import { driesInScreen } from '../order'
import { type System, writeQuantity } from '../quantity'
import type { AlarmFacts, Reading, RecordNames, Rounds } from '../record'
import { REMEDIES, SYMPTOMS } from '../trouble'
import { settingWords } from './rooms'
import { type FlashPlan, type HitPlan, ownScreens, type RunPlan } from './runPlan'
import type { SheetHeat } from './sheetHeat'

/** The hit behind which a flash stands. */
const behind = (flash: FlashPlan): string => flash.dwell.key.replace(/^\w+\./, '')

/** What the lists of the craft are made for in a plan: hits with a screen of their own, flashes by the hit before, inks. */
function subjectsOf({ hits, flashes }: RunPlan): CraftJob['subjects'] {
  const named = (h: HitPlan): CraftSubject => ({ hit: h.hit.id, name: h.hit.name })
  const screens = ownScreens(hits)
  return {
    run: [{ hit: '', name: '' }],
    screen: screens.map((h) => ({
      ...named(h),
      name: h.head === undefined ? h.hit.name : `${h.head}, ${h.hit.name}`,
    })),
    ink: screens.map(named),
    flash: flashes
      .filter((f) => f.unit)
      .map((f) => ({
        hit: behind(f),
        name: `after ${hits.find((h) => h.hit.id === behind(f))?.hit.name ?? behind(f)}`,
      })),
  }
}

/** The lists of the craft for a plan, each step with its number. */
export function craftListsOf(plan: RunPlan, own?: readonly OwnStep[]): readonly CraftList[] {
  const hitOf = (id: string) => plan.hits.find((h) => h.hit.id === id)
  const holds = (when: When, hit: string): boolean => {
    const { run, press } = plan
    switch (when) {
      case 'driesInScreen':
        return (hit === '' ? plan.hits : [hitOf(hit)]).some((h) => h && driesInScreen(h.hit.system))
      case 'plastisol':
        return hitOf(hit)?.hit.system === 'plastisol'
      case 'lightExposed':
        return hitOf(hit)?.exposure !== undefined
      case 'carousel':
        return press.kind === 'manual' || press.kind === 'automatic'
      case 'onPallet':
        return run.placement.where !== 'offPallet'
      case 'allOver':
        return run.placement.where === 'allOver'
      case 'tackedBoard':
        return plan.rounds.tack !== undefined
      case 'knobs':
        return press.kind !== 'bench'
      case 'hood':
        return plan.cloth.weave === 'fleece'
      case 'flashed':
        return plan.flashes.some((f) => f.unit)
      case 'belt':
        return plan.cure.belt !== undefined
      case 'flakes': {
        const type = run.placement.inks.find((i) => i.id === hit)?.inkType
        return type === 'metallic' || type === 'expanding'
      }
      default:
        return when satisfies never
    }
  }
  return listsFor({ subjects: subjectsOf(plan), holds, figure: (f, hit) => figureOf(plan, f, hit) }, own)
}

function figureOf(plan: RunPlan, figure: Figure, id: string): Advice | string | undefined {
  const h = plan.hits.find((x) => x.hit.id === id)
  switch (figure) {
    case 'coats':
      return h?.stencil.coats
    case 'exposure':
      return h?.exposure?.time
    case 'offContact':
      return plan.offContact
    case 'squeegee':
      return h?.stroke.squeegee
    case 'angle':
      return h?.stroke.angle
    case 'pressure':
      return h?.stroke.gauge ?? h?.stroke.pressure
    case 'flood':
      return h?.stroke.flood
    case 'inkLoad':
      return h?.ink
    case 'flashPlace':
      return placeOfFlash(plan, id)
    case 'flashHeight':
      return plan.flashHeight
    case 'panel':
      return plan.panelTemperature
    case 'dwell':
      return plan.flashes.find((f) => behind(f) === id)?.dwell
    case 'belt':
      return plan.cure.belt
    case 'cureFilm':
      return plan.cure.inkFilm
    case 'cureDwell':
      return plan.cure.dwell
    case 'tackEvery':
      return plan.rounds?.tack
    default:
      return figure satisfies never
  }
}

function placeOfFlash({ sequence: { cells }, flashes }: RunPlan, hit: string): string | undefined {
  const at = flashes.findIndex((f) => behind(f) === hit)
  const station = cells.find((c) => c.kind === 'flash' && c.flash === at)
  return station && 'station' in station && station.station !== undefined
    ? `station ${station.station}`
    : flashes[at]?.unit?.name
}

/** What has to be heard while a plan is printed. */
export function alarmFactsOf(plan: RunPlan, heat: readonly SheetHeat[]): AlarmFacts {
  const { check, ink, tack } = plan.rounds
  const round = (id: keyof Rounds, name: string, advice: Rounds[keyof Rounds]) =>
    advice ? [{ id, name, every: Math.max(1, Math.round(numberOf(advice))), reasons: advice.reasons }] : []
  return {
    rounds: [
      ...round('check', 'Check the print', check),
      ...round('ink', 'Top up ink', ink),
      ...round('tack', 'Adhesive', tack),
    ],
    dwells: heat.flatMap(({ name, schedule }) =>
      schedule.filter((s) => s.from > 1).map(({ from, time }) => ({ name, from, time })),
    ),
    drying: ownScreens(plan.hits)
      .filter((h) => driesInScreen(h.hit.system))
      .map((h) => ({ hit: h.hit.id, name: h.hit.name })),
    potLife: POT_LIFE,
  }
}

const troubleWords = (id: string): string => {
  if (Object.hasOwn(SYMPTOMS, id)) return SYMPTOMS[id as keyof typeof SYMPTOMS].label
  return Object.hasOwn(REMEDIES, id) ? REMEDIES[id as keyof typeof REMEDIES].does : id
}

/** How everything that is said of a run is called, by its plan. */
export function recordNames(plan: RunPlan, units: System, own?: readonly OwnStep[]): RecordNames {
  const advices = new Map(advicesIn(plan).map((a) => [a.key, a]))
  const hit = (id: string) => (id === '' ? '' : (plan.hits.find((h) => h.hit.id === id)?.hit.name ?? id))
  const alarms = new Map([
    ['check', 'print checked'],
    ['ink', 'ink topped up'],
    ['tack', 'adhesive'],
    ['idle', 'screens stood'],
  ])
  return {
    hit,
    step: (key) => stepName(key, own).toLowerCase(),
    setting: (key) => advices.get(key)?.label ?? settingWords(key, hit)?.label ?? key,
    value: (key, value) => {
      const advice = advices.get(key)
      if (typeof value === 'string')
        return advice?.kind === 'choice'
          ? (advice.choices.find((c) => c.value === value)?.label ?? value)
          : value
      return advice && advice.kind !== 'choice' ? writeQuantity(advice.kind, value, units) : `${value}`
    },
    garment: (line) => {
      const found = plan.run.lines.find((l) => l.id === line)
      return found && plan.run.lines.length > 1 ? `${found.cloth.name} ${found.style}` : ''
    },
    trouble: troubleWords,
    alarm: (id) => alarms.get(id) ?? (id.startsWith('pot ') ? `fresh ${hit(id.slice(4))}` : id),
  }
}

/** The readings of the press that a plan foretells, in SI. */
export function foretold(
  plan: RunPlan,
  heat: readonly SheetHeat[],
): Readonly<Partial<Record<Reading, number>>> {
  const film = heat[0]?.film
  return { ...(film !== undefined && { film }), belt: numberOf(plan.cure.inkFilm) }
}

/** A plan with what was set at the press in force: the settings of those keys, as if the lead had chosen them. */
export function withPressValues(plan: RunPlan, values: Overrides): RunPlan {
  if (Object.keys(values).length === 0) return plan
  const set = (part: unknown): unknown => {
    if (Array.isArray(part)) return part.map(set)
    if (typeof part !== 'object' || part === null) return part
    const chosen = 'key' in part && typeof part.key === 'string' ? values[part.key] : undefined
    if (chosen !== undefined && 'advised' in part) return { ...part, chosen }
    return Object.fromEntries(Object.entries(part).map(([name, value]) => [name, set(value)]))
  }
  return set(plan) as RunPlan
}
