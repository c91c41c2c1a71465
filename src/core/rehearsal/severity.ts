import type { SymptomId } from '../trouble'
import type { Piece } from './piece'
import { ARM, type Struck } from './strike'
import type { Role } from './trialPlan'
import type { TruePress } from './truePress'

/** Severity of a symptom, 1 is what a careful eye sees; the screen it is worst at, and each screen's own. */
export type Severities = ReadonlyMap<
  SymptomId,
  { readonly v: number; readonly at: number; readonly each: ReadonlyMap<number, number> }
>

const WINDOW = 8
function meanOf<T>(of: readonly T[], value: (x: T) => number): number {
  if (of.length === 0) return 0
  let sum = 0
  for (const x of of) sum += value(x)
  return sum / of.length
}
const mean = (xs: readonly number[]) => meanOf(xs, (x) => x)
const range = (xs: readonly number[]) => Math.max(...xs) - Math.min(...xs)
const median = (xs: readonly number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0
/** Without the one that is furthest off: one board is another fault. */
function trimmed(xs: readonly number[]): readonly number[] {
  if (xs.length < 5) return xs
  const middle = median(xs)
  let worst = 0
  for (const [i, x] of xs.entries())
    if (Math.abs(x - middle) > Math.abs((xs[worst] as number) - middle)) worst = i
  return xs.filter((_, i) => i !== worst)
}

/** Spread of a series by its successive differences: a slow change is no spread. */
function rough(xs: readonly number[]): number {
  const steps = xs.slice(1).map((x, i) => (x - (xs[i] as number)) ** 2)
  return Math.sqrt(mean(steps) / 2)
}

/** What the eyes at the press and behind the dryer find on the last pieces (model of the rehearsal, section 4). */
export function severities(press: TruePress, pieces: readonly Piece[]): Severities {
  const last = pieces.slice(-WINDOW)
  const out = new Map<SymptomId, { v: number; at: number; each: Map<number, number> }>()
  if (last.length === 0) return out
  let at = 0
  const note = (s: SymptomId, v: number) => {
    const entry = out.get(s) ?? { v: 0, at, each: new Map<number, number>() }
    entry.each.set(at, Math.max(v, entry.each.get(at) ?? 0))
    if (v > entry.v) Object.assign(entry, { v, at })
    out.set(s, entry)
  }
  for (const [i, s] of press.screens.entries()) {
    if (s.plan.role === 'smoothing') continue
    const of = last.flatMap((p) => p.struck[i] ?? [])
    if (of.length === 0) continue
    at = i
    atScreen(press, i, of, note)
    overPieces(press, i, pieces, last, note)
  }
  at = placeOf(press, 'base')
  onCloth(press, last, note)
  at = dirtiest(press)
  smudges(press, last, note)
  at = placeOf(press, 'expander')
  behindDryer(press, last, note)
  return out
}

type Note = (s: SymptomId, v: number) => void

function atScreen(press: TruePress, at: number, of: readonly Struck[], note: Note): void {
  const s = press.screens[at] as TruePress['screens'][number]
  const { plan } = s
  const avg = (f: (x: Struck) => number) => meanOf(of, f)
  const spread = avg((x) => x.spread)
  const laid = avg((x) => x.deposit)
  note('sticks', avg((x) => Math.max(...x.sticky)) / 0.5)
  note('pickup', avg((x) => x.pick) / 0.16)
  note('oneSide', avg((x) => Math.abs(x.fill[0] - x.fill[2])) / 0.2)
  note('oneSide', avg((x) => Math.abs(x.sticky[0] - x.sticky[2])) / 0.45)
  note('patchy', (1 - avg((x) => Math.min(...x.fill))) / 0.28)
  note('missing', (1 - avg((x) => x.fine)) / 0.34)
  if (plan.ruling) note('blown', (spread / 47) * (plan.ruling / 55) ** 0.6)
  note('bleed', spread / (plan.ruling ? 62 : 52))
  note('through', avg((x) => x.through) / 1.9)
  note(
    'lifts',
    avg((x) => x.lift),
  )
  note(
    'ghost',
    (avg((x) => x.slip) * 1.35) / 0.2 - 0.15 + 0.7 * Math.max(0, 1 - s.gap / (0.5 * plan.gap)) + s.oldImage,
  )
  note('dryIn', plan.particle ? 0 : avg((x) => x.blocked) / 0.25)
  note('clogs', plan.particle ? avg((x) => x.blocked) / 0.22 : 0)
  note('stencil', avg((x) => x.erosion) / 0.35)
  note('pinholes', s.pinholes / 3 + avg((x) => x.erosion) / 0.6)
  if (plan.overlap > 0) {
    const heavy = plan.overlap > 0 ? s.overlap * (0.35 + plan.dominance) * 1.5 * laid : 0
    const unsteady =
      4.5 * rough(trimmed(of.map((x) => Math.log(Math.max(0.05, x.deposit))))) * (plan.ruling ? 1 : 0.5)
    note('muddy', heavy + unsteady + Math.max(0, spread - 38) / 23)
  }
  if (plan.blackOnWhite) note('greyEdge', (s.overlap * laid) / 0.55)
  if (plan.role === 'metallic') note('noShimmer', (1 - avg((x) => x.pass)) / 0.36)
  const unstirred = (1 - s.stirred) * (plan.role === 'metallic' || plan.role === 'expander' ? 3 : 2)
  const tint = 25 * avg((x) => x.tint)
  // Colour differences of several kinds do not add up, their squares do.
  const hue = Math.hypot(
    s.dE,
    9 * Math.abs(Math.log(Math.max(0.05, laid))) * (laid > 1 ? 0.2 : 0.3),
    unstirred,
    tint,
    avg((x) => x.first),
  )
  note('wrongColour', hue / 4.2)
  note('drift', tint / 3.2)
}

const MIDDLE = [0, 0] as const
const offOf = (p: Piece, at: number) => p.struck[at]?.off ?? MIDDLE

/** What shows only from piece to piece, or against the first ones. */
function overPieces(
  press: TruePress,
  at: number,
  all: readonly Piece[],
  last: readonly Piece[],
  note: Note,
): void {
  const s = press.screens[at] as TruePress['screens'][number]
  const lap = press.boards.length
  const early = all.length < 2 * lap ? 0.62 : 1
  const deposits = trimmed(last.map((p) => Math.log(Math.max(0.05, p.struck[at]?.deposit ?? 1))))
  const firsts = last.map((p) => p.struck[at]?.first ?? 0)
  const lots = last.map((p) => p.lot)
  const colours = (Math.max(...firsts) - Math.min(...firsts)) / 2.4
  note('differ', early * (rough(deposits) / 0.085 + rough(lots) / 1.2) + colours)
  const offs = last.map((p) => offOf(p, at))
  const [xs, ys] = [offs.map((o) => o[0]), offs.map((o) => o[1])]
  note('jump', (early * Math.hypot(rough(xs), rough(ys))) / 0.2)
  const [x, y] = [mean(xs), mean(ys)]
  // The first screen is what the others are laid on: it is out of register with nothing.
  if (at > 0 || press.screens.length === 1) {
    const marks = last.map((p) => p.struck[at]?.marks ?? [])
    note('shift', Math.hypot(x, y) / 0.3)
    note('turned', (Math.abs(s.turn) * ARM) / 0.24)
    note('local', residual(marks) / 0.24)
    const worst = mean(marks.map((four) => Math.max(0, ...four.map((m) => Math.hypot(m[0], m[1])))))
    note('halo', (worst * 0.95) / ((press.choke ?? 0.2) + 0.12))
  }
  if (all.length > 16) {
    const then = all.slice(1, 8).map((p) => offOf(p, at))
    const moved = Math.hypot(x - mean(then.map((o) => o[0])), y - mean(then.map((o) => o[1])))
    note('creep', (moved / 0.24) * (s.creep !== 0 ? 1.3 : 1))
  }
  if (lap > 1 && all.length >= 2 * lap) oneBoard(all.slice(-2 * lap), lap, at, note)
}

/** Whether one board's pieces differ from the rest by their medians. */
function oneBoard(recent: readonly Piece[], lap: number, at: number, note: Note): void {
  const offs = recent.map((p) => offOf(p, at))
  const values = [
    recent.map((p) => mean(p.struck[at]?.clear ?? [1])),
    offs.map((o) => o[0]),
    offs.map((o) => o[1]),
  ]
  // Where all lie together no board is another.
  const [fills = [], xs = [], ys = []] = values
  if (range(fills) < 0.12 && range(xs) < 0.15 && range(ys) < 0.15) return
  const usual = values.map(median)
  const own = Array.from({ length: lap }, () => [[], [], []] as number[][])
  for (const [i, p] of recent.entries())
    for (const [k, v] of values.entries()) own[p.board]?.[k]?.push(v[i] as number)
  for (const board of own) {
    if ((board[0]?.length ?? 0) < 2) continue
    const [fill = 0, x = 0, y = 0] = board.map((v, k) => median(v) - (usual[k] as number))
    note('oneBoard', Math.abs(fill) / 0.2)
    note('oneBoard', Math.hypot(x, y) / 0.28)
  }
}

/** What no shift and no turn takes away, of the mean of each mark. */
function residual(marks: readonly (readonly (readonly [number, number])[])[]): number {
  const four = [0, 1, 2, 3].map((k) => [
    mean(marks.map((m) => m[k]?.[0] ?? 0)),
    mean(marks.map((m) => m[k]?.[1] ?? 0)),
  ]) as [number, number][]
  const [l, r, near, far] = four as [[number, number], [number, number], [number, number], [number, number]]
  const dx = mean(four.map((m) => m[0]))
  const dy = mean(four.map((m) => m[1]))
  const turn = (r[1] - l[1] + near[0] - far[0]) / (4 * ARM)
  const left = [
    [l[0] - dx, l[1] - dy + turn * ARM],
    [r[0] - dx, r[1] - dy - turn * ARM],
    [near[0] - dx - turn * ARM, near[1] - dy],
    [far[0] - dx + turn * ARM, far[1] - dy],
  ] as const
  return Math.max(...left.map((m) => Math.hypot(m[0], m[1])))
}

function onCloth(press: TruePress, last: readonly Piece[], note: Note): void {
  const { plan } = press
  const avg = (f: (p: Piece) => number) => meanOf(last, f)
  const whites = press.screens.flatMap((s, i) =>
    (s.plan.role === 'base' || s.plan.role === 'white') && plan.cloth.dark ? [i] : [],
  )
  if (whites.length > 0) {
    const laid = avg((p) => mean(whites.map((i) => p.struck[i]?.deposit ?? 1)))
    const apertures = mean(
      whites.map((i) =>
        Math.min(1, (press.screens[i]?.opening ?? 1) / (press.screens[i]?.plan.opening ?? 1)),
      ),
    )
    note('dull', (1 - laid * press.cover * Math.min(1, apertures)) / 0.2 + avg((p) => p.lot) / 6)
  }
  const board = avg((p) => p.boardC)
  const cold = 1 + Math.max(0, 35 - board) / 40
  const light = 1 + 0.6 * Math.max(0, 1 - (press.screens[0]?.load ?? 1))
  const smoothing = press.smoothing ? 0.35 + press.now.coldSmoothing : 1
  note('rough', (press.fibre * smoothing * cold * light) / 0.74)
  note('offPlace', Math.max(...last.map((p) => p.loading)) / 8.5)
}

const placeOf = ({ screens }: TruePress, role: Role): number =>
  Math.max(
    0,
    screens.findIndex((s) => s.plan.role === role),
  )
const dirtiest = ({ screens }: TruePress): number =>
  screens.reduce((worst, s, i) => (s.back > (screens[worst]?.back ?? 0) ? i : worst), 0)

/** What gets on the garment that no image put there. */
function smudges(press: TruePress, last: readonly Piece[], note: Note): void {
  note('smudge', last.filter((p) => p.smudge).length / 1.6)
  note('smudge', Math.max(0, ...press.screens.map((s) => s.back - 1.5)) / 1.2)
  note('smudge', last.filter((p) => p.leaks).length / 2.5)
  note('pinholes', last.filter((p) => p.leaks).length / 3)
}

function behindDryer(press: TruePress, last: readonly Piece[], note: Note): void {
  const { plan } = press
  const worst = (f: (p: Piece) => number) => Math.min(...last.map(f))
  const most = (f: (p: Piece) => number) => Math.max(...last.map(f))
  const cure = worst((p) => p.dryer.cure) - 0.12 * press.damp
  const peak = most((p) => p.dryer.peak)
  note('cracks', Math.max(0, 0.955 - cure) / 0.11 + Math.max(0, press.thick - 1.25) / 0.3)
  note('washes', Math.max(0, 0.93 - cure) / 0.1 + Number(press.silicone) * 1.1)
  note('tackyAfter', Math.max(0, 0.88 - cure) / 0.2 + Math.max(0, press.thick - 1.3) / 0.5)
  const closed = Math.max(0, ...last.flatMap((p) => p.flashed.map((f) => f?.closed ?? 0)))
  note('peels', closed / 0.42 + Number(press.silicone) * 1.2)
  const flashed = Math.max(0, ...last.flatMap((p) => p.flashed.map((f) => f?.film ?? 0)))
  note('scorch', Math.max(0, (peak - 170) / 17, (flashed - 158) / 14))
  if (plan.cloth.polyester) note('migrates', Math.max(0, (peak - (press.unblocked ? 120 : 168)) / 14 + 0.6))
  note('blisters', press.damp * 1.05 + Math.max(0, peak - plan.cure.limit) / 16)
  if (press.screens.some((s) => s.plan.role === 'expander')) {
    const rise = mean(last.map((p) => p.rise))
    note('flat', (1 - rise) / 0.42)
    note(
      'dapple',
      1.8 / (1 + Math.exp(-(peak - plan.cure.target - 22) / 3)) +
        1.05 * Number(press.preheated) +
        0.8 * Math.max(0, (press.screens.find((s) => s.plan.role === 'expander')?.share ?? 1) - 1),
    )
  }
}
