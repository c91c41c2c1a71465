import { QUESTIONS, type QuestionId, type SymptomId } from '../trouble'
import type { Draws } from './draw'
import type { Piece } from './piece'
import { severities } from './severity'
import { gripAfter, type Struck } from './strike'
import { type TruePress, type TrueScreen, three } from './truePress'

/** A look is wrong so often; a dead part of a panel is overlooked more often. */
const SLIPS = 0.05
const OVERLOOKED = 0.15
const NOISE = { film: 5, board: 2.5, belt: 4 } as const
/** Bands of what a gun reads, celsius. */
const BANDS = { film: [107, 134], board: [30, 55], print: 55 } as const

/** Where one looks from: the press, what was printed, and the screen that shows it. */
interface Seen {
  readonly press: TruePress
  readonly pieces: readonly Piece[]
  readonly symptom: SymptomId
  readonly screen: TrueScreen
  readonly struck: Struck | undefined
  readonly draws: Draws
}

/**
 * What someone sees who looks: from the state of the press, now and then wrong.
 *
 * @param at the screen that shows the trouble, by its place
 */
export function lookAt(
  press: TruePress,
  pieces: readonly Piece[],
  symptom: SymptomId,
  ask: QuestionId,
  at: number,
): string {
  const draws = press.streams.caller
  const screen = press.screens[at] ?? (press.screens[0] as TrueScreen)
  const seen: Seen = { press, pieces, symptom, screen, struck: faulty(press, pieces, at), draws }
  const true_ = LOOKS[ask](seen)
  const answers = Object.keys(QUESTIONS[ask].usual)
  return draws.chance(SLIPS) ? (draws.one(answers.filter((a) => a !== true_)) ?? true_) : true_
}

/** The piece in hand is the one that shows it: the worst of the last lap. */
function faulty(press: TruePress, pieces: readonly Piece[], at: number): Struck | undefined {
  const badness = (x: Struck | undefined) =>
    x ? 1 - Math.min(...x.fill) + worstMark(x) + x.spread / 60 + Math.max(...x.sticky) : 0
  const lap = pieces.slice(-Math.max(4, press.boards.length)).map((p) => p.struck[at])
  return lap.reduce((worst, x) => (badness(x) > badness(worst) ? x : worst), lap.at(-1))
}

const band = (x: number, [low, high]: readonly [number, number], words: readonly [string, string, string]) =>
  x < low ? words[0] : x < high ? words[1] : words[2]

const vNow = ({ press, pieces, symptom }: Seen, of: SymptomId = symptom) =>
  severities(press, pieces).get(of)?.v ?? 0
const vEarly = ({ press, pieces, symptom }: Seen) =>
  severities(press, pieces.slice(0, 8)).get(symptom)?.v ?? 0
const worstMark = (x: Struck | undefined) =>
  Math.max(0, ...(x?.marks ?? []).map((m) => Math.hypot(m[0], m[1])))

/** Of the zones the one that is worst off, 0 to 1 each. */
function zoneFaults({ struck, symptom }: Seen) {
  const bad = struck
    ? (struck.fill.map((f, z) => Math.max(1 - f, struck.sticky[z] ?? 0)) as [number, number, number])
    : three(0)
  return symptom === 'pinholes' ? three(0) : bad
}

