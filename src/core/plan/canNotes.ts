import { q, type Reason } from '../advice'
import { HEAT } from '../heat'
import { INK } from '../ink'
import { type Can, driesInScreen, type Order } from '../order'
import type { Duration } from '../quantity'
import type { Event } from '../sequence'
import type { Context } from './hitPlans'
import type { Separation } from './hits'
import type { FlashPlan } from './runPlan'

const DAY: Duration = 86_400

const airOf = ({ can }: { readonly can?: Can | undefined }): Duration => can?.airDry ?? 0

/** The longest that an ink of a print dries in the air before heat, s. */
export const airDryOf = (inks: readonly { readonly can?: Can | undefined }[]): Duration =>
  Math.max(0, ...inks.map(airOf))

/** Whole days of it, in which the pieces lie out: printed one day, cured another. */
export const airDays = (airDry: Duration): number => Math.ceil(airDry / DAY)

/** What the cans say that this plan has to heed. @param events in print order, `separations` by their place in it */
export function canNotes(
  { order, run, method }: Context,
  separations: readonly Separation[],
  events: readonly Event[],
  flashes: readonly FlashPlan[],
): readonly Reason[] {
  return [
    ...pvc(order, separations),
    ...separations.flatMap(foreign),
    ...flashed(separations, events, flashes),
    ...dried(run.quantity, separations),
    ...(method.cure === 'press' ? separations.flatMap(pressed) : []),
  ]
}

function pvc({ pvcFree }: Order, separations: readonly Separation[]): readonly Reason[] {
  const names = separations.filter(
    (s) => s.system === 'plastisol' && s.hit.role !== 'smoothing' && !s.can.pvcFree,
  )
  if (!pvcFree || names.length === 0) return []
  return [INK.because('PVC_ASKED', { names: names.map((s) => s.hit.name).join(', ') })]
}

function foreign({ hit, can: { maker, additive, additiveMaker } }: Separation): readonly Reason[] {
  if (!maker || !additive || !additiveMaker) return []
  if (maker.toLowerCase() === additiveMaker.toLowerCase()) return []
  return [INK.because('ADDITIVE_FOREIGN', { name: hit.name, additive, maker: additiveMaker, of: maker })]
}

/** Flashes against what their inks stand. */
function flashed(
  separations: readonly Separation[],
  events: readonly Event[],
  flashes: readonly FlashPlan[],
): readonly Reason[] {
  const behind = events.flatMap((e, at) => {
    const before = events[at - 1]
    const s = e.kind === 'flash' && before?.kind === 'print' ? separations[before.hit] : undefined
    return s ? [s] : []
  })
  const under = behind.flatMap((s, i) => (flashes[i]?.unit ? [{ s, unit: flashes[i].unit }] : []))
  const early = under.filter(({ s }) => airOf(s) > 0)
  const guns = under.filter(({ s, unit }) => unit.kind === 'gun' && s.can.noGun)
  const [gun] = guns
  const names = (all: readonly { readonly s: Separation }[]) => namesOf(all.map(({ s }) => s))
  return [
    ...(early.length > 0 ? [HEAT.because('AIR_DRY_FLASH', { name: names(early) })] : []),
    ...(gun ? [HEAT.because('NO_GUN', { name: names(guns), unit: gun.unit.name })] : []),
  ]
}

const namesOf = (separations: readonly Separation[]): string =>
  [...new Set(separations.map((s) => s.hit.name))].join(', ')

/** What lies out in the air before heat, and for how long: the longest decides. */
function dried(pieces: number, separations: readonly Separation[]): readonly Reason[] {
  const out = separations.filter((s) => airOf(s) > 0 && s.hit.role !== 'smoothing')
  const time = Math.max(0, ...out.map(airOf))
  if (time === 0) return []
  const days = airDays(time)
  return [
    HEAT.because('AIR_DRY', {
      name: namesOf(out),
      time: q('workTime', time),
      days: days === 1 ? 'a day' : `${days} days`,
      pieces: q('count', pieces),
    }),
  ]
}

function pressed({ hit, inkType, system }: Separation): readonly Reason[] {
  if (hit.role === 'smoothing') return []
  const name = hit.name
  if (inkType === 'expanding') return [HEAT.because('PRESS_FLATTENS', { name })]
  return driesInScreen(system) ? [HEAT.because('PRESS_WET', { name })] : []
}
