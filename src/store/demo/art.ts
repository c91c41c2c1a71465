import { arc, type DemoFilm, disc, round, sheet, spread, stroke } from './filmSheet'
import { seabird } from './seabird'

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
