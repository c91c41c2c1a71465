/**
 * Screens registered on the same simulated heads by the computed turns and by hand (left mark, right mark, across, a print each):
 * what misses over the print is left, root mean square, locked; and what a set of turns takes to be worked out.
 */
import { missOver, registrationAid, USUAL_HEAD } from '../src/core/registration'
import { byHand, byTheAid, calibrated, marksAt } from '../src/devices/registering.fixtures'
import { type SimulatedHead, someHead } from '../src/devices/simulatedHead'
import { SMALL } from './size'

const HEADS = SMALL ? 60 : 3000
const MM = 1e-3
const SPREAD = 0.1 * MM

function left(width: number, height: number, by: (head: SimulatedHead, seed: number) => void): number {
  const corners = [-1, 1].flatMap((a) => [-1, 1].map((b) => ({ x: (a * width) / 2, y: (b * height) / 2 })))
  let sum = 0
  for (let seed = 0; seed < HEADS; seed++) {
    const head = someHead(10 * seed + 1)
    by(head, 10 * seed + 1)
    sum += missOver(head.lies(), corners) ** 2
  }
  return Math.sqrt(sum / HEADS) / MM
}

const told: string[] = []
for (const [name, width, height] of [
  ['full', 0.3, 0.36],
  ['chest', 0.09, 0.09],
] as const) {
  const marks = marksAt(width, height)
  const hand = left(width, height, (h) => byHand(h, marks, SPREAD, 2))
  const one = left(width, height, (h) => void byTheAid(h, marks, SPREAD, 1))
  const tried = left(width, height, (h, seed) => {
    const known = calibrated(someHead(seed), marks, SPREAD)
    byTheAid(h, marks, SPREAD, 1, undefined, known)
  })
  const two = left(width, height, (h) => void byTheAid(h, marks, SPREAD, 2))
  console.log(
    `${name}: by hand, two rounds ${hand.toFixed(3)} mm; computed, one round ${one.toFixed(3)}, knobs tried ${tried.toFixed(3)}, two rounds ${two.toFixed(3)}`,
  )
  told.push(
    `${name} ${(one / hand).toFixed(2)} x by hand after one round, ${(tried / hand).toFixed(2)} with its knobs tried once, ${(two / hand).toFixed(2)} after two`,
  )
}
const marks = someHead(1).read(marksAt(0.3, 0.36), SPREAD)
const begin = performance.now()
for (let i = 0; i < HEADS; i++) registrationAid(marks, USUAL_HEAD)
told.push(`${((performance.now() - begin) / HEADS).toFixed(2)} ms a set of turns`)
console.log(`registration: ${told.join('; ')}`)
