import { q, type Reason } from '../advice'
import { WHERES } from '../order'
import { isoOf } from '../schedule'
import { batchCount, REFRESH } from './batches'
import type { DaysPlan } from './decode'
import { DAYS } from './definition'
import type { DayFacts, ShopDays } from './facts'
import type { OnFrames } from './frameNames'
import { prepared } from './prepared'
import type { DayRun } from './problem'
import { type DaysOfShop, MIXED } from './shopDays'
import { screensKey } from './takes'
import type { Binding, Booked, Refused } from './told'

/** A chain of waits is told so far. */
const CHAIN = 5

/** A run by its job; with where and how many where a job has several. */
function called({ runs }: ShopDays, run: number | undefined): string | undefined {
  const facts = runs[run ?? -1]
  if (!facts) return undefined
  const isOne = runs.every((r) => r === facts || r.words !== facts.words)
  return isOne
    ? facts.words
    : `${facts.words} (${[facts.where && WHERES[facts.where], facts.pieces].filter(Boolean).join(', ')})`
}

/** What that waits for, and what that waits for: the runs before, up to the one that waits for no other. */
export function chainOf(
  asked: ShopDays,
  days: DaysOfShop,
  of: Booked,
  booked: ReadonlyMap<number, Booked>,
  frames: ReadonlyMap<number, OnFrames>,
): readonly Reason[] {
  const found: Reason[] = []
  const before = (x: Booked) => booked.get(heldBy(x, frames) ?? -1)
  let b = before(of)
  for (let n = 0; b && n < CHAIN; n++) {
    const run = called(asked, b.run)
    if (run === undefined) break
    const begins = isoOf(days.momentAt(b.setUp))
    const next = before(b)
    const other = next && called(asked, next.run)
    found.push(
      other === undefined
        ? DAYS.because('CHAIN_ENDS', { run, begins, waits: ENDS[b.waits] })
        : DAYS.because('CHAIN_GOES_ON', { run, begins, other }),
    )
    b = next
  }
  return found
}

/** What the first of a chain waits for, that is no other run. */
const ENDS: Readonly<Record<Binding, string>> = {
  nothing: 'nothing: it begins as soon as it can',
  press: 'its press',
  screens: 'its screens',
  ink: 'its ink',
  garments: 'its garments',
  'the print before': 'the print before it',
  crew: 'people',
  pallets: 'pallets that others have',
  belt: 'the dryer',
  temperature: 'the heat of the dryer',
  'the lead': 'the time that the lead gave it',
  hours: 'a span of work that is long enough',
}

/** The sheet of a run is planned for the press of its order: where the days have another, that has to be said. */
export function otherPress({ shop }: ShopDays, b: Booked, facts: DayFacts): readonly Reason[] {
  const press = shop.presses[b.press]
  const planned = shop.presses.find((p) => p.id === facts.on[0]?.pressId)
  if (!press || !planned || press.id === planned.id) return []
  return [DAYS.because('DAY_OTHER_PRESS', { planned: planned.name, press: press.name })]
}

/** What the lead decided of it can no longer be: its press was sold, or the run has become another. */
export function putInVain({ shop, pins }: ShopDays, facts: DayFacts, run: DayRun): readonly Reason[] {
  const pin = pins.find((p) => p.runId === facts.runId)
  if (!pin || run.pin) return []
  const press = shop.presses.find((p) => p.id === pin.pressId)?.name ?? 'a press'
  return [DAYS.because('DAY_PUT_LOST', { press })]
}

export const setUpOf = (b: Booked, run: DayRun): Reason =>
  DAYS.because('DAY_SET_UP', {
    time: q('workTime', ((run.on[b.press]?.setUp ?? 0) + b.changeOver) * 60),
    change: q('workTime', b.changeOver * 60),
  })

const NAMED = 4
/** The first few of some frames by name. */
const namesOf = (names: readonly string[]): string =>
  names.length === 0
    ? 'any frames'
    : names.length > NAMED
      ? `${names.slice(0, NAMED).join(', ')} and ${names.length - NAMED} more`
      : names.join(', ')

/** The frame that screens were held up for, and the run that had it. */
export function whyFrame(
  asked: ShopDays,
  days: DaysOfShop,
  b: Booked,
  frames: OnFrames | undefined,
): readonly Reason[] {
  const { racks } = asked.shop.screens
  const full =
    b.waits === 'screens' && racks !== undefined && b.screens && b.screens.racks > 0
      ? [
          DAYS.because('WAITS_RACKS', {
            racks: q('count', racks),
            until: isoOf(days.momentAt(b.screens.racks)),
          }),
        ]
      : []
  const last = isForFrame(b, frames) ? frames?.last : undefined
  const other = called(asked, last?.run)
  if (!last || other === undefined) return full
  return [
    ...full,
    DAYS.because('WAITS_FRAME', { frame: last.frame, other, clean: isoOf(days.momentAt(last.clean)) }),
  ]
}

/** The screens that a start waits for were begun no sooner because of a frame. */
const isForFrame = (b: Booked, frames: OnFrames | undefined): boolean =>
  b.waits === 'screens' && b.waitsFor === undefined && b.screens !== undefined && frames?.last !== undefined

/** The run that a start waits for, also by way of a frame. */
const heldBy = (b: Booked, frames: ReadonlyMap<number, OnFrames>): number | undefined => {
  const own = frames.get(b.run)
  return isForFrame(b, own) ? own?.last?.run : b.waitsFor
}

