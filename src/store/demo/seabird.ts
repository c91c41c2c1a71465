import { type DemoFilm, MIDDLE, marks, SHEET } from './filmSheet'

/** From 0 to 1 between two values, softly. */
const ramp = (from: number, to: number, x: number) => {
  const t = Math.min(1, Math.max(0, (x - from) / (to - from)))
  return t * t * (3 - 2 * t)
}

/** A limb from one point to another that tapers: the distance to its edge, negative inside, and how far along it. */
const limb = (x: number, y: number, [ax, ay, ra]: Knot, [bx, by, rb]: Knot) => {
  const [dx, dy] = [bx - ax, by - ay]
  const along = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)))
  return { d: Math.hypot(x - ax - along * dx, y - ay - along * dy) - ra - along * (rb - ra), along }
}
type Knot = readonly [x: number, y: number, r: number]

/** Shoulder, wrist and tip of each wing; the near one is drawn over the body. */
const NEAR: readonly [Knot, Knot, Knot] = [
  [-2, -8, 19],
  [-42, -72, 15],
  [-112, -98, 1.5],
]
const FAR: readonly [Knot, Knot, Knot] = [
  [10, -10, 15],
  [58, -74, 11],
  [116, -84, 1.5],
]

/** How dark and how much in shade. */
type Plumage = readonly [dark: number, shade: number]

/** Plumage at a place on the bird, what lies in front first; undefined beside it. */
function onBird(x: number, y: number): Plumage | undefined {
  if (x < -118 || x > 118 || y < -118 || y > 45) return undefined
  /** Where on a wing a place lies: none beside it, 0 on the arm, rising to 1 at the tip. */
  const wing = ([shoulder, wrist, tip]: typeof NEAR) => {
    const hand = limb(x, y, wrist, tip)
    if (hand.d < 0 && hand.along > 0) return hand.along
    return limb(x, y, shoulder, wrist).d < 0 ? 0 : undefined
  }
  const near = wing(NEAR)
  if (near !== undefined) return [ramp(0.3, 0.75, near), 0.28 + 0.3 * ramp(-60, -8, y)]
  if (Math.hypot(x - 54, y + 20) < 14)
    return [Math.hypot(x - 59, y + 24) < 2.4 ? 1 : 0, 0.5 * ramp(-20, -4, y)]
  if (limb(x, y, [40, -14, 15], [-34, 12, 13]).d < 0 || limb(x, y, [-34, 12, 13], [-72, 28, 3]).d < 0)
    return [0, 0.75 * ramp(-12, 26, y)]
  const far = wing(FAR)
  return far === undefined ? undefined : [ramp(0.3, 0.75, far), 0.55]
}

const bill = (x: number, y: number) =>
  x > 64 && x < 90 && Math.abs(y + 17 - (x - 64) * 0.12) < (90 - x) * 0.17

const HORIZON = 62
const SUN = { x: -52, y: 40, r: 27 }
/** 1 inside the oval, less by `inset` millimetres. */
const oval = (x: number, y: number, inset = 0) =>
  (x / (145 - inset)) ** 2 + (y / (175 - inset)) ** 2 < 1 ? 1 : 0
const up = (y: number) => (HORIZON - y) / (HORIZON + 175)
const wave = (x: number, y: number) =>
  0.5 + 0.5 * Math.sin(y * (0.62 - y / 700) + 1.8 * Math.sin(x / 31 + y / 17))
const glitter = (x: number, y: number) =>
  Math.exp(-(((x - SUN.x) / (16 + 0.35 * (y - HORIZON))) ** 2)) * ramp(0.45, 0.7, wave(x, y))
const sun = (x: number, y: number) => (Math.hypot(x - SUN.x, y - SUN.y) < SUN.r ? 1 : 0)
const glow = (x: number, y: number) => Math.exp(-Math.hypot(x - SUN.x, y - SUN.y) / 70)
type Tone = (x: number, y: number) => number
/** What the sky, the sea and the bird ask of an ink. */
const tone =
  (sky: Tone, sea: Tone, bird: (dark: number, shade: number) => number, beak: number): Tone =>
  (x, y) => {
    if (!oval(x, y)) return 0
    const part = onBird(x, y)
    if (part) return bird(...part)
    if (bill(x, y)) return beak
    return y < HORIZON ? sky(x, y) : sea(x, y)
  }
const black = tone(
  (_, y) => 0.3 * ramp(0.75, 1, up(y)),
  (x, y) => 0.5 * (1 - wave(x, y)) * ramp(HORIZON, 175, y),
  (dark, shade) => 0.95 * dark + 0.12 * shade * (1 - dark),
  0,
)
const TONES: readonly [string, string, Tone][] = [
  [
    'base',
    'seabird base.png',
    (x, y) => {
      const over = black(x, y)
      return over > 0.9 ? 0 : oval(x, y, 0.4) * (0.92 - over)
    },
  ],
  [
    'I1',
    'seabird harbour-white.png',
    tone(
      (x, y) => 0.55 * sun(x, y),
      (x, y) => 0.5 * glitter(x, y),
      (dark, shade) => Math.max(0, 0.95 - 0.85 * shade) * (1 - dark),
      0,
    ),
  ],
  [
    'I2',
    'seabird lamp-yellow.png',
    tone(
      (x, y) => Math.max(0.95 * sun(x, y), 0.9 * (1 - ramp(0, 0.55, up(y)))),
      (x, y) => 0.85 * glitter(x, y),
      (dark) => 0.06 * (1 - dark),
      0.95,
    ),
  ],
  [
    'I3',
    'seabird signal-orange.png',
    tone(
      (x, y) =>
        (1 - sun(x, y)) * Math.min(0.9, 0.7 * Math.exp(-(((up(y) - 0.38) / 0.22) ** 2)) + 0.45 * glow(x, y)),
      (x, y) => 0.4 * glitter(x, y) * ramp(HORIZON, 120, y),
      () => 0,
      0.35,
    ),
  ],
  [
    'I4',
    'seabird sky-blue.png',
    tone(
      (_, y) => 0.85 * ramp(0.42, 0.95, up(y)),
      (x, y) => (0.92 - 0.5 * wave(x, y)) * (1 - glitter(x, y)),
      (dark, shade) => 0.62 * shade * (1 - dark),
      0,
    ),
  ],
  ['I5', 'seabird coal-black.png', black],
]

/** A seabird gliding over an evening sea in soft tones, in an oval of 290 x 350 mm. */
export function seabird(): readonly DemoFilm[] {
  return TONES.map(([ink, name, tint]) => ({
    ink,
    name,
    halftone: {
      ...SHEET,
      dpi: 240,
      lpi: 50,
      degrees: 22.5,
      tint: (x, y) => tint(x - MIDDLE.x, y - MIDDLE.y),
      coarse: 3,
      marks: marks(290, 350),
    },
  }))
}
