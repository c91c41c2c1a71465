import type { Press } from '@/core/equipment'

/** Usual numbers for a press whose kind was just chosen. */
const HEADS = 6
const PALLETS = 4
const STATIONS = 8

const stations = (count: number) =>
  Array.from({ length: count }, (_, i) => ({ number: i + 1, usable: true, flashAllowed: true }))

/** The same press as another kind: what both kinds have is kept. */
export function asKind(press: Press, kind: Press['kind']): Press {
  const { id, name, palletWidth, palletHeight, palletMaterial, frameWidth, frameHeight, pressure } = press
  const frame = { ...(frameWidth && { frameWidth }), ...(frameHeight && { frameHeight }) }
  const base = {
    id,
    name,
    palletWidth,
    palletHeight,
    palletMaterial,
    ...frame,
    ...(pressure && { pressure }),
  }
  const heads = 'heads' in press ? { heads: press.heads, down: press.down } : { heads: HEADS, down: [] }
  switch (kind) {
    case 'bench':
      return { ...base, kind }
    case 'single':
      return { ...base, kind, ...heads }
    case 'manual':
      return { ...base, kind, ...heads, pallets: 'pallets' in press ? press.pallets : PALLETS }
    case 'automatic':
      return { ...base, kind, stations: 'stations' in press ? press.stations : stations(STATIONS) }
    default:
      return kind satisfies never
  }
}

/** The press with so many heads or stations; those that stay keep what they are. */
export function withPlaces(press: Press, count: number): Press {
  switch (press.kind) {
    case 'bench':
      return press
    case 'single':
    case 'manual':
      return { ...press, heads: count, down: press.down.filter((n) => n <= count) }
    case 'automatic':
      return {
        ...press,
        stations: stations(count).map((s, i) => press.stations[i] ?? s),
      }
    default:
      return press satisfies never
  }
}

/** Allows or forbids a flash unit at a station. */
export const toggleFlash = (press: Press, number: number): Press =>
  press.kind === 'automatic'
    ? {
        ...press,
        stations: press.stations.map((s) =>
          s.number === number ? { ...s, flashAllowed: !s.flashAllowed } : s,
        ),
      }
    : press