/** Batches of what dries in, where it is more than one. */
export function batchesOf({ press, pace }: Booked, { on, pot }: DayRun): readonly Reason[] {
  const count = batchCount(pot, Math.ceil((on[press]?.run ?? 0) / pace))
  if (count < 2) return []
  return [DAYS.because('DAY_BATCHES', { count: q('count', count), each: q('workTime', REFRESH * 60) })]
}

/** What a start waits for, in a sentence. */
export function whyStart(
  asked: ShopDays,
  days: DaysOfShop,
  b: Booked,
  facts: DayFacts,
  frames: OnFrames | undefined,
): Reason {
  const run = days.problem.runs[b.run] as DayRun
  const other = called(asked, b.waitsFor) ?? 'another job'
  const press = asked.shop.presses[b.press]?.name ?? ''
  const until = isoOf(days.momentAt(b.start))
  const setUp = isoOf(days.momentAt(b.setUp))
  const bare = (asked.screens[screensKey(facts)] ?? []).filter((s) => s.left === undefined).length
  switch (b.waits) {
    case 'press':
      return DAYS.because('WAITS_PRESS', { press, other, until: setUp })
    case 'screens':
      return b.waitsFor === undefined
        ? b.screens
          ? DAYS.because('WAITS_SCREENS', {
              until: isoOf(days.momentAt(b.screens.ready)),
              from: isoOf(days.momentAt(b.screens.from)),
              screens: q('count', bare),
              frames: namesOf(frames?.names ?? []),
            })
          : DAYS.because('WAITS_DRY', { until: setUp })
        : DAYS.because('WAITS_SCREENS_OF', { other, until: setUp })
    case 'ink':
      return DAYS.because('WAITS_INK', {
        inks: q('count', asked.inkShort?.[facts.runId]?.length ?? 0),
        each: q('workTime', MIXED * 60),
        until: isoOf(days.momentAt(b.mixed)),
      })
    case 'garments':
      return facts.garmentsOn === undefined
        ? DAYS.because('WAITS_GARMENTS', { until: isoOf(days.momentAt(run.garments)) })
        : DAYS.because('WAITS_GARMENTS_ON', {
            day: facts.garmentsOn,
            until: isoOf(days.momentAt(run.garments)),
          })
    case 'the print before':
      return DAYS.because('WAITS_BEFORE', { other, until })
    case 'crew':
      return b.waitsFor === undefined
        ? DAYS.because('WAITS_PERSON', { press, until: setUp })
        : DAYS.because('WAITS_CREW', { other, until: setUp })
    case 'pallets':
      return DAYS.because('WAITS_PALLETS', { pallets: palletsOf(days, run, b.press), other, until: setUp })
    case 'belt':
      return DAYS.because('WAITS_BELT', { other, until })
    case 'temperature':
      return DAYS.because('WAITS_HEAT', { other, until })
    case 'the lead':
      return DAYS.because('WAITS_LEAD', { until: isoOf(days.momentAt(run.pin?.start ?? b.start)) })
    case 'hours':
      return DAYS.because('WAITS_HOURS', { until })
    case 'nothing':
      return DAYS.because('WAITS_NOTHING')
    default:
      return b.waits satisfies never
  }
}

/** What has no place, and why. */
export function refusedIn(
  asked: ShopDays,
  days: DaysOfShop,
  { refused }: DaysPlan,
): readonly { readonly facts: DayFacts; readonly why: Reason }[] {
  return refused.flatMap(({ run, why }) => {
    const facts = asked.runs[run]
    const dayRun = days.problem.runs[run]
    return facts && dayRun ? [{ facts, why: whyOut(asked, days, dayRun, why) }] : []
  })
}

/** The kind of frame that a run wants more of than there ever are. */
function framesShort({ asked, problem, meshes }: DaysOfShop, run: DayRun): Reason {
  const { capacity } = prepared(problem)
  const short = run.frames.find((f) => f.count > (capacity[f.mesh] ?? 0)) ?? run.frames[0]
  const wanted = asked.screens[run.screens]?.[0]?.mesh ?? 0
  return DAYS.because('DAY_REFUSED_FRAMES', {
    screens: q('count', short?.count ?? 0),
    mesh: q('meshCount', meshes[short?.mesh ?? 0] ?? wanted),
    frames: q('count', capacity[short?.mesh ?? 0] ?? 0),
  })
}

/** Pallets that a run shares with others on a press. */
const palletsOf = ({ asked, problem }: DaysOfShop, { on }: DayRun, press: number): string =>
  (problem.pallets && asked.shop.sharedPallets?.[on[press]?.pallets ?? -1]?.name) ?? 'shared pallets'

function whyOut(asked: ShopDays, days: DaysOfShop, run: DayRun, why: Refused): Reason {
  switch (why) {
    case 'no such frames':
      return framesShort(days, run)
    case 'too many people':
      return DAYS.because('DAY_REFUSED_PEOPLE', {
        count: q('count', Math.min(...run.on.flatMap((t) => (t ? [t.people] : [])))),
        there: q('count', days.problem.people),
      })
    case 'beyond the end':
      return DAYS.because('DAY_REFUSED_LATE', { days: q('count', days.days) })
    case 'the print before is not placed':
      return DAYS.because('DAY_REFUSED_BEFORE', {
        other: called(asked, run.after?.run) ?? 'another print',
      })
    case 'not on this press':
      return DAYS.because('DAY_REFUSED_PRESS')
    default:
      return why satisfies never
  }
}
