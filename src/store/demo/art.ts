/** A film of the demo, drawn by code: flat art as a vector drawing, photographic art as a halftone. Millimetres. */
export type DemoFilm = { readonly ink: string; readonly name: string } & (
  | { readonly svg: string }
  | { readonly halftone: Halftone }
)

export interface Halftone {
  readonly width: number
  readonly height: number
  readonly dpi: number
  readonly lpi: number
  readonly degrees: number
  /** Ink wanted at a place, 0..1; looked at once for every `coarse` pixels across and down. */
  readonly tint: (x: number, y: number) => number
  readonly coarse: number
  /** Middles of registration marks. */
  readonly marks: readonly (readonly [number, number])[]
}

/** The sheet all demo films are on, and the middle of the art. */
const SHEET = { width: 330, height: 483 }
const MIDDLE = { x: SHEET.width / 2, y: 235 }

/** Marks at the middle of each side of the art, 8 mm away from it. */
const marks = (width: number, height: number): readonly (readonly [number, number])[] => [
  [MIDDLE.x, MIDDLE.y - height / 2 - 8],
  [MIDDLE.x, MIDDLE.y + height / 2 + 8],
  [MIDDLE.x - width / 2 - 8, MIDDLE.y],
  [MIDDLE.x + width / 2 + 8, MIDDLE.y],
]

const drawnMark = ([x, y]: readonly [number, number]) =>
  `<g fill="none" stroke="#000" stroke-width="0.3"><path d="M${x - 5} ${y}H${x + 5}M${x} ${y - 5}V${y + 5}"/><circle cx="${x}" cy="${y}" r="3"/></g>`

