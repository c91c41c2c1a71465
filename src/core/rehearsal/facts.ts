import type { Check, RunFacts } from '../trouble'
import type { Session } from './session'

/** Celsius, N/cm, millimetres: where the model of trouble has its limits. */
const LIMIT = { print: 58, board: 52, tension: 18, overlap: 0.4, choke: 0.25 } as const
/** A base is shut after about so many times what it needs. */
const SHUT = 2.1
const CHECK_EVERY = 50
const GUN = { film: 5, board: 2.5, print: 4 } as const

/** What a shop has to look with. */
export interface Kit {
  readonly gun: boolean
  readonly loupe: boolean
  /** Tensions are read before a run. */
  readonly tension: boolean
}

/** Notes an interval check where one is due: at piece 1, 51, 101. */
export function checkAt(
  session: Session,
):
  | { readonly piece: number; readonly boardC: number; readonly filmC: number; readonly printC: number }
  | undefined {
  const { press, pieces } = session
  const last = pieces.at(-1)
  if (!last || (press.pieces - 1) % CHECK_EVERY !== 0) return undefined
  const noise = press.streams.caller
  const films = last.flashed.flatMap((f) => f?.film ?? [])
  const met = last.struck.flatMap((s) => s?.met ?? [])
  if (films.length === 0) return undefined
  return {
    piece: press.pieces,
    boardC: last.boardC + noise.normal(GUN.board),
    filmC: Math.max(...films) + noise.normal(GUN.film),
    printC: Math.max(...met, 0) + noise.normal(GUN.print),
  }
}

/** What the ranked list may know of a rehearsed run: the plan, the counts, and the last check; nothing of the fault. */
export function sessionFacts(session: Session, kit: Kit, check: ReturnType<typeof checkAt>): RunFacts {
  const { plan, press, pieces, twins } = session
  const n = press.pieces
  // What a plan foretells is how it goes without a fault.
  const last = (twins.length > 0 ? twins : pieces).at(-1)
  const met = Math.max(0, ...(last?.struck ?? []).flatMap((s) => s?.met ?? []))
  const flashes = plan.flashes
  const under = Math.max(...flashes.map((f) => (f.needed * 1.02 - f.dwell) / 2.5))
  const over = Math.max(...flashes.map((f) => (f.dwell - SHUT * f.needed) / 2.5))
  const mud = Math.max(0, ...plan.screens.map((s) => s.overlap * (0.5 + s.dominance)))
  const special = plan.screens.find((s) => s.particle)
  const halftone = plan.screens.find((s) => s.ruling)
  const aged: Check | undefined =
    check && kit.gun
      ? { age: n - check.piece, boardC: check.boardC, filmC: check.filmC, printC: check.printC }
      : undefined
  return {
    z: {
      ...(flashes.length > 0 && {
        under,
        over,
        hot: (met - LIMIT.print) / 8,
        board: ((last?.boardC ?? plan.air) - LIMIT.board) / 8,
      }),
      cure: -0.6,
      cureHot: (plan.cure.target - plan.cure.limit) / 9,
      ...(plan.screens.some((s) => s.role === 'base') && { cover: (0.95 - plan.cover) / 0.1 }),
      ...(kit.tension && { slack: (LIMIT.tension - Math.min(...press.screens.map((s) => s.tension))) / 4 }),
      ...(special?.particle && { particle: (2.9 - special.opening / special.particle) / 0.5 }),
      ...(halftone?.ruling && { ruling: -0.4 }),
      ...(plan.choke !== undefined && { choke: (LIMIT.choke - plan.choke) / 0.08 }),
      ...(mud > 0 && { mud: (mud - LIMIT.overlap) / 0.15 }),
    },
    predicted: ['under', 'over', 'hot', 'board', 'cure', 'cureHot'],
    x: {
      pieces: n,
      laps: Math.floor(n / plan.boards),
      sinceTack: plan.tackEvery > 0 ? Math.floor(n / plan.boards) % plan.tackEvery : 0,
      sinceInk: n % plan.inkEvery,
    },
    flags: {
      alu: plan.aluminium,
      noTimer: !plan.timer,
      poly: plan.cloth.polyester,
      humid: false,
      manual: plan.hand,
      wb: plan.screens.some((s) => s.waterBased),
      dark: plan.cloth.dark,
      coldShop: plan.air < 16,
      special: plan.screens.some((s) => s.role === 'metallic' || s.role === 'expander'),
      blackWhiteWet: plan.screens.some((s) => s.blackOnWhite),
      smoothing: plan.screens.some((s) => s.role === 'smoothing'),
      fleece: plan.cloth.fibre > 0.7,
      puffFlashed: false,
    },
    has: {
      flash: flashes.length > 0,
      wet: plan.screens.some((s) => s.overlap > 0),
      puff: plan.screens.some((s) => s.role === 'expander'),
      white: plan.screens.some((s) => s.role === 'base' || s.role === 'white'),
      base: plan.screens.some((s) => s.role === 'base'),
      halftone: halftone !== undefined,
      boards: plan.boards > 1,
      smoothing: plan.screens.some((s) => s.role === 'smoothing'),
      gun: kit.gun,
      loupe: kit.loupe,
    },
    ...(aged && { check: aged }),
  }
}
