import { flashesAt, type Press, type Shop } from './equipment'

/** One place of a press seen from above. */
export interface RingPlace {
  readonly number: number
  /** Centre, the ring's radius being 1; the loader stands at the bottom. */
  readonly x: number
  readonly y: number
  readonly down: boolean
  readonly flashAllowed: boolean
  /** Garments are laid and taken here. */
  readonly loader: boolean
}

export interface RingShape {
  /** Where screens are mounted. */
  readonly heads: readonly RingPlace[]
  /** Pallets, as angles in radians from the loader, clockwise. */
  readonly pallets: readonly number[]
  /** Names of the flash units that stand here. */
  readonly flashes: readonly string[]
}

const LOADING_PLACES = 2

const at = (turn: number, radius: number) => ({
  x: -Math.sin(turn) * radius,
  y: Math.cos(turn) * radius,
})

/**
 * A press from above. An automatic is a ring of stations with two places for loading and unloading at the bottom; a
 * carousel has heads over pallets; a bench and a single station stand in a row.
 */
export function ringShape(press: Press, shop: Shop): RingShape {
  const flashes = flashesAt(shop, press).map((f) => f.name)
  const down = press.kind === 'manual' || press.kind === 'single' ? press.down : []
  const row = (heads: number): readonly RingPlace[] =>
    Array.from({ length: heads }, (_, i) => ({
      number: i + 1,
      x: heads === 1 ? 0 : (2 * i) / (heads - 1) - 1,
      y: 0,
      down: down.includes(i + 1),
      flashAllowed: false,
      loader: false,
    }))
  switch (press.kind) {
    case 'bench':
      return { heads: row(1), pallets: [0], flashes }
    case 'single':
      return { heads: row(press.heads), pallets: [0], flashes }
    case 'manual': {
      const step = (2 * Math.PI) / press.heads
      return {
        heads: row(press.heads).map((h, i) => ({ ...h, ...at(i * step, 1) })),
        pallets: Array.from({ length: press.pallets }, (_, i) => (i * 2 * Math.PI) / press.pallets),
        flashes,
      }
    }
    case 'automatic': {
      const places = press.stations.length + LOADING_PLACES
      const step = (2 * Math.PI) / places
      // Half a step, so that loading and unloading lie side by side at the bottom.
      const turn = (i: number) => step * (i + 0.5)
      const loading = [0, places - 1].map((i) => ({
        number: 0,
        ...at(turn(i), 1),
        down: false,
        flashAllowed: false,
        loader: true,
      }))
      const heads = press.stations.map((s, i) => ({
        number: s.number,
        ...at(turn(i + 1), 1),
        down: !s.usable,
        flashAllowed: s.flashAllowed,
        loader: false,
      }))
      return {
        heads: [...loading, ...heads],
        pallets: Array.from({ length: places }, (_, i) => turn(i)),
        flashes,
      }
    }
    default:
      return press satisfies never
  }
}
