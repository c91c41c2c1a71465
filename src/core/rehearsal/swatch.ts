import type { Mask } from './motif'
import type { Piece } from './piece'
import type { Struck } from './strike'
import type { TruePress, TrueScreen } from './truePress'
import { noise, type Wear, wearOff } from './wear'

/** Register is drawn so many times as large as it is: a tenth of a millimetre could not be seen. */
export const ENLARGED = 10
/** Millimetres that a drawn print is wide. */
const WIDE = 300
/** A coarse dot in pixels, so that gain is seen. */
const CELL = 5

const channels = (hex: string): readonly [number, number, number] => [
  Number.parseInt(hex.slice(1, 3), 16),
  Number.parseInt(hex.slice(3, 5), 16),
  Number.parseInt(hex.slice(5, 7), 16),
]

/**
 * A printed piece drawn from the state of the press: films where register puts them, dots grown, ink missing where it did not
 * clear, white as thick as it lies, film torn where it stuck, fibres where they stand, what cracks or comes off.
 *
 * @param masks the films, by screen
 * @param hexes colour of each screen, and of the cloth
 * @returns red, green, blue and alpha, row by row
 */
export function swatch(
  press: TruePress,
  piece: Piece,
  masks: readonly Mask[],
  rough: number,
  wear: Wear,
): { readonly side: number; readonly pixels: Uint8ClampedArray } {
  const side = masks[0]?.side ?? 1
  const pixels = new Uint8ClampedArray(side * side * 4)
  const cloth = channels(press.plan.cloth.hex)
  const burnt = Math.max(
    0,
    ...piece.flashed.map((f) => ((f?.film ?? 0) - 150) / 30),
    (piece.dryer.peak - 168) / 20,
  )
  for (let i = 0; i < side * side; i++) {
    const grain = 6 * (noise(i % side, Math.floor(i / side), 1.6, 3) - 0.5)
    pixels[i * 4] = cloth[0] + grain + (burnt > 0 ? 50 * Math.min(1, burnt) : 0)
    pixels[i * 4 + 1] = cloth[1] + grain + (burnt > 0 ? 26 * Math.min(1, burnt) : 0)
    pixels[i * 4 + 2] = cloth[2] + grain
    pixels[i * 4 + 3] = 255
  }
  const bare = pixels.slice()
  for (const event of press.plan.events) {
    if (event.kind !== 'print') continue
    const s = press.screens[event.screen]
    const struck = piece.struck[event.screen]
    const mask = masks[event.screen]
    if (s && struck && mask && s.plan.role !== 'smoothing')
      layer(pixels, side, press, s, struck, mask, event.screen)
  }
  wearOff(pixels, bare, side, wear)
  fibres(pixels, side, rough, cloth)
  if (piece.smudge) smear(pixels, side, piece.n)
  return { side, pixels }
}

function layer(
  pixels: Uint8ClampedArray,
  side: number,
  press: TruePress,
  s: TrueScreen,
  struck: Struck,
  mask: Mask,
  salt: number,
): void {
  const scale = (side / WIDE) * ENLARGED
  const [left, right, near, far] = struck.marks
  if (!left || !right || !near || !far) return
  const dx = ((left[0] + right[0]) / 2) * scale
  const dy = ((left[1] + right[1]) / 2) * scale
  const grow = ((right[0] - left[0]) / WIDE) * ENLARGED
  const turn = ((right[1] - left[1]) / WIDE) * ENLARGED
  const bend = ((near[1] + far[1] - left[1] - right[1]) / 2) * scale
  const isBase = s.plan.role === 'base'
  const choke = isBase ? Math.max(0, press.choke ?? 0) * scale * 0.5 : 0
  const colour = channels(s.plan.hex).map(
    (c) => c * (1 - Math.min(0.5, struck.tint * 4)) + 60 * Math.min(0.5, struck.tint * 4),
  )
  const hue = Math.min(60, s.dE * 3)
  const cover = Math.min(1, (1 - Math.exp(-2.6 * struck.deposit)) * (isBase ? press.cover : 1))
  const gain = Math.max(0, (struck.spread - 20) / 60)
  const half = side / 2
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const [ux, uy] = [x - half, y - half]
      const mx = Math.round(half + (ux - dx + uy * turn) / (1 + grow))
      const my = Math.round(half + (uy - dy - ux * turn + bend * (1 - Math.abs(ux) / half)) / (1 + grow))
      let ink = sample(mask, mx, my, gain)
      if (choke > 0.5 && ink > 0.5) ink = Math.min(ink, sampleLeast(mask, mx, my, Math.round(choke)))
      if (s.plan.ruling && ink > 0 && ink < 1) ink = dot(x, y, ink, gain, salt)
      if (ink <= 0 && s.pinholes > 1 && noise(x, y, 1, salt + 40) > 1 - s.pinholes * 0.0015) ink = 0.9
      if (ink <= 0) continue
      const zone = x < side / 3 ? 0 : x < (2 * side) / 3 ? 1 : 2
      // Ink is missing in patches where it did not clear, and torn where it stuck.
      const fill = struck.fill[zone] as number
      if (noise(x, y, 4, salt) > fill + 0.08) ink *= 0.12
      if (
        (struck.sticky[zone] as number) > 0.35 &&
        noise(x, y, 6, salt + 20) < 0.45 * (struck.sticky[zone] as number)
      )
        ink *= 0.15
      if (struck.erosion > 0.15 && noise(x, y, 3, salt + 30) < struck.erosion * 0.5) ink *= 0.3
      const a = Math.min(1, ink * cover)
      const at = (y * side + x) * 4
      for (let c = 0; c < 3; c++) {
        const laid = (colour[c] as number) + (c === 0 ? hue : c === 2 ? -hue : 0)
        pixels[at + c] = (pixels[at + c] as number) * (1 - a) + laid * a
      }
    }
}

