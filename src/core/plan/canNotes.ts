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
    ...separations.flatMap((s) =>
      airOf(s) > 0
        ? [
            HEAT.because('AIR_DRY', {
              name: s.hit.name,
              time: q('workTime', airOf(s)),
              days: airDays(airOf(s)) === 1 ? 'a day' : `${airDays(airOf(s))} days`,
              pieces: q('count', run.quantity),
            }),
          ]
        : [],
    ),
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
  return behind.flatMap((s, i): readonly Reason[] => {
    const unit = flashes[i]?.unit
    const name = s.hit.name
    if (unit && airOf(s) > 0) return [HEAT.because('AIR_DRY_FLASH', { name })]
    return unit?.kind === 'gun' && s.can.noGun ? [HEAT.because('NO_GUN', { name, unit: unit.name })] : []
  })
}

function pressed({ hit, inkType, system }: Separation): readonly Reason[] {
  if (hit.role === 'smoothing') return []
  const name = hit.name
  if (inkType === 'expanding') return [HEAT.because('PRESS_FLATTENS', { name })]
  return driesInScreen(system) ? [HEAT.because('PRESS_WET', { name })] : []
}
