import type { RemedyId } from '../trouble'
import { type TruePress, type TrueScreen, three } from './truePress'

type Turn = (press: TruePress, screen: TrueScreen) => void

/**
 * What a remedy does at the press: physical changes with their side effects; nothing calls a fault mended. Of the screen that
 * showed the trouble where it is a screen's.
 */
const TURNS: Readonly<Record<RemedyId, Turn>> = {
  flashLonger: (p) => dwells(p, 1.5),
  flashShorter: (p) => dwells(p, -1.5),
  fixPanel: (p) => {
    for (const f of p.flashes) f.gain = three(Math.max(...f.gain))
  },
  panelHeight: (p) => {
    for (const f of p.flashes) {
      const [l, m, r] = f.gain
      const up = 1 / Math.max(0.6, m)
      f.gain = [l * up, m * up, r * up]
    }
  },
  coolLonger: (p) => {
    for (const f of p.flashes) f.cool += 6
  },
  coolBoards: (p) => {
    p.now.boardsTo = undefined
    p.now.dwellForgotten = false
    for (const b of p.boards) b.celsius = Math.min(b.celsius, 46)
  },
  warmBoards: (p) => {
    for (const b of p.boards) b.celsius = Math.max(b.celsius, 40)
  },
  useTimer: (p) => {
    p.now.leftUnder = 0
    for (const [i, f] of p.flashes.entries())
      f.dwell = Math.min(f.dwell, (p.plan.flashes[i]?.dwell ?? f.dwell) * 1.05)
  },
  puffLast: (p) => {
    p.preheated = false
  },
  beltSlower: (p) => {
    p.dryer.seconds *= 1.25
    p.dryer.set += 6
  },
  dryerCheck: (p) => {
    p.now.zoneLoss = 0
  },
  beltFaster: (p) => {
    p.dryer.seconds *= 0.88
    p.dryer.set -= 16
  },
  lowCure: (p) => {
    p.unblocked = false
    p.dryer.set -= 20
  },
  dryCloth: (p) => {
    p.damp = 0
  },
  morePressure: (_, s) => {
    s.load *= 1.3
  },
  lessPressure: (_, s) => {
    s.load *= 0.72
  },
  levelBlade: (_, s) => {
    s.slope = 0
  },
  steady: (p, s) => {
    p.now.hand = Math.min(p.now.hand, 0.05)
    s.time = Math.max(s.time, 0.75)
  },
  blade: (_, s) => {
    s.hardness = s.plan.hardness
    s.wear *= 0.4
  },
  sharpen: (_, s) => {
    s.wear = 0
    s.nick = false
  },
  upright: (_, s) => {
    s.angle = Math.min(s.angle, s.plan.angle)
  },
  slower: (_, s) => {
    s.time *= 1.6
  },
  floodFull: (_, s) => {
    s.flood = 1
  },
  fewerStrokes: (p, s) => {
    s.strokes = Math.max(s.plan.strokes, s.strokes - 1)
    p.thick = Math.max(1, p.thick - 0.3)
  },
  secondHit: (p) => {
    p.cover = Math.min(1.1, p.cover + 0.25)
  },
  remake: (p, s) => {
    s.tension = s.plan.tension
    p.now.erodes = 0
    Object.assign(s, { erosion: 0, scum: 0, oldImage: 0, pinholes: 0 })
  },
  setGap: (_, s) => {
    s.gap = s.plan.gap
  },
  levelScreen: (_, s) => {
    s.gapSlope = 0
    s.slope *= 0.4
  },
  otherMesh: (_, s) => {
    s.opening = Math.max(s.opening, s.plan.opening)
  },
  finerMesh: (_, s) => {
    s.opening = Math.min(s.opening, s.plan.opening)
  },
  blockOut: (_, s) => {
    s.pinholes = 0
  },
  tapeIt: (p) => {
    p.now.tapeLeaks = 0
  },
  washOut: (_, s) => {
    s.scum *= 0.3
    s.oldImage *= 0.7
  },
  remakeFilms: (_, s) => {
    s.stretch = 0
  },
  hazeOff: (_, s) => {
    s.oldImage = 0
  },
  refit: (_, s) => {
    Object.assign(s, { tx: 0, ty: 0, turn: 0 })
  },
  aimOff: (_, s) => {
    s.lock = [s.lock[0] * 0.15, s.lock[1] * 0.15]
    Object.assign(s, { tx: 0, ty: 0 })
  },
  tightenHead: (p, s) => {
    s.tx -= s.tx
    // What it had crept by then is read and taken out with it.
    Object.assign(s, { creep: 0, play: 0 })
    p.now.hand = Math.min(p.now.hand, 0.05)
  },
  tightenBoard: (p) => {
    for (const b of p.boards) b.loose = [0, 0]
  },
  shimBoard: (p) => {
    for (const b of p.boards) b.low = 0
  },
  newTack: (p) => {
    p.now.tackForgotten = false
    for (const b of p.boards) b.since = 0
  },
  loadBetter: (p) => {
    p.now.loading = 2
  },
  preShrink: (p) => {
    p.now.shrinks = 0
    p.damp *= 0.5
  },
  moreChoke: (p) => {
    p.choke = (p.choke ?? 0) + 0.35
  },
  stirWarm: (_, s) => {
    s.viscosity = Math.max(1, s.viscosity * 0.5)
    s.stirred = 1
  },
  newInk: (p, s) => {
    p.now.ownTint = 0
    Object.assign(s, { viscosity: 1, tint: 0 })
    for (const x of p.screens) x.tint *= 0.2
  },
  remix: (_, s) => {
    Object.assign(s, { dE: 0, wrongCan: false, share: 1 })
  },
  reInk: (p, s) => {
    p.now.inkForgotten = false
    s.sinceInk = 0
  },
  clearMesh: (_, s) => {
    s.blocked = 0
  },
  flashBetween: (_, s) => {
    s.overlap = 0
  },
  reorder: (_, s) => {
    s.overlap *= 0.5
  },
  // Ten on scrap wet the backs.
  runOn: (p) => {
    p.now.firstPrints *= Math.exp(-2)
  },
  wipeBack: (p) => {
    p.now.backGrows = Math.min(1, p.now.backGrows)
    for (const s of p.screens) s.back = 0
  },
  smooth: (p) => {
    p.smoothing = true
  },
  smoothHot: (p) => {
    p.now.coldSmoothing = 0
  },
  cleanOil: (p) => {
    p.silicone = false
  },
  clean: (p) => {
    p.now.dirtyHands = 0
  },
  rightCloth: (p) => {
    p.now.lots = 0
  },
  mist: () => {},
}

const dwells = (p: TruePress, by: number): void => {
  for (const f of p.flashes) f.dwell = Math.max(0.5, f.dwell + by)
}

/** Does a remedy at the press. @param at the screen that showed the trouble, by its place */
export function turn(press: TruePress, remedy: RemedyId, at: number): void {
  const screen = press.screens[at] ?? press.screens[0]
  if (screen) TURNS[remedy](press, screen)
}
