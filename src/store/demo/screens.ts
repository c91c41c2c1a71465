import { addDays, formatISO, parseISO } from 'date-fns'
import type { Frame, MountedAt, Stencil, Step } from '@/core/equipment'
import { stepsOf } from '@/core/schedule'

interface Carried {
  readonly frame: string
  readonly order: string
  readonly hit: string
  readonly words: string
  /** The last step that was done, and how many days ago all of it was. */
  readonly until: Step
  readonly ago: number
  /** Where it is mounted still. */
  readonly mounted?: MountedAt
}

const STAR = 'Tide Observatory, Open nights star chart'
const MOTH = 'Nightjar Short Films, Copper moth'

/** Screens the room is busy with, and one that no order wants any more. */
const CARRIED: readonly Carried[] = [
  { frame: 'F61-2', order: 'O-1001', hit: 'base', words: `${STAR}: Base white`, until: 'dry', ago: 0 },
  { frame: 'F77-1', order: 'O-1001', hit: 'I1', words: `${STAR}: Moon yellow`, until: 'coat', ago: 0 },
  { frame: 'F43-1', order: 'O-1006', hit: 'I1', words: `${MOTH}: Copper shimmer`, until: 'check', ago: 1 },
  {
    frame: 'F43-4',
    order: 'O-0958',
    hit: 'I1',
    words: 'Slate Hollow Climbing, Spring wall tees: Chalk white',
    until: 'mount',
    ago: 160,
    mounted: { pressId: 'twelve', head: 4 },
  },
]

/** Tension as a share of today's, by days ago: a slow drift, and one frame that fell. */
const DRIFT = [
  [168, 1.09],
  [126, 1.06],
  [84, 1.035],
  [42, 1.012],
  [3, 1],
] as const
const FELL = 'F77-6'
const READ = /^F(77|90|120)-/

const iso = (today: string, ago: number) =>
  formatISO(addDays(parseISO(today), -ago), { representation: 'date' })

function stencilOf({ order, hit, words, until, ago }: Carried, today: string): Stencil {
  const steps = stepsOf({ hardens: false })
  const done = steps.slice(0, steps.indexOf(until) + 1)
  return {
    order,
    print: 'P1',
    hit,
    words,
    emulsionId: 'dual',
    coats: 2,
    done: done.map((step, i) => ({
      step,
      at: `${iso(today, ago)}T0${7 + Math.floor(i / 3)}:${(i % 3) * 2}0`,
    })),
  }
}

/** The frames of the demo with what was read on them and what they carry on `today`. */
export const busyFrames = (frames: readonly Frame[], today: string): readonly Frame[] =>
  frames.map((frame) => {
    const carried = CARRIED.find((c) => c.frame === frame.id)
    const steep = frame.id === FELL ? 2.8 : 1
    return {
      ...frame,
      readings: READ.test(frame.id)
        ? DRIFT.map(([ago, share]) => ({
            on: iso(today, ago),
            tension: Math.round(frame.tension * (1 + (share - 1) * steep)),
          }))
        : [],
      ...(carried && { stencil: stencilOf(carried, today) }),
      ...(carried?.mounted && { mounted: carried.mounted }),
    }
  })
