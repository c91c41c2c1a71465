import type { FlashKind } from '../../equipment'
import type { Share } from '../../quantity'
import { type Ambient, inRoom, type Takes, under } from './garment'
import { GUN, PANELS, ROOM_AIR } from './materials'
import type { Phase } from './stack'
import { meanFactor, type Rectangle, spotFactor } from './viewFactor'

/** Where on the print: the corner gels last, the centre is over-flashed first, the mean heats the board. */
export const SPOTS = ['corner', 'centre', 'mean'] as const
export type Spot = (typeof SPOTS)[number]

/** A flash unit over a print at a height. */
export interface UnitOver {
  readonly kind: FlashKind
  readonly print: Rectangle
  /** Metres from the panel to the print. */
  readonly height: number
  /** Heat it was found to give against the table; as tabled without. */
  readonly gain?: number
  /** Kelvin by which its panel is set lower than tabled; a gun has none. */
  readonly cooler?: number
}

const LEAST = 0.005

/** What a spot of the print sees of the unit, 0 to 1; nothing of a gun. */
export function seen({ kind, print, height: hangs }: UnitOver, spot: Spot): Share {
  if (kind === 'gun') return 0
  // A panel that lies on the print has no angle to see it from.
  const height = Math.max(LEAST, hangs)
  const panel = PANELS[kind]
  if (spot === 'mean') return meanFactor(print, panel, height)
  return spot === 'centre'
    ? spotFactor(panel, 0, 0, height)
    : spotFactor(panel, print.width / 2, print.height / 2, height)
}

/** The flash of a unit at a spot. */
export function flashing(unit: UnitOver, factor: Share, takes: Takes, ambient: Ambient, loss: number): Phase {
  const gain = unit.gain ?? 1
  if (unit.kind !== 'gun') {
    const panel = PANELS[unit.kind]
    const temperature = panel.temperature - (unit.cooler ?? 0)
    return under({ ...panel, temperature }, factor, takes, ambient, loss, gain)
  }
  const share = Math.min(1, (Math.PI * GUN.across ** 2) / 4 / (unit.print.width * unit.print.height))
  const air = share * GUN.air * gain + (1 - share) * ROOM_AIR
  const gas = (share * GUN.air * gain * GUN.temperature + (1 - share) * ROOM_AIR * ambient.air) / air
  return { ...inRoom(ambient, loss, air), gas }
}