const LOOKS: Readonly<Record<QuestionId, (seen: Seen) => string>> = {
  where: (seen) => {
    const { screen, symptom, press } = seen
    if (symptom === 'pinholes' || symptom === 'smudge') return press.now.tapeLeaks > 0 ? 'edges' : 'a spot'
    const [l, m, r] = zoneFaults(seen)
    if (screen.nick && m - Math.max(l, r) > 0.1) return 'a spot'
    if (Math.abs(l - r) > 0.15) return 'one side'
    if (Math.min(l, r) - m > 0.12) return 'edges'
    if (symptom === 'local' || symptom === 'halo')
      return screen.tension < 18 || Math.abs(screen.gapSlope) > 0.4
        ? 'one side'
        : screen.stretch !== 0 || press.now.shrinks > 0
          ? 'edges'
          : 'everywhere'
    return 'everywhere'
  },
  when: (seen) => {
    const { pieces } = seen
    const early = vEarly(seen)
    if (pieces.length < 13) return early >= 0.8 ? 'from the start' : 'came later'
    if (early < 0.8 && early < 0.75 * vNow(seen)) return 'came later'
    return vNow(seen) < 0.55 * early ? 'first prints only' : 'from the start'
  },
  which: (seen) => {
    const { symptom, pieces, press } = seen
    if (symptom === 'oneBoard' || vNow(seen, 'oneBoard') >= 1) return 'always one board'
    const varies = vNow(seen, 'differ') >= 1.2 && pieces.length >= 13
    if (
      symptom === 'differ' ||
      symptom === 'jump' ||
      press.now.leftUnder > 0 ||
      press.now.dirtyHands > 0 ||
      (varies && VARY.includes(symptom))
    )
      return 'now and then'
    const [early, now] = [vEarly(seen), vNow(seen)]
    return pieces.length > 16 && now > 1.4 * early ? 'more and more' : 'every piece'
  },
  screens: ({ press, pieces, symptom }) => {
    const each = severities(press, pieces).get(symptom)?.each.values() ?? []
    return [...each].filter((v) => v >= 0.8).length > 1 ? 'several' : 'one screen'
  },
  cool: ({ struck }) => ((struck?.dryLater ?? 1) < 0.85 ? 'still tacky' : 'dry'),
  filmTemp: ({ pieces, draws }) => {
    const films = (pieces.at(-1)?.flashed ?? []).flatMap((f) => f?.film ?? [])
    return band(Math.max(0, ...films) + draws.normal(NOISE.film), BANDS.film, ['below', 'in band', 'above'])
  },
  printTemp: ({ pieces, draws }) => {
    const met = (pieces.at(-1)?.struck ?? []).flatMap((x) => x?.met ?? [])
    return Math.max(0, ...met) + draws.normal(NOISE.film) > BANDS.print ? 'over 55 C' : 'under 55 C'
  },
  boardTemp: ({ press, draws }) => {
    const mean = press.boards.reduce((sum, b) => sum + b.celsius, 0) / press.boards.length
    return band(mean + draws.normal(NOISE.board), BANDS.board, ['under 30 C', '30 to 55 C', 'over 55 C'])
  },
  panel: ({ press, draws }) => {
    const [unit] = press.flashes
    if (!unit) return 'all right'
    const least = Math.min(...press.flashes.flatMap((f) => f.gain))
    const most = Math.max(...press.flashes.flatMap((f) => f.gain))
    if (least < 0.68 * most) return draws.chance(OVERLOOKED) ? 'all right' : 'part dark'
    return most < 0.88 ? 'too high or low' : 'all right'
  },
  timer: ({ press, draws }) => {
    if (press.now.leftUnder > 0) return draws.chance(0.7) ? 'longer' : 'as set'
    const off = press.flashes.map((f, i) => f.dwell / (press.plan.flashes[i]?.dwell ?? f.dwell))
    if (Math.max(1, ...off) > 1.4) return 'longer'
    return Math.min(1, ...off) < 0.85 ? 'shorter' : 'as set'
  },
  back: ({ press, pieces }) => {
    const last = pieces.at(-1)?.struck ?? []
    const heavy = press.screens.some((s, i) => s.back > 1.3 || Math.max(0, ...(last[i]?.sticky ?? [0])) > 0.5)
    return heavy ? 'heavy' : 'little'
  },
  mesh: ({ screen, struck }) => {
    if (screen.blocked > 0.15 || screen.scum > 0.4) return 'closed in places'
    const [l = 1, m = 1, r = 1] = struck?.clear ?? []
    if ((l + m + r) / 3 > 0.86 && Math.min(l, r) > 0.75) return 'clear'
    return Math.abs(l - r) > 0.18 ? 'ink left on one side' : 'ink left everywhere'
  },
  again: ({ screen, struck }) => {
    if (Math.min(...(struck?.fill ?? [1])) < 0.82 && screen.blocked < 0.3)
      return screen.scum > 0.4 ? 'no change' : 'fills in'
    return (struck?.spread ?? 0) > 40 ? 'worse' : 'no change'
  },
  gap: ({ screen }) => {
    if (Math.abs(screen.gapSlope) > 0.35) return 'uneven'
    const ratio = screen.gap / screen.plan.gap
    return ratio < 0.5 ? 'too low' : ratio > 1.7 ? 'too high' : 'right'
  },
  tension: ({ screen }) => (screen.tension < 0.7 * screen.plan.tension ? 'slack' : 'tight'),
  marks: ({ screen, pieces, press }) => {
    const at = press.screens.indexOf(screen)
    const v = severities(press, pieces.slice(-4))
    if ((v.get('local')?.v ?? 0) * 0.24 > 0.14) return 'unequal'
    if (Math.abs(screen.turn) * 150 > 0.18) return 'opposite ways'
    const marks = pieces.at(-1)?.struck[at]?.marks ?? []
    const mean = [0, 1].map((k) => marks.reduce((sum, m) => sum + (m[k] ?? 0), 0) / Math.max(1, marks.length))
    return Math.hypot(mean[0] ?? 0, mean[1] ?? 0) > 0.2 ? 'same way' : 'on'
  },
  shake: ({ press }) => (press.screens.some((s) => s.creep !== 0 || s.play > 0.05) ? 'play' : 'firm'),
  board: ({ press }) => {
    if (press.boards.some((b) => b.low > 2)) return 'low'
    return press.boards.some((b) => Math.hypot(...b.loose) > 0.2) ? 'loose' : 'firm and level'
  },
  edge: ({ screen }) => (screen.nick ? 'nicked' : screen.wear > 0.4 ? 'rounded' : 'sharp'),
  blade: ({ screen }) => {
    const off = screen.hardness - screen.plan.hardness
    return off < -8 ? 'softer' : off > 8 ? 'harder' : 'as planned'
  },
  angle: ({ screen }) =>
    screen.angle + (8 * (screen.load - 1) * 75) / screen.hardness > 29 ? 'flat side prints' : 'edge prints',
  even: ({ press, screen, draws }) => {
    if (press.now.hand > 0.15) return draws.chance(0.9) ? 'better' : 'still the same fault'
    return screen.time < 0.6 ? 'better' : 'still the same fault'
  },
  easier: ({ screen, struck }) => {
    if (screen.load > 1.25) return 'better'
    if ((struck?.spread ?? 0) > 45) return 'no change'
    return screen.load < 0.8 || screen.viscosity > 1.5 ? 'worse' : 'no change'
  },
  firmer: ({ screen }) => {
    if (screen.load < 0.8 || screen.viscosity > 1.5 || screen.time < 0.6) return 'better'
    return screen.load > 1.25 || screen.wear > 0.5 || screen.viscosity < 0.6 ? 'worse' : 'no change'
  },
  flood: ({ screen }) => (screen.flood < 0.72 ? 'gaps' : 'covered'),
  level: ({ screen }) => (screen.sinceInk > 34 ? 'little' : 'plenty'),
  paddle: ({ screen }) => {
    if (screen.stirred < 0.7) return 'settled'
    return screen.viscosity > 1.5 ? 'stiff' : screen.viscosity < 0.6 ? 'runny' : 'creamy'
  },
  can: ({ screen }) => (screen.wrongCan ? 'wrong can' : 'right can'),
  weights: ({ screen }) =>
    (screen.dE > 3 && !screen.wrongCan) || Math.abs(screen.share - 1) > 0.3 ? 'does not' : 'adds up',
  card: ({ screen }) =>
    screen.dE > 3 || screen.tint * 25 > 2 || screen.stirred < 0.7 ? 'wrong too' : 'right on card',
  paper: ({ press, screen }) => {
    const slips =
      press.boards.some((b) => gripAfter(b.since) < 0.3) || press.now.shrinks > 0 || press.now.loading > 5
    const off =
      Math.hypot(screen.tx + screen.lock[0], screen.ty + screen.lock[1]) > 0.25 || screen.turn * 150 > 0.2
    return slips && !off ? 'in on paper' : 'out on paper too'
  },
  first: (seen) => {
    const { screen, struck, pieces } = seen
    if (screen.dE > 3 || screen.tint * 25 > 2.4 || (pieces.at(-1)?.lot ?? 0) > 3) return 'other hue'
    const laid = struck?.deposit ?? 1
    if (laid > 1.15 || (struck?.spread ?? 0) > 48) return 'heavier'
    return laid < 0.84 || seen.press.cover < 0.85 ? 'thinner' : 'alike'
  },
  light: ({ screen }) => {
    if (screen.pinholes >= 2.5) return 'pinholes'
    if (screen.scum > 0.4) return 'scum'
    if (screen.oldImage > 0.4) return 'old image'
    return screen.erosion > 0.18 ? 'edges gone' : 'clean'
  },
  tack: ({ press }) => (press.boards.some((b) => gripAfter(b.since) < 0.34) ? 'weak' : 'holds'),
  idle: ({ screen }) => (screen.plan.waterBased && screen.blocked > 0.12 ? 'minutes' : 'no'),
  fibres: (seen) => (vNow(seen, 'rough') > 0.8 ? 'fibres' : 'flat'),
  damp: ({ press }) => (press.damp > 0.5 ? 'damp' : 'dry'),
  label: ({ press, draws }) => (press.unblocked && draws.chance(0.3) ? 'other fibre' : 'as ordered'),
  between: ({ screen, symptom }) => (screen.overlap > 0.35 && WET.includes(symptom) ? 'better' : 'no change'),
  wipe: ({ press }) => (press.screens.some((s) => s.back > 1.5) ? 'better' : 'no change'),
  loupe: (seen) => {
    const { screen, struck } = seen
    if (screen.angle - screen.plan.angle > 10) return 'smeared one way'
    if (vNow(seen, 'ghost') >= 0.8) return 'doubled'
    if ((struck?.spread ?? 0) > 42) return 'joined'
    return (struck?.fine ?? 1) < 0.7 ? 'lost' : 'round and open'
  },
  belt: ({ press, pieces, draws }) => {
    const peak = (pieces.at(-1)?.dryer.peak ?? 0) + draws.normal(NOISE.belt)
    const { target } = press.plan.cure
    return band(peak, [target - 4, target + 20], ['too cool', 'in band', 'too hot'])
  },
  stretch: (seen) => (vNow(seen, 'cracks') >= 0.8 ? 'cracks' : 'holds'),
  tape: (seen) => (vNow(seen, 'peels') >= 0.75 ? 'lifts' : 'holds'),
  gloss: ({ press, pieces }) => {
    const rise = pieces.at(-1)?.rise ?? 1
    const peak = pieces.at(-1)?.dryer.peak ?? 0
    const share = press.screens.find((s) => s.plan.role === 'expander')?.share ?? 1
    if (press.preheated || peak > press.plan.cure.target + 20 || share > 1.6) return 'glossy or dimpled'
    return rise < 0.7 ? 'matt and low' : 'raised'
  },
  load: ({ press }) => (press.now.loading > 5 ? 'better' : 'no change'),
  scrap: ({ press, symptom }) => {
    const ofCloth =
      press.now.lots > 0 ||
      press.damp > 0.5 ||
      press.now.shrinks > 0 ||
      press.unblocked ||
      (symptom === 'rough' && press.fibre > 0.75 && press.now.coldSmoothing === 0)
    return ofCloth ? 'fault gone' : 'same fault'
  },
  setup: ({ screen }) => {
    if (screen.strokes > screen.plan.strokes) return 'more strokes'
    return Math.abs(screen.opening / screen.plan.opening - 1) > 0.15 ? 'other mesh' : 'as planned'
  },
  choke: ({ press, struck }) =>
    worstMark(struck) > (press.plan.choke ?? 0.2) ? 'over the choke' : 'within or no choke',
}

/** Looks that a spread of strokes makes appear now and then. */
const VARY: readonly SymptomId[] = ['muddy', 'patchy', 'blown', 'bleed', 'through', 'drift']
const WET: readonly SymptomId[] = ['muddy', 'pickup', 'greyEdge', 'wrongColour', 'drift', 'bleed']
