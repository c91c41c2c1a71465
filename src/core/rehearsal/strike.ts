import { type Spot, ZERO } from './thermal'
import { type Three, type TrueBoard, type TruePress, type TrueScreen, three, ZONES } from './truePress'

export const logistic = (x: number): number => 1 / (1 + Math.exp(-x))
/** How far a stroke clears the mesh, 0..1: 1 is the load that it should have. */
export const clears = (stroke: number): number => logistic((Math.log(stroke) - Math.log(0.58)) / 0.14)
/** What adhesive holds after so many garments, 0..1; and how far cloth slips on it, mm. */
export const gripAfter = (garments: number): number => Math.exp(-garments / 16)
export const slipOf = (grip: number): number => 0.025 + (0.3 * Math.max(0, 0.34 - grip)) / 0.34
/** How far a print grows outward at its rim by the gap, mm of mm. */
export const grownBy = (gap: number, planned: number): number => 0.145 * ((gap / 6) ** 2 - (planned / 6) ** 2)

/** Marks stand so far from the middle, mm. */
export const ARM = 150

/** What one screen left on one piece. */
export interface Struck {
  readonly clear: Three
  readonly fill: Three
  readonly fine: number
  readonly deposit: number
  readonly spread: number
  readonly through: number
  readonly sticky: Three
  /** Middle of the film it met, celsius; none where nothing was flashed before. */
  readonly met: number | undefined
  /** Whether half a minute more would have let it go. */
  readonly dryLater: number
  /** Offsets at left, right, near and far marks, mm. */
  readonly marks: readonly (readonly [number, number])[]
  /** Where the print lies: the mean of its marks, mm. */
  readonly off: readonly [number, number]
  readonly pick: number
  readonly lift: number
  readonly slip: number
  readonly pass: number
  readonly first: number
  /** Slow things as they stood at this piece. */
  readonly tint: number
  readonly back: number
  readonly blocked: number
  readonly erosion: number
}

/** A film that was flashed: its three spots, as they are now. */
export interface Film {
  readonly spots: readonly [Spot, Spot, Spot]
  readonly flash: number
}

/** Sticky by what is too hot, and by what is not gelled. */
const sticky = (spot: Spot): number => {
  const h = logistic((spot.film - ZERO - 63) / 3)
  const g = logistic((0.85 - spot.gel) / 0.03)
  return h + g - h * g
}

interface Moment {
  readonly n: number
  readonly board: TrueBoard
  readonly hand: number
  readonly film: Film | undefined
  readonly lot: number
}