/** Ink at a place, spread over its edge by what dots gain. */
function sample({ side, ink }: Mask, x: number, y: number, gain: number): number {
  if (x < 0 || y < 0 || x >= side || y >= side) return 0
  const own = (ink[y * side + x] as number) / 255
  const reach = Math.min(4, Math.round(gain * 4))
  if (reach < 1 || own >= 1) return own
  let most = own
  for (const [dx, dy] of [
    [reach, 0],
    [-reach, 0],
    [0, reach],
    [0, -reach],
  ] as const) {
    const v = ink[(y + dy) * side + x + dx]
    if (v !== undefined && v / 255 > most) most = v / 255
  }
  return Math.max(own, most * 0.85)
}

const sampleLeast = ({ side, ink }: Mask, x: number, y: number, reach: number): number => {
  const at = (i: number, j: number) =>
    i < 0 || j < 0 || i >= side || j >= side ? 0 : (ink[j * side + i] as number) / 255
  return Math.min(at(x + reach, y), at(x - reach, y), at(x, y + reach), at(x, y - reach))
}

/** A coarse dot of the halftone, turned by screen as films are, grown by what it gains. */
function dot(x: number, y: number, tone: number, gain: number, salt: number): number {
  const turn = ((15 + 30 * salt) * Math.PI) / 180
  const [u, v] = [x * Math.cos(turn) + y * Math.sin(turn), y * Math.cos(turn) - x * Math.sin(turn)]
  const wrapped = (w: number) => (((w % CELL) + CELL) % CELL) - CELL / 2
  const radius = CELL * 0.56 * Math.sqrt(tone) + gain * 1.6
  const off = Math.hypot(wrapped(u), wrapped(v)) - radius
  return Math.min(1, Math.max(0, 0.5 - off))
}

/** Short light strokes where fibres stand. */
function fibres(pixels: Uint8ClampedArray, side: number, rough: number, cloth: readonly number[]): void {
  const count = Math.round(Math.max(0, rough - 0.55) * 700)
  for (let i = 0; i < count; i++) {
    const x = Math.floor(noise(i, 1, 1, 7) * side)
    const y = Math.floor(noise(i, 2, 1, 8) * side)
    for (let k = 0; k < 3; k++) {
      const at = (((y + k) % side) * side + ((x + (i % 2 ? k : -k) + side) % side)) * 4
      for (let c = 0; c < 3; c++)
        pixels[at + c] = (pixels[at + c] as number) * 0.45 + (cloth[c] as number) * 0.55 + 12
    }
  }
}

/** A thumb's mark. */
function smear(pixels: Uint8ClampedArray, side: number, n: number): void {
  const [mx, my] = [side * (0.1 + 0.05 * (n % 5)), side * (0.82 - 0.04 * (n % 3))]
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const d = Math.hypot((x - mx) / 1.4, y - my)
      if (d > side * 0.055 || noise(x, y, 2, n) < 0.35) continue
      const at = (y * side + x) * 4
      for (let c = 0; c < 3; c++) pixels[at + c] = (pixels[at + c] as number) * 0.5 + 30
    }
}