/** A sheet with marks round an art of a size; the art is drawn about its own middle. */
const sheet = (width: number, height: number, art: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${SHEET.width}mm" height="${SHEET.height}mm" viewBox="0 0 ${SHEET.width} ${SHEET.height}"><rect width="100%" height="100%" fill="#fff"/>${marks(width, height).map(drawnMark).join('')}<g transform="translate(${MIDDLE.x} ${MIDDLE.y})">${art}</g></svg>`

const round = (n: number) => Math.round(n * 1000) / 1000
const disc = (x: number, y: number, r: number, fill = '#000') =>
  `<circle cx="${round(x)}" cy="${round(y)}" r="${round(r)}" fill="${fill}"/>`
const stroke = (d: string, width: number, colour = '#000') =>
  `<path d="${d}" fill="none" stroke="${colour}" stroke-width="${round(width)}"/>`

/** Part of a circle about a point, in degrees. */
const arc = (cx: number, cy: number, r: number, from: number, to: number) => {
  const at = (deg: number) => {
    const a = (deg * Math.PI) / 180
    return `${round(cx + r * Math.cos(a))} ${round(cy + r * Math.sin(a))}`
  }
  return `M${at(from)}A${r} ${r} 0 ${to - from > 180 ? 1 : 0} 1 ${at(to)}`
}

/** The same numbers every time, spread over 0..1. */
const spread = (i: number, turn = 0.618034) => (i * turn) % 1

/** Two pixels at 300 dpi. */
const CHOKE = 0.17

/** Star trails about a pole, over a disc of night sky, inside a rim. */
function starChart(): readonly DemoFilm[] {
  const r = 130
  const cy = -20
  const trails = Array.from({ length: 34 }, (_, i) => {
    const radius = 12 + i * 3.4
    const from = 360 * spread(i)
    return { d: arc(0, cy, radius, from, from + 25 + 45 * spread(i, 0.37)), width: i % 3 === 0 ? 0.9 : 0.5 }
  })
  const stars = Array.from({ length: 26 }, (_, i) => {
    const a = 2 * Math.PI * spread(i, 0.7548)
    const far = 20 + 95 * Math.sqrt(spread(i, 0.5698))
    return { x: far * Math.cos(a), y: cy + far * Math.sin(a), r: 2 + 2.5 * spread(i, 0.31) }
  })
  const tides = (width: number) =>
    stroke('M-120 132Q-90 118 -60 132T0 132T60 132T120 132', width) +
    stroke('M-120 150Q-90 136 -60 150T0 150T60 150T120 150', width)
  const knocked = (grow: number) =>
    trails.map((t) => stroke(t.d, t.width, '#fff')).join('') +
    stars.map((s) => disc(s.x, s.y, s.r + grow, '#fff')).join('')
  const yellow = trails.map((t) => stroke(t.d, t.width)).join('')
  const film = (ink: string, name: string, art: string) => ({ ink, name, svg: sheet(280, 330, art) })
  return [
    film('base', 'star-chart base.svg', disc(0, cy, r - CHOKE) + tides(6 - 2 * CHOKE)),
    film('I1', 'star-chart lamp-yellow.svg', yellow + tides(6)),
    film('I2', 'star-chart sky-blue.svg', disc(0, cy, r) + knocked(-0.3)),
    film('I3', 'star-chart harbour-white.svg', stars.map((s) => disc(s.x, s.y, s.r)).join('')),
  ]
}

/** A triangle hanging from a rope, made smaller on all sides by an inset. */
const pennant = (x: number, y: number, w: number, h: number, inset: number) => {
  const side = Math.hypot(w / 2, h)
  const inner = (w * h) / (w + 2 * side)
  const k = (inner - inset) / inner
  const cy = y + inner
  const at = (px: number, py: number) => `${round(x + (px - x) * k)} ${round(cy + (py - cy) * k)}`
  return `M${at(x - w / 2, y)}L${at(x + w / 2, y)}L${at(x, y + h)}Z`
}

function pennants(): readonly DemoFilm[] {
  const flags = Array.from({ length: 15 }, (_, i) => {
    const row = Math.floor(i / 5)
    return { x: -114 + (i % 5) * 57, y: -140 + row * 95, colour: (i + row) % 3 }
  })
  const shape = (f: (typeof flags)[number], inset: number) => pennant(f.x, f.y, 50, 76, inset)
  const filled = (colour: number) =>
    flags.map((f) => (f.colour === colour ? `<path d="${shape(f, 0)}"/>` : '')).join('')
  const ropes = [-140, -45, 50].map((y) => `M-148 ${y - 4.6}H148`).join('')
  const film = (ink: string, name: string, art: string) => ({ ink, name, svg: sheet(300, 320, art) })
  const choked = flags.map((f) => `<path d="${shape(f, CHOKE)}"/>`).join('')
  return [
    film('base', 'pennants base.svg', choked + stroke(ropes, 5 - 2 * CHOKE)),
    film('I1', 'pennants buoy-red.svg', filled(0)),
    film('I2', 'pennants deep-blue.svg', filled(1)),
    film('I3', 'pennants samphire-green.svg', filled(2)),
    film('I4', 'pennants rope-brown.svg', stroke(ropes, 5)),
    film('I5', 'pennants coal-black.svg', stroke(flags.map((f) => shape(f, 0)).join(''), 1.2)),
  ]
}

function moth(): readonly DemoFilm[] {
  const wings = (inset: number) =>
    [-1, 1]
      .map(
        (s) =>
          `<ellipse cx="${s * 58}" cy="-50" rx="${round(60 - inset)}" ry="${round(82 - inset)}" transform="rotate(${s * 32} ${s * 58} -50)"/><ellipse cx="${s * 50}" cy="75" rx="${round(44 - inset)}" ry="${round(58 - inset)}" transform="rotate(${s * -24} ${s * 50} 75)"/>`,
      )
      .join('')
  const eyes = [-1, 1].flatMap((s) => [
    { x: s * 66, y: -62, r: 17 },
    { x: s * 52, y: 80, r: 11 },
  ])
  const film = (ink: string, name: string, art: string) => ({ ink, name, svg: sheet(260, 300, art) })
  return [
    film('base', 'moth base.svg', wings(0.34)),
    film('I1', 'moth copper.svg', wings(0) + eyes.map((e) => disc(e.x, e.y, e.r - 0.3, '#fff')).join('')),
    film('I2', 'moth harbour-white.svg', eyes.map((e) => disc(e.x, e.y, e.r)).join('')),
  ]
}

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

/** A seabird gliding over an evening sea in soft tones, in an oval of 290 x 350 mm. */
function seabird(): readonly DemoFilm[] {
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
  const tones: readonly [string, string, Tone][] = [
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
          (1 - sun(x, y)) *
          Math.min(0.9, 0.7 * Math.exp(-(((up(y) - 0.38) / 0.22) ** 2)) + 0.45 * glow(x, y)),
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
  return tones.map(([ink, name, tint]) => ({
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

const letters = (): readonly DemoFilm[] => [
  {
    ink: 'I1',
    name: 'leavers buoy-red.svg',
    svg: sheet(
      300,
      280,
      stroke('M-130 -120V120H-20', 34) + stroke('M130 -103H40V103H130M40 0H110', 34) + disc(0, -60, 22),
    ),
  },
]

/** Films by order and placement. */
export const DEMO_ART: Readonly<Record<string, () => readonly DemoFilm[]>> = {
  'O-1001/P1': starChart,
  'O-1002/P1': pennants,
  'O-1003/P1': seabird,
  'O-1006/P1': moth,
  'O-1010/P1': letters,
}

/** A halftone's grey values, 0 is ink: round dots that grow with the tint, rows turned by an angle. */
export function screened({ width, height, dpi, lpi, degrees, tint, coarse, marks: places }: Halftone) {
  const px = 25.4 / dpi
  const w = Math.round(width / px)
  const h = Math.round(height / px)
  const grey = new Uint8Array(w * h).fill(255)
  const turn = (2 * Math.PI * lpi) / 25.4
  const c = Math.cos((degrees * Math.PI) / 180) * turn
  const s = Math.sin((degrees * Math.PI) / 180) * turn
  /** Inks the pixels of a square where a hill over each dot is higher than the tint leaves clear. */
  const square = (left: number, top: number, ink: number) => {
    for (let j = top; j < Math.min(h, top + coarse); j++)
      for (let i = left; i < Math.min(w, left + coarse); i++) {
        const x = (i + 0.5) * px
        const y = (j + 0.5) * px
        const hill = (Math.cos(c * x - s * y) + Math.cos(s * x + c * y)) / 4 + 0.5
        if (ink >= 1 || hill > 1 - ink) grey[j * w + i] = 0
      }
  }
  for (let j = 0; j < h; j += coarse)
    for (let i = 0; i < w; i += coarse) {
      const ink = tint((i + coarse / 2) * px, (j + coarse / 2) * px)
      if (ink > 0) square(i, j, ink)
    }
  for (const [mx, my] of places)
    for (let j = Math.floor((my - 5) / px); j * px < my + 5; j++)
      for (let i = Math.floor((mx - 5) / px); i * px < mx + 5; i++) {
        const dx = Math.abs((i + 0.5) * px - mx)
        const dy = Math.abs((j + 0.5) * px - my)
        const hair = dx < 0.15 || dy < 0.15 || Math.abs(Math.hypot(dx, dy) - 3) < 0.15
        if (dx <= 5 && dy <= 5 && hair) grey[j * w + i] = 0
      }
  return { width: w, height: h, grey }
}
