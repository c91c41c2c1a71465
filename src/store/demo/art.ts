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
  /** Ink wanted at a place, 0..1. */
  readonly tint: (x: number, y: number) => number
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

/** Darkening toward the rim of an ellipse; 0 outside. */
const blob = (x: number, y: number, cx: number, cy: number, rx: number, ry: number) =>
  Math.max(0, 1 - ((x - cx) / rx) ** 2 - ((y - cy) / ry) ** 2)

/** A seabird over water in soft tones. */
function seabird(): readonly DemoFilm[] {
  const body = (x: number, y: number) => blob(x, y, -5, 20, 95, 62)
  const head = (x: number, y: number) => blob(x, y, 78, -48, 34, 30)
  const wing = (x: number, y: number) => blob(x, y, -45, -30, 75, 105)
  const sea = (x: number, y: number) =>
    y > 60 ? Math.min(1, ((y - 60) / 110) * (0.75 + 0.25 * Math.sin(x / 9 + y / 5))) : 0
  const bird = (x: number, y: number) => Math.max(body(x, y), head(x, y), wing(x, y))
  const clip = (f: (x: number, y: number) => number) => (x: number, y: number) =>
    Math.abs(x) > 145 || Math.abs(y) > 175 ? 0 : Math.min(0.95, Math.max(0, f(x, y)))
  const tones: readonly [string, string, (x: number, y: number) => number][] = [
    ['base', 'seabird base.png', (x, y) => Math.max(bird(x, y) > 0.02 ? 0.85 : 0, sea(x, y) * 0.8)],
    ['I1', 'seabird harbour-white.png', (x, y) => Math.max(body(x, y), head(x, y)) ** 2],
    [
      'I2',
      'seabird lamp-yellow.png',
      (x, y) => blob(x, y, 112, -44, 22, 9) + 0.35 * body(x, y) * (y > 30 ? 1 : 0),
    ],
    ['I3', 'seabird signal-orange.png', (x, y) => blob(x, y, 112, -40, 20, 6) + 0.3 * sea(x, y)],
    ['I4', 'seabird sky-blue.png', (x, y) => 0.8 * sea(x, y) + 0.35 * wing(x, y)],
    [
      'I5',
      'seabird coal-black.png',
      (x, y) => blob(x, y, 84, -52, 4, 4) * 2 + wing(x, y) * (x < -60 ? 0.9 : 0.15),
    ],
  ]
  return tones.map(([ink, name, tint]) => ({
    ink,
    name,
    halftone: { ...SHEET, dpi: 240, lpi: 50, degrees: 22.5, tint: withMarks(clip(tint), 290, 350) },
  }))
}

/** Tints about the middle of the art, with the marks of the sheet as full ink. */
const withMarks = (tint: (x: number, y: number) => number, width: number, height: number) => {
  const places = marks(width, height)
  return (x: number, y: number) => {
    const own = tint(x - MIDDLE.x, y - MIDDLE.y)
    if (own > 0) return own
    const marked = places.some(([mx, my]) => {
      const dx = Math.abs(x - mx)
      const dy = Math.abs(y - my)
      if (dx > 5 || dy > 5) return false
      return dx < 0.15 || dy < 0.15 || Math.abs(Math.hypot(dx, dy) - 3) < 0.15
    })
    return marked ? 1 : 0
  }
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
export function screened({ width, height, dpi, lpi, degrees, tint }: Halftone) {
  const px = 25.4 / dpi
  const w = Math.round(width / px)
  const h = Math.round(height / px)
  const grey = new Uint8Array(w * h).fill(255)
  const turn = (2 * Math.PI * lpi) / 25.4
  const c = Math.cos((degrees * Math.PI) / 180) * turn
  const s = Math.sin((degrees * Math.PI) / 180) * turn
  for (let j = 0; j < h; j++)
    for (let i = 0; i < w; i++) {
      const x = (i + 0.5) * px
      const y = (j + 0.5) * px
      const ink = tint(x, y)
      if (ink <= 0) continue
      // A hill over each dot; its height is spread so that as much of it lies above the tint as the tint says.
      const hill = (Math.cos(c * x - s * y) + Math.cos(s * x + c * y)) / 4 + 0.5
      if (ink >= 1 || hill > 1 - ink) grey[j * w + i] = 0
    }
  return { width: w, height: h, grey }
}
