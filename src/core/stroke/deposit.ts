import { choiceOf, numberOf } from '../advice'
import type { Press } from '../equipment'
import { degrees } from '../quantity'
import { type Flood, PRESSURE_STEPS } from './definition'
import { type StrokeNeed, settingFor } from './settings'
import type { StrokeAdvice } from './stroke'

/**
 * How much more or less ink a setting lays. Which way each works is common practice; how much is assumed, and was never
 * weighed at a press.
 */
const PER_SHORE = -0.008
const STIFF = 0.96
const ROUNDED = 1.1
const PER_DEGREE = 0.015
const PER_WORD = 0.05
/** Twice as slow lays a fifth more. */
const SLOW = 0.25
const FLOODED: Readonly<Record<Flood, number>> = { even: 1, hard: 1, slow: 1.05, full: 1.05 }

interface Struck {
  readonly squeegee: string
  readonly edge: string
  readonly angle: number
  /** Light is 0, medium 1, firm 2, and what lies between on the scale of the press. */
  readonly feel: number
  readonly time: number
  readonly flood: Flood
}

/** Ink that these settings lay, against a square 70 squeegee upright with medium pressure in one second. */
function laidBy({ squeegee, edge, angle, feel, time, flood }: Struck): number {
  const [shore, stiff] = squeegee.split('/')
  const hardness = (1 + PER_SHORE * (Number(shore) - 70)) * (stiff === undefined ? 1 : STIFF)
  const shape = edge === 'rounded' ? ROUNDED : 1
  const flat = 1 + PER_DEGREE * (angle / degrees(1))
  return hardness * shape * flat * (1 + PER_WORD * (feel - 1)) * time ** SLOW * FLOODED[flood]
}

/** A reading of the scale as a feel: 0 light, 1 medium, 2 firm, in straight lines between them and beyond. */
export function feelOf(press: Press, reading: number): number {
  const note = press.pressure
  if (!note) return 1
  return reading < note.medium
    ? (reading - note.light) / (note.medium - note.light)
    : 1 + (reading - note.medium) / (note.firm - note.medium)
}

/**
 * Ink that a hit is struck to lay, as a share of what the trade's usual settings for it lay: squeegee, edge, angle, pressure,
 * time and flood; strokes and mesh are counted elsewhere. 1 is as usual; 0.7 to 1.5 on sane settings.
 */
export function relativeDeposit(need: StrokeNeed, press: Press, stroke: StrokeAdvice): number {
  const s = settingFor(need, press)
  const usual = laidBy({
    squeegee: s.squeegee[0],
    // What meshes are said to lay is for a square edge.
    edge: 'square',
    angle: degrees(s.angle[0][1]),
    feel: PRESSURE_STEPS.indexOf(s.pressure[0]),
    time: s.time[0][1],
    flood: s.flood[0],
  })
  const word = PRESSURE_STEPS.indexOf(choiceOf(stroke.pressure))
  const now = laidBy({
    squeegee: choiceOf(stroke.squeegee),
    edge: choiceOf(stroke.edge),
    angle: numberOf(stroke.angle),
    feel: stroke.gauge ? feelOf(press, numberOf(stroke.gauge)) : word,
    time: numberOf(stroke.time),
    flood: choiceOf(stroke.flood),
  })
  return now / usual
}

/** How far the ink laid strays when time (a share), angle (radians) and pressure (in words) stray by so much, as a share. */
export const strayOf = (time: number, angle: number, feel: number): number =>
  Math.hypot(SLOW * time, PER_DEGREE * (angle / degrees(1)), PER_WORD * feel)
