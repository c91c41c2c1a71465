import { type Film, logistic, type Struck, strike } from './strike'
import { boardAfter, followed, freshSpot, givenTo, heat, type Spot, through, ZERO } from './thermal'
import { kelvin, type TrueBoard, type TruePress, ZONES } from './truePress'

/** One printed piece. */
export interface Piece {
  readonly n: number
  readonly board: number
  readonly boardC: number
  readonly struck: readonly Struck[]
  /** By flash: middle of the film straight after, its centre's cure, the cloth's peak; celsius. */
  readonly flashed: readonly {
    readonly film: number
    readonly gel: number
    readonly closed: number
    readonly cloth: number
  }[]
  readonly dryer: { readonly peak: number; readonly cure: number; readonly cloth: number }
  readonly rise: number
  readonly lot: number
  readonly smudge: boolean
  readonly loading: number
  readonly leaks: boolean
}

/** Prints the next piece: heat, strokes, pick-up, adhesive, register, dryer (model of the rehearsal, section 3). */
export function printPiece(press: TruePress): Piece {
  const n = press.pieces + 1
  const { plan, now, streams } = press
  const at = (n - 1) % press.boards.length
  const board = press.boards[at] as TrueBoard
  const later = streams.later
  const begins = board.celsius
  const leftUnder = now.leftUnder > 0 && later.chance(now.leftUnder) ? later.between(12, 25) : 0
  const hand = streams.press.normal(now.hand)
  const lot = now.lots > 0 && later.chance(0.3) ? now.lots : 0
  let film: Film | undefined
  const struck: Struck[] = []
  const flashed: Piece['flashed'][number][] = []
  let rewarm = 0
  for (const event of plan.events) {
    if (event.kind === 'print') {
      struck[event.screen] = strike(press, event.screen, { n, board, hand, film, lot })
      film = undefined
      continue
    }
    const under = flash(press, event.flash, board, leftUnder)
    film = { spots: under.spots, flash: event.flash }
    rewarm += under.given
    flashed[event.flash] = under.read
  }
  press.pieces = n
  board.since += 1
  if (board.since >= plan.tackEvery && !now.tackForgotten) board.since = 0
  board.celsius = settled(press, board, rewarm)
  const dryer = inDryer(press, n)
  return {
    n,
    board: at,
    boardC: begins,
    struck,
    flashed,
    dryer,
    rise: riseOf(press, struck, dryer.peak),
    lot,
    smudge: now.dirtyHands > 0 && later.chance(now.dirtyHands),
    loading: Math.abs(streams.press.normal(now.loading)),
    leaks: now.tapeLeaks > 0 && n > 4 && later.chance(now.tapeLeaks),
  }
}

function flash(press: TruePress, at: number, board: TrueBoard, leftUnder: number) {
  const { plan, now } = press
  const unit = press.flashes[at] as TruePress['flashes'][number]
  const f = plan.flashes[at] as TruePress['plan']['flashes'][number]
  const dwell = unit.dwell * (now.dwellForgotten ? 1 : followed(board.celsius)) + leftUnder
  const b = kelvin(board.celsius)
  const lit = (zone: number) => ({
    quartz: f.quartz,
    gain: unit.base * (unit.gain[zone] as number) * (1 - 0.12 * press.damp),
    contact: press.contact,
    air: kelvin(press.air),
  })
  const spots = ZONES.map((_, z) => {
    const spot = freshSpot(b, kelvin(press.air), press.contact)
    heat(spot, dwell, b, lit(z), true)
    return spot
  }) as unknown as [Spot, Spot, Spot]
  const [, middle] = spots
  const read = { film: middle.film - ZERO, gel: 0, closed: 0, cloth: 0 }
  const given = givenTo(middle, b, press.contact, dwell / 2 + unit.cool / 2)
  for (const [z, spot] of spots.entries()) heat(spot, unit.cool, b, lit(z), false)
  return {
    spots,
    given: Math.max(0, given),
    read: { ...read, gel: spots[0].gel, closed: middle.cure, cloth: middle.clothPeak - ZERO },
  }
}

/** A driven board goes to where it is driven in some six laps; another takes up what it was given and cools. */
function settled(press: TruePress, board: TrueBoard, given: number): number {
  const { plan, now } = press
  if (now.boardsTo !== undefined) return board.celsius + (now.boardsTo - board.celsius) / 6
  const lap = plan.pace * press.boards.length
  return boardAfter(board.celsius, press.air, given, lap, plan.aluminium)
}

function inDryer(press: TruePress, n: number): Piece['dryer'] {
  const { plan, now, dryer } = press
  const lost = n >= now.zoneFrom ? now.zoneLoss : 0
  const slowness = 1 + 0.4 * press.damp + 0.35 * (press.thick - 1)
  const { peak, cure } = through(50, dryer.set - lost, dryer.seconds, slowness, plan.cure.low)
  return { peak, cure, cloth: peak + 8 }
}

/** Rise of the expander: full when the film gets warm enough, gone when it gets too warm, half when it was heated before. */
function riseOf(press: TruePress, struck: readonly Struck[], film: number): number {
  const at = press.screens.findIndex((s) => s.plan.role === 'expander')
  const s = press.screens[at]
  const laid = struck[at]
  if (!s || !laid) return 1
  const wants = press.plan.cure.target
  const grows = logistic((film - (wants - 12)) / 4) * (1 - 0.8 * logistic((film - (wants + 20)) / 3))
  return grows * s.share * s.stirred * (1 - 0.5 * Number(press.preheated)) * Math.min(1, laid.deposit / 0.85)
}
