import type { Plants } from './plants'

/** Heat and dryer: what a fault changes at the true press. */
export const HEAT_FAULTS = {
  underGel: (p, d) => {
    for (const f of p.flashes) f.dwell *= d.between(0.52, 0.78)
  },
  deadElement: (p, d) => {
    const zone = d.chance(0.5) ? 0 : 2
    const left = d.between(0.35, 0.6)
    for (const f of p.flashes) f.gain[zone] *= left
  },
  flashHeight: (p, d) => {
    const by = d.between(0.68, 0.84)
    for (const f of p.flashes) f.gain = [f.gain[0] * by * 0.93, f.gain[1] * by, f.gain[2] * by]
  },
  hotFilm: (p, d) => {
    for (const f of p.flashes) f.cool = d.between(1.5, 4.5)
  },
  hotBoards: (p, d) => {
    p.now.boardsTo = d.between(69, 78)
    p.now.dwellForgotten = true
  },
  coldBoards: (p, d) => {
    const c = d.between(6, 13)
    p.air = Math.min(p.air, c + 3)
    p.now.dwellForgotten = true
    for (const b of p.boards) b.celsius = c
  },
  overFlash: (p, d) => {
    for (const f of p.flashes) f.dwell *= d.between(1.9, 2.7)
  },
  leftUnder: (p, d) => {
    p.now.leftUnder = d.between(0.08, 0.16)
  },
  puffTwice: (p) => {
    p.preheated = true
  },
  underCure: (p, d) => {
    p.dryer.set -= d.between(14, 35)
  },
  dryerZone: (p, d) => {
    p.now.zoneFrom = Math.round(d.between(10, 60))
    p.now.zoneLoss = d.between(18, 38)
  },
  dryerHot: (p, d) => {
    p.dryer.set += d.between(22, 42)
  },
} as const satisfies Plants