/** One stroke of a screen on a piece, and what it leaves at the screen. */
export function strike(press: TruePress, at: number, { n, board, hand, film }: Moment): Struck {
  const s = press.screens[at] as TrueScreen
  const { plan: planned } = s
  const wet = planned.overlap > 0
  const stickies = film ? (film.spots.map(sticky) as Three) : three(0)
  const unclean = film ? Math.max(...film.spots.map((x) => logistic((0.85 - x.gel) / 0.03))) : 0
  const more = Math.max(0, s.strokes - planned.strokes)
  const push = Math.sqrt(s.strokes / planned.strokes)
  const load = s.load * Math.exp(hand)
  const aperture = Math.min(1, s.opening / planned.wanted)
  const clear = three(0)
  const fill = three(0)
  const level = Math.min(1, Math.max(0.05, 1.35 - s.sinceInk / 58))
  for (const [z, x] of ZONES.entries()) {
    const gap = s.gap * (1 + s.gapSlope * x) + board.low
    const p = load * (1 + s.slope * x) - 0.3 * Math.max(0, gap / Math.max(3, planned.gap) - 1) - 0.12 * s.wear
    const stroke = (Math.max(0.02, p) * (s.time * Math.exp(-hand / 2)) ** 0.6 * push) / s.viscosity
    clear[z] = clears(stroke * Math.sqrt(aperture)) * (s.nick && x === 0 ? 0.75 : 1)
    fill[z] = clear[z] * (0.25 + 0.75 * s.flood) * level * (1 - s.blocked) * (1 - 0.3 * s.scum)
  }
  const filled = (fill[0] + fill[1] + fill[2]) / 3
  const deposit =
    (s.opening / planned.opening) *
    filled *
    (1 +
      0.01 * (planned.hardness - s.hardness) +
      0.01 * (s.angle - planned.angle) +
      0.22 * s.wear +
      0.28 * more) *
    (1 - 0.3 * Math.max(0, load - 1.3)) *
    press.thick
  const bent = s.angle + (8 * (load - 1) * 75) / s.hardness + 0.3 * Math.max(0, 70 - s.hardness)
  const stuck = Math.max(...stickies)
  const spread =
    20 +
    62 * Math.max(0, load - 1.22) +
    1.25 * Math.max(0, 71 - s.hardness) +
    2.4 * Math.max(0, bent - 27) +
    24 * Math.max(0, 1 / s.viscosity - 1.35) +
    34 * s.wear +
    26 * more +
    55 * Math.max(0, 0.8 - s.gap / planned.gap) +
    32 * Math.max(0, 1 - s.tension / 25) +
    62 * Math.max(0, s.opening / planned.opening - 1.15) +
    8 * stuck +
    9 * Math.max(0, s.back - 1) +
    14 * unclean
  const pass = planned.particle ? logistic((s.opening / planned.particle - 2.4) / 0.35) * s.stirred : 1
  const grip = gripAfter(board.since)
  const lift =
    (s.viscosity *
      (0.3 + 0.9 * planned.coverage) *
      (1 + 1.2 * stuck) *
      (planned.gap / s.gap) ** 0.8 *
      (25 / s.tension) ** 0.4) /
    (3.3 * grip)
  const slipSd = slipOf(grip)
  const slip = press.streams.press.normal(slipSd)
  const pick = wet || film ? pickUp(s, stuck) : 0
  const first = wet ? 5 * Math.exp(-n / 5) * (0.5 + planned.overlap) * press.now.firstPrints : 0
  ageScreen(press, s, pick, pass)
  const marks = marksOf(press, s, board, slip, n)
  return {
    clear,
    fill,
    deposit,
    spread,
    pick,
    lift,
    pass,
    first,
    marks,
    off: middleOf(marks),
    fine: Math.max(0, filled - 0.55 * s.scum - 0.3 * s.blocked - 0.5 * s.erosion),
    through: load * s.viscosity ** -0.55 * push * (1 + 0.012 * (s.angle - 17)),
    sticky: stickies,
    met: film ? film.spots[1].film - ZERO : undefined,
    dryLater: film ? Math.min(...film.spots.map((x) => x.gel)) : 1,
    slip: slipSd,
    tint: s.tint,
    back: s.back,
    blocked: s.blocked,
    erosion: s.erosion,
  }
}

function middleOf(marks: Struck['marks']): Struck['off'] {
  let [x, y] = [0, 0]
  for (const m of marks) {
    x += m[0] / marks.length
    y += m[1] / marks.length
  }
  return [x, y]
}

const pickUp = (s: TrueScreen, stuck: number): number =>
  0.12 *
  (s.overlap + 0.6 * stuck) *
  (1 + 1.2 * stuck) *
  (0.6 + 0.4 * s.strokes) *
  (1 + 1.6 * Math.max(0, s.overlap - 0.65))

/** What goes on from piece to piece at a screen: back, tint, blocked openings, ink in it. */
function ageScreen({ now, plan, boards }: TruePress, s: TrueScreen, pick: number, pass: number): void {
  s.back = 0.93 * s.back + pick * now.backGrows
  s.tint += 0.0006 * s.back * 0.35 + now.ownTint
  s.blocked = 0.97 * s.blocked + 0.008 * (1 - pass)
  if (s.plan.waterBased && (boards[0]?.celsius ?? 0) > 52) s.blocked += 0.004
  s.erosion = Math.min(1, s.erosion + now.erodes * (s.plan.waterBased ? 1.5 : 1))
  s.sinceInk += 1
  if (s.sinceInk >= plan.inkEvery && !now.inkForgotten) s.sinceInk = 0
}

/** Offsets at four marks: set-up, lock, creep, play, slip, board, growth by gap and film, slack. */
function marksOf(
  press: TruePress,
  s: TrueScreen,
  board: TrueBoard,
  slip: number,
  n: number,
): Struck['marks'] {
  const draw = press.streams.press
  const dx = s.tx + s.lock[0] + s.creep * n + draw.normal(s.play) + slip + board.loose[0]
  const dy = s.ty + s.lock[1] + draw.normal(s.play) + board.loose[1]
  const grown = grownBy(s.gap, s.plan.gap) + s.stretch * ARM - press.now.shrinks * ARM
  const slack = Math.max(0, 1 - s.tension / 25)
  const noise = () => draw.normal(0.02)
  return [
    [dx - grown + noise(), dy - s.turn * ARM + 0.7 * slack - 0.2 * s.gapSlope],
    [dx + grown + noise(), dy + s.turn * ARM + 0.18 * slack + 0.2 * s.gapSlope],
    [dx + s.turn * ARM, dy - grown + 0.75 * slack + noise()],
    [dx - s.turn * ARM, dy + grown + noise()],
  ]
}
